import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { bandKey, fields, gPerOunce, type LedgerRow } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { InputNumber } from 'primeng/inputnumber';
import { SelectButton } from 'primeng/selectbutton';
import { Format } from '../i18n/format';
import { kitchenFeature } from '../state/kitchen';
import { patternOf } from '../ui/patterns';
import { BenchActions, benchFeature } from './bench.slice';
import { withLedger, withOverrides } from './edits';
import { LearnedBehind } from './learned-behind';
import { RatioPlot } from './ratio-plot';
import { Schools } from './schools';
import { TryIt } from './try-it';
import { WhyText } from './why-text';
import { Bound } from '../ui/bound';

interface Row {
  row: LedgerRow;
  /** what the pot must have: needs are positive, what is there already negative */
  need: number;
  left: number;
  width: number;
  dropAt: number;
  fill: string;
  lost: boolean;
  turn: number | null;
  yours: boolean;
}

const barPx = 264;

/** Steps of the scale, each up to so many grams: more ticks would lie over each other. */
const tickSteps = [
  { grams: 100, ounces: 4, upTo: 700 },
  { grams: 200, ounces: 8, upTo: 1400 },
  { grams: 500, ounces: 16, upTo: 2500 },
  { grams: 1000, ounces: 32, upTo: 5000 },
  { grams: 2000, ounces: 64, upTo: 10_000 },
  { grams: 5000, ounces: 160, upTo: Infinity },
];

