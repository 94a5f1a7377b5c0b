import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { HouseClock } from '../state/clock';

/** Says that a clock was set while the page was open, and by which the minutes go. */
@Component({
  selector: 'ek-clock-moved',
  imports: [Button, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (moved(); as m) {
        <p role="status">
          {{ t('clock-moved.' + m.whose, { min: min() }) }}
          <p-button size="large" severity="secondary" [label]="t('clock-moved.read')" (onClick)="moved.set(null)" />
        </p>
      }
    </ng-container>
  `,
  styleUrl: './strip.scss',
})
export class ClockMoved {
  private readonly fmt = inject(Format);
  readonly moved = inject(HouseClock).moved;
  readonly min = computed(() => this.fmt.minutes(Math.max(1, Math.round(Math.abs(this.moved()?.by ?? 0) / 60_000))));
}
