import { alarmIn, jumpOf, suspects } from './drift';
import type { Evidence, Jump } from './evidence';
import { fit, roughly, type Fit } from './fit';
import { spreadOf } from './information';
import { Lower } from './linear';
import { degreesOfFreedom, type PotParameter } from './parameters';
import { rowsOf } from './rows';

/*
 * The alarm says that a pot changed and about when; what changed, on which evening, and whether it did, all of its cooks say
 * better than the few that rang it. Each suspect is fitted, then the evenings before and after; the one that leaves the log most
 * likely stays.
 */

/** The log fitted with the changes that explain it best. */
export interface Explained {
  evidence: readonly Evidence[];
  jumps: readonly Jump[];
  fitted: Fit;
  /** by pot: from this evening on it is listened for another change; what rang before is decided */
  listenFromMs: ReadonlyMap<string, number>;
}
interface Likely {
  jumps: readonly Jump[];
  z: ReadonlyMap<string, number>;
  logPosterior: number;
}

/** Where a log came to stand: one more cook is fitted from there. */
export interface Standing extends Pick<Explained, 'jumps' | 'listenFromMs'> {
  z: ReadonlyMap<string, number>;
  /** how much each cook was listened to, by its id */
  weights: ReadonlyMap<string, number>;
}
export const standingOf = ({ evidence, fitted, jumps, listenFromMs }: Explained): Standing => ({
  z: fitted.z,
  weights: new Map(evidence.map((e, i) => [e.observation.cookId, fitted.weights[i]!])),
  jumps,
  listenFromMs,
});

/** @param evidence in the order of the evenings, of any pots */
export function explain(evidence: readonly Evidence[]): Explained {
  const unchanged: Explained = { evidence, jumps: [], fitted: fit(evidence), listenFromMs: new Map() };
  return potsOf(evidence).reduce(explainPot, unchanged);
}

/** Nearly the log of `before`, with the changes found then; where another rings, all are judged anew. */
export function explainFrom(before: Standing, evidence: readonly Evidence[]): Explained {
  const { jumps, listenFromMs, z } = before;
  const known = evidence.map((e) => ({ ...e, jumps }));
  const weights = known.map((e) => before.weights.get(e.observation.cookId) ?? 1);
  const so: Explained = { evidence: known, jumps, fitted: fit(known, { z, weights }), listenFromMs };
  return potsOf(known).some((id) => ringing(so, id)) ? explain(evidence) : so;
}

/** The pots of some cooks, each once. */
export const potsOf = (evidence: readonly Evidence[]): string[] =>
  [...new Set(evidence.map((e) => e.observation.potId))].sort();

function ringing({ evidence, listenFromMs }: Explained, potId: string): Jump | null {
  const fromMs = listenFromMs.get(potId) ?? -Infinity;
  return alarmIn(evidence.filter(({ observation: o }) => o.potId === potId && o.startedMs >= fromMs));
}

function explainPot(so: Explained, potId: string): Explained {
  for (;;) {
    const alarm = ringing(so, potId);
    if (!alarm) return so;
    const found = likeliest(so, alarm);
    // Where nothing changed, what rang the alarm is left behind.
    const fromMs = found ? found.jumps.at(-1)!.sinceMs : alarm.sinceMs + 1;
    const listenFromMs = new Map(so.listenFromMs).set(potId, fromMs);
    so = found ? { ...having(so, found), listenFromMs } : { ...so, listenFromMs };
  }
}

const having = (so: Explained, { jumps, z }: Likely): Omit<Explained, 'listenFromMs'> => {
  const evidence = so.evidence.map((e) => ({ ...e, jumps }));
  return { evidence, jumps, fitted: fit(evidence, { z, weights: so.fitted.weights }) };
};

/** The change that makes the log likeliest, beside those that are known; null where none is worth it. */
function likeliest({ evidence, jumps, fitted }: Explained, alarm: Jump): Likely | null {
  const ofPot = evidence.filter((e) => e.observation.potId === alarm.potId);
  let best: Likely = { jumps, z: fitted.z, logPosterior: logPosteriorOf(evidence, fitted.z) };
  const enough = best.logPosterior + worthOfChange;
  let at = ofPot.findIndex((e) => e.observation.cookId === alarm.sinceCook);
  let { parameter } = alarm;
  const isLikelier = (place: number, other: PotParameter): boolean => {
    if (!ofPot[place]) return false;
    const more = [...jumps, jumpOf(ofPot[place], other)];
    const changed = evidence.map((e) => ({ ...e, jumps: more }));
    const z = roughly(changed, { z: best.z, weights: fitted.weights });
    const logPosterior = logPosteriorOf(changed, z);
    if (logPosterior <= best.logPosterior) return false;
    best = { jumps: more, z, logPosterior };
    [at, parameter] = [place, other];
    return true;
  };
  const rung = at;
  for (const suspect of suspects) isLikelier(rung, suspect);
  // The evenings after the alarm, and only where none of them is likelier those before it.
  for (const by of [1, -1]) if (by > 0 || at === rung) while (isLikelier(at + by, parameter));
  return best.logPosterior > enough ? best : null;
}
/** A change stays where it makes the log so much likelier: one evening in fifty, known to a third of its spread, ln(50 x 3) [from memory]. */
const worthOfChange = 5;

/** Up to a constant: taps as Student-t, everything else as normal, the evening's scatters in their covariance. */
function logPosteriorOf(evidence: readonly Evidence[], z: ReadonlyMap<string, number>): number {
  const nu = degreesOfFreedom.tap;
  const ofCooks = evidence.map((e) => {
    const rows = rowsOf(e, z);
    const seen = new Lower(spreadOf(rows)).whitened(rows.map((r) => r.residual));
    return rows.reduce(
      (s, { kind }, i) => s - (kind === 'tap' ? ((nu + 1) / 2) * Math.log(1 + seen[i]! ** 2 / nu) : seen[i]! ** 2 / 2),
      0,
    );
  });
  return [...z.values()].reduce(
    (s, v) => s - v ** 2 / 2,
    ofCooks.reduce((a, b) => a + b, 0),
  );
}
