import { issueAt, refusal } from '../../problem';
import { reasoned, type Reasoned } from '../../reasoned';
import { afterPlan, isBigBatch } from './after';
import { boundBy, geometryOf, type LiquidBounds } from '../setup/bounds';
import { curveOf } from './curve';
import { planFormat, type Plan } from '../document/document';
import type { MeatVerdict } from '../document/verdicts';
import { finishPlan, heldBack, type FinishInput } from './finish';
import type { Gathered } from '../gather/item';
import { ledgerRows } from './ledger';
import { isTooSmallToProbe, meatsOf } from '../gather/pieces';
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
import type { Run } from '../judge/run';
import { roundMl } from '../search/solve-once';
import { withLiquid } from '../setup/stack';
import { buildSteps, timelineOf } from './steps';
import { grainVerdict, pastaVerdict } from '../judge/verdict';
import { warningsOf, type Facts } from './warnings';
import { moistureSpread, type GrainOutcome } from '../simulate/outcome';
import { beforeOf } from '../setup/setup';
import { wantedSauceG } from '../setup/sauce';

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
  const { run, mode, texture, own } = x;
  const { setup } = run.h;
  const { g, src } = setup;
  const { dish } = g;
  const topUpMl = x.topUpMl ?? topUpOf(run, x.bounds);
  const outcome = run.outcome && withTopUp(run.outcome, topUpMl * src.mainWaterPerMl);
  const r: Result = { ...x, setup, outcome, topUpMl, geo: geometryOf(setup, run.addMl) };
  const spread = outcome ? moistureSpread(g, src, outcome) : { waterG: liquidOnlySdG, points: 0 };
  const { reason: saltReason, ...salt } = saltPlan(g, run.addMl, run.potRun);
  const ledger = ledgerPart(r);
  const grain = grainVerdict(g, outcome, spread.points, texture);
  const meats = run.meats.map((m) => m.verdict);
  const finish = finishPart(r);
  const program = programPart(r);
  const seasoned = withLiquid(g).map((i) => ({ ingredient: i.ingredient.id, grams: i.grams }));
  const steps = buildSteps({ ...stepInput(r, program), finish, withLiquid: seasoned.map((s) => s.ingredient) });
  return {
    format: planFormat,
    mode,
    title: dish.title,
    family: dish.family,
    serves: dish.serves,
    texture,
    liquid: { ...liquidPart(r, spread.waterG), ledger },
    outerLiquidMl: g.inBowl ? setup.outerMl : null,
    salt,
    topUpMl,
    grain,
    pasta: pastaVerdict(g, outcome, texture),
    program,
    firstStage: firstStagePart(r),
    meats,
    plants: run.plants,
    fry: setup.fry,
    deglaze: deglazePart(r),
    stack: r.geo.layers,
    withLiquid: seasoned,
    after: afterPlan(setup, outcome, run.addMl),
    heldBack: heldBack(g).map((h) => (h.ingredient === x.heldPasta ? { ...h, why: 'soft-on-the-way' } : h)),
    finish,
    timeline: timelineOf(steps, peaks(r)),
    steps,
    pot: potPart(r),
    scorch: run.h.scorch,
    warnings: warningsOf(warningFacts(r, { meats, finish, grainBand: grain?.band ?? null })),
    proposals: [],
    decided: decisions(run, own, ledger, saltReason),
    curve: curveOf(run),
  };
}

const warningFacts = (r: Result, known: Pick<Facts, 'meats' | 'finish' | 'grainBand'>): Facts => {
  const { setup, run } = r;
  return {
    ...known,
    g: setup.g,
    pot: setup.pot,
    altitudeM: setup.kitchen.altitudeM,
    geo: r.geo,
    potRun: run.potRun,
    outcome: r.outcome,
    plants: run.plants,
    fry: setup.fry,
    scorch: run.h.scorch.level,
    chance: run.chance.all,
    spray: 1 - run.chance.release,
    topUpMl: r.topUpMl,
    bounds: r.bounds,
    curdles: curdling(setup.g),
    missed: r.missed && r.topUpMl === 0,
    boundBy: r.bounds && boundBy(run.addMl, r.bounds),
    heldPasta: r.heldPasta,
  };
};

