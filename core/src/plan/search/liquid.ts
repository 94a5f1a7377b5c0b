import { aimIndexOf, type Texture } from '../../grain/texture';
import { uptakeGPerG } from '../../grain/uptake';
import type { Setup } from '../setup/setup';
import type { LiquidBounds } from '../setup/bounds';
import { isLoosePorridge } from '../gather/sauce-wanted';
import { finishedMass, saucyFrom, wantedSauceG } from '../setup/sauce';
import type { GrainOutcome } from '../simulate/outcome';

/** What the liquid is solved for. */
export interface Miss {
  /** how far an outcome is from what is wanted; grows with the liquid, negative asks for more */
  of: (out: GrainOutcome) => number;
  /** near enough */
  close: number;
}

/** Accuracy of the search: texture points, g of sauce, share of the dish. */
const tolerance = { points: 0.03, sauceG: 1 };
/** A dish meant to be separate has no more loose liquid than this share, and what a share beyond it weighs in points [derived]. */
const looseShare = 0.04;
const looseWeight = 60;
/** Below this wanted share the sauce gives way to the grain, which may be so much softer than wished, points [derived]. */
const ampleShare = 0.1;
const moistPoints = 3;
/** No sauce is worth a grain that is so much drier than aimed at, points [derived]. */
const dryPoints = 1;
/** Loose water around a starch as the lid opens, g a gram dry: with none left it would have drunk more, and is hard inside [derived]. */
const looseGPerG = 0.1;
/** Grams of sauce that weigh as much as a point of texture [derived]. */
const gramsPerPoint = 15;
const mostSteps = 24;

/**
 * What the liquid is solved for: the sauce the cook set, the sauce the family wants, or the texture of the grain. Every one
 * of them grows with the liquid, so that there is one answer.
 */
export function missOf({ g, src }: Pick<Setup, 'g' | 'src'>, texture: Texture): Miss | null {
  if (!g.grain) return null;
  const sauce = g.dish.overrides?.ledger?.['sauce'];
  if (sauce !== undefined) return { of: (o) => o.clock.freeG - sauce, close: tolerance.sauceG };
  const rec = g.grain.food.grain!;
  const pasta = g.grain.food.kind === 'pasta';
  const aim = aimIndexOf(rec, texture);
  // A porridge is one mass: whether its kernels drank the liquid or it stands around them is nothing to its cook.
  if (isLoosePorridge(g)) {
    const drunk = g.grain.grams * uptakeGPerG(rec.rawMoisture[0], rec.aimMoisture[0]);
    const solidG = finishedMass(g, 0) - src.fromItems.reduce((s, x) => s + x.grams, 0) + drunk;
    const wanted = drunk + (g.sauceShare / (1 - g.sauceShare)) * solidG;
    return { of: (o) => o.upG + o.sauceG - wanted, close: tolerance.sauceG };
  }
  if (g.sauceShare >= saucyFrom || pasta) {
    // A grain that only wants to be moist is not drowned for its sauce: the wetter it gets, the less sauce it is left.
    const bound = !pasta && !g.rule.stirred && g.sauceShare < ampleShare;
    const sauceBy = (o: GrainOutcome): number =>
      Math.max(
        o.sauceG - wantedSauceG(g, o.finishedG),
        bound ? gramsPerPoint * (o.texture.index - aim - moistPoints) : -Infinity,
      );
    // Cream and cheese at the end are sauce, and no water that the starch could drink under the lid: some of that stays
    // loose, or a grain has reached its aim without.
    const leastLooseG = looseGPerG * g.grain.grams;
    const grainAim = aimIndexOf(rec, 'fluffy');
    const drankBy = (o: GrainOutcome): number =>
      Math.max(
        o.clock.freeG - leastLooseG,
        pasta ? -Infinity : gramsPerPoint * (o.texture.index - grainAim + dryPoints),
      );
    return {
      of: (o) => Math.min(sauceBy(o), drankBy(o)),
      close: tolerance.sauceG,
    };
  }
  return {
    of: (o) => Math.max(o.texture.index - aim, looseWeight * (o.freeShare - looseShare)),
    close: tolerance.points,
  };
}

/**
 * The liquid within its bounds that gives what is wanted with this program, mL, and the outcome: a bracketed secant
 * (Illinois) on the clock of the starch, not the closed form, which does not know how much the grain really drinks in its time.
 */
export function liquidFor(
  at: (ml: number) => GrainOutcome,
  miss: Miss,
  bounds: LiquidBounds,
  startMl: number,
): { addMl: number; outcome: GrainOutcome } {
  const seen = (ml: number): { ml: number; out: GrainOutcome; by: number } => {
    const out = at(ml);
    return { ml, out, by: miss.of(out) };
  };
  const done = (x: { ml: number; out: GrainOutcome }) => ({ addMl: x.ml, outcome: x.out });
  const clamp = (ml: number): number => Math.min(bounds.mostMl, Math.max(bounds.leastMl, ml));
  let low: ReturnType<typeof seen> | null = null;
  let high: ReturnType<typeof seen> | null = null;
  let x = seen(clamp(startMl));
  let step = Math.max(40, 0.15 * x.ml);
  for (let i = 0; i < mostSteps; i++) {
    if (Math.abs(x.by) < miss.close) return done(x);
    if (x.by < 0) low = x;
    else high = x;
    if (low && high) break;
    if (low && low.ml >= bounds.mostMl) return done(low);
    if (high && high.ml <= bounds.leastMl) return done(high);
    x = seen(clamp(x.by < 0 ? x.ml + step : x.ml - step));
    step *= 2;
  }
  if (!low || !high) return done(x);
  let [lowBy, highBy] = [low.by, high.by];
  let last = 0;
  for (let i = 0; i < mostSteps; i++) {
    x = seen(low.ml + ((high.ml - low.ml) * -lowBy) / (highBy - lowBy));
    if (Math.abs(x.by) < miss.close || high.ml - low.ml < 0.5) return done(x);
    if (x.by < 0) {
      low = x;
      lowBy = x.by;
      if (last < 0) highBy /= 2;
      last = -1;
    } else {
      high = x;
      highBy = x.by;
      if (last > 0) lowBy /= 2;
      last = 1;
    }
  }
  return done(x);
}
