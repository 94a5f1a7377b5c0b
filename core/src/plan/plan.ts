import { buildSteps, timelineOf } from '../clock/steps';
import { prepTasks } from '../clock/tasks';
import { kitchenSchema, type Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import { aimIndexOf, bandEdges, sauceBand, type Texture } from '../grain/texture';
import type { PotProfile } from '../pot/profile';
import { Problem } from '../problem';
import { reasoned, type Reasoned } from '../reasoned';
import { planFormat, type Curve, type Plan } from './document';
import { finishPlan, heldBack } from './finish';
import { fryPlan } from './fry';
import { setBench, type Bench } from './bench';
import { gather } from './gather';
import { ledgerRows } from './ledger';
import { saltPlan } from './salt';
import { scorchRisk } from './scorch';
import { cookWith, roundMl, solveBoth, type Cooked } from './solve';
import { stackPlan } from './stack';
import { warningsOf } from './warnings';
import { moistureSpread, waterSources } from './water';

export interface PlanOptions {
  mode?: 'solve' | 'evaluate';
  texture?: Texture;
}

/**
 * The plan of a dish in a kitchen: liquid, layers, minutes, release and clock, each with its reasons.
 * Same input, same output. Throws Problem when the dish cannot be planned.
 */
export function plan(dish: Dish, kitchen: Kitchen = kitchenSchema.parse({}), options: PlanOptions = {}): Plan {
  if (options.mode === 'evaluate') return evaluate(dish, kitchen, options);
  const b = setBench(dish, kitchen);
  const texture = options.texture ?? dish.texture ?? 'fluffy';
  const { cooked, missed } = solveBoth(b, texture);
  const solved = dish.overrides ? solveBoth({ ...b, ...freed(b, dish) }, texture).cooked : cooked;
  return assemble(b, cooked, 'solve', texture, missed, solved);
}

/** What the cook's own numbers (`asCooked`) will give. Throws Problem `as-cooked-missing` when there are none. */
export function evaluate(dish: Dish, kitchen: Kitchen = kitchenSchema.parse({}), options: PlanOptions = {}): Plan {
  const as = dish.asCooked;
  if (!as)
    throw new Problem('as-cooked-missing', 'To evaluate, say how it was cooked: liquid, minutes and release.', [
      { path: 'asCooked', message: 'Add asCooked with pressure, holdMin and release.' },
    ]);
  const b = setBench(dish, kitchen);
  const listed = b.g.main.grams / b.g.main.food.bulkGPerMl[0];
  const cooked = cookWith(b, as.liquidMl ?? listed, {
    pressure: as.pressure,
    holdMin: as.holdMin,
    release: as.release,
  });
  return assemble(b, cooked, 'evaluate', options.texture ?? dish.texture ?? 'fluffy', false, cooked);
}

/** The same bench without the cook's overrides: what the planner itself would have chosen. */
function freed(b: Bench, dish: Dish): Pick<Bench, 'g' | 'src'> {
  const { overrides: _, ...rest } = dish;
  const g = gather(rest);
  return { g, src: waterSources(g) };
}

function assemble(b: Bench, cooked: Cooked, mode: Plan['mode'], texture: Texture, missed: boolean, own: Cooked): Plan {
  const { g, src, pot, kitchen } = b;
  const { chosen, outcome, addMl } = cooked;
  const dish = g.dish;
  const grain = g.grain!;
  const run = chosen.run;
  const geo = stackPlan(g, pot, addMl, src.clingG);
  const scorch = scorchRisk(g, pot, geo);
  const fry = fryPlan(g, pot);
  const meats = chosen.meats.map((m) => m.verdict);
  const spread = moistureSpread(g, src, outcome);
  const salt = saltPlan(g, addMl, run);
  const finish = finishPlan(g, meats.length > 0);
  const naturalMin = ((run.valveS ?? run.openS) - run.releaseS) / 60;
  const setKpa = chosen.run.neverSealed
    ? 0
    : gaugeOf(pot, dish.overrides?.pressure ?? dish.asCooked?.pressure ?? 'high', mode, dish);
  const countdownMin = (run.countdownS ?? run.releaseS) / 60;
  const pinUpMin = (run.pinUpS ?? run.releaseS) / 60;
  const ledger = ledgerRows(g, src, outcome, run, addMl);
  withOwnSum(ledger, own, dish);
  const steps = buildSteps({
    tasks: prepTasks(g),
    fry,
    stack: geo.layers,
    finish,
    addMl,
    liquidFood: g.main.food.id,
    holdMin: chosen.holdMin,
    release: run.valveS === null && chosen.release.kind === 'timed' ? 'natural' : chosen.release.kind,
    pinUpMin,
    toFullMin: Math.max(0, countdownMin - pinUpMin),
    naturalMin,
    ventMin: Math.max(0, run.openS / 60 - run.releaseS / 60 - naturalMin),
    gaugeKpa: setKpa,
    pressure: setKpa === pot.lowKpa ? 'low' : 'high',
  });
  const peakC = run.history.tempC.reduce((a, c) => Math.max(a, c), 0);
  const timeline = timelineOf(steps, {
    prep: 21,
    fry: 165,
    stack: run.history.tempC[0]!,
    'heat-up': peakC,
    hold: peakC,
    natural: run.history.tempC[run.history.releaseAt]!,
    vent: 105,
    finish: Math.min(97, run.openC),
  });
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
      ledger,
    },
    salt: { percent: salt.percent, addG: salt.addG, aimPercent: salt.aimPercent, sources: salt.sources },
    grain: {
      food: grain.food.id,
      ingredient: grain.ingredient.id,
      moisture: outcome.clock.moisture,
      band: outcome.texture.band,
      equivalentMin: outcome.clock.equivalentMin,
      freeSauceG: outcome.clock.freeG,
      freeShare: outcome.freeShare,
      sauce: sauceBand(outcome.freeShare),
      textureIndex: outcome.texture.index,
      spreadPoints: spread.points,
      bandChance: bandChance(outcome.texture.index, spread.points),
      done: outcome.texture.done,
      aimIndex: aimIndexOf(grain.food.grain!, texture),
    },
    pasta: null,
    program: {
      pressure: setKpa === pot.lowKpa ? 'low' : 'high',
      gaugeKpa: setKpa,
      holdMin: chosen.holdMin,
      release: chosen.release,
      minutesToPressure: countdownMin,
      pinUpMin,
      naturalFullMin: naturalFull(cooked),
      steamC: run.history.tempC[run.history.releaseAt]!,
    },
    meats,
    fry,
    stack: geo.layers,
    heldBack: heldBack(g),
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
      minimumLiquidMl: pot.minimumLiquidMl[0],
      thinLiquidMl: geo.thinLiquidMl,
      liquidLevelMm: geo.liquidLevelMm,
      ok: fillOk && geo.thinLiquidMl >= pot.minimumLiquidMl[0] && !run.neverSealed && !run.dry,
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
      fry,
      scorch: scorch.level,
      addMl,
      missed,
    }),
    decided: decisions(b, cooked, own, ledger, salt.reason),
    curve: curveOf(cooked),
  };
}

