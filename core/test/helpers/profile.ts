import type { History } from '../../src/history';

export interface SimpleProfile {
  upMin: number;
  holdMin: number;
  naturalMin?: number;
  simmerMin?: number;
  warmMin?: number;
  startC?: number;
  topC?: number;
}

/**
 * The simple temperature profile of the grain notes (linear heat-up, 1.5 min from 100 degC to 116.5, exponential natural
 * release over 12 min, quick release in 1 min), one sample a second: the check values were made on it.
 */
export function simpleProfile(p: SimpleProfile): History {
  const out: number[] = [];
  const top = p.topC ?? 116.5;
  const t0 = p.startC ?? 20;
  const toTop = 1.5;
  const push = (minutes: number, f: (min: number) => number): void => {
    const n = Math.round(minutes * 60);
    for (let i = 0; i < n; i++) out.push(f((i + 0.5) / 60));
  };
  push(p.upMin - toTop, (m) => t0 + ((100 - t0) * m) / (p.upMin - toTop));
  push(toTop, (m) => 100 + ((top - 100) * m) / toTop);
  push(p.holdMin, () => top);
  const releaseAt = out.length;
  const tau = 12 / Math.log((top - 95) / 6);
  let now = top;
  if (p.naturalMin) {
    const open = Math.min(12, p.naturalMin);
    push(open, (m) => 95 + (top - 95) * Math.exp(-m / tau));
    now = 95 + (top - 95) * Math.exp(-open / tau);
  }
  if ((p.naturalMin ?? 0) < 12) {
    const top = now;
    push(1, (m) => top + (100 - top) * m);
    now = 100;
  }
  if (p.simmerMin) push(p.simmerMin, () => 99);
  if (p.warmMin) push(p.warmMin, (m) => 25 + (now - 25) * Math.exp(-m / 100));
  return {
    dtS: 1,
    tempC: Float64Array.from(out),
    gaugeKpa: new Float64Array(out.length),
    releaseAt,
    openAt: out.length - 1,
  };
}
