import { buildSteps, timelineOf } from '../plan/steps';
import { prepTasks } from '../plan/tasks';
import type { Dish } from '../dish/schema';
import type { Texture } from '../grain/texture';
import { Problem } from '../problem';
import { reasoned, type Reasoned } from '../reasoned';
import { afterPlan, isBigBatch } from './after';
import type { Bench } from './bench';
import { boundBy, geometryOf, type LiquidBounds } from './bounds';
import { curveOf, potCurve } from './curve';
import { planFormat, type Plan } from './document';
import { finishPlan, heldBack } from './finish';
import { deglazeMin, deglazeMl } from './fry';
import { hasFlag } from './gather';
import { ledgerRows } from './ledger';
import { releaseAdvice } from './release';
import { saltPlan } from './salt';
import { leastThinMl } from './scorch';
import { roundMl, type Cooked } from './solve';
import { betweenMin } from './stages';
import { grainVerdict, pastaVerdict } from './verdict';
import { warningsOf } from './warnings';
import { moistureSpread, wantedSauceG, type GrainOutcome } from './water';

/** What a plan is written from. */
export interface Chosen {
  cooked: Cooked;
  mode: Plan['mode'];
  texture: Texture;
  /** what was asked for could not be reached with any liquid */
  missed: boolean;
  /** what the planner would have chosen without the cook's own numbers */
  own: Cooked;
  bounds: LiquidBounds | null;
  /** hot liquid stirred in after opening, mL; null where the planner decides it */
  topUpMl: number | null;
  /** pasta that waits for the finish because it would be soft on the way */
  heldPasta: string | null;
}

/** The plan document of a cook that was chosen: every part with its reasons. Throws Problem `not-a-number` (see sound). */
export const assemble = (x: Chosen): Plan => sound(written(x));

/** No number that is none leaves the core. Throws Problem `not-a-number` with the field that has none. */
function sound(p: Plan): Plan {
  const bad = unsound(p, '');
  if (bad === null) return p;
  throw new Problem(
    'not-a-number',
    'With these amounts nothing sensible can be reckoned. Look for an amount that is far too small or too large.',
    [{ path: bad, message: 'This number cannot be worked out for the dish as it stands.' }],
  );
}

/** Path of the first number below `x` that is not finite; null where all are. */
function unsound(x: unknown, path: string): string | null {
  if (typeof x === 'number') return Number.isFinite(x) ? null : path;
  if (typeof x !== 'object' || x === null) return null;
  for (const [key, value] of Object.entries(x)) {
    const bad = unsound(value, path === '' ? key : `${path}.${key}`);
    if (bad !== null) return bad;
  }
  return null;
}

