import type { CookEvent } from './events';

/**
 * One list from what two sides know of a cook, each event once: in the order that the server gave, then what it does not
 * know yet, in the order in which it was tapped here. Any two screens that know the same events have the same list.
 */
export function inOrder(own: readonly CookEvent[], heard: readonly CookEvent[]): CookEvent[] {
  const byId = new Map<string, CookEvent>();
  for (const e of [...own, ...heard]) if (byId.get(e.id)?.seq === undefined) byId.set(e.id, e);
  const place = (e: CookEvent): number => e.seq ?? Infinity;
  return [...byId.values()].sort((a, b) => (place(a) === place(b) ? 0 : place(a) - place(b)));
}
