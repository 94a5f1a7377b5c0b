import type { PotProfile } from '../pot/profile';
import {
  Forward,
  inputs,
  outputs,
  type CookSetting,
  type Input,
  type Inputs,
  type Outcome,
  type Output,
} from './forward';
import { zeros } from './linear';
import { curveAt, monotoneCurve, type MonotoneCurve } from './monotone';
import { cookParameters, grainParameters, potParameter, scatterSd } from './parameters';

/*
 * The forward model of one cook, made cheap: curves of one input each, monotone cubics through a few knots that were read off
 * the model. Most add up, for what they multiply is minutes, and the minutes are kept as their logarithm. The heat that comes in
 * and the heat that goes out by wall and leak do not: their powers add, and the minutes go by one over what is left. A pot whose
 * ring leaks, and that loses heat besides, is met only so [derived: 750 random pots in the dishes of the demo, docs/learning.md].
 */

/** Knots of an input in its own spreads, without the middle: more where the model bends more [derived]. */
const knots: Record<Input, readonly number[]> = {
  heat: [-3, -1.5, 1.5, 3],
  loss: [-3, -1.5, 1.5, 3],
  leak: [-2.5, -1, 1, 2, 3, 4],
  vent: [-2.5, 2.5],
  set: [-2.5, 2.5],
  metal: [-2.5, 2.5],
  purge: [-2.5, 2.5],
  scoop: [-2.5, 2.5],
  jug: [-2.5, 2.5],
  juice: [-2.5, 2.5],
  startK: [-2.5, 2.5],
  load: [-2.5, 2.5],
  speed: [-2.5, 2.5],
  lateMin: [-1.5, 2, 5],
};

/** One spread of an input, in its own unit: what is learned of it and what scatters together. */
export function spreadOf(input: Input, pot: Pick<PotProfile, 'kind'>): number {
  switch (input) {
    case 'scoop':
      return Math.hypot(cookParameters.scoop.sd, scatterSd.scoop);
    case 'jug':
      return Math.hypot(cookParameters.jug.sd, scatterSd.jug);
    case 'juice':
      return 1;
    case 'startK':
      return scatterSd.startK;
    case 'load':
      return scatterSd.load;
    case 'speed':
      return Math.hypot(cookParameters['speed:react'].sd, grainParameters.speed.sd);
    case 'lateMin':
      return cookParameters.late.sd;
    default:
      return potParameter(pot, input).sd;
  }
}

export interface Emulator {
  /** in the middle of all inputs */
  base: Outcome;
  /** what each input adds to an output, or to its rate where that is the sum of powers; a curve that is 0 at 0 */
  curves: Readonly<Record<Output, readonly InputCurve[]>>;
}
interface InputCurve {
  input: Input;
  curve: MonotoneCurve;
  isPower: boolean;
}

const powers: readonly Input[] = ['heat', 'loss', 'leak'];
const byPower: readonly Output[] = ['pin', 'toFull', 'natural'];
/** Of the power in the middle so much is always left: under it the logarithm goes straight on. */
const leastPower = 0.1;

/** Reads the emulator of a cook off the forward model; null where the pot of the table never comes to pressure with it. */
export function emulatorOf(c: CookSetting, pot: Pick<PotProfile, 'kind'>): Emulator | null {
  const forward = new Forward(c);
  const base = forward.run({});
  if (!Number.isFinite(base.pin)) return null;
  const read = inputs
    .filter((input) => forward.feels(input))
    .map((input) => {
      const spread = spreadOf(input, pot);
      return {
        input,
        points: knots[input].map((k) => ({ at: k * spread, outcome: forward.run({ [input]: k * spread }) })),
      };
    });
  const curvesOf = (output: Output): Emulator['curves'][Output] =>
    read.flatMap(({ input, points }) => {
      const isPower = powers.includes(input) && byPower.includes(output);
      const curve = curveOf(points, output, { base, isPower });
      return curve ? [{ input, curve, isPower }] : [];
    });
  return { base, curves: Object.fromEntries(outputs.map((o) => [o, curvesOf(o)])) as Emulator['curves'] };
}

/** Null where the input does not move the output, or the cook has none. */
function curveOf(
  read: readonly { at: number; outcome: Outcome }[],
  output: Output,
  { base, isPower }: { base: Outcome; isPower: boolean },
): MonotoneCurve | null {
  if (!Number.isFinite(base[output])) return null;
  // Where the pot no longer seals the curve ends at the last knot that did.
  const more = (ln: number): number => (isPower ? Math.exp(-ln) - 1 : ln);
  const points = [...read.map((r) => ({ x: r.at, y: more(r.outcome[output] - base[output]) })), { x: 0, y: 0 }]
    .filter((p) => Number.isFinite(p.y))
    .sort((a, b) => a.x - b.x);
  if (points.length < 2 || points.every((p) => Math.abs(p.y) < 1e-9)) return null;
  return monotoneCurve(
    points.map((p) => p.x),
    points.map((p) => p.y),
  );
}

/** One output at these inputs; `slopeIn` is given its slope in each that moves it. */
export function emulated(
  e: Emulator,
  output: Output,
  x: Inputs,
  slopeIn: (input: Input, slope: number) => void = () => undefined,
): number {
  const curves = e.curves[output];
  const slopes = zeros(curves.length);
  let value = e.base[output];
  let power = 1;
  for (let i = 0; i < curves.length; i++) {
    const { input, curve, isPower } = curves[i]!;
    const at = curveAt(curve, x[input] ?? 0);
    slopes[i] = at.slope;
    if (isPower) power += at.value;
    else value += at.value;
  }
  const left = Math.max(leastPower, power);
  for (let i = 0; i < curves.length; i++)
    if (slopes[i] !== 0) slopeIn(curves[i]!.input, curves[i]!.isPower ? -slopes[i]! / left : slopes[i]!);
  return value - Math.log(left) + (left - power) / left;
}
