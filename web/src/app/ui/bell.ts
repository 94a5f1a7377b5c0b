import type { LearnedValue } from '@einkorn/core';

/** The drawing of a value before and after, in a box of 240 x 54 whose floor is at 46: three first spreads to each side. */
export interface Bell {
  before: string;
  now: string;
  /** where the value lay before, and where it lies now */
  zero: number;
  at: number;
}

const box = { width: 240, floor: 46, height: 42 } as const;
const reach = 3;
const points = 120;

/** Two normal curves over one axis, the newer one to the full height, the older to the same area. */
export function bell({ value, sd, priorSd, priorMean = 0 }: LearnedValue): Bell {
  const x = (off: number): number => box.width / 2 + (off / (reach * priorSd)) * (box.width / 2);
  const curve = (mean: number, width: number, height: number): string =>
    Array.from({ length: points + 1 }, (_, i) => {
      const v = (2 * i * reach * priorSd) / points - reach * priorSd;
      const y = box.floor - height * Math.exp(-((v - mean) ** 2) / (2 * width ** 2));
      return `${i === 0 ? 'M' : 'L'}${x(v).toFixed(1)} ${y.toFixed(1)}`;
    }).join('');
  const held = Math.max(-reach * priorSd, Math.min(reach * priorSd, value - priorMean));
  return {
    before: curve(0, priorSd, (box.height * sd) / priorSd),
    now: `${curve(held, sd, box.height)}L${box.width} ${box.floor}L0 ${box.floor}Z`,
    zero: x(0),
    at: x(held),
  };
}
