import * as z from 'zod';

const num = z.number();

export const potCurveSchema = z.object({
  /** minutes after the lid locks */
  minutes: z.array(num),
  tempC: z.array(num),
  gaugeKpa: z.array(num),
});
export type PotCurve = z.infer<typeof potCurveSchema>;

export const curveSchema = potCurveSchema.extend({
  /** centre of the slowest meat, when there is one */
  meatC: z.array(num).optional(),
  /** the grain or pasta itself: its bed lags behind the pot */
  grainC: z.array(num).optional(),
  /** liquid that it has not drunk yet, g */
  freeG: z.array(num).optional(),
});
export type Curve = z.infer<typeof curveSchema>;
