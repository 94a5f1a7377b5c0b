import {
  cookTimeline,
  kitchenSchema,
  plan,
  readDish,
  type CookEvent,
  type Happening,
  type StepId,
} from '@einkorn/core';
import { demoDishes } from '../../server/src/demo/dishes';
import { atGate, nextTap, ownTimers, tapKeys } from '../src/app/stove/taps';

const { steps } = plan(readDish(demoDishes['turkey-leek-lemon']), kitchenSchema.parse({ altitudeM: 1180 }));
const startMs = Date.UTC(2026, 10, 20, 17);
let n = 0;
const tap = (what: Happening, more: { atMs?: number; device?: string } = {}): CookEvent => ({
  id: `t${(n += 1)}`,
  atMs: startMs + n * 1000,
  ...what,
  ...more,
});
const done = (stepId: StepId): CookEvent => tap({ kind: 'done', stepId });
const timeline = (events: CookEvent[], nowMs: number) =>
  cookTimeline({ plan: { steps }, startedMs: startMs, events }, nowMs);
/** Every step before this one is done. */
const upTo = (id: string): CookEvent[] =>
  steps
    .slice(
      0,
      steps.findIndex((s) => s.id === id),
    )
    .map((s) => done(s.id));
const minimumC = 74;
const at = (events: CookEvent[], nowMs = startMs + 240_000) => {
  const timed = timeline(events, nowMs);
  const current = timed.steps[timed.current] ?? null;
  const gate = atGate(current, timed, timed.ofRun);
  return { current, gate, next: nextTap(current, gate, timed, { minimumC, nowMs }) };
};

test('the gate stands between the board and the heat, once', () => {
  const first = steps.find((s) => s.stage !== 'prep')!.id;
  const board = upTo(first);
  expect(at(board.slice(0, -1)).gate).toBe(false);
  expect(at(board)).toMatchObject({ gate: true, next: 'heat-on' });
  const on = [...board, tap({ kind: 'heat-on' })];
  expect(at(on)).toMatchObject({ gate: false, next: 'done' });
  expect(at([...on, done(first)]).gate).toBe(false);
});
test('the time at the gate is not taken from the first step at the heat', () => {
  const first = steps.find((s) => s.stage !== 'prep')!;
  const lateMs = startMs + 1_800_000;
  const timed = timeline([...upTo(first.id), tap({ kind: 'heat-on' }, { atMs: lateMs })], lateMs + 1000);
  expect(timed.steps.find((s) => s.step.id === first.id)!.startMs).toBe(lateMs);
});
test('the valve is told before the pin, and an undo takes it back', () => {
  const before = [...upTo('vent'), tap({ kind: 'heat-on' })];
  expect(at(before).next).toBe('valve-open');
  const open = [...before, tap({ kind: 'valve-open' })];
  expect(at(open).next).toBe('done');
  expect(at([...open, tap({ kind: 'undone', targetId: open.at(-1)!.id })]).next).toBe('valve-open');
});
test('the thermometer cannot be passed by Done; a reading of a device passes it', () => {
  const before = [...upTo('finish-check'), tap({ kind: 'heat-on' }), tap({ kind: 'valve-open' })];
  expect(at(before).next).toBe('thermometer');
  const reading = (coreC: number, atMs: number): CookEvent =>
    tap({ kind: 'probe-read', coreC }, { device: 'probe', atMs });
  const afterMs = before.at(-1)!.atMs + 1000;
  const read = reading(80, afterMs);
  expect(at([...before, read]).next).toBe('done');
  expect(at([...before, reading(12, afterMs)]).next).toBe('thermometer');
  expect(at([...before, reading(minimumC - 0.1, afterMs)]).next).toBe('thermometer');
  // Ten minutes later it is of another moment, and one from under the lid is of another place.
  expect(at([...before, read], read.atMs + 10 * 60_000 + 1).next).toBe('thermometer');
  expect(at([reading(80, before[0]!.atMs), ...before]).next).toBe('thermometer');
});
test('timers of one’s own: side by side, over until put away, a strange stop stops nothing', () => {
  const bread = tap({ kind: 'timer-started', minutes: 5, name: 'bread' });
  const eggs = tap({ kind: 'timer-started', minutes: 1, name: 'eggs' });
  const nowMs = eggs.atMs + 90_000;
  expect(ownTimers([bread, eggs], nowMs).map((x) => [x.name, x.over])).toEqual([
    ['bread', false],
    ['eggs', true],
  ]);
  expect(ownTimers([bread, eggs, tap({ kind: 'timer-stopped', timerId: eggs.id })], nowMs).map((x) => x.name)).toEqual([
    'bread',
  ]);
  expect(ownTimers([bread, tap({ kind: 'timer-stopped', timerId: 'nobody' })], nowMs)).toHaveLength(1);
  expect(ownTimers([bread], bread.atMs)[0]!.leftMs).toBe(300_000);
});
test('keys are different letters', () => {
  const kinds = Object.values(tapKeys);
  expect(new Set(kinds).size).toBe(kinds.length);
});
