import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { actualOf, askedAfter, curveFromTaps, forecast, type RatingKey, type CookEvent } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Textarea } from 'primeng/textarea';
import { eventFigure, eventNote } from '../i18n/event-words';
import { Format } from '../i18n/format';
import { kitchenFeature } from '../state/kitchen';
import { axis, Chart, token, type Figure } from '../ui/chart';
import { patternOf } from '../ui/patterns';
import { RatingScale } from '../ui/rating-scale';
import { LogActions, logFeature } from './log.slice';
import { LookBack } from './look-back';

const tints: Record<RatingKey, string> = {
  grain: 'var(--turmeric-tint)',
  meat: 'var(--plum-tint)',
  bottom: 'var(--paprika-tint)',
  sauce: 'var(--steam-tint)',
  salt: 'var(--leaf-tint)',
};
const kinds: Record<RatingKey, string> = {
  grain: 'grain',
  meat: 'meat',
  bottom: 'heat',
  sauce: 'natural',
  salt: 'other',
};

/** One cook: as planned and as it was, how it came out on fixed scales, in the cook's own words. */
@Component({
  selector: 'ek-cook-page',
  imports: [FormsModule, RouterLink, TranslocoDirective, Textarea, Chart, LookBack, RatingScale],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (cook(); as c) {
        <div class="cook">
          <header class="panel head">
            <a class="back" routerLink="/log">‹ {{ t('log.all') }}</a>
            <h1>{{ c.dish.title }}</h1>
            @if (c.practice) {
              <span class="mark">{{ t('practice.word') }}</span>
            }
            <span class="quiet"
              >{{ fmt.date(c.startedMs) }}, {{ t('log.for', { n: c.dish.serves }) }},
              {{ t('pot-name.' + c.plan.pot.id) }}</span
            >
            @if (c.dishId) {
              <a class="again" [routerLink]="['/bench', c.dishId, 'water']">{{ t('log.again') }}</a>
            }
          </header>
          @if (lookBack(); as d) {
            <ek-look-back class="panel" [debrief]="d" [cook]="c" />
          }
          <section class="panel curve">
            <h2>
              {{ t('log.planned-actual') }}
              <span class="quiet sub">{{
                t('log.served', { time: fmt.time(actual()!.servedMs), plan: fmt.time(plannedServe()) })
              }}</span>
            </h2>
            <ek-chart class="chart" [figure]="drawing()" [redraw]="theme()" [label]="t('log.curve-label')" />
            <p class="quiet from-taps">{{ t(actual()?.again ? 'log.two-runs' : 'log.from-taps') }}</p>
          </section>
          <section class="panel rate">
            <h2>
              {{ t('log.came-out') }}
              <span class="quiet sub">○ {{ t('log.predicted') }} ● {{ t('log.you-said') }}</span>
            </h2>
            @for (k of keys(); track k) {
              <div class="scale">
                <span class="name"
                  ><svg width="16" height="16" aria-hidden="true">
                    <rect
                      x="0.75"
                      y="0.75"
                      width="14.5"
                      height="14.5"
                      rx="3"
                      [attr.fill]="pattern(k)"
                      stroke="var(--ink)"
                    /></svg
                  ><strong>{{ t('rating.' + k + '.name') }}</strong></span
                >
                <ek-rating-scale
                  [of]="k"
                  [value]="c.outcome?.ratings?.[k] ?? null"
                  [predicted]="guess()[k]"
                  [tint]="tints[k]"
                  (chosen)="rate(k, $event)"
                />
              </div>
            }
            <label class="note"
              >{{ t('log.note') }}
              <textarea
                pTextarea
                rows="2"
                maxlength="4000"
                [ngModel]="note() ?? c.outcome?.note ?? ''"
                (ngModelChange)="note.set($event)"
                (blur)="keepNote()"
              ></textarea>
            </label>
          </section>
          <section class="panel figures">
            <h2>{{ t('log.figures') }}</h2>
            <table>
              <thead>
                <tr>
                  <th scope="col"></th>
                  <th scope="col">{{ t('log.planned') }}</th>
                  <th scope="col">{{ t('log.actual') }}</th>
                </tr>
              </thead>
              <tbody>
                <tr>
                  <th scope="row">{{ t('log.f-liquid') }}</th>
                  <td>{{ fmt.ml(c.plan.liquid.addMl) }}</td>
                  <td class="quiet">{{ t('log.as-planned') }}</td>
                </tr>
                <tr>
                  <th scope="row">{{ t('log.f-pin') }}</th>
                  <td>{{ fmt.number(c.plan.program.pinUpMin, 1) }} min</td>
                  <td>
                    <b>{{
                      actual()!.toPinMin === null ? t('log.not-tapped') : fmt.number(actual()!.toPinMin!, 1) + ' min'
                    }}</b>
                  </td>
                </tr>
                <tr>
                  <th scope="row">{{ t('log.f-program') }}</th>
                  <td>{{ program(t) }}</td>
                  <td>
                    <b>{{
                      actual()!.releaseMin === null
                        ? t('log.not-tapped')
                        : t('log.f-release', { min: fmt.number(actual()!.releaseMin!, 1) })
                    }}</b>
                  </td>
                </tr>
                <tr>
                  <th scope="row">{{ t('log.f-total') }}</th>
                  <td>{{ fmt.number(plannedTotal()) }} min</td>
                  <td>
                    <b>{{ fmt.number(actual()!.totalMin) }} min</b>
                  </td>
                </tr>
                @if (c.plan.meats[0]; as m) {
                  <tr>
                    <th scope="row">{{ t('log.f-core', { c: fmt.number(m.safeMinimumC) }) }}</th>
                    <td>{{ fmt.celsius(m.coreC) }}</td>
                    <td [class.stop-text]="(c.outcome?.coreC ?? 999) < m.safeMinimumC">
                      <b>{{
                        (c.outcome?.coreC ?? null) === null ? t('log.not-measured') : fmt.celsius(c.outcome!.coreC!)
                      }}</b>
                    </td>
                  </tr>
                }
              </tbody>
            </table>
          </section>
          <section class="panel events">
            <h2>{{ t('log.what-happened') }}</h2>
            <ol>
              @for (e of happened(); track e.id) {
                <li>
                  <span class="mono">{{ fmt.time(e.atMs) }}</span> {{ t('event.' + e.kind) }} {{ figure(e) }}
                  {{ noteOf(e) }}
                  @if (e.device) {
                    <span class="quiet">{{ t('log.by-device', { device: e.device }) }}</span>
                  }
                </li>
              } @empty {
                <li class="quiet">{{ t('log.no-taps') }}</li>
              }
            </ol>
          </section>
        </div>
      } @else if (failure(); as f) {
        <div class="page">
          <section class="panel empty" role="alert">
            <h1>{{ t('log.missing') }}</h1>
            <p>{{ f.offline ? t('error.offline') : f.message }}</p>
            <a routerLink="/log">{{ t('log.all') }}</a>
          </section>
        </div>
      } @else {
        <p class="quiet" role="status">{{ t('bench.opening') }}</p>
      }
    </ng-container>
  `,
  styleUrl: './cook-page.css',
})
export class CookPage {
  readonly id = input.required<string>();
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  private readonly all = this.store.selectSignal(logFeature.selectEntities);
  readonly failure = this.store.selectSignal(logFeature.selectFailure);
  readonly theme = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly cook = computed(() => this.all()[this.id()] ?? null);
  private readonly debriefs = this.store.selectSignal(logFeature.selectDebriefs);
  readonly lookBack = computed(() => this.debriefs()[this.id()] ?? null);
  readonly actual = computed(() => (this.cook() ? actualOf(this.cook()!) : null));
  readonly guess = computed(() => forecast(this.cook()!.plan));
  readonly note = signal<string | null>(null);
  readonly tints = tints;
  readonly keys = computed(() => {
    const c = this.cook();
    return c ? askedAfter(c.plan) : [];
  });
  readonly plannedTotal = computed(() => this.cook()?.plan.steps.reduce((m, s) => m + s.minutes, 0) ?? 0);
  readonly plannedServe = computed(() => (this.cook()?.startedMs ?? 0) + this.plannedTotal() * 60_000);
  readonly happened = computed(
    () => this.cook()?.events.filter((e) => !['done', 'gauge-read', 'timer-stopped'].includes(e.kind)) ?? [],
  );
  figure = (e: CookEvent): string => eventFigure(e, this.fmt);
  noteOf = eventNote;
  pattern = (k: RatingKey): string => patternOf(kinds[k]);
  private readonly words = (key: string, p?: Record<string, unknown>): string => this.transloco.translate(key, p);

  readonly drawing = computed((): (() => Figure) => {
    const c = this.cook()!;
    const was = curveFromTaps(c);
    const p = c.plan;
    const a = this.actual()!;
    const pinC = 97;
    const holdFrom = (a.toPinMin ?? p.program.pinUpMin) + p.program.minutesToPressure - p.program.pinUpMin;
    return () => ({
      data: [
        {
          type: 'scatter',
          mode: 'lines',
          x: p.curve.minutes,
          y: p.curve.tempC,
          line: { color: token('quiet'), width: 2.5, dash: 'dash' },
          hoverinfo: 'skip',
        },
        {
          type: 'scatter',
          mode: 'lines',
          x: was.minutes,
          y: was.tempC,
          line: { color: token('rim'), width: 4 },
          hovertemplate: '%{x:.1f} min, %{y:.0f} °C<extra></extra>',
        },
        {
          type: 'scatter',
          mode: 'markers',
          x: [a.toPinMin ?? p.program.pinUpMin],
          y: [pinC],
          marker: { size: 15, color: token('enamel'), line: { width: 3.5, color: token('rim') } },
          hoverinfo: 'skip',
        },
      ],
      layout: {
        margin: { l: 46, r: 12, t: 12, b: 42 },
        xaxis: axis(this.words('chart.minutes'), { rangemode: 'tozero' }),
        yaxis: axis('°C', { range: [20, 126], dtick: 20 }),
        shapes: [
          {
            type: 'rect',
            x0: holdFrom,
            x1: holdFrom + p.program.holdMin,
            y0: 20,
            y1: p.program.steamC,
            fillcolor: token('steam'),
            opacity: 0.22,
            line: { width: 0 },
          },
        ],
        annotations: [
          {
            x: a.toPinMin ?? p.program.pinUpMin,
            y: pinC,
            ax: 50,
            ay: 26,
            text: this.words('log.pin-up'),
            arrowcolor: token('ink'),
            font: { size: 16, color: token('ink') },
          },
          {
            x: holdFrom + p.program.holdMin / 2,
            y: 123,
            showarrow: false,
            text: `<b>${this.words('stage.hold', { min: p.program.holdMin })}</b>`,
            font: { size: 16, color: token('ink') },
          },
          {
            x: p.curve.minutes[Math.floor(p.curve.minutes.length * 0.16)]!,
            y: p.curve.tempC[Math.floor(p.curve.minutes.length * 0.16)]! + 9,
            xanchor: 'right',
            showarrow: false,
            text: this.words('log.word-planned'),
            font: { size: 16, color: token('quiet') },
          },
          {
            x: was.minutes[Math.floor(was.minutes.length * 0.88)]!,
            y: was.tempC[Math.floor(was.minutes.length * 0.88)]! + 8,
            showarrow: false,
            text: `<b>${this.words('log.word-was')}</b>`,
            font: { size: 16, color: token('rim') },
          },
        ] as never,
      },
    });
  });

  constructor() {
    effect(() => this.store.dispatch(LogActions.loadOne({ id: this.id() })));
  }

  program(t: (key: string, p?: Record<string, unknown>) => string): string {
    const p = this.cook()!.plan.program;
    const hold = this.fmt.minutes(p.holdMin);
    return p.release.kind === 'quick'
      ? t('pressure.name-quick', { hold })
      : p.release.kind === 'natural'
        ? t('pressure.name-natural', { hold })
        : t('pressure.name-timed', { hold, natural: this.fmt.minutes(p.release.naturalMin ?? 0) });
  }
  rate(key: RatingKey, value: number): void {
    const c = this.cook();
    if (c)
      this.store.dispatch(
        LogActions.rate({
          id: c.id,
          outcome: { ...(c.outcome ?? { ratings: {} }), ratings: { ...c.outcome?.ratings, [key]: value } },
        }),
      );
  }
  keepNote(): void {
    const c = this.cook();
    const note = this.note();
    if (!c || note === null || note === (c.outcome?.note ?? '')) return;
    this.store.dispatch(LogActions.rate({ id: c.id, outcome: { ...(c.outcome ?? { ratings: {} }), note } }));
  }
}
