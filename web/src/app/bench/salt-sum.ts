import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { fields, showFraction, type IngredientNames, type Plan } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { InputNumber } from 'primeng/inputnumber';
import { Format } from '../i18n/format';
import { Bound } from '../ui/bound';
import { LearnedBehind } from './learned-behind';

/** Salt from every source counted once, as percent of the finished dish, and what to add in the salt that is at hand. */
@Component({
  selector: 'ek-salt-sum',
  imports: [Bound, LearnedBehind, TranslocoDirective, Button, InputNumber],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <h2>{{ t('salt.title') }}</h2>
      <div
        class="scale"
        role="img"
        [attr.aria-label]="
          t('salt.scale', { percent: fmt.number(plan().salt.percent, 2), aim: fmt.number(plan().salt.aimPercent, 1) })
        "
      >
        <i class="aim" [style.left.%]="x(0.7)" [style.width.%]="x(1.2) - x(0.7)"></i>
        <i class="have" [style.width.%]="x(plan().salt.percent)"></i>
        <i
          class="add"
          [style.left.%]="x(plan().salt.percent)"
          [style.width.%]="x(after()) - x(plan().salt.percent)"
        ></i>
      </div>
      <p class="ends quiet">
        <span>0</span><span>{{ t('salt.right') }}</span
        ><span>{{ fmt.percent(most / 100, 1) }}</span>
      </p>
      <ul>
        @for (s of sources(); track s.item) {
          <li>
            <span>{{ fmt.namesOf(names(), s.item) }}</span><b class="mono">{{ fmt.salt(s.grams) }}</b>
          </li>
        }
        <li class="sum">
          <span>{{ t('salt.add') }}</span>
          <p-inputnumber
            [ekBound]="round(plan().salt.addG)"
            (ekBoundChange)="set.emit($event)"
            [ekSchema]="fields.saltG"
            [maxFractionDigits]="1"
            suffix=" g"
            [inputStyle]="{ width: '5.4rem', textAlign: 'right' }"
            [ariaLabel]="t('salt.add')"
          />
        </li>
      </ul>
      <p>
        {{ t('salt.spoons', { table: spoons('table'), sea: spoons('sea'), flaky: spoons('flaky') }) }}
        <span class="quiet">{{ t('salt.now', { now: fmt.salt(plan().salt.addG * 0.75) }) }}</span>
        <ek-learned-behind number="salt" />
        @if (own()) {
          <p-button size="small" severity="secondary" [label]="t('why.unlock')" (onClick)="set.emit(null)" />
        }
      </p>
    </ng-container>
  `,
  styles: `
    h2 {
      margin: var(--space-1) 0 var(--space-4);
    }
    .scale {
      position: relative;
      height: 22px;
      border: 1.4px solid var(--ink);
      border-radius: 4px;
      background: var(--well);
      overflow: hidden;
    }
    .scale i {
      position: absolute;
      top: 0;
      bottom: 0;
    }
    .aim {
      background: var(--leaf-tint);
    }
    .have {
      left: 0;
      background: var(--rim);
      top: 6px !important;
      bottom: 6px !important;
    }
    .add {
      top: 6px !important;
      bottom: 6px !important;
      border: 1.4px dashed var(--rim);
    }
    .ends {
      display: flex;
      justify-content: space-between;
      font-size: var(--size-note);
    }
    ul {
      list-style: none;
      margin: 0 0 var(--space-4);
      padding: 0;
    }
    li {
      display: flex;
      justify-content: space-between;
      align-items: center;
      border-bottom: 1px solid var(--hair);
      padding: var(--space-1) 0;
    }
    .sum {
      font-weight: 700;
    }
  `,
})
export class SaltSum {
  readonly fields = fields;
  readonly plan = input.required<Plan>();
  readonly names = input.required<IngredientNames>();
  readonly own = input.required<boolean>();
  readonly set = output<number | null>();
  readonly fmt = inject(Format);
  readonly sources = computed(() => [...this.plan().salt.sources].sort((a, b) => b.grams - a.grams).slice(0, 6));
  /** Percent of the dish once the salt is in. */
  readonly after = computed(() => {
    const { percent, sources, addG } = this.plan().salt;
    const inG = sources.reduce((s, x) => s + x.grams, 0);
    return inG > 0 ? percent * (1 + addG / inG) : this.plan().salt.aimPercent;
  });
  /** Where the scale of the salt ends, percent of the dish. */
  readonly most = 1.8;
  x = (percent: number): number => (100 * Math.min(this.most, Math.max(0, percent))) / this.most;
  round = (x: number): number => Math.round(x * 10) / 10;
  spoons(kind: string): string {
    const tsp = this.plan().salt.teaspoons.find((k) => k.kind === kind)?.tsp ?? 0;
    return showFraction(Math.round(tsp * 4) / 4);
  }
}
