import { deserialize, serialize } from 'node:v8';
import {
  evaluate,
  learnFrom,
  nothingRemembered,
  plan,
  readDish,
  readKitchen,
  readLinkedData,
  readRecipe,
  type Cook,
  type Kitchen,
  type Language,
  type Learned,
  type Own,
  type Plan,
  type Reading,
  type Remembered,
  type Texture,
} from '@einkorn/core';
import { debrief } from '@einkorn/devices';

/** What may take long, and what each is asked with; everything is plain data, so that it can cross to another thread. */
interface Asked {
  plan: { dish: unknown; kitchen?: unknown; mode?: 'solve' | 'evaluate' | undefined; texture?: Texture | undefined };
  /** the same as text: it goes out as it comes, and the thread of the taps has nothing to do with it */
  'plan-json': Asked['plan'];
  recipe: ({ text: string } | { jsonld: unknown }) & Own & { lang?: Language | undefined };
  'look-back': Cook;
  /** `remembered`: as the reading before answered; `anew`: the fit does not begin there */
  learn: { log: { kitchen: Kitchen; cooks: Cook[] }; remembered: Uint8Array | null; anew: boolean };
}
interface Answered {
  plan: Plan;
  'plan-json': string;
  recipe: Reading;
  'look-back': ReturnType<typeof debrief>;
  learn: { learned: Learned; remembered: Uint8Array };
}
export type SumKind = keyof Asked;

const sums: { [K in SumKind]: (asked: Asked[K]) => Answered[K] } = {
  plan: ({ dish, kitchen, mode, texture }) => {
    const options = texture ? { texture } : {};
    return (mode === 'evaluate' ? evaluate : plan)(readDish(dish), readKitchen(kitchen), options);
  },
  'plan-json': (asked) => JSON.stringify(sums.plan(asked)),
  recipe: ({ lang, ...asked }) =>
    'text' in asked ? readRecipe(asked.text, lang, asked) : readLinkedData(asked.jsonld, lang, asked),
  'look-back': (cook) => debrief(cook),
  learn: ({ log, remembered, anew }) => {
    const before = remembered ? (deserialize(remembered) as Remembered) : nothingRemembered;
    const read = learnFrom(anew ? { ...before, standing: null } : before, log);
    return { learned: read.learned, remembered: serialize(read.remembered) };
  },
};

/** Does one sum, here and now. Throws Problem where what was asked cannot be read. */
export const sum = <K extends SumKind>(kind: K, asked: Asked[K]): Answered[K] => sums[kind](asked);

/** Where sums are done: in this thread (tests) or in others (`pool.ts`), so that a tap never waits for a plan. */
export type Sums = <K extends SumKind>(kind: K, asked: Asked[K]) => Promise<Answered[K]>;

export const sumsHere: Sums = (kind, asked) => Promise.resolve().then(() => sum(kind, asked));
