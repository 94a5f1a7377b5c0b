import { isMince } from '../../food/meats';
import type { Plan } from '../document/document';
import { hasFlag, type Gathered } from '../gather/item';
import type { Run } from './run';

export type Advice = Plan['program']['advice'][number];

/** From this fill on a quick release carries starch with it; pieces this thick lose juice by it [common practice]. */
const highFill = 0.5;
const largeMm = 25;
/** A pin that needs longer than this to fall by itself is a wait that somebody notices, min [common practice]. */
const longMin = 15;

/**
 * What speaks for and against a quick and a natural release of this pot, as codes of the text catalogue: spray of foam and
 * starch, juice of large pieces, pasta that runs past al dente, the grain that goes on cooking, and plain waiting.
 */
export function releaseAdvice(x: { g: Gathered; fill: number; run: Run; naturalFullMin: number }): Advice[] {
  const { g, fill, run, naturalFullMin } = x;
  const out: Advice[] = [];
  const say = (release: Advice['release'], weight: Advice['weight'], code: string): void => {
    out.push({ release, weight, code });
  };
  const pasta = g.grain?.food.kind === 'pasta';
  const foams = g.items.some((i) => hasFlag(i, 'foams') && i.joins === 'stack');
  const starchy = g.grain !== null && !g.inBowl;
  if (foams) say('quick', 'against', 'foam-at-the-valve');
  else if (starchy && fill > highFill) say('quick', 'against', 'full-and-starchy');
  else if (starchy && !pasta && !g.rule.stirred) say('quick', 'against', 'starch-sprays');
  if (run.meats.some((m) => m.item.thicknessMm >= largeMm && !isMince(m.item.food)))
    say('quick', 'against', 'large-pieces-lose-juice');
  if (pasta) say('quick', 'for', 'pasta-stops');
  if (g.rule.stirred && g.grain && !pasta) say('quick', 'for', 'stirred-anyway');
  if (pasta) say('natural', 'against', 'past-al-dente');
  if (starchy && !pasta) say('natural', 'for', 'cooks-on-gently');
  if (naturalFullMin > longMin) say('natural', 'against', 'long-wait');
  if (!g.grain && !foams) say('natural', 'for', 'only-time-is-lost');
  return out;
}
