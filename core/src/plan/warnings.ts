import { steamC } from '../water/atmosphere';
import type { PotProfile } from '../pot/profile';
import { bowlLimit, dryLimits, type LiquidBounds } from './bounds';
import { poorOf100 } from './chance';
import type { FinishStep, FryStep, MeatVerdict, PlantVerdict, Severity, Warning } from './document';
import { rawAtFinish } from './finish';
import { boilsUp, hasFlag, type Gathered } from './item';
import { pastaX } from '../food/pasta';
import { hardCore } from '../grain/texture';
import type { Candidate } from './weigh';
import { leastThinMl } from './scorch';
import { isFrozen } from './shape';
import type { Geometry } from './stack';
import type { GrainOutcome } from './water';
import { fryMinutes } from './fry';

interface Context {
  g: Gathered;
  pot: PotProfile;
  altitudeM: number;
  geo: Geometry;
  chosen: Candidate;
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
  addMl: number;
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

const fryTexts = {
  burns: '{} fries too long in this order and burns: put it in last.',
  steams: '{} goes in after wet vegetables and steams instead of browning: fry it before them.',
  sticks: '{} goes in before any fat and sticks: fat first.',
} as const;

type Params = Record<string, string | number>;
type Say = (severity: Severity, code: string, text: string, params?: Params) => void;

/** A spray less likely than this is nothing to talk about [common practice]. */
const tellSpray = 0.06;
/** Frozen pieces this small come as one lump [common practice], mm. */
const lumpMm = 30;

/** Everything a cook should know before the lid locks, worst first. The texts follow the codes in the catalogues. */
export function warningsOf(c: Context): Warning[] {
  const out: Warning[] = [];
  const say: Say = (severity, code, text, params = {}) => {
    out.push({ code, severity, text, params });
  };
  // First of the cautions: the others say why.
  const of100 = Math.round(100 * c.chance);
  if (of100 < poorOf100)
    say(
      'caution',
      'poor-chance',
      `Only ${of100} of 100 cooks by this plan come out as wanted. See what would do better.`,
      {
        of100,
      },
    );
  potWarnings(c, say);
  meatWarnings(c, say);
  starchWarnings(c, say);
  panWarnings(c, say);
  if (c.altitudeM >= 300) {
    const t = steamC(c.pot.highKpa, c.altitudeM);
    say('info', 'altitude', `At ${c.altitudeM} m the pot holds ${t.toFixed(1)} degC; the minutes account for it.`, {
      altitude: c.altitudeM,
      temp: Math.round(t * 10) / 10,
    });
  }
  say('info', 'manual', "The maker's manual, your food-safety authority and the pin decide: never force the lid.");
  const order: Record<Severity, number> = { stop: 0, caution: 1, info: 2 };
  return out.sort((a, b) => order[a.severity] - order[b.severity]);
}

function potWarnings({ g, pot, geo, chosen, topUpMl, bounds, scorch, spray }: Context, say: Say): void {
  if (chosen.run.neverSealed)
    say(
      'stop',
      'never-seals',
      'The pot does not come to pressure with this load: too little liquid or too weak a heat.',
    );
  if (chosen.run.dry) say('stop', 'boils-dry', 'The pot boils dry in this program. Add liquid.');
  const shares = { starch: pct(geo.shares.starch), water: pct(geo.shares.liquid), other: pct(geo.shares.other) };
  if (geo.fillFraction > geo.limitFraction)
    say(
      'stop',
      'over-full',
      `The pot is filled to ${pct(geo.fillFraction)} % (${shares.starch} % of it starch, ${shares.water} % liquid, ${shares.other} % the rest); no cooker is filled beyond ${pct(geo.limitFraction)} %. Cook less or take a larger pot.`,
      { fill: pct(geo.fillFraction), limit: pct(geo.limitFraction), ...shares },
    );
  else if (geo.foamFraction !== null && geo.fillFraction > geo.foamFraction)
    say(
      'caution',
      'foam-line',
      `The pot is filled to ${pct(geo.fillFraction)} %, over the half line for things that foam (${shares.starch} % of it is starch). Let the pressure fall by itself for some minutes before the valve.`,
      { fill: pct(geo.fillFraction), limit: pct(geo.foamFraction), ...shares },
    );
  const minimum = pot.minimumLiquidMl[0];
  const thin = { have: Math.round(geo.thinLiquidMl), minimum };
  if (geo.thinLiquidMl < minimum / 2)
    say(
      'stop',
      'liquid-far-short',
      `Thin liquid at the base is ${thin.have} mL, under half of this pot's minimum of ${minimum} mL: it will not come to pressure and burns. Add liquid; the maker's manual wins.`,
      thin,
    );
  else if (geo.thinLiquidMl < leastThinMl(minimum))
    say(
      'caution',
      'liquid-short',
      `Thin liquid ${thin.have} mL is under this pot's minimum of ${minimum} mL. Cook a larger batch or a smaller pot; the maker's manual wins.`,
      thin,
    );
  if (geo.bowlFraction > bowlLimit)
    say(
      'stop',
      'bowl-full',
      `The inner bowl would swell to ${pct(geo.bowlFraction)} % full; two thirds is the limit. Cook less in it.`,
      { fill: pct(geo.bowlFraction) },
    );
  if (topUpMl > 0) {
    const late = bounds?.mostBy === 'heat-up';
    const text = late
      ? `${topUpMl} mL of liquid wait: with them the pot is so long under way that the grain goes soft. Stir them in boiling hot after opening.`
      : `${topUpMl} mL of liquid do not fit under the lid: stir them in boiling hot after opening.`;
    say('info', late ? 'top-up-for-time' : 'top-up', text, { ml: topUpMl });
  }
  if (scorch === 'high')
    say('caution', 'scorch', 'The base is likely to scorch or the cooker to warn of burning. See the reasons.');
  else if (scorch === 'watch')
    say('caution', 'scorch-watch', 'The base may scorch: scrape it clean, do not stir, and see the reasons.');
  if (spray > tellSpray)
    say(
      'caution',
      'spray',
      `Let off like this the valve may spray (${pct(spray)} in 100): release in short bursts, away from the face.`,
      { chance: pct(spray) },
    );
  if (boilsUp(g))
    say(
      'caution',
      'milk-under-pressure',
      'Milk under pressure boils up and catches: half full at most, natural release.',
    );
}

/** A guessed piece that is judged so far over its minimum, at 15 % more, is done however it was cut [derived: 5 mm of a slab]. */
const clearlyDoneK = 20;

function meatWarnings({ g, meats, plants, finish }: Context, say: Say): void {
  for (const i of rawAtFinish(g))
    say(
      'stop',
      'raw-at-finish',
      `${i.ingredient.id} would go in raw after the lid: that never cooks it through. Put it under pressure, or cook it apart.`,
      { ingredient: i.ingredient.id },
    );
  for (const m of meats) {
    const params = { ingredient: m.ingredient, core: m.cautiousCoreC, minimum: m.safeMinimumC };
    if (!m.ok && m.kind === 'reheat')
      say(
        'caution',
        'reheat-short',
        `${m.ingredient}: cooked before, and heated to only ${m.cautiousCoreC} degC here; leftovers are reheated to ${m.safeMinimumC} degC all through.`,
        params,
      );
    else if (!m.ok)
      say(
        'stop',
        'meat-under',
        `${m.ingredient}: predicted ${m.cautiousCoreC} degC at the worst, its published minimum (recalled) is ${m.safeMinimumC} degC. Cut it thinner or hold longer.`,
        params,
      );
    const mm = Math.round(m.thicknessMm);
    if (m.guessed && m.ok && m.cautiousCoreC >= m.safeMinimumC + clearlyDoneK)
      say(
        'info',
        'thickness-assumed',
        `${m.ingredient}: thickness taken as ${mm} mm. Even a good deal thicker it would be done.`,
        { ingredient: m.ingredient, mm },
      );
    else if (m.guessed)
      say(
        'caution',
        'thickness-guessed',
        `${m.ingredient}: thickness guessed at ${mm} mm. Measure the thickest piece; safety is judged at 15 % more.`,
        { ingredient: m.ingredient, mm },
      );
    if (m.texture === 'tough')
      say(
        'caution',
        'meat-tough',
        `${m.ingredient} is done but stays tough: it needs more time than this grain has. Cut it smaller, start it earlier, or choose a quicker cut.`,
        { ingredient: m.ingredient },
      );
    if (m.texture === 'dry' && m.kind === 'cook')
      say(
        'caution',
        'meat-dry',
        `${m.ingredient} gets more than it likes and turns dry. Cut it larger or let it wait.`,
        {
          ingredient: m.ingredient,
        },
      );
  }
  for (const i of g.items)
    if (i.food.kind === 'meat' && isFrozen(i.ingredient) && (i.food.meat!.cut === 'ground' || i.thicknessMm <= lumpMm))
      say(
        'caution',
        'frozen-lump',
        `${i.ingredient.id} is frozen: pieces that hang together are one thick lump. Separate them, or thaw first.`,
        { ingredient: i.ingredient.id },
      );
  for (const p of plants) {
    if (p.verdict === 'hard')
      say('caution', 'plant-hard', `${p.ingredient} stays hard in the middle. Cut it smaller or hold longer.`, {
        ingredient: p.ingredient,
      });
    if (p.verdict === 'soft' && p.softShare > fallsApart)
      say('caution', 'plant-gone', `${p.ingredient} goes to pieces in this time. Cut it larger or put it in later.`, {
        ingredient: p.ingredient,
      });
  }
  const ends = finish.map((f) => f.minimumC ?? 0);
  const minimum = Math.max(0, ...meats.map((m) => (m.kind === 'none' ? 0 : m.safeMinimumC)), ...ends);
  if (minimum > 0)
    say(
      'info',
      'thermometer',
      `Check the thickest piece with a thermometer: ${minimum} degC in the middle decides (published minimum, recalled: your authority decides), not this prediction.`,
      { minimum },
    );
}
/** Softening over this many times the most it bears [derived]. */
const fallsApart = 1.4;

function starchWarnings(c: Context, say: Say): void {
  const { g, geo, outcome } = c;
  const pasta = g.grain?.food.kind === 'pasta';
  const dryPct = { share: pct(geo.dryGrainShare) };
  if (pasta && geo.dryGrainShare > dryLimits.pasta && geo.dryGrainShare <= dryLimits.pastaStop)
    say(
      'caution',
      'pasta-peeks',
      `${dryPct.share} % of the pasta stands above the liquid. Press it down, do not stir.`,
      dryPct,
    );
  else if (geo.dryGrainShare > (pasta ? dryLimits.pastaStop : dryLimits.grain) + 0.005)
    say(
      'stop',
      'grain-dry',
      `${dryPct.share} % of the grain stands above the liquid and stays hard. Add liquid or spread the grain lower.`,
      dryPct,
    );
  if (c.curdles.length > 0)
    say('caution', 'curdles', `${c.curdles.join(', ')} curdles under pressure. Stir it in at the end.`, {
      ingredient: c.curdles[0]!,
    });
  if (c.heldPasta)
    say(
      'info',
      'pasta-held-back',
      `${c.heldPasta} would be soft before this much soup is at pressure: it is simmered in the open pot at the end.`,
      { ingredient: c.heldPasta },
    );
  if (c.missed && c.boundBy === 'pot-minimum')
    say(
      'caution',
      'wetter-by-minimum',
      `This pot needs ${c.pot.minimumLiquidMl[0]} mL of thin liquid for its steam, more than so small a batch wants: it comes out wetter. Cook more of it, or cook it in a bowl over water.`,
      { minimum: c.pot.minimumLiquidMl[0] },
    );
  else if (c.missed && c.boundBy === 'covers-starch')
    say('info', 'wetter-to-cover', 'The starch must lie under the liquid: it comes out a little saucier than asked.');
  else if (c.missed)
    say(
      'caution',
      'texture-missed',
      'No liquid that this pot takes gives the texture or sauce asked for; this is the nearest.',
    );
  if (!outcome || !g.grain) return;
  if (!pasta && outcome.texture.done < hardCore)
    say('caution', 'hard-core', 'The grain does not get its minutes: expect a hard core. Hold longer.');
  if (pasta) {
    const x = (outcome.clock.equivalentMin * outcome.slowing) / g.grain.food.packetMin![0];
    if (x > pastaX.most)
      say('caution', 'pasta-past', `The pasta gets ${x.toFixed(1)} times its packet minutes: expect it soft.`, {
        times: Math.round(x * 10) / 10,
      });
    if (x < pastaX.least)
      say('caution', 'hard-core', 'The pasta does not get its minutes: expect a hard core. Hold longer.');
  } else if (c.grainBand === 'mushy')
    say('caution', 'mush', 'The grain goes to mush: less liquid, or parts that need less time.');
}

function panWarnings({ g, fry }: Context, say: Say): void {
  for (const f of fry)
    if (f.trouble)
      say('caution', `fry-${f.trouble}`, fryTexts[f.trouble].replace('{}', f.ingredient), { ingredient: f.ingredient });
  if (fryMinutes(fry) > 30)
    say(
      'caution',
      'saute-ends',
      'Frying takes more than 30 min: an electric cooker ends its sauté by itself and must be started again.',
    );
  if (g.items.some((i) => hasFlag(i, 'crisp') && i.joins === 'stack'))
    say('caution', 'crisp-under-lid', 'Crisp things go soft under the lid: scatter them over at the end.');
}

const pct = (x: number): number => Math.round(x * 100);
