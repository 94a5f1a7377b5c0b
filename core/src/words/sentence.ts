import { metric, showHeight, showLength, showTemperature, showWeight, type Measure, type Numbers } from '../measures';
import { en } from './en';

export type Params = Readonly<Record<string, string | number>>;
export type Section = keyof typeof en;
export type Code<S extends Section> = keyof (typeof en)[S] & string;

/** `{{ x }}` of a text, and `{{ x:temperature }}`: a figure that is shown in the units of the kitchen, or such a number itself. */
const placeholder = /\{\{\s*(\w+)(?::(\w+))?\s*\}\}/g;

/** What stands in for a measured placeholder: the number that was given or that stands there; words stay words. */
export function measuredIn(name: string, params: Params): string | number {
  const given = params[name] ?? name;
  const x = typeof given === 'string' && given.trim() !== '' ? Number(given) : given;
  return typeof x === 'number' && !Number.isNaN(x) ? x : given;
}

/** A text of the catalogue with its placeholders filled, in metric units; what is not given stays open to see. */
export const filled = (text: string, params: Params = {}): string =>
  text.replace(placeholder, (open, name: string, measure?: Measure) => {
    if (measure === undefined) return String(params[name] ?? open);
    const value = measuredIn(name, params);
    return typeof value === 'number' ? inMetric[measure](value) : value;
  });

const number: Numbers = (x, digits = 0) => String(Number(x.toFixed(digits)));
const inMetric: Readonly<Record<Measure, (x: number) => string>> = {
  temperature: (c) => showTemperature(c, metric, number),
  weight: (g) => showWeight(g, metric, number),
  volume: (ml) => `${number(ml)} mL`,
  length: (mm) => showLength(mm, metric, number),
  height: (m) => showHeight(m, metric, number),
};

/** The English sentence of a code, filled. The compiler knows every code. */
export const sentence = <S extends Section>(section: S, code: Code<S>, params: Params = {}): string =>
  filled((en[section] as Readonly<Record<string, string>>)[code]!, params);

/** The same for a code that comes from a document; one that is not in the catalogue is read as its own words. */
export const sentenceOf = (section: Section, code: string, params: Params = {}): string =>
  filled((en[section] as Readonly<Record<string, string>>)[code] ?? code.replaceAll('-', ' '), params);

/** The code of what is said of a parameter that a log cannot tell; taste stands for every part of it. */
export function notKnownCode(parameter: string): Code<'not-known'> {
  const name = parameter.split(':')[0]!;
  return name in en['not-known'] ? (name as Code<'not-known'>) : 'taste';
}
