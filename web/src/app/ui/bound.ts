import { Directive, effect, inject, input, output } from '@angular/core';
import { NG_VALUE_ACCESSOR } from '@angular/forms';

/**
 * A single field whose value stands in the store or in a signal and not in a form: it shows `ekBound` and tells what was
 * chosen. Several fields that are judged together are a form with a schema instead, see `zod-form`.
 */
@Directive({ selector: '[ekBound]' })
export class Bound<T> {
  readonly ekBound = input.required<T>();
  readonly ekBoundChange = output<T>();

  constructor() {
    for (const field of inject(NG_VALUE_ACCESSOR, { self: true })) {
      field.registerOnChange((value: T) => this.ekBoundChange.emit(value));
      field.registerOnTouched(() => undefined);
      effect(() => field.writeValue(this.ekBound()));
    }
  }
}
