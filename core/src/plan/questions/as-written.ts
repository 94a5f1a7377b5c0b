import type { Kitchen } from '../../dish/kitchen';
import type { AsCooked, Dish, Overrides } from '../../dish/schema';
import type { Plan } from '../document/document';
import { evaluate } from '../plan';

/** The numbers of a recipe that our plan decides too. */
export const writtenKeys = ['liquid', 'pressure', 'hold', 'release'] as const;
export type WrittenKey = (typeof writtenKeys)[number];

/** One number in which our plan differs from the recipe, and what the recipe gives with this one number as ours. */
export interface WrittenChange {
  key: WrittenKey;
  alone: Plan;
}

/** A recipe as it is written, judged in this pot, and what each of our numbers alone changes of that. */
export interface Written {
  plan: Plan;
  changes: WrittenChange[];
}

/** Liquid closer than this is the same, mL. */
const sameMl = 2.5;

/**
 * The recipe's own numbers (`asCooked`) in this kitchen beside our plan of it. Throws Problem `as-cooked-missing` where the
 * recipe has none.
 */
export function asWritten(dish: Dish, kitchen: Kitchen, ours: Plan): Written {
  const plan = evaluate(dish, kitchen);
  const as = dish.asCooked!;
  const changes = writtenKeys
    .filter((key) => differs(key, plan, ours))
    .map((key) => ({ key, alone: evaluate({ ...dish, asCooked: { ...as, ...ourNumber(key, ours) } }, kitchen) }));
  return { plan, changes };
}

function differs(key: WrittenKey, written: Plan, ours: Plan): boolean {
  const [a, b] = [written.program, ours.program];
  switch (key) {
    case 'liquid':
      return Math.abs(written.liquid.addMl - ours.liquid.addMl) > sameMl;
    case 'pressure':
      return a.pressure !== b.pressure;
    case 'hold':
      return a.holdMin !== b.holdMin;
    case 'release':
      return a.release.kind !== b.release.kind || a.release.naturalMin !== b.release.naturalMin;
  }
}

function ourNumber(key: WrittenKey, { liquid, program }: Plan): Partial<AsCooked> {
  switch (key) {
    case 'liquid':
      return { liquidMl: liquid.addMl };
    case 'pressure':
      return { pressure: program.pressure };
    case 'hold':
      return { holdMin: program.holdMin };
    case 'release':
      return { release: program.release };
  }
}

/** The dish with so many of the recipe's numbers as the cook's own decisions, and ours for the rest. */
export function withWritten(dish: Dish, written: Plan | null, keys: readonly WrittenKey[]): Dish {
  const { asCooked: _, ...bare } = dish;
  if (!written || keys.length === 0) return bare;
  const { pressure, holdMin, release } = written.program;
  const all: Record<WrittenKey, Overrides> = {
    liquid: { liquidMl: written.liquid.addMl },
    pressure: { pressure },
    hold: { holdMin },
    release: { release },
  };
  return { ...bare, overrides: Object.assign({}, ...keys.map((k) => all[k])) as Overrides };
}
