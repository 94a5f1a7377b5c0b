import type { Reasoned, Term } from '../../reasoned';
import { reasoned } from '../../reasoned';
import { steamG } from '../simulate/outcome';
import type { PotRun } from '../../pot/program';
import type { Gathered } from '../gather/item';

/** Three quarters now, the rest at the table: it cannot be taken out [common practice]. */
const addNow = 0.75;

export interface SaltSum {
  percent: number;
  addG: number;
  aimPercent: number;
  sources: { item: string; grams: number }[];
  /** the salt to add in teaspoons of each kind: ask which stands in the kitchen */
  teaspoons: { kind: string; tsp: number }[];
  /** used at the table and not in the pot, g */
  tableG: number;
  reason: Reasoned;
}

/** One teaspoon of each kind of salt, g [common practice; flaky runs from 3 to 4.8]. */
export const saltKinds = [
  { kind: 'table', gPerTsp: 6 },
  { kind: 'sea', gPerTsp: 5.5 },
  { kind: 'flaky', gPerTsp: 3.9 },
] as const;

/** Everything that is eaten, in the pot and in its bowl, g; eggs in their shell and the water of a steamer take no salt. */
function wholeMealG(g: Gathered, addMl: number): number {
  const steamed = g.dish.family === 'steamed-side';
  return g.items.reduce((s, i) => {
    if (steamed && (i.main || i.food.id === 'egg')) return s;
    return s + (i.main ? addMl * i.food.bulkGPerMl[0] : i.grams);
  }, 0);
}

/** Salt from every source, as percent of the finished dish, and what is still to add (all of it, g). */
export function saltPlan(g: Gathered, addMl: number, run: PotRun): SaltSum {
  const sources = g.items
    .map((i) => ({
      item: i.ingredient.id,
      grams: ((i.main ? addMl * i.food.bulkGPerMl[0] : i.grams) * i.food.saltPer100g[0]) / 100,
    }))
    .filter((s) => s.grams >= 0.05);
  const total = sources.reduce((s, x) => s + x.grams, 0);
  const finishedG = Math.max(1, wholeMealG(g, addMl) - (g.inBowl ? 0 : steamG(run)));
  const want = (g.rule.saltPercent / 100) * finishedG;
  const own = g.dish.overrides?.saltG;
  // Steamed things are salted at the table: salt in the water below never reaches them.
  const atTable = g.dish.family === 'steamed-side';
  const tableG = atTable ? Math.max(0, want - total) : 0;
  const ownSum = atTable ? 0 : Math.max(0, want - total);
  const addG = own ?? ownSum;
  const terms: Term[] = [
    { label: 'finished-dish', value: finishedG, unit: 'g' },
    { label: 'salt-aim', value: g.rule.saltPercent, unit: 'percent', source: 'common-practice' },
    ...sources.map((s): Term => ({
      label: 'salt-in',
      value: -s.grams,
      unit: 'g',
      subject: s.item,
      source: 'from-memory',
    })),
    { label: 'add-now', value: addG * addNow, unit: 'g', source: 'common-practice' },
  ];
  return {
    percent: (100 * total) / finishedG,
    addG,
    aimPercent: g.rule.saltPercent,
    tableG,
    sources,
    teaspoons: saltKinds.map((k) => ({ kind: k.kind, tsp: addG / k.gPerTsp })),
    reason: reasoned(addG, own === undefined ? 'salt-to-aim' : 'yours', terms, own === undefined ? undefined : ownSum),
  };
}
