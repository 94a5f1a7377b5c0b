/** One thing wrong with one field. `path` is dotted, as in `ingredients.0.amount.value`. */
export interface Issue {
  path: string;
  message: string;
}

/**
 * The one shape of a refusal: a code for programs, a sentence for the cook, and the fields it is about.
 * The server sends it as RFC 9457 problem+json, the command line as `{error}`.
 */
export class Problem extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly issues: Issue[] = [],
  ) {
    super(message);
    this.name = 'Problem';
  }

  toJSON(): { code: string; message: string; issues: Issue[] } {
    return { code: this.code, message: this.message, issues: this.issues };
  }
}
