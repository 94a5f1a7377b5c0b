import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, viewChild } from '@angular/core';
import { RouterLink } from '@angular/router';
import { importDish, Problem, worstMeat, type Dish, type Issue, type Plan } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import type { MenuItem } from 'primeng/api';
import { Button, ButtonDirective } from 'primeng/button';
import { BandKeyPipe } from '../ui/band-key.pipe';
import { InputText } from 'primeng/inputtext';
import { Menu } from 'primeng/menu';
import { Select } from 'primeng/select';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { kitchenFeature } from '../state/kitchen';
import { DishWordsDialog } from '../ui/dish-words-dialog';
import { programName } from '../ui/plan-rows';
import { MiniPot } from '../ui/mini-pot';
import { ShareDialog } from './share-dialog';
import { FirstRun } from './first-run';
import { CompareDialog } from './compare-dialog';
import { saveDish } from '../ui/save-file';
import { ShelfActions, shelfFeature, type ShelfFilter } from './shelf.slice';
import { VaryDialog } from './vary-dialog';
import { PotNamePipe } from '../ui/pot-name';
import { Bound } from '../ui/bound';

/** The Shelf: dishes as dense rows, each with its pot in section and its verdicts in this kitchen. */
@Component({
  selector: 'ek-shelf-page',
  imports: [
    SaidPipe,
    PotNamePipe,
    BandKeyPipe,
    Bound,
    RouterLink,
    TranslocoDirective,
    Button,
    ButtonDirective,
    InputText,
    Menu,
    Select,
    MiniPot,
    CompareDialog,
    DishWordsDialog,
    FirstRun,
    ShareDialog,
    VaryDialog,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shelf-page.html',
  styleUrl: './shelf-page.scss',
})
export class ShelfPage {
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  readonly rows = this.store.selectSignal(shelfFeature.selectRows);
  readonly loaded = this.store.selectSignal(shelfFeature.selectLoaded);
  readonly failure = this.store.selectSignal(shelfFeature.selectFailure);
  readonly filter = this.store.selectSignal(shelfFeature.selectFilter);
  readonly archived = this.store.selectSignal(shelfFeature.selectArchived);
  readonly removed = this.store.selectSignal(shelfFeature.selectRemoved);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  private readonly choices = this.store.selectSignal(shelfFeature.selectChoices);
  private readonly ready = this.store.selectSignal(kitchenFeature.selectLoaded);
  private readonly menu = viewChild.required<Menu>('menu');
  /** the row whose menu is open */
  private readonly at = signal<string | null>(null);
  readonly varying = signal<{ dish: Dish; plan: Plan | null } | null>(null);
  readonly comparing = signal<string | null>(null);
  readonly sharing = signal<Dish | null>(null);
  readonly reminders = this.store.selectSignal(shelfFeature.selectReminders);
  readonly wording = signal<{ id: string; dish: Dish } | null>(null);
  readonly report = signal<{ title: string; bad: boolean; message: string; leftOut: Issue[] } | null>(null);

  readonly filtered = computed(() => {
    const f = this.filter();
    return f.text !== '' || f.family !== null || f.starch !== null || f.mostMin !== null;
  });
  readonly familyChoices = computed(() => [
    { id: null, label: this.word('shelf.any-family') },
    ...this.choices().families.map((id) => ({
      id,
      label: `${this.word(`family.${id}`)}: ${this.word(`family-plain.${id}`)}`,
    })),
  ]);
  readonly starchChoices = computed(() => [
    { id: null, label: this.word('shelf.any-starch') },
    ...this.choices().starches.map((id) => ({ id, label: this.word(`food.${id}`) })),
  ]);
  readonly timeChoices = computed(() => [
    { id: null, label: this.word('shelf.any-time') },
    ...[45, 60, 75, 90].map((id) => ({ id, label: this.transloco.translate('shelf.within', { min: id }) })),
  ]);
  readonly comparable = computed(() =>
    this.rows().flatMap((r) => (r.plan ? [{ id: r.id, title: r.dish.title, plan: r.plan }] : [])),
  );
  readonly actions = computed((): MenuItem[] => {
    const row = this.rows().find((r) => r.id === this.at());
    if (!row) return [];
    return [
      { label: this.word('words.title'), command: () => this.wording.set({ id: row.id, dish: row.dish }) },
      { label: this.word('shelf.duplicate'), command: () => this.duplicate(row.id, row.dish.title) },
      { label: this.word('evening.take'), routerLink: '/evening', queryParams: { dish: row.id } },
      { label: this.word('shelf.vary'), command: () => this.varying.set({ dish: row.dish, plan: row.plan }) },
      { label: this.word('shelf.compare'), disabled: !row.plan, command: () => this.comparing.set(row.id) },
      { label: this.word('shelf.share'), command: () => this.sharing.set(row.dish) },
      { label: this.word('shelf.export'), command: () => saveDish(row.dish) },
      {
        label: this.word('shelf.export-plan'),
        disabled: !row.plan,
        command: () => void exports().then((x) => x.savePlan(row.dish, row.plan!)),
      },
      {
        label: this.word('shelf.export-text'),
        disabled: !row.plan,
        command: () => void exports().then((x) => x.saveText(row.dish, row.plan!)),
      },
      {
        label: this.word('shelf.export-data'),
        disabled: !row.plan,
        command: () => void exports().then((x) => x.saveData(row.dish, row.plan!)),
      },
    ];
  });

  constructor() {
    // The verdicts depend on the kitchen, so the shelf asks once that is known.
    effect(() => {
      if (this.ready()) this.store.dispatch(ShelfActions.load());
    });
  }

  private word(key: string): string {
    this.fmt.locale();
    return this.transloco.translate(key);
  }
  /** Foods that fit what is looked for: by the name on the screen, and the one that was typed where it is another. */
  because(t: (key: string) => string, why: readonly { food: string; name: string }[]): string {
    return why
      .slice(0, 3)
      .map(({ food, name }) => {
        const here = t(`food.${food}`);
        return here.toLowerCase().includes(name) ? here : `${here} (${name})`;
      })
      .join(', ');
  }
  worst = worstMeat;
  total(p: Plan): number {
    return Math.round(p.timeline.at(-1)?.endMin ?? 0);
  }
  program(t: (key: string, p?: Record<string, unknown>) => string, p: Plan): string {
    return programName(p, t, this.fmt);
  }
  narrow(filter: Partial<ShelfFilter>): void {
    this.store.dispatch(ShelfActions.filter({ filter }));
  }
  widen(): void {
    this.narrow({ text: '', family: null, starch: null, mostMin: null });
  }
  /** A file from outside: what is understood goes on the shelf, what is not is told with its place. */
  bring(input: HTMLInputElement): void {
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    void file.text().then((text) => this.read(file.name, text));
  }
  private read(name: string, text: string): void {
    try {
      const { dish, leftOut } = importDish(parse(text));
      this.store.dispatch(ShelfActions.add({ dish }));
      this.report.set({ title: dish.title, bad: false, message: '', leftOut });
    } catch (e) {
      const known = e instanceof Problem;
      const message = known ? e.message : this.word('shelf.not-json');
      this.report.set({ title: name, bad: true, message, leftOut: known ? e.issues.slice(0, 6) : [] });
    }
  }
  more(e: Event, id: string): void {
    this.at.set(id);
    this.menu().toggle(e);
  }
  showArchived(archived: boolean): void {
    this.store.dispatch(ShelfActions.showArchived({ archived }));
  }
  duplicate(id: string, title: string): void {
    this.store.dispatch(
      ShelfActions.duplicate({ id, title: this.transloco.translate('shelf.copy-of', { title }).slice(0, 120) }),
    );
  }
  waveAway(id: string): void {
    this.store.dispatch(ShelfActions.waveAway({ id }));
  }
  reword(id: string, dish: Dish): void {
    this.store.dispatch(ShelfActions.reword({ id, dish }));
  }
  remove(id: string): void {
    this.store.dispatch(ShelfActions.remove({ id }));
  }
  restore(): void {
    this.store.dispatch(ShelfActions.restore());
  }
}

const parse = (text: string): unknown => JSON.parse(text) as unknown;

/** The names of all foods come along, so only when they are asked for. */
const exports = () => import('./export');
