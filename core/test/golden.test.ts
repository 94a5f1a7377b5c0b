import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { brickExponent, ellipsoidExponent } from '../src/meat/geometry';
import { cookPiece, type PieceResult, type PreStage } from '../src/meat/piece';
import { compositions, standIn, type Stuff } from './helpers/standin';

/*
 * Nine golden pieces, computed by a separate program when the notes were written (docs/engine.md, section 6): flat, brick
 * and ellipsoid, fresh and frozen, seared on one side after the other, on grain, in steam and in liquid. Another grid or
 * step: temperatures within 0.6 K, integrals within 6 %.
 */
interface Golden {
  name: string;
  input: {
    food: Stuff;
    shape: 'slab' | 'ellipsoid' | 'brick';
    dims: { t?: number; a?: number; b?: number; c?: number };
    twoFace?: boolean;
    pre?: { dur: number; T?: number; h?: number; T0?: number; h0?: number; T1?: number; h1?: number }[];
    Tinit?: number;
    pot: { tUp: number; Tstart?: number; hold: number; nr: number };
    place: 'steam' | 'liquid' | 'grains';
    rest?: { T: number; h: number };
    restDur?: number;
  };
  m: number;
  default: Record<'Topen' | 'Tpeak' | 'loss' | 'collMean' | 'coll' | 'soft' | 'softMean', number>;
  cautious: { Topen: number };
}
const golden = JSON.parse(readFileSync(join(__dirname, 'golden', 'pieces.json'), 'utf8')) as Golden[];

function run({ input }: Golden, cautious: boolean): PieceResult & { exponent: number } {
  const { t = 0, a = t, b = a, c = a } = input.dims;
  const exponent =
    input.shape === 'slab' ? 0 : input.shape === 'brick' ? brickExponent(a, b, c) : ellipsoidExponent(a, b, c);
  const [composition, freezeC] = compositions[input.food];
  const pre = (input.pre ?? []).map((s): PreStage => {
    if (s.T !== undefined) return { durationS: s.dur, envC: s.T, hWPerM2K: s.h! };
    return { durationS: s.dur, envC: s.T1!, hWPerM2K: s.h1!, below: { envC: s.T0!, hWPerM2K: s.h0! } };
  });
  const result = cookPiece({
    composition,
    freezeC,
    species: input.food === 'beefStew' ? 'red' : 'poultry',
    thicknessM: a,
    exponent,
    startC: input.Tinit ?? 4,
    pre,
    ...standIn(input.pot.tUp, input.pot.Tstart ?? 60, input.pot.hold, input.pot.nr),
    dtS: 1,
    place: input.place,
    twoFace: input.twoFace ?? false,
    // The other program's cautious piece: 8 % thicker, six tenths of the surface.
    ...(cautious ? { vary: { thickness: 1.08, surface: 0.6, startK: 0, heatUp: 1 } } : {}),
    restS: input.restDur ?? 180,
    ...(input.rest ? { rest: { envC: input.rest.T, hWPerM2K: input.rest.h } } : {}),
  });
  return { ...result, exponent };
}

test.each(golden.map((g) => [g.name, g] as const))('%s', (_, g) => {
  const r = run(g, false);
  expect(r.exponent).toBeCloseTo(g.m, 1);
  expect(Math.abs(r.openCoreC - g.default.Topen)).toBeLessThan(0.6);
  expect(Math.abs(r.peakCoreC - g.default.Tpeak)).toBeLessThan(1.2);
  for (const [mine, theirs] of [
    [r.collagenCoreMin, g.default.coll],
    [r.overcookMeanMin, g.default.collMean],
    [r.softCoreMin, g.default.soft],
    [r.softMeanMin, g.default.softMean],
  ] as const)
    expect(Math.abs(mine / theirs - 1)).toBeLessThan(0.06);
  expect(Math.abs(r.lossShare - g.default.loss)).toBeLessThan(0.012);
  expect(Math.abs(run(g, true).openCoreC - g.cautious.Topen)).toBeLessThan(0.8);
});
