import type { Kitchen } from '../dish/kitchen';
import { scaleBy } from '../dish/scale';
import type { Dish } from '../dish/schema';
import { boundBy, bowlLimit } from './setup/bounds';
import { poorOf100 } from './judge/chance';
import type { Plan } from './document/document';
import { Problem } from '../problem';
import { troubleOf } from './equalise';
import { hasDecisions, solvePlan } from './solve-plan';
import { stopCount } from './judge/verdict';

type Proposal = Plan['proposals'][number];
interface Change {
  code: string;
  ingredient: string;
  to?: number | string;
  dish: Dish;
}

/** A batch that is made smaller is made a little smaller than the limit asks. */
const roomy = 0.97;
/**
 * Changes that are planned; more would be a wait that somebody notices. Numbers of the cook are planned beside what the planner
 * decides alone, and many meats make every plan slow: there fewer are tried, the nearest at hand.
 */
const mostTried = { ofMost: 3, ofDecided: 2, ofManyMeats: 1 } as const;
const manyMeats = 5;
const triedOf = (dish: Dish, p: Plan): number =>
  mostTried[p.meats.length >= manyMeats ? 'ofManyMeats' : hasDecisions(dish) ? 'ofDecided' : 'ofMost'];

/** The change that goes with each kind of stop: none of them is promised before it has been planned. */
function changesFor(dish: Dish, p: Plan, code: string, ingredient: string): Change[] {
  const o = dish.overrides ?? {};
  const without = (...keys: (keyof typeof o)[]): Dish => ({
    ...dish,
    overrides: Object.fromEntries(Object.entries(o).filter(([k]) => !keys.includes(k as keyof typeof o))),
  });
  const scaled = (share: number): Change[] => {
    const factor = Math.floor(100 * Math.min(1, roomy * share)) / 100;
    return factor > 0.05
      ? [{ code: 'smaller-batch', ingredient: '', to: factor, dish: scaleBy(dish, factor).dish }]
      : [];
  };
  const given = (keys: (keyof typeof o)[]): Change[] =>
    keys.some((k) => o[k] !== undefined)
      ? [{ code: 'give-back', ingredient: '', to: keys.find((k) => o[k] !== undefined)!, dish: without(...keys) }]
      : [];
  switch (code) {
    case 'over-full':
      return [...given(['liquidMl', 'ledger']), ...scaled(p.pot.limitFraction / p.pot.fillFraction)];
    case 'bowl-full':
      return scaled((100 * bowlLimit) / Number(p.warnings.find((w) => w.code === code)?.params?.['fill'] ?? 100));
    case 'raw-at-finish':
      return [
        {
          code: 'under-the-lid',
          ingredient,
          dish: {
            ...dish,
            ingredients: dish.ingredients.map((i) => {
              if (i.id !== ingredient) return i;
              const { joins: _, ...rest } = i;
              return rest;
            }),
          },
        },
      ];
    case 'meat-under':
      return [...given(['holdMin', 'release', 'pressure']), ...thinner(dish, p, ingredient)];
    default:
      return given(['liquidMl', 'ledger', 'holdMin', 'release']);
  }
}

/** Cuts that are tried for a piece that no program makes safe, times its thickness: time goes by its square. */
const thinnerTimes = [0.6, 0.35] as const;

function thinner(dish: Dish, p: Plan, id: string): Change[] {
  const mm = p.meats.find((m) => m.ingredient === id)?.thicknessMm ?? 0;
  return thinnerTimes.map((times) => {
    const thicknessMm = Math.max(6, Math.round(mm * times));
    const ingredients = dish.ingredients.map((i) => (i.id === id ? { ...i, prep: { ...i.prep, thicknessMm } } : i));
    return { code: 'cut-thinner', ingredient: id, to: thicknessMm, dish: { ...dish, ingredients } };
  });
}

