import { usualBowl } from '../../pot/inner-bowl';
import { checkToTaste } from '../../dish/ingredient-grams';
import { rowKey } from '../../dish/ingredient-names';
import type { Dish, Ingredient } from '../../dish/schema';
import { findFood, measurable } from '../../food/find';
import { recordOf } from '../../food/own-food';
import { isPlainLiquid } from '../../food/plain-liquids';
import type { FoodRecord } from '../../food/record';
import { pastaGrain } from '../../food/pasta';
import { toGrams } from '../../quantity/convert';
import { isToTaste, type Amount } from '../../quantity/parse';
import { familyRules, ruleOf, type FamilyRule } from './families';
import { boardC, hasFlag, type Gathered, type Item } from './item';
import { decideJoins, stateAtLid } from './joins';
import { saucePerStarch, sauceWanted } from './sauce-wanted';
import { pieceOf } from './shape';

/** Everything on the board, weighed, with when it joins and in what state it meets the lid. Throws Problem `not-to-taste`. */
export function gather(dish: Dish): Gathered {
  const rule = ruleOf(
    dish.family,
    dish.ingredients.map((i) => recordOf(i)),
  );
  dish.ingredients.forEach((i, at) => checkToTaste(i, `ingredients.${at}`));
  const asked = dish.ingredients.map((i) => filmed(i, rule));
  const measured = asked.filter((i) => !isToTaste(i.amount));
  const hasFat = measured.some((i) => recordOf(i).kind === 'fat');
  const rows = measured.map((ingredient) => weigh(ingredient, rule, hasFat));
  const inBowl = dish.family === 'pot-in-pot';
  const items = fishOverGrain(withoutIdlePan(inOwnOrder(kneaded(together(rows)))), rule);
  // In a bowl over a stew the water to set is the bowl's own, not the stew's.
  const settable = (i: Item): boolean =>
    isPlainLiquid(i.food.id) && i.joins !== 'finish' && (!inBowl || i.ingredient.place === 'inner-bowl');
  const liquids = items.filter(settable);
  const main = liquids.length > 0 ? blended(liquids) : waterToAdd(items, inBowl);
  const others = items.filter((i) => !liquids.includes(i));
  const all = [...others, main];
  const grain = others.find((i) => i.food.grain && i.joins !== 'finish') ?? null;
  const volumeMl = liquids.reduce((s, i) => s + i.grams / i.food.bulkGPerMl[0], 0);
  return {
    dish,
    rule,
    items: all,
    seasonedWith: together(asked.filter((i) => isToTaste(i.amount)).map((i) => strewn(weigh(i, rule, hasFat)))),
    grain,
    main,
    poured:
      liquids.length > 0
        ? liquids.map((i) => ({
            ingredient: i.ingredient.id,
            food: i.ingredient.food,
            share: i.grams / i.food.bulkGPerMl[0] / volumeMl,
          }))
        : [{ ingredient: main.ingredient.id, food: main.ingredient.food, share: 1 }],
    fried: all.some((i) => i.joins === 'fry' || i.panOnly),
    sauceShare: sauceWanted(dish, rule, all, grain),
    saucePerStarch: saucePerStarch(dish, all, grain),
    inBowl,
    bowl: usualBowl,
  };
}

/** Fat "as needed" films the base of the pan [common practice]. */
const film: Amount = { value: 1, unit: 'tbsp' };
function filmed(i: Ingredient, rule: FamilyRule): Ingredient {
  if (!isToTaste(i.amount)) return i;
  const food = recordOf(i);
  if (food.kind !== 'fat') return i;
  return (i.joins ?? decideJoins(food, i, rule, true)) === 'fry' ? { ...i, amount: film } : i;
}

/** Leaves without an amount make no layer: they are strewn over the dish. */
const strewn = (i: Item): Item => (i.food.id === 'herb-fresh' && !i.ingredient.joins ? { ...i, joins: 'topping' } : i);

/** From this much fish to the dry grain its heat cannot cook it through after the lid: 2.7 parts of rice at 95 degC and one of fish at 5 meet at 70 [derived]. */
const heavyFish = 1;
/** Grain that needs no more than so many minutes at 100 degC leaves fish above it juicy [derived]. */
const whiteGrainMin = 30;

