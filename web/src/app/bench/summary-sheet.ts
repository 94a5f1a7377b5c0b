import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { crustFor, type Plan } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Format } from '../i18n/format';
import { benchFeature } from './bench.slice';

/** Fry, Stack and Finish as the plan has them: short and true, in working order. */
@Component({
  selector: 'ek-summary-sheet',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (plan(); as p) {
        @switch (sheet()) {
          @case ('fry') {
            @if (p.fry.length > 0) {
              <h2>{{ t('fry.title') }}</h2>
              <ol>
                @for (f of p.fry; track f.order) {
                  <li>
                    <strong>{{ t('food.' + (foods()[f.ingredient] ?? f.ingredient)) }}</strong>
                    <span>{{ fmt.minutes(f.minutes) }} min, {{ t('until.' + f.until) }}</span>
                    @if (f.batches) {
                      <span class="tag">{{ t('fry.batches', { n: f.batches }) }}</span>
                    }
                    @if (f.takeOut) {
                      <span class="tag">{{ t('fry.take-out') }}</span>
                    }
                  </li>
                }
                <li>
                  <strong>{{ t('fry.deglaze') }}</strong><span>{{
                    t('fry.deglaze-how', { food: t('food.' + p.liquid.food) })
                  }}</span>
                </li>
              </ol>
              <p class="quiet">{{ t('caution.hot-fat') }}</p>
            } @else {
              <p>{{ t('fry.none') }}</p>
            }
          }
          @case ('stack') {
            @if (p.firstStage; as f) {
              <p class="first">
                <strong>{{ t('stack.first') }}</strong>
                {{
                  t(f.liquidMl > 0 ? 'stack.first-how' : 'stack.first-dry', {
                    foods: names(t, f.ingredients),
                    hold: fmt.minutes(f.holdMin),
                    ml: fmt.ml(f.liquidMl),
                  })
                }}
              </p>
            }
            <h2>{{ t('stack.title') }}</h2>
            <ol class="up" reversed>
              @for (l of fromTop(p.stack); track l.position) {
                <li>
                  <strong>{{ t('food.' + (foods()[l.ingredient] ?? l.ingredient)) }}</strong>
                  <span>{{ l.kind === 'liquid' ? fmt.ml(l.litres * 1000) : fmt.grams(l.grams) }}</span>
                  <span class="quiet">{{ t('stack-note.' + l.note) }}</span>
                </li>
              }
            </ol>
            <p>
              {{ t('stack.fill', { fill: fmt.percent(p.pot.fillFraction), limit: fmt.percent(p.pot.limitFraction) }) }}
            </p>
            <h2>{{ t('scorch.title') }}</h2>
            <ul>
              @for (r of p.scorch.reasons; track r.code) {
                <li>
                  <span>{{ t('scorch-reason.' + r.code) }}</span>
                  <b class="mono">{{ r.points > 0 ? '+' : '' }}{{ fmt.number(r.points, 1) }}</b>
                  @if (r.remedy) {
                    <span class="quiet"
                      >{{ t('remedy.' + r.remedy) }}
                      @if (r.after !== undefined) {
                        {{ t('scorch.effect', { before: fmt.percent(p.scorch.index), after: fmt.percent(r.after) }) }}
                      }
                    </span>
                  }
                </li>
              }
            </ul>
          }
          @default {
            <h2>{{ t('finish.title') }}</h2>
            <ol>
              @for (f of p.finish; track f.order) {
                <li>
                  <strong>{{ t('finish-step.' + f.code, { c: minimum() }) }}</strong>
                  <span>{{ names(t, f.ingredients) }}</span>
                  <span class="quiet">{{ fmt.minutes(f.minutes ?? 0) }} min</span>
                </li>
              }
            </ol>
            <p>
              {{
                t('finish.salt', {
                  percent: fmt.number(p.salt.percent, 2),
                  aim: fmt.number(p.salt.aimPercent, 1),
                  add: fmt.number(p.salt.addG, 1),
                  now: fmt.number(p.salt.addG * 0.75, 1),
                })
              }}
            </p>
            @if (topped(p)) {
              <p>{{ t('finish.crust', crust(p)) }}</p>
            }
            <p class="quiet">{{ t('finish.keep') }}</p>
          }
        }
      }
    </ng-container>
  `,
  styles: `
    h2 {
      margin: 6px 0 8px;
    }
    ol,
    ul {
      margin: 0 0 12px;
      padding-left: 30px;
    }
    li {
      padding: 6px 0;
      border-bottom: 1px solid var(--hair);
    }
    li > * {
      margin-right: 12px;
    }
    li::marker {
      font-weight: 700;
      color: var(--rim);
    }
    .first {
      border: 1.5px solid var(--rim);
      border-radius: 8px;
      background: var(--steam-tint);
      padding: 8px 12px;
    }
    .tag {
      border: 1.3px solid var(--rim);
      border-radius: 5px;
      padding: 0 8px;
      font-size: 15px;
    }
    p {
      margin: 8px 0;
    }
  `,
})
export class SummarySheet {
  readonly sheet = input.required<string>();
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly foods = this.store.selectSignal(benchFeature.selectFoods);

  fromTop<T extends { position: number }>(stack: readonly T[]): T[] {
    return [...stack].sort((a, b) => b.position - a.position);
  }
  names(t: (key: string) => string, ids: readonly string[]): string {
    return ids.map((id) => t(`food.${this.foods()[id] ?? id}`)).join(', ');
  }
  topped(p: Plan): boolean {
    return p.finish.some((f) => f.code === 'topping');
  }
  /** A crust grows with the surface of the dish, never with the batch. */
  crust(p: Plan): Record<string, string> {
    const g = crustFor((Math.PI / 4) * (p.pot.diameterMm / 10) ** 2);
    return { crumb: this.fmt.grams(g.crumbG), butter: this.fmt.grams(g.butterG), cheese: this.fmt.grams(g.cheeseG) };
  }
  minimum(): string {
    return this.fmt.number(Math.max(0, ...(this.plan()?.meats.map((m) => m.safeMinimumC) ?? [])));
  }
}
