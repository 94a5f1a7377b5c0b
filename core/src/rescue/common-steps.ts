import type { Detour, Move, MoveStep } from './moves';

/** Minutes after the predicted pin that are still nothing to worry about [common practice]. */
export const patienceMin = 5;
/** Thin liquid over the minimum that makes a scraped base safe again, mL [common practice]. */
export const spareMl = 60;
/** Opening, scraping or topping up, and locking again; a pan on the side; whisking [common practice], min. */
export const takesMin = { openAndLock: 4, pan: 6, valve: 2, whisk: 1, dish: 2 };

export const step = (code: string, params: MoveStep['params'] = {}): MoveStep => ({ code, params });
/** Liquid as it is measured, mL: up to the next five. */
export const round5 = (x: number): number => Math.ceil(x / 5) * 5;

export type Answer = Pick<Move, 'steps' | 'effect'> & { clock?: Detour | null };

/** A lid under which it steams instead of rising, `shortMl` below what the pot needs: what to look at, in its order. */
export const lookAtLid = (shortMl: number): MoveStep[] => [
  step('heat-off'),
  step('check-valve'),
  step('check-ring'),
  ...(shortMl > 0 ? [step('add-liquid', { ml: round5(shortMl + spareMl) })] : [step('check-liquid-thin')]),
  step('scrape-base'),
  step('lock-again'),
];

/** A base that burns: no heat, no pressure, scraped, and `ml` of thin liquid over it. */
export const openAndThin = (ml: number): MoveStep[] => [
  step('heat-off'),
  step('release-quick'),
  step('pin-down-open'),
  step('scrape-base'),
  step('add-thin', { ml }),
];

/** A pin that is not late yet. */
export const waitForPin = (lateMin: number, expectedMin: number): Answer => ({
  steps: [step('wait', { minutes: Math.ceil(patienceMin - lateMin) })],
  effect: { expectedMin: Math.round(expectedMin) },
});
