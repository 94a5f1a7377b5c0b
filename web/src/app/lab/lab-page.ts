import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { guesses, ingredientNames, lessonIds, type Guess, type LessonId } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button, ButtonDirective } from 'primeng/button';
import { Slider } from 'primeng/slider';
import { SaidPipe } from '../i18n/said';
import { kitchenFeature } from '../state/kitchen';
import { Bound } from '../ui/bound';
import { MiniPot } from '../ui/mini-pot';
import { narrow } from '../ui/narrow';
import { PotSection } from '../ui/pot-section';
import { LabActions, labFeature, learntOf } from './lab.slice';
import { LessonSum } from './lesson-sum';
import { RowValue } from './row-value';

/** Short lessons that the model makes: one dish, one slider, two pots, and a guess before the answer. */
@Component({
  selector: 'ek-lab-page',
  imports: [
    Bound,
    Button,
    ButtonDirective,
    LessonSum,
    MiniPot,
    PotSection,
    RouterLink,
    RouterLinkActive,
    RowValue,
    SaidPipe,
    Slider,
    TranslocoDirective,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lab-page.html',
  styleUrl: './lab-page.scss',
})
export class LabPage {
  /** from the address */
  readonly lesson = input<string>();
  private readonly store = inject(Store);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly run = this.store.selectSignal(labFeature.selectRun);
  readonly guess = this.store.selectSignal(labFeature.selectGuess);
  readonly message = this.store.selectSignal(labFeature.selectMessage);
  /** the words in the drawing of a pot are too small beside each other there */
  readonly phone = narrow();
  readonly ids = lessonIds;
  readonly guesses = guesses;
  readonly id = computed<LessonId | null>(() => lessonIds.find((l) => l === this.lesson()) ?? null);
  readonly learnt = computed(() => learntOf(this.kitchen().guesses));
  /** The lesson after this one, round the list, that was not guessed right the last time. */
  readonly next = computed<LessonId | null>(() => {
    const { last } = this.learnt();
    const from = this.id() === null ? 0 : lessonIds.indexOf(this.id()!) + 1;
    const round = [...lessonIds.slice(from), ...lessonIds.slice(0, from)];
    return round.find((l) => l !== this.id() && last[l] !== true) ?? null;
  });
  readonly pots = computed(() => {
    const run = this.run();
    return run
      ? [run.left, run.right].map((pot) => ({
          ...pot,
          names: ingredientNames(pot.dish.ingredients),
          measured: pot.rows.at(-1)!,
        }))
      : [];
  });

  constructor() {
    effect(() => this.store.dispatch(LabActions.open({ lesson: this.id() })));
  }

  say(guess: Guess): void {
    this.store.dispatch(LabActions.guess({ guess }));
  }
  again(): void {
    this.store.dispatch(LabActions.again());
  }
  move(value: number): void {
    this.store.dispatch(LabActions.move({ value }));
  }
}