/** The rows of the liquid's sum; where the cook set one by hand, with what the sum itself would have said. */
function ledgerPart({ setup, run, own, outcome }: Result): Plan['liquid']['ledger'] {
  const { g, src } = setup;
  const earlierSteamG = beforeOf(setup)?.steamG ?? 0;
  const ledger = ledgerRows({ g, src, out: outcome, run: run.potRun, addMl: run.addMl, earlierSteamG });
  if (g.dish.overrides?.ledger?.['sauce'] === undefined) return ledger;
  const row = ledger.find((x) => x.item === 'sauce');
  if (row && own.outcome) row.reason = { ...row.reason, overruled: own.outcome.clock.freeG };
  return ledger;
}

const finishPart = ({ setup: { g, pot, kitchen }, run, outcome, topUpMl }: Result): Plan['finish'] =>
  finishPlan(g, {
    run: run.potRun,
    pot,
    altitudeM: kitchen.altitudeM,
    measured: measuredAs(
      g,
      run.meats.map((m) => m.verdict),
    ),
    bigBatch: isBigBatch(g, outcome),
    topUpMl,
  });

/** Spread of the liquid where no starch drinks it, g: the pot's own losses [derived]. */
const liquidOnlySdG = 20;

/** Crumbs and slices are measured in the middle of the pot; as soon as one piece can be probed, the thickest is. */
function measuredAs(g: Gathered, verdicts: readonly MeatVerdict[]): FinishInput['measured'] {
  const measured = meatsOf(g).filter((_, i) => verdicts[i]!.kind !== 'none');
  if (measured.length === 0) return null;
  return measured.every(isTooSmallToProbe) ? 'check-pot' : 'check';
}

function decisions(run: Run, own: Run, ledger: Plan['liquid']['ledger'], salt: Reasoned): Plan['decided'] {
  const { setup, heated } = run.h;
  const o = setup.g.dish.overrides ?? {};
  const naturalMin = run.release.naturalMin ?? 0;
  return {
    addMl: reasoned(
      run.addMl,
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
    holdMin: reasoned(run.holdMin, 'best-odds', run.terms, o.holdMin === undefined ? undefined : own.holdMin),
    naturalMin: reasoned(
      naturalMin,
      `release-${run.release.kind}`,
      run.terms,
      o.release === undefined ? undefined : (own.release.naturalMin ?? 0),
    ),
    pressure: reasoned(
      heated.pressure === 'low' ? (setup.pot.lowKpa ?? setup.pot.highKpa) : setup.pot.highKpa,
      'pressure-set',
      [{ label: 'set-pressure', value: setup.pot.highKpa, unit: 'kPa', source: 'from-memory' }],
    ),
    saltG: salt,
  };
}

/** A top-up smaller than this is not worth a step, mL [common practice]. */
const leastTopUpMl = 40;

/** Liquid that the sauce still lacks because the pot was full or long under way, mL: stirred in boiling hot after opening. */
function topUpOf({ h: { setup }, outcome, addMl }: Run, bounds: LiquidBounds | null): number {
  const waits = bounds && ['fill', 'heat-up'].includes(bounds.mostBy);
  if (!waits || addMl < bounds.mostMl - 10 || setup.g.dish.overrides?.liquidMl !== undefined) return 0;
  const { g, src } = setup;
  if (!outcome) return 0;
  const share = g.saucePerStarch === null ? g.sauceShare : 0;
  const lacksG = (wantedSauceG(g, outcome.finishedG) - outcome.sauceG) / (1 - share);
  const ml = roundMl(lacksG / src.mainWaterPerMl);
  return ml < leastTopUpMl ? 0 : ml;
}

const withTopUp = (out: GrainOutcome, grams: number): GrainOutcome =>
  grams === 0 ? out : { ...out, sauceG: out.sauceG + grams, finishedG: out.finishedG + grams };
