import * as z from 'zod';
import { readingWords } from '../../words/reading-en';
import { readingWordsEs } from '../../words/reading-es';
import { filled, type Params } from '../../words/sentence';
import { namesOf, type Language } from '../names/food-names';

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

/** Where the words of those params stand that are codes themselves. */
const sectionOf = { food: 'food', family: 'family-plain', because: 'family-by' } as const;
type WordSection = (typeof sectionOf)[keyof typeof sectionOf];

/** What fills a sentence, with the codes among it as the words of a catalogue. */
export const saidParams = (params: Params, word: (section: WordSection, code: string) => string): Params =>
  Object.fromEntries(
    Object.entries(params).map(([name, value]) => [
      name,
      name in sectionOf ? word(sectionOf[name as keyof typeof sectionOf], String(value)) : value,
    ]),
  );

/** The sentence in a language. */
export function saidIn({ section, code, params }: Said, language: Language): string {
  const texts: Readonly<Record<string, Readonly<Record<string, string>>>> = catalogues[language];
  const word = (of: WordSection, x: string): string => (of === 'food' ? nameIn(x, language) : texts[of]![x]!);
  return filled(texts[section]![code]!, saidParams(params, word));
}

/** What a food is called in a language. */
export const nameIn = (food: string, language: Language): string => namesOf(food, language)[0] ?? food;
