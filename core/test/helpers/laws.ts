import type { Dish, Ingredient, Overrides } from '../../src/dish/schema';
import { scaleBy } from '../../src/dish/scale';
import { findFood, measurable } from '../../src/food/find';
import { toGrams } from '../../src/quantity/convert';
import { evaluate, plan } from '../../src/plan/plan';
import { Problem } from '../../src/problem';
import type { Plan } from '../../src/plan/document/document';
import { heat } from '../../src/plan/simulate/heated';
import { setUp } from '../../src/plan/setup/setup';
import { grainOutcome } from '../../src/plan/simulate/outcome';
import { setupOfPlan } from '../../src/plan/simulate/stages';
import { plausible, seeded, type Case } from './plausible';

/*
 * Laws that any planner should hold, each as a function of one plausible dish: null where it holds, else what broke it.
 * The tests hold a sample of seeds; `npm run bench -- laws` runs them all and prints how often each is broken.
 */
export type Law = (c: Case, p: Plan) => string | null;

const program = (p: Plan): string =>
  `${p.program.pressure} ${p.program.holdMin} ${p.program.release.kind} ${p.program.release.naturalMin ?? ''}`;
const short = (p: Plan): string => `${p.liquid.addMl} mL ${program(p)}`;
const differs = (a: Plan, b: Plan): string | null => {
  const texture = (p: Plan): number => p.grain?.textureIndex ?? 100 * (p.pasta?.x ?? 0);
  if (short(a) !== short(b)) return `${short(a)} -> ${short(b)}`;
  return Math.abs(texture(a) - texture(b)) > 0.2 ? `texture ${texture(a)} -> ${texture(b)}` : null;
};
const withDish = (c: Case, dish: Dish): Plan => plan(dish, c.kitchen);

/** Setting any decided number by hand to what was decided changes nothing. */
export const ownNumbers: Law = (c, p) => {
  const sauce = p.liquid.ledger.find((r) => r.item === 'sauce');
  const tries: [string, Overrides][] = [
    ['liquid', { liquidMl: p.liquid.addMl }],
    ['hold', { holdMin: p.program.holdMin }],
    ['release', { release: p.program.release }],
    ['pressure', { pressure: p.program.pressure }],
    ['all three', { liquidMl: p.liquid.addMl, holdMin: p.program.holdMin, release: p.program.release }],
    ['salt', { saltG: p.salt.addG }],
    ...(sauce && (p.grain || p.pasta) && sauce.grams <= 0
      ? [['sauce', { ledger: { sauce: -sauce.grams } }] as [string, Overrides]]
      : []),
  ];
  for (const [name, overrides] of tries) {
    const d = differs(p, withDish(c, { ...c.dish, overrides }));
    if (d) return `${name}: ${d}`;
  }
  return null;
};

/** The order of the rows, their ids and their units say nothing. */
export const wording: Law = (c, p) => {
  const r = seeded(c.seed + 7919);
  const shuffled = [...c.dish.ingredients]
    .map((i) => ({ i, k: r() }))
    .sort((a, b) => a.k - b.k)
    .map((x) => x.i);
  const d = differs(p, withDish(c, { ...c.dish, ingredients: shuffled }));
  if (d) return `order: ${d}`;
  const renamed = c.dish.ingredients.map((i, k): Ingredient => ({ ...i, id: `x${97 - k}` }));
  const named = differs(p, withDish(c, { ...c.dish, ingredients: renamed }));
  if (named) return `ids: ${named}`;
  const ounces = c.dish.ingredients.map((i): Ingredient => {
    const grams = toGrams(i.amount, measurable(findFood(i.food), i.prep?.pieceG));
    return { ...i, amount: { value: grams / 28.349523125, unit: 'oz' } };
  });
  const weighed = differs(p, withDish(c, { ...c.dish, ingredients: ounces }));
  return weighed ? `units: ${weighed}` : null;
};

/** A row written in two is the same food. */
export const splitRows: Law = (c, p) => {
  for (let k = 0; k < c.dish.ingredients.length; k++) {
    const split = c.dish.ingredients.flatMap((i, at): Ingredient[] =>
      at === k
        ? [
            { ...i, amount: { ...i.amount, value: i.amount.value * 0.375 } },
            { ...i, id: `${i.id}-b`, amount: { ...i.amount, value: i.amount.value * 0.625 } },
          ]
        : [i],
    );
    const d = differs(p, withDish(c, { ...c.dish, ingredients: split }));
    if (d) return `${c.dish.ingredients[k]!.food}: ${d}`;
  }
  return null;
};

