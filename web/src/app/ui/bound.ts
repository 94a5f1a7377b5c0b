import { Directive, effect, ElementRef, inject, input, output, Renderer2, signal } from '@angular/core';
import { NG_VALUE_ACCESSOR } from '@angular/forms';
import { messageOf } from '@einkorn/core';
import type { ZodType } from 'zod';
import type { EntryMeasure } from '../i18n/entry';
import { Format } from '../i18n/format';
import { Refusals } from '../i18n/refusals';

/**
 * A single field whose value stands in the store or in a signal and not in a form: it shows `ekBound` and tells what was
 * chosen. With `ekSchema`, the field's own part of the document's schema, a value that it refuses is not told: what is wrong
 * stands under the field until it is mended, and `refused` keeps the button beside it from sending what stood there before.
 * Several fields that are judged together are a form, see `zod-form`.
 */
@Directive({ selector: '[ekBound]', exportAs: 'ekBound' })
export class Bound<T> {
  readonly ekBound = input.required<T>();
  readonly ekSchema = input<ZodType | null>(null);
  /** what the field takes in the units of the kitchen; what it tells is in °C, g and m */
  readonly ekMeasure = input<EntryMeasure | null>(null);
  readonly ekBoundChange = output<T>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly fmt = inject(Format);
  private readonly refusals = inject(Refusals);
  private readonly renderer = inject(Renderer2);
  private said: HTMLElement | null = null;
  /** what stands in the field is not what it tells */
  readonly refused = signal(false);

  constructor() {
    for (const field of inject(NG_VALUE_ACCESSOR, { self: true })) {
      field.registerOnChange((shown: T) => {
        const value = this.converted(shown, 'toStored');
        if (this.isFit(value)) this.ekBoundChange.emit(value);
      });
      field.registerOnTouched(() => undefined);
      effect(() => {
        field.writeValue(this.converted(this.ekBound(), 'toShown'));
        this.say(null);
      });
    }
  }

  private converted(value: T, to: 'toShown' | 'toStored'): T {
    const measure = this.ekMeasure();
    return measure !== null && typeof value === 'number' ? (this.fmt.entry(measure)[to](value) as T) : value;
  }

  /** An emptied field is not judged: what it means is for its screen to say. */
  private isFit(value: T): boolean {
    const read = value === null ? null : this.ekSchema()?.safeParse(value);
    const finding = read?.success === false ? read.error.issues[0] : undefined;
    this.say(finding ? messageOf(finding) : null);
    return this.said === null;
  }

  private say(message: string | null): void {
    if (this.said) this.renderer.removeChild(this.host.parentNode, this.said);
    this.said = null;
    this.refused.set(message !== null);
    const field = this.host.querySelector('input') ?? this.host;
    if (message === null) {
      this.renderer.removeAttribute(field, 'aria-invalid');
      return;
    }
    const line = this.renderer.createElement('span') as HTMLElement;
    this.renderer.setAttribute(line, 'class', 'stop-text field-said');
    this.renderer.setAttribute(line, 'role', 'alert');
    this.renderer.setProperty(line, 'textContent', this.refusals.say(message));
    this.renderer.insertBefore(this.host.parentNode, line, this.renderer.nextSibling(this.host));
    this.renderer.setAttribute(field, 'aria-invalid', 'true');
    this.said = line;
  }
}
