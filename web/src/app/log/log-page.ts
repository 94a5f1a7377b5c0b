import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ratingScales, type Actual, type Cook } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { TableModule } from 'primeng/table';
import { Format } from '../i18n/format';
import { LogActions, logFeature } from './log.slice';

/** The Log: every cook, planned against what it was. */
@Component({
  selector: 'ek-log-page',
  imports: [RouterLink, TranslocoDirective, TableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page" *transloco="let t">
      <div class="head">
        <h1>{{ t('log.title') }}</h1>
        <span class="quiet">{{ t('log.count', { n: real().length }) }}</span>
        @if (rows().length > real().length) {
          <span class="quiet">{{ t('log.practised', { n: rows().length - real().length }) }}</span>
        }
        <span class="quiet legend">{{ t('log.legend') }}</span>
      </div>
      @if (failure(); as f) {
        <p class="stop-text" role="alert">{{ f.offline ? t('error.offline') : f.message }}</p>
      }
      @if (loaded() && rows().length === 0) {
        <section class="panel empty">
          <h2>{{ t('log.empty') }}</h2>
          <p>{{ t('log.empty-hint') }}</p>
        </section>
      } @else if (rows().length > 0) {
        <section class="panel list">
          <p-table [value]="rows()" [rowTrackBy]="byId">
            <ng-template #header>
              <tr>
                <th scope="col">{{ t('log.date') }}</th>
                <th scope="col">{{ t('log.dish') }}</th>
                <th scope="col">{{ t('log.liquid') }}</th>
                <th scope="col">{{ t('log.to-pin') }}</th>
                <th scope="col">{{ t('log.serve') }}</th>
                <th scope="col">{{ t('log.grain') }}</th>
                <th scope="col">{{ t('log.core') }}</th>
              </tr>
            </ng-template>
            <ng-template #body let-r>
              <tr>
                <td>{{ fmt.date(r.cook.startedMs) }}</td>
                <td>
                  <a [routerLink]="r.cook.finishedMs === null ? ['/stove', r.cook.id] : ['/log', r.cook.id]">{{
                    r.cook.dish.title
                  }}</a>
                  <span class="quiet">{{ t('log.for', { n: r.cook.dish.serves }) }}</span>
                  @if (r.cook.practice) {
                    <span class="mark">{{ t('practice.word') }}</span>
                  }
                </td>
                <td>{{ fmt.ml(r.cook.plan.liquid.addMl) }}</td>
                <td>
                  <span class="quiet">{{ fmt.number(r.cook.plan.program.pinUpMin, 1) }}</span> →
                  <b>{{ r.actual.toPinMin === null ? '–' : fmt.number(r.actual.toPinMin, 1) }}</b> min
                </td>
                <td>
                  @if (r.cook.finishedMs !== null) {
                    <span class="quiet">{{ fmt.time(planned(r.cook)) }}</span> →
                    <b>{{ fmt.time(r.actual.servedMs) }}</b>
                  } @else {
                    <b class="on">{{ t('log.cooking') }}</b>
                  }
                </td>
                <td>
                  @if (said(r.cook); as word) {
                    <span class="quiet">{{ band(r.cook, t) }}</span> →
                    <b>{{ t('rating.grain.' + word) }}</b>
                  } @else {
                    <span class="quiet">{{ band(r.cook, t) }} → ?</span>
                  }
                </td>
                <td>
                  @if (r.cook.plan.meats[0]; as m) {
                    <span class="quiet">{{ fmt.number(m.coreC) }}</span> →
                    <b>{{ (r.cook.outcome?.coreC ?? null) === null ? '?' : fmt.number(r.cook.outcome.coreC) }}</b> °C
                  } @else {
                    <span class="quiet">–</span>
                  }
                </td>
              </tr>
            </ng-template>
          </p-table>
        </section>
      } @else {
        <p class="quiet" role="status">{{ t('shelf.loading') }}</p>
      }
    </div>
  `,
  styles: `
    .page {
      max-width: 1280px;
      margin: 0 auto;
      padding: 14px 16px;
    }
    .head {
      display: flex;
      gap: 14px;
      align-items: baseline;
    }
    .legend {
      margin-left: auto;
    }
    .list {
      overflow: auto;
    }
    a {
      font-weight: 700;
      margin-right: 8px;
    }
    td,
    th {
      white-space: nowrap;
      text-align: left;
    }
    .mark {
      border: 1.5px solid var(--steam);
      border-radius: 6px;
      color: var(--steam);
      padding: 0 8px;
      margin-left: 8px;
      font-size: 15px;
    }
    .on {
      color: var(--steam);
    }
  `,
})
export class LogPage {
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  readonly rows = this.store.selectSignal(logFeature.selectRows);
  readonly real = this.store.selectSignal(logFeature.selectReal);
  readonly loaded = this.store.selectSignal(logFeature.selectLoaded);
  readonly failure = this.store.selectSignal(logFeature.selectFailure);

  constructor() {
    this.store.dispatch(LogActions.load());
  }

  byId = (_: number, r: { cook: Cook; actual: Actual }): string => r.cook.id;
  /** When the plan of that day would have served. */
  planned(c: Cook): number {
    return c.startedMs + c.plan.steps.reduce((m, s) => m + s.minutes, 0) * 60_000;
  }
  band(c: Cook, t: (key: string) => string): string {
    const starch = c.plan.grain ?? c.plan.pasta;
    return starch ? t(`band.${starch.band}`) : '–';
  }
  said(c: Cook): string | null {
    const i = c.outcome?.ratings.grain;
    return i === undefined ? null : ratingScales.grain[i]!;
  }
}
