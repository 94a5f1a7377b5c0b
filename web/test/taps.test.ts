import { kitchenSchema, plan, readDish, cookTimeline, type StoredEvent } from '@einkorn/core';
import { demoDishes } from '../../server/src/demo/dishes';
import { atGate, kept, nextTap, ownTimers, tapKeys } from '../src/app/stove/taps';

const { steps } = plan(readDish(demoDishes['turkey-leek-lemon']), kitchenSchema.parse({ altitudeM: 1180 }));
const startMs = Date.UTC(2026, 10, 20, 17);
let n = 0;
const tap = (kind: StoredEvent['kind'], more: Partial<StoredEvent> = {}): StoredEvent => ({
  id: `t${(n += 1)}`,
  kind,
  atMs: startMs + n * 1000,
  ...more,
});
const done = (step: string): StoredEvent => tap('done', { step });
/** Every step before this one is done. */
const upTo = (id: string): StoredEvent[] =>
  steps
    .slice(
      0,
      steps.findIndex((s) => s.id === id),
    )
    .map((s) => done(s.id));
const at = (events: StoredEvent[]) => {
  const timed = cookTimeline(steps, startMs, events, startMs + 3_600_000);
  const current = timed.steps[timed.current] ?? null;
  const gate = atGate(current, timed, kept(events));
  return { current, gate, next: nextTap(current, gate, kept(events)) };
};

test('the gate stands between the board and the heat, once', () => {
  const first = steps.find((s) => s.stage !== 'prep')!.id;
  const board = upTo(first);
  expect(at(board.slice(0, -1)).gate).toBe(false);
  expect(at(board)).toMatchObject({ gate: true, next: 'heat-on' });
  const on = [...board, tap('heat-on')];
  expect(at(on)).toMatchObject({ gate: false, next: 'done' });
  expect(at([...on, done(first)]).gate).toBe(false);
});
test('the time at the gate is not taken from the first step at the heat', () => {
  const first = steps.find((s) => s.stage !== 'prep')!;
  const lateMs = startMs + 1_800_000;
  const timed = cookTimeline(steps, startMs, [...upTo(first.id), tap('heat-on', { atMs: lateMs })], lateMs + 1000);
  expect(timed.steps.find((s) => s.step.id === first.id)!.startMs).toBe(lateMs);
});
test('the valve is told before the pin, and an undo takes it back', () => {
  const before = [...upTo('vent'), tap('heat-on')];
  expect(at(before).next).toBe('valve-open');
  const open = [...before, tap('valve-open')];
  expect(at(open).next).toBe('done');
  expect(at([...open, tap('undo')]).next).toBe('valve-open');
});
test('the thermometer cannot be passed by Done; a reading of a device passes it', () => {
  const before = [...upTo('finish-check'), tap('heat-on'), tap('valve-open')];
  expect(at(before).next).toBe('thermometer');
  expect(at([...before, tap('core', { value: 80, device: 'probe' })]).next).toBe('done');
});
test('timers of one’s own: side by side, over until put away, a strange stop stops nothing', () => {
  const bread = tap('timer', { value: 5, note: 'bread' });
  const eggs = tap('timer', { value: 1, note: 'eggs' });
  const nowMs = eggs.atMs + 90_000;
  expect(ownTimers([bread, eggs], nowMs).map((x) => [x.name, x.over])).toEqual([
    ['bread', false],
    ['eggs', true],
  ]);
  expect(ownTimers([bread, eggs, tap('timer-stop', { note: eggs.id })], nowMs).map((x) => x.name)).toEqual(['bread']);
  expect(ownTimers([bread, tap('timer-stop', { note: 'nobody' })], nowMs)).toHaveLength(1);
  expect(ownTimers([bread], bread.atMs)[0]!.leftMs).toBe(300_000);
});
test('keys are different letters', () => {
  const kinds = Object.values(tapKeys);
  expect(new Set(kinds).size).toBe(kinds.length);
});
