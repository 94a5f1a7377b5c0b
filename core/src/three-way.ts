import { stableJson } from './stable-json';

export interface Merged<T> {
  merged: T;
  /** fields that both sides changed, each to something else; they stand in `merged` as they are held */
  collisions: string[];
}

/**
 * A change made on one screen brought into what another has changed meanwhile, field by field.
 *
 * @param had the fields as the screen had them when it changed them; absent: it had none
 * @param wanted the same fields as the screen wants them; absent: it wants them gone
 * @param held everything as it is kept now
 */
export function threeWay<T extends object>(had: Partial<T>, wanted: Partial<T>, held: T): Merged<T> {
  const changed = new Map<string, unknown>();
  const collisions: string[] = [];
  for (const key of new Set([...Object.keys(had), ...Object.keys(wanted)]) as Set<keyof T & string>) {
    const [before, after, now] = [had[key], wanted[key], held[key]];
    if (same(before, after) || same(now, after)) continue;
    if (!same(now, before)) collisions.push(key);
    else changed.set(key, after);
  }
  const all = [...Object.entries(held).filter(([key]) => !changed.has(key)), ...changed];
  return { merged: Object.fromEntries(all.filter(([, value]) => value !== undefined)) as T, collisions };
}

const same = (a: unknown, b: unknown): boolean =>
  a === b || (a !== undefined && b !== undefined && stableJson(a) === stableJson(b));
