import { bowlAreaCm2, trivetMm } from '../../pot/inner-bowl';
import { baseAreaCm2, type PotProfile } from '../../pot/profile';
import type { StackLayer } from '../document/document';
import type { Gathered, Item } from '../gather/item';
import { isThick, layersOf, reasonsByPlace, type Laid } from './layers';
import { placeOf, type Place } from '../gather/place';

/** Share of air between things that lie loose [common practice]. */
const porosity = { grain: 0.4, pieces: 0.3, chopped: 0.45 };
/** Clearance of a rack over what lies below, mm [common practice]. */
const rackGapMm = 8;
/** Room that small grain takes at least, share of its own: it never settles away altogether [common practice]. */
const leastGrainShare = 0.3;

/** Things laid on one another in the pot, to scale. */
export interface Stacked {
  layers: StackLayer[];
  laid: readonly Laid[];
  /** the starch of the stack */
  starch: Item | undefined;
  /** what else lies at the base */
  base: readonly Item[];
  liquidLevelMm: number;
  fillLitres: number;
  /** share of the starch bed above the liquid */
  dryGrainShare: number;
}

export const gramsOf = (i: Item, addMl: number): number => (i.main ? addMl * i.food.bulkGPerMl[0] : i.grams);

/** Volume of the thing itself, without the air around it, mL. */
export const solidMl = (i: Item, addMl: number): number => gramsOf(i, addMl) / i.food.densityGPerMl[0];

const pastaPorosity = (i: Item): number => i.food.porosity?.[0] ?? porosity.grain;

/** Volume of a starch as it is poured, mL. */
export const bulkOf = (i: Item): number =>
  i.food.kind === 'pasta' ? solidMl(i, 0) / (1 - pastaPorosity(i)) : i.grams / i.food.bulkGPerMl[0];

/** A layer before its place in the pile is known: bulk and the gaps of it that liquid can fill, mL. */
interface Bulk {
  kind: string;
  bulkMl: number;
  voidMl: number;
}

/** What `stacked` piles up. */
interface Pile {
  g: Gathered;
  pot: PotProfile;
  addMl: number;
  thinLiquidMl: number;
  /** what takes room */
  items: readonly Item[];
}

/** Solids with their voids from the base up, small grain settled between pieces, liquid from below. */
export function stacked(x: Pile): Stacked {
  const { g, pot, addMl } = x;
  const at = (p: Place): Item[] => x.items.filter((i) => placeOf(g, i) === p);
  const laid = layersOf(g, pot);
  const starch = laid.find((l) => l.item.food.grain)?.item;
  const base = at('base').filter((i) => !i.food.grain);
  const drawing = new Drawing(g, addMl);
  for (const item of at('liquid'))
    if (gramsOf(item, addMl) > 0)
      drawing.add(item, { kind: 'liquid', note: reasonsByPlace.liquid, fromMm: 0, toMm: 0, ml: solidMl(item, addMl) });
  const heap = heaped(x, laid, new Bulks(x, starch, base.length), drawing);
  for (const l of drawing.layers) if (l.kind === 'liquid') l.toMm = heap.liquidLevelMm;
  const topMm = Math.max(heap.liquidLevelMm, heap.edgeMm);
  standOver(drawing, { rack: at('rack'), bowl: at('inner-bowl') }, { topMm, rackMm: pot.rackMm });
  return {
    layers: drawing.layers,
    laid,
    starch,
    base,
    liquidLevelMm: heap.liquidLevelMm,
    fillLitres: (topMm / 10) * (baseAreaCm2(pot) / 1000),
    dryGrainShare: heap.dryGrainShare,
  };
}

/** What is laid on the base, one on the other, and the liquid that rises through its gaps. */
function heaped(
  x: Pile,
  laid: readonly Laid[],
  bulks: Bulks,
  drawing: Drawing,
): { edgeMm: number; liquidLevelMm: number; dryGrainShare: number } {
  const area = baseAreaCm2(x.pot);
  const grain = { dry: 0, of: 0 };
  let edgeMm = 0;
  let liquidLeft = x.thinLiquidMl;
  let levelMm: number | null = null;
  for (const l of laid) {
    const { kind, bulkMl, voidMl } = bulks.of(l);
    const heightMm = (bulkMl / area) * 10;
    drawing.add(l.item, { kind, note: l.note, fromMm: edgeMm, toMm: edgeMm + heightMm, ml: bulkMl, share: l.share });
    const wet = voidMl > 0 ? Math.min(1, liquidLeft / voidMl) : 1;
    if (wet < 1) levelMm ??= edgeMm + heightMm * wet;
    if (l.item.food.grain) {
      grain.dry += (1 - wet) * l.share;
      grain.of += l.share;
    }
    liquidLeft -= voidMl * wet;
    edgeMm += heightMm;
  }
  return {
    edgeMm,
    liquidLevelMm: levelMm ?? edgeMm + (Math.max(0, liquidLeft) / area) * 10,
    dryGrainShare: grain.of > 0 ? grain.dry / grain.of : 0,
  };
}

