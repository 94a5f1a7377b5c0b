import { CdkDrag, CdkDragHandle, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { turnsTranslucent, type FryStep } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { BasePlan } from './base-plan';
import { BenchActions, benchFeature } from './bench.slice';
import { movedFry, withOverrides, withPrep } from './edits';
import { TryIt } from './try-it';

type Brown = NonNullable<FryStep['aim']>;

/** 2 Fry: the order of the pan, minutes and aims, what comes out again, how full the base is, and the scraping. */
@Component({
  selector: 'ek-fry-sheet',
  imports: [CdkDrag, CdkDragHandle, CdkDropList, TranslocoDirective, Button, BasePlan, TryIt],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fry-sheet.html',
  styleUrl: './fry-sheet.scss',
})
export class FrySheet {
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly names = this.store.selectSignal(benchFeature.selectNames);
  private readonly foods = this.store.selectSignal(benchFeature.selectFoods);
  readonly own = computed(() => this.dish()?.overrides?.fryOrder !== undefined);
  readonly total = computed(() => {
    const p = this.plan();
    return (p?.fry.reduce((s, f) => s + f.minutes, 0) ?? 0) + (p?.deglaze?.minutes ?? 0);
  });
  readonly boiled = computed(
    () => (this.plan()?.fry.reduce((s, f) => s + (f.evaporatedG ?? 0), 0) ?? 0) + (this.plan()?.deglaze?.reducedG ?? 0),
  );
  readonly bowls = computed(() => {
    const fry = this.plan()?.fry ?? [];
    return fry.flatMap((f, i) =>
      f.takeOut ? [{ n: this.bowl(fry, i), ingredient: f.ingredient, why: f.takeOutWhy ?? 'lies-on-top' }] : [],
    );
  });

  name(id: string): string {
    return this.fmt.namesOf(this.names(), id);
  }
  /** How brown a thing may get: meat in three ways, onions translucent, golden or deep brown, other vegetables soft or brown. */
  browns(f: FryStep): readonly Brown[] {
    if (f.aim && f.until !== 'cooked-through') return ['colour', 'half', 'brown'];
    if (this.ofOnions(f)) return ['colour', 'half', 'brown'];
    return ['translucent', 'softened', 'stirred-through', 'water-gone', 'deep-brown'].includes(f.until)
      ? ['colour', 'brown']
      : [];
  }
  ofOnions(f: FryStep): boolean {
    return turnsTranslucent(this.foods()[f.ingredient] ?? '');
  }
  brownOf(f: FryStep): Brown {
    return f.aim ?? (f.until === 'deep-brown' ? 'brown' : f.until === 'edges-brown' ? 'half' : 'colour');
  }
  brown(f: FryStep, brown: Brown): void {
    const dish = this.dish();
    if (!dish) return;
    // "Browned" was an earlier word for half through: the choice takes its place.
    const state = dish.ingredients.find((i) => i.id === f.ingredient)?.prep?.state;
    const next = withPrep(dish, f.ingredient, { brown, ...(state === 'browned' ? { state: undefined } : {}) });
    this.store.dispatch(BenchActions.edit({ dish: next }));
  }
  /** The bowls are numbered in the order in which they fill. */
  bowl(fry: readonly FryStep[], i: number): number {
    return fry.slice(0, i + 1).filter((f) => f.takeOut).length;
  }
  dropped(e: CdkDragDrop<unknown>): void {
    this.move(e.previousIndex, e.currentIndex);
  }
  move(from: number, to: number): void {
    const dish = this.dish();
    const plan = this.plan();
    if (dish && plan && from !== to) this.store.dispatch(BenchActions.edit({ dish: movedFry(dish, plan, from, to) }));
  }
  free(): void {
    const dish = this.dish();
    if (dish) this.store.dispatch(BenchActions.edit({ dish: withOverrides(dish, { fryOrder: undefined }) }));
  }
}
