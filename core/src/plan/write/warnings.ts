import { isMince } from '../../food/meats';
import { sentence, type Code, type Params } from '../../words/sentence';
import { steamC } from '../../water/atmosphere';
import type { PotRun } from '../../pot/program';
import type { PotProfile } from '../../pot/profile';
import { bowlLimit, dryLimits, type LiquidBounds } from '../setup/bounds';
import { poorOf100 } from '../judge/chance';
import type { FinishStep, FryStep } from '../document/steps';
import type { MeatVerdict, PlantVerdict } from '../document/verdicts';
import type { Severity, Warning } from '../document/document';
import { rawAtFinish } from './finish';
import { boilsUp, hasFlag, type Gathered } from '../gather/item';
import { pastaX } from '../../food/pasta';
import { hardCore } from '../../grain/texture';
import { isBurstPorridge } from '../gather/sauce-wanted';
import { leastThinMl } from '../setup/bounds';
import { isFrozen } from '../gather/shape';
import type { Geometry } from '../setup/stack';
import type { GrainOutcome } from '../simulate/outcome';
import { fryMinutes } from '../setup/fry';

/** What is known of a dish when its warnings are written. */
export interface Facts {
  g: Gathered;
  pot: PotProfile;
  altitudeM: number;
  geo: Geometry;
  potRun: Pick<PotRun, 'neverSealed' | 'dry'>;
  outcome: GrainOutcome | null;
  plants: PlantVerdict[];
  meats: MeatVerdict[];
  fry: FryStep[];
  finish: FinishStep[];
  scorch: 'low' | 'watch' | 'high';
  /** chance that the dish comes out as wanted, 0..1 */
  chance: number;
  /** chance that the release sprays, 0..1 */
  spray: number;
  grainBand: string | null;
  topUpMl: number;
  /** how much liquid may be added, and what sets it; null where it is given */
  bounds: LiquidBounds | null;
  /** what was put under pressure though it curdles */
  curdles: string[];
  /** the texture asked for could not be reached with any liquid */
  missed: boolean;
  /** what sets the end of the liquid at which it stands; null inside its bounds */
  boundBy: string | null;
  /** pasta that waits for the finish because it would be soft on the way */
  heldPasta: string | null;
}

type Say = (severity: Severity, code: Code<'warning'>, params?: Record<string, string | number>) => void;

/** A spray less likely than this is nothing to talk about [common practice]. */
const tellSpray = 0.06;
/** Frozen pieces this small come as one lump [common practice], mm. */
const lumpMm = 30;

/** Everything a cook should know before the lid locks, worst first, as codes of the catalogue with what fills them. */
export function warningsOf(c: Facts): Warning[] {
  const out: Warning[] = [];
  const say: Say = (severity, code, params = {}) => {
    out.push({ code, severity, text: sentence('warning', code, inWords(params)), params });
  };
  // First of the cautions: the others say why.
  const of100 = Math.round(100 * c.chance);
  if (of100 < poorOf100)
    say('caution', 'poor-chance', {
      of100,
    });
  potWarnings(c, say);
  meatWarnings(c, say);
  starchWarnings(c, say);
  panWarnings(c, say);
  if (c.altitudeM >= 300) {
    const t = steamC(c.pot.highKpa, c.altitudeM);
    say('info', 'altitude', {
      altitude: c.altitudeM,
      temp: Math.round(t * 10) / 10,
    });
  }
  say('info', 'manual');
  const order: Record<Severity, number> = { stop: 0, caution: 1, info: 2 };
  return out.sort((a, b) => order[a.severity] - order[b.severity]);
}

function potWarnings({ g, pot, geo, potRun, topUpMl, bounds, scorch, spray }: Facts, say: Say): void {
  if (potRun.neverSealed) say('stop', 'never-seals');
  if (potRun.dry) say('stop', 'boils-dry');
  const shares = { starch: pct(geo.shares.starch), water: pct(geo.shares.liquid), other: pct(geo.shares.other) };
  if (geo.fillFraction > geo.limitFraction)
    say('stop', 'over-full', { fill: pct(geo.fillFraction), limit: pct(geo.limitFraction), ...shares });
  else if (geo.foamFraction !== null && geo.fillFraction > geo.foamFraction)
    say('caution', 'foam-line', { fill: pct(geo.fillFraction), limit: pct(geo.foamFraction), ...shares });
  const minimum = pot.minimumLiquidMl[0];
  const thin = { have: Math.round(geo.thinLiquidMl), minimum };
  if (geo.thinLiquidMl < minimum / 2) say('stop', 'liquid-far-short', thin);
  else if (geo.thinLiquidMl < leastThinMl(minimum)) say('caution', 'liquid-short', thin);
  if (geo.bowlFraction > bowlLimit) say('stop', 'bowl-full', { fill: pct(geo.bowlFraction) });
  if (topUpMl > 0) {
    const late = bounds?.mostBy === 'heat-up';
    say('info', late ? 'top-up-for-time' : 'top-up', { ml: topUpMl });
  }
  if (scorch === 'high') say('caution', 'scorch');
  else if (scorch === 'watch') say('caution', 'scorch-watch');
  if (spray > tellSpray) say('caution', 'spray', { chance: pct(spray) });
  if (boilsUp(g)) say('caution', 'milk-under-pressure');
}

