import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { BenchActions, benchFeature } from './bench.slice';
import { differences } from '../ui/differences';
import { PlanDiff } from '../ui/plan-diff';
import { trialOf, type SheetName } from './one-change';

/** One thing to change, to see what follows: planned for real, kept only when the cook says so. */
@Component({
  selector: 'ek-try-it',
  imports: [TranslocoDirective, Button, PlanDiff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (trial(); as x) {
        <section class="try" [attr.aria-label]="t('try.title')">
          <strong>{{ t('try.title') }}</strong>
          @if (shown(); as s) {
            <span>{{ t('try.' + s.key) }}:</span>
            @if (s.plan && plan()) {
              <ek-plan-diff role="status" [all]="differences(plan()!, s.plan)" />
              <p-button size="small" [label]="t('try.keep')" (onClick)="keep()" />
              <p-button size="small" severity="secondary" [label]="t('try.leave')" (onClick)="leave()" />
            } @else {
              <span class="quiet" role="status">{{ t('bench.thinking') }}</span>
            }
          } @else {
            <p-button size="small" severity="secondary" [label]="t('try.' + x.key)" (onClick)="go()" />
            <span class="quiet">{{ t('try.hint') }}</span>
          }
        </section>
      }
    </ng-container>
  `,
  styles: `
    :host {
      display: block;
      border-top: 1.5px dashed var(--hair);
      padding-top: var(--space-3);
    }
    :host([sheet='water']) {
      border: 0;
    }
    .try {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-3) var(--space-6);
      align-items: center;
      min-height: 42px;
    }
  `,
})
export class TryIt {
  readonly sheet = input.required<SheetName>();
  readonly differences = differences;
  private readonly store = inject(Store);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  private readonly dish = this.store.selectSignal(benchFeature.selectDish);
  private readonly tried = this.store.selectSignal(benchFeature.selectTried);
  readonly trial = computed(() => {
    const dish = this.dish();
    const plan = this.plan();
    return dish && plan ? trialOf(this.sheet(), dish, plan) : null;
  });
  /** Only what was tried on this sheet. */
  readonly shown = computed(() => (this.tried()?.key === this.trial()?.key ? this.tried() : null));

  go(): void {
    const x = this.trial();
    if (x) this.store.dispatch(BenchActions.try(x));
  }
  keep(): void {
    const x = this.shown();
    if (x) this.store.dispatch(BenchActions.edit({ dish: x.dish }));
  }
  leave(): void {
    this.store.dispatch(BenchActions.tryOver());
  }
}
