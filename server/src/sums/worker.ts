import { Problem } from '@einkorn/core';
import { sum, type SumKind } from './sums';

/** What comes back from the other thread: an error there loses its class on the way, so a refusal travels as data. */
export type Returned = { value: unknown } | { problem: ReturnType<Problem['toJSON']> };

/** One sum in a thread of its own. */
export default function work({ kind, asked }: { kind: SumKind; asked: never }): Returned {
  try {
    return { value: sum(kind, asked) };
  } catch (e) {
    if (e instanceof Problem) return { problem: e.toJSON() };
    throw e;
  }
}
