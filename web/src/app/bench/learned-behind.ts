import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { isLearnedNumber, learnedBehind } from '@einkorn/core';
import { Store } from '@ngrx/store';
import { benchFeature } from './bench.slice';
import { LearnedTerms } from './learned-terms';

/** What of the log moved one number of the plan; nothing where nothing did. */
@Component({
  selector: 'ek-learned-behind',
  imports: [LearnedTerms],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (moved().length > 0) {
      <ek-learned-terms [moved]="moved()" />
    }
  `,
  styles: `
    ek-learned-terms {
      margin: var(--space-2) 0;
      padding-left: var(--space-4);
      border-left: 3px solid var(--steam);
      font-size: var(--size-note);
      line-height: 1.3;
    }
  `,
})
export class LearnedBehind {
  /** a number of the plan; of a row of the water that the log does not move there is nothing to say */
  readonly number = input.required<string>();
  private readonly plan = inject(Store).selectSignal(benchFeature.selectPlan);
  readonly moved = computed(() => {
    const [plan, number] = [this.plan(), this.number()];
    return plan && isLearnedNumber(number) ? learnedBehind(plan, number) : [];
  });
}
