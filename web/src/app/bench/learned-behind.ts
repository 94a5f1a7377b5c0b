import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { isLearnedNumber, learnedBehind } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Format } from '../i18n/format';
import { learnedWords } from '../i18n/learned-words';
import { benchFeature } from './bench.slice';

/** What of the log moved one number of the plan, each with its spread and its cooks; nothing where nothing did. */
@Component({
  selector: 'ek-learned-behind',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @for (m of moved(); track m.key) {
        <span>
          {{ t('learned.your-log') }} <b>{{ t('learned.' + m.key, { by: m.by }) }}</b> (± {{ m.spread }},
          {{ t('learned.from.' + fmt.plural(m.cooks), { n: m.cooks }) }})
        </span>
      }
    </ng-container>
  `,
  styles: `
    :host {
      font-size: var(--size-note);
      line-height: 1.3;
    }
    span {
      margin-right: var(--space-5);
      padding-left: var(--space-3);
      border-left: 3px solid var(--steam);
    }
  `,
})
export class LearnedBehind {
  /** a number of the plan that the log can move; any other row of the water has nothing */
  readonly number = input.required<string>();
  readonly fmt = inject(Format);
  private readonly plan = inject(Store).selectSignal(benchFeature.selectPlan);
  readonly moved = computed(() => {
    const [plan, number] = [this.plan(), this.number()];
    const moved = plan && isLearnedNumber(number) ? learnedBehind(plan, number) : [];
    return moved.map((m) => ({ ...learnedWords(m.parameter, m, this.fmt), cooks: m.cooks }));
  });
}