/** The dish as cooked by its plan, for the other door. */
export const asSolved = (dish: Dish, p: Plan): Dish => ({
  ...dish,
  asCooked: {
    liquidMl: p.liquid.addMl,
    pressure: p.program.pressure,
    holdMin: p.program.holdMin,
    // A whistle cooker is held for whistles; their minutes move with the heat-up.
    ...(p.program.whistles === undefined ? {} : { whistles: p.program.whistles }),
    release: p.program.release,
    ...(p.topUpMl > 0 ? { topUpMl: p.topUpMl } : {}),
    ...(p.firstStage ? { firstStage: { holdMin: p.firstStage.holdMin, liquidMl: p.firstStage.liquidMl } } : {}),
  },
});

/** What the plan predicts is what its own numbers give. */
export const evaluateAgrees: Law = (c, p) => {
  if (p.warnings.some((w) => w.code === 'pasta-held-back')) return null;
  const e = evaluate(asSolved(c.dish, p), c.kitchen);
  const near = (what: string, a: number | undefined, b: number | undefined, by: number): string | null =>
    Math.abs((a ?? 0) - (b ?? 0)) > by ? `${what} ${a} -> ${b}` : null;
  return (
    near('index', p.grain?.textureIndex, e.grain?.textureIndex, 0.25) ??
    near('x', p.pasta?.x, e.pasta?.x, 0.01) ??
    near('sauce', (p.grain ?? p.pasta)?.freeSauceG, (e.grain ?? e.pasta)?.freeSauceG, 6) ??
    near('fill', p.pot.fillFraction, e.pot.fillFraction, 0.002) ??
    p.meats.reduce<string | null>(
      (bad, m, i) => bad ?? near(`core ${m.ingredient}`, m.coreC, e.meats[i]?.coreC, 0.4),
      null,
    )
  );
};

/** The plan of a dish; null where it does not fit the pot at all. */
function planOrFull(c: Case, dish: Dish): Plan | null {
  try {
    return withDish(c, dish);
  } catch (e) {
    if (e instanceof Problem && e.code === 'pot-too-small') return null;
    throw e;
  }
}

/** What goes off as steam, g. */
const steamOf = (p: Plan): number => -(p.liquid.ledger.find((r) => r.item === 'steam')?.grams ?? 0);

/** Water that the starch of a dish has drunk beyond what the same starch of another plan drank, g. */
function drankMoreG(dish: Dish, q: Plan, p: Plan): number {
  const perDry = ({ grain, pasta }: Plan): number => {
    const { moisture } = grain ?? pasta ?? { moisture: 0 };
    return moisture / (1 - moisture);
  };
  const dryG = dish.ingredients.reduce((sum, { food: id, amount }) => {
    const food = findFood(id);
    return sum + (food.grain ? toGrams(amount, measurable(food)) * (1 - food.grain.rawMoisture[0]) : 0);
  }, 0);
  return dryG * (perDry(q) - perDry(p));
}

/**
 * Twice the dish never needs more than twice the liquid, to what a jug shows twice, to the steam that its own program loses
 * beyond twice (let off at once because it was long under way, it boils off what falling pressure would have kept) and to
 * what its starch drinks more in its longer bath. Where the pot is full nothing is asked.
 */
export const twice: Law = (c, p) => {
  if (c.dish.serves > 30 || p.pot.fillFraction > 0.3) return null;
  const doubled = scaleBy(c.dish, 2).dish;
  const q = planOrFull(c, doubled);
  if (q === null) return null;
  if (q.pot.fillFraction > 0.6 || (q.firstStage === null) !== (p.firstStage === null)) return null;
  const moreSteamMl = Math.max(0, steamOf(q) - 2 * steamOf(p));
  const drankMl = Math.max(0, drankMoreG(doubled, q, p));
  return q.liquid.addMl > 2 * p.liquid.addMl + 10 + moreSteamMl + drankMl
    ? `${p.liquid.addMl} -> ${q.liquid.addMl}`
    : null;
};

/** Steps of one and of two seconds tell the same of one program, which a whistle cooker counts in whistles. */
export const stepsAgree: Law = (c, p) => {
  const setup = setupOfPlan(setUp(c.dish, c.kitchen), p);
  if (!setup.g.grain) return null;
  const at = (dtS: number) => {
    const h = heat(setup, { addMl: p.liquid.addMl, pressure: p.program.pressure, texture: p.texture, dtS });
    const { holdMin, whistles, release } = p.program;
    const run = h.heated.finish(setup.pot.whistle ? h.heated.holdForWhistles(whistles!) : holdMin, release);
    return { run, out: grainOutcome(setup.g, setup.src, { run, addMl: p.liquid.addMl, depthCm: h.depthCm }, {}) };
  };
  const [one, two] = [at(1), at(2)];
  const e = two.out.clock.equivalentMin / one.out.clock.equivalentMin - 1;
  const moisture = two.out.clock.moisture - one.out.clock.moisture;
  if (Math.abs(e) > 0.02) return `doneness ${(100 * e).toFixed(1)} %`;
  return Math.abs(moisture) > 0.003 ? `moisture ${(100 * moisture).toFixed(2)}` : null;
};

