import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { Schedule } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';

/** The hidden waits of an evening: when each begins, how long it is, what fits into it, and what stays free. */
@Component({
  selector: 'ek-waits',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <h3>{{ t('waits.title') }}</h3>
      <ol>
        @for (w of waits(); track w.step.id) {
          <li>
            <b class="mono">{{ fmt.time(w.startMs) }}</b>
            <span
              >{{ t('stage-name.' + w.step.stage) }}, <b>{{ fmt.minutes(w.step.minutes) }} min</b>
              <span class="quiet">
                @for (f of w.fill; track f.code) {
                  {{ t('filler.' + f.code) }} {{ f.minutes }} min{{ $last ? '' : ',' }}
                } @empty {
                  {{ t('waits.nothing') }}
                }
              </span></span
            >
          </li>
        }
      </ol>
    </ng-container>
  `,
  styles: `
    :host {
      display: block;
      width: min(30rem, 88vw);
    }
    h3 {
      font: 700 var(--size-body) var(--read);
      margin: 0 0 var(--space-3);
    }
    ol {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      display: grid;
      grid-template-columns: 4rem 1fr;
      padding: var(--space-2) 0;
      border-top: 1px solid var(--hair);
    }
    .quiet {
      display: block;
    }
  `,
})
export class Waits {
  readonly waits = input.required<Schedule['waits']>();
  readonly fmt = inject(Format);
}
