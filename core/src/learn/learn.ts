import type { Cook } from '../cook/cook';
import type { Kitchen } from '../dish/kitchen';
import type { Learned } from '../dish/learned';
import { Problem } from '../problem';
import { shortMark } from '../short-mark';
import { stableJson } from '../stable-json';
import { explain, explainFrom, standingOf, type Standing } from './change';
import { emulatorOf, type Emulator } from './emulator';
import { potOf, type Evidence } from './evidence';
import { learnedOf } from './learned-of';
import { observationOf, type Observation } from './observation';

/** A log: a kitchen and its cooks, in any order. */
export interface Log {
  kitchen: Kitchen;
  cooks: readonly Cook[];
}

/** What is kept from one reading of a log to the next, plain data: nobody but `learnFrom` reads it. */
export interface Remembered {
  /** read off the forward model once, by what they are made of */
  emulators: ReadonlyMap<string, Emulator | null>;
  /** null where the log is to be fitted anew */
  standing: Standing | null;
}
export const nothingRemembered: Remembered = { emulators: new Map(), standing: null };

/** An emulator by what it is made of: a log comes to a worker as a fresh copy each time. */
function markOf({ setting }: Observation): string {
  const { dish, kitchen, plan, holdMin, naturalMin } = setting;
  const { liquid, program, firstStage } = plan;
  return shortMark(
    stableJson([
      dish,
      plan.pot.own ?? plan.pot.id,
      kitchen.altitudeM,
      liquid.addMl,
      program.pressure,
      firstStage ?? null,
      holdMin,
      naturalMin,
    ]),
  );
}

/** Null for a dish that cannot be planned today: a cook of it teaches nothing. */
function plannable<T>(read: () => T): T | null {
  try {
    return read();
  } catch (e) {
    if (e instanceof Problem) return null;
    throw e;
  }
}

/** More cooks than this teach no more, and what is older is of another pot and another taste [derived: bench/learn]. */
export const mostCooks = 200;

/** The newest cooks of a log, in the order of the evenings, with their emulators: those that are known, and those read now. */
function evidenceOf({ kitchen, cooks }: Log, known: Remembered['emulators']) {
  const emulators = new Map<string, Emulator | null>();
  const evidence = cooks
    .flatMap((cook) => plannable(() => observationOf(cook, kitchen)) ?? [])
    .sort((a, b) => a.startedMs - b.startedMs)
    .slice(-mostCooks)
    .flatMap((observation): Evidence[] => {
      const mark = markOf(observation);
      if (!emulators.has(mark)) {
        const { setting } = observation;
        const kept = known.get(mark);
        emulators.set(mark, kept === undefined ? plannable(() => emulatorOf(setting, potOf(observation))) : kept);
      }
      const emulator = emulators.get(mark);
      return emulator ? [{ observation, emulator, jumps: [] }] : [];
    });
  return { evidence, emulators };
}

/** More cooks than this that came or went: the log is another one [from memory]. */
const mostNews = 3;

/** Is this the log of before but for a cook or two, the evenings of its changes among them? */
function isNearly({ weights, jumps }: Standing, evidence: readonly Evidence[]): boolean {
  const ids = new Set(evidence.map((e) => e.observation.cookId));
  const went = [...weights.keys()].filter((id) => !ids.has(id));
  const came = [...ids].filter((id) => !weights.has(id));
  return went.length + came.length <= mostNews && jumps.every((j) => ids.has(j.sinceCook));
}

/** What a log taught, with how sure it is, what it cannot tell, where a pot changed, and what would teach most next. */
export const learn = (log: Log): Learned => learnFrom(nothingRemembered, log).learned;

/** The same, where nearly the same log was read before: one more cook costs little. */
export function learnFrom(before: Remembered, log: Log): { learned: Learned; remembered: Remembered } {
  const { evidence, emulators } = evidenceOf(log, before.emulators);
  const { standing } = before;
  const explained = standing && isNearly(standing, evidence) ? explainFrom(standing, evidence) : explain(evidence);
  return {
    learned: learnedOf(explained, log.cooks.length),
    remembered: { emulators, standing: standingOf(explained) },
  };
}
