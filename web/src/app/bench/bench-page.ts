import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  signal,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { potFactors, type Dish, calendar, scaleDish, type Practice, type Warning } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { TabsModule } from 'primeng/tabs';
import { Tooltip } from 'primeng/tooltip';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { HouseClock } from '../state/clock';
import { kitchenFeature } from '../state/kitchen';
import { Brief } from '../ui/brief';
import { DishWordsDialog } from '../ui/dish-words-dialog';
import { MiniPot } from '../ui/mini-pot';
import { PrintSheet } from '../print/print-sheet';
import { PotSection } from '../ui/pot-section';
import { saveDish, saveFile } from '../ui/save-file';
import { Ribbon } from '../ui/ribbon';
import { Verdicts } from '../ui/verdicts';
import { BenchActions, benchFeature } from './bench.slice';
import type { Change } from './describe';
import { movedPlace, withServeShift } from './edits';
import { FinishSheet } from './finish-sheet';
import { FrySheet } from './fry-sheet';
import { GatherSheet } from './gather-sheet';
import { PracticeDialog } from './practice-dialog';
import { PressureSheet } from './pressure-sheet';
import { StackSheet } from './stack-sheet';
import { WaterSheet } from './water-sheet';
import { type Way, hasWay, warningParams, warningsAt, wayParams } from './warning-places';
import { Warnings } from './warnings';
import { PotNamePipe } from '../ui/pot-name';

export const sheetNames = ['gather', 'fry', 'water', 'stack', 'pressure', 'finish'] as const;
type SheetName = (typeof sheetNames)[number];

