import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Plan } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';
import { learnedWords } from '../i18n/learned-words';

/** What the log taught, in words, each with its spread and the cooks it is from; nothing where there is none. */
@Component({
  selector: 'ek-learned-terms',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @for (m of terms(); track m.key; let first = $first) {
        @if (first) {
          <span class="quiet">{{ t('learned.your-log') }}</span>
        }
        <span
          ><b>{{ t('learned.' + m.key, { by: m.by }) }}</b> (± {{ m.spread }},
          {{ t('learned.from.' + fmt.plural(m.cooks), { n: m.cooks }) }})</span
        >
      }
    </ng-container>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-2) var(--space-7);
    }
  `,
})
export class LearnedTerms {
  readonly moved = input.required<NonNullable<Plan['learned']>['moved']>();
  readonly fmt = inject(Format);
  readonly terms = computed(() =>
    this.moved().map((m) => ({ ...learnedWords(m.parameter, m, this.fmt), cooks: m.cooks })),
  );
}
