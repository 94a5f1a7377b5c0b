import { potProfile } from '../../src/pot/own-pot';
import { explain } from '../../src/learn/change';
import { emulated } from '../../src/learn/emulator';
import { fit } from '../../src/learn/fit';
import { inputs, type Inputs } from '../../src/learn/forward';
import { cookKey, potKey } from '../../src/learn/parameters';
import { spreadOf } from '../../src/learn/emulator';
import { type Evidence } from '../../src/learn/evidence';
import { drawsOf, eveningOf, feltPlace, householdOf, poolOf, trueInputs, type Household } from './household';

/* Simulated households of the electric pot; the whole of it with its table is bench/learn. */
const potId = 'electric-5.7';
const pool = poolOf(potId, 12);
const fresh = poolOf(potId, 4, 5001);

function cooksOf(h: Household, count: number, firstDay = 0): Evidence[] {
  const out: Evidence[] = [];
  for (let n = 0; out.length < count; n++) {
    const e = eveningOf(h, pool[Math.floor(h.draws.uniform() * pool.length)]!, firstDay + n);
    if (e) out.push(e);
  }
  return out;
}
const rms = (xs: readonly number[]): number => Math.sqrt(xs.reduce((s, x) => s + x * x, 0) / xs.length);

/** Share of the spread of its inputs that the emulator may miss, by output [derived]. */
const emulatorMisses = { pin: 0.1, toFull: 0.2, natural: 0.1, vent: 0.2, grain: 0.2, pasta: 0.2 } as const;
test('the emulator follows the full model to a share of what its inputs spread', () => {
  const draws = drawsOf(3);
  for (const o of Object.keys(emulatorMisses) as (keyof typeof emulatorMisses)[]) {
    const off: number[] = [];
    const wide: number[] = [];
    for (const d of pool.slice(0, 6))
      for (let n = 0; n < 12; n++) {
        const x: Inputs = Object.fromEntries(
          inputs.map((i) => [i, draws.normal() * spreadOf(i, potProfile({ id: potId }))]),
        );
        const real = d.forward.run(x);
        if (!Number.isFinite(real[o]) || !Number.isFinite(d.emulator.base[o])) continue;
        off.push(real[o] - emulated(d.emulator, o, x));
        wide.push(real[o] - d.emulator.base[o]);
      }
    expect({ output: o, follows: rms(off) / rms(wide) < emulatorMisses[o] }).toEqual({ output: o, follows: true });
  }
});

/* The full model is the measure: heat lost and leak each alone, then together, up to a ring that lets by 25 times what the table has. */
test('powers add: a pot that leaks and loses heat besides is followed as well as one that does one of both', () => {
  const pot = potProfile({ id: potId });
  const off: number[] = [];
  for (const d of pool.slice(0, 6))
    for (const [loss, leak, heat] of [
      [1.5, 2, 0],
      [1.5, 3, -0.7],
      [-1, 3, 0],
      [2, 1, -1],
    ] as const) {
      const x = {
        loss: loss * spreadOf('loss', pot),
        leak: leak * spreadOf('leak', pot),
        heat: heat * spreadOf('heat', pot),
      };
      const real = d.forward.run(x);
      for (const o of ['pin', 'toFull', 'natural'] as const) off.push(Math.abs(emulated(d.emulator, o, x) - real[o]));
    }
  expect(rms(off)).toBeLessThan(0.03);
  expect(Math.max(...off)).toBeLessThan(0.1);
});

