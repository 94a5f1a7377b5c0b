import * as z from 'zod';
import { binders } from '../../food/binder';

const num = z.number();

/** What comes after the lid: thickening, the crust, a big batch, keeping. */
export const afterSchema = z
  .object({
    /** null where no liquid stands free */
    thicken: z
      .object({
        freeG: num,
        simmerGPerMin: num,
        starchG: num,
        /** of what, where the kitchen says it */
        binder: z.enum(binders).optional(),
        waterMl: num,
        standMin: num,
        standDrinksG: num,
      })
      .nullable(),
    crust: z
      .object({ areaCm2: num, crumbG: num, butterG: num, cheeseG: num, ovenC: num, minutes: z.array(num) })
      .nullable(),
    /** how a big batch goes on softening, in the closed pot and in a wide dish, texture points */
    drift: z.object({ minutes: num, closedPoints: num, spreadPoints: num }).nullable(),
    /** depth and area of the pan that cools it in time */
    keep: z.object({
      massG: num,
      depthMm: num,
      areaCm2: num,
      withinMin: num,
      freezePortions: num,
      reheatC: num,
    }),
  })
  .default({
    thicken: null,
    crust: null,
    drift: null,
    keep: { massG: 0, depthMm: 0, areaCm2: 0, withinMin: 120, freezePortions: 0, reheatC: 74 },
  });
