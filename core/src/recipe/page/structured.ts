import type { RecipeParts } from './sections';
import { servesIn } from './sections';
import { isoMinutes, type RecipeTimes } from '../text/times';

type Json = Readonly<Record<string, unknown>>;

/** How deep and how far a foreign document is walked: recipes lie near the top, hostile nesting does not. */
const deepest = 12;
const mostNodes = 20_000;

const isObject = (x: unknown): x is Json => typeof x === 'object' && x !== null && !Array.isArray(x);
const own = (o: Json, key: string): unknown => (Object.hasOwn(o, key) ? o[key] : undefined);
const listOf = (x: unknown): readonly unknown[] => (Array.isArray(x) ? x : x === undefined || x === null ? [] : [x]);
const textOf = (x: unknown): string => (typeof x === 'string' ? x : typeof x === 'number' ? String(x) : '');

/** The first schema.org Recipe in a JSON-LD document: alone, in a list, or anywhere in a nested graph. */
export function findRecipe(doc: unknown): Json | null {
  let nodes = 0;
  const walk = (x: unknown, depth: number): Json | null => {
    if (depth > deepest || ++nodes > mostNodes) return null;
    if (Array.isArray(x)) {
      for (const item of x) {
        const hit = walk(item, depth + 1);
        if (hit) return hit;
      }
      return null;
    }
    if (!isObject(x)) return null;
    if (listOf(own(x, '@type')).some((t) => /(?:^|[/:])Recipe$/.test(textOf(t)))) return x;
    for (const value of Object.values(x)) {
      const hit = typeof value === 'object' ? walk(value, depth + 1) : null;
      if (hit) return hit;
    }
    return null;
  };
  return walk(doc, 0);
}

/** The parts of a schema.org Recipe; markup inside its texts is taken off by `plain`. */
export function partsOfRecipe(recipe: Json, plain: (html: string) => string): RecipeParts {
  const yields = listOf(own(recipe, 'recipeYield') ?? own(recipe, 'yield')).map(textOf);
  const words = yields.map((y) => (/^\s*\d{1,2}\s*$/.test(y) ? `serves ${y}` : y));
  const lines = listOf(own(recipe, 'recipeIngredient') ?? own(recipe, 'ingredients'))
    .flatMap((x) => (isObject(x) ? textOf(own(x, 'name') ?? own(x, 'text')) : textOf(x)).split('\n'))
    .map((t) => plain(t).trim())
    .filter((t) => t !== '');
  return {
    title: plain(textOf(own(recipe, 'name')))
      .trim()
      .slice(0, 120),
    serves:
      words
        .map((w) => servesIn(w) ?? (/^\D*(\d{1,2})\b/.test(w) ? servesIn(`serves ${/(\d{1,2})/.exec(w)![1]}`) : null))
        .find((n) => n !== null) ?? null,
    lines: lines.map((text) => ({ text })),
    steps: stepsOf(own(recipe, 'recipeInstructions'), 0)
      .map((t) => plain(t).trim())
      .filter((t) => t !== ''),
    notes: [],
    times: timesOf(recipe),
  };
}

/** The recipe's own times; what is no duration is left out. */
function timesOf(recipe: Json): RecipeTimes {
  const min = (key: string): number | null => isoMinutes(textOf(own(recipe, key)));
  const given = { prepMin: min('prepTime'), cookMin: min('cookTime'), totalMin: min('totalTime') };
  return Object.fromEntries(Object.entries(given).filter(([, m]) => m !== null));
}

/** Instructions as text, as a list of texts, of HowToStep or of HowToSection with steps inside. */
function stepsOf(x: unknown, depth: number): string[] {
  if (depth > deepest) return [];
  if (typeof x === 'string') return x.split(/\n+|(?<=\.)\s+(?=\p{Lu})/u);
  if (Array.isArray(x)) return x.slice(0, 400).flatMap((item) => stepsOf(item, depth + 1));
  if (!isObject(x)) return [];
  const inner = own(x, 'itemListElement') ?? own(x, 'steps');
  if (inner !== undefined) return stepsOf(inner, depth + 1);
  return stepsOf(textOf(own(x, 'text') ?? own(x, 'name')), depth + 1);
}
