import { celsius, fahrenheit, gPerOunce, mPerFoot, type Kitchen } from '@einkorn/core';

/** What a cook types in: its sign, and the value that is shown and kept. */
export interface Entry {
  suffix: string;
  shown: (kept: number) => number;
  kept: (shown: number) => number;
}
const asItIs = (x: number): number => x;
export const entries = {
  celsius: { suffix: ' °C', shown: asItIs, kept: asItIs },
  // A degree of Fahrenheit is half of a degree Celsius, and no more was read: 165 is the 74 that it is published as.
  fahrenheit: {
    suffix: ' °F',
    // Never minus nought.
    shown: (c) => Math.round(fahrenheit(c)) + 0,
    kept: (f) => Math.round(celsius(f) * 2) / 2,
  },
  grams: { suffix: ' g', shown: asItIs, kept: asItIs },
  ounces: {
    suffix: ' oz',
    shown: (g) => Math.round((g / gPerOunce) * 10) / 10,
    kept: (oz) => Math.round(oz * gPerOunce),
  },
  metres: { suffix: ' m', shown: asItIs, kept: asItIs },
  feet: { suffix: ' ft', shown: (m) => Math.round(m / mPerFoot), kept: (ft) => Math.round(ft * mPerFoot * 10) / 10 },
} as const satisfies Record<string, Entry>;
/** What a field can ask for. */
export type Typed = 'temperature' | 'weight' | 'height';

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
