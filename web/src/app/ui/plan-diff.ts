import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';
import type { Difference } from './differences';

/** What is different between two plans, in a line of figures: "liquid 405 → 380 mL". */
@Component({
  selector: 'ek-plan-diff',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @for (d of all(); track d.key) {
        <span class="d" [class.bad]="d.key === 'stops' && d.after !== 0"
          ><span class="name">{{ t('diff.' + d.key) }}</span> {{ show(t, d, d.before) }} →
          <b>{{ show(t, d, d.after) }}</b></span
        >
      } @empty {
        <span>{{ t('diff.none') }}</span>
      }
    </ng-container>
  `,
  styles: `
    :host {
      display: inline-flex;
      flex-wrap: wrap;
      gap: var(--space-1) var(--space-8);
    }
    .name {
      font-weight: 400;
    }
    .bad b {
      color: var(--paprika);
    }
  `,
})
export class PlanDiff {
  readonly all = input.required<readonly Difference[]>();
  private readonly fmt = inject(Format);

  show(t: (key: string, p?: Record<string, unknown>) => string, d: Difference, x: number | string): string {
    if (typeof x === 'string') {
      const [kind, n] = x.split('-') as [string, string];
      return t(`diff.release-${kind}`, { n });
    }
    switch (d.key) {
      case 'liquid':
        return this.fmt.ml(x);
      case 'first':
        return x === 0 ? t('diff.first-none') : `${this.fmt.minutes(x)} min`;
      case 'hold':
      case 'minutes':
        return `${this.fmt.minutes(x)} min`;
      case 'grain':
        return `${this.fmt.number(x, 1)} %`;
      case 'pasta':
        return `× ${this.fmt.number(x, 2)}`;
      case 'meat':
        return this.fmt.temperature(x);
      case 'salt':
        return `${this.fmt.number(x, 2)} %`;
      case 'scorch':
      case 'fill':
        return this.fmt.percent(x);
      default:
        return this.fmt.number(x);
    }
  }
}
