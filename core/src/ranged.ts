import * as z from 'zod';
import { says } from './problem';

const shown = new Intl.NumberFormat('en');

/** A number between two that says which it broke; `unit` stands after the number in the sentence. */
export const ranged = (least: number, most: number, unit: string): z.ZodNumber =>
  z
    .number()
    .min(least, says('at-least', { value: `${shown.format(least)} ${unit}` }))
    .max(most, says('at-most', { value: `${shown.format(most)} ${unit}` }));
