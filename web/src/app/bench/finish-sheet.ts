import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { hotC } from '@einkorn/core';
import { Store } from '@ngrx/store';
import { Format } from '../i18n/format';
import { BenchActions, benchFeature } from './bench.slice';
import { withOverrides } from './edits';
import { SaltSum } from './salt-sum';
import { TryIt } from './try-it';

/** 6 Finish: what comes after the pin, in order; thickening, crust, salt and keeping, each from its own sum. */
@Component({
  selector: 'ek-finish-sheet',
  imports: [TranslocoDirective, SaltSum, TryIt],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (plan(); as p) {
        <div class="split">
          <section>
            <h2>{{ t('finish.title') }}</h2>
            <ol>
              @for (f of p.finish; track f.order) {
                <li>
                  <span class="no">{{ f.order }}</span>
                  <span>
                    <strong>{{ t('finish-step.' + f.code, { c: fmt.number(f.minimumC ?? minimum()) }) }}</strong>
                    @if (f.ingredients.length > 0) {
                      <span class="foods">{{ names(t, f.ingredients) }}</span>
                    }
                    @if (f.ml; as ml) {
                      <span class="foods">{{ fmt.ml(ml) }}</span>
                    }
                    @if (f.tempC !== undefined && (f.heat || f.ingredients.length > 0)) {
                      <span class="heat" [class.cool]="f.tempC < hotC">
                        {{ t('finish.mixture', { c: fmt.celsius(f.tempC) }) }}
                        @if (f.heat) {
                          <b>{{ t('finish.heat-' + f.heat) }}</b>
                        }
                        @if (f.minimumC) {
                          <b>{{ t('finish.least', { c: fmt.celsius(f.minimumC) }) }}</b>
                        }
                      </span>
                    }
                    @for (h of held(f.ingredients); track h.ingredient) {
                      <span class="quiet why">{{ t('held.' + h.why) }}</span>
                    }
                  </span>
                  <b class="mono">{{ fmt.minutes(f.minutes ?? 0) }} min</b>
                </li>
              }
            </ol>
            @if (p.after.thicken; as x) {
              <h2>{{ t('finish.thin') }}</h2>
              <ul class="ways">
                @if (x.standDrinksG >= 5) {
                  <li>{{ t('finish.stand', { min: x.standMin, g: fmt.grams(x.standDrinksG) }) }}</li>
                }
                <li>
                  {{
                    t('finish.simmer', {
                      g: fmt.grams(x.simmerGPerMin),
                      min: fmt.minutes(half(x.freeG, x.simmerGPerMin)),
                      free: fmt.grams(x.freeG),
                    })
                  }}
                </li>
                <li>{{ t('finish.slurry', { starch: fmt.grams(x.starchG), water: fmt.ml(x.waterMl) }) }}</li>
              </ul>
            }
            @if (p.after.crust; as c) {
              <h2>{{ t('finish.crust-title') }}</h2>
              <p>
                {{
                  t('finish.crust', {
                    crumb: fmt.grams(c.crumbG),
                    butter: fmt.grams(c.butterG),
                    cheese: fmt.grams(c.cheeseG),
                    oven: fmt.number(c.ovenC),
                    from: c.minutes[0],
                    to: c.minutes[1],
                  })
                }}
              </p>
            }
            @if (p.after.drift; as d) {
              <p class="drift">
                {{
                  t('finish.drift', {
                    closed: fmt.number(d.closedPoints, 1),
                    spread: fmt.number(d.spreadPoints, 1),
                    min: d.minutes,
                  })
                }}
              </p>
            }
            <ek-try-it sheet="finish" />
          </section>
          <aside>
            <ek-salt-sum [plan]="p" [foods]="foods()" [own]="ownSalt()" (set)="salt($event)" />
            <h2>{{ t('finish.keep-title') }}</h2>
            <p>
              {{
                t('finish.keep', {
                  mm: p.after.keep.depthMm,
                  side: fmt.number(side(p.after.keep.areaCm2)),
                  kg: fmt.number(p.after.keep.massG / 1000, 1),
                  hours: fmt.number(p.after.keep.withinMin / 60),
                  c: p.after.keep.reheatC,
                })
              }}
              @if (p.after.keep.freezePortions > 0) {
                {{ t('finish.freeze', { n: p.after.keep.freezePortions }) }}
              }
            </p>
            <p class="quiet">{{ t('finish.authority') }}</p>
          </aside>
        </div>
      }
    </ng-container>
  `,
  styles: `
    .split {
      display: grid;
      grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
      gap: 24px;
    }
    h2 {
      margin: 10px 0 6px;
    }
    section > h2:first-child {
      margin-top: 2px;
    }
    ol,
    .ways {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    ol li {
      display: grid;
      grid-template-columns: 26px minmax(0, 1fr) 70px;
      gap: 8px;
      align-items: center;
      border-bottom: 1px solid var(--hair);
      min-height: 44px;
      padding: 4px 0;
    }
    ek-try-it {
      margin-top: 14px;
    }
    .no {
      font-weight: 700;
      color: var(--rim);
    }
    .foods {
      margin-left: 8px;
    }
    .heat {
      display: block;
      font-size: 15px;
      border-left: 4px solid var(--paprika);
      padding-left: 8px;
      margin: 2px 0;
    }
    .heat.cool {
      border-left-color: var(--steam);
    }
    .heat b::before {
      content: '· ';
    }
    .why {
      display: block;
      font-size: 15px;
    }
    li b {
      text-align: right;
    }
    .ways li {
      padding: 5px 0;
      border-bottom: 1px solid var(--hair);
    }
    .drift {
      border: 1.5px solid var(--turmeric);
      border-radius: 8px;
      background: var(--turmeric-tint);
      padding: 6px 10px;
      margin-top: 10px;
    }
    @media (max-width: 760px) {
      .split {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class FinishSheet {
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  readonly hotC = hotC;
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly foods = this.store.selectSignal(benchFeature.selectFoods);
  private readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly ownSalt = computed(() => this.dish()?.overrides?.saltG !== undefined);

  names(t: (key: string) => string, ids: readonly string[]): string {
    return ids.map((id) => t(`food.${this.foods()[id] ?? id}`)).join(', ');
  }
  held(ids: readonly string[]): { ingredient: string; why: string }[] {
    const seen = new Set<string>();
    return (this.plan()?.heldBack ?? []).filter(
      (h) => ids.includes(h.ingredient) && !seen.has(h.why) && seen.add(h.why),
    );
  }
  minimum(): number {
    return Math.max(0, ...(this.plan()?.meats.map((m) => m.safeMinimumC) ?? []));
  }
  /** Minutes to boil off half of what stands free. */
  half(freeG: number, perMin: number): number {
    return freeG / 2 / perMin;
  }
  side(areaCm2: number): number {
    return Math.ceil(Math.sqrt(areaCm2));
  }
  salt(grams: number | null): void {
    const d = this.dish();
    if (d)
      this.store.dispatch(BenchActions.edit({ dish: withOverrides(d, { saltG: grams ?? undefined }), merge: 'salt' }));
  }
}
