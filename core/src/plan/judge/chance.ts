import { timePoints, timeTerm } from '../../grain/texture';
import { goesUnderLid, hasFlag } from '../gather/item';
import type { MeatRun } from '../simulate/meat';
import { logistic, normal } from '../../normal';
import type { Heated } from '../simulate/heated';
import type { Setup } from '../setup/setup';
import type { TargetE, WantedBand } from '../setup/target';
import { moistureSpread, type GrainOutcome } from '../simulate/outcome';
import { saucyFrom } from '../setup/sauce';

/** How many of a hundred cooks come out as wanted, 0..1, and what can go wrong. */
export interface Chance {
  all: number;
  /** the starch falls into the wanted band, and its core is done */
  texture: number;
  /** every piece is over its minimum */
  pieces: number;
  /** the base stays clean */
  base: number;
  /** nothing sprays from the valve */
  release: number;
}

/**
 * One standard deviation: the clock of a grain, of pasta (its packet's own rounding in it), and of the minutes that make a
 * core hard; the law of time on texture is believed to half of what it says [derived].
 */
export const textureSd = { kinetics: 0.08, pasta: 0.09, core: 0.12, law: 0.5 } as const;
/** Pasta that found less water than this stays hard inside however long it lay there [derived]. */
const leastPastaMoisture = { at: 0.54, sd: 0.015 } as const;

/**
 * A starchy or foaming pot that is let off at once sprays with this chance when it is full; it falls with the fill, and by
 * e with every few minutes of natural release before the valve [common practice, made numbers here: derived].
 */
const spray = {
  foam: 0.35,
  starch: 0.3,
  stirred: 0.15,
  plain: 0.02,
  midFill: 0.5,
  widthFill: 0.1,
  calmMin: 2.5,
} as const;

/** Chance that a release after `naturalMin` sprays, at this fill. */
export function sprayChance({ setup: { g }, fill }: Pick<Heated, 'setup' | 'fill'>, naturalMin: number): number {
  if (g.inBowl) return 0;
  const foams = g.items.some((i) => hasFlag(i, 'foams') && goesUnderLid(i));
  const most = foams ? spray.foam : !g.grain ? spray.plain : g.rule.stirred ? spray.stirred : spray.starch;
  const full = logistic((fill - spray.midFill) / spray.widthFill);
  return most * full * Math.exp(-naturalMin / spray.calmMin);
}

/** Chance that the starch lies in its band: its moisture and its clock are normal, and its core has had its minutes. */
export function textureChance(
  { g, src }: Pick<Setup, 'g' | 'src'>,
  out: GrainOutcome,
  band: WantedBand,
  target: TargetE,
): number {
  const e = Math.max(1e-3, out.clock.equivalentMin);
  if (g.grain!.food.kind === 'pasta') {
    const x = (e * out.slowing) / g.grain!.food.packetMin![0];
    const sd = textureSd.pasta * x;
    const drank = normal((out.clock.moisture - leastPastaMoisture.at) / leastPastaMoisture.sd);
    return drank * (normal((band.to - x) / sd) - normal((band.from - x) / sd));
  }
  const saucy = g.sauceShare >= saucyFrom;
  const moisture = moistureSpread(g, src, out).points;
  // The further from the reference, the less is known of what the time does to the texture.
  const off = Math.abs(timePoints * Math.log(e / target.want));
  const clock = Math.abs(timeTerm(1 + textureSd.kinetics, 1, out.freeShare, saucy));
  const sd = Math.hypot(moisture, clock, textureSd.law * off);
  const inBand = normal((band.to - out.texture.index) / sd) - normal((band.from - out.texture.index) / sd);
  const core = normal(Math.log(e / target.hard) / textureSd.core);
  return inBand * core * normal(Math.log(target.most / e) / textureSd.core);
}

/** Chance that all pieces are safe; they share one pot, so the weakest decides. */
export const piecesChance = (meats: readonly MeatRun[]): number =>
  meats.reduce((least, m) => Math.min(least, m.safeChance), 1);

/** A plan that comes out as wanted less often than this, of 100, is said to be poor and shown with what does better [from memory]. */
export const poorOf100 = 30;

/** Everything together: the four are taken as independent. */
export function chanceOf(parts: Omit<Chance, 'all'>): Chance {
  return { ...parts, all: parts.texture * parts.pieces * parts.base * parts.release };
}
