import { CdkDrag, CdkDragHandle, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { FryStep } from '@einkorn/core';
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
  template: `
    <ng-container *transloco="let t">
      @if (plan(); as p) {
        @if (p.fry.length === 0) {
          <p>{{ t('fry.none') }}</p>
        } @else {
          <div class="split">
            <section>
              <h2>
                {{ t('fry.title') }} <span class="quiet">{{ t('fry.drag') }}</span>
              </h2>
              <ol cdkDropList (cdkDropListDropped)="dropped($event)">
                @for (f of p.fry; track f.ingredient; let i = $index; let last = $last) {
                  <li cdkDrag [class.trouble]="f.trouble" [attr.data-step]="f.ingredient">
                    <span class="grip" cdkDragHandle aria-hidden="true">⠿</span>
                    <span class="no">{{ i + 1 }}</span>
                    <span class="what">
                      <strong>{{ name(t, f.ingredient) }}</strong>
                      <span>{{ t('until.' + f.until) }}</span>
                    </span>
                    <b class="mono min">{{ fmt.minutes(f.minutes) }} min</b>
                    <span class="marks">
                      @if (f.batches) {
                        <span class="tag">{{ t('fry.batches', { n: f.batches }) }}</span>
                      }
                      @if (f.takeOut) {
                        <span class="tag out">{{ t('fry.bowl', { n: bowl(p.fry, i) }) }}</span>
                      }
                      @if (f.trouble) {
                        <span class="tag bad">{{ t('fry.trouble-' + f.trouble) }}</span>
                      }
                    </span>
                    @if (browns(f).length > 0) {
                      <span
                        class="brown"
                        role="group"
                        [attr.aria-label]="t('fry.how-brown', { food: name(t, f.ingredient) })"
                      >
                        @for (b of browns(f); track b) {
                          <button
                            type="button"
                            [class.on]="brownOf(f) === b"
                            [attr.aria-pressed]="brownOf(f) === b"
                            (click)="brown(f, b)"
                          >
                            {{ t(f.aim ? 'fry.brown-' + b : 'fry.plant-' + b) }}
                          </button>
                        }
                      </span>
                    }
                    <span class="moves">
                      <button
                        type="button"
                        [disabled]="i === 0"
                        (click)="move(i, i - 1)"
                        [attr.aria-label]="t('fry.earlier', { food: name(t, f.ingredient) })"
                      >
                        ↑
                      </button>
                      <button
                        type="button"
                        [disabled]="last"
                        (click)="move(i, i + 1)"
                        [attr.aria-label]="t('fry.later', { food: name(t, f.ingredient) })"
                      >
                        ↓
                      </button>
                    </span>
                  </li>
                }
              </ol>
              @if (p.deglaze; as d) {
                <p class="scrape">
                  <strong>{{ t('fry.deglaze') }}</strong>
                  {{ t('fry.deglaze-how', { food: t('food.' + p.liquid.food), ml: fmt.ml(d.ml) }) }}
                  <span class="quiet">{{
                    t('fry.deglaze-why', { base: fmt.number(d.baseC), gone: fmt.grams(d.reducedG) })
                  }}</span>
                </p>
              }
              @if (own()) {
                <p class="own">
                  <strong>{{ t('fry.own-order') }}</strong>
                  <p-button size="small" severity="secondary" [label]="t('fry.planner-order')" (onClick)="free()" />
                </p>
              }
            </section>
            <aside>
              <ek-base-plan [plan]="p" [foods]="foods()" />
              <dl>
                <dt>{{ t('fry.in-all') }}</dt>
                <dd>{{ fmt.minutes(total()) }} min</dd>
                <dt>{{ t('fry.boiled-off') }}</dt>
                <dd>{{ fmt.grams(boiled()) }}</dd>
                @for (b of bowls(); track b.ingredient) {
                  <dt>{{ t('fry.bowl', { n: b.n }) }}</dt>
                  <dd>{{ name(t, b.ingredient) }}: {{ t('fry.why-' + b.why) }}</dd>
                }
              </dl>
              @if (total() > 30) {
                <p class="tag bad">{{ t('warning.saute-ends') }}</p>
              }
            </aside>
          </div>
          <p class="quiet caution">{{ t('caution.hot-fat') }}</p>
        }
        <ek-try-it sheet="fry" />
      }
    </ng-container>
  `,
  styles: `
    .split {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 250px;
      gap: 20px;
    }
    h2 {
      margin: 2px 0 8px;
    }
    h2 .quiet {
      font: 15px var(--read);
    }
    ol {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      display: grid;
      grid-template-columns: 22px 26px minmax(0, 1fr) 74px minmax(96px, auto) auto;
      gap: 8px;
      align-items: center;
      min-height: 54px;
      border-bottom: 1px solid var(--hair);
      background: var(--enamel);
    }
    .grip {
      cursor: grab;
      color: var(--quiet);
      font-size: 20px;
      text-align: center;
      touch-action: none;
    }
    .no {
      font-weight: 700;
      color: var(--rim);
      text-align: center;
    }
    .what {
      display: grid;
      line-height: 1.25;
    }
    .min {
      text-align: right;
    }
    .moves {
      grid-row: 1;
      grid-column: -2 / -1;
    }
    .brown {
      grid-column: 3 / -1;
      grid-row: 2;
      display: flex;
      margin-bottom: 6px;
    }
    .brown button {
      min-height: 44px;
      padding: 0 12px;
      border: 1.5px solid var(--edge);
      background: var(--enamel);
      color: var(--ink);
      font-size: 15px;
      cursor: pointer;
    }
    .brown button + button {
      border-left: 0;
    }
    .brown button:first-child {
      border-radius: 6px 0 0 6px;
    }
    .brown button:last-child {
      border-radius: 0 6px 6px 0;
    }
    .brown button.on {
      background: var(--paprika-tint);
      border-color: var(--paprika);
      font-weight: 700;
    }
    .marks {
      display: flex;
      gap: 6px;
      flex-wrap: wrap;
    }
    .tag {
      border: 1.3px solid var(--rim);
      border-radius: 5px;
      padding: 0 8px;
      font-size: 15px;
    }
    .tag.out {
      background: var(--steam-tint);
    }
    .tag.bad {
      border-color: var(--paprika);
      background: var(--paprika-tint);
      color: var(--paprika);
      font-weight: 700;
    }
    .moves {
      display: flex;
      gap: 4px;
    }
    .moves button {
      width: 40px;
      height: 40px;
      border: 1.3px solid var(--edge);
      border-radius: 6px;
      background: var(--enamel);
      cursor: pointer;
      font-weight: 700;
    }
    .moves button:disabled {
      color: var(--edge);
      border-color: var(--hair);
      cursor: default;
    }
    .scrape {
      margin: 10px 0 0;
    }
    .own {
      display: flex;
      gap: 12px;
      align-items: center;
      margin-top: 8px;
    }
    dl {
      display: grid;
      grid-template-columns: auto 1fr;
      gap: 4px 12px;
      margin: 8px 0 0;
      font-size: 16px;
    }
    dt {
      color: var(--quiet);
    }
    dd {
      margin: 0;
      font-weight: 600;
    }
    .caution {
      margin: 8px 0;
    }
    .cdk-drag-preview {
      border: 1.5px solid var(--rim);
      border-radius: 8px;
    }
    .cdk-drag-placeholder {
      opacity: 0.35;
    }
    @media (max-width: 760px) {
      .split {
        grid-template-columns: 1fr;
      }
      li {
        grid-template-columns: 26px minmax(0, 1fr) 66px auto;
        padding: 6px 0;
      }
      .grip {
        display: none;
      }
      .marks {
        grid-column: 2 / -1;
        grid-row: 2;
      }
      .brown {
        grid-column: 2 / -1;
        grid-row: 3;
      }
    }
  `,
})
export class FrySheet {
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly foods = this.store.selectSignal(benchFeature.selectFoods);
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

  name(t: (key: string) => string, id: string): string {
    return t(`food.${this.foods()[id] ?? id}`);
  }
  /** How brown a thing may get: meat in three ways, onions and their like translucent or deep brown. */
  browns(f: FryStep): readonly Brown[] {
    if (f.aim && f.until !== 'cooked-through') return ['colour', 'half', 'brown'];
    return f.until === 'translucent' || f.until === 'deep-brown' ? ['colour', 'brown'] : [];
  }
  brownOf(f: FryStep): Brown {
    return f.aim ?? (f.until === 'deep-brown' ? 'brown' : 'colour');
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
