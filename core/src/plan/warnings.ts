import { steamC } from '../water/atmosphere';
import type { PotProfile } from '../pot/profile';
import type { FryStep, MeatVerdict, PlantVerdict, Severity, Warning } from './document';
import { hasFlag, type Gathered } from './gather';
import type { Candidate } from './pressure';
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
  scorch: 'low' | 'watch' | 'high';
  addMl: number;
  /** what was put under pressure though it curdles */
  curdles: string[];
  /** the texture asked for could not be reached with any liquid */
  missed: boolean;
}

const fryTexts = {
  burns: '{} fries too long in this order and burns: put it in last.',
  steams: '{} goes in after wet vegetables and steams instead of browning: fry it before them.',
  sticks: '{} goes in before any fat and sticks: fat first.',
} as const;

type Params = Record<string, string | number>;

/** Everything a cook should know before the lid locks, worst first. The texts follow the codes in the catalogues. */
export function warningsOf(c: Context): Warning[] {
  const out: Warning[] = [];
  const say = (severity: Severity, code: string, text: string, params: Params = {}): void => {
    out.push({ code, severity, text, params });
  };
  const { pot, geo, chosen } = c;
  if (chosen.run.neverSealed)
    say(
      'stop',
      'never-seals',
      'The pot does not come to pressure with this load: too little liquid or too weak a heat.',
    );
  if (chosen.run.dry) say('stop', 'boils-dry', 'The pot boils dry in this program. Add liquid.');
  if (geo.fillFraction > geo.limitFraction)
    say(
      'stop',
      'over-full',
      `The pot is filled to ${pct(geo.fillFraction)} %; the limit for food that swells is ${pct(geo.limitFraction)} %. Cook less or take a larger pot.`,
      {
        fill: pct(geo.fillFraction),
        limit: pct(geo.limitFraction),
      },
    );
  for (const m of c.meats)
    if (!m.ok)
      say(
        'stop',
        'meat-under',
        `${m.ingredient}: predicted ${m.cautiousCoreC} degC at the worst, its published minimum is ${m.safeMinimumC} degC. Cut it thinner or hold longer.`,
        {
          ingredient: m.ingredient,
          core: m.cautiousCoreC,
          minimum: m.safeMinimumC,
        },
      );
  const peeks = c.g.grain?.food.kind === 'pasta' ? 0.15 : 0.05;
  if (geo.dryGrainShare > peeks && geo.dryGrainShare <= 0.3 && c.g.grain?.food.kind === 'pasta')
    say(
      'caution',
      'pasta-peeks',
      `${pct(geo.dryGrainShare)} % of the pasta stands above the liquid. Press it down, do not stir.`,
      { share: pct(geo.dryGrainShare) },
    );
  else if (geo.dryGrainShare > peeks)
    say(
      'stop',
      'grain-dry',
      `${pct(geo.dryGrainShare)} % of the grain stands above the liquid and stays hard. Add liquid or spread the grain lower.`,
      { share: pct(geo.dryGrainShare) },
    );
  if (geo.thinLiquidMl < pot.minimumLiquidMl[0])
    say(
      'caution',
      'liquid-short',
      `Thin liquid ${Math.round(geo.thinLiquidMl)} mL is under this pot's minimum of ${pot.minimumLiquidMl[0]} mL. Cook a larger batch or a smaller pot; the maker's manual wins.`,
      {
        have: Math.round(geo.thinLiquidMl),
        minimum: pot.minimumLiquidMl[0],
      },
    );
  for (const p of c.plants)
    if (p.verdict === 'hard')
      say('caution', 'plant-hard', `${p.ingredient} stays hard in the middle. Cut it smaller or hold longer.`, {
        ingredient: p.ingredient,
      });
  for (const m of c.meats)
    if (m.texture === 'tough')
      say(
        'caution',
        'meat-tough',
        `${m.ingredient} is done but stays tough: it needs more time than this grain has. Cut it smaller, start it earlier, or choose a quicker cut.`,
        {
          ingredient: m.ingredient,
        },
      );
  if (geo.bowlFraction > 2 / 3)
    say(
      'stop',
      'bowl-full',
      `The inner bowl would swell to ${pct(geo.bowlFraction)} % full; two thirds is the limit. Cook less in it.`,
      { fill: pct(geo.bowlFraction) },
    );
  if (c.curdles.length > 0)
    say('caution', 'curdles', `${c.curdles.join(', ')} curdles under pressure. Stir it in at the end.`, {
      ingredient: c.curdles[0]!,
    });
  if (c.outcome && c.outcome.texture.done < 0.9)
    say('caution', 'hard-core', 'The grain does not get its minutes: expect a hard core. Hold longer.');
  if (c.missed)
    say(
      'caution',
      'texture-missed',
      'No amount of liquid gives the texture asked for in this time; this is the nearest.',
    );
  if (c.scorch === 'high')
    say('caution', 'scorch', 'The base is likely to scorch or the cooker to warn of burning. See the reasons.');
  if (chosen.release.kind === 'quick' && (geo.fillFraction > 0.5 || c.g.items.some((i) => hasFlag(i, 'foams'))))
    say('caution', 'spray', 'A quick release of this pot may spray starch: release in short bursts.');
  for (const f of c.fry)
    if (f.trouble)
      say('caution', `fry-${f.trouble}`, fryTexts[f.trouble].replace('{}', f.ingredient), { ingredient: f.ingredient });
  if (fryMinutes(c.fry) > 30)
    say(
      'caution',
      'saute-ends',
      'Frying takes more than 30 min: an electric cooker ends its sauté by itself and must be started again.',
    );
  if (c.meats.length > 0)
    say(
      'info',
      'thermometer',
      `Check the thickest piece with a thermometer: ${Math.max(...c.meats.map((m) => m.safeMinimumC))} degC in the middle decides, not this prediction.`,
      {
        minimum: Math.max(...c.meats.map((m) => m.safeMinimumC)),
      },
    );
  if (c.altitudeM >= 300) {
    const t = steamC(pot.highKpa, c.altitudeM);
    say('info', 'altitude', `At ${c.altitudeM} m the pot holds ${t.toFixed(1)} degC; the minutes account for it.`, {
      altitude: c.altitudeM,
      temp: Math.round(t * 10) / 10,
    });
  }
  say('info', 'manual', "The maker's manual, your food-safety authority and the pin decide: never force the lid.");
  const order: Record<Severity, number> = { stop: 0, caution: 1, info: 2 };
  return out.sort((a, b) => order[a.severity] - order[b.severity]);
}

const pct = (x: number): number => Math.round(x * 100);
