import { ChangeDetectionStrategy, Component, computed, inject, input, model, output, viewChild } from '@angular/core';
import { fields, askedAfter, type Cook, type Outcome, type RatingKey, type Ratings } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { InputNumber } from 'primeng/inputnumber';
import { Textarea } from 'primeng/textarea';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { RatingScale } from '../ui/rating-scale';
import { Bound } from '../ui/bound';

/** On the table: how it came out, what the thermometer said, a note, all at one's leisure. */
@Component({
  selector: 'ek-after-panel',
  imports: [SaidPipe, Bound, TranslocoDirective, Button, InputNumber, Textarea, RatingScale],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section *transloco="let t" class="panel rate">
      @if (cook().dish.calibrates) {
        <h1>{{ t('calibrate.over') }}</h1>
        <p class="quiet">{{ t('calibrate.over-how') }}</p>
      } @else {
        <h1>{{ t('rate.title', { time: fmt.time(serveMs()) }) }}</h1>
        <p class="quiet">{{ t('rate.hint') }}</p>
      }
      @for (k of keys(); track k) {
        <div class="scale">
          <strong>{{ t('rating.' + k + '.name') }}</strong>
          <ek-rating-scale [of]="k" [value]="ratings()[k] ?? null" (chosen)="rate(k, $event)" />
        </div>
      }
      @if (cook().plan.meats[0]; as meat) {
        <label class="core"
          ><strong>{{ t('rate.core') }}</strong>
          <p-inputnumber
            [ekBound]="coreC()"
            (ekBoundChange)="coreC.set($event)"
            [ekSchema]="fields.coreC"
            ekMeasure="temperature"
            [suffix]="fmt.entry('temperature').suffix"
            [inputStyle]="{ width: '7rem' }"
            inputId="core"
          />
          <span class="quiet">{{ t('rate.core-hint', { c: meat.safeMinimumC }) }}</span>
        </label>
      }
      <label class="note"
        ><strong>{{ t('rate.note') }}</strong
        ><textarea
          #noteField
          pTextarea
          rows="2"
          maxlength="4000"
          [value]="note()"
          (input)="note.set(noteField.value)"
        ></textarea>
      </label>
      @if (failure(); as f) {
        <p class="stop-text" role="alert">{{ f | said }}</p>
      }
      <p class="row">
        <p-button
          [label]="t(cook().dish.calibrates ? 'calibrate.keep' : 'rate.keep')"
          [disabled]="refused()"
          (onClick)="rated.emit(outcome())"
        />
        <p-button severity="secondary" [label]="t('stove.undo')" (onClick)="undone.emit()" />
      </p>
    </section>
  `,
  styles: `
    @use 'breakpoints' as *;

    :host {
      width: min(860px, 100%);
    }
    .rate {
      padding: var(--space-8) var(--space-10);
      display: grid;
      gap: var(--space-6);
    }
    h1 {
      font: 600 var(--size-title)/1.15 var(--title);
      color: var(--rim);
      margin: 0;
    }
    .scale {
      display: grid;
      grid-template-columns: 110px 1fr;
      gap: var(--space-6);
      align-items: center;
    }
    ek-rating-scale {
      --step-height: 58px;
      --step-font: var(--size-head);
    }
    .core,
    .note {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-5);
      align-items: center;
    }
    textarea {
      flex: 1 1 100%;
    }
    .row {
      display: flex;
      gap: var(--space-5);
      margin-top: var(--space-6);
    }
    @media #{$phone} {
      .scale {
        grid-template-columns: 1fr;
        gap: var(--space-2);
      }
      ek-rating-scale {
        --step-font: var(--size-text);
      }
    }
  `,
})
export class AfterPanel {
  readonly fields = fields;
  private readonly coreField = viewChild(Bound);
  readonly refused = computed(() => this.coreField()?.refused() ?? false);
  readonly cook = input.required<Cook>();
  readonly serveMs = input.required<number>();
  readonly failure = input<{ offline: boolean; message: string } | null>(null);
  readonly ratings = model.required<Ratings>();
  readonly coreC = model.required<number | null>();
  readonly note = model.required<string>();
  readonly rated = output<Outcome>();
  readonly undone = output();
  readonly fmt = inject(Format);

  readonly keys = computed(() => askedAfter(this.cook()));
  rate(key: RatingKey, value: number): void {
    this.ratings.update((r) => ({ ...r, [key]: value }));
  }
  outcome(): Outcome {
    const core = this.coreC();
    const note = this.note().trim();
    return { ratings: this.ratings(), ...(core === null ? {} : { coreC: core }), ...(note ? { note } : {}) };
  }
}