function gaugeOf(pot: PotProfile, pressure: 'high' | 'low', mode: Plan['mode'], dish: Dish): number {
  const wanted = mode === 'evaluate' ? (dish.asCooked?.pressure ?? pressure) : (dish.overrides?.pressure ?? 'high');
  return wanted === 'low' && pot.lowKpa !== null ? pot.lowKpa : pot.highKpa;
}

/** Where the cook set a row by hand, keep what the sum itself would have said. */
function withOwnSum(ledger: Plan['liquid']['ledger'], own: Cooked, dish: Dish): void {
  if (dish.overrides?.ledger?.['sauce'] === undefined) return;
  const row = ledger.find((r) => r.item === 'sauce');
  if (row) row.reason = { ...row.reason, overruled: own.outcome.clock.freeG };
}

function decisions(
  b: Bench,
  cooked: Cooked,
  own: Cooked,
  ledger: Plan['liquid']['ledger'],
  salt: Reasoned,
): Plan['decided'] {
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
      'least-cost',
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
      cooked.heated.pressure === 'low' ? (b.pot.lowKpa ?? b.pot.highKpa) : b.pot.highKpa,
      'pressure-set',
      [{ label: 'set-pressure', value: b.pot.highKpa, unit: 'kPa', source: 'from-memory' }],
    ),
    saltG: salt,
  };
}

/** Minutes until the pin would fall by itself after this hold. */
function naturalFull(c: Cooked): number {
  const run =
    c.chosen.release.kind === 'natural' ? c.chosen.run : c.heated.finish(c.chosen.holdMin, { kind: 'natural' });
  return ((run.pinDownS ?? run.openS) - run.releaseS) / 60;
}

/** Chance that a normal error of `sd` points leaves the index in its own band. */
function bandChance(index: number, sd: number): number {
  const edges = [-Infinity, ...bandEdges, Infinity];
  const i = edges.findIndex((e, k) => index >= e && index < edges[k + 1]!);
  return normal((edges[i + 1]! - index) / sd) - normal((edges[i]! - index) / sd);
}

/** Normal distribution function; Abramowitz & Stegun 26.2.17, error below 7.5e-8. */
function normal(x: number): number {
  if (!Number.isFinite(x)) return x > 0 ? 1 : 0;
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const tail =
    (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return x >= 0 ? 1 - tail : tail;
}

/** The history thinned to about one point in fifteen seconds, for the charts. */
function curveOf(c: Cooked): Curve {
  const h = c.chosen.run.history;
  const every = Math.max(1, Math.round(15 / h.dtS));
  const minutes: number[] = [];
  const tempC: number[] = [];
  const gaugeKpa: number[] = [];
  for (let i = 0; i < h.tempC.length; i += every) {
    minutes.push(round((i * h.dtS) / 60, 3));
    tempC.push(round(h.tempC[i]!, 2));
    gaugeKpa.push(round(h.gaugeKpa[i]!, 2));
  }
  const thickest = [...c.chosen.meats].sort((a, b) => a.verdict.cautiousCoreC - b.verdict.cautiousCoreC)[0];
  if (!thickest) return { minutes, tempC, gaugeKpa };
  const t = thickest.trace;
  return { minutes, tempC, gaugeKpa, meatC: minutes.map((m) => round(interpolate(t.minutes, t.coreC, m), 2)) };
}

const round = (x: number, digits: number): number => Math.round(x * 10 ** digits) / 10 ** digits;

function interpolate(xs: readonly number[], ys: readonly number[], x: number): number {
  if (xs.length === 0) return NaN;
  const i = xs.findIndex((v) => v >= x);
  if (i < 0) return ys[ys.length - 1]!;
  if (i === 0) return ys[0]!;
  const f = (x - xs[i - 1]!) / (xs[i]! - xs[i - 1]!);
  return ys[i - 1]! + f * (ys[i]! - ys[i - 1]!);
}
