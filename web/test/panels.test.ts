import {
  cookFormat,
  cookTimeline,
  kitchenSchema,
  plan,
  readDish,
  type Cook,
  type CookEvent,
  type Happening,
  type Outlook,
  type StepId,
} from '@einkorn/core';
import { demoDishes } from '../../server/src/demo/dishes';
import { outlookWords } from '../src/app/stove/outlook-words';
import { lidIsOn, otherPots, pinTaps, sinceLidMin, timesTo } from '../src/app/stove/panels';

const startMs = Date.UTC(2026, 10, 20, 17);
const min = (m: number): number => startMs + m * 60_000;
const planned = (id: keyof typeof demoDishes) =>
  plan(readDish(demoDishes[id]), kitchenSchema.parse({ altitudeM: 1180 }));
const turkey = planned('turkey-leek-lemon');
const biryani = planned('lamb-apricot-biryani');
let n = 0;
const happened = (what: Happening, m: number): CookEvent => ({ id: `e${(n += 1)}`, atMs: min(m), ...what });
const done = (stepId: StepId, m: number): CookEvent => happened({ kind: 'done', stepId }, m);
const at = (p: typeof turkey, events: CookEvent[], m: number) =>
  cookTimeline({ plan: p, startedMs: startMs, events }, min(m));

describe('the lid and its pin', () => {
  const rows: [string, typeof turkey, CookEvent[], boolean][] = [
    ['before it is locked', turkey, [done('stack', 20)], false],
    ['locked', turkey, [done('lock', 21)], true],
    ['on the first stage', biryani, [done('first-fill', 20)], true],
    ['off between the stages', biryani, [done('first-fill', 20), done('first-open', 60)], false],
    ['on the whole', biryani, [done('first-fill', 20), done('first-open', 60), done('lock', 64)], true],
  ];
  test.each(rows)('%s', (_, p, events, on) => {
    const timed = at(p, events, 65);
    expect(lidIsOn(timed)).toBe(on);
    const [up, down] = pinTaps(timed, null, null);
    expect([up!.ready, down!.ready]).toEqual([on, false]);
  });
  test('a pin is tapped once, its fall only after its rise, and each shows when it was or is due', () => {
    const timed = at(turkey, [done('lock', 21), happened({ kind: 'pin-up' }, 28)], 29);
    const [up, down] = pinTaps(timed, min(28), null);
    expect(up).toMatchObject({ ready: false, whenMs: min(28), atMs: min(28) });
    expect(down!.ready).toBe(true);
    expect(down!.whenMs).toBe(timed.steps.find((s) => s.step.expects === 'pin-down')!.endMs);
  });
  test('in two stages the one that is due is the next one', () => {
    const due = (events: CookEvent[]): number | null => pinTaps(at(biryani, events, 70), null, null)[0]!.whenMs;
    const first: CookEvent[] = [done('first-fill', 20), happened({ kind: 'pin-up' }, 30), done('first-open', 66)];
    expect(due(first)).toBe(at(biryani, first, 70).steps.find((s) => s.step.id === 'heat-up')!.endMs);
    expect(due([done('first-fill', 20)])!).toBeLessThan(due(first)!);
  });
  test('nothing is known yet: nothing can be tapped', () => {
    expect(pinTaps(null, null, null).every((x) => !x.ready && x.whenMs === null)).toBe(true);
  });
});

describe('time to what comes', () => {
  test('to the lid while it is off, to its opening and to the table always, until they are past', () => {
    const keys = (events: CookEvent[], m: number): string[] =>
      timesTo(at(turkey, events, m), startMs, min(m), 0).map((x) => x.key);
    expect(keys([], 1)).toEqual(['lid', 'open', 'serve']);
    expect(keys([done('lock', 21)], 22)).toEqual(['open', 'serve']);
    expect(keys([done('lock', 21), done('finish-open', 50)], 51)).toEqual(['serve']);
  });
  test('shares grow with the clock, and other panels take their room', () => {
    const share = (m: number): number => timesTo(at(turkey, [], m), startMs, min(m), 0).at(-1)!.share;
    expect(share(0)).toBe(0);
    expect(share(10)).toBeGreaterThan(share(5));
    expect(timesTo(at(turkey, [], 1), startMs, min(1), 1)).toHaveLength(2);
    expect(timesTo(at(turkey, [], 1), startMs, min(1), 5)).toHaveLength(1);
  });
});

describe('other pots of the evening', () => {
  const cook = (id: string, more: Partial<Cook> = {}): Cook => ({
    format: cookFormat,
    id,
    dishId: null,
    dish: readDish(demoDishes['plain-long-grain']),
    plan: planned('plain-long-grain'),
    startedMs: startMs,
    finishedMs: null,
    events: [],
    outcome: null,
    ...more,
  });
  test('this one, practices, those of another day and a third one stay out', () => {
    const practice = { seed: 1, faults: [], surprise: false, speed: 10, hands: 'you' as const };
    const found = otherPots(
      [
        cook('own'),
        cook('a'),
        cook('practice', { practice }),
        cook('old', { startedMs: min(-13 * 60) }),
        cook('b'),
        cook('c'),
      ],
      'own',
      min(2),
    );
    expect(found.map((x) => x.id)).toEqual(['a', 'b']);
  });
  test('its clock is that of its own step, and goes below nothing when it is overdue', () => {
    const first = cook('a').plan.steps[0]!;
    const left = (m: number): number => otherPots([cook('a')], 'own', min(m))[0]!.left;
    expect(left(1)).toBeCloseTo((first.minutes - 1) * 60_000, 0);
    expect(left(first.minutes + 5)).toBeCloseTo(-5 * 60_000, 0);
  });
});

