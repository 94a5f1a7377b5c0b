import { sharedCodes } from './words/problems';
import { sentence, type Code, type Params } from './words/sentence';

/** One thing wrong with one field. `path` is dotted, as in `ingredients.0.amount.value`. */
export interface Issue {
  path: string;
  message: string;
}

/**
 * The one shape of a refusal: a code for programs with what fills its sentence, the sentence for the cook, and the fields
 * it is about. The server sends it as RFC 9457 problem+json, the command line as `{error}`.
 */
export class Problem extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly issues: Issue[] = [],
    readonly params: Params = {},
  ) {
    super(message);
    this.name = 'Problem';
  }

  toJSON(): { code: string; message: string; issues: Issue[] } {
    return { code: this.code, message: this.message, issues: this.issues };
  }
}

/** The code for programs: several sentences may be one kind of refusal. */
export const codeOf = (says: Code<'problem'>): string => sharedCodes[says] ?? says;

/** A refusal in the words of the catalogue, with the fields that it is about. */
export const refusal = (says: Code<'problem'>, params: Params = {}, ...issues: Issue[]): Problem =>
  new Problem(codeOf(says), sentence('problem', says, params), issues, params);

/** A refusal that is about one field alone, and says the same beside it. */
export const refusalAt = (path: string, says: Code<'problem'>, params: Params = {}): Problem =>
  refusal(says, params, { path, message: sentence('problem', says, params) });

/** What the catalogue says beside one field. */
export const issueAt = (path: string, says: Code<'problem-field'>, params: Params = {}): Issue => ({
  path,
  message: sentence('problem-field', says, params),
});

/** What the catalogue says of a field, for the message of a schema. */
export const says = (code: Code<'problem-field'>, params: Params = {}): string =>
  sentence('problem-field', code, params);

/** A word that fills such a sentence. */
export const wordOf = (code: Code<'problem-word'>): string => sentence('problem-word', code);

/** What may have been meant, for the end of a sentence; without a near word what to do instead, or nothing. */
export const hintOf = (near: readonly string[], otherwise?: Code<'problem-word'>): string =>
  near.length > 0
    ? sentence('problem-word', 'did-you-mean', { near: near.join(', ') })
    : otherwise
      ? wordOf(otherwise)
      : '';
