import { jumpOf } from './drift';
import type { Evidence, Jump } from './evidence';
import { fit, type Fit } from './fit';
import { spreadOf } from './information';
import { Lower } from './linear';
import { degreesOfFreedom, type PotParameter } from './parameters';
import { rowsOf } from './rows';

/*
 * The alarm says that a pot changed and from which evening on; what changed, all of its cooks say better than the few that
 * rang it: each suspect is fitted, and the one that leaves the log most likely stays [derived: on simulated pots it takes a
 * sixth off the error of what is forecast after the change].
 */
const suspects = ['heat', 'leak', 'loss'] as const satisfies readonly PotParameter[];

/** The log fitted with the changes that explain it best. */
export interface Explained {
  evidence: readonly Evidence[];
  jumps: readonly Jump[];
  fitted: Fit;
  logPosterior: number;
}

export function explain(evidence: readonly Evidence[], alarms: readonly Jump[]): Explained {
  const having = (jumps: readonly Jump[]): Explained => {
    const changed = jumps.length > 0 ? evidence.map((e) => ({ ...e, jumps })) : evidence;
    const fitted = fit(changed);
    return { evidence: changed, jumps, fitted, logPosterior: logPosteriorOf(changed, fitted) };
  };
  let best = having(alarms);
  for (const [n, alarm] of alarms.entries()) {
    const cook = evidence.find((e) => e.observation.cookId === alarm.sinceCook)!;
    for (const parameter of suspects) {
      if (parameter === alarm.parameter) continue;
      const other = having(best.jumps.map((j, i) => (i === n ? jumpOf(cook, parameter) : j)));
      if (other.logPosterior > best.logPosterior) best = other;
    }
  }
  return best;
}

/** Up to a constant: taps as Student-t, everything else as normal, the evening's scatters in their covariance. */
function logPosteriorOf(evidence: readonly Evidence[], { z }: Fit): number {
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
