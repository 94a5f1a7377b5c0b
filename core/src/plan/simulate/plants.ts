import { cookPiece } from '../../meat/piece';
import type { PotRun } from '../../pot/program';
import type { PlantVerdict } from '../document/verdicts';
import type { Gathered } from '../gather/item';
import { placementOf, plantsOf } from '../gather/pieces';
import { beforeThis, joined } from './joined';
import { type PieceOptions, restS } from './meat';

/** How soft each plant piece gets along the run, and along what it has been through before this lid. */
export function runPlants(
  g: Gathered,
  run: PotRun,
  { earlier = null, coarse = false, ways }: Pick<PieceOptions, 'earlier' | 'coarse' | 'ways'> = {},
): PlantVerdict[] {
  const dtS = run.history.dtS;
  return plantsOf(g).map((item) => {
    const p = item.food.plant!;
    const before = beforeThis(earlier, item.ingredient.id, dtS);
    const [water, protein, fat, carb, fibre, ash] = p.composition;
    const r = cookPiece({
      composition: { water, protein, fat, carb, fibre, ash },
      freezeC: p.freezeC[0],
      species: 'red',
      thicknessM: item.thicknessMm / 1000,
      exponent: item.piece.exponent,
      startC: item.startC,
      pre: [],
      tempC: joined(before, run.history.tempC),
      dtS,
      releaseAt: run.history.releaseAt + (before?.length ?? 0),
      place: placementOf(g, item),
      restS,
      coarse,
      ...(ways ? { way: ways.of(`${item.ingredient.id} plant`) } : {}),
      sharedS: earlier?.sharedS,
    });
    const done = r.softCoreMin >= p.softCoreMin[0] && r.softMeanMin >= p.softMeanMin[0];
    return {
      ingredient: item.ingredient.id,
      coreC: round1(r.openCoreC),
      softCoreMin: round1(r.softCoreMin),
      softMeanMin: round1(r.softMeanMin),
      verdict: !done ? 'hard' : r.softMeanMin > p.softMostMin[0] ? 'soft' : 'done',
      /** how often over the least in core and mean, and how near its limit: what the search aims between */
      doneTimes: Math.min(r.softCoreMin / p.softCoreMin[0], r.softMeanMin / p.softMeanMin[0]),
      softShare: r.softMeanMin / p.softMostMin[0],
    };
  });
}

const round1 = (x: number): number => Math.round(x * 10) / 10;
