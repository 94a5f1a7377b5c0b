import type { Reasoned, Term } from '../reasoned';
import { reasoned } from '../reasoned';
import { finishedMass, steamG } from './water';
import type { CookRun } from '../pot/cook';
import type { Gathered } from './gather';

/** Salt aimed at, percent of the finished dish [common practice, 0.7 to 1.2]. */
export const aimPercent = 0.9;
/** Three quarters now, the rest at the table: it cannot be taken out [common practice]. */
const addNow = 0.75;

export interface SaltSum {
  percent: number;
  addG: number;
  aimPercent: number;
  sources: { item: string; grams: number }[];
  reason: Reasoned;
}

/** Salt from every source, as percent of the finished dish, and what is still to add (all of it, g). */
export function saltPlan(g: Gathered, addMl: number, run: CookRun): SaltSum {
  const sources = g.items
    .map((i) => ({
      item: i.ingredient.id,
      grams: ((i.main ? addMl * i.food.bulkGPerMl[0] : i.grams) * i.food.saltPer100g[0]) / 100,
    }))
    .filter((s) => s.grams >= 0.05);
  const total = sources.reduce((s, x) => s + x.grams, 0);
  const finishedG = Math.max(1, finishedMass(g, addMl) - steamG(run));
  const want = (aimPercent / 100) * finishedG;
  const addG = Math.max(0, want - total);
  const terms: Term[] = [
    { label: 'finished-dish', value: finishedG, unit: 'g' },
    { label: 'salt-aim', value: aimPercent, unit: 'percent', source: 'common-practice' },
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
    aimPercent,
    sources,
    reason: reasoned(addG, 'salt-to-aim', terms),
  };
}
