import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { KitchenActions, kitchenFeature } from '../state/kitchen';
import { benchFeature } from './bench.slice';
import { LearnedTerms } from './learned-terms';

/** What of the log moved this plan, each with its spread, and the way to plan without it. */
@Component({
  selector: 'ek-learned-note',
  imports: [TranslocoDirective, Button, LearnedTerms],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (kitchen().learned) {
        <p>
          @if (kitchen().learning) {
            @if (moved().length > 0) {
              <ek-learned-terms [moved]="moved()" />
            } @else {
              <span>{{ t('learned.moved-nothing') }}</span>
            }
          } @else {
            <span>{{ t('learned.is-off') }}</span>
          }
          <p-button
            [style]="{ minHeight: '44px' }"
            severity="secondary"
            [label]="t(kitchen().learning ? 'learned.switch-off' : 'learned.switch-on')"
            (onClick)="use(!kitchen().learning)"
          />
        </p>
      }
    </ng-container>
  `,
  styles: `
    p {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-2) var(--space-7);
      align-items: center;
      margin: var(--space-3) 0;
      padding: var(--space-2) var(--space-6);
      border-left: 4px solid var(--steam);
      background: var(--steam-tint);
      font-size: var(--size-text);
    }
    ek-learned-terms {
      flex: 1 1 24rem;
    }
    p-button {
      margin-left: auto;
    }
  `,
})
export class LearnedNote {
  private readonly store = inject(Store);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  private readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  /** the two surest of what the pot and the rice do; salt stands at its own sum, and the Log has them all */
  readonly moved = computed(() =>
    (this.plan()?.learned?.moved ?? []).filter((m) => m.parameter !== 'salt').slice(0, 2),
  );

  use(learning: boolean): void {
    this.store.dispatch(KitchenActions.change({ change: { learning } }));
  }
}
