/** Where a value in a table comes from. The letters are what the tables carry beside each number. */
export const sourceKinds = {
  S: 'published',
  P: 'common-practice',
  M: 'from-memory',
  D: 'derived',
} as const;

export type SourceCode = keyof typeof sourceKinds;
export type SourceKind = (typeof sourceKinds)[SourceCode];

/** A number that says where it comes from: `[0.116, 'M']`. */
export type Sourced = readonly [value: number, source: SourceCode];
