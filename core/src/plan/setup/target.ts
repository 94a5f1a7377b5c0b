import { aimIndexOf, hardCore, pastaEdges, soakFactorOf, wishShift, wishTime, type Texture } from '../../grain/texture';
import { pastaX } from '../../food/pasta';
import type { Gathered } from '../gather/item';
import { isBurstPorridge, isLoosePorridge } from '../gather/sauce-wanted';
import { grainEdges, saucyFrom, slowingOf } from './sauce';

export interface TargetE {
  /** equivalent minutes at 100 degC: what cooks the core, what is wanted, where the band ends */
  least: number;
  want: number;
  most: number;
  /** under this the core is hard whatever the water */
  hard: number;
}

/** From this share of free liquid on a dish is a soup; its grain has a hard core under so much of its boiling time [derived]. */
export const soupFrom = 0.3;
const soupLeast = 0.8;
/** A rice bursts at so many times its reference: 20 to 30 min under pressure, an hour and more in an open pot [common practice]. */
const burstTimes = { least: 2, want: 3.2 } as const;
/** A grain this much over its reference has left its band: e^(2/3), two texture points of time [derived]. */
const mostOfReference = Math.exp(2 / 3);
/** Doneness of `hardCore` is reached at this share of the least minutes: 1 - e^(-2.5 x) = .85 [derived]. */
const hardShare = -Math.log(1 - hardCore) / 2.5;

/**
 * Minutes at 100 degC this starch wants here: its reference, less after a soak. Where the sauce sets the water (pasta,
 * risotto), the cook's wish for firm or soft is met with time.
 */
export function targetE(g: Gathered, texture: Texture, addMl: number): TargetE {
  const rec = g.grain!.food.grain!;
  const pasta = g.grain!.food.kind === 'pasta';
  const f = pasta ? 1 / slowingOf(g, addMl) : soakFactorOf(rec, g.grain!.ingredient.prep?.soakMin ?? 0);
  const wish = g.sauceShare >= saucyFrom || pasta ? wishTime[texture] : 1;
  // In a soup the grain finds all the water it can drink: it is done at its boiling time, not at the reference of a dry pot.
  const soup = g.sauceShare >= soupFrom && !pasta;
  const want = (soup ? rec.boilMin[0] : rec.eRef[0]) * f * wish;
  const least = (soup ? soupLeast * rec.boilMin[0] : rec.eMin[0]) * f;
  if (isBurstPorridge(g)) {
    const [burstLeast, burst] = [burstTimes.least * rec.eRef[0], burstTimes.want * rec.eRef[0]];
    return { least: burstLeast, want: burst, most: Infinity, hard: burstLeast };
  }
  const end = pasta ? rec.eMax[0] : Math.min(rec.eMax[0], rec.eRef[0] * mostOfReference);
  return { least, want, most: Math.max(want, end * f), hard: pasta ? least : hardShare * least };
}

/** What a cook calls right, on the scale of the starch: from, aim, to. */
export interface WantedBand {
  from: number;
  aim: number;
  to: number;
}

/** Pasta as multiples of its packet: firm, as it should be, soft [common practice; the aim 1.15 to 1.25]. */
const pastaWanted: Record<Texture, WantedBand> = {
  firm: { from: pastaX.least, aim: pastaX.want * wishTime.firm, to: 1.15 },
  fluffy: { from: 1, aim: pastaX.want, to: 1.45 },
  soft: { from: 1.2, aim: pastaX.want * wishTime.soft, to: pastaEdges[2] + 0.1 },
};

/** The band that the wish of the cook falls in. */
export function wantedBand(g: Gathered, texture: Texture): WantedBand {
  const grain = g.grain!;
  if (grain.food.kind === 'pasta') return pastaWanted[texture];
  const saucy = g.sauceShare >= saucyFrom;
  const aim = aimIndexOf(grain.food.grain!, saucy ? 'fluffy' : texture);
  const edges = [50, ...grainEdges(g), 82];
  const i = Math.max(
    1,
    edges.findIndex((e) => e > aim),
  );
  // Where the sauce sets the water the wish moves the time, and the moisture follows it half way.
  const by = saucy ? wishShift[texture] / 2 : 0;
  if (isBurstPorridge(g)) return { from: edges[3]! + by, aim: edges[4]! + by, to: Infinity };
  // A porridge of kernels is right from fluffy on and best where soft begins.
  if (isLoosePorridge(g)) return { from: edges[2]! + by, aim: edges[3]! + by, to: edges[4]! };
  return { from: edges[i - 1]! + by, aim: aim + by, to: edges[i]! + by };
}
