import type { Setup } from '../setup/setup';
import type { Plan } from '../document/document';
import { holdsOf } from './holds';
import { runMeats } from '../simulate/meat';
import { heat, piecesOf } from '../simulate/heated';
import { setupOfPlan } from '../simulate/stages';

/**
 * The shortest hold, not under the planned one, with which every piece that the plan calls safe is safe in this setup too,
 * with the plan's own liquid and release, by the cautious run. Null where no hold is long enough.
 *
 * @param b the dish in another pot than the plan's, as a rule the pot of the table
 */
export function safeHoldMin(bare: Setup, p: Plan): number | null {
  const safe = p.meats.filter((m) => m.ok).map((m) => m.ingredient);
  if (safe.length === 0) return p.program.holdMin;
  const setup = setupOfPlan(bare, p);
  const { pressure, release, holdMin } = p.program;
  const h = heat(setup, { addMl: p.liquid.addMl, pressure, texture: p.texture });
  const isSafe = (min: number): boolean => {
    const run = h.heated.finish(min, release);
    return runMeats(setup.g, run, piecesOf(h)).every((m) => m.verdict.ok || !safe.includes(m.verdict.ingredient));
  };
  return [holdMin, ...holdsOf(h).filter((x) => x > holdMin)].find(isSafe) ?? null;
}
