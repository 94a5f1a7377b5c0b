import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import type { BringReport } from '../api/client';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';

/** What came of a file that was brought in: what is new, what was there, and what stays out with its sentence. */
@Component({
  selector: 'ek-bring-report',
  imports: [SaidPipe, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <p>
        <b>{{ t('bring.added.' + fmt.plural(report().added), { n: fmt.number(report().added) }) }}</b>
        @if (report().newDishes > 0) {
          {{ t('bring.dishes.' + fmt.plural(report().newDishes), { n: fmt.number(report().newDishes) }) }}
        }
        @if (report().already > 0) {
          {{ t('bring.already.' + fmt.plural(report().already), { n: fmt.number(report().already) }) }}
        }
      </p>
      @if (report().leftOut.length > 0) {
        <p>{{ t('bring.left-out') }}</p>
        <ul>
          @for (l of report().leftOut.slice(0, 20); track $index) {
            <li>
              <span class="mono">{{ l.at }}</span> {{ l.message | said }}
            </li>
          }
        </ul>
        @if (report().leftOut.length > 20) {
          <p>{{ t('bring.more-out', { n: fmt.number(report().leftOut.length - 20) }) }}</p>
        }
      }
    </ng-container>
  `,
})
export class BringReportPanel {
  readonly report = input.required<BringReport>();
  readonly fmt = inject(Format);
}
