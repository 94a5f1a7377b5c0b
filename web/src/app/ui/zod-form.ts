import type { ValidationErrors, ValidatorFn } from '@angular/forms';
import { messageOf } from '@einkorn/core';
import type { ZodType } from 'zod';
import type { Refusals } from '../i18n/refusals';

/** What a form says of each field, by its dotted path. */
export type FieldMessages = Readonly<Record<string, string>>;

/**
 * The schema of the document as the validator of a form: `toDocument` makes the document from the form's value, every finding
 * stands under `messages` at the path of its field.
 */
export const zodValidator =
  (schema: ZodType, toDocument: (value: unknown) => unknown = (value) => value): ValidatorFn =>
  (form): ValidationErrors | null => {
    const parsed = schema.safeParse(toDocument(form.value));
    if (parsed.success) return null;
    const messages: Record<string, string> = {};
    for (const issue of parsed.error.issues) messages[issue.path.map(String).join('.')] ??= messageOf(issue);
    return { messages };
  };

/** The sentences of a form that `zodValidator` refused, in the language of the screen. */
export const messagesOf = (errors: ValidationErrors | null, refusals: Pick<Refusals, 'say'>): FieldMessages =>
  Object.fromEntries(
    Object.entries((errors?.['messages'] as FieldMessages | undefined) ?? {}).map(([path, message]) => [
      path,
      refusals.say(message),
    ]),
  );
