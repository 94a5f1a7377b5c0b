import { celsius, fahrenheit, gPerOunce, mPerFoot, type Kitchen } from '@einkorn/core';

/** What a cook types in: the sign of its unit, and how it is stored. */
export interface Entry {
  suffix: string;
  toShown: (stored: number) => number;
  toStored: (shown: number) => number;
}
const asItIs = (x: number): number => x;
export const entries = {
  celsius: { suffix: ' °C', toShown: asItIs, toStored: asItIs },
  // A degree of Fahrenheit is half of a degree Celsius, and no more was read: 165 is the 74 that it is published as.
  fahrenheit: {
    suffix: ' °F',
    // Never minus nought.
    toShown: (c) => Math.round(fahrenheit(c)) + 0,
    toStored: (f) => Math.round(celsius(f) * 2) / 2,
  },
  grams: { suffix: ' g', toShown: asItIs, toStored: asItIs },
  ounces: {
    suffix: ' oz',
    toShown: (g) => Math.round((g / gPerOunce) * 10) / 10,
    toStored: (oz) => Math.round(oz * gPerOunce),
  },
  metres: { suffix: ' m', toShown: asItIs, toStored: asItIs },
  feet: {
    suffix: ' ft',
    toShown: (m) => Math.round(m / mPerFoot),
    toStored: (ft) => Math.round(ft * mPerFoot * 10) / 10,
  },
} as const satisfies Record<string, Entry>;
/** What a field can ask for. */
export type EntryMeasure = 'temperature' | 'weight' | 'height';

/** Degrees as a chart shows them; what is drawn stays in degC. */
export interface Degrees {
  sign: '°C' | '°F';
  of: (c: number) => number;
  /** the degC of a tick */
  at: (shown: number) => number;
  step: number;
}

export const degreesIn = (temperature: Kitchen['temperature']): Degrees =>
  temperature === 'fahrenheit'
    ? { sign: '°F', of: fahrenheit, at: celsius, step: 50 }
    : { sign: '°C', of: asItIs, at: asItIs, step: 20 };
