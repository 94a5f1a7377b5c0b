import { cookPot, HeatedPot } from '../src/pot/cook';
import { type Program } from '../src/pot/program';
import { pots } from '../src/pot/profile';
import { facts, waterLoad } from './helpers/loads';

const throttled = pots[0]!;
const switched = { ...throttled, control: 'on-off' as const };
const natural = (holdMin: number): Program => ({ pressure: 'high', holdMin, release: { kind: 'natural' } });
const quick = (holdMin: number): Program => ({ pressure: 'high', holdMin, release: { kind: 'quick' } });
const mean = (xs: readonly number[]): number => xs.reduce((s, x) => s + x, 0) / xs.length;
const releaseMin = (run: ReturnType<typeof cookPot>): number => (run.pinDownS! - run.releaseS) / 60;

// The relay column of docs/engine.md, section 2: an independent integrator at 0.5 s; the phase of the relay moves single values.
describe('a heater that is switched on and off', () => {
  test.each(Object.keys(facts))('%s comes to pressure exactly as with a throttled heater', (name) => {
    const { load } = facts[name]!;
    expect(new HeatedPot({ pot: switched, altitudeM: 0 }, load, 'high', 0.5).pinUpS).toBe(
      new HeatedPot({ pot: throttled, altitudeM: 0 }, load, 'high', 0.5).pinUpS,
    );
  });
  test.each([
    ['smallRice', 10.7, 5],
    ['chickenRice', 13.9, 8],
    ['soup', 28.3, 10],
  ])('%s: its pin falls by itself after %d min on the mean of four phases', (name, want, hold) => {
    const { load } = facts[name]!;
    const phases = [0, 0.5, 1, 1.5].map((d) =>
      releaseMin(cookPot({ pot: switched, altitudeM: 0 }, load, natural(hold + d), 0.5)),
    );
    expect(Math.abs(mean(phases) / want - 1)).toBeLessThan(0.06);
  });
  test('the phase of the relay makes the natural release of a small batch jump; throttled it does not', () => {
    const spread = (pot: typeof switched | typeof throttled): number => {
      const t = [0, 0.5, 1, 1.5, 2, 2.5].map((d) =>
        releaseMin(cookPot({ pot, altitudeM: 0 }, facts['smallRice']!.load, natural(4 + d), 0.5)),
      );
      return Math.max(...t) - Math.min(...t);
    };
    expect(spread(switched)).toBeGreaterThan(4 * spread(throttled));
  });
  test('F14 the mean of the hold lies between 115 and 118 degC, and its gauge stays within three bands of the set', () => {
    const run = cookPot({ pot: switched, altitudeM: 0 }, facts['smallRice']!.load, quick(20), 0.5);
    const from = Math.round(run.countdownS! / 0.5) + 240;
    const held = run.history.tempC.slice(from, run.history.releaseAt);
    expect(mean([...held])).toBeGreaterThan(115);
    expect(mean([...held])).toBeLessThan(118);
    for (const kpa of run.history.gaugeKpa.slice(from, run.history.releaseAt))
      expect(Math.abs(kpa - switched.highKpa)).toBeLessThan((3 * switched.bandPa) / 1000);
  });
});

describe('what is left in the pot', () => {
  test('F9 a casserole has little pressure left after 12 min of natural release', () => {
    const { load } = facts['chickenRice']!;
    const { history } = cookPot({ pot: throttled, altitudeM: 0 }, load, natural(8));
    const kpa = history.gaugeKpa[history.releaseAt + 720]!;
    expect(kpa).toBeGreaterThan(0);
    expect(kpa).toBeLessThan(25);
  });
  // Steady hold on low, docs/engine.md section 2.
  test('low pressure holds 110.02 degC at sea level', () => {
    const run = cookPot({ pot: throttled, altitudeM: 0 }, waterLoad(1.5, 20), { ...quick(20), pressure: 'low' });
    expect(Math.abs(run.history.tempC[run.history.releaseAt]! - 110.02)).toBeLessThan(0.1);
  });
  test('F15 the whistle of a small batch lets 5 to 15 g go, and comes sooner with more flame', () => {
    const whistle = pots.find((p) => p.id === 'whistle-5')!;
    const hold = (powerW: number): number => {
      const h = new HeatedPot({ pot: { ...whistle, powerW }, altitudeM: 0 }, facts['smallRice']!.load, 'high');
      const run = h.finish(h.holdForWhistles(4), { kind: 'natural' });
      const grams = (1000 * run.lost.relief) / run.whistles;
      expect(grams).toBeGreaterThan(4);
      expect(grams).toBeLessThan(15);
      return h.holdForWhistles(4);
    };
    expect(hold(2000)).toBeLessThan(hold(1200));
  });
});
