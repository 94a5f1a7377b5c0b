import { ChangeDetectionStrategy, Component, computed, inject, input, output, type OnInit } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { ownMeasureId, ownMeasureMl, ownMeasureSchema, scoopOf, type OwnMeasure } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Format } from '../i18n/format';
import { Refusals } from '../i18n/refusals';
import { KitchenActions, kitchenFeature } from '../state/kitchen';
import { messagesOf, zodValidator } from '../ui/zod-form';

/** What stands in every kitchen and fills a glass evenly. */
const fillings = ['water', 'rice-long', 'rice-basmati', 'rice-medium', 'sugar'] as const;

interface FormValue {
  name: string;
  filledWith: string;
  grams: number | null;
  scoopedG: number | null;
}

/** A glass of the cook's own: its name, what it was filled with, and what the scale showed. */
@Component({
  selector: 'ek-own-measure-dialog',
  imports: [ReactiveFormsModule, TranslocoDirective, Button, Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: '../ui/own-food-dialog.scss',
  template: `
    <p-dialog
      *transloco="let t"
      [visible]="true"
      (visibleChange)="closed.emit()"
      [modal]="true"
      [closeAriaLabel]="t('app.close')"
      [header]="t(measure() ? 'own-measure.correct' : 'own-measure.title')"
      [style]="{ width: 'min(34rem, 97vw)' }"
    >
      @let said = messages();
      <form [formGroup]="form" (ngSubmit)="save()">
        <p class="quiet">{{ t('own-measure.how') }}</p>
        <div class="row">
          <label class="wide">
            <span>{{ t('own-measure.name') }}</span>
            <input type="text" formControlName="name" maxlength="16" [attr.placeholder]="t('own-measure.example')" />
          </label>
          <label>
            <span>{{ t('own-measure.filled-with') }}</span>
            <select formControlName="filledWith">
              @for (f of fillings; track f) {
                <option [value]="f">{{ t('food.' + f) }}</option>
              }
            </select>
          </label>
          <label>
            <span>{{ t('own-measure.grams') }}</span>
            <input type="number" inputmode="decimal" min="0" step="any" formControlName="grams" />
          </label>
          <label>
            <span>{{ t('own-measure.scooped') }}</span>
            <input type="number" inputmode="decimal" min="0" step="any" formControlName="scoopedG" />
          </label>
        </div>
        @if (form.touched && (said['name'] || said['id'])) {
          <p class="stop-text" role="alert">{{ t('own-measure.name-missing') }}</p>
        }
        @if ((form.controls.grams.dirty || form.touched) && said['grams']; as m) {
          <p class="stop-text" role="alert">{{ m }}</p>
        }
        @if ((form.controls.scoopedG.dirty || form.touched) && said['scoopedG']; as m) {
          <p class="stop-text" role="alert">{{ m }}</p>
        }
        <p class="follows" role="status">
          @if (ml(); as holds) {
            {{ t('own-measure.follows', { ml: fmt.number(holds) }) }}
            @if (scoop(); as more) {
              {{ t('own-measure.scoops', { share: fmt.percent(more) }) }}
            }
          } @else {
            <span class="quiet">{{ t('own-measure.hint') }}</span>
          }
        </p>
        <p class="row"><p-button type="submit" size="large" [label]="t('own-measure.save')" /></p>
      </form>
    </p-dialog>
  `,
})
export class OwnMeasureDialog implements OnInit {
  /** the glass to be corrected; without it a new one is made */
  readonly measure = input<OwnMeasure | null>(null);
  readonly closed = output();
  private readonly store = inject(Store);
  private readonly refusals = inject(Refusals);
  readonly fmt = inject(Format);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly fillings = fillings;
  readonly form = new FormGroup(
    {
      name: new FormControl('', { nonNullable: true }),
      filledWith: new FormControl<string>('water', { nonNullable: true }),
      grams: new FormControl<number | null>(null),
      scoopedG: new FormControl<number | null>(null),
    },
    { validators: zodValidator(ownMeasureSchema, (value) => this.documentOf(value as FormValue)) },
  );
  private readonly value = toSignal(this.form.valueChanges);
  readonly messages = computed(() => {
    this.value();
    return messagesOf(this.form.errors, this.refusals);
  });
  /** what it holds, mL; null while that is not known */
  readonly ml = computed(() => {
    const read = this.filled();
    return read.success ? ownMeasureMl(read.data) : null;
  });
  /** how much of dry grain it is scooped with, of what it holds level; null where that was not weighed */
  readonly scoop = computed(() => {
    const read = this.filled();
    return read.success && read.data.scoopedG !== undefined ? scoopOf(read.data) : null;
  });
  private readonly filled = computed(() => {
    this.value();
    return ownMeasureSchema.safeParse(this.documentOf({ ...this.form.getRawValue(), name: 'a' }));
  });

  ngOnInit(): void {
    const own = this.measure();
    if (own) this.form.patchValue(own);
  }
  private documentOf({ scoopedG, ...value }: FormValue): unknown {
    const others = (this.kitchen().ownMeasures ?? []).map((m) => m.id);
    const id = this.measure()?.id ?? ownMeasureId(value.name, others);
    return { id, ...value, ...(scoopedG === null ? {} : { scoopedG }) };
  }
  save(): void {
    const read = ownMeasureSchema.safeParse(this.documentOf(this.form.getRawValue()));
    if (!read.success) {
      this.form.markAllAsTouched();
      return;
    }
    const others = (this.kitchen().ownMeasures ?? []).filter((m) => m.id !== read.data.id);
    this.store.dispatch(KitchenActions.change({ change: { ownMeasures: [...others, read.data] } }));
    this.closed.emit();
  }
}
