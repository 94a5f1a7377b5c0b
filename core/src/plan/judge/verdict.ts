import { aimIndexOf, bandEdges, pastaBand, pastaEdges, wishTime, type Texture } from '../../grain/texture';
import { pastaX } from '../../food/pasta';
import type { Plan } from '../document/document';
import type { Gathered } from '../gather/item';
import { isLoosePorridge } from '../gather/sauce-wanted';
import { normal } from '../../normal';
import { grainEdges, saucyFrom } from '../setup/sauce';
import { sauceWord, type GrainOutcome } from '../simulate/outcome';

/** One standard deviation of the clock of pasta: activation energy 25 to 40 kJ/mol and the packet's own rounding [derived]. */
const pastaTimeSd = 0.09;

/** What the grain became, in words and with its spread; null for pasta and without a starch. */
export function grainVerdict(g: Gathered, out: GrainOutcome | null, points: number, texture: Texture): Plan['grain'] {
  const item = g.grain;
  if (!out || item?.food.kind !== 'grain') return null;
  // Where the sauce sets the water, the wish moved the time, not the aim.
  const wish = g.sauceShare >= saucyFrom ? 'fluffy' : texture;
  const edges = grainEdges(g);
  return {
    food: item.ingredient.food,
    ingredient: item.ingredient.id,
    moisture: out.clock.moisture,
    band: out.texture.band,
    equivalentMin: out.clock.equivalentMin,
    freeSauceG: out.clock.freeG,
    freeShare: out.freeShare,
    sauceG: out.sauceG,
    sauce: sauceWord(g, out),
    textureIndex: out.texture.index,
    spreadPoints: points,
    bandChance: bandChance(out.texture.index, points, edges),
    edges: [...edges],
    done: out.texture.done,
    aimIndex: isLoosePorridge(g) ? edges[2]! : aimIndexOf(item.food.grain!, wish),
  };
}

/** What the pasta became; null for grain and without a starch. */
export function pastaVerdict(g: Gathered, out: GrainOutcome | null, texture: Texture): Plan['pasta'] {
  const item = g.grain;
  if (!out || item?.food.kind !== 'pasta') return null;
  const packetMin = item.food.packetMin![0];
  const x = (out.clock.equivalentMin * out.slowing) / packetMin;
  const spreadX = pastaTimeSd * x;
  return {
    food: item.ingredient.food,
    ingredient: item.ingredient.id,
    equivalentMin: out.clock.equivalentMin,
    packetMin,
    ...(item.food.printedMin ? { printedMin: item.food.printedMin[0] } : {}),
    x,
    band: pastaBand(x, out.clock.moisture),
    moisture: out.clock.moisture,
    freeSauceG: out.clock.freeG,
    freeShare: out.freeShare,
    sauceG: out.sauceG,
    sauce: sauceWord(g, out),
    spreadX,
    bandChance: bandChance(x, spreadX, pastaEdges),
    aimX: pastaX.want * wishTime[texture],
  };
}

/** Chance that a normal error of `sd` leaves the value in its own band. */
function bandChance(value: number, sd: number, inner: readonly number[]): number {
  const edges = [-Infinity, ...inner, Infinity];
  const i = edges.findIndex((e, k) => value >= e && value < edges[k + 1]!);
  return normal((edges[i + 1]! - value) / sd) - normal((edges[i]! - value) / sd);
}

const gravity = { under: 0, tough: 1, dry: 2, firm: 3, juicy: 4, tender: 4 } as const;

/** The meat that a cook should look at first: not done, then tough, then dry, then the nearest to its minimum. */
export const worstMeat = (p: Plan): Plan['meats'][number] | undefined =>
  [...p.meats].sort(
    (a, b) =>
      gravity[a.texture] - gravity[b.texture] || a.cautiousCoreC - a.safeMinimumC - (b.cautiousCoreC - b.safeMinimumC),
  )[0];

/** The starch of a plan, grain or pasta, as one thing to show: where it lies on its own scale and how sure that is. */
export interface Starch {
  kind: 'grain' | 'pasta';
  ingredient: string;
  band: string;
  /** texture index, or multiples of the packet's minutes */
  at: number;
  spread: number;
  chance: number;
  equivalentMin: number;
  sauce: 'dry' | 'moist' | 'saucy' | 'soupy';
  freeSauceG: number;
  /** band edges and names on that scale, with its ends */
  scale: { from: number; to: number; edges: readonly number[]; names: readonly string[] };
}

const scales = {
  grain: { from: 56, to: 78, edges: bandEdges, names: ['hard', 'firm', 'fluffy', 'soft', 'mushy'] },
  pasta: { from: 0.7, to: 1.8, edges: pastaEdges, names: ['hard', 'al-dente', 'tender', 'soft'] },
} as const;

/** The scale of a grain with the edges of its dish; it reaches a little past the last of them. */
const pastLast = 3;
const scaleWith = (edges: readonly number[]): Starch['scale'] => ({
  ...scales.grain,
  to: Math.max(scales.grain.to, (edges.at(-1) ?? 0) + pastLast),
  edges,
});

/** Grain or pasta of the plan, whichever it has; null for a dish without. */
export function starchOf(p: Plan): Starch | null {
  const kind = p.grain ? 'grain' : 'pasta';
  const s = p.grain ?? p.pasta;
  if (!s) return null;
  return {
    kind,
    ingredient: s.ingredient,
    band: s.band,
    at: p.grain ? p.grain.textureIndex : p.pasta!.x,
    spread: p.grain ? p.grain.spreadPoints : p.pasta!.spreadX,
    chance: s.bandChance,
    equivalentMin: s.equivalentMin,
    sauce: s.sauce,
    freeSauceG: s.freeSauceG,
    scale: p.grain?.edges ? scaleWith(p.grain.edges) : scales[kind],
  };
}

/** How many of the warnings of a plan are stops. */
export const stopCount = (p: Plan): number => p.warnings.filter((w) => w.severity === 'stop').length;
