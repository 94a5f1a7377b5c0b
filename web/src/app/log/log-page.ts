import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ratingScales, type CookSummary, type LogFile } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { TableModule } from 'primeng/table';
import { Button } from 'primeng/button';
import { firstValueFrom } from 'rxjs';
import { Format } from '../i18n/format';
import { KitchenActions } from '../state/kitchen';
import { Api, failureOf } from '../api/client';
import type * as files from './export';
import { LogActions, logFeature } from './log.slice';
import { Taught } from './taught';

type Files = typeof files;

/** The Log: every cook, planned against what it was. */
@Component({
  selector: 'ek-log-page',
  imports: [RouterLink, TranslocoDirective, Button, TableModule, Taught],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './log-page.html',
  styleUrl: './log-page.scss',
})
export class LogPage {
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  private readonly api = inject(Api);
  readonly rows = this.store.selectSignal(logFeature.selectRows);
  readonly real = this.store.selectSignal(logFeature.selectReal);
  readonly practised = this.store.selectSignal(logFeature.selectPractised);
  readonly next = this.store.selectSignal(logFeature.selectNext);
  readonly loaded = this.store.selectSignal(logFeature.selectLoaded);
  readonly failure = this.store.selectSignal(logFeature.selectFailure);

  constructor() {
    this.store.dispatch(LogActions.load());
    // A cook that has just ended may have taught something.
    this.store.dispatch(KitchenActions.load());
  }

  more(): void {
    this.store.dispatch(LogActions.more());
  }
  /** The whole log and the writer of files come only when a file is asked for. */
  saveTable(): void {
    void this.save((x, log) => x.saveTable(log));
  }
  saveAll(): void {
    void this.save((x, log) => x.saveAll(log));
  }
  private async save(write: (x: Files, log: LogFile) => void): Promise<void> {
    try {
      const [x, log] = await Promise.all([import('./export'), firstValueFrom(this.api.log())]);
      write(x, log);
    } catch (e) {
      this.store.dispatch(LogActions.failed({ failure: failureOf(e) }));
    }
  }
  byId = (_: number, r: CookSummary): string => r.id;
  band(c: CookSummary, t: (key: string) => string): string {
    return c.planned.band === null ? '–' : t(`band.${c.planned.band}`);
  }
  said(c: CookSummary): string | null {
    const i = c.ratings.grain;
    return i === undefined ? null : ratingScales.grain[i]!;
  }
}
