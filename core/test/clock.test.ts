import type { CookEvent } from '../src/cook/events';
import type { Step } from '../src/plan/document/steps';
import { plan } from '../src/plan/plan';
import { happened, timelineAt, undoNewest } from './helpers/happened';
import { hut, turkeyRice } from './helpers/dishes';

const steps: Step[] = plan(turkeyRice(), hut).steps;
const t0 = Date.UTC(2026, 10, 14, 17, 0);
const min = (m: number): number => t0 + m * 60_000;
const at = (id: string): number => steps.findIndex((s) => s.id === id);
/** Everything up to the lid ticked, the lid locked at `lockMin`. */
const locked = (lockMin: number): CookEvent[] =>
  steps
    .slice(0, at('lock') + 1)
    .map((s, i, all) => happened({ kind: 'done', stepId: s.id }, min((lockMin * (i + 1)) / all.length)));

describe('re-planning from what happened', () => {
  test('with no events it is the plan, and serving is the sum of the minutes', () => {
    const r = timelineAt(steps, t0, [], t0);
    expect(r.current).toBe(0);
    expect(r.serveMs).toBeCloseTo(t0 + steps.reduce((s, x) => s + x.minutes, 0) * 60_000, 0);
  });
  test('a step nobody ticked goes on: the clock never runs ahead of the cook', () => {
    const late = timelineAt(steps, t0, [], min(30));
    expect(late.current).toBe(0);
    expect(late.serveMs).toBeGreaterThan(timelineAt(steps, t0, [], t0).serveMs);
  });
  test('a late pin moves everything after it by the same time', () => {
    const early = timelineAt(steps, t0, [...locked(30), happened({ kind: 'pin-up' }, min(40))], min(40));
    const late = timelineAt(steps, t0, [...locked(30), happened({ kind: 'pin-up' }, min(43))], min(43));
    expect(late.serveMs - early.serveMs).toBe(3 * 60_000);
    expect(late.steps[late.current]!.step.id).toBe('to-full');
  });
  test('the hold runs by itself once the pin is up', () => {
    const events: CookEvent[] = [...locked(30), happened({ kind: 'pin-up' }, min(40))];
    const hold = timelineAt(steps, t0, events, min(40)).steps[at('hold')]!;
    const r = timelineAt(steps, t0, events, hold.startMs + 1000);
    expect(r.steps[r.current]!.step.id).toBe('hold');
    const after = timelineAt(steps, t0, events, hold.endMs + 1000);
    expect(after.steps[after.current]!.step.id).toBe('natural');
  });
  test('an early pin down ends the wait there, and what ran by itself before keeps its own end', () => {
    const events: CookEvent[] = [...locked(30), happened({ kind: 'pin-up' }, min(40))];
    const natural = timelineAt(steps, t0, events, min(40)).steps[at('natural')]!;
    const down = natural.startMs + 4 * 60_000;
    const r = timelineAt(steps, t0, [...events, happened({ kind: 'pin-down' }, down)], down);
    expect(r.steps[at('hold')]!.endMs).toBe(natural.startMs);
    expect(r.steps[at('natural')]!.endMs).toBe(down);
    expect(r.steps[r.current]!.step.id).toBe('finish-open');
  });
  test('undo takes the last tick back', () => {
    const events = undoNewest([...locked(30), happened({ kind: 'pin-up' }, min(40))], min(41));
    const r = timelineAt(steps, t0, events, min(41));
    expect(r.steps[r.current]!.step.id).toBe('heat-up');
  });
  test('a tap for a step that was never reached ticks off what came before', () => {
    const r = timelineAt(steps, t0, [happened({ kind: 'pin-up' }, min(25))], min(25));
    expect(r.steps.slice(0, at('heat-up') + 1).every((s) => s.done)).toBe(true);
  });
  test('steps never overlap and never run backwards', () => {
    const r = timelineAt(steps, t0, [...locked(30), happened({ kind: 'pin-up' }, min(20))], min(31));
    expect(r.steps.every((s, i) => s.endMs >= s.startMs && (i === 0 || s.startMs === r.steps[i - 1]!.endMs))).toBe(
      true,
    );
  });
});
