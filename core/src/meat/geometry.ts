import { turnBetween } from '../bisect';
import { interpolated } from '../interpolate';

/*
 * Shape of a piece as one exponent m of the area: slab 0, long cylinder 1, sphere 2, others between. m is chosen so
 * that the centre reaches theta = 0.35 at the same Fourier number as the real body with a perfect surface.
 */
const target = 0.35;
const { PI, exp, min } = Math;
/** A term of the series this small changes nothing that follows. */
const leastTerm = 1e-17;

/** Centre of a slab by its series; the series is cut off below Fo 0.03, where nothing has happened yet. */
function slabCentre(fo: number): number {
  if (fo < 0.03) return 1;
  let sum = 0;
  for (let n = 0; n < 30; n++) {
    const b = (n + 0.5) * PI;
    const term = (2 / b) * exp(-b * b * fo);
    if (term < leastTerm) break;
    sum += n % 2 === 0 ? term : -term;
  }
  return min(1, sum);
}

/** Area exponent of a brick with sides a <= b <= c (any unit). Derived from the product of three slab series. */
export function brickExponent(a: number, b: number, c: number): number {
  const isUnder = (fo: number): boolean =>
    slabCentre(fo) * slabCentre(fo * (a / b) ** 2) * slabCentre(fo * (a / c) ** 2) <= target;
  return exponentOf(1 / turnBetween(0.01, 1, isUnder).low);
}

/** Area exponent of an ellipsoid (breast, fillet, potato, egg) by its axes a <= b <= c: each longer axis adds its share. */
export const ellipsoidExponent = (a: number, b: number, c: number): number => axisShare(b / a) + axisShare(c / a);

/** Share of one axis by its ratio to the shortest, computed by two-dimensional conduction [derived]. */
const axisShares = {
  ratio: [1, 1.2, 1.35, 1.5, 1.75, 2, 2.5, 3, 4, 6],
  share: [1, 0.673, 0.52, 0.408, 0.28, 0.198, 0.102, 0.051, 0.006, 0],
} as const;
const axisShare = (ratio: number): number => interpolated(axisShares.ratio, axisShares.share, ratio);

/** The quadratic through slab 1.911, cylinder 3.804 and sphere 5.662 (1/Fo at theta 0.35), inverted. */
function exponentOf(inverseFo: number): number {
  const [y0, y1, y2] = [1.911, 3.804, 5.662];
  const c2 = (y2 - 2 * y1 + y0) / 2;
  const c1 = y1 - y0 - c2;
  return Math.max(0, (-c1 + Math.sqrt(c1 * c1 - 4 * c2 * (y0 - inverseFo))) / (2 * c2));
}

/** A joint of meat in one piece, its sides to one another [common practice]. */
export const blockSides = [1, 1.4, 2] as const;

export type PieceShape = 'slab' | 'strip' | 'cube' | 'ground' | 'whole' | 'sphere' | 'cylinder' | 'oblong' | 'block';

/** Area exponent of a cook's shape by its smallest size [a cook's words; proportions common practice]. */
export function shapeExponent(shape: PieceShape): number {
  switch (shape) {
    case 'cube':
    case 'ground':
      return brickExponent(1, 1, 1);
    case 'strip':
      return brickExponent(12, 20, 60);
    case 'block':
      return brickExponent(...blockSides);
    case 'oblong':
      return ellipsoidExponent(38, 68, 120);
    case 'cylinder':
      return 1;
    case 'sphere':
      return 2;
    default:
      return 0;
  }
}

/** First eigenvalue squared at a perfect surface, between slab, cylinder and sphere: the slowest time of a piece. */
export function slowestTimeS(thicknessM: number, exponent: number, diffusivity = 1.4e-7): number {
  const [e0, e1, e2] = [2.467, 5.783, 9.87];
  const c2 = (e2 - 2 * e1 + e0) / 2;
  const zeta2 = e0 + exponent * (e1 - e0 - c2) + exponent * exponent * c2;
  return (thicknessM / 2) ** 2 / (diffusivity * zeta2);
}
