import { lastWhole } from '../bisect';
import type { Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import { pastaBand } from '../grain/texture';
import type { Release } from '../pot/program';
import { setUp, type Setup } from '../plan/setup/setup';
import { kitchenOfPlan } from '../plan/setup/learned';
import { potCurve } from '../plan/write/curve';
import type { MeatVerdict } from '../plan/document/verdicts';
import type { Plan } from '../plan/document/document';
import type { PotCurve } from '../plan/document/curve';
import { joined } from '../plan/simulate/joined';
import { heat, type Heated } from '../plan/simulate/heated';
import type { Run } from '../plan/judge/run';
import { outcomeOf, runOf } from '../plan/judge/runs';
import { sauceWord, type GrainOutcome } from '../plan/simulate/outcome';
import { afterBroken, type BrokenRun } from './broken';
import { setupAfterFirst, type FirstRun } from './first-run';
import { potWithPinAt } from './heater';

/** What has really happened so far, minutes; what is left out is still to come and taken as planned. */
export interface Reality {
  /** from the locked lid to the pin */
  toPinMin?: number;
  /** from the countdown to the end of the hold */
  holdMin?: number;
  /** of natural release before the valve was opened, or until now */
  naturalMin?: number;
  /** runs that were broken off before the one that is on; the minutes above are of this one */
  broken?: readonly BrokenRun[];
  /** the first stage of a two-stage plan, where it did not go as planned */
  first?: FirstRun;
  /** the hold that this run was given by the rescue that began it, instead of the planned one */
  givenMin?: number;
}

export type Advice =
  'as-planned' | 'hold-less' | 'hold-more' | 'open-now' | 'no-harm' | 'meat-needs-more' | 'first-short';

export interface Outlook {
  holdMin: number;
  /** against the plan; negative is less */
  holdChangeMin: number;
  /** how much later than planned the lid opens, min */
  laterMin: number;
  /** texture points (pasta: hundredths of the packet's minutes) softer than planned */
  softer: number;
  band: string | null;
  moisture: number | null;
  /** free sauce around the starch, g, and its word; null without a starch */
  sauce: { freeG: number; band: 'dry' | 'moist' | 'saucy' | 'soupy' } | null;
  meats: MeatVerdict[];
  advice: Advice;
  /** what the first of two stages lacks for its meat to get as tender as planned, whole min at pressure; 0: nothing */
  firstMoreMin: number;
  /** the whole run as it now looks, for the live curve */
  curve: PotCurve;
}

/** A shift that nobody tastes, points. */
const noticeable = 1.5;

/**
 * The rest of a cook from what really happened. A pin that came late or early is read as a weaker or stronger heater, the
 * hold is fitted anew so that the starch gets what the plan wanted and every meat its minimum, and a release that ran over
 * is cooked through to what it made of the dish. Runs that were broken off count with what they cooked, and the new hold
 * is fitted to what the starch still lacks. The first stage of a two-stage plan counts as it went.
 */
export function outlook(dish: Dish, kitchen: Kitchen, planned: Plan, real: Reality): Outlook {
  const past = afterBroken(
    setupAfterFirst(setUp(dish, kitchenOfPlan(kitchen, planned)), planned, real.first),
    planned,
    real.broken ?? [],
  );
  const { setup } = past;
  const given = real.givenMin ?? planned.program.holdMin;
  const slow = real.toPinMin === undefined ? setup : withPinAt(setup, planned, past.addMl, real.toPinMin);
  const h = heat(slow, { addMl: past.addMl, pressure: planned.program.pressure, texture: planned.texture });
  const release: Release =
    real.naturalMin === undefined ? planned.program.release : { kind: 'timed', naturalMin: real.naturalMin };
  const fixed = real.holdMin ?? (real.naturalMin === undefined ? undefined : given);
  const c = fixed === undefined ? fittedHold(h, planned, release, past.hadMin) : runOf(h, half(fixed), release);
  const out = outcomeOf(h, c.potRun, { temps: c.temps && joined(past.temps, c.temps) });
  const softer = out ? softerBy(planned, out) : 0;
  const holdChangeMin = c.holdMin - given;
  const lastMin = planned.curve.minutes.at(-1) ?? 0;
  const meats = c.meats.map((m) => m.verdict);
  const was = (m: MeatVerdict): MeatVerdict | undefined => planned.meats.find((p) => p.ingredient === m.ingredient);
  const firstMoreMin = meats.some((m) => m.texture !== 'tender' && was(m)?.texture === 'tender')
    ? firstShortMin(planned, real.first)
    : 0;
  return {
    holdMin: c.holdMin,
    holdChangeMin,
    laterMin: past.beforeMin + c.potRun.openS / 60 - lastMin,
    softer,
    band: planned.pasta && out ? pastaBand(xOf(planned, out), out.clock.moisture) : (out?.texture.band ?? null),
    moisture: out?.clock.moisture ?? null,
    sauce: out ? { freeG: out.clock.freeG, band: sauceWord(setup.g, out) } : null,
    meats,
    advice: adviceOf(real, {
      meatShort: meats.some((m) => !m.ok && was(m)?.ok),
      firstShort: firstMoreMin > 0,
      softer,
      holdChangeMin,
    }),
    firstMoreMin,
    curve: potCurve(c.potRun.history),
  };
}

/** How much too short the hold of the first of two stages was, whole min. */
const firstShortMin = (planned: Plan, first: FirstRun | undefined): number =>
  planned.firstStage && first?.holdMin !== undefined
    ? Math.max(0, Math.ceil(planned.firstStage.holdMin - first.holdMin))
    : 0;

/** The one thing to say: what can still be mended before the second lid, then safety, then what cannot wait. */
function adviceOf(
  real: Reality,
  x: { meatShort: boolean; firstShort: boolean; softer: number; holdChangeMin: number },
): Advice {
  if (x.firstShort && real.toPinMin === undefined) return 'first-short';
  if (x.meatShort) return 'meat-needs-more';
  if (real.naturalMin !== undefined) return x.softer > noticeable ? 'open-now' : 'no-harm';
  if (x.holdChangeMin !== 0) return x.holdChangeMin < 0 ? 'hold-less' : 'hold-more';
  return x.firstShort ? 'first-short' : 'as-planned';
}

const half = (minutes: number): number => Math.round(minutes * 2) / 2;

/** The setup with the heater that lifts the pin when it rose. */
function withPinAt(setup: Setup, planned: Plan, addMl: number, toPinMin: number): Setup {
  const pinMin = (pot: Setup['pot']): number =>
    (heat({ ...setup, pot }, { addMl, pressure: planned.program.pressure }).heated.pinUpS ?? Infinity) / 60;
  return { ...setup, pot: potWithPinAt(setup.pot, toPinMin, pinMin) };
}

/** The hold that gives the starch what the plan gave it, and longer where a meat still needs it. */
function fittedHold(h: Heated, planned: Plan, release: Release, hadMin: number): Run {
  const whole = planned.grain?.equivalentMin ?? planned.pasta?.equivalentMin ?? null;
  const want = whole === null ? null : Math.max(0, whole - hadMin);
  const own = planned.program.holdMin;
  if (want === null || h.heated.state.pot.programs) return runOf(h, own, release);
  // More hold is never less done: the last half minute under what is wanted, and the first over it.
  const isUnder = (halves: number): boolean => runOf(h, halves / 2, release, false).equivalentMin < want;
  const low = lastWhole(0, Math.round(2 * own) + 19, isUnder);
  const high = low + 1;
  const near = [low, high].map((x) => runOf(h, x / 2, release, false));
  const off = (c: Run): number => Math.abs(c.equivalentMin - want);
  let best = runOf(h, (off(near[0]!) <= off(near[1]!) ? low : high) / 2, release);
  const must = planned.meats.every((m) => m.ok);
  for (let i = 0; must && !best.meatOk && i < 20; i++) best = runOf(h, best.holdMin + 0.5, release);
  return best;
}

const xOf = (planned: Plan, out: GrainOutcome): number =>
  (out.clock.equivalentMin * out.slowing) / planned.pasta!.packetMin;

function softerBy(planned: Plan, out: GrainOutcome): number {
  if (planned.grain) return out.texture.index - planned.grain.textureIndex;
  return planned.pasta ? 100 * (xOf(planned, out) - planned.pasta.x) : 0;
}
