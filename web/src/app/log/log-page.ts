import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ratingScales, type Actual, type Cook } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { TableModule } from 'primeng/table';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { KitchenActions, kitchenFeature } from '../state/kitchen';
import { LogActions, logFeature } from './log.slice';
import { Taught } from './taught';

/** The Log: every cook, planned against what it was. */
@Component({
  selector: 'ek-log-page',
  imports: [RouterLink, TranslocoDirective, Button, TableModule, Taught],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './log-page.html',
  styles: `
    .page {
      max-width: 1280px;
      margin: 0 auto;
      padding: var(--space-7) var(--space-8);
    }
    .head {
      display: flex;
      gap: var(--space-7);
      align-items: baseline;
    }
    .legend {
      margin-left: auto;
    }
    .tools {
      display: flex;
      gap: var(--space-4);
    }
    .list {
      overflow: auto;
    }
    a {
      font-weight: 700;
      margin-right: var(--space-4);
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
      padding: 0 var(--space-4);
      margin-left: var(--space-4);
      font-size: var(--size-note);
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
  private readonly cooks = this.store.selectSignal(logFeature.selectAll);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly loaded = this.store.selectSignal(logFeature.selectLoaded);
  readonly failure = this.store.selectSignal(logFeature.selectFailure);

  constructor() {
    this.store.dispatch(LogActions.load());
    // A cook that has just ended may have taught something.
    this.store.dispatch(KitchenActions.load());
  }

  /** The writer of tables comes only when a file is asked for. */
  saveTable(): void {
    void import('./export').then((x) => x.saveTable(this.cooks()));
  }
  saveAll(): void {
    void import('./export').then((x) => x.saveAll(this.kitchen(), this.cooks()));
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
