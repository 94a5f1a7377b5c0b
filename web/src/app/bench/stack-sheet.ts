import { CdkDrag, CdkDragHandle, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { leastThinMl, type ScorchReason, type StackLayer } from '@einkorn/core';
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
import { TryIt } from './try-it';

/** 4 Stack: what lies on what, from the lid down, moved by hand or key; limits, scorching with its remedies, two stages. */
@Component({
  selector: 'ek-stack-sheet',
  imports: [
    FormsModule,
    CdkDrag,
    CdkDragHandle,
    CdkDropList,
    TranslocoDirective,
    Button,
    InputNumber,
    ToggleSwitch,
    Equaliser,
    TryIt,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (plan(); as p) {
        <ek-equaliser />
        @if (p.firstStage; as f) {
          <section class="first">
            <strong>{{ t('stack.first') }}</strong>
            {{
              t(f.liquidMl > 0 ? 'stack.first-how' : 'stack.first-dry', {
                foods: names(t, f.ingredients),
                hold: fmt.minutes(f.holdMin),
                ml: fmt.ml(f.liquidMl),
              })
            }}
            @if (p.outerLiquidMl === null) {
              <label>
                {{ t('stack.gravy', { ml: fmt.ml(f.gravyG) }) }}
                <p-inputnumber
                  [ngModel]="f.measuredMl ?? null"
                  (ngModelChange)="gravy($event)"
                  [min]="0"
                  [max]="20000"
                  suffix=" mL"
                  [inputStyle]="{ width: '7rem' }"
                  inputId="gravy"
                  [placeholder]="t('stack.gravy-none')"
                />
                @if (f.measuredMl !== undefined) {
                  <p-button size="small" severity="secondary" [label]="t('why.unlock')" (onClick)="gravy(null)" />
                }
              </label>
            }
          </section>
        }
        <div class="split">
          <section>
            <h2>
              {{ t('stack.title') }} <span class="quiet">{{ t('stack.drag') }}</span>
            </h2>
            <ol cdkDropList (cdkDropListDropped)="dropped($event)">
              @for (l of fromTop(); track l.position) {
                <li cdkDrag [cdkDragDisabled]="!movable(l)" [attr.data-layer]="l.ingredient">
                  <span class="grip" cdkDragHandle aria-hidden="true">{{ movable(l) ? '⠿' : '' }}</span>
                  <svg width="26" height="26" aria-hidden="true">
                    <rect x="1" y="1" width="24" height="24" rx="4" [attr.fill]="fill(l)" stroke="var(--ink)" />
                  </svg>
                  <span class="what">
                    <strong
                      >{{ name(t, l.ingredient) }}
                      <b class="amount">{{
                        l.kind === 'liquid' ? fmt.ml(l.litres * 1000) : fmt.grams(l.grams)
                      }}</b></strong
                    >
                    <span class="quiet"
                      >{{ inTurn(l) ? '' : t('stack-place.' + l.place) + ': ' }}{{ t('stack-note.' + l.note) }}
                      @if (own(l)) {
                        <b class="mine">{{ t('stack.yours') }}</b>
                      }
                    </span>
                  </span>
                  @if (movable(l)) {
                    <span class="moves">
                      <button
                        type="button"
                        [disabled]="!can(l, 1)"
                        (click)="move(l, 1)"
                        [attr.aria-label]="t('stack.up', { food: name(t, l.ingredient) })"
                      >
                        ↑
                      </button>
                      <button
                        type="button"
                        [disabled]="!can(l, -1)"
                        (click)="move(l, -1)"
                        [attr.aria-label]="t('stack.down', { food: name(t, l.ingredient) })"
                      >
                        ↓
                      </button>
                      @if (own(l)) {
                        <button
                          type="button"
                          class="free"
                          (click)="free(l)"
                          [attr.aria-label]="t('why.release', { item: name(t, l.ingredient) })"
                        >
                          {{ t('why.unlock') }}
                        </button>
                      }
                    </span>
                  }
                </li>
              }
            </ol>
          </section>
          <aside>
            <h2>{{ t('stack.limits') }}</h2>
            <ul class="facts">
              <li [class.bad]="p.pot.fillFraction > p.pot.limitFraction">
                {{
                  t('stack.fill', { fill: fmt.percent(p.pot.fillFraction), limit: fmt.percent(p.pot.limitFraction) })
                }}
              </li>
              @if (p.pot.foamFraction; as foam) {
                <li [class.watch]="p.pot.fillFraction > foam">
                  {{ t('stack.foam', { line: fmt.percent(foam) }) }}
                </li>
              }
              <li [class.bad]="p.pot.thinLiquidMl < leastThinMl(p.pot.minimumLiquidMl)">
                {{ t('stack.minimum', { have: fmt.ml(p.pot.thinLiquidMl), least: fmt.ml(p.pot.minimumLiquidMl) }) }}
              </li>
              <li>{{ t('stack.level', { mm: fmt.number(p.pot.liquidLevelMm) }) }}</li>
              @if (hasStarch()) {
                <li>
                  <strong>{{ t('stack.do-not-stir') }}</strong>
                </li>
              }
            </ul>
            <h2>
              {{ t('scorch.title') }}
              <span [class]="'risk ' + p.scorch.level"
                >{{ p.scorch.index < 0.01 ? '< 1 %' : fmt.percent(p.scorch.index) }}
                {{ t('scorch.' + p.scorch.level) }}</span
              >
            </h2>
            <ul class="facts">
              @for (r of p.scorch.reasons; track r.code) {
                <li>
                  {{ t('scorch-reason.' + r.code) }}
                  <b class="mono">{{ r.points > 0 ? '+' : '' }}{{ fmt.number(r.points, 1) }}</b>
                  @if (r.remedy && r.points > 0) {
                    <span class="remedy">
                      <span class="quiet"
                        >{{ t('remedy.' + r.remedy) }}
                        @if (r.after !== undefined) {
                          {{ t('scorch.effect', { before: fmt.percent(p.scorch.index), after: fmt.percent(r.after) }) }}
                        }
                      </span>
                      @if (remedied(r)) {
                        <p-button
                          size="small"
                          [label]="t('stack.do-it')"
                          [ariaLabel]="t('stack.do-it-one', { what: t('remedy.' + r.remedy) })"
                          (onClick)="remedy(r)"
                        />
                      }
                    </span>
                  }
                </li>
              } @empty {
                <li>{{ t('scorch-reason.clean') }}</li>
              }
            </ul>
            <p class="habits">
              @for (h of habits(); track h.key) {
                <label [for]="'habit-' + h.key">
                  <p-toggleswitch
                    [ngModel]="h.on"
                    (ngModelChange)="habit(h.key, $event)"
                    [inputId]="'habit-' + h.key"
                  />
                  {{ t('stack.habit-' + h.key) }}
                </label>
              }
            </p>
          </aside>
        </div>
        <p class="quiet caution">{{ t('caution.lid') }}</p>
        <ek-try-it sheet="stack" />
      }
    </ng-container>
  `,
  styleUrl: './stack-sheet.css',
})
export class StackSheet {
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly foods = this.store.selectSignal(benchFeature.selectFoods);

  readonly fromTop = computed(() => [...(this.plan()?.stack ?? [])].sort((a, b) => b.position - a.position));
  readonly hasStarch = computed(() => this.plan()?.grain !== null || this.plan()?.pasta !== null);
  readonly habits = computed(() => {
    const o = this.dish()?.overrides ?? {};
    return [
      ...(this.plan()?.deglaze ? [{ key: 'deglazed' as const, on: o.deglazed !== false }] : []),
      ...(this.hasStarch() ? [{ key: 'stirredDown' as const, on: o.stirredDown === true }] : []),
    ];
  });

  name(t: (key: string) => string, id: string): string {
    return t(`food.${this.foods()[id] ?? id}`);
  }
  names(t: (key: string) => string, ids: readonly string[]): string {
    return ids.map((id) => this.name(t, id)).join(', ');
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
