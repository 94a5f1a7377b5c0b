import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { IngredientNames, Plan } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';

/** Everything that stands ready before the heat goes on: hands-on minutes and waits, the gate that the Stove asks for. */
@Component({
  selector: 'ek-prep-list',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <section [attr.aria-label]="t('prep.title')">
        <strong>{{ t('prep.title') }}</strong>
        @for (s of steps(); track s.id) {
          <span [class.wait]="s.kind === 'wait'"
            >{{
              t('prep.' + s.text, {
                food: s.ingredients[0] ? fmt.namesOf(names(), s.ingredients[0]) : '',
              })
            }}
            <b class="mono">{{ fmt.minutes(s.minutes) }}</b></span
          >
        }
        <span class="quiet">{{ t('prep.gate', { min: fmt.minutes(total()) }) }}</span>
      </section>
    </ng-container>
  `,
  styles: `
    section {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-2) var(--space-8);
      border-top: 1px solid var(--hair);
      padding-top: var(--space-4);
      margin-top: var(--space-4);
    }
    .wait {
      color: var(--steam);
    }
  `,
})
export class PrepList {
  readonly plan = input.required<Plan>();
  readonly names = input.required<IngredientNames>();
  readonly fmt = inject(Format);
  readonly steps = computed(() => this.plan().steps.filter((s) => s.stage === 'prep' && s.minutes > 0));
  readonly total = computed(() => this.steps().reduce((m, s) => m + s.minutes, 0));
}
