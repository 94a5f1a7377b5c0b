import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { fields, measurable, Problem, recordOf, scaleToGrain, toGrams, type NotScaled } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { InputNumber } from 'primeng/inputnumber';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { BenchActions, benchFeature } from './bench.slice';
import { Bound } from '../ui/bound';

/** The batch by its grain or by the pot (by people it is scaled beside the pot), and what does not grow with it. */
@Component({
  selector: 'ek-scale-bar',
  imports: [SaidPipe, Bound, TranslocoDirective, Button, InputNumber],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <section [attr.aria-label]="t('scale.title')">
        <strong>{{ t('scale.title') }}</strong>
        @if (grain(); as g) {
          <label>
            {{ t('scale.by-grain', { food: t('food.' + g.food) }) }}
            <p-inputnumber
              #field="ekBound"
              [ekBound]="wish() ?? round(g.grams)"
              (ekBoundChange)="wish.set($event)"
              [ekSchema]="fields.grainG"
              ekMeasure="weight"
              [maxFractionDigits]="1"
              [suffix]="fmt.entry('weight').suffix"
              [inputStyle]="{ width: '6rem' }"
              inputId="scale-grain"
              (keydown.enter)="!field.refused() && byGrain()"
            />
            <p-button
              size="small"
              severity="secondary"
              [label]="t('scale.go')"
              [disabled]="wish() === null || field.refused()"
              (onClick)="byGrain()"
            />
          </label>
        }
        <p-button size="small" severity="secondary" [label]="t('scale.by-pot')" (onClick)="byPot()" />
        <span role="status">
          @if (fits() === false) {
            <span class="stop-text">{{ t('scale.never-fits') }}</span>
          } @else if (fits()) {
            {{ t('scale.fits') }}
          }
          @if (problem()) {
            <span class="stop-text">{{ problem() | said }}</span>
          }
        </span>
        @if (notScaled().length > 0) {
          <p class="quiet">
            {{ t('scale.not') }}
            @for (n of notScaled(); track n.code; let last = $last) {
              {{ t('scale.not-' + n.code, { foods: listed(n.ingredients) }) }}{{ last ? '.' : ',' }}
            }
          </p>
        }
      </section>
    </ng-container>
  `,
  styles: `
    section {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-3) var(--space-7);
      align-items: center;
      border-top: 1px solid var(--hair);
      padding-top: var(--space-4);
      margin-top: var(--space-4);
    }
    label {
      display: inline-flex;
      gap: var(--space-4);
      align-items: center;
    }
    p {
      flex-basis: 100%;
      margin: 0;
      font-size: var(--size-note);
    }
  `,
})
export class ScaleBar {
  readonly fields = fields;
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  private readonly dish = this.store.selectSignal(benchFeature.selectDish);
  private readonly names = this.store.selectSignal(benchFeature.selectNames);
  readonly fits = this.store.selectSignal(benchFeature.selectPotFits);
  readonly wish = signal<number | null>(null);
  readonly problem = signal('');
  readonly notScaled = signal<NotScaled[]>([]);
  round = Math.round;

  readonly grain = computed(() => {
    for (const i of this.dish()?.ingredients ?? []) {
      const food = recordOf(i);
      if (food.grain) return { food: i.food, grams: toGrams(i.amount, measurable(food)) };
    }
    return null;
  });

  byGrain(): void {
    const dish = this.dish();
    const grams = this.wish();
    if (!dish || grams === null) return;
    try {
      const scaled = scaleToGrain(dish, grams);
      this.notScaled.set(scaled.notScaled);
      this.problem.set('');
      this.store.dispatch(BenchActions.edit({ dish: scaled.dish }));
    } catch (e) {
      if (!(e instanceof Problem)) throw e;
      this.problem.set(e.message);
    }
    this.wish.set(null);
  }
  byPot(): void {
    this.store.dispatch(BenchActions.scaleToPot());
  }
  listed(ids: readonly string[]): string {
    return ids.map((id) => this.fmt.namesOf(this.names(), id)).join(', ');
  }
}
