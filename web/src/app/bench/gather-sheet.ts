import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { foods, parseAmount, Problem, showAmount, type Ingredient } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { ToggleButton } from 'primeng/togglebutton';
import { Format } from '../i18n/format';
import { BenchActions, benchFeature } from './bench.slice';
import { addIngredient, withIngredient, withoutIngredient, withPrep } from './edits';

/** 1 Gather: what the cook has, in the measures they think in; every field says what it understood. */
@Component({
  selector: 'ek-gather-sheet',
  imports: [FormsModule, TranslocoDirective, Button, InputText, Select, ToggleButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (dish(); as d) {
        <ul class="rows">
          @for (i of d.ingredients; track i.id) {
            <li [class.bad]="drafts()[i.id]">
              <div class="food">
                <strong>{{ t('food.' + i.food) }}</strong>
                <span class="quiet">{{ fate(t, i) }}</span>
              </div>
              <input
                pInputText
                class="amount"
                inputmode="text"
                autocomplete="off"
                [attr.aria-label]="t('gather.amount', { food: t('food.' + i.food) })"
                [attr.aria-invalid]="!!drafts()[i.id]"
                [attr.aria-describedby]="drafts()[i.id] ? 'why-' + i.id : null"
                [attr.data-amount]="i.id"
                [value]="typing()?.id === i.id ? typing()!.text : (drafts()[i.id]?.text ?? amountText(i))"
                (input)="typed(i, $any($event.target).value)"
                (blur)="typing.set(null)"
              />
              <div class="prep">
                @switch (kind(i)) {
                  @case ('grain') {
                    <p-togglebutton
                      [onLabel]="t('gather.rinsed')"
                      [offLabel]="t('gather.unrinsed')"
                      [ngModel]="i.prep?.rinse ?? false"
                      (ngModelChange)="prep(i, { rinse: $event })"
                      [ariaLabel]="t('gather.rinse')"
                    />
                    <label>
                      {{ t('gather.soak') }}
                      <p-select
                        [options]="soaks()"
                        optionLabel="label"
                        optionValue="value"
                        [ngModel]="i.prep?.soakMin ?? 0"
                        (ngModelChange)="prep(i, { soakMin: $event })"
                        [ariaLabel]="t('gather.soak')"
                        appendTo="body"
                      />
                    </label>
                  }
                  @case ('meat') {
                    <label>
                      {{ t('gather.cut') }}
                      <p-select
                        [options]="cuts()"
                        optionLabel="label"
                        optionValue="value"
                        [ngModel]="i.prep?.thicknessMm ?? 25"
                        (ngModelChange)="prep(i, { thicknessMm: $event })"
                        [ariaLabel]="t('gather.cut')"
                        appendTo="body"
                      />
                    </label>
                  }
                }
              </div>
              <p-button
                severity="secondary"
                size="small"
                [label]="t('gather.remove')"
                [ariaLabel]="t('gather.remove-one', { food: t('food.' + i.food) })"
                (onClick)="remove(i.id)"
              />
              @if (drafts()[i.id]; as bad) {
                <p class="message" role="alert" [id]="'why-' + i.id">
                  {{ bad.message }} <span class="quiet">{{ t('gather.still', { amount: amountText(i) }) }}</span>
                </p>
              }
            </li>
          }
        </ul>
        <div class="add">
          <p-select
            [options]="choices()"
            optionLabel="label"
            optionValue="id"
            [filter]="true"
            [placeholder]="t('gather.add')"
            [ariaLabel]="t('gather.add')"
            [ngModel]="picked()"
            (ngModelChange)="add($event)"
            appendTo="body"
            [style]="{ minWidth: '17rem' }"
          />
          <p class="quiet">{{ t('gather.hint') }}</p>
        </div>
      }
    </ng-container>
  `,
  styles: `
    .rows {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      display: grid;
      grid-template-columns: minmax(150px, 1.2fr) 150px minmax(0, 1.6fr) auto;
      gap: 4px 12px;
      align-items: center;
      border-bottom: 1px solid var(--hair);
      padding: 7px 0;
      min-height: 58px;
    }
    .food {
      display: grid;
      line-height: 1.2;
    }
    .food .quiet {
      font-size: 15px;
    }
    .amount {
      width: 100%;
      font-weight: 700;
      font-size: 18px;
    }
    .bad .amount {
      border-color: var(--paprika);
    }
    .prep {
      display: flex;
      gap: 12px;
      align-items: center;
      font-size: 16px;
    }
    label {
      display: inline-flex;
      gap: 6px;
      align-items: center;
    }
    .message {
      grid-column: 1 / -1;
      color: var(--paprika);
      font-weight: 600;
      margin: 0;
    }
    .add {
      display: flex;
      gap: 14px;
      align-items: center;
      padding-top: 12px;
    }
    @media (max-width: 760px) {
      li {
        grid-template-columns: 1fr 130px;
      }
      .add {
        flex-wrap: wrap;
      }
    }
  `,
})
export class GatherSheet {
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  private readonly fmt = inject(Format);
  readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly drafts = this.store.selectSignal(benchFeature.selectDrafts);
  readonly picked = signal<string | null>(null);
  readonly typing = signal<{ id: string; text: string } | null>(null);

  readonly choices = computed(() => {
    this.fmt.locale();
    return foods
      .map((f) => ({ id: f.id, label: this.transloco.translate(`food.${f.id}`) }))
      .sort((a, b) => a.label.localeCompare(b.label, this.fmt.locale()));
  });
  readonly soaks = computed(() =>
    [0, 15, 30, 60, 240, 480].map((value) => ({
      value,
      label: value === 0 ? this.transloco.translate('gather.no-soak') : value < 60 ? `${value} min` : `${value / 60} h`,
    })),
  );
  readonly cuts = computed(() => {
    const own = this.dish()?.ingredients.map((i) => i.prep?.thicknessMm ?? 25) ?? [];
    return [...new Set([8, 12, 15, 20, 25, 30, 40, 50, ...own])]
      .sort((a, b) => a - b)
      .map((value) => ({ value, label: `${value} mm` }));
  });

  kind(i: Ingredient): string {
    return foods.find((f) => f.id === i.food)?.kind ?? '';
  }

  amountText(i: Ingredient): string {
    return `${showAmount(i.amount.value, i.amount.unit, this.fmt.locale())} ${this.fmt.unit(i.amount.unit, i.amount.value)}`;
  }

  /** Where it goes, as the planner decided. */
  fate(t: (key: string, p?: Record<string, unknown>) => string, i: Ingredient): string {
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
      const amount = parseAmount(text, i.amount.unit);
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
  add(food: string): void {
    const dish = this.dish();
    if (dish && food) this.store.dispatch(BenchActions.edit({ dish: addIngredient(dish, food) }));
    this.picked.set(null);
  }
}