/** Fillets wait for the open pot; where they are more than it could heat, they are steamed on the rack over a white grain. */
function fishOverGrain(items: Item[], rule: FamilyRule): Item[] {
  const grain = items.find((i) => i.food.kind === 'grain' && i.joins !== 'finish');
  if (!grain || rule.stirred || grain.food.grain!.eRef[0] > whiteGrainMin) return items;
  const waits = (i: Item): boolean =>
    i.food.meat?.cut === 'fish' && i.joins === 'finish' && i.state === 'raw' && !i.panOnly && !i.ingredient.joins;
  const grams = items.filter(waits).reduce((s, i) => s + i.grams, 0);
  if (grams < heavyFish * grain.grams) return items;
  return items.map((i) =>
    waits(i)
      ? { ...i, joins: 'stack' as const, ingredient: { ...i.ingredient, place: i.ingredient.place ?? 'rack' } }
      : i,
  );
}

/** Fat alone is nothing to fry, and garlic, herbs and spices without fat would only burn: they go in with the rest. */
function withoutIdlePan(items: Item[]): Item[] {
  const inPan = items.filter((i) => i.joins === 'fry' || i.panOnly);
  const hasFat = inPan.some((i) => i.food.kind === 'fat');
  const asked = inPan.some((i) => i.food.kind !== 'fat' && i.ingredient.joins === 'fry');
  const burns = ({ food }: Item): boolean => food.kind === 'seasoning' || food.flags.includes('aromatic');
  const fries = inPan.some((i) => i.food.kind !== 'fat' && (hasFat || !burns(i)));
  const asItIs = (i: Item): Item => ({
    ...i,
    joins: 'stack',
    state: stateAtLid(i.food, i.ingredient, 'stack', i.thicknessMm),
  });
  return fries || asked ? items : items.map((i) => (i.joins === 'fry' ? asItIs(i) : i));
}

function weigh(row: Ingredient, rule: FamilyRule, hasFat: boolean): Item {
  const food = withPacket(recordOf(row), row);
  const ingredient = isBeaten(food, rule) ? beaten(row) : row;
  const grams = toGrams(ingredient.amount, measurable(food, ingredient.prep?.pieceG));
  const scrambled = isScrambled(food, ingredient, rule, hasFat);
  const panOnly = scrambled || ingredient.back === 'finish';
  const joins = comesBack(ingredient, panOnly) ?? ingredient.joins ?? decideJoins(food, ingredient, rule, hasFat);
  const piece = pieceOf(food, ingredient, grams);
  return {
    ingredient: ingredient.back === 'top' ? { ...ingredient, place: ingredient.place ?? 'top' } : ingredient,
    rows: [ingredient.id],
    food,
    grams,
    joins,
    panOnly,
    state: panOnly ? 'cooked' : stateAtLid(food, ingredient, joins, piece.thicknessMm),
    piece,
    thicknessMm: piece.thicknessMm,
    startC: startOf(food, ingredient),
    main: false,
  };
}

/** When what is fried and taken out joins: in the pan for a layer on top, else at the end or at the table; null for all else. */
function comesBack({ joins, back }: Ingredient, panOnly: boolean): Item['joins'] | null {
  if (panOnly) return joins === 'topping' ? 'topping' : 'finish';
  return back === 'top' ? 'fry' : null;
}

/** Rows of one food that meet in the same way are one food: how often it is written down does not matter. */
function together(rows: readonly Item[]): Item[] {
  const byKind = new Map<string, Item>();
  for (const row of rows) {
    const key = JSON.stringify([rowKey(row.ingredient), row.joins]);
    const one = byKind.get(key);
    if (!one) byKind.set(key, { ...row });
    else {
      one.grams += row.grams;
      one.rows = [...one.rows, ...row.rows];
    }
  }
  // A frozen block is as thick as all of it together.
  return [...byKind.values()].map((i) => {
    const piece = pieceOf(i.food, i.ingredient, i.grams);
    return { ...i, piece, thicknessMm: piece.thicknessMm };
  });
}

/** Egg and crumbs that are mixed into a mince beforehand are part of it. */
function kneaded(items: readonly Item[]): Item[] {
  const mince = items.filter((i) => i.food.meat?.cut === 'ground').sort((a, b) => b.grams - a.grams)[0];
  const mixed = items.filter((i) => i.joins === 'marinade' && (i.food.meat?.cut === 'egg' || hasFlag(i, 'crisp')));
  if (!mince || mixed.length === 0) return [...items];
  const whole: Item = {
    ...mince,
    grams: mixed.reduce((g, i) => g + i.grams, mince.grams),
    rows: [...mince.rows, ...mixed.flatMap((i) => i.rows)],
  };
  return items.filter((i) => !mixed.includes(i)).map((i) => (i === mince ? whole : i));
}

const sorted = (x: object): [string, unknown][] => Object.entries(x).sort(([a], [b]) => (a < b ? -1 : 1));

