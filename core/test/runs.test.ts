import { actualOf } from '../src/cook/actual';
import { cookFormat, type Cook } from '../src/cook/cook';
import type { CookEvent, Lid } from '../src/cook/events';
import type { StepId } from '../src/plan/document/step-id';
import { realityOf } from '../src/cook/reality';
import { outlook, type Outlook, type Reality } from '../src/cook/outlook';
import { standingEvents, ofThisRun, runsBefore } from '../src/cook/runs';
import { firstCurveFromTaps } from '../src/cook/tapped-curve';
import { plan } from '../src/plan/plan';
import { demo } from './helpers/demo';
import { happened, timelineAt } from './helpers/happened';
import { hut } from './helpers/dishes';

/* A cook of two stages lifts its pin twice, and lets it fall twice: every tap belongs to its own stage. */
const dish = demo.get('lamb-apricot-biryani')!;
const planned = plan(dish, hut);
const { steps } = planned;
const t0 = Date.UTC(2026, 10, 14, 16, 0);
const min = (m: number): number => t0 + m * 60_000;
const done = (stepId: StepId, m: number): CookEvent => happened({ kind: 'done', stepId }, min(m));
const tap = (kind: 'pin-up' | 'pin-down' | 'countdown' | 'valve-open', m: number): CookEvent =>
  happened({ kind }, min(m));
const lockedAgain = (lid: Lid, m: number, holdMin: number, addMl = 0): CookEvent =>
  happened({ kind: 'rescued', minutes: 4, text: '', lockedAgain: { lid, holdMin, addMl } }, min(m));
const at = (events: CookEvent[], m: number) => {
  const r = timelineAt(steps, t0, events, min(m));
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
  const pins = (events: CookEvent[]): number =>
    ofThisRun(standingEvents(events)).filter((e) => e.kind === 'pin-up').length;
  expect([pins(up), pins(open), pins([...second, tap('pin-up', 88)])]).toEqual([1, 0, 1]);
  expect([runsBefore(up), runsBefore(open)]).toEqual([0, 1]);
});
test('the way to the pin is read from the run of the whole dish', () => {
  const cook = (events: CookEvent[]): Cook => ({
    format: cookFormat,
    id: 'c',
    dishId: null,
    dish,
    plan: planned,
    startedMs: t0,
    finishedMs: null,
    events,
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
    expect(realityOf(cook(onTime), min(30 + firstPinMin + 1))).toBeNull();
    const seen = realityOf(cook([...lid, tap('pin-up', 30 + firstPinMin + 6)]), min(45));
    expect(seen!.first!.toPinMin).toBeCloseTo(firstPinMin + 6, 6);
    expect(seen).not.toHaveProperty('toPinMin');
    const waits = realityOf(cook(lid), min(30 + firstPinMin + 3));
    expect(waits!.first!.toPinMin).toBeCloseTo(firstPinMin + 3, 6);
  });
});

describe('a first stage that is locked again', () => {
  const burn = lockedAgain('first-heat', 50, 20, 60);
  const again = [...up, burn];
  const firstPin = tap('pin-up', 59);
  test('only its own way is gone anew, from warm, and the second stage follows as planned', () => {
    const s = at(again, 51);
    expect(s.now).toBe('rescue-0');
    expect(s.find('broken-off-0')).toMatchObject({ done: true, startMs: min(30), endMs: min(50) });
    expect(s.find('first-heat').step.minutes).toBeCloseTo(steps.find((x) => x.id === 'first-heat')!.minutes / 2, 6);
    expect(s.find('first-hold').step.minutes).toBe(20);
    const rest = (id: string): number => steps.find((x) => x.id === id)!.minutes;
    for (const id of ['heat-up', 'to-full', 'hold']) expect(s.find(id).step.minutes).toBe(rest(id));
  });
  test('its new pin counts, and opened again the second lid has its own', () => {
    const s = at([...again, done('rescue-0', 54), firstPin], 60);
    expect(s.find('first-heat')).toMatchObject({ done: true, startMs: min(54), endMs: min(59) });
    expect(s.find('heat-up').done).toBe(false);
    const on = [...again, done('rescue-0', 54), firstPin, tap('pin-down', 84), done('first-open', 86)];
    const whole = at([...on, done('stack', 88), done('lock', 89), tap('pin-up', 97)], 98);
    expect(whole.find('heat-up')).toMatchObject({ done: true, endMs: min(97) });
    expect(whole.find('first-heat').endMs).toBe(min(59));
  });
  test('what went in for it is poured less with the rest', () => {
    const ml = (events: CookEvent[]): number => Number(at(events, 51).find('stack').step.params['ml']);
    expect(ml(again)).toBe(Math.max(0, ml(up) - 60));
  });
  test('also when it had been opened already: it is opened anew', () => {
    const s = at([...open, { ...burn, atMs: min(79) }], 80);
    expect(s.now).toBe('rescue-0');
    expect(s.find('first-open').done).toBe(false);
    expect(ofThisRun(standingEvents([...open, { ...burn, atMs: min(79) }])).some((e) => e.kind === 'pin-up')).toBe(
      false,
    );
  });
  test('its holds count together; the way up from warm tells nothing of the heater', () => {
    const cook = (events: CookEvent[]): Cook => ({ plan: planned, startedMs: t0, events }) as unknown as Cook;
    const full = steps.find((x) => x.id === 'first-full')!.minutes;
    const had = 50 - 40 - full;
    const first = realityOf(cook([...again, done('rescue-0', 54), firstPin]), min(60))!.first!;
    expect(first).toEqual({ holdMin: expect.closeTo(had + 20, 6) });
    const rest = lockedAgain('first-heat', 50, planned.firstStage!.holdMin - had, 60);
    expect(realityOf(cook([...up, rest, done('rescue-0', 54), firstPin]), min(60))).toBeNull();
  });
  test('told before any lid is on, it is a detour and no run: nothing was held', () => {
    const early = lockedAgain('first-heat', 10, 5, 60);
    const cook = { plan: planned, startedMs: t0, events: [early] } as unknown as Cook;
    expect(at([early], 11).find('first-hold').step.minutes).toBe(steps.find((x) => x.id === 'first-hold')!.minutes);
    expect(realityOf(cook, min(11))).toBeNull();
  });
  test('burning under the second lid leaves the first stage as it was', () => {
    const late = lockedAgain('heat-up', 86, 3);
    const s = at([...second, late], 87);
    expect(s.now).toBe('rescue-0');
    expect(s.find('first-heat').endMs).toBe(min(40));
    expect(s.find('first-vent').endMs).toBe(min(75));
    expect(s.find('broken-off-0')).toMatchObject({ startMs: min(81), endMs: min(86) });
    const cook = { plan: planned, startedMs: t0, events: [...second, late] } as unknown as Cook;
    const plain = { plan: planned, startedMs: t0, events: second } as unknown as Cook;
    expect(realityOf(cook, min(87))!.first).toEqual(realityOf(plain, min(87))?.first);
  });
  test('a cook of two stages that burns twice, once under each lid', () => {
    const on = [...again, done('rescue-0', 54), firstPin, tap('pin-down', 84), done('first-open', 86)];
    const late = lockedAgain('heat-up', 95, 3);
    const s = at([...on, done('stack', 88), done('lock', 89), late], 96);
    expect(s.now).toBe('rescue-1');
    expect(s.find('first-heat').endMs).toBe(min(59));
    expect(s.find('broken-off-1')).toMatchObject({ startMs: min(89), endMs: min(95) });
  });
});

