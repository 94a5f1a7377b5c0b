import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { LastVisit } from '../api/last-visit';
import { Format } from '../i18n/format';

/** Says that what is on the screen is of the last visit, while the server does not answer. */
@Component({
  selector: 'ek-as-it-was',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (asOfMs(); as ms) {
        <p role="status">{{ t('error.as-it-was', { day: fmt.date(ms), time: fmt.time(ms) }) }}</p>
      }
    </ng-container>
  `,
  styleUrl: './strip.scss',
})
export class AsItWas {
  readonly fmt = inject(Format);
  readonly asOfMs = inject(LastVisit).asOfMs;
}