/** The Bench: the pot and its verdicts at the left, the six sheets at the right, the evening below. */
@Component({
  selector: 'ek-bench-page',
  imports: [
    SaidPipe,
    PotNamePipe,
    RouterLink,
    TranslocoDirective,
    Button,
    TabsModule,
    Tooltip,
    Brief,
    DishWordsDialog,
    MiniPot,
    PotSection,
    Ribbon,
    Verdicts,
    GatherSheet,
    WaterSheet,
    PressureSheet,
    FinishSheet,
    FrySheet,
    StackSheet,
    PracticeDialog,
    Warnings,
    PrintSheet,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './bench-page.html',
  styleUrl: './bench-page.scss',
})
export class BenchPage {
  readonly id = input.required<string>();
  readonly sheet = input.required<string>();
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  readonly names = sheetNames;
  /** on a phone the pot and its verdicts are one line until they are asked for */
  readonly unfolded = signal(false);
  /** the pot in use as the log taught it, for practice */
  readonly myPot = computed(() => potFactors(this.kitchen()));
  /** title, people and notes are open to be changed */
  readonly wording = signal(false);
  private readonly now = inject(HouseClock).ticking();
  /** the clock to the minute: nothing here needs it finer */
  readonly minute = computed(() => Math.floor(this.now() / 60_000) * 60_000);
  readonly practising = signal(false);
  readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly problem = this.store.selectSignal(benchFeature.selectProblem);
  readonly failure = this.store.selectSignal(benchFeature.selectFailure);
  readonly save = this.store.selectSignal(benchFeature.selectSave);
  private readonly isFleeting = this.store.selectSignal(benchFeature.selectIsFleeting);
  /** only what is true: that it is kept here is said where it is */
  readonly kept = computed(() => (this.save() === 'offline' && this.isFleeting() ? 'fleeting' : this.save()));
  readonly canUndo = this.store.selectSignal(benchFeature.selectCanUndo);
  readonly undoing = this.store.selectSignal(benchFeature.selectUndoName);
  readonly redoing = this.store.selectSignal(benchFeature.selectRedoName);
  readonly canRedo = this.store.selectSignal(benchFeature.selectCanRedo);
  readonly foodNames = this.store.selectSignal(benchFeature.selectNames);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);

  /** The whole plan, readable from the tabs. */
  readonly results = computed((): Record<SheetName, string> => {
    const p = this.plan();
    if (!p) return { gather: '…', fry: '…', water: '…', stack: '…', pressure: '…', finish: '…' };
    const span = (stage: string): number =>
      p.timeline.filter((s) => s.stage === stage).reduce((m, s) => m + s.endMin - s.startMin, 0);
    const release = p.program.release;
    const natural =
      release.kind !== 'timed'
        ? this.transloco.translate(`pressure.tab-${release.kind}`)
        : ` + ${this.fmt.minutes(release.naturalMin ?? 0)}`;
    return {
      gather: `${this.fmt.number(Math.round(span('prep')))} min`,
      fry: p.fry.length > 0 ? `${this.fmt.number(Math.round(span('fry')))} min` : '–',
      water: this.fmt.ml(p.liquid.addMl),
      stack: this.fmt.counted('layer', p.stack.length),
      pressure: p.program.whistles
        ? this.fmt.counted('whistle', p.program.whistles)
        : `${this.fmt.minutes(p.program.holdMin)} min${natural}`,
      finish: `${this.fmt.number(Math.round(span('finish')))} min`,
    };
  });

  /** The warnings that belong to this sheet, and the worst of each sheet for its tab. */
  readonly here = computed(() => warningsAt(this.plan()?.warnings ?? [], this.sheet()));
  readonly marks = computed((): Partial<Record<SheetName, 'stop' | 'caution'>> => {
    const all = this.plan()?.warnings ?? [];
    return Object.fromEntries(
      sheetNames.flatMap((s) => {
        const own = warningsAt(all, s);
        return own.length > 0 ? [[s, own.some((w) => w.severity === 'stop') ? 'stop' : 'caution'] as const] : [];
      }),
    );
  });
  readonly hasWay = hasWay;
  wayParams(way: Way): Record<string, string | number> {
    return wayParams(way, this.foodNames(), this.fmt);
  }
  warningParams(w: Warning): Record<string, string | number> {
    return warningParams(w, this.foodNames(), this.fmt);
  }

  constructor() {
    effect(() => this.store.dispatch(BenchActions.open({ id: this.id() })));
    effect(() => this.store.dispatch(BenchActions.mapWanted({ wanted: this.sheet() === 'pressure' })));
    effect(() => {
      if (!(sheetNames as readonly string[]).includes(this.sheet()))
        void this.router.navigate(['/bench', this.id(), 'water'], { replaceUrl: true });
    });
    // On a phone the six tabs are wider than the screen: the one that is open is in sight, after a deep link too.
    const page = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterRenderEffect(() => {
      const sheet = this.sheet();
      if (this.plan())
        page
          .querySelectorAll('[role="tab"]')
          [(sheetNames as readonly string[]).indexOf(sheet)]?.scrollIntoView({ block: 'nearest', inline: 'center' });
    });
  }

  goto(sheet: unknown): void {
    void this.router.navigate(['/bench', this.id(), String(sheet)], { replaceUrl: true });
  }
  serve(serves: number): void {
    const d = this.dish();
    if (d && serves >= 1 && serves <= 60)
      this.store.dispatch(BenchActions.edit({ dish: scaleDish(d, serves), merge: 'serves' }));
  }
  shift(minutes: number): void {
    const d = this.dish();
    if (d) this.store.dispatch(BenchActions.edit({ dish: withServeShift(d, minutes), merge: 'serve-at' }));
  }
  /** "undo: 1½ cups of rice" */
  undoName(t: (key: string, p?: Record<string, unknown>) => string, which: 'undo' | 'redo', c: Change | null): string {
    if (!c) return t(`bench.${which}`);
    const what = t(`change.${c.key}`, {
      ...c.params,
      people: typeof c.params['n'] === 'number' ? this.fmt.counted('person', c.params['n']) : '',
      food: c.food ? this.fmt.food(c.food) : '',
      amount: c.amount ? this.fmt.amount(c.amount) : '',
    });
    return `${t(`bench.${which}`)}: ${what}`;
  }
  moveLayer({ ingredient, by }: { ingredient: string; by: 1 | -1 }): void {
    const d = this.dish();
    const p = this.plan();
    const next = d && p ? movedPlace(d, p, ingredient, by) : null;
    if (next) this.store.dispatch(BenchActions.edit({ dish: next }));
  }
  /** The evening as a file that every calendar opens. */
  toCalendar(serveMs: number): void {
    const d = this.dish();
    const p = this.plan();
    if (!d || !p) return;
    const t = (key: string, q?: Record<string, unknown>): string => this.transloco.translate(key, q);
    const names = (ids: readonly string[]): string =>
      ids.map((id) => this.fmt.namesOf(this.foodNames(), id)).join(', ');
    const text = calendar(
      p,
      { serveMs, nowMs: this.now(), uid: this.id() },
      {
        title: d.title,
        step: (id) => {
          const s = p.steps.find((x) => x.id === id)!;
          return t(`calendar.${s.stage}`, { foods: names(s.ingredients), min: this.fmt.minutes(s.minutes) });
        },
        caution: t('app.safety'),
      },
    );
    saveFile(this.id(), 'ics', text);
  }
  print(): void {
    window.print();
  }
  reword(dish: Dish): void {
    this.store.dispatch(BenchActions.edit({ dish, merge: 'words' }));
  }
  undo(): void {
    this.store.dispatch(BenchActions.undo());
  }
  redo(): void {
    this.store.dispatch(BenchActions.redo());
  }
  reload(): void {
    location.reload();
  }
  saveAsFile(): void {
    const d = this.dish();
    if (d) saveDish(d);
  }
  cook(): void {
    this.store.dispatch(BenchActions.cookNow({ nowMs: this.now() }));
  }
  practise(practice: Practice): void {
    this.practising.set(false);
    this.store.dispatch(BenchActions.cookNow({ nowMs: this.now(), practice }));
  }

  key(e: KeyboardEvent): void {
    const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement;
    const mod = e.ctrlKey || e.metaKey;
    if (mod && e.key.toLowerCase() === 'z' && !(typing && (e.target as HTMLInputElement).dataset['own'] === 'undo')) {
      e.preventDefault();
      if (e.shiftKey) this.redo();
      else this.undo();
    } else if (mod && e.key.toLowerCase() === 'y') {
      e.preventDefault();
      this.redo();
    } else if (!typing && !mod && !e.altKey) {
      if (e.key === '[') this.shift(-5);
      else if (e.key === ']') this.shift(5);
      else if (/^[1-6]$/.test(e.key)) this.goto(sheetNames[Number(e.key) - 1]);
    }
  }
}