function written(x: Chosen): Plan {
  const { cooked, mode, texture, own, bounds } = x;
  const { b, chosen, addMl } = cooked;
  const { g, src, pot, kitchen, first, outerMl } = b;
  const dish = g.dish;
  const run = chosen.run;
  const geo = geometryOf(b, addMl);
  const { scorch } = cooked.h;
  const topUpMl = x.topUpMl ?? topUpOf(cooked, bounds);
  const outcome = cooked.outcome && withTopUp(cooked.outcome, topUpMl * src.mainWaterPerMl);
  const missed = x.missed && topUpMl === 0;
  const fry = b.fry;
  const meats = chosen.meats.map((m) => m.verdict);
  const spread = outcome ? moistureSpread(g, src, outcome) : { waterG: liquidOnlySdG, points: 0 };
  const salt = saltPlan(g, addMl, run);
  const finish = finishPlan(g, {
    run,
    pot,
    altitudeM: kitchen.altitudeM,
    hasMeat: meats.some((m) => m.kind !== 'none'),
    bigBatch: isBigBatch(g, outcome),
    topUpMl,
  });
  const grain = grainVerdict(g, outcome, spread.points, texture);
  const pressure = run.neverSealed ? null : cooked.h.heated.pressure;
  const setKpa = pressure === null ? 0 : pressure === 'low' && pot.lowKpa !== null ? pot.lowKpa : pot.highKpa;
  const countdownMin = (run.countdownS ?? run.releaseS) / 60;
  const pinUpMin = (run.pinUpS ?? run.releaseS) / 60;
  const whistles = pot.whistle ? run.whistles : null;
  const ledger = ledgerRows(g, src, outcome, run, addMl, first?.steamG ?? 0);
  withOwnSum(ledger, own, dish);
  const steps = buildSteps({
    tasks: prepTasks(g),
    fry,
    stack: geo.layers,
    finish,
    addMl: Math.round(addMl),
    liquidFood: g.main.food.id,
    holdMin: chosen.holdMin,
    release: chosen.release.kind,
    valve: run.valveS !== null,
    pinUpMin,
    toFullMin: Math.max(0, countdownMin - pinUpMin),
    naturalMin: chosen.naturalMin,
    ventMin: Math.max(0, run.openS / 60 - run.releaseS / 60 - chosen.naturalMin),
    gaugeKpa: setKpa,
    pressure: setKpa === pot.lowKpa ? 'low' : 'high',
    first: first && { ...first, ingredients: slowFirst(first), betweenMin },
    whistles,
    outerMl,
  });
  const peakC = run.history.tempC.reduce((a, c) => Math.max(a, c), 0);
  const timeline = timelineOf(steps, {
    prep: 21,
    fry: 165,
    first: peakC,
    stack: run.history.tempC[0]!,
    'heat-up': peakC,
    hold: peakC,
    natural: run.history.tempC[run.history.releaseAt]!,
    vent: 105,
    finish: Math.min(97, run.openC),
  });
  const naturalFullMin = naturalFull(cooked);
  const fillOk = geo.fillFraction <= geo.limitFraction;
  return {
    format: planFormat,
    mode,
    title: dish.title,
    family: dish.family,
    serves: dish.serves,
    texture,
    liquid: {
      addMl: Math.round(addMl),
      rangeMl: [Math.max(0, roundMl(addMl - spread.waterG)), roundMl(addMl + spread.waterG)],
      food: g.main.food.id,
      parts: g.poured.map((l) => ({ ingredient: l.ingredient, food: l.food, ml: Math.round(addMl * l.share) })),
      ...(bounds ? { bounds } : {}),
      ledger,
    },
    outerLiquidMl: g.inBowl ? outerMl : null,
    salt: {
      percent: salt.percent,
      addG: salt.addG,
      aimPercent: salt.aimPercent,
      sources: salt.sources,
      teaspoons: salt.teaspoons,
      tableG: salt.tableG,
    },
    topUpMl,
    grain,
    pasta: pastaVerdict(g, outcome, texture),
    program: {
      pressure: setKpa === pot.lowKpa ? 'low' : 'high',
      gaugeKpa: setKpa,
      holdMin: chosen.holdMin,
      release: chosen.release,
      minutesToPressure: countdownMin,
      pinUpMin,
      naturalFullMin,
      steamC: run.history.tempC[run.history.releaseAt]!,
      chance: chanceIn100(chosen.chance),
      ...(whistles === null ? {} : { whistles }),
      ...programOf(pot, cooked.h.heated.pressure, chosen.holdMin),
      advice: releaseAdvice({ g, fill: cooked.h.heated.state.fill, chosen, naturalFullMin }),
    },
    firstStage: first && {
      ingredients: slowFirst(first),
      slow: first.slow,
      gravyG: first.gravyG,
      ...(dish.overrides?.gravyMl === undefined ? {} : { measuredMl: dish.overrides.gravyMl }),
      liquidMl: Math.round(first.liquidMl),
      holdMin: first.holdMin,
      minutesToPressure: first.minutesToPressure,
      ventMin: first.ventMin,
      steamG: first.steamG,
      minutes: first.minutesToPressure + first.holdMin + first.ventMin + betweenMin,
      ...(pot.whistle ? { whistles: first.whistles } : {}),
      curve: potCurve(first.history),
    },
    meats,
    plants: chosen.plants,
    fry,
    deglaze: b.pan && {
      ml: Math.round(Math.min(deglazeMl, addMl)),
      minutes: deglazeMin,
      baseC: b.pan.baseC,
      foodC: b.pan.foodC,
      reducedG: b.pan.reducedG,
      enough: geo.thinLiquidMl >= deglazeMl,
    },
    stack: geo.layers,
    after: afterPlan(b, outcome, addMl),
    heldBack: heldBack(g).map((h) => (h.ingredient === x.heldPasta ? { ...h, why: 'soft-on-the-way' } : h)),
    finish,
    timeline,
    steps,
    pot: {
      id: pot.id,
      litres: pot.litres,
      diameterMm: pot.diameterMm,
      altitudeM: kitchen.altitudeM,
      fillLitres: geo.fillLitres,
      fillFraction: geo.fillFraction,
      limitFraction: geo.limitFraction,
      foamFraction: geo.foamFraction,
      minimumLiquidMl: pot.minimumLiquidMl[0],
      thinLiquidMl: geo.thinLiquidMl,
      liquidLevelMm: geo.liquidLevelMm,
      ok: fillOk && geo.thinLiquidMl >= leastThinMl(pot.minimumLiquidMl[0]) && !run.neverSealed && !run.dry,
    },
    scorch,
    warnings: warningsOf({
      g,
      pot,
      altitudeM: kitchen.altitudeM,
      geo,
      chosen,
      outcome,
      meats,
      plants: chosen.plants,
      curdles: g.items
        .filter(
          (i) =>
            hasFlag(i, 'curdles') &&
            i.joins === 'stack' &&
            !['layered-pasta', 'porridge', 'biryani'].includes(dish.family),
        )
        .map((i) => i.ingredient.id),
      fry,
      finish,
      scorch: scorch.level,
      chance: chosen.chance.all,
      spray: 1 - chosen.chance.release,
      grainBand: grain?.band ?? null,
      addMl,
      topUpMl,
      missed,
      boundBy: bounds && boundBy(addMl, bounds),
      heldPasta: x.heldPasta,
    }),
    proposals: [],
    decided: decisions(cooked, own, ledger, salt.reason),
    curve: curveOf(cooked),
  };
}

