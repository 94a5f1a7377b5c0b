import type { SourceKind } from '../../source';
import type { Plan } from '../document/document';
import { foods } from '../../food/find';

/** A program that cooks know by heart, for a kind of starch. */
export interface KnownProgram {
  holdMin: number;
  naturalMin: number;
  source: SourceKind;
}

type Known = readonly (readonly [holdMin: number, naturalMin: number])[];
/** Minutes at pressure and of natural release as they are knownPrograms [common practice]; 0 is a quick release. */
const knownPrograms: Record<string, Known> = {
  white: [
    [3, 10],
    [6, 6],
    [4, 12],
    [8, 0],
  ],
  parboiled: [
    [2, 5],
    [2, 15],
  ],
  bran: [
    [20, 10],
    [24, 10],
  ],
  risotto: [
    [4, 0],
    [6, 0],
  ],
  'rice-wild': [[28, 10]],
  quinoa: [[1, 10]],
  'barley-pearl': [[22, 10]],
  'oats-steel-cut': [[4, 12]],
  'couscous-pearl': [[5, 0]],
};

/** The programs knownPrograms for what is in this plan, to set beside its own; of pasta half the packet's minutes, and two less. */
export function schedulesFor(p: Plan): KnownProgram[] {
  const source: SourceKind = 'common-practice';
  if (p.pasta) {
    const half = Math.round(p.pasta.printedMin ?? p.pasta.packetMin) / 2;
    return [half, half - 2].filter((m) => m >= 0).map((holdMin) => ({ holdMin, naturalMin: 0, source }));
  }
  if (!p.grain) return [];
  const food = p.grain.food;
  const rec = foods.find((f) => f.id === food)?.grain;
  const key =
    p.family === 'risotto'
      ? 'risotto'
      : p.grain.food in knownPrograms
        ? p.grain.food
        : p.grain.food === 'rice-parboiled'
          ? 'parboiled'
          : rec?.bran
            ? 'bran'
            : p.grain.food.startsWith('rice-')
              ? 'white'
              : '';
  return (knownPrograms[key] ?? []).map(([holdMin, naturalMin]) => ({ holdMin, naturalMin, source }));
}
