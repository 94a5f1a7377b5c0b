import * as z from 'zod';
import { freeId } from '../dish/free-id';
import { asCookedSchema, dishFormat, dishSchema, prepSchema, type Dish, type Ingredient } from '../dish/schema';
import { isMeatInPieces } from '../food/meats';
import { ownFoodSchema, recordOf } from '../food/own-food';
import { isPlainLiquid } from '../food/plain-liquids';
import { issueAt, refusal } from '../problem';
import type { Params } from '../words/sentence';
import { setAsideAsInSteps } from './steps/aside-in-steps';
import { asksOf, remark, remarks, type Remark } from './asks';
import { recogniseFamily, type Weighed } from './family';
import { languages, type Language } from './names/food-names';
import { foodIn, readLine, type Own, type ReadLine } from './line/line';
import { braiseAsInSteps } from './steps/braise-in-steps';
import { brownAsInSteps } from './steps/brown-in-steps';
import { crumbledInSteps, cutInSteps } from './steps/cut-in-steps';
import { finishAsInSteps } from './steps/finish-in-steps';
import { marinateAsInSteps } from './steps/marinade-in-steps';
import { nounsOf } from './steps/nouns';
import { openAsInSteps } from './steps/open-in-steps';
import { scrambleAsInSteps } from './steps/scramble-in-steps';
import { crumbleInSheets, shapeMeatballs } from './steps/mince';
import { readMethod, type Method } from './steps/method';
import { withoutMarkup } from './page/page';
import { nameIn, said, saidIn, saidSchema, type ReadingCode } from './line/said';
import type { RecipeParts } from './page/sections';
import { noRecipe, sourceOf } from './page/source-text';
import { findRecipe, partsOfRecipe } from './page/structured';
import type { RecipeTimes } from './text/times';
import { fryTomatoAsInSteps } from './steps/tomato-in-steps';
import { fold, writtenOut } from './text/words';

export const readingFormat = 'einkorn.reading/1';

/** The longest text that is read, characters: a cookbook of recipes; a longer file is no recipe. */
const longest = 2_000_000;
const mostLines = 60;

const lineSchema = z.object({
  text: z.string(),
  food: z.string().nullable(),
  ownFood: ownFoodSchema.optional(),
  name: z.string().optional(),
  grams: z.number().nullable(),
  amount: z.object({ value: z.number(), unit: z.string() }).nullable(),
  prep: prepSchema.optional(),
  joins: z.string().optional(),
  back: z.string().optional(),
  left: z.array(z.string()),
  certain: z.number().min(0).max(1),
  note: z.string().optional(),
  said: saidSchema.optional(),
  choices: z.array(z.string()),
  refused: z.boolean(),
});

/** What a recipe was understood to say; see `docs/formats.md`. */
export const readingSchema = z.object({
  format: z.literal(readingFormat),
  language: z.enum(languages),
  dish: dishSchema.nullable(),
  lines: z.array(lineSchema),
  cooked: z.object({
    holdMin: z.number().optional(),
    pressure: z.enum(['high', 'low']).optional(),
    release: asCookedSchema.shape.release.optional(),
    liquidMl: z.number().optional(),
    sauteMin: z.number().optional(),
    whistles: z.number().optional(),
    from: z.array(z.string()),
  }),
  asks: z.array(z.object({ path: z.string(), question: z.string(), said: saidSchema, choices: z.array(z.string()) })),
  report: z.array(
    z.object({
      severity: z.enum(['info', 'caution']),
      text: z.string(),
      said: saidSchema.optional(),
      line: z.number().optional(),
    }),
  ),
});
export type Reading = z.infer<typeof readingSchema>;

/**
 * Reads a recipe: plain text, Markdown, JSON-LD, a saved page, or a dish document of our own. Nothing in it is run, fetched
 * or kept but the recipe. Throws Problem `recipe-empty`, `recipe-too-long` or `recipe-unknown` where there is none.
 *
 * @param kitchen foods and glasses of the cook's own, by whose names lines are read too
 */
export function readRecipe(source: string, asked?: Language, kitchen: Own = {}): Reading {
  if (source.length > longest)
    throw refusal('recipe-too-long', {}, issueAt('text', 'most-characters', { millions: longest / 1_000_000 }));
  const text = source.replace(/^\uFEFF/, '').replaceAll('\0', '');
  if (text.trim() === '') throw refusal('recipe-empty', {}, issueAt('text', 'nothing-to-read'));
  const found = sourceOf(text);
  if ('dish' in found) return ownDish(found.dish, found.leftOut, asked ?? 'en');
  return readingOf(found, asked ?? languageOf(found), kitchen);
}

/** Reads a schema.org document that was already parsed. */
export function readLinkedData(doc: unknown, asked?: Language, kitchen: Own = {}): Reading {
  const recipe = findRecipe(doc);
  if (!recipe) throw noRecipe();
  const parts = partsOfRecipe(recipe, withoutMarkup);
  return readingOf(parts, asked ?? languageOf(parts), kitchen);
}

