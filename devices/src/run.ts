import type { Cook } from '@einkorn/core';
import { EventSource } from 'eventsource';
import type { Signal } from './cooker';
import { Rig } from './practice';
import { commandSchema, deviceFormat, type Command, type Reading, type Readings } from './protocol';

const tickMs = 250;

/** One cook on the practice bench with the clock it runs by. */
interface Running {
  rig: Rig;
  /** wall clock and practice clock at the same moment */
  wallMs: number;
  atMs: number;
  speed: number;
  paused: boolean;
}

/**
 * The simulated cooker, thermometer and scale as one guest of the server: they listen to its stream and post what they
 * measure, over the same protocol that a real device would speak. Returns how to stop them.
 *
 * @param baseUrl the server, as http://localhost:4280
 */
export function runSimulatedDevices(baseUrl: string): () => void {
  const running = new Map<string, Running>();
  const stream = new EventSource(`${baseUrl}/api/devices/stream`);
  let stopped = false;

  const now = (r: Running): number => (r.paused ? r.atMs : r.atMs + (Date.now() - r.wallMs) * r.speed);
  const rebase = (r: Running, change: Partial<Pick<Running, 'speed' | 'paused'>>): void => {
    r.atMs = now(r);
    r.wallMs = Date.now();
    Object.assign(r, change);
  };

  const post = async (
    device: string,
    cookId: string,
    readings: Reading[],
    clock?: Readings['clock'],
  ): Promise<void> => {
    const body: Readings = { format: deviceFormat, device, cook: cookId, readings, ...(clock ? { clock } : {}) };
    try {
      await fetch(`${baseUrl}/api/devices/readings`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
    } catch {
      // The server is away: the stream tells when it is back, and the cook is attached anew.
    }
  };

  const obey = (c: Command): void => {
    if (c.kind === 'attach') {
      attach(running, c.cook);
      return;
    }
    const r = running.get(c.cookId);
    if (!r) return;
    if (c.kind === 'events') for (const e of c.events) r.rig.feel(e);
    else if (c.kind === 'detach') running.delete(c.cookId);
    else if (c.kind === 'speed') rebase(r, { speed: c.speed });
    else if (c.kind === 'pause') rebase(r, { paused: r.rig.cook.practice !== undefined });
    else if (c.kind === 'resume') rebase(r, { paused: false });
    else if (c.what === 'temperature') {
      const celsius = r.rig.coreC(now(r));
      if (celsius !== null) void post('probe', c.cookId, [{ kind: 'temperature', celsius, atMs: Math.round(now(r)) }]);
    } else {
      const grams = r.rig.weightG();
      if (grams !== null) void post('scale', c.cookId, [{ kind: 'weight', grams, atMs: Math.round(now(r)) }]);
    }
  };
  stream.addEventListener('command', (e: { data: string }) => {
    const parsed = commandSchema.safeParse(JSON.parse(e.data));
    if (parsed.success) obey(parsed.data);
  });

  const timer = setInterval(() => {
    for (const [id, r] of running) {
      // While it stands nobody looks: there is nobody to tell.
      if (r.paused) continue;
      const atMs = Math.round(now(r));
      const readings = r.rig.advance(atMs).map(readingOf);
      const practice = r.rig.cook.practice !== undefined;
      if (readings.length > 0 || practice)
        void post('cooker', id, readings, practice ? { atMs, speed: r.speed } : undefined);
    }
  }, tickMs);

  return () => {
    if (stopped) return;
    stopped = true;
    clearInterval(timer);
    stream.close();
  };
}

/** A cook that is attached again (a server that came back) goes on from its own events. */
function attach(running: Map<string, Running>, cook: Cook): void {
  const known = running.get(cook.id);
  const rig = known?.rig ?? new Rig(cook);
  const last = cook.events.reduce((m, e) => Math.max(m, e.atMs), cook.startedMs);
  for (const e of [...cook.events].sort((a, b) => a.atMs - b.atMs)) rig.feel(e);
  if (known) return;
  // What happened before was already told: the past is run through without a signal.
  rig.advance(last);
  running.set(cook.id, {
    rig,
    wallMs: Date.now(),
    atMs: cook.practice ? last : Date.now(),
    speed: cook.practice?.speed ?? 1,
    paused: cook.practice !== undefined,
  });
}

/** The cooker's own signal in the words of the protocol. */
function readingOf(s: Signal & { atMs: number }): Reading {
  const { atMs } = s;
  switch (s.kind) {
    case 'pin-up':
      return { kind: 'pin', value: 'up', atMs };
    case 'pin-down':
      return { kind: 'pin', value: 'down', atMs };
    case 'gauge':
      return { kind: 'pressure', kpa: s.value ?? 0, atMs };
    case 'whistle':
      return { kind: 'whistle', count: s.value ?? 1, atMs };
    default:
      return { kind: s.kind, atMs };
  }
}
