import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { Problem, refusal } from '@einkorn/core';
import type { Sums } from './sums';
import type { Returned } from './worker';

/** Sums that may wait; a household asks for a few, a loop gone wrong for thousands. */
const mostWaiting = 64;

/** The first sum after a quiet time waits some 0.2 s for its thread [derived]. */
const idleMs = 20_000;

/** Sums in threads of their own; one core is left to the taps. `file` is the built worker. */
export function openPool(file: string): { sums: Sums; close: () => Promise<void> } {
  const pool = new Piscina({
    filename: file,
    // Plans are made in the browser: a thread that nobody has asked for a while gives its memory back.
    minThreads: 0,
    idleTimeout: idleMs,
    maxThreads: Math.max(1, availableParallelism() - 1),
    maxQueue: mostWaiting,
    // A tap comes before any plan, also where there are more threads than cores.
    niceIncrement: 10,
    // A plan lets go of most that it makes at once; more room for that would only stay taken.
    resourceLimits: { maxYoungGenerationSizeMb: 2 },
  });
  const sums: Sums = async (kind, asked) => {
    if (pool.queueSize >= mostWaiting) throw refusal('busy');
    const back = (await pool.run({ kind, asked })) as Returned;
    if ('problem' in back) throw new Problem(back.problem.code, back.problem.message, back.problem.issues);
    return back.value as never;
  };
  return { sums, close: () => pool.close({ force: true }) };
}