const spanishWords =
  /\b(?:de|del|con|para|tazas?|cucharad(?:a|it)as?|picad[oa]s?|cebolla|ajo|aceite|agua|arroz|pollo|sal|ingredientes|preparacion)\b/g;
const englishWords =
  /\b(?:of|with|the|and|cups?|tablespoons?|teaspoons?|tbsp|tsp|chopped|onion|garlic|oil|water|rice|chicken|salt|ingredients)\b/g;

const languageOf = (parts: RecipeParts): Language => {
  const all = fold([parts.title, ...parts.lines.map((l) => l.text), ...parts.steps].join(' ').slice(0, 8000));
  return (all.match(spanishWords)?.length ?? 0) > (all.match(englishWords)?.length ?? 0) ? 'es' : 'en';
};

/** The meat that a marinade is for; whether it is seared afterwards, the steps say. */
function isMarinated(line: ReadLine, group: string): boolean {
  const food = foodIn(line);
  return group === 'marinade' && food !== null && isMeatInPieces(food);
}

function readingOf(parts: RecipeParts, language: Language, kitchen: Own): Reading {
  if (parts.lines.length === 0 && parts.steps.length === 0) throw noRecipe();
  const report: Remark[] = [];
  const tell = (code: ReadingCode, params: Params, severity: Remark['severity'] = 'info'): void =>
    void report.push(remark(severity, said(code, params), language));
  const lines = parts.lines
    .slice(0, mostLines)
    .flatMap(({ text, group }) =>
      readLine(text, language, kitchen).map((line): ReadLine =>
        group && !line.joins && line.food && !isMarinated(line, group) ? { ...line, joins: group } : line,
      ),
    );
  if (parts.lines.length > mostLines) tell('too-many-lines', { most: mostLines, all: parts.lines.length }, 'caution');
  const steps = parts.steps.map(writtenOut);
  if (steps.length > 0) for (const line of lines) asStepsCutIt(line, steps);
  marinateAsInSteps(lines, steps);
  brownAsInSteps(lines, steps);
  fryTomatoAsInSteps(lines, steps);
  finishAsInSteps(lines, steps);
  braiseAsInSteps(lines, steps);
  openAsInSteps(lines, steps);
  const read = setAsideAsInSteps(lines, steps);
  shapeMeatballs(read, parts, language);
  const method = readMethod(steps);
  const weighed = read.flatMap((l) => (foodIn(l) && (l.grams ?? 0) > 0 ? [{ food: foodIn(l)!, grams: l.grams! }] : []));
  const { family, because } = recogniseFamily(parts.title, weighed, [
    ...parts.steps,
    ...parts.lines.map((l) => l.text),
  ]);
  if (family === 'layered-pasta') read.forEach(crumbleInSheets);
  scrambleAsInSteps(read, steps, family);
  const serves = parts.serves ?? peopleFor(weighed, family);
  if (parts.serves === null) tell('serves-by-amounts', { serves });
  const dish = dishOf(parts, read, { method, family, serves, language });
  if (dish) tell('read-as', { family, because });
  const clock = clockOf(parts.times ?? {});
  if (clock) tell(clock.code, { minutes: clock.minutes });
  read.forEach((l, i) => report.push(...remarks(l, i, language)));
  const liquidMl = Math.round(read.reduce((n, l) => n + pouredMl(l), 0));
  return {
    format: readingFormat,
    language,
    dish,
    lines: read.map(({ doubt: _, ...line }) => line),
    cooked: { ...method, ...(liquidMl > 0 ? { liquidMl } : {}) },
    asks: asksOf(read, method, language),
    report,
  };
}

/** Meat whose line says no cut is as thick as the steps cut it. */
function asStepsCutIt(line: ReadLine, steps: readonly string[]): void {
  const food = foodIn(line);
  const said = line.prep ?? {};
  if (food?.kind !== 'meat' || food.meat?.cut === 'ground' || food.meat?.cut === 'egg') return;
  if (said.thicknessMm !== undefined || (said.shape ?? 'whole') !== 'whole') return;
  if (line.food === 'sausage-fresh' && crumbledInSteps(steps)) {
    line.food = 'sausage-meat';
    delete line.prep;
    return;
  }
  const cut = cutInSteps(steps, new Set([...nounsOf(line, food), 'meat', 'carne']));
  if (!cut) return;
  const { pieceG: _, ...rest } = said;
  line.prep = { ...rest, ...cut };
}

function pouredMl(l: ReadLine): number {
  const food = foodIn(l);
  return food && isPlainLiquid(food.id) ? (l.grams ?? 0) / food.bulkGPerMl[0] : 0;
}

/** What each eats of dry grain, pasta or sheets, which go with much else, and of meat where there is none of them, g [common practice]. */
const eats = { grainG: 75, pastaG: 100, sheetsG: 65, meatG: 150 } as const;

/** A plate of soup with all that is in it, g [common practice]. */
const soupPlateG = 450;

