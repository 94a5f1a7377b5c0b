import { Problem, refusal, type Issue } from '../problem';
import { readDish } from './read';
import type { Dish } from './schema';

/** A document from outside as far as it can be understood, and what had to be left out, each with its place. */
export interface Imported {
  dish: Dish;
  leftOut: Issue[];
}

const mostRounds = 30;
type Json = Record<string, unknown>;

/**
 * Reads a dish document and leaves out what is not understood instead of refusing it: unknown fields, bad optional fields,
 * and whole ingredients whose food or amount cannot be read. Throws Problem when no dish is left.
 */
export function importDish(raw: unknown): Imported {
  const leftOut: Issue[] = [];
  let doc: unknown;
  try {
    doc = structuredClone(raw);
  } catch {
    throw refusal('not-a-dish');
  }
  for (let round = 0; round < mostRounds; round++) {
    try {
      return { dish: readDish(doc), leftOut };
    } catch (e) {
      if (!(e instanceof Problem) || e.issues.length === 0) throw e;
      // From the back, so that the places of the others stay true while ingredients are taken out.
      const found = e.issues.filter((issue) => issue.path !== '').sort((a, b) => (a.path < b.path ? 1 : -1));
      const gone = found.filter((issue) => leaveOut(doc as Json, issue.path));
      if (gone.length === 0) throw e;
      leftOut.push(...gone.reverse());
    }
  }
  throw refusal('dish-garbled', {}, ...leftOut.slice(0, 20));
}

/** Takes the ingredient or the field at a path out of the document; false when there is nothing to take, or it is needed. */
function leaveOut(doc: Json, path: string): boolean {
  const parts = path.split('.');
  const list = doc['ingredients'];
  if (parts[0] === 'ingredients' && Array.isArray(list)) {
    const at = Number(parts[1]);
    if (!Number.isInteger(at) || at >= list.length) return false;
    const deep = parts[2] !== undefined && !['id', 'food', 'amount'].includes(parts[2]);
    if (deep) return removeKey(list[at] as Json, parts.slice(2));
    list.splice(at, 1);
    return true;
  }
  // Without these nothing is a dish.
  if (['format', 'title', 'family', 'serves', 'ingredients'].includes(parts[0]!) && parts.length === 1) return false;
  return removeKey(doc, parts);
}

function removeKey(from: Json, parts: readonly string[]): boolean {
  let at: unknown = from;
  for (const key of parts.slice(0, -1)) {
    if (typeof at !== 'object' || at === null) return false;
    at = (at as Json)[key];
  }
  const last = parts.at(-1)!;
  if (typeof at !== 'object' || at === null) return false;
  if (Object.hasOwn(at, last)) return Reflect.deleteProperty(at, last);
  // A needed part of an optional thing is missing: the thing goes.
  return parts.length > 1 && removeKey(from, parts.slice(0, -1));
}
