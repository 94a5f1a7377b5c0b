import type { Release } from '../../pot/program';
import { boilsUp } from '../gather/item';
import type { Heated } from '../simulate/heated';

const naturals: readonly Release[] = [
  { kind: 'quick' },
  ...[2, 4, 6, 8, 10, 12, 15].map((n): Release => ({ kind: 'timed', naturalMin: n })),
  { kind: 'natural' },
];
/** A whistle cooker is let down by itself, or its weight is lifted. */
const whistleReleases: readonly Release[] = [{ kind: 'natural' }, { kind: 'quick' }];
/** Milk under pressure boils up into the valve when it is let off: it comes down by itself for so many minutes first [common practice]. */
const milkCalmMin = 6;

/** The releases that may be chosen for what is in this pot; of two as good the first is taken. */
export function releasesFor({ heated, setup }: Heated): readonly Release[] {
  const may = heated.state.pot.whistle ? whistleReleases : naturals;
  if (heated.countdownS === null) return may.slice(0, 1);
  const isCalm = (r: Release): boolean => r.kind === 'natural' || (r.naturalMin ?? 0) >= milkCalmMin;
  return boilsUp(setup.g) ? may.filter(isCalm) : may;
}

/** What names a release among others. */
export const keyOf = (r: Release): string => (r.kind === 'timed' ? `${r.naturalMin ?? 0}` : r.kind);
export const sameRelease = (a: Release, b: Release): boolean => keyOf(a) === keyOf(b);
