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
  const t = thickest?.trace;
  return {
    minutes,
    tempC,
    gaugeKpa,
    ...(t && t.minutes.length > 0 ? { meatC: minutes.map((m) => round(interpolate(t.minutes, t.coreC, m), 2)) } : {}),
    ...starchCurve(c, every, minutes.length),
  };
}

/** Temperature of the starch and the liquid around it at the same moments; nothing in a dish without one. */
function starchCurve(c: Cooked, every: number, count: number): Pick<Curve, 'grainC' | 'freeG'> {
  const { temps } = c.chosen;
  if (!temps || !c.freeG) return {};
  const at = (xs: Float64Array, digits: number): number[] =>
    Array.from({ length: count }, (_, k) => round(xs[Math.min(k * every, xs.length - 1)]!, digits));
  return { grainC: at(temps, 2), freeG: at(c.freeG, 1) };
}

const round = (x: number, digits: number): number => Math.round(x * 10 ** digits) / 10 ** digits;

function interpolate(xs: readonly number[], ys: readonly number[], x: number): number {
  const i = xs.findIndex((v) => v >= x);
  if (i < 0) return ys[ys.length - 1]!;
  if (i === 0) return ys[0]!;
  const f = (x - xs[i - 1]!) / (xs[i]! - xs[i - 1]!);
  return ys[i - 1]! + f * (ys[i]! - ys[i - 1]!);
}