/** An order of its own, so that the order of the rows changes nothing: by food, then by what is said of it. */
function inOwnOrder(items: readonly Item[]): Item[] {
  const key = (i: Item): string =>
    JSON.stringify([
      i.food.kind,
      i.food.id,
      i.ingredient.food,
      i.joins,
      i.ingredient.place ?? '',
      sorted(i.ingredient.prep ?? {}),
      i.grams,
    ]);
  return items
    .map((item) => ({ item, key: key(item) }))
    .sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0))
    .map((x) => x.item);
}

/** Several thin liquids as one, in the proportion in which they are listed. */
function blended(liquids: readonly Item[]): Item {
  const most = [...liquids].sort((a, b) => b.grams - a.grams)[0]!;
  if (liquids.length === 1) return { ...most, main: true };
  const grams = liquids.reduce((s, i) => s + i.grams, 0);
  const mean = (of: (i: Item) => number): number => liquids.reduce((s, i) => s + of(i) * i.grams, 0) / grams;
  const volumeMl = liquids.reduce((s, i) => s + i.grams / i.food.bulkGPerMl[0], 0);
  const food: FoodRecord = {
    ...most.food,
    water: [mean((i) => i.food.water[0]), 'D'],
    free: [mean((i) => i.food.free[0]), 'D'],
    thin: [mean((i) => i.food.thin[0]), 'D'],
    cpKjPerKgK: [mean((i) => i.food.cpKjPerKgK[0]), 'D'],
    saltPer100g: [mean((i) => i.food.saltPer100g[0]), 'D'],
    bulkGPerMl: [grams / volumeMl, 'D'],
    densityGPerMl: [grams / volumeMl, 'D'],
  };
  const rows = liquids.flatMap((i) => i.rows);
  return { ...most, food, grams, rows, startC: mean((i) => i.startC), main: true };
}

function waterToAdd(items: readonly Item[], inBowl: boolean): Item {
  const id = items.some((i) => i.rows.includes('water')) ? 'water-to-add' : 'water';
  const ingredient: Ingredient = {
    id,
    food: 'water',
    amount: { value: 1, unit: 'ml' },
    ...(inBowl ? { place: 'inner-bowl' as const } : {}),
  };
  const food = findFood('water');
  const piece = pieceOf(food, ingredient, 0);
  return {
    ingredient,
    rows: [id],
    food,
    grams: 0,
    joins: 'stack',
    panOnly: false,
    state: 'raw',
    piece,
    thicknessMm: piece.thicknessMm,
    startC: boardC.shelf,
    main: true,
  };
}

/** Cold from the fridge, from the shelf or frozen; hot where the cook says so. */
function startOf(food: FoodRecord, ingredient: Ingredient): number {
  const prep = ingredient.prep;
  if (prep?.hot) return food.kind === 'liquid' ? boardC.hotLiquid : boardC.hotFood;
  if (prep?.state === 'frozen' || food.id.endsWith('-frozen')) return boardC.frozen;
  if (prep?.state === 'half-frozen') return 2 * ((food.meat ?? food.plant)?.freezeC[0] ?? -1);
  return food.kind === 'meat' || food.kind === 'dairy' ? boardC.fridge : boardC.shelf;
}

/** Pasta goes by the minutes on its own packet where the cook gives them. */
function withPacket(food: FoodRecord, ingredient: Ingredient): FoodRecord {
  const packetMin = ingredient.prep?.packetMinutes;
  if (food.kind !== 'pasta' || packetMin === undefined) return food;
  return { ...food, grain: pastaGrain(packetMin), packetMin: [packetMin, 'P'] };
}

/** An egg among sheets is beaten into their cheese. */
const isBeaten = (food: FoodRecord, rule: FamilyRule): boolean =>
  food.id === 'egg' && rule === familyRules['layered-pasta'];
/** A layer of cheese and egg among sheets, mm [derived: 250 g on the base of a 5.7 L pot]. */
const beatenMm = 10;
const beaten = (i: Ingredient): Ingredient => ({
  ...i,
  place: i.place ?? 'top',
  prep: { shape: 'slab', thicknessMm: beatenMm, ...i.prep },
});

/** Eggs in a fried dish are scrambled first and come back at the end; in their shell they are steamed on a rack. */
const isScrambled = (food: FoodRecord, i: Ingredient, rule: FamilyRule, hasFat: boolean): boolean =>
  food.id === 'egg' &&
  !isBeaten(food, rule) &&
  hasFat &&
  rule.fries &&
  (i.joins === undefined || i.joins === 'fry') &&
  i.place === undefined &&
  i.prep?.shape !== 'whole' &&
  i.prep?.state !== 'cooked';
