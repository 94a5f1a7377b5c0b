import type { DonenessMap } from '@einkorn/core';

/** A thing on the map that takes room: the letter of a program, or the word of a zone. */
export interface Named {
  x: number;
  y: number;
  text?: string;
}

/** Names of programs stand on the left of their diamond from this share of the holds on. */
export const leftFrom = 0.75;
/** Sizes on the smallest map, px: its plot, a letter in its circle, the name of a program beside its diamond. */
const drawn = { w: 400, h: 150, letter: 15, word: 32, name: [56, 9] as const };

/**
 * Which programs have room for their name beside the diamond: not under a letter, nor over a name that stands already. The
 * others keep their diamond, and their name under the pointer.
 */
export function namedWhereClear(
  known: readonly { holdMin: number; naturalMin: number }[],
  points: readonly Named[],
  m: Pick<DonenessMap, 'holdMin' | 'naturalFullMin'>,
): boolean[] {
  const most = m.holdMin.at(-1)!;
  const px = (x: number, y: number): [number, number] => [(x / most) * drawn.w, (y / (m.naturalFullMin + 2)) * drawn.h];
  const taken: { x0: number; x1: number; y: number; r: number }[] = points.map((q) => {
    const [x, y] = px(q.x, q.y);
    // A word of a zone is wider than the letter of a program.
    const half = q.text === undefined ? drawn.letter : drawn.word;
    return { x0: x - half, x1: x + half, y, r: drawn.letter };
  });
  return known.map((k) => {
    const [x, y] = px(k.holdMin, k.naturalMin);
    const left = k.holdMin > leftFrom * most;
    const [x0, x1] = left ? [x - drawn.name[0], x] : [x, x + drawn.name[0]];
    const clear = taken.every((b) => x1 < b.x0 || x0 > b.x1 || Math.abs(y - b.y) > b.r + drawn.name[1]);
    if (clear) taken.push({ x0, x1, y, r: drawn.name[1] });
    return clear;
  });
}