/** Spread of the liquid where no starch drinks it, g: the pot's own losses [derived]. */
const liquidOnlySdG = 20;

/** Where the cook set a row by hand, keep what the sum itself would have said. */
function withOwnSum(ledger: Plan['liquid']['ledger'], own: Cooked, dish: Dish): void {
  if (dish.overrides?.ledger?.['sauce'] === undefined) return;
  const row = ledger.find((r) => r.item === 'sauce');
  if (row && own.outcome) row.reason = { ...row.reason, overruled: own.outcome.clock.freeG };
}

function decisions(cooked: Cooked, own: Cooked, ledger: Plan['liquid']['ledger'], salt: Reasoned): Plan['decided'] {
  const { b } = cooked;
  const o = b.g.dish.overrides ?? {};
  const chosen = cooked.chosen;
  const naturalMin = chosen.release.naturalMin ?? 0;
  return {
    addMl: reasoned(
      cooked.addMl,
      o.liquidMl === undefined ? 'ledger-closed-by-simulation' : 'yours',
      ledger
        .filter((r) => r.item !== 'added')
        .map((r) => ({
          label: r.item,
          value: -r.grams,
          unit: 'g' as const,
          ...(r.ingredient ? { subject: r.ingredient } : {}),
        })),
      o.liquidMl === undefined ? undefined : own.addMl,
    ),
    holdMin: reasoned(
      chosen.holdMin,
      'best-odds',
      chosen.terms,
      o.holdMin === undefined ? undefined : own.chosen.holdMin,
    ),
    naturalMin: reasoned(
      naturalMin,
      `release-${chosen.release.kind}`,
      chosen.terms,
      o.release === undefined ? undefined : (own.chosen.release.naturalMin ?? 0),
    ),
    pressure: reasoned(
      cooked.h.heated.pressure === 'low' ? (b.pot.lowKpa ?? b.pot.highKpa) : b.pot.highKpa,
      'pressure-set',
      [{ label: 'set-pressure', value: b.pot.highKpa, unit: 'kPa', source: 'from-memory' }],
    ),
    saltG: salt,
  };
}

/** Which of its programs a cooker with fixed ones runs. */
function programOf(pot: Bench['pot'], pressure: 'high' | 'low', holdMin: number): { program?: string } {
  const own = pot.programs?.find((p) => p.pressure === pressure && p.holdMin === holdMin);
  return own ? { program: own.id } : {};
}

/** Minutes until the pin would fall by itself after this hold. */
function naturalFull(c: Cooked): number {
  const run = c.h.heated.finish(c.chosen.holdMin, { kind: 'natural' });
  return ((run.pinDownS ?? run.openS) - run.releaseS) / 60;
}

/** Chances as of a hundred, one digit. */
const chanceIn100 = (c: Cooked['chosen']['chance']): NonNullable<Plan['program']['chance']> => {
  const of100 = (x: number): number => Math.round(1000 * x) / 10;
  return {
    of100: of100(c.all),
    texture: of100(c.texture),
    pieces: of100(c.pieces),
    base: of100(c.base),
    release: of100(c.release),
  };
};

/** What goes into a first stage, the parts it is for before the rest. */
const slowFirst = (first: NonNullable<Bench['first']>): string[] => [...new Set([...first.slow, ...first.items])];

/** A top-up smaller than this is not worth a step, mL [common practice]. */
const leastTopUpMl = 40;

/** Liquid that the sauce still lacks because the pot was full, mL: stirred in boiling hot after opening. */
function topUpOf({ b, outcome, addMl }: Cooked, bounds: LiquidBounds | null): number {
  if (!bounds || bounds.mostBy !== 'fill' || addMl < bounds.mostMl - 10 || b.g.dish.overrides?.liquidMl !== undefined)
    return 0;
  const { g, src } = b;
  if (!outcome) return 0;
  const share = g.saucePerStarch === null ? g.sauceShare : 0;
  const lacksG = (wantedSauceG(g, outcome.finishedG) - outcome.sauceG) / (1 - share);
  const ml = roundMl(lacksG / src.mainWaterPerMl);
  return ml < leastTopUpMl ? 0 : ml;
}

const withTopUp = (out: GrainOutcome, grams: number): GrainOutcome =>
  grams === 0 ? out : { ...out, sauceG: out.sauceG + grams, finishedG: out.finishedG + grams };
