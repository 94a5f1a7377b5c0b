import * as z from 'zod';
import { says, wordOf } from '../problem';
import { slugId } from '../slug-id';
import { pastaGrain } from './pasta';
import { findFood, foodIds } from './find';
import type { FoodKind, FoodRecord } from './record';
import type { SourceCode } from '../source';

/** A packet's own numbers are the cook's reading of a label; what follows from them is derived. */
const label: SourceCode = 'P';
const derived: SourceCode = 'D';

/** Energy of what a label lists, kJ/g [published: the conversion factors of food labelling law; fibre 8]. */
const kjPerG = { protein: 17, carb: 17, fat: 37, fibre: 8 } as const;
/** A label's energy may differ from its own parts by so much: rounding and polyols [common practice]. */
const energySlack = { share: 0.15, kj: 60 } as const;
/** Parts of 100 g may sum to a little over it, g: each is rounded. */
const roundingG = 2;
/** How far the water may lie from that of the food it behaves like, share of the mass: beyond it cooks differently [derived]. */
const waterSlack: Partial<Record<FoodKind, number>> & { other: number } = {
  grain: 0.08,
  pasta: 0.08,
  meat: 0.2,
  other: 0.4,
};
/** Heat capacity that a gram of water has over one of dry matter, kJ/(kg K) [published: Choi and Okos at 20 degC, about]. */
const waterOverDryKj = 2.3;

const perHundred = (part: Parameters<typeof wordOf>[0]) => {
  const what = wordOf(part);
  return z.number().min(0, says('part-negative', { what })).max(100, says('part-most', { what }));
};

/** What 100 g hold: water, or what the nutrition label says; carbohydrate without fibre where fibre is listed. */
export const packetSchema = z
  .strictObject({
    waterG: perHundred('water').optional(),
    energyKj: z.number().min(0).max(3800, says('energy-most')).optional(),
    proteinG: perHundred('protein').optional(),
    fatG: perHundred('fat').optional(),
    carbG: perHundred('carbohydrate').optional(),
    fibreG: perHundred('fibre').optional(),
    saltG: perHundred('salt'),
  })
  .superRefine((p, ctx) => {
    const say = (path: string, message: string): void => ctx.addIssue({ code: 'custom', path: [path], message });
    const known = p.proteinG !== undefined && p.fatG !== undefined && p.carbG !== undefined;
    if (p.waterG === undefined && !known) say('waterG', says('water-needed'));
    const sumG = dryG(p) + (p.waterG ?? 0);
    if (sumG > 100 + roundingG) say('carbG', says('parts-over', { sumG: Math.round(sumG) }));
    const fromPartsKj =
      kjPerG.protein * (p.proteinG ?? 0) +
      kjPerG.fat * (p.fatG ?? 0) +
      kjPerG.carb * (p.carbG ?? 0) +
      kjPerG.fibre * (p.fibreG ?? 0);
    if (
      known &&
      p.energyKj !== undefined &&
      Math.abs(p.energyKj - fromPartsKj) > energySlack.share * p.energyKj + energySlack.kj
    )
      say('energyKj', says('energy-misread', { partsKj: Math.round(fromPartsKj), labelKj: Math.round(p.energyKj) }));
  });
export type Packet = z.infer<typeof packetSchema>;

/** A food that a cook added from its packet: what is not on it is as of the food that it behaves like. */
export const ownFoodSchema = z
  .strictObject({
    id: z.string().regex(/^own-[a-z0-9-]{1,54}$/, says('own-id', { start: 'own-' })),
    name: z
      .string()
      .trim()
      .min(1, says('name-needed'))
      .max(60, says('characters-at-most', { most: 60 })),
    /** the known food that it behaves like */
    like: z.string().refine((id) => foodIds.includes(id), { error: says('like-food-needed') }),
    per100g: packetSchema,
    /** what one piece weighs, g */
    pieceG: z.number().positive(says('number-above-0')).max(3000, says('piece-too-heavy')).optional(),
    /** what one packet weighs, g */
    packetG: z.number().positive(says('number-above-0')).max(20_000, says('packet-too-heavy')).optional(),
    /** minutes on the packet (pasta) */
    packetMin: z
      .number()
      .positive(says('number-above-0'))
      .max(60, says('at-most', { value: '60 min' }))
      .optional(),
  })
  .superRefine((own, ctx) => {
    const like = foodIds.includes(own.like) ? findFood(own.like) : null;
    if (!like || !packetSchema.safeParse(own.per100g).success) return;
    const slack = waterSlack[like.kind] ?? waterSlack.other;
    const water = waterOf(own.per100g);
    if (Math.abs(water - like.water[0]) > slack)
      ctx.addIssue({
        code: 'custom',
        path: ['like'],
        message: says('unlike-its-food', {
          water: Math.round(100 * water),
          food: like.id.replaceAll('-', ' '),
          foodWater: Math.round(100 * like.water[0]),
        }),
      });
  });
