import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { pouredOf, type IngredientNames, type Dish, type Ingredient, type Plan, type Step } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';
import { planInShort, planRows } from '../ui/plan-rows';
import { PotSection } from '../ui/pot-section';
import { prepWords } from '../ui/prep-words';
import { stepParams } from '../ui/step-text';
import { PotNamePipe } from '../ui/pot-name';

type Translate = (key: string, p?: Record<string, unknown>) => string;

/** Steps with words of their own on paper: nobody taps there, and a layer is one line. */
const shortOnPaper = new Set<string>([
  'stack-layer',
  'heat-up',
  'hold',
  'hold-whistles',
  'natural',
  'natural-full',
  'vent',
  'first-heat',
  'first-hold',
  'first-vent',
]);
/** Steps that say nothing a cook could do: they are a part of the one before. */
const untold = new Set<string>(['to-full', 'first-full']);

/** The plan on one sheet of paper, A4 or Letter, that can be read in black and white: what to take, the pot, the steps. */
@Component({
  selector: 'ek-print-sheet',
  imports: [PotNamePipe, TranslocoDirective, PotSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './print-sheet.html',
  styleUrl: './print-sheet.scss',
})
export class PrintSheet {
  readonly dish = input.required<Dish>();
  readonly plan = input.required<Plan>();
  readonly names = input.required<IngredientNames>();
  readonly fmt = inject(Format);
  readonly today = Date.now();
  private readonly poured = computed(() => pouredOf(this.plan()));
  /** What is taken, in the order of the dish; water that the dish did not name comes first. */
  readonly rows = computed(() => {
    const own = this.dish().ingredients;
    return own.some((i) => this.poured().has(i.id)) ? own : null;
  });
  readonly steps = computed(() => {
    let at = 0;
    return this.plan()
      .steps.map((step) => {
        const from = at;
        at += step.minutes;
        return { step, from };
      })
      .filter(({ step }) => !untold.has(step.text));
  });
  readonly total = computed(() => this.plan().steps.reduce((m, s) => m + s.minutes, 0));

  amount(i: Ingredient): string {
    const ml = this.poured().get(i.id);
    if (ml !== undefined) return this.fmt.ml(ml);
    return this.fmt.amount(i.amount);
  }
  prep(t: Translate, i: Ingredient): string {
    return i.prep ? prepWords(i.prep, t, this.fmt).join(', ') : '';
  }
  inShort(t: Translate): string {
    return planInShort(planRows([this.plan()], t, this.fmt), 0);
  }
  title(t: Translate, step: Step): string {
    const params = this.params(t, step);
    return shortOnPaper.has(step.text) ? t(`print.${step.text}`, params) : t(`step.${step.text}.title`, params);
  }
  how(t: Translate, step: Step): string {
    return shortOnPaper.has(step.text) ? '' : t(`step.${step.text}.how`, this.params(t, step));
  }
  private params(t: Translate, step: Step): Record<string, unknown> {
    const params = stepParams(step, { dish: this.dish(), plan: this.plan() }, this.fmt, t);
    // One food of a layer has its weight without its name.
    const one = step.ingredients.length === 1 ? ` ${String(params['food'])}` : '';
    return { ...params, layer: `${String(params['amounts'])}${one}` };
  }
}
