import { interpolated } from '../../interpolate';
import type { History } from '../../history';
import type { Curve, PotCurve } from '../document/curve';
import type { Run } from '../judge/run';
import { freeTraceOf } from '../judge/runs';

const thinnedS = 15;

/** The pot of a run, thinned to about one point in fifteen seconds, for the charts. */
export function potCurve(h: History): PotCurve {
  const every = Math.max(1, Math.round(thinnedS / h.dtS));
  const at = Array.from({ length: Math.ceil(h.tempC.length / every) }, (_, k) => k * every);
  return {
    minutes: at.map((i) => round((i * h.dtS) / 60, 3)),
    tempC: at.map((i) => round(h.tempC[i]!, 2)),
    gaugeKpa: at.map((i) => round(h.gaugeKpa[i]!, 2)),
  };
}

/** The same with what the thickest piece and the starch feel. */
export function curveOf(run: Run): Curve {
  const h = run.potRun.history;
  const every = Math.max(1, Math.round(thinnedS / h.dtS));
  const pot = potCurve(h);
  const { minutes } = pot;
  const thickest = [...run.meats].sort((a, b) => a.verdict.cautiousCoreC - b.verdict.cautiousCoreC)[0];
  const t = thickest?.trace;
  return {
    ...pot,
    ...(t && t.minutes.length > 0 ? { meatC: minutes.map((m) => round(interpolated(t.minutes, t.coreC, m), 2)) } : {}),
    ...starchCurve(run, every, minutes.length),
  };
}

/** Temperature of the starch and the liquid around it at the same moments; nothing in a dish without one. */
function starchCurve(run: Run, every: number, count: number): Pick<Curve, 'grainC' | 'freeG'> {
  const { temps } = run;
  const freeG = freeTraceOf(run);
  if (!temps || !freeG) return {};
  const at = (xs: Float64Array, digits: number): number[] =>
    Array.from({ length: count }, (_, k) => round(xs[Math.min(k * every, xs.length - 1)]!, digits));
  return { grainC: at(temps, 2), freeG: at(freeG, 1) };
}

const round = (x: number, digits: number): number => Math.round(x * 10 ** digits) / 10 ** digits;
