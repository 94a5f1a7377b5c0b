import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { IngredientNames, Reasoned, Term } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';

/** A decided number as its sum: the same terms that made it, each with its source. */
@Component({
  selector: 'ek-why-text',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <span class="rule">{{ t('rule.' + reason().rule) }}</span>
      @for (x of reason().terms; track $index) {
        <span class="term">
          {{ t('term.' + x.label, { food: x.subject ? fmt.namesOf(names(), x.subject) : '' }) }}
          <b>{{ value(x) }}</b>
          @if (x.source) {
            <i class="quiet"> {{ t('source.' + x.source) }}</i>
          }
        </span>
      }
      @if (spreadG(); as s) {
        @if (s >= 1) {
          <span class="term"
            >± <b>{{ fmt.grams(s) }}</b></span
          >
        }
      }
      @if (reason().overruled !== undefined) {
        <span class="term mine">{{ t('why.overruled') }}</span>
      }
    </ng-container>
  `,
  styles: `
    :host {
      font-size: var(--size-note);
      line-height: 1.3;
    }
    .rule {
      font-weight: 700;
      margin-right: var(--space-4);
    }
    .term {
      margin-right: var(--space-5);
    }
    i {
      font-size: var(--size-note);
      color: var(--ink);
      font-style: italic;
      opacity: 0.85;
    }
    .mine {
      font-weight: 700;
    }
  `,
})
export class WhyText {
  readonly reason = input.required<Reasoned>();
  readonly names = input<IngredientNames>({});
  readonly spreadG = input<number | null>(null);
  readonly fmt = inject(Format);

  value(x: Term): string {
    const n = (digits: number): string => this.fmt.number(x.value, digits);
    switch (x.unit) {
      case 'share':
        return this.fmt.percent(x.value, x.value < 0.1 ? 1 : 0);
      case 'percent':
        return `${n(2)} %`;
      case 'min':
        return `${n(1)} min`;
      case 'ml':
        return this.fmt.measure('volume', x.value);
      case 'C':
        return this.fmt.temperature(x.value);
      case 'points':
        return n(2);
      case 'g/g':
        return `${n(2)} g/g`;
      default:
        return `${n(Math.abs(x.value) < 10 ? 1 : 0)} ${x.unit}`;
    }
  }
}
