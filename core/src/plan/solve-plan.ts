import { kitchenSchema, type Kitchen } from '../dish/kitchen';
import type { Dish, Overrides } from '../dish/schema';
import { equivalentMin } from '../grain/clock';
import type { Texture } from '../grain/texture';
import { pastaX } from '../food/pasta';
import { assemble } from './write/assemble';
import { poorOf100 } from './judge/chance';
import { checkFits, setUp, type Setup } from './setup/setup';
import type { Plan } from './document/document';
import type { Run } from './judge/run';
import { holdsOf } from './search/holds';
import { asFromFactory, learnedIn } from './setup/learned';
import { marked } from './made-for';
import { sameRelease } from './search/releases';
import type { Near } from './search/search';
import { safeHoldMin } from './search/safe-hold';
import { solveBoth, type Stages } from './search/solve';
import type { Solved } from './search/solve-once';
import { slowingOf } from './setup/sauce';
import { starchTemps } from './simulate/outcome';

export interface SolveOptions {
  texture?: Texture;
  /** the program of a plan of nearly the same dish: it stays unless another is better by more than two points of chance */
  near?: Near;
}

/**
 * The plan of a dish without proposals. Where a log was learned from, its plan never has a shorter hold than the pot of the
 * table would need for a piece that is called safe.
 */
export function solvePlan(dish: Dish, kitchen: Kitchen = kitchenSchema.parse({}), options: SolveOptions = {}): Plan {
  const solve = (leastHoldMin: number): Plan => solveOnce(dish, kitchen, { ...options, leastHoldMin });
  if (!learnedIn(kitchen)) return solve(0);
  const factory = asFromFactory(kitchen);
  let p = solve(0);
  if (p.meats.length === 0) return p;
  const table = setUp(dish, factory);
  for (let tries = 0; tries < mostLonger; tries++) {
    const least = safeHoldMin(table, p);
    if (least !== null && least <= p.program.holdMin) return p;
    if (least === null || dish.overrides?.holdMin !== undefined) break;
    p = solve(least);
  }
  return solveOnce(dish, factory, { ...options, leastHoldMin: 0 });
}
/** Longer holds that are asked for before the plan is made as from the factory. */
const mostLonger = 3;

interface OneSolve extends SolveOptions {
  leastHoldMin: number;
  /** the pasta that waits for the open pot */
  heldPasta?: string;
}

/**
 * The cook's own numbers are compared with what the planner decides alone: those that are the same change nothing, the
 * others are solved around, starting from the planner's own program.
 */
function solveOnce(dish: Dish, kitchen: Kitchen, options: OneSolve): Plan {
  const texture = options.texture ?? dish.texture ?? 'fluffy';
  const near = options.near ?? null;
  const { leastHoldMin, heldPasta } = options;
  const { decisions, habits } = split(dish.overrides ?? {});
  const free = setUp({ ...dish, overrides: habits }, kitchen, leastHoldMin);
  checkFits(free);
  const own = solveBoth(free, texture, near);
  const soft = heldPasta === undefined ? softOnTheWay(own) : null;
  if (soft)
    return marked(solveOnce(heldForFinish(dish, soft), kitchen, { ...options, heldPasta: soft }), dish, kitchen);
  const solved = isSame(decisions, own)
    ? own
    : solveBoth(setUp(dish, kitchen, leastHoldMin), texture, own.run, stagesOf(decisions, own));
  const solvedPlan = assemble({
    run: withGiven(solved.run, dish),
    mode: 'solve',
    texture,
    missed: solved.missed,
    own: own.run,
    bounds: solved.bounds,
    topUpMl: null,
    heldPasta: heldPasta ?? null,
  });
  return marked(solvedPlan, dish, kitchen);
}

type Decisions = Pick<Overrides, 'liquidMl' | 'holdMin' | 'release' | 'pressure' | 'gravyMl' | 'firstStage' | 'ledger'>;

/** What the cook decided in the planner's place, and the habits that the planner reckons with. */
function split(o: Overrides): { decisions: Decisions; habits: Overrides } {
  const { liquidMl, holdMin, release, pressure, gravyMl, firstStage, ledger, ...habits } = o;
  const all = { liquidMl, holdMin, release, pressure, gravyMl, firstStage, ledger };
  const decisions = Object.fromEntries(Object.entries(all).filter(([, v]) => v !== undefined)) as Decisions;
  return { decisions, habits };
}