/** What stands over the heap: pieces on a rack, and the inner bowl on its trivet; a rack of the cook's own has its own feet. */
function standOver(
  drawing: Drawing,
  over: { rack: Item[]; bowl: Item[] },
  { topMm, rackMm: ownMm }: { topMm: number; rackMm: number | undefined },
): void {
  const { addMl } = drawing;
  const rackMm = Math.max(ownMm ?? 0, topMm + rackGapMm);
  for (const item of over.rack) {
    const edges = { fromMm: rackMm, toMm: rackMm + item.thicknessMm };
    drawing.add(item, { kind: item.food.kind, note: reasonsByPlace.rack, ...edges, ml: solidMl(item, addMl) });
  }
  let fromMm = Math.max(ownMm ?? trivetMm, topMm + 5);
  for (const item of over.bowl.filter((i) => gramsOf(i, addMl) > 0)) {
    const ml = item.food.grain ? bulkOf(item) : solidMl(item, addMl);
    const toMm = fromMm + (ml / bowlAreaCm2(drawing.g.bowl)) * 10;
    const kind = item.main ? 'liquid' : 'grain';
    drawing.add(item, { kind, note: reasonsByPlace['inner-bowl'], fromMm, toMm, ml });
    if (!item.main) fromMm = toMm;
  }
}

/** A layer as it is drawn: its edges, its volume, mL, and the share of its ingredient that lies in it. */
type Drawn = Pick<StackLayer, 'kind' | 'note' | 'fromMm' | 'toMm'> & { ml: number; share?: number };

/** The layers in the order in which they were drawn. */
class Drawing {
  readonly layers: StackLayer[] = [];

  constructor(
    readonly g: Gathered,
    readonly addMl: number,
  ) {}

  add(item: Item, { ml, share = 1, ...rest }: Drawn): void {
    const grams = gramsOf(item, this.addMl) * share;
    this.layers.push({
      position: this.layers.length,
      ingredient: item.ingredient.id,
      place: placeOf(this.g, item),
      litres: ml / 1000,
      grams,
      waterG: grams * item.food.water[0],
      ...rest,
    });
  }
}

/** Room that each layer takes; small grain runs into the gaps between the pieces below it, pasta lies on them. */
class Bulks {
  private readonly grainBulk: number;
  private spareVoid = 0;

  constructor(
    private readonly x: Pile,
    starch: Item | undefined,
    private readonly basePieces: number,
  ) {
    this.grainBulk = starch?.food.kind === 'grain' ? bulkOf(starch) : 0;
  }

  of(l: Laid): Bulk {
    const { item, share } = l;
    if (item.food.grain) {
      const pasta = item.food.kind === 'pasta';
      const bulk = pasta ? bulkOf(item) : Math.max(this.grainBulk * leastGrainShare, this.grainBulk - this.spareVoid);
      const gaps = pasta ? pastaPorosity(item) : porosity.grain;
      return { kind: 'grain', bulkMl: bulk * share, voidMl: bulk * gaps * share };
    }
    const ml = solidMl(item, this.x.addMl);
    if (isThick(item) || item.food.kind === 'liquid' || item.food.kind === 'dairy')
      return { kind: 'thick', bulkMl: ml * share, voidMl: 0 };
    if (placeOf(this.x.g, item) === 'base') return this.pieces(item, ml, share);
    const gap = item.food.kind === 'meat' ? porosity.pieces : porosity.chopped;
    const bulkMl = (ml / (1 - gap)) * share;
    return { kind: item.food.kind, bulkMl, voidMl: bulkMl * gap };
  }

  private pieces(item: Item, ml: number, share: number): Bulk {
    const bulkMl = (ml / (1 - porosity.pieces)) * share;
    this.spareVoid += bulkMl * porosity.pieces;
    const settled = Math.min(this.grainBulk, this.spareVoid);
    const filled = this.basePieces > 0 ? (settled * (1 - porosity.grain)) / this.basePieces : 0;
    return { kind: item.food.kind, bulkMl, voidMl: Math.max(0, bulkMl * porosity.pieces - filled) };
  }
}
