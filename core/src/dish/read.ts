import { problemOf } from '../zod-problem';
import { issueAt, Problem, refusal, refusalAt, type Issue } from '../problem';
import { measurable } from '../food/find';
import { recordOf } from '../food/own-food';
import { toGrams } from '../quantity/convert';
import { checkToTaste } from './ingredient-grams';
import { kitchenSchema, type Kitchen } from './kitchen';
import { dishFormat, dishSchema, type Dish } from './schema';

/** More of one thing than any pot here could hold, g. */
const mostG = 20_000;
const mostIssues = 20;

/** One step per version of the document: from the version named to the next. The first version has none yet. */
const upgrades: Record<string, (doc: Record<string, unknown>) => Record<string, unknown>> = {};

const isRecord = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null && !Array.isArray(x);

/** Brings an older document to today's format. Throws Problem for a document of another kind or a newer version. */
export function upgradeDish(raw: unknown): unknown {
  if (!isRecord(raw)) throw refusal('not-a-dish');
  let doc = raw;
  for (let i = 0; i < 50; i++) {
    const format = doc['format'];
    if (format === dishFormat) return doc;
    const next = typeof format === 'string' && Object.hasOwn(upgrades, format) ? upgrades[format] : undefined;
    if (!next) break;
    doc = next(doc);
  }
  const format = doc['format'];
  const version = typeof format === 'string' ? /^einkorn\.dish\/(\d+)$/.exec(format) : null;
  throw version
    ? refusalAt('format', 'format-version', { version: version[1]!.slice(0, 8), format: dishFormat })
    : refusalAt('format', 'format-unknown', { format: dishFormat });
}

/** Reads a dish document from outside. Throws Problem `dish-invalid` with a sentence for every bad field. */
export function readDish(raw: unknown): Dish {
  const parsed = dishSchema.safeParse(upgradeDish(raw));
  if (!parsed.success) throw problemOf('dish-invalid', parsed.error);
  checkIngredients(parsed.data);
  return parsed.data;
}

export function readKitchen(raw: unknown): Kitchen {
  const parsed = kitchenSchema.safeParse(raw ?? {});
  if (!parsed.success) throw problemOf('kitchen-invalid', parsed.error);
  return parsed.data;
}

/** What the schema cannot say: foods that exist, amounts that can be weighed, each id once. */
function checkIngredients(dish: Dish): void {
  const issues: Issue[] = [];
  let code = 'dish-invalid';
  const seen = new Set<string>();
  dish.ingredients.forEach((ingredient, i) => {
    const at = `ingredients.${i}`;
    const { id, food, ownFood, prep } = ingredient;
    if (seen.has(id)) issues.push(issueAt(`${at}.id`, 'id-twice', { id }));
    seen.add(id);
    if (ownFood && ownFood.id !== food)
      issues.push(issueAt(`${at}.ownFood.id`, 'packet-of-another-food', { packet: ownFood.id, food }));
    try {
      const pieceG = prep?.pieceG;
      const grams = toGrams(ingredient.amount, measurable(recordOf(ingredient, `${at}.food`), pieceG));
      checkToTaste(ingredient, at);
      if (pieceG !== undefined && pieceG > 1.1 * grams) {
        const params = { piece: Math.round(pieceG), total: Math.round(grams), food };
        issues.push(issueAt(`${at}.prep.pieceG`, 'piece-over-total', params));
      }
      if (grams > mostG)
        issues.push(issueAt(`${at}.amount.value`, 'more-than-a-pot', { kg: Math.round(grams / 1000), food }));
    } catch (e) {
      if (!(e instanceof Problem)) throw e;
      code = e.code;
      issues.push(...(e.issues.length > 0 ? e.issues : [{ path: `${at}.amount.unit`, message: e.message }]));
    }
  });
  if (issues.length > 0) throw new Problem(code, issues[0]!.message, issues.slice(0, mostIssues));
}