/** What a cook sees of a plan, worst first: a plan is dominated by one that is nowhere worse and somewhere better. */
export function verdictsOf(p: Plan): number[] {
  const wanted = { firm: 'firm', fluffy: 'fluffy', soft: 'soft' }[p.texture];
  // The kernels of a porridge are right when they are soft.
  const right = (band: string): boolean => p.family === 'porridge' && band === 'soft';
  const order = ['hard', 'firm', 'fluffy', 'soft', 'mushy'];
  const starch = p.grain
    ? right(p.grain.band)
      ? 0
      : Math.abs(order.indexOf(p.grain.band) - order.indexOf(wanted))
    : p.pasta
      ? { hard: 2, 'al-dente': 1, tender: 0, soft: 2 }[p.pasta.band]
      : 0;
  const scorch = { low: 0, watch: 1, high: 2 }[p.scorch.level];
  const dry = p.meats.filter((m) => m.texture === 'dry' || m.texture === 'tough').length;
  const stops = p.warnings.filter((w) => w.severity === 'stop').length;
  const sauces = ['dry', 'moist', 'saucy', 'soupy'];
  const sauceOf = (p.grain ?? p.pasta)?.sauce ?? 'dry';
  const aim = p.pasta ? (p.family === 'noodle-soup' ? 3 : 2) : sauceAims[p.family];
  const sauce = aim === undefined ? 0 : Math.max(0, Math.abs(sauces.indexOf(sauceOf) - aim) - 1);
  // Less than the maker's minimum is never the better plan, however well it reads.
  const short = p.warnings.filter((w) => w.code === 'liquid-short').length;
  return [stops + short, starch, scorch, dry, sauce];
}
/** The sauce that a family is served with; one step off is still right. */
const sauceAims: Partial<Record<string, number>> = {
  'plain-grain': 0,
  'coated-grain': 0,
  biryani: 0,
  'rack-over-grain': 0,
  'pot-in-pot': 0,
  'one-pot-grain': 0,
  'layered-grain': 0,
  risotto: 2,
  casserole: 2,
  'noodle-soup': 3,
};

const dominates = (a: number[], b: number[]): boolean => a.every((v, i) => v <= b[i]!) && a.some((v, i) => v < b[i]!);

/** A program whose chance is lower by more than this is not the better one, whatever its words: the odds decide (docs/decisions.md). */
const sameOddsOf100 = 2;
const oddsOf = (p: Plan): number => p.program.chance?.of100 ?? 0;

/** No program of a grid is nowhere worse and somewhere better by the planner's own verdicts, at odds as good. */
export const undominated =
  (holds: readonly number[], liquids: readonly number[]): Law =>
  (c, p) => {
    const own = verdictsOf(p);
    if (own.every((v) => v === 0) || p.warnings.some((w) => w.code === 'pasta-held-back')) return null;
    // Only what the cooker can be set to: its own program, whole whistles, or any minute.
    const whistling = p.program.whistles !== undefined;
    const programs =
      c.kitchen.potId === 'program-5' ? [p.program.holdMin] : whistling ? holds.filter((n) => n > 0) : holds;
    // What the first stage was given is in the pot.
    const poured = liquids.filter((share) => p.liquid.addMl * share >= (p.firstStage?.liquidMl ?? 0));
    for (const share of poured)
      for (const holdMin of programs)
        for (const release of [{ kind: 'quick' }, { kind: 'timed', naturalMin: 8 }, { kind: 'natural' }] as const) {
          const base = asSolved(c.dish, p);
          if (whistling && (release.kind === 'timed' || holdMin > 25)) continue;
          const asCooked = {
            ...base.asCooked!,
            liquidMl: Math.round(p.liquid.addMl * share),
            holdMin,
            ...(whistling ? { whistles: holdMin } : {}),
            release,
          };
          const e = evaluate({ ...base, asCooked }, c.kitchen);
          if (dominates(verdictsOf(e), own) && oddsOf(e) >= oddsOf(p) - sameOddsOf100)
            return `${short(p)} [${own.join()}] by ${Math.round(p.liquid.addMl * share)} mL ${holdMin} ${release.kind} [${verdictsOf(e).join()}]`;
        }
    return null;
  };

export const laws: Record<string, Law> = { ownNumbers, wording, splitRows, evaluateAgrees, twice, stepsAgree };

/** The case of a seed with its plan. */
export const planned = (seed: number): { c: Case; p: Plan } => {
  const c = plausible(seed);
  return { c, p: plan(c.dish, c.kitchen) };
};
