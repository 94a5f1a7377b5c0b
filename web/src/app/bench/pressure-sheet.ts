import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { pots, starchOf, worstMeat, type DonenessMap, type Plan } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { InputNumber } from 'primeng/inputnumber';
import { ProgressBar } from 'primeng/progressbar';
import { SelectButton } from 'primeng/selectbutton';
import { Format } from '../i18n/format';
import { kitchenFeature } from '../state/kitchen';
import { Chart, type Figure } from '../ui/chart';
import { BenchActions, benchFeature } from './bench.slice';
import { withOverrides } from './edits';
import { curveFigure } from './curve-figure';
import { mapFigure, sameDoneness } from './doneness-figure';
import { Chances } from './chances';
import { TryIt } from './try-it';
import { WholeCurves } from './whole-curves';
import { WhyText } from './why-text';

/** 5 Pressure: equal doneness over minutes and release, two programs side by side, the curve of the pot. */
@Component({
  selector: 'ek-pressure-sheet',
  imports: [
    FormsModule,
    TranslocoDirective,
    Button,
    InputNumber,
    ProgressBar,
    SelectButton,
    Chances,
    Chart,
    TryIt,
    WholeCurves,
    WhyText,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (plan(); as p) {
        <div class="top">
          <section class="map">
            <h2>
              {{ t('pressure.map') }} <span class="quiet sub">{{ t('pressure.map-sub') }}</span>
            </h2>
            @if (!starch(p)) {
              <p class="quiet">{{ t('pressure.no-map') }}</p>
            } @else if (map()) {
              <ek-chart
                class="chart"
                [class.old]="share() < 1"
                [figure]="mapDrawing()"
                [redraw]="theme()"
                [label]="t('pressure.map-label')"
                [handle]="handle()"
                [says]="says"
                (picked)="pick($event)"
                (moved)="moveTo($event)"
              />
            } @else {
              <div class="chart wait">
                <p class="quiet">{{ t('pressure.drawing') }}</p>
                <p-progressbar [value]="round(share() * 100)" [ariaLabel]="t('pressure.drawing')" />
              </div>
            }
          </section>
          <div class="side">
            <section class="two" [attr.aria-label]="t('pressure.two')">
              @if (p.program.program; as only) {
                <p class="only">{{ t('pressure.program', { name: t('program.' + only) }) }}</p>
              }
              @for (x of pair(); track x.key) {
                <article [class.used]="x.key === 'A'" [attr.data-program]="x.key">
                  <h3>
                    <span class="letter" [class.solid]="x.key === 'A'">{{ x.key }}</span> {{ name(t, x.plan) }}
                  </h3>
                  <dl>
                    <dt>{{ t('pressure.shut-to-open') }}</dt>
                    <dd>{{ fmt.number(lidMin(x.plan)) }} min</dd>
                    @if (starch(x.plan); as g) {
                      <dt>{{ t('verdict.' + g.kind) }}</dt>
                      <dd>
                        @if (g.kind === 'grain') {
                          {{ t('band.' + g.band) }}, {{ fmt.number(g.at) }} ± {{ fmt.number(g.spread, 1) }} %
                        } @else {
                          {{ t('band.' + g.band) }}, × {{ fmt.number(g.at, 2) }}
                        }
                      </dd>
                    }
                    @for (v of x.plan.plants; track v.ingredient) {
                      <dt>{{ t('food.' + (foods()[v.ingredient] ?? v.ingredient)) }}</dt>
                      <dd [class.stop-text]="v.verdict === 'hard'">{{ t('plant.' + v.verdict) }}</dd>
                    }
                    @if (worst(x.plan); as m) {
                      <dt>{{ t('verdict.meat') }}</dt>
                      <dd [class.stop-text]="!m.ok">{{ fmt.celsius(m.coreC) }}, {{ t('meat.' + m.texture) }}</dd>
                    }
                  </dl>
                  @if (x.key === 'A') {
                    <p class="in-use">{{ t('pressure.in-use') }}</p>
                  } @else {
                    @if (last(); as l) {
                      <button type="button" class="last" (click)="asLastTime()">
                        {{ t('pressure.last-time', { date: fmt.day(l.startedMs) }) }}
                      </button>
                    }
                    <p-button severity="secondary" size="small" [label]="t('pressure.use-b')" (onClick)="use(x.plan)" />
                  }
                </article>
              }
            </section>
          </div>
        </div>
        <div class="hands">
          @for (m of minutes(); track m.id) {
            <label
              >{{ t(m.label) }}
              <p-inputnumber
                [ngModel]="m.value"
                (ngModelChange)="m.set($event)"
                [min]="0"
                [max]="m.max"
                [step]="1"
                [maxFractionDigits]="m.digits"
                [showButtons]="true"
                buttonLayout="horizontal"
                suffix=" min"
                [inputStyle]="{ width: '4.9rem', textAlign: 'center' }"
                [inputId]="m.id"
              />
            </label>
          }
          @if (levels().length > 1) {
            <p-selectbutton
              [options]="levels()"
              optionLabel="label"
              optionValue="value"
              [allowEmpty]="false"
              [ngModel]="p.program.pressure"
              (ngModelChange)="pressure($event)"
              [ariaLabel]="t('pressure.level')"
            />
          }
          @if (mine()) {
            <strong class="yours">{{ t('pressure.yours', { was: was() }) }}</strong>
            <p-button size="small" severity="secondary" [label]="t('pressure.release')" (onClick)="release()" />
          }
          <button type="button" class="why" [attr.aria-expanded]="why()" (click)="why.set(!why())">
            {{ t('why.why') }}
          </button>
        </div>
        @if (why()) {
          <div class="reason"><ek-why-text [reason]="p.decided.holdMin" [names]="foods()" /></div>
        }
        <p class="advice">
          @for (a of advice(); track a.release) {
            <span>
              <b>{{ t('release.' + a.release) }}</b>{{ ' ' }}
              @for (x of a.codes; track x.code; let last = $last) {
                <i [class.for]="x.weight === 'for'">{{
                  t('release.' + x.code, { min: fmt.minutes(p.program.naturalFullMin) })
                }}</i>{{ last ? '.' : ', ' }}
              }
            </span>
          }
        </p>
        <div class="below">
          <section class="curve">
            <h2>
              {{ t('pressure.curve') }} <span class="quiet sub">{{ t('pressure.curve-sub') }}</span>
              <button type="button" class="all" (click)="whole.set(true)">{{ t('pressure.whole') }}</button>
            </h2>
            <ek-chart
              class="chart"
              [figure]="curveDrawing()"
              [redraw]="theme()"
              [label]="
                t('pressure.curve-label', {
                  pin: fmt.number(p.program.pinUpMin, 1),
                  hold: fmt.minutes(p.program.holdMin),
                  top: fmt.number(p.program.steamC),
                })
              "
            />
            <p class="quiet caution">{{ t('caution.pressure') }}</p>
          </section>
          <ek-chances />
        </div>
        <ek-try-it sheet="pressure" />
        @if (whole()) {
          <ek-whole-curves [plan]="p" [other]="other()" [redraw]="theme()" (closed)="whole.set(false)" />
        }
      }
    </ng-container>
  `,
  styleUrl: './pressure-sheet.css',
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
  readonly foods = this.store.selectSignal(benchFeature.selectFoods);
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
    return () => curveFigure(p!, b, this.words);
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
      { id: 'hold', label: 'pressure.hold', value: p.program.holdMin, max: 120, digits: 1, set: hold },
      { id: 'natural', label: 'pressure.natural', value: this.natural(p), max: 60, digits: 0, set: natural },
    ];
  });

  /** What speaks for and against each release, a line for each. */
  readonly advice = computed(() =>
    (['quick', 'natural'] as const).flatMap((release) => {
      const codes = this.plan()?.program.advice.filter((a) => a.release === release) ?? [];
      return codes.length > 0 ? [{ release, codes }] : [];
    }),
  );

  /** High and low, where the cooker has both and lets one choose. */
  readonly levels = computed(() => {
    const pot = pots.find((x) => x.id === this.plan()?.pot.id);
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
