import { en } from './en';

export type Params = Readonly<Record<string, string | number>>;
export type Section = keyof typeof en;
export type Code<S extends Section> = keyof (typeof en)[S] & string;

/** A text of the catalogue with its `{{ x }}` filled; what is not given stays open to see. */
export const filled = (text: string, params: Params = {}): string =>
  text.replace(/\{\{\s*(\w+)\s*\}\}/g, (open, name: string) => String(params[name] ?? open));

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
