import type { Bench } from './bench';
import type { Plan } from './document';
import { holdsOf } from './holds';
import { runMeats } from './meat';
import { heat } from './cooked';
import { benchOfPlan } from './stages';

/**
 * The shortest hold, not under the planned one, with which every piece that the plan calls safe is safe on this bench too,
 * with the plan's own liquid and release, by the cautious run. Null where no hold is long enough.
 *
 * @param b the dish in another pot than the plan's, as a rule the pot of the table
 */
export function safeHoldMin(bare: Bench, p: Plan): number | null {
  const safe = p.meats.filter((m) => m.ok).map((m) => m.ingredient);
  if (safe.length === 0) return p.program.holdMin;
  const b = benchOfPlan(bare, p);
  const { pressure, release, holdMin } = p.program;
  const h = heat(b, { addMl: p.liquid.addMl, pressure, texture: p.texture });
  const isSafe = (min: number): boolean => {
    const run = h.heated.finish(min, release);
    return runMeats(b.g, run, { depthCm: h.depthCm, earlier: h.earlier }).every(
      (m) => m.verdict.ok || !safe.includes(m.verdict.ingredient),
    );
  };
  return [holdMin, ...holdsOf(h).filter((x) => x > holdMin)].find(isSafe) ?? null;
}