/** 3 Water: every gram in and out with its reason, the liquid to add, the schools on one scale. */
@Component({
  selector: 'ek-water-sheet',
  imports: [
    Bound,
    TranslocoDirective,
    Button,
    InputNumber,
    SelectButton,
    LearnedBehind,
    RatioPlot,
    Schools,
    TryIt,
    WhyText,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './water-sheet.html',
  styleUrl: './water-sheet.scss',
})
export class WaterSheet {
  readonly fields = fields;
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly names = this.store.selectSignal(benchFeature.selectNames);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  /** figure and unit apart, so that the figure can be large */
  readonly answer = computed(() => this.fmt.ml(this.plan()?.liquid.addMl ?? 0).split(' '));
  readonly open = signal<string | null>(null);
  private readonly reason = viewChild<ElementRef<HTMLElement>>('reason');
  readonly showRatios = signal(false);
  readonly editing = signal(false);
  readonly value = signal<number | null>(null);

  constructor() {
    // A reason that opens at the end of the list would lie under the total.
    afterRenderEffect(() => {
      this.editing();
      this.reason()?.nativeElement.scrollIntoView({ block: 'nearest' });
    });
  }

  readonly wishes = computed(() => {
    const p = this.plan();
    if (!p?.grain)
      return (['firm', 'fluffy', 'soft'] as const).map((value) => ({
        value,
        label: this.transloco.translate(`wish.${p?.pasta ? 'pasta' : 'pieces'}-${value}`),
      }));
    const fluffy = p.grain.aimIndex - { firm: -4, fluffy: 0, soft: 4 }[p.texture];
    return (['firm', 'fluffy', 'soft'] as const).map((value, i) => ({
      value,
      label: `${this.transloco.translate(`band.${bandKey(p.family, value)}`)} ${this.fmt.number(fluffy + (i - 1) * 4)}`,
    }));
  });

  readonly need = computed(() =>
    (this.plan()?.liquid.ledger ?? []).filter((r) => r.grams < 0).reduce((s, r) => s - r.grams, 0),
  );
  readonly have = computed(() =>
    (this.plan()?.liquid.ledger ?? [])
      .filter((r) => r.grams > 0 && r.item !== 'added')
      .reduce((s, r) => s + r.grams, 0),
  );
  private readonly scale = computed(() => {
    const { grams, ounces } = tickSteps.find(({ upTo }) => this.need() <= upTo)!;
    const step = this.kitchen().weights === 'ounces' ? ounces * gPerOunce : grams;
    return { step, most: Math.ceil((this.need() * 1.04) / step) * step };
  });
  readonly ticks = computed(() => {
    const { step, most } = this.scale();
    return Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => ({
      at: this.fmt.sum(i * step),
      x: ((i * step) / most) * barPx,
    }));
  });

  /** The rows as a staircase: needs climb, what the food brings comes down, what is left is the liquid to add. */
  readonly rows = computed((): Row[] => {
    const p = this.plan();
    if (!p) return [];
    const k = barPx / this.scale().most;
    const overrides = this.dish()?.overrides;
    const shown = p.liquid.ledger.filter(
      (r) => Math.abs(r.grams) >= 1.5 || r.item === 'sauce' || r.reason.overruled !== undefined,
    );
    let at = 0;
    return shown.map((row, i) => {
      const added = row.item === 'added';
      const need = added ? row.grams : -row.grams;
      const from = added ? 0 : need >= 0 ? at : at + need;
      at = added ? at : at + need;
      const next = shown[i + 1];
      const turn = need > 0 && !added && next !== undefined && next.grams > 0 ? at : null;
      const kind =
        row.item === 'grain' || row.item === 'film' || row.item === 'soak'
          ? 'liquid'
          : row.item === 'sauce'
            ? 'natural'
            : row.item === 'cling'
              ? 'grain'
              : this.kindOf(row.ingredient);
      return {
        row,
        need,
        left: from * k,
        width: Math.max(1, Math.abs(need) * k),
        dropAt: at * k,
        fill: patternOf(kind),
        lost: row.item === 'steam' || row.item === 'simmer',
        turn,
        yours: added ? overrides?.liquidMl !== undefined : overrides?.ledger?.[row.item] !== undefined,
      };
    });
  });

  private kindOf(ingredient: string | undefined): string {
    return this.plan()?.stack.find((l) => l.ingredient === ingredient)?.kind ?? 'other';
  }
  label(t: (key: string, p?: Record<string, unknown>) => string, row: LedgerRow): string {
    const food = row.ingredient ? this.fmt.namesOf(this.names(), row.ingredient) : '';
    return row.item.startsWith('from:')
      ? t('ledger.from', { food })
      : t(`ledger.${row.item === 'grain' && this.plan()?.pasta ? 'pasta' : row.item}`, {
          food: t(`food.${this.plan()?.liquid.food}`),
        });
  }
  because(t: (key: string, p?: Record<string, unknown>) => string, row: LedgerRow): string {
    const v = (label: string): number => row.reason.terms.find((x) => x.label === label)?.value ?? 0;
    const pct = (label: string): string => this.fmt.percent(v(label));
    switch (row.item) {
      case 'grain':
        return t('because.grain', {
          grams: this.fmt.grams(v('dry-grain')),
          from: pct('moisture-raw'),
          to: pct('moisture-cooked'),
        });
      case 'sauce':
        return t('because.sauce', { share: pct('free-share') });
      case 'steam':
        return t('because.steam', {
          heating: this.fmt.sum(v('steam-heating') + v('steam-leak')),
          valve: this.fmt.sum(v('steam-valve') + v('steam-opening')),
        });
      case 'simmer':
        return t('because.simmer', { min: this.fmt.number(v('simmer-minutes')) });
      case 'film':
      case 'reduced':
      case 'gravy':
        return t(`because.${row.item}`);
      case 'soak':
        return t('because.soak', { min: this.fmt.number(v('soak-minutes')) });
      case 'cling':
        return t('because.cling', { share: pct('cling') });
      case 'added': {
        const [lo, hi] = this.plan()!.liquid.rangeMl;
        return t('because.added', {
          low: lo,
          high: hi,
        });
      }
      default:
        return v('released') !== 0
          ? t(row.reason.terms.some((x) => x.label === 'left-raw') ? 'because.raw' : 'because.fried', {
              share: this.fmt.percent(v('released') + v('free-at-start')),
              grams: this.fmt.grams(v('as-added')),
            })
          : t('because.liquid', { grams: this.fmt.grams(v('as-added')) });
    }
  }

  signed(r: Row): string {
    const n = this.fmt.sum(Math.abs(r.need));
    return r.row.item === 'added' ? n : r.need >= 0 ? `+${n}` : `−${n}`;
  }
  was(r: Row): number {
    return r.row.item === 'added' ? (this.plan()?.decided.addMl.overruled ?? 0) : Math.abs(r.row.reason.overruled ?? 0);
  }
  canOverrule(row: LedgerRow): boolean {
    return row.item !== 'grain';
  }
  toggle(item: string): void {
    this.editing.set(false);
    this.open.update((o) => (o === item ? null : item));
  }
  start(r: Row): void {
    this.value.set(r.row.item === 'added' ? (this.plan()?.liquid.addMl ?? 0) : Math.round(Math.abs(r.need)));
    this.editing.set(true);
  }
  apply(r: Row): void {
    const dish = this.dish();
    const value = this.value();
    if (!dish || value === null) return;
    this.store.dispatch(
      BenchActions.edit({
        dish: r.row.item === 'added' ? withOverrides(dish, { liquidMl: value }) : withLedger(dish, r.row.item, value),
      }),
    );
    this.open.set(null);
    this.editing.set(false);
  }
  release(row: LedgerRow): void {
    const dish = this.dish();
    if (dish)
      this.store.dispatch(
        BenchActions.edit({
          dish:
            row.item === 'added' ? withOverrides(dish, { liquidMl: undefined }) : withLedger(dish, row.item, undefined),
        }),
      );
  }
  wish(texture: 'firm' | 'fluffy' | 'soft'): void {
    const dish = this.dish();
    if (dish) this.store.dispatch(BenchActions.edit({ dish: { ...dish, texture } }));
  }
}
