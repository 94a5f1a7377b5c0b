import { ChangeDetectionStrategy, Component, computed, inject, input, output, type OnInit } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NonNullableFormBuilder, ReactiveFormsModule } from '@angular/forms';
import { dishSchema, type Dish } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Refusals } from '../i18n/refusals';
import { messagesOf, zodValidator } from './zod-form';

const wordsSchema = dishSchema.pick({ title: true, serves: true, notes: true });

/** A dish's title, for how many it is, and the cook's notes. */
@Component({
  selector: 'ek-dish-words-dialog',
  imports: [ReactiveFormsModule, TranslocoDirective, Button, Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <p-dialog
        [visible]="true"
        (visibleChange)="closed.emit()"
        [modal]="true"
        [closeAriaLabel]="t('app.close')"
        [header]="t('words.title')"
        [style]="{ width: 'min(36rem, 97vw)' }"
      >
        @let said = messages();
        <form [formGroup]="form" (ngSubmit)="save()">
          <label>
            <span>{{ t('recipe.name') }}</span>
            <input type="text" formControlName="title" maxlength="120" />
          </label>
          <label>
            <span>{{ t('recipe.serves') }}</span>
            <input type="number" formControlName="serves" min="1" max="60" />
          </label>
          <label>
            <span>{{ t('words.notes') }}</span>
            <textarea formControlName="notes" rows="6" maxlength="4000"></textarea>
          </label>
          @for (f of ['title', 'serves', 'notes']; track f) {
            @if (said[f]; as m) {
              <p class="stop-text" role="alert">{{ m }}</p>
            }
          }
          <p-button type="submit" size="large" [label]="t('words.keep')" [disabled]="form.invalid" />
        </form>
      </p-dialog>
    </ng-container>
  `,
  styles: `
    @use 'fields';

    form,
    label {
      display: grid;
      gap: var(--space-2);
    }
    form {
      gap: var(--space-7);
      justify-items: stretch;
    }
    input,
    textarea {
      @include fields.field;
      padding-block: var(--space-3);
    }
    input[type='number'] {
      width: 7rem;
    }
  `,
})
export class DishWordsDialog implements OnInit {
  private readonly refusals = inject(Refusals);
  readonly dish = input.required<Dish>();
  readonly changed = output<Dish>();
  readonly closed = output();
  readonly form = inject(NonNullableFormBuilder).group(
    { title: '', serves: 4, notes: '' },
    { validators: zodValidator(wordsSchema) },
  );
  private readonly value = toSignal(this.form.valueChanges);
  readonly messages = computed(() => {
    this.value();
    return messagesOf(this.form.errors, this.refusals);
  });

  ngOnInit(): void {
    const { title, serves, notes = '' } = this.dish();
    this.form.setValue({ title, serves, notes });
  }
  save(): void {
    if (this.form.invalid) return;
    const { title, serves, notes } = this.form.getRawValue();
    const { notes: _, ...dish } = this.dish();
    this.changed.emit({ ...dish, title: title.trim(), serves, ...(notes.trim() === '' ? {} : { notes }) });
    this.closed.emit();
  }
}
