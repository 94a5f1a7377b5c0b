import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { forecast, ratingKeys, ratingScales, summaryOf, type Cook, type RatingKey } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { kitchenFeature } from '../state/kitchen';
import { Chart, type Figure } from '../ui/chart';
import { programName } from '../ui/plan-rows';
import { compareFigure } from './compare-figure';
import { LogActions, logFeature } from './log.slice';
import { PotNames } from '../ui/pot-name';

type Translate = (key: string, p?: Record<string, unknown>) => string;

interface Row {
  name: string;
  values: string[];
  differs: boolean;
}

/** Cooks beside each other: their curves over each other, what was planned, and how each came out. */
@Component({
  selector: 'ek-compare-page',
  imports: [SaidPipe, RouterLink, TranslocoDirective, Chart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './compare-page.html',
  styleUrl: './compare-page.scss',
})
export class ComparePage {
  /** ids of the cooks, with commas between them */
  readonly ids = input.required<string>();
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  private readonly potNames = inject(PotNames);
  readonly fmt = inject(Format);
  private readonly all = this.store.selectSignal(logFeature.selectEntities);
  readonly failure = this.store.selectSignal(logFeature.selectFailure);
  readonly theme = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly wanted = computed(() => this.ids().split(',').filter(Boolean));
  readonly cooks = computed(() => this.wanted().flatMap((id) => this.all()[id] ?? []));
  readonly drawing = computed((): (() => Figure) => {
    this.fmt.locale();
    const cooks = this.cooks();
    const degrees = this.fmt.degrees();
    return () => compareFigure(cooks, (key, p) => this.transloco.translate(key, p), degrees);
  });

  constructor() {
    effect(() => this.store.dispatch(LogActions.loadSome({ ids: this.wanted() })));
  }

  rows(t: Translate): Row[] {
    const cooks = this.cooks();
    const { fmt } = this;
    const row = (key: string, of: (c: Cook) => string): Row => {
      const values = cooks.map(of);
      return { name: t(`log.${key}`), values, differs: new Set(values).size > 1 };
    };
    const summaries = new Map(cooks.map((c) => [c, summaryOf(c)]));
    const summary = (c: Cook) => summaries.get(c)!;
    return [
      row('c-pot', (c) => this.potNames.of(c.plan.pot.id, c.plan.pot.own)),
      row('c-serves', (c) => fmt.number(c.dish.serves)),
      row('f-liquid', (c) => fmt.ml(c.plan.liquid.addMl)),
      row('f-program', (c) => programName(c.plan, t, fmt)),
      row('f-pin', (c) => this.arrow(fmt.number(c.plan.program.pinUpMin, 1), summary(c).actual.toPinMin, ' min')),
      row('serve', (c) => `${fmt.time(summary(c).planned.servedMs)} → ${fmt.time(summary(c).actual.servedMs)}`),
      row('core', (c) => {
        const { planned, actual } = summary(c);
        return planned.coreC === null
          ? '–'
          : [planned.coreC, actual.coreC].map((c) => (c === null ? '?' : fmt.temperature(c))).join(' → ');
      }),
      ...ratingKeys.map((key) => ({ ...row('c-pot', (c) => this.rating(t, key, c)), name: t(`rating.${key}.name`) })),
      row('note', (c) => c.outcome?.note ?? '–'),
    ].filter((r) => r.values.some((v) => v !== '–'));
  }

  private arrow(planned: string, was: number | null, unit: string): string {
    return `${planned} → ${was === null ? '?' : this.fmt.number(was, 1)}${unit}`;
  }
  /** What was predicted, and what the cook said. */
  private rating(t: Translate, key: RatingKey, c: Cook): string {
    const said = c.outcome?.ratings[key];
    const guess = forecast(c.plan)[key];
    if (said === undefined && guess === null) return '–';
    const word = (i: number | null | undefined): string =>
      i === null || i === undefined ? '?' : t(`rating.${key}.${ratingScales[key][i]}`);
    return `${word(guess)} → ${word(said)}`;
  }
}
