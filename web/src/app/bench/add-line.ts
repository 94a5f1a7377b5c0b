import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild } from '@angular/core';
import { fold, foods, readLine, suggestFoods, type ReadLine } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { AutoComplete } from 'primeng/autocomplete';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { readingSentence } from '../i18n/reading-words';
import { kitchenFeature } from '../state/kitchen';
import { OwnFoodDialog } from '../ui/own-food-dialog';
import { prepWords } from '../ui/prep-words';
import { BenchActions, benchFeature } from './bench.slice';
import { addRead, isWhole, type WholeLine } from './edits';
import { Bound } from '../ui/bound';

interface Choice {
  label: string;
  line: string;
}

/** One line for a whole ingredient: "2 lb chicken breast strips 1 cm, part-seared"; it says what it understood before Enter. */
@Component({
  selector: 'ek-add-line',
  imports: [Bound, TranslocoDirective, AutoComplete, Button, OwnFoodDialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <div class="line">
        <p-autocomplete
          class="field"
          [ekBound]="text()"
          (ekBoundChange)="typed($event)"
          [suggestions]="choices()"
          (completeMethod)="complete($event.query)"
          (onSelect)="chosen($event.value)"
          (keydown.enter)="enter()"
          optionLabel="label"
          [placeholder]="t('gather.line')"
          [ariaLabel]="t('gather.line-label')"
          inputId="add-line"
          [minQueryLength]="2"
          [delay]="60"
          [autoOptionFocus]="false"
          appendTo="body"
          [inputStyle]="{ width: '100%' }"
          [style]="{ width: '100%' }"
        />
        <p-button [label]="t('gather.add-it')" [disabled]="!read()" (onClick)="add()" />
      </div>
      <p class="said" role="status">
        @if (read(); as r) {
          <strong>{{ said(t, r) }}</strong>
          @if (r.left.length > 0) {
            <span class="quiet">{{ t('gather.not-read', { words: r.left.join(' ') }) }}</span>
          }
          @if (r.said; as note) {
            <span class="quiet">{{ sentence(note, t) }}</span>
          }
        } @else if (line()?.said; as note) {
          <span class="stop-text">{{ sentence(note, t) }}</span>
          @if (unknown(); as words) {
            <button type="button" class="packet" (click)="packetOf.set(words)">{{ t('own-food.from-packet') }}</button>
          }
        } @else {
          <span class="quiet">{{ t('gather.line-hint') }}</span>
        }
      </p>
      @if (packetOf() !== null) {
        <ek-own-food-dialog [named]="packetOf()!" (closed)="packetOf.set(null)" />
      }
    </ng-container>
  `,
  styles: `
    @use 'breakpoints' as *;

    .line {
      display: flex;
      gap: var(--space-4);
    }
    .field {
      flex: 1;
      min-width: 0;
    }
    .packet {
      min-height: var(--touch);
      padding: 0 var(--space-6);
      border: 1.5px solid var(--rim);
      border-radius: 8px;
      background: var(--enamel);
      color: var(--ink);
      font: inherit;
      cursor: pointer;
    }
    .said {
      min-height: 24px;
      margin: var(--space-2) 0 var(--space-4);
      font-size: var(--size-text);
    }
    // The field stays where the thumb is; what is said of it grows upwards.
    @media #{$phone} {
      :host {
        display: flex;
        flex-direction: column;
      }
      .said {
        order: -1;
      }
    }
  `,
})
export class AddLine {
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  private readonly fmt = inject(Format);
  private readonly dish = this.store.selectSignal(benchFeature.selectDish);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  private readonly ownFoods = computed(() => this.kitchen().ownFoods ?? []);
  private readonly field = viewChild.required(AutoComplete);
  readonly text = signal('');
  readonly choices = signal<Choice[]>([]);
  private readonly names = computed((): Record<string, string> => {
    this.fmt.locale();
    return Object.fromEntries(foods.map((f) => [f.id, this.transloco.translate(`food.${f.id}`)]));
  });
  readonly sentence = readingSentence;
  readonly line = computed((): ReadLine | null =>
    this.text().trim().length < 2
      ? null
      : readLine(this.text(), this.fmt.locale().startsWith('es') ? 'es' : 'en', this.kitchen())[0]!,
  );
  /** a line whose food and amount are known; anything else says what is missing */
  readonly read = computed((): WholeLine | null => {
    const line = this.line();
    return line && isWhole(line) ? line : null;
  });

  /** the words of a line whose food nobody knows */
  readonly unknown = computed(() => {
    const line = this.line();
    return line && line.food === null && !line.refused ? line.left.join(' ') : '';
  });
  /** the words of a food to be added from its packet */
  readonly packetOf = signal<string | null>(null);

  typed(value: string | Choice): void {
    this.text.set(typeof value === 'string' ? value : value.line);
  }
  /** What is typed stays; a choice only puts the food's own name in place of its beginning. */
  complete(query: string): void {
    // The line may have been added while the list was still coming.
    if (query !== this.text()) {
      this.choices.set([]);
      this.field().hide();
      return;
    }
    const head = /^[\d.,/½¼¾⅓⅔⅛\s]*(?:\p{L}{1,6}\s+)?/u.exec(query)?.[0] ?? '';
    this.choices.set(
      [...this.ownNames(query), ...suggestFoods(query, this.names()).map((id) => this.names()[id] ?? id)].map(
        (label) => {
          return { label, line: `${/\d/.test(head) ? head : ''}${label}`.trim() };
        },
      ),
    );
  }
  /** Names of the cook's own foods that begin like what is typed. */
  private ownNames(query: string): string[] {
    const typed = fold(query.replace(/^[^\p{L}]*/u, ''));
    return this.ownFoods().flatMap(({ name }) => (typed !== '' && fold(name).startsWith(typed) ? [name] : []));
  }
  chosen(c: Choice): void {
    this.text.set(c.line);
  }
  enter(): void {
    if (this.read()) this.add();
  }
  add(): void {
    const dish = this.dish();
    const line = this.read();
    if (!dish || !line) return;
    this.store.dispatch(BenchActions.edit({ dish: addRead(dish, line) }));
    this.text.set('');
    this.choices.set([]);
    this.field().hide();
  }
  said(t: (key: string, p?: Record<string, unknown>) => string, r: WholeLine): string {
    return [`${this.fmt.amount(r.amount)} ${this.fmt.ingredient(r)}`, ...prepWords(r.prep ?? {}, t, this.fmt)].join(
      ', ',
    );
  }
}
