import type { Ingredient } from '../../src/dish/schema';

/** What a line must be read as: its food and grams (null: none), its preparation, and whether it asks or is refused. */
export type LineFact = readonly [
  line: string,
  food: string | null,
  grams: number | null,
  more?: NonNullable<Ingredient['prep']> & {
    joins?: NonNullable<Ingredient['joins']>;
    asks?: boolean;
    refused?: boolean;
  },
];
