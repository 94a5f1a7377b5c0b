import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { leftAfterMs, logOutcomes, logSorts, ratingScales, type CookSummary } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { KitchenActions } from '../state/kitchen';
import type { LogQuery } from '../api/client';
import { LogActions, logFeature } from './log.slice';
import { Taught } from './taught';
import { PotNamePipe } from '../ui/pot-name';
import { HouseClock } from '../state/clock';

/** More curves over each other cannot be told apart. */
const mostCompared = 4;

/** The Log: every cook, planned against what it was. */
@Component({
  selector: 'ek-log-page',
  imports: [SaidPipe, PotNamePipe, RouterLink, TranslocoDirective, Button, Taught],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './log-page.html',
  styleUrl: './log-page.scss',
})
export class LogPage {
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  private readonly clock = inject(HouseClock);
  readonly rows = this.store.selectSignal(logFeature.selectRows);
  readonly real = this.store.selectSignal(logFeature.selectReal);
  readonly practised = this.store.selectSignal(logFeature.selectPractised);
  readonly query = this.store.selectSignal(logFeature.selectQuery);
  readonly found = this.store.selectSignal(logFeature.selectFound);
  readonly potIds = this.store.selectSignal(logFeature.selectPotIds);
  readonly next = this.store.selectSignal(logFeature.selectNext);
  readonly loaded = this.store.selectSignal(logFeature.selectLoaded);
  readonly failure = this.store.selectSignal(logFeature.selectFailure);

  constructor() {
    this.store.dispatch(LogActions.load());
    // A cook that has just ended may have taught something.
    this.store.dispatch(KitchenActions.load());
  }

  readonly sorts = logSorts;
  readonly outcomes = logOutcomes;
  readonly narrowed = computed(() => {
    const { text, outcome, potId } = this.query();
    return !!text || !!outcome || !!potId;
  });
  /** cooks to be compared */
  readonly picked = signal<readonly string[]>([]);

  ask(query: LogQuery): void {
    this.store.dispatch(LogActions.ask({ query }));
  }
  askOutcome(value: string): void {
    this.ask({ outcome: logOutcomes.find((o) => o === value) ?? '' });
  }
  askSort(value: string): void {
    this.ask({ sort: logSorts.find((s) => s === value) ?? 'newest' });
  }
  pick(id: string, isPicked: boolean): void {
    const others = this.picked().filter((x) => x !== id);
    this.picked.set(isPicked ? [...others, id].slice(-mostCompared) : others);
  }
  /** Still open long after it must have ended: it is asked for, not shown as cooking. */
  isLeft(r: CookSummary): boolean {
    return r.finishedMs === null && this.clock.now() - r.startedMs > leftAfterMs;
  }
  more(): void {
    this.store.dispatch(LogActions.more());
  }
  band(c: CookSummary, t: (key: string) => string): string {
    return c.planned.band === null ? '–' : t(`band.${c.planned.band}`);
  }
  said(c: CookSummary): string | null {
    const i = c.ratings.grain;
    return i === undefined ? null : ratingScales.grain[i]!;
  }
}
