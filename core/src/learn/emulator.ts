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
import { curveAt, monotoneCurve, type MonotoneCurve } from './monotone';
import { cookParameters, grainParameters, potParameter, scatterSd } from './parameters';

/*
 * The forward model of one cook, made cheap: every output as a sum of curves of one input each, monotone cubics through a
 * few knots that were read off the model. No interactions [derived: bench/learn has their error].
 */

/** Knots of an input in its own spreads, without the middle: more where the model bends more [derived]. */
const knots: Record<Input, readonly number[]> = {
  heat: [-3, -1.5, 1.5, 3],
  loss: [-3, -1.5, 1.5, 3],
  leak: [-2.5, -1, 1, 2, 3],
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
  /** what each input adds to an output, a curve that is 0 at 0 */
  curves: Readonly<Record<Output, readonly { input: Input; curve: MonotoneCurve }[]>>;
}

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
      const curve = curveOf(points, output, base);
      return curve ? [{ input, curve }] : [];
    });
  return { base, curves: Object.fromEntries(outputs.map((o) => [o, curvesOf(o)])) as Emulator['curves'] };
}

/** Null where the input does not move the output, or the cook has none. */
function curveOf(
  read: readonly { at: number; outcome: Outcome }[],
  output: Output,
  base: Outcome,
): MonotoneCurve | null {
  if (!Number.isFinite(base[output])) return null;
  // Where the pot no longer seals the curve ends at the last knot that did.
  const points = [...read.map((r) => ({ x: r.at, y: r.outcome[output] - base[output] })), { x: 0, y: 0 }]
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
  let value = e.base[output];
  for (const { input, curve } of e.curves[output]) {
    const at = curveAt(curve, x[input] ?? 0);
    value += at.value;
    if (at.slope !== 0) slopeIn(input, at.slope);
  }
  return value;
}
