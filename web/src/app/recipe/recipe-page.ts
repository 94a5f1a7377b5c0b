import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  answeredLine,
  families,
  isStructured,
  starter,
  type Family,
  type Language,
  type Plan,
  type Reading,
  type WrittenKey,
} from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { readingSentence } from '../i18n/reading-words';
import { SaidPipe } from '../i18n/said';
import { kitchenFeature } from '../state/kitchen';
import { MiniPot } from '../ui/mini-pot';
import { OwnFoodDialog } from '../ui/own-food-dialog';
import { PlanDiff } from '../ui/plan-diff';
import { planInShort, planRows, type PlanRow } from '../ui/plan-rows';
import { ReadLineRow } from './read-line-row';
import { RecipeActions, recipeFeature, type OwnWords } from './recipe.slice';
import { PotNamePipe } from '../ui/pot-name';

/** The answer to how the pressure is let off, as the reader of recipes understands it. */
/** A step that is written into the recipe, in its own language. */
const releaseSteps = {
  en: { quick: 'Quick release.', natural: 'Natural release.', timed: 'Natural release 10 minutes.' },
  es: {
    quick: 'Liberación rápida.',
    natural: 'Liberación natural.',
    timed: 'Liberación natural de 10 minutos.',
  },
} as const satisfies Record<Language, Record<string, string>>;

