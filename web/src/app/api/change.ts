/** A change as a screen had what it changes, and as it wants it; the server merges it field by field. */
export interface Change {
  /** whose change it is: a later one of the same takes its place */
  key: string;
  path: string;
  body: { had: unknown; [field: string]: unknown };
  /** the cook whose taps go before it */
  cookId?: string;
}