/** What such a change must bring, of 100: less would only be another poor plan [from memory]. */
const worthOf100 = 15;
/** A batch too small for its pot is tried so many times as large. */
const largerTimes = [1.5, 2.5] as const;

/** Changes of a plan that nothing forbids and that seldom comes out: the cook's own numbers, a batch too small for the pot, thick meat. */
function changesForChance(dish: Dish, p: Plan): Change[] {
  const own = changesFor(dish, p, 'poor-chance', '');
  const larger: Change[] =
    p.liquid.bounds && boundBy(p.liquid.addMl, p.liquid.bounds) === 'pot-minimum'
      ? largerTimes
          .filter((to) => dish.serves * to <= 60)
          .map((to) => ({ code: 'larger-batch', ingredient: '', to, dish: scaleBy(dish, to).dish }))
      : [];
  const thick = [...p.meats].sort((a, b) => b.thicknessMm - a.thicknessMm)[0];
  return [...own, ...larger, ...(thick ? thinner(dish, p, thick.ingredient) : [])];
}

/** Chances nearer to each other than this say nothing: the smaller change comes first then. */
const tens = (of100: number): number => Math.round(of100 / 10);

/** What would clear the stops of a plan: each change planned anew; the best first. Nothing where there is no stop. */
export function waysOut(dish: Dish, kitchen: Kitchen, p: Plan): Proposal[] {
  const stops = p.warnings.filter((w) => w.severity === 'stop');
  const changes = stops.flatMap((w) => changesFor(dish, p, w.code, String(w.params?.['ingredient'] ?? '')));
  return thatHelp({ dish, kitchen, p }, changes, (q) => stopCount(q) < stops.length);
}

/**
 * What would mend a plan: clear its stops, or make it better where nothing forbids it and it seldom comes out; nothing for
 * any other. A screen does not let the plan wait for it: up to three dishes are planned.
 */
export const waysFor = (dish: Dish, kitchen: Kitchen, p: Plan): Proposal[] =>
  stopCount(p) > 0 ? waysOut(dish, kitchen, p) : waysToBetterOdds(dish, kitchen, p);

/** What would make a plan better that nothing forbids and that seldom comes out; nothing for any other. */
export function waysToBetterOdds(dish: Dish, kitchen: Kitchen, p: Plan): Proposal[] {
  if (stopCount(p) > 0 || of100(p) >= poorOf100) return [];
  const enough = of100(p) + worthOf100;
  return thatHelp({ dish, kitchen, p }, changesForChance(dish, p), (q) => stopCount(q) === 0 && of100(q) >= enough);
}

/** Of these changes those that help, each planned once, the best first. */
function thatHelp(
  { dish, kitchen, p }: { dish: Dish; kitchen: Kitchen; p: Plan },
  changes: readonly Change[],
  helps: (q: Plan) => boolean,
): Proposal[] {
  const once = [...new Map(changes.map((c) => [`${c.code} ${c.ingredient} ${c.to ?? ''}`, c])).values()];
  return once
    .slice(0, triedOf(dish, p))
    .flatMap((c) => {
      const q = planned(c.dish, kitchen);
      return q && helps(q) ? [proposalOf(c, q)] : [];
    })
    .sort((a, b) => a.stops - b.stops || tens(b.of100) - tens(a.of100));
}
/** Plans made before chances were known are not called poor. */
const of100 = (p: Plan): number => p.program.chance?.of100 ?? 100;

const proposalOf = (c: Change, p: Plan): Proposal & { of100: number } => ({
  code: c.code,
  ingredient: c.ingredient,
  ...(c.to === undefined ? {} : { to: c.to }),
  stops: stopCount(p),
  trouble: troubleOf(p),
  of100: of100(p),
});

/** A changed dish that cannot be planned is no way out. */
function planned(dish: Dish, kitchen: Kitchen): Plan | null {
  try {
    return solvePlan(dish, kitchen);
  } catch (e) {
    if (e instanceof Problem) return null;
    throw e;
  }
}
