import { ChangeDetectionStrategy, Component, computed, effect, inject, DestroyRef } from '@angular/core';
import { struggles, type Proposal } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { BenchActions, benchFeature } from './bench.slice';
import { differences } from '../ui/differences';
import { PlanDiff } from '../ui/plan-diff';

const most = 4;

/** When one program does not serve all parts: says so, shows what would, each with its plan, and applies one with a tap. */
@Component({
  selector: 'ek-equaliser',
  imports: [TranslocoDirective, Button, PlanDiff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (parts().length > 0) {
        <section class="equal" [attr.aria-label]="t('equal.title')">
          <p>
            <strong>{{ t('equal.title') }}</strong>
            @for (x of parts(); track x.id) {
              <span>{{ t('equal.' + x.trouble, { food: x.food }) }}</span>
            }
          </p>
          @if (proposals(); as all) {
            @if (all.length === 0) {
              <p class="quiet" role="status">{{ t('equal.none') }}</p>
            } @else {
              <ul>
                @for (p of all; track p.code + p.to + p.ingredient) {
                  <li>
                    <span class="how">
                      <b>{{ t('equal.do-' + p.code, params(p)) }}</b>
                      <ek-plan-diff [all]="differences(plan()!, p.plan)" />
                    </span>
                    <p-button
                      size="small"
                      [label]="t('equal.use')"
                      [ariaLabel]="t('equal.use-one', { what: t('equal.do-' + p.code, params(p)) })"
                      (onClick)="use(p)"
                    />
                  </li>
                }
              </ul>
            }
          } @else {
            <p class="quiet" role="status">{{ t('equal.looking') }}</p>
          }
        </section>
      }
    </ng-container>
  `,
  styles: `
    .equal {
      border: 1.5px solid var(--plum);
      border-radius: 8px;
      background: var(--plum-tint);
      padding: var(--space-4) var(--space-6);
      margin-bottom: var(--space-5);
    }
    p {
      display: flex;
      gap: var(--space-2) var(--space-6);
      flex-wrap: wrap;
      margin: 0;
    }
    ul {
      list-style: none;
      margin: var(--space-3) 0 0;
      padding: 0;
    }
    li {
      display: flex;
      gap: var(--space-6);
      align-items: center;
      justify-content: space-between;
      border-top: 1px solid var(--hair);
      padding: var(--space-3) 0;
    }
    p-button {
      white-space: nowrap;
      flex: none;
    }
    .how {
      display: grid;
      gap: var(--space-1);
    }
  `,
})
export class Equaliser {
  private readonly store = inject(Store);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly differences = differences;
  private readonly fmt = inject(Format);
  private readonly names = this.store.selectSignal(benchFeature.selectNames);
  private readonly asides = this.store.selectSignal(benchFeature.selectAsides);

  readonly parts = computed(() => {
    const p = this.plan();
    if (!p) return [];
    return struggles(p).map(({ ingredient, trouble }) => ({
      id: ingredient,
      food: this.fmt.namesOf(this.names(), ingredient),
      trouble,
    }));
  });
  readonly proposals = computed(() => this.asides().proposals?.slice(0, most) ?? null);

  constructor() {
    effect(() => this.want(this.parts().length > 0));
    inject(DestroyRef).onDestroy(() => this.want(false));
  }
  private want(wanted: boolean): void {
    this.store.dispatch(BenchActions.asideWanted({ key: 'proposals', wanted }));
  }
  params(p: Proposal): Record<string, unknown> {
    return {
      food: this.fmt.namesOf(this.names(), p.ingredient),
      to: typeof p.to === 'string' ? this.fmt.food(p.to) : p.to,
    };
  }
  use(p: Proposal): void {
    this.store.dispatch(BenchActions.edit({ dish: p.dish }));
  }
}