/** Did the cook decide something in the planner's place? Such a dish is solved twice. */
export const hasDecisions = (dish: Dish): boolean => Object.keys(split(dish.overrides ?? {}).decisions).length > 0;

/** Numbers that are the same to a cook: half a jug mark, a gram of gravy, what five millilitres make of a sauce. */
const same = { ml: 2.5, gravyG: 1, rowG: 0.5, sauceG: 3 } as const;

/** A number set by hand does not turn one stage into two; only the cook's own word does. */
const stagesOf = (d: Decisions, own: Solved): Stages =>
  d.firstStage !== undefined && d.firstStage !== (own.run.h.setup.first !== null)
    ? 'open'
    : (own.run.h.setup.first ?? 'one');

/** Is every decision what the planner decides by itself? */
function isSame(d: Decisions, { run }: Solved): boolean {
  const { addMl, outcome } = run;
  const { setup, heated } = run.h;
  const near = (a: number | undefined, c: number, by: number): boolean => a === undefined || Math.abs(a - c) <= by;
  return (
    near(d.liquidMl, addMl, same.ml) &&
    near(d.holdMin, run.holdMin, 1e-6) &&
    (d.release === undefined || sameRelease(d.release, run.release)) &&
    (d.pressure === undefined || d.pressure === heated.pressure) &&
    (d.firstStage === undefined || d.firstStage === (setup.first !== null)) &&
    (d.gravyMl === undefined || (setup.first !== null && near(d.gravyMl, setup.first.gravyG, same.gravyG))) &&
    Object.entries(d.ledger ?? {}).every(([key, grams]) => near(grams, rowOf(key, setup, outcome), by(key)))
  );
}
const by = (key: string): number => (key === 'sauce' ? same.sauceG : same.rowG);

/** What the sum itself says of a row that can be set by hand, g. */
function rowOf(key: string, setup: Setup, outcome: Run['outcome']): number {
  const { src } = setup;
  const rows: Record<string, number> = {
    sauce: outcome?.clock.freeG ?? NaN,
    steam: outcome?.steamG ?? NaN,
    film: src.filmG,
    simmer: src.simmerG,
    reduced: src.reducedG,
    soak: src.soakG,
    cling: src.clingG,
  };
  const from = src.fromItems.find((x) => `from:${x.item.ingredient.id}` === key);
  return from?.grams ?? rows[key] ?? NaN;
}

/** The same cook of the dish as the cook wrote it: what is given by hand is told as such. */
function withGiven(run: Run, dish: Dish): Run {
  const { h } = run;
  return { ...run, h: { ...h, setup: { ...h.setup, g: { ...h.setup.g, dish } } } };
}

/** Pasta of a soup that is past its best, or seldom right, with the shortest hold there is: it waits for the open pot. Null where it does not. */
function softOnTheWay({ run: { h, addMl, holdMin, chance } }: Solved): string | null {
  const { setup } = h;
  const pasta = setup.g.grain;
  if (pasta?.food.kind !== 'pasta' || !setup.g.rule.stirred || pasta.ingredient.joins !== undefined) return null;
  const shortest = holdsOf(h)[0]!;
  const run = h.heated.finish(shortest, { kind: 'quick' });
  const e = equivalentMin(starchTemps(setup.g, run, addMl, h.depthCm), run.history.dtS, pasta.food.grain!.kinetics);
  const past = (e * slowingOf(setup.g, addMl)) / pasta.food.packetMin![0] > pastaX.most;
  const seldom = holdMin === shortest && 100 * chance.texture < poorOf100;
  return past || seldom ? pasta.ingredient.id : null;
}

const heldForFinish = (dish: Dish, id: string): Dish => {
  const food = dish.ingredients.find((i) => i.id === id)!.food;
  const ingredients = dish.ingredients.map((i) => (i.food === food ? { ...i, joins: 'finish' as const } : i));
  return { ...dish, ingredients };
};
