import { buildSteps, timelineOf } from '../clock/steps';
import { prepTasks } from '../clock/tasks';
import { kitchenSchema, type Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import type { Texture } from '../grain/texture';
import { Problem } from '../problem';
import { reasoned, type Reasoned } from '../reasoned';
import { afterPlan, isBigBatch } from './after';
import { setBench, type Bench } from './bench';
import { curveOf, potCurve } from './curve';
import { planFormat, type Plan } from './document';
import { finishPlan, heldBack } from './finish';
import { deglazeMin, deglazeMl } from './fry';
import { gather, hasFlag } from './gather';
import { ledgerRows } from './ledger';
import { releaseAdvice } from './release';
import { saltPlan } from './salt';
import { scorchRisk } from './scorch';
import { cookWith, heat, roundMl, solveBoth, type Cooked } from './solve';
import { stackPlan } from './stack';
import { betweenMin } from './stages';
import { grainVerdict, pastaVerdict } from './verdict';
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
  const solved = dish.overrides ? solveBoth({ ...b, ...freed(dish, b.pan?.reducedG ?? 0) }, texture).cooked : cooked;
  return assemble(cooked, 'solve', texture, missed, solved);
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
  const texture = options.texture ?? dish.texture ?? 'fluffy';
  const addMl = as.liquidMl ?? listed;
  const program = { pressure: as.pressure, holdMin: as.holdMin, release: as.release };
  const cook = (bench: Bench): Cooked => {
    const holdMin = as.whistles === undefined ? as.holdMin : holdOfWhistles(bench, addMl, as.whistles);
    return cookWith(bench, addMl, { ...program, holdMin }, texture);
  };
  let cooked = cook(b);
  const own = cooked.chosen.run.countdownS;
  if (as.minutesToPressure !== undefined && own !== null) {
    // The cook timed the heat-up: the heater is taken as so much stronger or weaker that the model agrees.
    const factor = Math.min(2, Math.max(0.5, own / 60 / as.minutesToPressure));
    cooked = cook({ ...b, pot: { ...b.pot, efficiency: b.pot.efficiency * factor } });
  }
  return assemble(cooked, 'evaluate', texture, false, cooked);
}

/** The same bench without the cook's overrides: what the planner itself would have chosen. */
function freed(dish: Dish, reducedG: number): Pick<Bench, 'g' | 'src'> {
  const { overrides: _, ...rest } = dish;
  const g = gather(rest);
  return { g, src: waterSources(g, reducedG) };
}

/** Minutes of hold that end with so many whistles; on a pot that does not whistle the number says nothing. */
function holdOfWhistles(b: Bench, addMl: number, whistles: number): number {
  return b.pot.whistle ? heat(b, addMl, 'high').heated.holdForWhistles(whistles) : (b.g.dish.asCooked?.holdMin ?? 0);
}

function assemble(cooked: Cooked, mode: Plan['mode'], texture: Texture, missed: boolean, own: Cooked): Plan {
  const { b, chosen, outcome, addMl } = cooked;
  const { g, src, pot, kitchen, first, outerMl } = b;
  const dish = g.dish;
  const run = chosen.run;
  const geo = stackPlan(g, pot, addMl, src.clingG, outerMl);
  const scorch = scorchRisk(g, pot, geo);
  const fry = b.fry;
  const meats = chosen.meats.map((m) => m.verdict);
  const spread = outcome ? moistureSpread(g, src, outcome) : { waterG: liquidOnlySdG, points: 0 };
  const salt = saltPlan(g, addMl, run);
  const finish = finishPlan(g, meats.length > 0, isBigBatch(g, outcome));
  const naturalMin = ((run.valveS ?? run.openS) - run.releaseS) / 60;
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
    release: run.valveS === null && chosen.release.kind === 'timed' ? 'natural' : chosen.release.kind,
    pinUpMin,
    toFullMin: Math.max(0, countdownMin - pinUpMin),
    naturalMin,
    ventMin: Math.max(0, run.openS / 60 - run.releaseS / 60 - naturalMin),
    gaugeKpa: setKpa,
    pressure: setKpa === pot.lowKpa ? 'low' : 'high',
    first: first && { ...first, ingredients: [...first.items], betweenMin },
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
      ledger,
    },
    outerLiquidMl: g.inBowl ? outerMl : null,
    salt: {
      percent: salt.percent,
      addG: salt.addG,
      aimPercent: salt.aimPercent,
      sources: salt.sources,
      teaspoons: salt.teaspoons,
    },
    grain: grainVerdict(g, outcome, spread.points, texture),
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
      ...(whistles === null ? {} : { whistles }),
      ...programOf(pot, cooked.h.heated.pressure, chosen.holdMin),
      advice: releaseAdvice({ g, fill: cooked.h.heated.state.fill, chosen, naturalFullMin }),
    },
    firstStage: first && {
      ingredients: [...first.items],
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
      plants: chosen.plants,
      curdles: g.items
        .filter(
          (i) =>
            hasFlag(i, 'curdles') &&
            i.joins === 'stack' &&
            dish.family !== 'layered-pasta' &&
            dish.family !== 'porridge',
        )
        .map((i) => i.ingredient.id),
      fry,
      scorch: scorch.level,
      addMl,
      missed,
    }),
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
