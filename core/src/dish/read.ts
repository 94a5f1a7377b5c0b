import type * as z from 'zod';
import { nearest } from '../nearest';
import { Problem, type Issue } from '../problem';
import { measurable } from '../food/find';
import { recordOf } from '../food/own-food';
import { toGrams } from '../quantity/convert';
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
  if (!isRecord(raw)) throw new Problem('not-a-dish', 'This is not a dish document: it must be one JSON object.');
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
  const message = version
    ? `This dish was written by a newer Einkorn (version ${version[1]!.slice(0, 8)}); this one reads ${dishFormat}. Update Einkorn, then open it again.`
    : `The field "format" must be "${dishFormat}", so that the file can be read for ever.`;
  throw new Problem(version ? 'format-version' : 'format-unknown', message, [{ path: 'format', message }]);
}

/** Reads a dish document from outside. Throws Problem `dish-invalid` with a sentence for every bad field. */
export function readDish(raw: unknown): Dish {
  const parsed = dishSchema.safeParse(upgradeDish(raw));
  if (!parsed.success) throw problemOf('dish-invalid', 'The dish cannot be read.', parsed.error);
  checkIngredients(parsed.data);
  return parsed.data;
}

export function readKitchen(raw: unknown): Kitchen {
  const parsed = kitchenSchema.safeParse(raw ?? {});
  if (!parsed.success) throw problemOf('kitchen-invalid', 'The kitchen settings cannot be read.', parsed.error);
  return parsed.data;
}

/** What the schema cannot say: foods that exist, amounts that can be weighed, each id once. */
function checkIngredients(dish: Dish): void {
  const issues: Issue[] = [];
  let code = 'dish-invalid';
  const seen = new Set<string>();
  dish.ingredients.forEach((ingredient, i) => {
    const at = `ingredients.${i}`;
    if (seen.has(ingredient.id))
      issues.push({ path: `${at}.id`, message: `Two ingredients share the id "${ingredient.id}". Give each its own.` });
    seen.add(ingredient.id);
    if (ingredient.ownFood && ingredient.ownFood.id !== ingredient.food)
      issues.push({
        path: `${at}.ownFood.id`,
        message: `The packet is of "${ingredient.ownFood.id}", the ingredient of "${ingredient.food}". They must be the same food.`,
      });
    try {
      const pieceG = ingredient.prep?.pieceG;
      const grams = toGrams(ingredient.amount, measurable(recordOf(ingredient, `${at}.food`), pieceG));
      if (pieceG !== undefined && pieceG > 1.1 * grams)
        issues.push({
          path: `${at}.prep.pieceG`,
          message: `One piece of ${Math.round(pieceG)} g is more than the ${Math.round(grams)} g of ${ingredient.food} in all. Check the weight of a piece or the amount.`,
        });
      if (grams > mostG)
        issues.push({
          path: `${at}.amount.value`,
          message: `${Math.round(grams / 1000)} kg of ${ingredient.food} is more than any pot holds. Check the amount and its unit.`,
        });
    } catch (e) {
      if (!(e instanceof Problem)) throw e;
      code = e.code;
      issues.push(...(e.issues.length > 0 ? e.issues : [{ path: `${at}.amount.unit`, message: e.message }]));
    }
  });
  if (issues.length > 0) throw new Problem(code, issues[0]!.message, issues.slice(0, mostIssues));
}

/** Zod's findings as sentences with dotted paths. */
export function problemOf(code: string, message: string, error: z.ZodError): Problem {
  const issues = error.issues.slice(0, mostIssues).flatMap((i): Issue[] => {
    const path = i.path.map(String).join('.');
    if (i.code === 'unrecognized_keys')
      return i.keys.slice(0, 5).map((k) => ({
        path: path === '' ? k.slice(0, 60) : `${path}.${k.slice(0, 60)}`,
        message: `The field "${k.slice(0, 60)}" is not part of the document. Remove it or check its spelling.`,
      }));
    if (i.code === 'invalid_type')
      return [{ path, message: i.message.startsWith('Invalid') ? sentence(i) : i.message }];
    if (i.code === 'invalid_value') {
      const values = i.values.map(String);
      const given = typeof i.input === 'string' ? nearest(i.input, values, 2) : [];
      return [
        {
          path,
          message: `Use one of: ${values.join(', ')}.${given.length > 0 ? ` Did you mean ${given.join(' or ')}?` : ''}`,
        },
      ];
    }
    return [{ path, message: i.message }];
  });
  return new Problem(code, issues[0] ? `${message} ${issues[0].path}: ${issues[0].message}` : message, issues);
}

function sentence(i: { expected: string; input?: unknown; message: string }): string {
  const missing = i.message.endsWith('received undefined');
  const names: Record<string, string> = {
    number: 'a number',
    string: 'text',
    array: 'a list',
    object: 'an object',
    boolean: 'true or false',
  };
  const want = names[i.expected] ?? i.expected;
  return missing ? `This field is missing; it must be ${want}.` : `This must be ${want}.`;
}