/** New dish: a text on the left, what was understood of it on the right, the recipe as written beside our plan, the Bench. */
@Component({
  selector: 'ek-recipe-page',
  imports: [
    SaidPipe,
    PotNamePipe,
    RouterLink,
    TranslocoDirective,
    Button,
    MiniPot,
    OwnFoodDialog,
    PlanDiff,
    ReadLineRow,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './recipe-page.html',
  styleUrl: './recipe-page.scss',
})
export class RecipePage {
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);

  readonly text = this.store.selectSignal(recipeFeature.selectText);
  readonly reading = this.store.selectSignal(recipeFeature.selectReading);
  readonly message = this.store.selectSignal(recipeFeature.selectMessage);
  readonly dish = this.store.selectSignal(recipeFeature.selectDish);
  readonly planned = this.store.selectSignal(recipeFeature.selectPlanned);
  readonly taken = this.store.selectSignal(recipeFeature.selectTaken);
  readonly starters = this.store.selectSignal(recipeFeature.selectStarters);
  readonly recent = this.store.selectSignal(recipeFeature.selectRecent);
  readonly failure = this.store.selectSignal(recipeFeature.selectFailure);
  readonly isKeeping = this.store.selectSignal(recipeFeature.selectIsKeeping);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  /** a file that could not be read */
  readonly tooLarge = signal('');
  private readonly notBrought = this.store.selectSignal(recipeFeature.selectRefused);
  readonly refused = computed(() => this.tooLarge() || this.notBrought());
  readonly isOver = signal(false);
  /** the words of a food to be added from its packet */
  readonly ownFood = signal<string | null>(null);

  readonly inShort = planInShort;
  readonly sentence = readingSentence;
  readonly families = families;
  readonly releases = ['quick', 'natural', 'timed'] as const;
  readonly asksRelease = computed(() => this.reading()?.asks.some((a) => a.path === 'cooked.release') ?? false);
  readonly isEmpty = computed(() => this.text().trim() === '');
  readonly asks = computed(() => this.reading()?.asks.length ?? 0);
  /** remarks about the whole recipe; those of a line stand beside it */
  readonly remarks = computed(() => this.reading()?.report.filter((r) => r.line === undefined) ?? []);

  constructor() {
    this.store.dispatch(RecipeActions.opened());
  }

  private word(key: string, values: Record<string, string> = {}): string {
    return this.transloco.translate(key, values);
  }
  typed(text: string): void {
    this.tooLarge.set('');
    this.store.dispatch(RecipeActions.typed({ text }));
  }
  pasted(e: ClipboardEvent): void {
    const text = e.clipboardData?.getData('text/plain') ?? '';
    if (!isStructured(text) || !this.isEmpty()) return;
    e.preventDefault();
    this.store.dispatch(RecipeActions.brought({ source: text }));
  }
  dropped(e: DragEvent): void {
    e.preventDefault();
    this.isOver.set(false);
    const file = e.dataTransfer?.files[0];
    if (file) void this.bringFile(file);
  }
  chosen(input: HTMLInputElement): void {
    const file = input.files?.[0];
    input.value = '';
    if (file) void this.bringFile(file);
  }
  private async bringFile(file: File): Promise<void> {
    // More than a saved page weighs is not read into the page at all.
    if (file.size > 8_000_000) this.tooLarge.set(this.word('recipe.file-large', { name: file.name }));
    else this.store.dispatch(RecipeActions.brought({ source: await file.text() }));
  }
  /** The cook's answer is written into the text, where it can be seen, corrected and taken back. */
  answer(reading: Reading, index: number, answer: { food: string } | { amount: string }): void {
    const line = reading.lines[index]?.text;
    if (line === undefined || !this.text().includes(line)) return;
    const language: Language = reading.language;
    this.typed(this.text().replace(line, () => answeredLine(line, answer, language)));
  }
  /** The line is taken out of the text; of several foods on one line only this one. */
  leaveOut(part: string): void {
    const lines = this.text().split('\n');
    const at = lines.findIndex((l) => l.includes(part));
    if (at < 0) return;
    const rest = lines[at]!.replace(part, '')
      .replace(/^[\s\-*•]*(?:\+|&|,|and\s|y\s)?\s*/i, '')
      .replace(/\s*(?:\+|&|,|\sand|\sy)?\s*$/i, '');
    const kept = rest === '' ? [] : [rest];
    this.typed([...lines.slice(0, at), ...kept, ...lines.slice(at + 1)].join('\n'));
  }
  /** A food of late becomes a line of its own; how much is asked for. */
  append(food: string): void {
    this.typed(`${this.text().trimEnd()}\n${this.word(`food.${food}`)}`.trimStart());
  }
  /** How the recipe lets the pressure off, as a step of its own at the end of the text. */
  release(kind: keyof (typeof releaseSteps)['en']): void {
    const language = this.reading()?.language ?? 'en';
    this.typed(`${this.text().trimEnd()}\n${releaseSteps[language][kind]}`);
  }
  own(own: OwnWords): void {
    this.store.dispatch(RecipeActions.ownWords({ own }));
  }
  ownServes(field: HTMLInputElement): void {
    const serves = Number(field.value);
    if (Number.isInteger(serves) && serves >= 1 && serves <= 60) this.own({ serves });
    else field.value = String(this.dish()?.serves ?? 4);
  }
  ownTitle(field: HTMLInputElement): void {
    const title = field.value.trim().slice(0, 120);
    if (title === '') field.value = this.dish()?.title ?? '';
    else this.own({ title });
  }
  ownFamily(value: string): void {
    const family = families.find((f) => f === value);
    if (family) this.own({ family });
  }
  keep(): void {
    if (this.dish() && !this.isKeeping()) this.store.dispatch(RecipeActions.keep());
  }
  /** A number as it is written, or ours. */
  take(key: WrittenKey, isWritten: boolean): void {
    const rest = this.taken().filter((k) => k !== key);
    this.store.dispatch(RecipeActions.take({ keys: isWritten ? [...rest, key] : rest }));
  }
  takeAll(isWritten: boolean): void {
    const keys = isWritten ? (this.planned()?.written?.changes.map((c) => c.key) ?? []) : [];
    this.store.dispatch(RecipeActions.take({ keys }));
  }
  /** A decided number of a plan, as it stands beside the other. */
  figure(t: (key: string, p?: Record<string, unknown>) => string, key: WrittenKey, plan: Plan): string {
    const { pressure, holdMin, release } = plan.program;
    switch (key) {
      case 'liquid':
        return this.fmt.ml(plan.liquid.addMl);
      case 'pressure':
        return t(`written.${pressure}`);
      case 'hold':
        return `${this.fmt.minutes(holdMin)} min`;
      case 'release':
        return t(`written.release-${release.kind}`, { n: this.fmt.minutes(release.naturalMin ?? 0) });
    }
  }
  begin(family: Family): void {
    const title = this.word('shelf.new-title', { family: this.word(`family.${family}`) });
    this.store.dispatch(RecipeActions.keepDish({ dish: starter(family, title) }));
  }
  rows(t: (key: string, p?: Record<string, unknown>) => string): PlanRow[] {
    const p = this.planned();
    if (!p) return [];
    const rows = planRows(p.written ? [p.written.plan, p.mixed] : [p.mixed], t, this.fmt);
    return rows.filter((r) => r.values.some((v) => v !== '–'));
  }
}