export type OwnFood = z.infer<typeof ownFoodSchema>;

/** What carries a food: an ingredient, or a line that was read. */
export interface FoodOf {
  food: string;
  ownFood?: OwnFood | undefined;
  /** the cook's own words for it */
  name?: string | undefined;
}

const dryG = (p: Packet): number => (p.proteinG ?? 0) + (p.fatG ?? 0) + (p.carbG ?? 0) + (p.fibreG ?? 0) + p.saltG;

/** Water as a share of the mass: as given, or by difference from what the label lists. */
function waterOf(p: Packet): number {
  return Math.min(1, Math.max(0, (p.waterG ?? 100 - dryG(p)) / 100));
}

const records = new WeakMap<OwnFood, FoodRecord>();

/** The record of the food of an ingredient: its own packet's where it has one, else the table's. Throws `food-unknown`. */
export function recordOf(of: FoodOf, path?: string): FoodRecord {
  const own = of.ownFood;
  if (!own) return findFood(of.food, path);
  const known = records.get(own) ?? ownRecord(own);
  records.set(own, known);
  return known;
}

/**
 * The record of a food of the cook's own. Water and salt are the packet's; thin liquid and juice go with the water, what a
 * dry food drinks with its dry matter; heat capacity by the water. Density, packing, softening, kinetics, the minimum
 * temperature, the flags and the id are those of the food it behaves like: the ingredient holds its own id and name.
 */
function ownRecord(own: OwnFood): FoodRecord {
  const like = findFood(own.like);
  const water = waterOf(own.per100g);
  const likeWater = like.water[0];
  const byWater = likeWater > 0 ? water / likeWater : 1;
  const byDry = likeWater < 1 ? (1 - water) / (1 - likeWater) : 1;
  const free = Math.min(water, like.free[0] * byWater);
  const released = like.released[0];
  return {
    ...like,
    water: [water, own.per100g.waterG === undefined ? derived : label],
    free: [free, derived],
    thin: [Math.min(free, like.thin[0] * byWater), derived],
    released: [released < 0 ? released * byDry : Math.min(released * byWater, water - free), derived],
    cpKjPerKgK: [like.cpKjPerKgK[0] + waterOverDryKj * (water - likeWater), derived],
    saltPer100g: [own.per100g.saltG, label],
    ...(own.pieceG === undefined ? {} : { pieceG: [own.pieceG, label] }),
    ...(own.packetG === undefined ? {} : { packetG: [own.packetG, label] }),
    ...grainOf(own, like, water),
    ...bodyOf(own, like, water),
  };
}

/** Pasta goes by the minutes on its packet; a grain starts at its own moisture. */
function grainOf(own: OwnFood, like: FoodRecord, water: number): Partial<FoodRecord> {
  if (like.kind === 'pasta' && own.packetMin !== undefined)
    return { grain: pastaGrain(own.packetMin), packetMin: [own.packetMin, label] };
  return like.kind === 'grain' && like.grain ? { grain: { ...like.grain, rawMoisture: [water, derived] } } : {};
}

/** Composition of a piece for its conduction: the packet's parts, or those it behaves like, stretched to the dry matter. */
function bodyOf(own: OwnFood, like: FoodRecord, water: number): Partial<FoodRecord> {
  const p = own.per100g;
  const stretch = (parts: readonly number[]): number[] => {
    const dry = parts.reduce((s, x) => s + x, 0);
    return parts.map((x) => (dry > 0 ? (x * (1 - water)) / dry : 0));
  };
  if (like.meat) {
    const given = p.proteinG !== undefined && p.fatG !== undefined;
    const [protein = 0, fat = 0, ash = 0] = stretch(
      given ? [p.proteinG!, p.fatG!, Math.max(1, p.saltG)] : like.meat.composition.slice(1),
    );
    return { meat: { ...like.meat, composition: [water, protein, fat, ash], compositionSource: derived } };
  }
  if (!like.plant) return {};
  const [protein = 0, fat = 0, carb = 0, fibre = 0, ash = 0] = stretch(like.plant.composition.slice(1));
  return { plant: { ...like.plant, composition: [water, protein, fat, carb, fibre, ash] } };
}

/** The record of a food among ingredients, by its id; of the table where none of them is it. Throws `food-unknown`. */
export const recordAmong = (ingredients: readonly FoodOf[], food: string): FoodRecord =>
  recordOf(ingredients.find((i) => i.food === food) ?? { food }, 'food');

/** The name of a food as an id that no known food has. */
export const ownFoodId = (name: string, taken: readonly string[] = []): string =>
  slugId('own', name, { nameless: 'food', taken });
