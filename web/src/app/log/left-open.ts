import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { Cook } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { LogActions } from './log.slice';
import { localMinute, localMs } from '../i18n/time-of-day';
import { HouseClock } from '../state/clock';

/** A cook that was left open: when did it end, or was it none? */
@Component({
  selector: 'ek-left-open',
  imports: [RouterLink, TranslocoDirective, Button],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <h2>{{ t('left-open.title') }}</h2>
      <div class="row">
        <label>
          <span class="quiet">{{ t('left-open.when') }}</span>
          <input #at type="datetime-local" [value]="guess()" [min]="started()" />
        </label>
        <p-button size="large" [label]="t('left-open.ended')" (onClick)="close(at.value)" />
        <a [routerLink]="['/stove', cook().id]">{{ t('left-open.go-on') }}</a>
        @if (!asked()) {
          <p-button size="large" severity="secondary" [label]="t('left-open.discard')" (onClick)="asked.set(true)" />
        } @else {
          <p-button size="large" severity="danger" [label]="t('left-open.surely')" (onClick)="discard()" />
        }
      </div>
      @if (bad()) {
        <p class="stop-text" role="alert">{{ t('left-open.bad') }}</p>
      }
    </ng-container>
  `,
  styles: `
    @use 'fields';

    .row {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-5) var(--space-7);
      align-items: end;
    }
    label {
      display: grid;
      gap: var(--space-1);
    }
    input,
    a {
      min-height: var(--touch);
      display: inline-flex;
      align-items: center;
    }
    input {
      @include fields.field;
    }
  `,
})
export class LeftOpen {
  readonly cook = input.required<Cook>();
  private readonly store = inject(Store);
  private readonly clock = inject(HouseClock);
  readonly asked = signal(false);
  readonly bad = signal(false);
  readonly started = computed(() => localMinute(this.cook().startedMs));
  /** when it would have stood on the table */
  readonly guess = computed(() => {
    const { startedMs, plan } = this.cook();
    return localMinute(startedMs + plan.steps.reduce((ms, s) => ms + s.minutes * 60_000, 0));
  });

  close(value: string): void {
    const [day = '', time = ''] = value.split('T');
    const finishedMs = localMs(day, time);
    const { id, startedMs } = this.cook();
    const isEnd = Number.isFinite(finishedMs) && finishedMs >= startedMs && finishedMs <= this.clock.now() + 60_000;
    this.bad.set(!isEnd);
    if (isEnd) this.store.dispatch(LogActions.close({ id, finishedMs }));
  }
  discard(): void {
    this.store.dispatch(LogActions.discard({ id: this.cook().id }));
  }
}
