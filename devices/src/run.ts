import type { Cook } from '@einkorn/core';
import { EventSource } from 'eventsource';
import type { Signal } from './cooker';
import { Rig } from './rig';
import { commandSchema, deviceFormat, type Command, type Reading, type Readings } from './protocol';

const tickMs = 250;

/**
 * The clock of one cook on the bench: the wall's as it was when the cook was taken up, carried by a clock that nobody can set; in
 * practice one that runs faster and can stand.
 */
class BenchClock {
  /** the steady clock when `atMs` was right, ms */
  private steadyMs = performance.now();

  constructor(
    private atMs: number,
    public speed: number,
    public paused: boolean,
  ) {}

  nowMs(): number {
    return this.paused ? this.atMs : Math.round(this.atMs + (performance.now() - this.steadyMs) * this.speed);
  }

  set(change: Partial<Pick<BenchClock, 'speed' | 'paused'>>): void {
    this.atMs = this.nowMs();
    this.steadyMs = performance.now();
    Object.assign(this, change);
  }
}

/** Where the devices send what they measure; a server that is away gets it from their next reading. */
type Post = (device: string, cookId: string, readings: Reading[], clock?: Readings['clock']) => void;

/**
 * The simulated cooker, thermometer and scale as one guest of the server: they listen to its stream and post what they
 * measure, over the same protocol that a real device would speak. Returns how to stop them.
 *
 * @param baseUrl the server, as http://localhost:4280
 */
export function runSimulatedDevices(baseUrl: string): () => void {
  const stream = new EventSource(`${baseUrl}/api/devices/stream`);
  const bench = new DeviceBench((device, cook, readings, clock) => {
    const body: Readings = { format: deviceFormat, device, cook, readings, ...(clock ? { clock } : {}) };
    fetch(`${baseUrl}/api/devices/readings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }).catch(() => undefined);
  });
  stream.addEventListener('command', (e: { data: string }) => {
    const parsed = commandSchema.safeParse(JSON.parse(e.data));
    if (parsed.success) bench.obey(parsed.data);
  });
  const timer = setInterval(() => bench.tick(), tickMs);
  return () => {
    clearInterval(timer);
    stream.close();
  };
}

/** The cooks that stand on simulated cookers. */
class DeviceBench {
  private readonly cooks = new Map<string, { rig: Rig; clock: BenchClock }>();

  constructor(private readonly post: Post) {}

  obey(c: Command): void {
    if (c.kind === 'attach') {
      this.attach(c.cook);
      return;
    }
    const on = this.cooks.get(c.cookId);
    if (!on) return;
    switch (c.kind) {
      case 'events':
        for (const e of c.events) on.rig.feel(e);
        break;
      case 'detach':
        this.cooks.delete(c.cookId);
        break;
      case 'speed':
        on.clock.set({ speed: c.speed });
        break;
      case 'pause':
        on.clock.set({ paused: on.rig.cook.practice !== undefined });
        break;
      case 'resume':
        on.clock.set({ paused: false });
        break;
      default:
        this.measure(c.what, c.cookId, on);
    }
  }

  /** What happened at the cookers since the last tick. */
  tick(): void {
    for (const [id, { rig, clock }] of this.cooks) {
      // While it stands nobody looks: there is nobody to tell.
      if (clock.paused) continue;
      const atMs = Math.round(clock.nowMs());
      const readings = rig.advance(atMs).map(readingOf);
      const isPractice = rig.cook.practice !== undefined;
      if (readings.length > 0 || isPractice)
        this.post('cooker', id, readings, isPractice ? { atMs, speed: clock.speed } : undefined);
    }
  }

  private measure(what: 'temperature' | 'weight', id: string, { rig, clock }: { rig: Rig; clock: BenchClock }): void {
    const atMs = Math.round(clock.nowMs());
    if (what === 'temperature') {
      const celsius = rig.coreC(clock.nowMs());
      if (celsius !== null) this.post('probe', id, [{ kind: 'temperature', celsius, atMs }]);
    } else {
      const grams = rig.weightG();
      if (grams !== null) this.post('scale', id, [{ kind: 'weight', grams, atMs }]);
    }
  }

  /** A cook that is attached again (a server that came back) goes on from its own events. */
  private attach(cook: Cook): void {
    const known = this.cooks.get(cook.id);
    const rig = known?.rig ?? new Rig(cook);
    const lastMs = cook.events.reduce((m, e) => Math.max(m, e.atMs), cook.startedMs);
    for (const e of [...cook.events].sort((a, b) => a.atMs - b.atMs)) rig.feel(e);
    if (known) return;
    // What happened before was already told: the past is run through without a signal.
    rig.advance(lastMs);
    const { practice } = cook;
    const clock = new BenchClock(practice ? lastMs : Date.now(), practice?.speed ?? 1, practice !== undefined);
    this.cooks.set(cook.id, { rig, clock });
  }
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
