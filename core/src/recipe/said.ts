import type { Family } from '../dish/schema';
import { readingWords } from '../words/reading-en';
import { readingWordsEs } from '../words/reading-es';
import { filled, type Params } from '../words/sentence';
import { namesOf, type Language } from './food-names';
import * as z from 'zod';

const catalogues = { en: readingWords, es: readingWordsEs };
const codes = Object.keys(readingWords.reading) as [ReadingCode, ...ReadingCode[]];
const misfits = Object.keys(readingWords.misfit) as [MisfitCode, ...MisfitCode[]];

export type ReadingCode = keyof typeof readingWords.reading;
export type MisfitCode = keyof typeof readingWords.misfit;

const paramsSchema = z.record(z.string(), z.union([z.string(), z.number()]));
/**
 * What the reader says: where its sentence stands in the catalogue and what fills it. A screen says it in its own language, a
 * document in that of the recipe. `food`, `family` and `because` are codes themselves.
 */
export const saidSchema = z.union([
  z.object({ section: z.literal('reading'), code: z.enum(codes), params: paramsSchema }),
  z.object({ section: z.literal('misfit'), code: z.enum(misfits), params: paramsSchema }),
]);
export type Said = z.infer<typeof saidSchema>;

export const said = (code: ReadingCode, params: Params = {}): Said => ({ section: 'reading', code, params });
export const saidOfMisfit = (code: MisfitCode): Said => ({ section: 'misfit', code, params: {} });

/** The sentence in a language. */
export function saidIn({ section, code, params }: Said, language: Language): string {
  const words = catalogues[language];
  const texts: Readonly<Record<string, string>> = words[section];
  const named = Object.entries(params).map(([name, value]): [string, string | number] => {
    if (name === 'food') return [name, nameIn(String(value), language)];
    if (name === 'family') return [name, words['family-plain'][value as Family]];
    if (name === 'because') return [name, words['family-by'][value as keyof (typeof words)['family-by']]];
    return [name, value];
  });
  return filled(texts[code]!, Object.fromEntries(named));
}

/** What a food is called in a language. */
export const nameIn = (food: string, language: Language): string => namesOf(food, language)[0] ?? food;
