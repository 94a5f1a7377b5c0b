import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  checkToTaste,
  ingredientGrams,
  isMince,
  isToTaste,
  ownAmountOf,
  pieceOf,
  parseAmount,
  Problem,
  recordOf,
  type Amount,
  type Ingredient,
} from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { ToggleButton } from 'primeng/togglebutton';
import { entries } from '../i18n/entry';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { AddLine } from './add-line';
import { BenchActions, benchFeature } from './bench.slice';
import { withIngredient, withoutIngredient, withPrep } from './edits';
import { PrepList } from './prep-list';
import { ScaleBar } from './scale-bar';
import { TryIt } from './try-it';
import { kitchenFeature } from '../state/kitchen';
import { Bound } from '../ui/bound';

/** 1 Gather: what the cook has, in the measures they think in; every field says what it understood. */
@Component({
  selector: 'ek-gather-sheet',
  imports: [
    SaidPipe,
    Bound,
    TranslocoDirective,
    Button,
    InputText,
    Select,
    ToggleButton,
    AddLine,
    PrepList,
    ScaleBar,
    TryIt,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './gather-sheet.html',
  styles: `
    @use 'breakpoints' as *;

    .rows {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      display: grid;
      grid-template-columns: minmax(130px, 1fr) 118px minmax(0, 2.2fr) auto;
      gap: var(--space-2) var(--space-6);
      align-items: center;
      border-bottom: 1px solid var(--hair);
      padding: var(--space-4) 0;
      min-height: 58px;
    }
    .food {
      display: grid;
      line-height: 1.2;
    }
    .food .quiet {
      font-size: var(--size-note);
    }
    .amount {
      width: 100%;
      font-weight: 700;
      font-size: var(--size-body);
    }
    .amount.long {
      font-size: var(--size-note);
    }
    .bad .amount {
      border-color: var(--paprika);
    }
    .prep {
      display: flex;
      gap: var(--space-4);
      align-items: center;
      justify-content: flex-end;
      font-size: var(--size-text);
    }
    label {
      display: inline-flex;
      gap: var(--space-3);
      align-items: center;
    }
    .message {
      grid-column: 1 / -1;
      color: var(--paprika);
      font-weight: 600;
      margin: 0;
    }
    @media #{$tablet} {
      .prep {
        flex-wrap: wrap;
      }
    }
    @media #{$phone} {
      :host {
        display: flex;
        flex-direction: column;
      }
      // Within reach of the thumb, over the taps of the bench, however far the rows are scrolled.
      ek-add-line {
        order: 1;
        position: sticky;
        bottom: 106px;
        z-index: 1;
        padding: var(--space-4) 0;
        border-top: 1.5px solid var(--rim);
        background: var(--enamel);
      }
      li {
        grid-template-columns: minmax(0, 1fr) 118px;
      }
      // The button stands in the last row of the choices, which is never full.
      .prep {
        grid-row: 2;
        grid-column: 1 / -1;
        flex-wrap: wrap;
        justify-content: flex-start;
      }
      li > p-button {
        grid-row: 2;
        grid-column: 2;
        align-self: end;
        justify-self: end;
      }
    }
  `,
})
export class GatherSheet {
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly names = this.store.selectSignal(benchFeature.selectNames);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly drafts = this.store.selectSignal(benchFeature.selectDrafts);
  readonly typing = signal<{ id: string; text: string } | null>(null);

  readonly states = computed(() => {
    this.fmt.locale();
    return (['raw', 'frozen', 'part-seared', 'browned', 'cooked'] as const).map((value) => ({
      value,
      label: this.transloco.translate(`state.${value}`),
    }));
  });
  readonly joinings = computed(() => {
    this.fmt.locale();
    return (['auto', 'marinade', 'fry', 'stack', 'finish', 'topping'] as const).map((value) => ({
      value,
      label: this.transloco.translate(`joins.${value}`),
    }));
  });
  readonly soaks = computed(() =>
    [0, 15, 30, 60, 240, 480].map((value) => ({
      value,
      label: value === 0 ? this.transloco.translate('gather.no-soak') : value < 60 ? `${value} min` : `${value / 60} h`,
    })),
  );
  readonly cuts = computed(() => {
    const own = this.dish()?.ingredients.flatMap((i) => (this.isCut(i) ? [this.thicknessMm(i)] : [])) ?? [];
    return [...new Set([8, 12, 15, 20, 25, 30, 40, 50, ...own])]
      .sort((a, b) => a - b)
      .map((value) => ({ value, label: this.fmt.length(value) }));
  });

  /** Meat that comes in pieces of some thickness: neither mince nor an egg. */
  isCut(i: Ingredient): boolean {
    const food = recordOf(i);
    return food.kind === 'meat' && food.meat?.cut !== 'egg' && !isMince(food);
  }
  /** As the cook measured it, or as the plan takes it, mm. */
  thicknessMm(i: Ingredient): number {
    return i.prep?.thicknessMm ?? Math.round(pieceOf(recordOf(i), i, ingredientGrams(i)).thicknessMm);
  }

  /** Minutes that stand on packets of pasta, with those of this dish. */
  readonly packets = computed(() => {
    const own = this.dish()?.ingredients.flatMap((i) => (this.kind(i) === 'pasta' ? [this.packetMin(i)] : [])) ?? [];
    return [...new Set([3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, ...own])]
      .sort((a, b) => a - b)
      .map((value) => ({ value, label: `${this.fmt.number(value, 1)} min` }));
  });
  packetMin(i: Ingredient): number {
    return i.prep?.packetMinutes ?? recordOf(i).packetMin?.[0] ?? 10;
  }

  kind(i: Ingredient): string {
    return recordOf(i).kind;
  }

  /** What a measured amount weighs, where it was not weighed in the units of the kitchen; of what is only poured, nothing. */
  private weighed(i: Ingredient): string {
    const own = this.fmt.entry('weight') === entries.ounces ? ['oz', 'lb'] : ['g', 'kg'];
    const food = recordOf(i);
    if (isToTaste(i.amount) || own.includes(i.amount.unit) || food.kind === 'liquid' || food.kind === 'seasoning')
      return '';
    return `${this.fmt.grams(ingredientGrams(i))}, `;
  }

  /** What it weighs, and where it goes, as the planner decided. */
  fateOf(t: (key: string, p?: Record<string, unknown>) => string, i: Ingredient): string {
    return `${this.weighed(i)}${this.fate(t, i)}`;
  }
  private fate(t: (key: string, p?: Record<string, unknown>) => string, i: Ingredient): string {
    const p = this.plan();
    if (!p) return '';
    if (p.liquid.food === i.food && p.stack.some((l) => l.ingredient === i.id && l.kind === 'liquid'))
      return t('gather.solved', { ml: this.fmt.ml(p.liquid.addMl) });
    if (p.heldBack.some((h) => h.ingredient === i.id)) return t('gather.waits');
    if (p.fry.some((f) => f.ingredient === i.id)) return t('gather.fries');
    return t('gather.in-pot');
  }

  /** The field shows what is being typed until it is left; every key gives a new verdict. */
  typed(i: Ingredient, text: string): void {
    this.typing.set({ id: i.id, text });
    this.amount(i, text);
  }

  /** A text that reads as an amount changes the dish; any other stays in its field with its message. */
  private amount(i: Ingredient, text: string): void {
    try {
      const amount = this.ownAmount(i, text) ?? parseAmount(text, i.amount.unit);
      checkToTaste({ ...i, amount }, 'ingredients');
      this.store.dispatch(BenchActions.clearDraft({ field: i.id }));
      const dish = this.dish();
      if (dish && (amount.value !== i.amount.value || amount.unit !== i.amount.unit))
        this.store.dispatch(
          BenchActions.edit({ dish: withIngredient(dish, i.id, { amount }), merge: `amount-${i.id}` }),
        );
    } catch (e) {
      if (!(e instanceof Problem)) throw e;
      this.store.dispatch(BenchActions.draft({ field: i.id, text, message: e.message }));
    }
  }

  /** In a glass of the cook's own; a bare number counts those that the field shows. */
  private ownAmount(i: Ingredient, text: string): Amount | null {
    const cup = this.fmt.cupFor(i.amount);
    const isBare = !/\p{L}/u.test(text);
    return ownAmountOf(cup !== null && isBare ? `${text} ${cup}` : text, this.kitchen().ownMeasures ?? []);
  }

  prep(i: Ingredient, change: NonNullable<Ingredient['prep']>): void {
    const dish = this.dish();
    if (dish) this.store.dispatch(BenchActions.edit({ dish: withPrep(dish, i.id, change) }));
  }
  remove(id: string): void {
    const dish = this.dish();
    if (!dish) return;
    this.store.dispatch(BenchActions.clearDraft({ field: id }));
    this.store.dispatch(BenchActions.edit({ dish: withoutIngredient(dish, id) }));
  }
  readonly joined = (i: Ingredient): NonNullable<Ingredient['joins']> | 'auto' => i.joins ?? 'auto';
  joins(i: Ingredient, value: NonNullable<Ingredient['joins']> | 'auto'): void {
    const dish = this.dish();
    if (dish)
      this.store.dispatch(
        BenchActions.edit({ dish: withIngredient(dish, i.id, { joins: value === 'auto' ? undefined : value }) }),
      );
  }
}
