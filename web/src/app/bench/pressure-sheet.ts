import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { fields, potProfile, starchOf, worstMeat, type DonenessMap, type Plan } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { BandKeyPipe } from '../ui/band-key.pipe';
import { InputNumber } from 'primeng/inputnumber';
import { SelectButton } from 'primeng/selectbutton';
import { Format } from '../i18n/format';
import { kitchenFeature } from '../state/kitchen';
import { Chart, type Figure } from '../ui/chart';
import { BenchActions, benchFeature } from './bench.slice';
import { withOverrides } from './edits';
import { curveFigure } from './curve-figure';
import { mapFigure, sameDoneness } from './doneness-figure';
import { Chances } from './chances';
import { LearnedBehind } from './learned-behind';
import { LearnedNote } from './learned-note';
import { TryIt } from './try-it';
import { WholeCurves } from './whole-curves';
import { WhyText } from './why-text';
import { Bound } from '../ui/bound';

/** 5 Pressure: equal doneness over minutes and release, two programs side by side, the curve of the pot. */
@Component({
  selector: 'ek-pressure-sheet',
  imports: [
    BandKeyPipe,
    Bound,
    TranslocoDirective,
    Button,
    InputNumber,
    SelectButton,
    Chances,
    Chart,
    LearnedBehind,
    LearnedNote,
    TryIt,
    WholeCurves,
    WhyText,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pressure-sheet.html',
  styleUrl: './pressure-sheet.scss',
})
export class PressureSheet {
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly map = this.store.selectSignal(benchFeature.selectMap);
  readonly share = this.store.selectSignal(benchFeature.selectMapShare);
  readonly other = this.store.selectSignal(benchFeature.selectOther);
  readonly names = this.store.selectSignal(benchFeature.selectNames);
  readonly theme = computed(() => this.kitchen().theme);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly why = signal(false);
  round = Math.round;
  starch = starchOf;
  worst = worstMeat;

  readonly pair = computed(() => {
    const a = this.plan();
    const b = this.other();
    return [...(a ? [{ key: 'A', plan: a }] : []), ...(b ? [{ key: 'B', plan: b }] : [])];
  });
  readonly mine = computed(() => {
    const o = this.dish()?.overrides;
    return o?.holdMin !== undefined || o?.release !== undefined || o?.pressure !== undefined;
  });
  readonly was = computed(() => {
    const d = this.plan()?.decided;
    return d
      ? `${this.fmt.minutes(d.holdMin.overruled ?? d.holdMin.value)} + ${this.fmt.minutes(d.naturalMin.overruled ?? d.naturalMin.value)}`
      : '';
  });
  private readonly words = (key: string, p?: Record<string, unknown>): string => this.transloco.translate(key, p);

  readonly mapDrawing = computed((): (() => Figure) => {
    const m = this.map();
    const p = this.plan();
    const b = this.other();
    return () => mapFigure(m!, p!, b, this.words);
  });
  readonly curveDrawing = computed((): (() => Figure) => {
    const p = this.plan();
    const b = this.other();
    const degrees = this.fmt.degrees();
    const minutes = (min: number): string => this.fmt.minutes(min);
    return () => curveFigure(p!, b, { t: this.words, degrees, minutes });
  });

  readonly whole = signal(false);
  /** The chosen point, to be taken and moved on the map; a cooker with fixed programs lets nobody choose. */
  readonly handle = computed(() => {
    const p = this.plan();
    return p && !p.program.program && !p.program.whistles
      ? { x: p.program.holdMin, y: this.natural(p), name: 'A' }
      : null;
  });
  readonly says = (x: number, y: number): string => {
    const at = snap({ x, y });
    return at.natural === 0
      ? this.words('pressure.name-quick', { hold: this.fmt.minutes(at.hold) })
      : this.words('pressure.name-timed', { hold: this.fmt.minutes(at.hold), natural: this.fmt.minutes(at.natural) });
  };
  moveTo(point: { x: number; y: number }): void {
    const at = snap(point);
    const dish = this.dish();
    if (dish)
      this.store.dispatch(
        BenchActions.edit({
          dish: withOverrides(dish, {
            holdMin: at.hold,
            release: at.natural === 0 ? { kind: 'quick' } : { kind: 'timed', naturalMin: at.natural },
          }),
        }),
      );
  }
  readonly last = this.store.selectSignal(benchFeature.selectLast);
  /** The program of the last time, put beside this one. */
  asLastTime(): void {
    const l = this.last();
    if (l)
      this.store.dispatch(BenchActions.compare({ holdMin: l.holdMin, naturalMin: l.naturalMin, liquidMl: l.liquidMl }));
  }

  constructor() {
    // The other program starts as the same doneness with a quick release, once the map can tell which that is.
    effect(() => {
      const m = this.map();
      const p = untracked(this.plan);
      if (m && p && this.share() === 1) this.compareSame(m, p);
    });
  }

  /** The two numbers of the program that a hand can change. */
  readonly minutes = computed(() => {
    const p = this.plan();
    if (!p) return [];
    const hold = (min: number | null): void => this.hold(min);
    const natural = (min: number | null): void => this.naturalMin(min);
    return [
      { id: 'hold', label: 'pressure.hold', value: p.program.holdMin, schema: fields.holdMin, digits: 1, set: hold },
      {
        id: 'natural',
        label: 'pressure.natural',
        value: this.natural(p),
        schema: fields.naturalMin,
        digits: 0,
        set: natural,
      },
    ];
  });

  /** What speaks for and against each release, a line for each. */
  readonly advice = computed(() =>
    (['quick', 'natural'] as const).flatMap((release) => {
      const codes = this.plan()?.program.advice.filter((a) => a.release === release) ?? [];
      return codes.length > 0 ? [{ release, codes }] : [];
    }),
  );

  /** What stands on the button of an own cooker; minutes and pressure where nobody gave it a name. */
  programName(id: string): string {
    const [, level, min] = /^(low|high)-(\d+)$/.exec(id) ?? [];
    return level ? this.words(`program.${level}`, { min }) : id;
  }

  /** High and low, where the cooker has both and lets one choose. */
  readonly levels = computed(() => {
    const p = this.plan();
    const pot = p && potProfile(p.pot);
    if (!pot || pot.lowKpa === null || pot.programs) return [];
    return (['high', 'low'] as const).map((value) => ({
      value,
      label: this.words(`pressure.${value}`, { kpa: this.fmt.number(value === 'high' ? pot.highKpa : pot.lowKpa!) }),
    }));
  });
  pressure(level: 'high' | 'low'): void {
    const dish = this.dish();
    if (dish)
      this.store.dispatch(
        BenchActions.edit({ dish: withOverrides(dish, { pressure: level === 'high' ? undefined : level }) }),
      );
  }

  private compareSame(m: DonenessMap, p: Plan): void {
    const quick = p.program.release.kind === 'quick';
    const naturalMin = quick ? 10 : 0;
    const same = sameDoneness(m, p, naturalMin);
    // A cooker is set in halves of a minute.
    if (same !== null) this.store.dispatch(BenchActions.compare({ holdMin: Math.round(same * 2) / 2, naturalMin }));
  }

  pick(at: { x: number; y: number }): void {
    this.store.dispatch(
      BenchActions.compare({ holdMin: Math.max(0, Math.round(at.x)), naturalMin: Math.max(0, Math.round(at.y)) }),
    );
  }
  name(t: (key: string, p?: Record<string, unknown>) => string, p: Plan): string {
    const r = p.program.release;
    const hold = this.fmt.minutes(p.program.holdMin);
    return r.kind === 'quick'
      ? t('pressure.name-quick', { hold })
      : r.kind === 'natural'
        ? t('pressure.name-natural', { hold })
        : t('pressure.name-timed', { hold, natural: this.fmt.minutes(r.naturalMin ?? 0) });
  }
  lidMin(p: Plan): number {
    return p.curve.minutes.at(-1) ?? 0;
  }
  natural(p: Plan): number {
    const r = p.program.release;
    return r.kind === 'quick' ? 0 : Math.round(r.kind === 'natural' ? p.program.naturalFullMin : (r.naturalMin ?? 0));
  }
  hold(min: number | null): void {
    const dish = this.dish();
    if (dish && min !== null)
      this.store.dispatch(BenchActions.edit({ dish: withOverrides(dish, { holdMin: min }), merge: 'hold' }));
  }
  naturalMin(min: number | null): void {
    const dish = this.dish();
    if (dish && min !== null)
      this.store.dispatch(
        BenchActions.edit({
          dish: withOverrides(dish, { release: min === 0 ? { kind: 'quick' } : { kind: 'timed', naturalMin: min } }),
          merge: 'natural',
        }),
      );
  }
  use(b: Plan): void {
    const dish = this.dish();
    if (dish)
      this.store.dispatch(
        BenchActions.edit({ dish: withOverrides(dish, { holdMin: b.program.holdMin, release: b.program.release }) }),
      );
  }
  release(): void {
    const dish = this.dish();
    if (dish)
      this.store.dispatch(
        BenchActions.edit({
          dish: withOverrides(dish, { holdMin: undefined, release: undefined, pressure: undefined }),
        }),
      );
  }
}

/** A cooker is set in whole minutes, under five in halves. */
function snap({ x, y }: { x: number; y: number }): { hold: number; natural: number } {
  const hold = x < 5 ? Math.round(x * 2) / 2 : Math.round(x);
  return { hold: Math.max(0, hold), natural: Math.max(0, Math.round(y)) };
}