describe('a fit', () => {
  const h = householdOf(11);
  const cooks = cooksOf(h, 8);
  test('of nothing is the prior; the order of the cooks does not matter', () => {
    expect(fit([]).keys).toEqual([]);
    const one = fit(cooks);
    const other = fit([...cooks].reverse());
    for (const k of one.keys) expect(other.z.get(k)).toBeCloseTo(one.z.get(k)!, 1);
  });
  test('no single cook moves a parameter by more than one prior sd, not even a blunder of an hour', () => {
    for (const e of cooks.slice(0, 4)) for (const z of fit([e]).z.values()) expect(Math.abs(z)).toBeLessThan(1.06);
    const blunder: Evidence = {
      ...cooks[7]!,
      observation: { ...cooks[7]!.observation, taps: { pinMin: 75, fullMin: 76 }, ratings: { grain: 0, salt: 4 } },
    };
    const good = fit(cooks.slice(0, 6));
    const spoilt = fit([...cooks.slice(0, 6), blunder]);
    for (const k of good.keys) expect(Math.abs(spoilt.z.get(k)! - good.z.get(k)!)).toBeLessThan(1.1);
  });
  test('a cook that was turned down is listened to again once it no longer pulls too far', () => {
    const turnedDown = fit(cooks, { z: new Map(), weights: cooks.map(() => 0.05) });
    const all = fit(cooks);
    expect(all.weights.every((w) => w === 1)).toBe(true);
    turnedDown.weights.forEach((w) => expect(w).toBeGreaterThan(0.5));
    for (const k of all.keys) expect(Math.abs(turnedDown.z.get(k)! - all.z.get(k)!)).toBeLessThan(0.3);
  });
  test('more cooks leave less of the spread of the heat, and none has less than nothing', () => {
    const key = potKey(potId, 'heat');
    const left = [1, 3, 8].map((n) => {
      const f = fit(cooks.slice(0, n));
      const i = f.keys.indexOf(key);
      f.keys.forEach((_, k) => expect(f.covariance[k]![k]!).toBeGreaterThan(0));
      return Math.sqrt(f.covariance[i]![i]!);
    });
    expect(left[0]!).toBeLessThan(1);
    expect(left[1]!).toBeLessThan(left[0]!);
    expect(left[2]!).toBeLessThan(left[1]!);
  });
});

test('after five cooks new dishes are forecast much better than by the table, and the intervals are honest', () => {
  const error = {
    prior: { pin: [] as number[], natural: [] as number[], felt: [] as number[] },
    fit: { pin: [] as number[], natural: [] as number[], felt: [] as number[] },
  };
  const covered: number[] = [];
  for (let s = 0; s < 24; s++) {
    const h = householdOf(100 + s);
    const f = fit(cooksOf(h, 5));
    for (const d of fresh) {
      const truth = d.forward.run(trueInputs(h, d, null));
      if (!Number.isFinite(truth.pin)) continue;
      for (const [name, at] of [
        ['prior', () => 0],
        ['fit', (k: string) => f.z.get(k) ?? 0],
      ] as const) {
        const household: Household = { ...h, truth: at };
        const x = trueInputs(household, d, null);
        const scale = d.starch!.kinetics === 'pasta' ? 'pasta' : 'grain';
        error[name].pin.push(Math.exp(emulated(d.emulator, 'pin', x)) - Math.exp(truth.pin));
        error[name].natural.push(Math.exp(emulated(d.emulator, 'natural', x)) - Math.exp(truth.natural));
        error[name].felt.push(feltPlace(at, d, emulated(d.emulator, scale, x)) - feltPlace(h.truth, d, truth[scale]));
      }
    }
    f.keys.forEach((k, i) =>
      covered.push(Number(Math.abs(f.z.get(k)! - h.truth(k)) < 1.2816 * Math.sqrt(f.covariance[i]![i]!))),
    );
  }
  expect(rms(error.fit.pin) / rms(error.prior.pin)).toBeLessThan(0.45);
  expect(rms(error.fit.natural) / rms(error.prior.natural)).toBeLessThan(0.65);
  expect(rms(error.fit.felt) / rms(error.prior.felt)).toBeLessThan(0.9);
  const share = covered.reduce((a, b) => a + b, 0) / covered.length;
  expect(share).toBeGreaterThan(0.75);
  expect(share).toBeLessThan(0.88);
});

describe('a pot that changes', () => {
  const h = householdOf(21);
  const before = cooksOf(h, 10);
  const key = potKey(potId, 'heat');
  const weaker: Household = { ...h, truth: (k) => h.truth(k) + (k === key ? -1.5 : 0) };
  const after = cooksOf(weaker, 10, 100).map((e, n) => ({
    ...e,
    observation: { ...e.observation, cookId: `after-${n}` },
  }));
  test('is seen within ten cooks, from about where it changed, and its heat then follows', () => {
    const { jumps, fitted } = explain([...before, ...after]);
    expect(jumps).toHaveLength(1);
    expect(jumps[0]).toMatchObject({ parameter: 'heat', potId });
    expect(jumps[0]!.sinceMs).toBeGreaterThan(before[5]!.observation.startedMs);
    expect(fitted.z.get(jumps[0]!.key)!).toBeLessThan(-0.3);
  });
  test('and one that does not change calls no alarm', () => {
    expect(explain(cooksOf(householdOf(31), 20)).jumps).toEqual([]);
  });
});

test("hands are the household's: what one pot taught of them stands in another", () => {
  const f = fit(cooksOf(householdOf(41), 6));
  expect(f.keys).toContain(cookKey('salt'));
  expect(f.keys.filter((k) => k.startsWith('pot/')).every((k) => k.startsWith(`pot/${potId}/`))).toBe(true);
});
