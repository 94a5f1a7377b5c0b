import type { Dish } from '../dish/schema';
import { issueAt, refusal } from '../problem';
import { reasoned, type Reasoned } from '../reasoned';
import { afterPlan, isBigBatch } from './after';
import { boundBy, geometryOf, type LiquidBounds } from './bounds';
import { curveOf } from './curve';
import { planFormat, type MeatVerdict, type Plan } from './document';
import { finishPlan, heldBack, type FinishInput } from './finish';
import type { Gathered } from './item';
import { ledgerRows } from './ledger';
import { isTooSmallToProbe, meatsOf } from './meat';
import {
  curdling,
  deglazePart,
  firstStagePart,
  liquidPart,
  peaks,
  potPart,
  programPart,
  stepInput,
  type Chosen,
  type Result,
} from './parts';
import { saltPlan } from './salt';
import type { Cooked } from './cooked';
import { roundMl } from './solve-once';
import { buildSteps, timelineOf } from './steps';
import { grainVerdict, pastaVerdict } from './verdict';
import { warningsOf } from './warnings';
import { moistureSpread, wantedSauceG, type GrainOutcome } from './water';

/** The plan document of a cook that was chosen: every part with its reasons. Throws Problem `not-a-number` (see sound). */
export const assemble = (x: Chosen): Plan => sound(written(x));

/** No number that is none leaves the core. Throws Problem `not-a-number` with the field that has none. */
function sound(p: Plan): Plan {
  const bad = unsound(p, '');
  if (bad === null) return p;
  throw refusal('not-a-number', {}, issueAt(bad, 'cannot-be-worked-out'));
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
  const { cooked, mode, texture, own } = x;
  const { b, chosen, addMl } = cooked;
  const { g, src, pot } = b;
  const dish = g.dish;
  const topUpMl = x.topUpMl ?? topUpOf(cooked, x.bounds);
  const outcome = cooked.outcome && withTopUp(cooked.outcome, topUpMl * src.mainWaterPerMl);
  const r: Result = { ...x, b, chosen, run: chosen.run, addMl, outcome, topUpMl, geo: geometryOf(b, addMl) };
  const spread = outcome ? moistureSpread(g, src, outcome) : { waterG: liquidOnlySdG, points: 0 };
  const { reason: saltReason, ...salt } = saltPlan(g, addMl, r.run);
  const earlierSteamG = b.first?.steamG ?? 0;
  const ledger = ledgerRows({ g, src, out: outcome, run: r.run, addMl, earlierSteamG });
  withOwnSum(ledger, own, dish);
  const grain = grainVerdict(g, outcome, spread.points, texture);
  const meats = chosen.meats.map((m) => m.verdict);
  const finish = finishPlan(g, {
    run: r.run,
    pot,
    altitudeM: b.kitchen.altitudeM,
    measured: measuredAs(g, meats),
    bigBatch: isBigBatch(g, outcome),
    topUpMl,
  });
  const program = programPart(r);
  const steps = buildSteps({ ...stepInput(r, program), finish });
  return {
    format: planFormat,
    mode,
    title: dish.title,
    family: dish.family,
    serves: dish.serves,
    texture,
    liquid: { ...liquidPart(r, spread.waterG), ledger },
    outerLiquidMl: g.inBowl ? b.outerMl : null,
    salt,
    topUpMl,
    grain,
    pasta: pastaVerdict(g, outcome, texture),
    program,
    firstStage: firstStagePart(r),
    meats,
    plants: chosen.plants,
    fry: b.fry,
    deglaze: deglazePart(r),
    stack: r.geo.layers,
    after: afterPlan(b, outcome, addMl),
    heldBack: heldBack(g).map((h) => (h.ingredient === x.heldPasta ? { ...h, why: 'soft-on-the-way' } : h)),
    finish,
    timeline: timelineOf(steps, peaks(r)),
    steps,
    pot: potPart(r),
    scorch: cooked.h.scorch,
    warnings: warningsOf({
      ...r,
      g,
      pot,
      altitudeM: b.kitchen.altitudeM,
      meats,
      plants: chosen.plants,
      curdles: curdling(g),
      fry: b.fry,
      finish,
      scorch: cooked.h.scorch.level,
      chance: chosen.chance.all,
      spray: 1 - chosen.chance.release,
      grainBand: grain?.band ?? null,
      missed: x.missed && topUpMl === 0,
      boundBy: x.bounds && boundBy(addMl, x.bounds),
    }),
    proposals: [],
    decided: decisions(cooked, own, ledger, saltReason),
    curve: curveOf(cooked),
  };
}

/** Spread of the liquid where no starch drinks it, g: the pot's own losses [derived]. */
const liquidOnlySdG = 20;

/** Crumbs and slices are measured in the middle of the pot; as soon as one piece can be probed, the thickest is. */
function measuredAs(g: Gathered, verdicts: readonly MeatVerdict[]): FinishInput['measured'] {
  const measured = meatsOf(g).filter((_, i) => verdicts[i]!.kind !== 'none');
  if (measured.length === 0) return null;
  return measured.every(isTooSmallToProbe) ? 'check-pot' : 'check';
}

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

/** A top-up smaller than this is not worth a step, mL [common practice]. */
const leastTopUpMl = 40;

/** Liquid that the sauce still lacks because the pot was full or long under way, mL: stirred in boiling hot after opening. */
function topUpOf({ b, outcome, addMl }: Cooked, bounds: LiquidBounds | null): number {
  const waits = bounds && ['fill', 'heat-up'].includes(bounds.mostBy);
  if (!waits || addMl < bounds.mostMl - 10 || b.g.dish.overrides?.liquidMl !== undefined) return 0;
  const { g, src } = b;
  if (!outcome) return 0;
  const share = g.saucePerStarch === null ? g.sauceShare : 0;
  const lacksG = (wantedSauceG(g, outcome.finishedG) - outcome.sauceG) / (1 - share);
  const ml = roundMl(lacksG / src.mainWaterPerMl);
  return ml < leastTopUpMl ? 0 : ml;
}

const withTopUp = (out: GrainOutcome, grams: number): GrainOutcome =>
  grams === 0 ? out : { ...out, sauceG: out.sauceG + grams, finishedG: out.finishedG + grams };
