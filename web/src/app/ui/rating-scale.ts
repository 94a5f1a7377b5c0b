import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { ratingScales, type RatingKey } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';

/** Five named steps: hollow dot = predicted, solid dot = what the cook said. */
@Component({
  selector: 'ek-rating-scale',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div *transloco="let t" class="steps" role="radiogroup" [attr.aria-label]="t('rating.' + of() + '.name')">
      @for (s of steps(); track $index) {
        <button
          type="button"
          role="radio"
          [attr.aria-checked]="value() === $index"
          [tabindex]="value() === $index || (value() === null && $index === 0) ? 0 : -1"
          [class.on]="value() === $index"
          [style.--tint]="tint()"
          (click)="chosen.emit($index)"
          (keydown)="key($event, $index)"
        >
          {{ t('rating.' + of() + '.' + s) }}
          <span class="dots" aria-hidden="true">
            @if (predicted() === $index) {
              <i class="hollow"></i>
            }
            @if (value() === $index) {
              <i class="solid"></i>
            }
          </span>
        </button>
      }
    </div>
  `,
  styles: `
    .steps {
      display: grid;
      grid-template-columns: repeat(5, 1fr);
      gap: var(--space-1);
    }
    button {
      position: relative;
      min-height: var(--step-height, 42px);
      padding: var(--space-1) var(--space-1) var(--space-8);
      font-size: var(--step-font, var(--size-note));
      line-height: 1.1;
      background: var(--well);
      border: 1.3px solid var(--edge);
      border-radius: 6px;
      cursor: pointer;
      color: var(--ink);
    }
    button.on {
      background: var(--tint);
      border-color: var(--rim);
      font-weight: 700;
    }
    .dots {
      position: absolute;
      left: 0;
      right: 0;
      bottom: 4px;
      display: flex;
      gap: var(--space-2);
      justify-content: center;
    }
    i {
      width: 12px;
      height: 12px;
      border-radius: 50%;
      border: 2.2px solid var(--ink);
    }
    .solid {
      background: var(--ink);
    }
  `,
})
export class RatingScale {
  readonly of = input.required<RatingKey>();
  readonly steps = computed(() => ratingScales[this.of()]);
  readonly value = input.required<number | null>();
  readonly predicted = input<number | null>(null);
  readonly tint = input('var(--steam-tint)');
  readonly chosen = output<number>();

  key(e: KeyboardEvent, i: number): void {
    const by = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[e.key];
    if (by === undefined) return;
    e.preventDefault();
    const next = (i + by + 5) % 5;
    this.chosen.emit(next);
    ((e.currentTarget as HTMLElement).parentElement?.children[next] as HTMLElement | undefined)?.focus();
  }
}
