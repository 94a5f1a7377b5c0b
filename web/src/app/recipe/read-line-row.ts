import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { askedBelow, ownAmountOf, type OwnMeasure, type Reading, type UnitId } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';
import { readingSentence } from '../i18n/reading-words';
import { prepWords } from '../ui/prep-words';

/** One line as it was understood: how much of what, cut and state; where it is not certain, a choice or an amount to give. */
@Component({
  selector: 'ek-read-line-row',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'listitem', '[class.asks]': 'asks()', '[class.refused]': 'line().refused' },
  template: `
    <ng-container *transloco="let t">
      <span class="grams mono">{{ grams(t) }}</span>
      <span class="what">
        <span class="food">
          @if (line().food; as food) {
            <strong>{{ fmt.ingredient({ food, ownFood: line().ownFood, name: line().name }) }}</strong>
          } @else {
            <strong class="stop-text">{{ line().text }}</strong>
          }
          @for (p of prep(t); track p) {
            <span class="chip">{{ p }}</span>
          }
        </span>
        @if (line().food) {
          <span class="said quiet">{{ line().text }}</span>
        }
        @if (line().left.length > 0 && line().food) {
          <span class="said stop-text">{{ t('gather.not-read', { words: line().left.join(' ') }) }}</span>
        }
        @if (line().grams !== 0 && line().said; as said) {
          <span class="said" [class.quiet]="!asks() && !line().refused">{{ sentence(said, t) }}</span>
        }
        @if (asks() || line().refused) {
          <span class="answers">
            @for (c of line().choices; track c) {
              <button type="button" (click)="answered.emit({ food: c })">{{ t('food.' + c) }}</button>
            }
            @if (needsAmount()) {
              <input
                type="text"
                #amount
                [attr.aria-label]="t('recipe.how-much', { line: line().text })"
                [placeholder]="t('recipe.amount')"
                (keydown.enter)="give(amount.value)"
              />
              <button type="button" (click)="give(amount.value)">{{ t('recipe.give') }}</button>
            }
            @if (!line().food && !line().refused) {
              <button type="button" (click)="unknown.emit(line().left.join(' '))">
                {{ t('own-food.from-packet') }}
              </button>
            }
            <button type="button" class="out" (click)="leftOut.emit()">{{ t('recipe.leave-out') }}</button>
          </span>
          @if (bad()) {
            <span class="said stop-text" role="alert">{{ t('recipe.bad-amount', { text: bad() }) }}</span>
          }
        }
      </span>
    </ng-container>
  `,
  styleUrl: './read-line-row.scss',
})
export class ReadLineRow {
  readonly line = input.required<Reading['lines'][number]>();
  /** glasses of this kitchen: one alone is an amount too */
  readonly ownMeasures = input<readonly OwnMeasure[]>([]);
  readonly answered = output<{ food: string } | { amount: string }>();
  readonly leftOut = output();
  /** a food that nobody knows, by its words: it may be added from its packet */
  readonly unknown = output<string>();
  readonly fmt = inject(Format);
  readonly sentence = readingSentence;
  readonly bad = signal('');
  readonly asks = computed(() => this.line().certain < askedBelow && !this.line().refused);
  readonly needsAmount = computed(() => this.asks() && this.line().food !== null && this.line().choices.length === 0);

  grams(t: (key: string) => string): string {
    const { grams, amount } = this.line();
    if (grams === null) return this.line().refused ? '–' : '?';
    if (grams === 0 || !amount) return t('recipe.to-taste');
    const isWeighed = amount.unit === 'g' || amount.unit === 'kg';
    return isWeighed ? this.fmt.grams(grams) : this.fmt.amount({ value: amount.value, unit: amount.unit as UnitId });
  }
  prep(t: (key: string, p?: Record<string, unknown>) => string): string[] {
    const { prep: p = {}, joins, grams, amount } = this.line();
    const weighs = amount && grams && !['g', 'kg'].includes(amount.unit);
    return [
      ...(weighs ? [this.fmt.grams(grams)] : []),
      ...prepWords(p, t, this.fmt),
      ...(joins ? [t(`recipe.joins-${joins}`)] : []),
    ];
  }
  /** An amount begins with a number, or is a glass of this kitchen; anything else is said and stays in the field. */
  give(amount: string): void {
    const hasNumber = /\d|[½¼¾]/.test(amount);
    const isGlass = ownAmountOf(amount, this.ownMeasures()) !== null;
    this.bad.set(hasNumber || isGlass ? '' : amount.trim() || '…');
    if (hasNumber) this.answered.emit({ amount });
    else if (isGlass) this.answered.emit({ amount: `1 ${amount.trim()}` });
  }
}
