import { actualOf, type Cook } from '../src/clock/record';
import type { CookEvent } from '../src/clock/event';
import { lived } from '../src/clock/lived';
import { outlook, type Outlook, type Reality } from '../src/clock/outlook';
import { replan } from '../src/clock/replan';
import { keptEvents, ofThisRun, runsBefore } from '../src/clock/rescued';
import { plan } from '../src/plan/plan';
import { demo } from './helpers/demo';
import { hut } from './helpers/dishes';

/* A cook of two stages lifts its pin twice, and lets it fall twice: every tap belongs to its own stage. */
const [dish, planned] = [...demo.values()].map((d) => [d, plan(d, hut)] as const).find(([, p]) => p.firstStage)!;
const { steps } = planned;
const t0 = Date.UTC(2026, 10, 14, 16, 0);
const min = (m: number): number => t0 + m * 60_000;
const done = (step: string, m: number): CookEvent => ({ kind: 'done', step, atMs: min(m) });
const tap = (kind: CookEvent['kind'], m: number): CookEvent => ({ kind, atMs: min(m) });
const at = (events: CookEvent[], m: number) => {
  const r = replan(steps, t0, events, min(m));
  const find = (id: string) => r.steps.find((s) => s.step.id === id)!;
  return { find, now: r.steps[r.current]?.step.id ?? null, serveMs: r.serveMs };
};
const first = planned.firstStage!;
const lid = [done('first-fill', 30)];
const up = [...lid, tap('pin-up', 40)];
const open = [...up, tap('pin-down', 75), done('first-open', 78)];
const second = [...open, done('stack', 80), done('lock', 81)];

test('the plan gives the first stage a pin of its own, and its minutes add up', () => {
  const minutes = steps.filter((s) => s.stage === 'first').reduce((s, x) => s + x.minutes, 0);
  expect(minutes).toBeCloseTo(first.minutes, 6);
  expect(steps.filter((s) => s.expects === 'pin-up').map((s) => s.id)).toEqual(['first-heat', 'heat-up']);
});
test('the first pin starts the first hold, not the second', () => {
  expect(at(lid, 31).now).toBe('first-heat');
  expect(at(up, 40).now).toBe('first-full');
  expect(at(up, 40).find('first-heat')).toMatchObject({ done: true, endMs: min(40) });
  expect(at(up, 40).find('heat-up').done).toBe(false);
});
test('a first pin that is late makes supper late by as much', () => {
  const late = at([...lid, tap('pin-up', 45)], 45).serveMs;
  expect(late - at(up, 45).serveMs).toBeCloseTo(5 * 60_000, -2);
});
test('the second pin belongs to the second stage, and so does its fall', () => {
  const s = at([...second, tap('pin-up', 88)], 88);
  expect(s.find('first-heat').endMs).toBe(min(40));
  expect(s.find('heat-up')).toMatchObject({ done: true, endMs: min(88) });
  const end = at([...second, tap('pin-up', 88), tap('pin-down', 110)], 110);
  expect(end.find('first-vent').endMs).toBe(min(75));
  expect(steps.filter((x) => x.expects === 'pin-down').map((x) => end.find(x.id).endMs)).toEqual([min(75), min(110)]);
});
test('a cook who never tapped the first pin gets the second one right all the same', () => {
  const s = at([...lid, done('first-open', 78), done('stack', 80), done('lock', 81), tap('pin-up', 88)], 88);
  expect(s.find('heat-up')).toMatchObject({ done: true, endMs: min(88) });
});
test('what a device tells of the first run ends nothing of the second', () => {
  expect(at([...up, tap('countdown', 42)], 42).now).toBe('first-hold');
  expect(at([...up, tap('countdown', 42), tap('valve-open', 70)], 70).find('heat-up').done).toBe(false);
});
test('only what was told since the lid went on again counts for the run that is on', () => {
  const pins = (events: CookEvent[]): number => ofThisRun(keptEvents(events)).filter((e) => e.kind === 'pin-up').length;
  expect([pins(up), pins(open), pins([...second, tap('pin-up', 88)])]).toEqual([1, 0, 1]);
  expect([runsBefore(up), runsBefore(open)]).toEqual([0, 1]);
});
test('the way to the pin is read from the run of the whole dish', () => {
  const cook = (events: CookEvent[]): Cook => ({
    format: 'einkorn.cook/1',
    id: 'c',
    dishId: null,
    dish,
    plan: planned,
    startedMs: t0,
    finishedMs: null,
    events: events.map((e, i) => ({ ...e, id: `e${i}` })),
    outcome: null,
  });
  expect(actualOf(cook(up)).toPinMin).toBeNull();
  expect(actualOf(cook([...second, tap('pin-up', 88)])).toPinMin).toBeCloseTo(7, 6);
});

describe('a first stage that went otherwise', () => {
  const see = (real: Reality) => outlook(dish, hut, planned, real);
  const plain = see({});
  const firstPinMin = steps.find((s) => s.id === 'first-heat')!.minutes;
  const pinMin = (o: Outlook): number => o.curve.minutes[o.curve.gaugeKpa.findIndex((k) => k > 3)]!;
  test('told as it was planned it changes nothing', () => {
    const same = see({ first: { toPinMin: firstPinMin, holdMin: first.holdMin } });
    expect(same.holdMin).toBe(plain.holdMin);
    expect(Math.abs(same.softer)).toBeLessThan(0.5);
  });
  test('a late first pin is a weak heater for the second stage too: it lifts the pin later and the hold is not longer', () => {
    const late = see({ first: { toPinMin: firstPinMin + 5 } });
    expect(pinMin(late)).toBeGreaterThan(pinMin(plain) + 0.5);
    expect(late.holdMin).toBeLessThanOrEqual(plain.holdMin);
    expect(late.laterMin).toBeGreaterThan(plain.laterMin);
    const early = see({ first: { toPinMin: firstPinMin - 2 } });
    expect(pinMin(early)).toBeLessThan(pinMin(plain));
  });
  test('the second pin, when it is told, has the last word on the heater', () => {
    const up = planned.program.pinUpMin;
    const mended = see({ first: { toPinMin: firstPinMin + 5 }, toPinMin: up });
    expect(pinMin(mended)).toBeCloseTo(up, 0);
    expect(Math.abs(mended.softer)).toBeLessThan(1.5);
  });
  test('a first hold that was cut short leaves the meat tough, one that went on makes it tenderer', () => {
    const tender = (holdMin: number): number =>
      see({ first: { holdMin } }).meats.find((m) => planned.firstStage!.slow.includes(m.ingredient))!.collagenCoreMin!;
    expect(tender(first.holdMin / 4)).toBeLessThan(tender(first.holdMin));
    expect(tender(first.holdMin + 10)).toBeGreaterThanOrEqual(tender(first.holdMin));
  });
  test('the taps tell it: a late pin and the real hold, nothing while all goes as planned', () => {
    const cook = (events: CookEvent[]): Cook => ({ plan: planned, startedMs: t0, events }) as unknown as Cook;
    const onTime = [...lid, tap('pin-up', 30 + firstPinMin)];
    expect(lived(cook(onTime), min(30 + firstPinMin + 1))).toBeNull();
    const seen = lived(cook([...lid, tap('pin-up', 30 + firstPinMin + 6)]), min(45));
    expect(seen!.first!.toPinMin).toBeCloseTo(firstPinMin + 6, 6);
    expect(seen).not.toHaveProperty('toPinMin');
    const waits = lived(cook(lid), min(30 + firstPinMin + 3));
    expect(waits!.first!.toPinMin).toBeCloseTo(firstPinMin + 3, 6);
  });
});
