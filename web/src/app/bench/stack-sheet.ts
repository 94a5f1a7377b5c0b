import { CdkDrag, CdkDragHandle, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { fields, leastThinMl, type ScorchReason, type StackLayer } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { InputNumber } from 'primeng/inputnumber';
import { ToggleSwitch } from 'primeng/toggleswitch';
import { Format } from '../i18n/format';
import { patternOf } from '../ui/patterns';
import { BenchActions, benchFeature } from './bench.slice';
import { movedPlace, placesOf, withIngredient, withOverrides, withRemedy } from './edits';
import { Equaliser } from './equaliser';
import { LearnedBehind } from './learned-behind';
import { TryIt } from './try-it';
import { Bound } from '../ui/bound';

/** 4 Stack: what lies on what, from the lid down, moved by hand or key; limits, scorching with its remedies, two stages. */
@Component({
  selector: 'ek-stack-sheet',
  imports: [
    Bound,
    CdkDrag,
    CdkDragHandle,
    CdkDropList,
    TranslocoDirective,
    Button,
    InputNumber,
    ToggleSwitch,
    Equaliser,
    LearnedBehind,
    TryIt,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './stack-sheet.html',
  styleUrl: './stack-sheet.scss',
})
export class StackSheet {
  readonly fields = fields;
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly names = this.store.selectSignal(benchFeature.selectNames);

  readonly fromTop = computed(() => [...(this.plan()?.stack ?? [])].sort((a, b) => b.position - a.position));
  readonly hasStarch = computed(() => this.plan()?.grain !== null || this.plan()?.pasta !== null);
  readonly habits = computed(() => {
    const o = this.dish()?.overrides ?? {};
    return [
      ...(this.plan()?.deglaze ? [{ key: 'deglazed' as const, on: o.deglazed !== false }] : []),
      ...(this.hasStarch() ? [{ key: 'stirredDown' as const, on: o.stirredDown === true }] : []),
    ];
  });

  name(id: string): string {
    return this.fmt.namesOf(this.names(), id);
  }
  listed(ids: readonly string[]): string {
    return ids.map((id) => this.name(id)).join(', ');
  }
  fill(l: StackLayer): string {
    return l.kind === 'liquid' ? 'url(#p-liquid)' : patternOf(l.kind);
  }
  readonly leastThinMl = leastThinMl;
  /** Something that lies in several layers is built in turn, and not moved by itself. */
  inTurn(l: StackLayer): boolean {
    return this.fromTop().some((x) => x !== l && x.ingredient === l.ingredient);
  }
  movable(l: StackLayer): boolean {
    if (this.inTurn(l)) return false;
    const d = this.dish();
    const p = this.plan();
    return d !== null && p !== null && placesOf(d, p, l.ingredient).length > 1;
  }
  can(l: StackLayer, by: 1 | -1): boolean {
    const d = this.dish();
    const p = this.plan();
    return d !== null && p !== null && movedPlace(d, p, l.ingredient, by) !== null;
  }
  own(l: StackLayer): boolean {
    return this.dish()?.ingredients.find((i) => i.id === l.ingredient)?.place !== undefined;
  }
  move(l: StackLayer, by: 1 | -1): void {
    const d = this.dish();
    const p = this.plan();
    const next = d && p ? movedPlace(d, p, l.ingredient, by) : null;
    if (next) this.store.dispatch(BenchActions.edit({ dish: next }));
  }
  free(l: StackLayer): void {
    const d = this.dish();
    if (d) this.store.dispatch(BenchActions.edit({ dish: withIngredient(d, l.ingredient, { place: undefined }) }));
  }
  /** A layer dropped among others takes the place of the one that it now lies against. */
  dropped(e: CdkDragDrop<unknown>): void {
    const d = this.dish();
    const p = this.plan();
    const list = this.fromTop();
    const moved = list[e.previousIndex];
    const there = list[e.currentIndex];
    if (!d || !p || !moved || !there || moved === there) return;
    const allowed = placesOf(d, p, moved.ingredient);
    const order = ['liquid', 'base', 'grain', 'top', 'rack'];
    const up = e.currentIndex < e.previousIndex;
    const wish = order.indexOf(there.place);
    const near = allowed
      .filter((x) => (up ? order.indexOf(x) >= Math.min(wish, 4) : order.indexOf(x) <= Math.max(wish, 1)))
      .sort((a, b) => Math.abs(order.indexOf(a) - wish) - Math.abs(order.indexOf(b) - wish))[0];
    if (near && near !== moved.place)
      this.store.dispatch(BenchActions.edit({ dish: withIngredient(d, moved.ingredient, { place: near }) }));
  }
  remedied(r: ScorchReason): boolean {
    const d = this.dish();
    const p = this.plan();
    return d !== null && p !== null && r.remedy !== undefined && withRemedy(d, p, r.remedy) !== null;
  }
  remedy(r: ScorchReason): void {
    const d = this.dish();
    const p = this.plan();
    const next = d && p && r.remedy ? withRemedy(d, p, r.remedy) : null;
    if (next) this.store.dispatch(BenchActions.edit({ dish: next }));
  }
  habit(key: 'deglazed' | 'stirredDown', on: boolean): void {
    const d = this.dish();
    if (!d) return;
    const change = key === 'deglazed' ? { deglazed: on ? undefined : false } : { stirredDown: on ? true : undefined };
    this.store.dispatch(BenchActions.edit({ dish: withOverrides(d, change) }));
  }
  gravy(ml: number | null): void {
    const d = this.dish();
    if (d)
      this.store.dispatch(BenchActions.edit({ dish: withOverrides(d, { gravyMl: ml ?? undefined }), merge: 'gravy' }));
  }
}