/** A guessed piece that is judged so far over its minimum, at 15 % more, is done however it was cut [derived: 5 mm of a slab]. */
const clearlyDoneK = 20;

function meatWarnings({ g, meats, plants, finish }: Facts, say: Say): void {
  for (const i of rawAtFinish(g)) say('stop', 'raw-at-finish', { ingredient: i.ingredient.id });
  for (const m of meats) {
    const params = { ingredient: m.ingredient, core: m.cautiousCoreC, minimum: m.safeMinimumC };
    if (!m.ok && m.kind === 'reheat') say('caution', 'reheat-short', params);
    else if (!m.ok) say('stop', 'meat-under', params);
    const mm = Math.round(m.thicknessMm);
    if (m.guessed && m.ok && m.cautiousCoreC >= m.safeMinimumC + clearlyDoneK)
      say('info', 'thickness-assumed', { ingredient: m.ingredient, mm });
    else if (m.guessed) say('caution', 'thickness-guessed', { ingredient: m.ingredient, mm });
    if (m.texture === 'tough') say('caution', 'meat-tough', { ingredient: m.ingredient });
    if (m.texture === 'dry' && m.kind === 'cook')
      say('caution', 'meat-dry', {
        ingredient: m.ingredient,
      });
  }
  for (const i of g.items)
    if (i.food.kind === 'meat' && isFrozen(i.ingredient) && (isMince(i.food) || i.thicknessMm <= lumpMm))
      say('caution', 'frozen-lump', { ingredient: i.ingredient.id });
  for (const p of plants) {
    if (p.verdict === 'hard')
      say('caution', 'plant-hard', {
        ingredient: p.ingredient,
      });
    if (p.verdict === 'soft' && p.softShare > fallsApart)
      say('caution', 'plant-gone', {
        ingredient: p.ingredient,
      });
  }
  const ends = finish.map((f) => f.minimumC ?? 0);
  const minimum = Math.max(0, ...meats.map((m) => (m.kind === 'none' ? 0 : m.safeMinimumC)), ...ends);
  const inPot = finish.some((f) => f.code === 'check-pot') && Math.max(0, ...ends) === 0;
  if (minimum > 0) say('info', inPot ? 'thermometer-pot' : 'thermometer', { minimum });
}
/** Softening over this many times the most it bears [derived]. */
const fallsApart = 1.4;

/** The planner's own least leaves the grain as dry as it may be: so much over it is not yet a stop. */
const justDry = 0.005;

function starchWarnings(c: Facts, say: Say): void {
  const { g, geo, outcome } = c;
  const pasta = g.grain?.food.kind === 'pasta';
  const dryPct = { share: pct(geo.dryGrainShare) };
  if (geo.dryGrainShare > (pasta ? dryLimits.pastaStop : dryLimits.grain + justDry)) say('stop', 'grain-dry', dryPct);
  else if (pasta && geo.dryGrainShare > dryLimits.pasta) say('caution', 'pasta-peeks', dryPct);
  if (c.curdles.length > 0)
    say('caution', 'curdles', {
      ingredient: c.curdles[0]!,
    });
  if (c.heldPasta) say('info', 'pasta-held-back', { ingredient: c.heldPasta });
  if (c.missed && c.boundBy === 'pot-minimum')
    say('caution', 'wetter-by-minimum', { minimum: c.pot.minimumLiquidMl[0] });
  else if (c.missed && c.boundBy === 'covers-starch') say('info', 'wetter-to-cover');
  else if (c.missed) say('caution', 'texture-missed');
  if (!outcome || !g.grain) return;
  if (!pasta && outcome.texture.done < hardCore) say('caution', 'hard-core');
  if (pasta) {
    const x = (outcome.clock.equivalentMin * outcome.slowing) / g.grain.food.packetMin![0];
    if (x > pastaX.most)
      say('caution', 'pasta-past', {
        times: Math.round(x * 10) / 10,
      });
    if (x < pastaX.least) say('caution', 'hard-core');
  } else if (c.grainBand === 'mushy' && !isBurstPorridge(g)) say('caution', 'mush');
}

function panWarnings({ g, fry }: Facts, say: Say): void {
  for (const f of fry) if (f.trouble) say('caution', `fry-${f.trouble}`, { ingredient: f.ingredient });
  if (fryMinutes(fry) > 30) say('caution', 'saute-ends');
  if (g.items.some((i) => hasFlag(i, 'crisp') && i.joins === 'stack')) say('caution', 'crisp-under-lid');
}

/** What fills the English text: an ingredient by the words of its id. */
const inWords = ({ ingredient, ...rest }: Params): Params =>
  ingredient === undefined ? rest : { ...rest, ingredient: String(ingredient).replaceAll('-', ' ') };

const pct = (x: number): number => Math.round(x * 100);
