import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import type { Outlook } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { narrow } from '../ui/narrow';
import type { OutlookWords } from './outlook-words';

/** What has changed against the plan, in one sentence, and the tap that takes what follows from it. */
@Component({
  selector: 'ek-outlook-note',
  imports: [TranslocoDirective, Button],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p *transloco="let t" class="outlook" [class.alarm]="alarming.includes(outlook().advice)" role="status">
      <span class="words"
        >{{ t(words().key, params()) }}
        @if (words().sauce; as s) {
          {{ t('outlook.sauce', { word: t('sauce-word.' + s.band), g: s.freeG }) }}
        }
      </span>
      @if (words().take === 'hold') {
        <p-button
          [size]="narrow() ? 'large' : undefined"
          [fluid]="narrow()"
          [label]="t('outlook.take', { min: fmt.minutes(outlook().holdMin) })"
          (onClick)="holdTaken.emit(outlook().holdMin)"
        />
      } @else if (words().take === 'first') {
        <p-button
          [size]="narrow() ? 'large' : undefined"
          [fluid]="narrow()"
          [label]="t('outlook.take-first', { min: fmt.minutes(outlook().firstMoreMin) })"
          (onClick)="firstTaken.emit(outlook().firstMoreMin)"
        />
      }
    </p>
  `,
  styles: `
    @use 'breakpoints' as *;

    .outlook {
      display: flex;
      gap: var(--space-5);
      align-items: center;
      justify-content: space-between;
      border: 1.5px solid var(--turmeric);
      background: var(--turmeric-tint);
      border-radius: 8px;
      padding: var(--space-3) var(--space-6);
      margin: var(--space-3) 0 0;
    }
    .words {
      flex: 1 1 14rem;
    }
    .alarm {
      border-color: var(--paprika);
      background: var(--paprika-tint);
    }
    p-button {
      flex: none;
    }
    @media #{$phone} {
      .outlook {
        flex-wrap: wrap;
      }
      p-button {
        flex: 1 1 100%;
      }
    }
  `,
})
export class OutlookNote {
  readonly outlook = input.required<Outlook>();
  readonly words = input.required<OutlookWords>();
  /** the new hold, min */
  readonly holdTaken = output<number>();
  /** what the first of two stages lacks, min */
  readonly firstTaken = output<number>();
  /** a wet thumb on a phone gets the whole width */
  readonly narrow = narrow();
  readonly fmt = inject(Format);
  private readonly transloco = inject(TranslocoService);
  readonly alarming: readonly Outlook['advice'][] = ['open-now', 'meat-needs-more', 'first-short'];

  params(): Record<string, unknown> {
    const o = this.outlook();
    return {
      late: Math.abs(this.words().lateMin),
      change: this.fmt.minutes(Math.abs(o.holdChangeMin)),
      hold: this.fmt.minutes(o.holdMin),
      more: this.fmt.minutes(o.firstMoreMin),
      points: this.fmt.counted('point', Math.abs(o.softer), 1),
      band: o.band ? this.transloco.translate(`band.${o.band}`) : '',
    };
  }
}
