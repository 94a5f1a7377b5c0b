import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { foods, withFood, type Dish, type Plan } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Select } from 'primeng/select';
import { differences } from '../ui/differences';
import { PlanDiff } from '../ui/plan-diff';
import { ShelfActions, shelfFeature } from './shelf.slice';
import { Bound } from '../ui/bound';

/** The same dish with another grain, pasta or meat: what changes in the plan, and a copy of it on the shelf. */
@Component({
  selector: 'ek-vary-dialog',
  imports: [Bound, TranslocoDirective, Button, Dialog, Select, PlanDiff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <p-dialog
        [visible]="true"
        (visibleChange)="closed.emit()"
        [modal]="true"
        [dismissableMask]="true"
        [closeAriaLabel]="t('app.close')"
        [header]="t('vary.title', { title: dish().title })"
        [style]="{ width: 'min(44rem, 94vw)' }"
      >
        <div class="pick">
          <label>
            {{ t('vary.instead') }}
            <p-select
              [options]="parts()"
              optionLabel="label"
              optionValue="id"
              [ekBound]="part()"
              (ekBoundChange)="pick($event!)"
              [ariaLabel]="t('vary.instead')"
              appendTo="body"
            />
          </label>
          <label>
            {{ t('vary.take') }}
            <p-select
              [options]="others()"
              optionLabel="label"
              optionValue="id"
              [filter]="true"
              [ekBound]="other()"
              (ekBoundChange)="take($event!)"
              [ariaLabel]="t('vary.take')"
              appendTo="body"
            />
          </label>
        </div>
        @if (shown(); as v) {
          @if (v.plan && plan()) {
            <p role="status"><ek-plan-diff [all]="differences(plan()!, v.plan)" /></p>
            <p-button [label]="t('vary.copy')" (onClick)="copy(v.dish)" />
          } @else {
            <p class="quiet" role="status">{{ t('bench.thinking') }}</p>
          }
        } @else {
          <p class="quiet">{{ t('vary.hint') }}</p>
        }
      </p-dialog>
    </ng-container>
  `,
  styles: `
    .pick {
      display: flex;
      gap: var(--space-10);
      flex-wrap: wrap;
      margin-bottom: var(--space-6);
    }
    label {
      display: inline-flex;
      gap: var(--space-4);
      align-items: center;
    }
    p {
      margin: 0 0 var(--space-6);
    }
  `,
})
export class VaryDialog {
  readonly dish = input.required<Dish>();
  readonly plan = input.required<Plan | null>();
  readonly closed = output();
  readonly differences = differences;
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  private readonly varied = this.store.selectSignal(shelfFeature.selectVaried);
  private readonly chosen = signal<string | null>(null);
  readonly other = signal<string | null>(null);
  readonly shown = computed(() => (this.other() ? this.varied() : null));

  private readonly label = (id: string): string => this.transloco.translate(`food.${id}`);
  private readonly kind = (id: string) => foods.find((f) => f.id === id)?.kind;
  /** Starches and meats can be swapped for others of their kind. */
  readonly parts = computed(() =>
    this.dish()
      .ingredients.filter((i) => ['grain', 'pasta', 'meat'].includes(this.kind(i.food) ?? ''))
      .map((i) => ({ id: i.id, label: this.label(i.food) })),
  );
  readonly part = computed(() => this.chosen() ?? this.parts()[0]?.id ?? null);
  readonly others = computed(() => {
    const own = this.dish().ingredients.find((i) => i.id === this.part())?.food;
    return foods
      .filter((f) => own && f.kind === this.kind(own) && f.id !== own)
      .map((f) => ({ id: f.id, label: this.label(f.id) }))
      .sort((a, b) => a.label.localeCompare(b.label));
  });

  pick(id: string): void {
    this.chosen.set(id);
    this.other.set(null);
  }
  take(food: string): void {
    this.other.set(food);
    const d = this.dish();
    const title = this.transloco.translate('vary.name', { title: d.title, food: this.label(food) }).slice(0, 120);
    this.store.dispatch(
      ShelfActions.vary({
        dish: {
          ...d,
          title,
          ingredients: d.ingredients.map((i) => (i.id === this.part() ? withFood(i, food) : i)),
        },
      }),
    );
  }
  copy(dish: Dish): void {
    this.store.dispatch(ShelfActions.add({ dish }));
    this.closed.emit();
  }
}
