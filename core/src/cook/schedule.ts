import type { Plan } from '../plan/document/document';
import type { Step } from '../plan/document/steps';

/** Small work that fits into a wait, with its minutes [common practice]; a key of the text catalogue. */
interface Filler {
  code: string;
  minutes: number;
  /** only when the plan holds one of these back */
  when?: (p: Plan) => boolean;
}

const finishes = (p: Plan, code: string): boolean => p.finish.some((f) => f.code === code);
const fillers: readonly Filler[] = [
  { code: 'clean-board', minutes: 3, when: (p) => p.meats.length > 0 },
  { code: 'chop-herbs', minutes: 2, when: (p) => finishes(p, 'herbs') },
  { code: 'grate-cheese', minutes: 2, when: (p) => finishes(p, 'dairy') },
  { code: 'peel-seafood', minutes: 5, when: (p) => finishes(p, 'seafood') },
  { code: 'lay-table', minutes: 4 },
  { code: 'warm-plates', minutes: 2 },
  { code: 'wash-up', minutes: 6 },
];

export interface Slot {
  step: Step;
  startMs: number;
  endMs: number;
}
export interface Wait extends Slot {
  /** what fits into it, in order; each thing is done once in an evening */
  fill: { code: string; minutes: number }[];
  idleMin: number;
}
export interface Schedule {
  /** the latest start that still serves in time */
  startMs: number;
  heatOnMs: number;
  serveMs: number;
  slots: Slot[];
  waits: Wait[];
  handsOnMin: number;
  waitMin: number;
  /** minutes between now and the latest start; negative when it is already late */
  slackMin: number;
}

/**
 * The evening backwards from the serving time: one pair of hands, one pot, hidden waits included, and what fits into
 * each wait.
 *
 * @param serveMs when it should stand on the table, epoch ms
 * @param nowMs the clock, for the slack
 */
export function schedule(plan: Plan, serveMs: number, nowMs: number): Schedule {
  const totalMin = plan.steps.reduce((s, x) => s + x.minutes, 0);
  const startMs = serveMs - totalMin * 60_000;
  let at = startMs;
  const slots = plan.steps.map((step): Slot => {
    const slot = { step, startMs: at, endMs: at + step.minutes * 60_000 };
    at = slot.endMs;
    return slot;
  });
  const left = fillers.filter((f) => !f.when || f.when(plan));
  const waits = slots
    .filter((s) => s.step.kind === 'wait' && s.step.minutes >= 1)
    .map((slot): Wait => {
      let free = slot.step.minutes;
      const fill: Wait['fill'] = [];
      for (let i = 0; i < left.length;) {
        const f = left[i]!;
        if (f.minutes > free) {
          i += 1;
          continue;
        }
        fill.push({ code: f.code, minutes: f.minutes });
        free -= f.minutes;
        left.splice(i, 1);
      }
      return { ...slot, fill, idleMin: free };
    });
  const heat = slots.find((s) => s.step.stage !== 'prep');
  const handsOnMin = plan.steps.filter((s) => s.kind === 'do').reduce((m, s) => m + s.minutes, 0);
  return {
    startMs,
    heatOnMs: heat?.startMs ?? startMs,
    serveMs,
    slots,
    waits,
    handsOnMin,
    waitMin: totalMin - handsOnMin,
    slackMin: (startMs - nowMs) / 60_000,
  };
}
