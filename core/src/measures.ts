import { formatQuantity } from 'format-quantity';

/** What a kitchen measures; stored in degC, g, mL, mm and m, whatever is shown. */
export const measures = ['temperature', 'weight', 'volume', 'length', 'height'] as const;
export type Measure = (typeof measures)[number];

/** How a kitchen shows what it measures; volumes have a wish of their own, for they are asked in cups more often. */
export interface Shown {
  units: 'metric' | 'cups';
  temperature: 'celsius' | 'fahrenheit';
  weights: 'grams' | 'ounces';
  lengths: 'metric' | 'inches';
}
export const metric: Shown = { units: 'metric', temperature: 'celsius', weights: 'grams', lengths: 'metric' };

/** A number in the words of a language, with so many decimals at most. */
export type Numbers = (x: number, digits?: number) => string;

/** What one of each unit is, exact by definition: the inch (1959), the avoirdupois ounce, degrees of Fahrenheit. */
export const mmPerInch = 25.4;
export const gPerOunce = 28.349523125;
export const mPerFoot = 0.3048;
export const fahrenheit = (c: number): number => c * 1.8 + 32;
export const celsius = (f: number): number => (f - 32) / 1.8;

/** Steps that a kitchen can measure: 5 mL up to half a litre, 1 g for spices, 10 above a kilo. */
export function roundKitchen(value: number): number {
  const step = value < 20 ? 1 : value < 1000 ? 5 : 10;
  return Math.round(value / step) * step;
}

export const ouncesPerPound = 16;

export const showTemperature = (c: number, { temperature }: Shown, number: Numbers): string =>
  temperature === 'fahrenheit' ? `${number(fahrenheit(c))} °F` : `${number(c)} °C`;

/** No ounce scale shows less, g. */
const leastOunceG = gPerOunce / 10;

/** A scale of a kitchen shows kilograms from here on, g. */
const kilogramsFromG = 2000;

function inGrams(g: number, number: Numbers): string {
  if (g >= kilogramsFromG) return `${number(roundKitchen(g) / 1000, 2)} kg`;
  return `${g < 20 ? number(g, 1) : number(roundKitchen(g))} g`;
}

/** "455 g"; "1 lb", "2¼ oz", "14 oz": as a cook says it, finer where there is little. */
export function showWeight(g: number, { weights }: Shown, number: Numbers): string {
  if (weights !== 'ounces' || g < leastOunceG) return inGrams(g, number);
  const ounces = g / gPerOunce;
  if (ounces < 0.5) return `${number(ounces, 1)} oz`;
  const step = ounces < 4 ? 1 / 4 : ounces < 8 ? 1 / 2 : 1;
  const near = Math.round(ounces / step) * step;
  if (near < ouncesPerPound) return `${fraction(near)} oz`;
  const rest = near % ouncesPerPound;
  const pounds = `${number(Math.floor(near / ouncesPerPound))} lb`;
  return rest === 0 ? pounds : `${pounds} ${number(rest)} oz`;
}

/** "25 mm"; "1 in", "⅜ in": eighths as far as a hand, then quarters, then whole inches. */
export function showLength(mm: number, { lengths }: Shown, number: Numbers): string {
  if (lengths !== 'inches') return `${number(mm, mm < 10 ? 1 : 0)} mm`;
  const inches = mm / mmPerInch;
  const step = inches < 4 ? 1 / 8 : inches < 12 ? 1 / 4 : 1;
  const near = Math.round(inches / step) * step;
  return near === 0 ? '1/16 in' : `${fraction(near)} in`;
}

/** "1,180 m"; "3,870 ft". */
export const showHeight = (m: number, { lengths }: Shown, number: Numbers): string =>
  lengths === 'inches' ? `${number(Math.round(m / mPerFoot / 10) * 10)} ft` : `${number(m)} m`;

const fraction = (x: number): string => formatQuantity(x, { vulgarFractions: true }) ?? '0';
