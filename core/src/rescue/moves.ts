/** What goes wrong, what is asked (at most three things), and what not to do [common practice]. */
export const symptoms = {
  'no-pressure': { asks: ['minutes'], never: ['force-lid', 'more-heat'] },
  'burn-warning': { asks: ['minutes'], never: ['scrape-under-pressure', 'restart-unscraped'] },
  'meat-under': { asks: ['coreC', 'ingredient'], never: ['serve-anyway', 'trust-colour'] },
  'grain-hard': { asks: ['waterLeft'], never: ['stir-hard-grain'] },
  mushy: { asks: [], never: ['stir-more'] },
  soup: { asks: ['extraMl'], never: ['boil-hard-with-pasta'] },
  'too-dry': { asks: [], never: ['cold-water'] },
  'stuck-bottom': { asks: [], never: ['scrape-dry'] },
  curdled: { asks: [], never: ['boil'] },
  'too-salty': { asks: ['saltPercent'], never: ['potato-myth'] },
  'release-forgotten': { asks: ['minutes'], never: ['force-lid'] },
  spray: { asks: [], never: ['hand-over-valve'] },
  'forgotten-ingredient': { asks: ['food'], never: ['open-under-pressure'] },
} as const;
export type Symptom = keyof typeof symptoms;

export interface Answers {
  /** minutes since the lid locked, or that the release ran over */
  minutes?: number;
  /** what the thermometer said, degC */
  coreC?: number;
  ingredient?: string;
  waterLeft?: boolean;
  /** thin liquid that stands over the dish, mL */
  extraMl?: number;
  /** salt as tasted, percent of the dish */
  saltPercent?: number;
  food?: string;
}

/** One thing to do; `code` is a key of the text catalogue, `params` fill it. */
export interface MoveStep {
  code: string;
  params: Record<string, number | string>;
}
export interface Move {
  symptom: Symptom;
  steps: MoveStep[];
  never: readonly string[];
  /** what the dish becomes by it: minutes at 100 degC, texture points, grams, whatever the move changes */
  effect: Record<string, number | string>;
  /** what it does to the clock of the running cook; null where it takes no time of its own */
  clock: Detour | null;
}

/** Minutes that a move takes at the stove, and the hold after it where the lid is locked again for a new run. */
export interface Detour {
  minutes: number;
  holdMin?: number;
  /** liquid that goes in, mL */
  addMl?: number;
  /** the lid that is locked again, where it is that of the first of two stages */
  lid?: 'first-heat';
}
