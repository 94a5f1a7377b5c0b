import { cookTimeline, openedForRunMs, runsBefore, type Cook, type CookEvent, type Happening } from '@einkorn/core';
import type { Reading } from '@einkorn/devices';

/** One stored needle every so often of the cook's own time: enough for the curve, little enough for an evening, ms. */
const gaugeEveryMs = 20_000;

/**
 * Readings as events of the cook. Each has an id made from what it is, so that a device that sends twice, or two devices
 * that see the same pin, are one event. In a practice by hand the pin, the whistle and the burn are the cook's to see.
 */
export function eventsOf(cook: Cook, device: string, readings: readonly Reading[]): CookEvent[] {
  const byHand = cook.practice?.hands === 'you';
  const { standing, ofRun } = cookTimeline(cook, cook.startedMs);
  const tapped = (kind: CookEvent['kind']): boolean => ofRun.some((e) => e.kind === kind);
  // After the lid was locked again the pin rises anew: another event than the first time.
  const again = runsBefore(standing);
  const run = again > 0 ? `-${again}` : '';
  const opened = openedForRunMs(standing) ?? -Infinity;
  const out = new Map<string, CookEvent>();
  const put = (key: string, atMs: number, e: Happening): void => {
    const id = `${cook.id.slice(0, 36)}:${key}`.slice(0, 60);
    if (!out.has(id)) out.set(id, { id, device, atMs, ...e });
  };
  for (const r of readings) {
    const { atMs } = r;
    if (r.kind === 'temperature') put(`core-${atMs}`, atMs, { kind: 'probe-read', coreC: r.celsius });
    else if (r.kind === 'weight') put(`weight-${atMs}`, atMs, { kind: 'weight-read', grams: r.grams });
    else if (r.kind === 'pressure')
      put(`gauge-${Math.floor((atMs - cook.startedMs) / gaugeEveryMs)}`, atMs, { kind: 'gauge-read', gaugeKpa: r.kpa });
    else if (byHand) continue;
    else if (r.kind === 'pin') {
      const kind = r.value === 'up' ? 'pin-up' : 'pin-down';
      if (!tapped(kind)) put(`${kind}${run}`, atMs, { kind });
    } else if (r.kind === 'whistle') put(`whistle-${r.count}${run}`, atMs, { kind: 'whistle' });
    // What is told late of an earlier run is that run's burning again.
    else if (r.kind === 'burn') put(`burn${atMs > opened ? run : ''}`, atMs, { kind: 'burn' });
    else if (r.kind === 'countdown' && !tapped('countdown')) put(`countdown${run}`, atMs, { kind: 'countdown' });
  }
  return [...out.values()];
}