describe('a first hold that was ended early', () => {
  const see = (real: Reality) => outlook(dish, hut, planned, real);
  const short = (by: number): Reality => ({ first: { holdMin: first.holdMin - by } });
  test('leaves the meat tough, and what it lacks is told in whole minutes', () => {
    expect(see({})).toMatchObject({ firstMoreMin: 0 });
    const o = see(short(12.4));
    expect(o).toMatchObject({ advice: 'first-short', firstMoreMin: 13 });
    expect(o.meats.some((m) => m.texture === 'tough' || m.texture === 'firm')).toBe(true);
  });
  test('a little longer than planned is no word worth', () => {
    expect(see({ first: { holdMin: first.holdMin + 6 } }).firstMoreMin).toBe(0);
  });
  test('under the second lid what can still be mended comes first', () => {
    const late = see({ ...short(12), toPinMin: planned.program.pinUpMin + 6 });
    expect(late.firstMoreMin).toBe(12);
    expect(late.advice).toBe(late.holdChangeMin < 0 ? 'hold-less' : 'first-short');
  });
});

describe('the curve of a first stage', () => {
  const drawn = (events: CookEvent[], m: number) => {
    const cook = { plan: planned, startedMs: t0, events } as unknown as Cook;
    return firstCurveFromTaps(cook, timelineAt(steps, t0, events, min(m)))!;
  };
  const hot = (c: { minutes: number[]; tempC: number[] }): number => c.minutes[c.tempC.findIndex((x) => x > 112)]!;
  test('stands in the plan: up to pressure, held, let off', () => {
    const { minutes, tempC, gaugeKpa } = first.curve!;
    expect([tempC.length, gaugeKpa.length]).toEqual([minutes.length, minutes.length]);
    expect(hot(first.curve!)).toBeCloseTo(first.minutesToPressure, 0);
    expect(minutes.at(-1)!).toBeCloseTo(first.minutesToPressure + first.holdMin + first.ventMin, 0);
    expect(gaugeKpa.at(-1)!).toBeLessThan(3);
  });
  test('as planned it is the plan; a late pin moves the hold, an early valve its end', () => {
    const pinMin = steps.find((s) => s.id === 'first-heat')!.minutes;
    const plain = drawn([...lid, tap('pin-up', 30 + pinMin)], 40);
    expect(hot(plain)).toBeCloseTo(hot(first.curve!), 6);
    expect(hot(drawn([...lid, tap('pin-up', 30 + pinMin + 4)], 45)) - hot(plain)).toBeCloseTo(4, 0);
    const early = drawn([...lid, tap('pin-up', 30 + pinMin), done('first-hold', 45), tap('pin-down', 47)], 48);
    expect(early.minutes.at(-1)!).toBeCloseTo(17, 6);
    expect([...early.minutes].sort((a, b) => a - b)).toEqual(early.minutes);
  });
  test('locked again it comes up from warm; a plan that keeps no curve draws none', () => {
    const again = lockedAgain('first-heat', 50, 20);
    expect(Math.min(...drawn([...up, again, done('rescue-0', 54)], 55).tempC)).toBeGreaterThanOrEqual(85);
    expect(Math.min(...drawn(up, 45).tempC)).toBeLessThan(85);
    const old = { ...planned, firstStage: { ...first, curve: undefined } };
    const cook = { plan: old, startedMs: t0, events: up } as unknown as Cook;
    expect(firstCurveFromTaps(cook, timelineAt(steps, t0, up, min(45)))).toBeNull();
  });
});
