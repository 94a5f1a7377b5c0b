import { cookFormat, plan, type Cook, type Dish, type Kitchen, type Ratings, type CookEvent } from '@einkorn/core';

/** One evening of the hut: how far the real pot and the real cook were from the plan. Invented, with believable scatter. */
export interface Evening {
  id: string;
  dish: string;
  /** local date and serving hour of the hut, UTC+0 in the demo */
  served: string;
  serves?: number;
  /** real minutes to the pin over the predicted ones */
  pinFactor: number;
  releaseFactor: number;
  /** minutes the hands were slower than the table */
  slowMin: number;
  ratings: Ratings;
  coreC?: number;
  note?: string;
}

export const evenings: readonly Evening[] = [
  {
    id: 'demo-cook-1',
    dish: 'plain-long-grain',
    served: '2026-10-03T18:34:00Z',
    pinFactor: 1.08,
    releaseFactor: 1.02,
    slowMin: 2,
    ratings: { grain: 2, bottom: 0, sauce: 0, salt: 2 },
    note: 'First try in the new pot. Just right.',
  },
  {
    id: 'demo-cook-2',
    dish: 'turkey-leek-lemon',
    served: '2026-10-08T19:11:00Z',
    pinFactor: 1.16,
    releaseFactor: 0.97,
    slowMin: 9,
    ratings: { grain: 3, meat: 2, bottom: 1, sauce: 1, salt: 2 },
    coreC: 88,
    note: 'Chopping took for ever. Rice a touch softer than I like.',
  },
  {
    id: 'demo-cook-3',
    dish: 'einkorn-berries',
    served: '2026-10-11T18:02:00Z',
    pinFactor: 1.05,
    releaseFactor: 1.05,
    slowMin: 1,
    ratings: { grain: 1, bottom: 0, sauce: 1, salt: 1 },
    note: 'Good bite, could take two more minutes.',
  },
  {
    id: 'demo-cook-4',
    dish: 'plain-long-grain',
    served: '2026-10-17T18:41:00Z',
    serves: 8,
    pinFactor: 1.12,
    releaseFactor: 1.08,
    slowMin: 3,
    ratings: { grain: 3, bottom: 0, sauce: 0, salt: 2 },
    note: 'Full hut. Soft at the bottom, fine on top.',
  },
  {
    id: 'demo-cook-5',
    dish: 'turkey-leek-lemon',
    served: '2026-10-24T19:03:00Z',
    pinFactor: 1.1,
    releaseFactor: 1.01,
    slowMin: 3,
    ratings: { grain: 2, meat: 2, bottom: 1, sauce: 1, salt: 2 },
    coreC: 91,
  },
  {
    id: 'demo-cook-6',
    dish: 'plain-long-grain',
    served: '2026-10-31T18:29:00Z',
    pinFactor: 1.03,
    releaseFactor: 0.98,
    slowMin: 0,
    ratings: { grain: 2, bottom: 0, sauce: 0, salt: 1 },
  },
  {
    id: 'demo-cook-7',
    dish: 'einkorn-berries',
    served: '2026-11-07T18:07:00Z',
    pinFactor: 1.09,
    releaseFactor: 1.03,
    slowMin: 2,
    ratings: { grain: 2, bottom: 1, sauce: 1, salt: 2 },
    note: 'As it should be.',
  },
  {
    id: 'demo-cook-8',
    dish: 'turkey-leek-lemon',
    served: '2026-11-14T19:03:00Z',
    pinFactor: 1.18,
    releaseFactor: 1.04,
    slowMin: 2,
    ratings: { grain: 2, meat: 2, bottom: 1, sauce: 1, salt: 2 },
    coreC: 86,
    note: 'Good. I would take the rice a touch drier.',
  },
];

/** The evening as a cook of the log: the plan of the day, and the taps that give the times told above. */
export function cookOf(e: Evening, dish: Dish, kitchen: Kitchen): Cook {
  const p = plan(dish, kitchen);
  const handsMin = p.steps.filter((s) => s.kind === 'do').reduce((m, s) => m + s.minutes, 0);
  const lengths = p.steps.map((s) => {
    if (s.expects === 'pin-up') return s.minutes * e.pinFactor;
    if (s.stage === 'natural' || s.stage === 'vent') return s.minutes * (s.stage === 'vent' ? e.releaseFactor : 1);
    return s.kind === 'do' ? s.minutes * (1 + e.slowMin / handsMin) : s.minutes;
  });
  const finishedMs = Date.parse(e.served);
  const startedMs = Math.round(finishedMs - lengths.reduce((a, b) => a + b, 0) * 60_000);
  let at = startedMs;
  const events: CookEvent[] = [];
  p.steps.forEach((s, i) => {
    at += lengths[i]! * 60_000;
    const byItself = s.kind === 'wait' && s.expects === undefined;
    if (byItself) return;
    const id = `${e.id}-${i}`;
    const atMs = Math.round(at);
    events.push(s.expects ? { id, kind: s.expects, atMs } : { id, kind: 'done', stepId: s.id, atMs });
  });
  return {
    format: cookFormat,
    id: e.id,
    dishId: e.dish,
    dish,
    plan: p,
    startedMs,
    finishedMs,
    events,
    outcome: {
      ratings: e.ratings,
      ...(e.coreC === undefined ? {} : { coreC: e.coreC }),
      ...(e.note === undefined ? {} : { note: e.note }),
    },
  };
}