describe('what the outlook comes down to', () => {
  const outlook = (more: Partial<Outlook>): Outlook => ({
    holdMin: 4,
    holdChangeMin: -1,
    laterMin: 3,
    softer: 0.2,
    band: 'fluffy',
    moisture: 0.6,
    sauce: null,
    meats: [],
    advice: 'hold-less',
    firstMoreMin: 0,
    curve: { minutes: [], tempC: [], gaugeKpa: [] },
    ...more,
  });
  const tell = (p: typeof turkey, events: CookEvent[], m: number, more: Partial<Outlook> = {}) =>
    outlookWords(outlook(more), { plan: p } as Cook, at(p, events, m), min(m));
  const lock = done('lock', 20);
  const up: CookEvent = happened({ kind: 'pin-up' }, 20 + turkey.program.pinUpMin + 4);
  test('a late pin: by how much, and the new hold can be taken once', () => {
    expect(tell(turkey, [lock, up], 33)).toMatchObject({ key: 'outlook.hold-less', lateMin: 4, take: 'hold' });
    const taken: CookEvent = happened({ kind: 'hold-changed', holdMin: 4 }, 33);
    expect(tell(turkey, [lock, up, taken], 33).take).toBeNull();
    expect(tell(turkey, [lock, up], 33, { holdChangeMin: 0 }).take).toBeNull();
    expect(tell(turkey, [lock, up], 90).take).toBeNull();
  });
  test('while the pin is waited for it is late by now, and nothing can be taken', () => {
    const m = 20 + turkey.program.pinUpMin + 7;
    expect(tell(turkey, [lock], m)).toMatchObject({ lateMin: 7, take: null });
  });
  test('in a first stage it is of the second lid, told by the first pin, and nothing can be taken', () => {
    const heat = biryani.steps.find((s) => s.id === 'first-heat')!;
    const first: CookEvent[] = [done('first-fill', 20), happened({ kind: 'pin-up' }, 20 + heat.minutes + 6)];
    expect(tell(biryani, first, 40)).toMatchObject({ key: 'outlook.hold-less-first', lateMin: 6, take: null });
    expect(tell(biryani, first, 40, { holdMin: 0 }).key).toBe('outlook.no-hold-first');
    expect(tell(biryani, first, 40, { advice: 'hold-more' }).key).toBe('outlook.hold-more-first');
    expect(tell(biryani, [...first, done('first-open', 60), done('lock', 64)], 66).key).toBe('outlook.hold-less');
  });
  test('after the lid was locked again it goes by what has cooked', () => {
    const lockedAgain = { lid: 'heat-up', holdMin: 5, addMl: 0 } as const;
    const again = happened({ kind: 'rescued', minutes: 4, text: '', lockedAgain }, 34);
    expect(tell(turkey, [lock, up, again], 40).key).toBe('outlook.hold-less-again');
  });
  test('the sauce is told where it has moved', () => {
    const sauce = turkey.grain!.sauce;
    const other = sauce === 'dry' ? 'soupy' : 'dry';
    expect(tell(turkey, [lock, up], 33, { sauce: { freeG: 9, band: sauce } }).sauce).toBeNull();
    expect(tell(turkey, [lock, up], 33, { sauce: { freeG: 9, band: other } }).sauce!.band).toBe(other);
  });
  describe('a first stage that was ended early', () => {
    const short = { advice: 'first-short', firstMoreMin: 12 } as const;
    const ended = [done('first-fill', 20), happened({ kind: 'pin-up' }, 30), done('first-hold', 40)];
    const opened: CookEvent[] = [...ended, happened({ kind: 'valve-open' }, 41), happened({ kind: 'pin-down' }, 43)];
    test('still shut it is only undone; open, the rest of it is a tap; under the second lid it is too late', () => {
      expect(tell(biryani, ended, 40.5, short)).toMatchObject({ key: 'outlook.first-short-closed', take: null });
      expect(tell(biryani, opened, 44, short)).toMatchObject({ key: 'outlook.first-short', take: 'first' });
      const locked = [...opened, done('first-open', 45), done('stack', 47), done('lock', 48)];
      expect(tell(biryani, locked, 49, short)).toMatchObject({ key: 'outlook.first-short-locked', take: null });
    });
  });
});

describe('the lid that a rescue speaks of', () => {
  test('in two stages the first until the second is locked, with minutes since its own', () => {
    const of = (events: CookEvent[], m: number) => {
      const timed = at(biryani, events, m);
      return [timed.lid, Math.round(sinceLidMin(timed, min(m)))];
    };
    const first = [done('first-fill', 20)];
    const open = [...first, happened({ kind: 'pin-up' }, 30), done('first-open', 66)];
    expect(of([], 5)).toEqual(['first-heat', 0]);
    expect(of(first, 27)).toEqual(['first-heat', 7]);
    expect(of([...open, done('stack', 68), done('lock', 69)], 75)).toEqual(['heat-up', 6]);
  });
  test('a dish of one lid has but that', () => {
    const timed = at(turkey, [done('lock', 21)], 31);
    expect([timed.lid, sinceLidMin(timed, min(31)), sinceLidMin(null, 0)]).toEqual(['heat-up', 10, 0]);
  });
});
