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
}
interface Likely {
  jumps: readonly Jump[];
  z: ReadonlyMap<string, number>;
  logPosterior: number;
}

/** @param evidence in the order of the evenings, of any pots */
export function explain(evidence: readonly Evidence[]): Explained {
  const potIds = [...new Set(evidence.map((e) => e.observation.potId))].sort();
  const unchanged: Explained = { evidence, jumps: [], fitted: fit(evidence) };
  return potIds.reduce(explainPot, unchanged);
}

function explainPot(so: Explained, potId: string): Explained {
  const ofPot = so.evidence.filter((e) => e.observation.potId === potId);
  let from = 0;
  for (;;) {
    const alarm = alarmIn(ofPot.slice(from), so.jumps);
    if (!alarm) return so;
    const found = likeliest(so, alarm, ofPot);
    if (found) so = having(so, found);
    const { sinceCook } = found?.jumps.at(-1) ?? alarm;
    // Where nothing changed, what rang the alarm is left behind.
    from = ofPot.findIndex((e) => e.observation.cookId === sinceCook) + (found ? 0 : 1);
  }
}

const having = (so: Explained, { jumps, z }: Likely): Explained => {
  const evidence = so.evidence.map((e) => ({ ...e, jumps }));
  return { evidence, jumps, fitted: fit(evidence, { z, weights: so.fitted.weights }) };
};

/** The change that makes the log likeliest, beside those that are known; null where none is worth it. */
function likeliest({ evidence, jumps, fitted }: Explained, alarm: Jump, ofPot: readonly Evidence[]): Likely | null {
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
