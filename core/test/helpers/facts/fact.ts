/** Any fact: what the model says, the window that cooks tell, and where the model is known to miss it. */
export interface Fact {
  id: string;
  what: string;
  value: () => number;
  window: readonly [number, number];
  /** where a known miss lies: held to be just there, so that it is neither hidden nor growing */
  miss?: readonly [number, number];
}
