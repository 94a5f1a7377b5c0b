import type { Curve } from './document';
import type { Cooked } from './solve';

/** The history thinned to about one point in fifteen seconds, for the charts. */
export function curveOf(c: Cooked): Curve {
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
  if (!thickest || thickest.trace.minutes.length === 0) return { minutes, tempC, gaugeKpa };
  const t = thickest.trace;
  return { minutes, tempC, gaugeKpa, meatC: minutes.map((m) => round(interpolate(t.minutes, t.coreC, m), 2)) };
}

const round = (x: number, digits: number): number => Math.round(x * 10 ** digits) / 10 ** digits;

function interpolate(xs: readonly number[], ys: readonly number[], x: number): number {
  const i = xs.findIndex((v) => v >= x);
  if (i < 0) return ys[ys.length - 1]!;
  if (i === 0) return ys[0]!;
  const f = (x - xs[i - 1]!) / (xs[i]! - xs[i - 1]!);
  return ys[i - 1]! + f * (ys[i]! - ys[i - 1]!);
}