/** People that so much is usually cooked for. */
function peopleFor(foods: readonly Weighed[], family: Dish['family']): number {
  const of = (kind: string): number => foods.filter((f) => f.food.kind === kind).reduce((n, f) => n + f.grams, 0);
  const sheets = foods.filter((f) => f.food.id === 'lasagne-sheet').reduce((n, f) => n + f.grams, 0);
  const seedsG = foods.filter((f) => f.food.plant?.staysHard).reduce((n, f) => n + f.grams, 0);
  const starch = (of('grain') + seedsG) / eats.grainG + (of('pasta') - sheets) / eats.pastaG + sheets / eats.sheetsG;
  const meat = of('meat') / eats.meatG;
  // A pot with much meat and little pasta feeds more than its pasta alone.
  const eaters = starch > 0 ? Math.max(starch, (starch + meat) / 2) : meat;
  const plates = family === 'noodle-soup' ? foods.reduce((n, f) => n + f.grams, 0) / soupPlateG : 0;
  const people = Math.round(Math.max(eaters, plates)) || 4;
  return Math.min(60, Math.max(1, people));
}

/** The dish: every line with a food and an amount. What is to taste, unknown or cooked already stays out and is in the report. */
function dishOf(
  parts: RecipeParts,
  read: readonly ReadLine[],
  { method, family, serves, language }: { method: Method; family: Dish['family']; serves: number; language: Language },
): Dish | null {
  const ingredients: Ingredient[] = [];
  const bowlLiquid = family === 'pot-in-pot' ? liquidOfBowl(read) : null;
  for (const l of read) {
    if (!isPlanned(l)) continue;
    const { food, ownFood, name, amount, prep, joins, back } = l;
    const id = freeId(food!, ingredients);
    ingredients.push({
      id,
      food: food!,
      ...(ownFood ? { ownFood } : {}),
      ...(name ? { name } : {}),
      amount: amount!,
      ...(prep ? { prep } : {}),
      ...(joins ? { joins } : {}),
      ...(back ? { back } : {}),
      ...(l === bowlLiquid ? { place: 'inner-bowl' as const } : {}),
    });
  }
  const dish = {
    format: dishFormat,
    title: parts.title.slice(0, 120) || titleFrom(ingredients, language),
    family,
    serves,
    ingredients,
    ...(method.holdMin !== undefined && method.release
      ? {
          asCooked: {
            pressure: method.pressure ?? ('high' as const),
            holdMin: method.holdMin,
            release: method.release,
            ...(method.whistles ? { whistles: method.whistles } : {}),
          },
        }
      : {}),
  };
  const checked = dishSchema.safeParse(dish);
  return checked.success ? checked.data : null;
}

/** The liquid that goes into the bowl with the grain: the line that says so, or the only one there is. */
function liquidOfBowl(read: readonly ReadLine[]): ReadLine | null {
  const liquids = read.filter((l) => isPlanned(l) && isPlainLiquid(l.food!));
  const said = liquids.find((l) => /\b(?:rice|grain|bowl|arroz|cuenco)\b/i.test(l.text));
  return said ?? (liquids.length === 1 ? liquids[0]! : null);
}

const isCookedStarch = (l: ReadLine): boolean => l.prep?.state === 'cooked' && foodIn(l)?.grain !== undefined;
const isPlanned = (l: ReadLine): boolean => l.food !== null && l.amount !== null && !l.refused && !isCookedStarch(l);

/** A recipe without a title is called by what there is most to say of. */
function titleFrom(ingredients: readonly Ingredient[], language: Language): string {
  const [first, second] = ingredients
    .filter((i) => ['meat', 'grain', 'pasta'].includes(recordOf(i).kind))
    .map((i) => i.ownFood?.name ?? i.name ?? nameIn(i.food, language));
  const words = first && second ? saidIn(said('title-of-two', { first, second }), language) : first;
  const title = words ?? saidIn(said('title-of-none'), language);
  return title.charAt(0).toUpperCase() + title.slice(1);
}

/** The clock of the recipe itself: all of it where it is known, else the cooking. */
function clockOf({ prepMin, cookMin, totalMin }: RecipeTimes): { code: ReadingCode; minutes: number } | null {
  const minutes = totalMin ?? (prepMin !== undefined && cookMin !== undefined ? prepMin + cookMin : undefined);
  if (minutes !== undefined) return { code: 'own-clock', minutes };
  return cookMin === undefined ? null : { code: 'own-clock-cook', minutes: cookMin };
}

function ownDish(dish: Dish, leftOut: readonly { message: string }[], language: Language): Reading {
  const as = dish.asCooked;
  return {
    format: readingFormat,
    language,
    dish,
    lines: [],
    cooked: as
      ? {
          holdMin: as.holdMin,
          pressure: as.pressure,
          release: as.release,
          ...(as.liquidMl === undefined ? {} : { liquidMl: as.liquidMl }),
          from: [],
        }
      : { from: [] },
    asks: [],
    report: leftOut.map((i) => ({ severity: 'caution', text: i.message })),
  };
}
