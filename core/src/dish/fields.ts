import * as z from 'zod';
import { says } from '../problem';
import { ranged } from '../ranged';

const liquid = z.number().min(0, says('liquid-negative')).max(20_000, says('more-than-any-pot'));

/** Numbers that stand in a document and in a field of their own on a screen: one schema for both. */
export const fields = {
  holdMin: z.number().min(0, says('minutes-negative')).max(120, says('hold-too-long')),
  naturalMin: ranged(0, 90, 'min'),
  liquidMl: liquid,
  /** of a row of the water sum */
  rowG: liquid,
  saltG: ranged(0, 500, 'g'),
  grainG: ranged(1, 9000, 'g'),
  altitudeM: z.number().min(-430, says('altitude-least')).max(5500, says('altitude-most')),
  coreC: z.number().min(0, says('core-least')).max(130, says('core-most')),
  weighedG: ranged(0, 50_000, 'g'),
  timerMin: ranged(0.5, 600, 'min'),
} as const;
