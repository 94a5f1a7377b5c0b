import { freeId, recordOf, type Dish, type Ingredient, type Plan, type ReadLine, type Release } from '@einkorn/core';

/** Pure changes of a dish on the bench. Each returns a new dish; the slice keeps the old one for undo. */

export const withIngredient = (
  dish: Dish,
  id: string,
  change: { [K in keyof Ingredient]?: Ingredient[K] | undefined },
): Dish => ({
  ...dish,
  ingredients: dish.ingredients.map((i) =>
    i.id === id ? (clean<Partial<Ingredient>>({ ...i, ...change }) as Ingredient) : i,
  ),
});

type PrepChange = { [K in keyof NonNullable<Ingredient['prep']>]?: NonNullable<Ingredient['prep']>[K] | undefined };
export const withPrep = (dish: Dish, id: string, change: PrepChange): Dish => {
  const old = dish.ingredients.find((i) => i.id === id);
  return withIngredient(dish, id, { prep: clean({ ...old?.prep, ...change }) });
};

export const withoutIngredient = (dish: Dish, id: string): Dish => ({
  ...dish,
  ingredients: dish.ingredients.filter((i) => i.id !== id),
});

export function addIngredient(dish: Dish, food: string): Dish {
  const id = freeId(food, dish.ingredients);
  return { ...dish, ingredients: [...dish.ingredients, { id, food, amount: { value: 100, unit: 'g' } }] };
}

/** A line that can be an ingredient: its food and its amount are known. */
export type WholeLine = ReadLine & { food: string; amount: NonNullable<ReadLine['amount']> };
export const isWhole = (line: ReadLine): line is WholeLine => line.food !== null && line.amount !== null;

/** A line that was read becomes an ingredient, with an id of its own. */
export function addRead(dish: Dish, line: WholeLine): Dish {
  const id = freeId(line.food, dish.ingredients);
  const prep = line.prep ? { prep: line.prep } : {};
  const joins = line.joins ? { joins: line.joins } : {};
  const own = { ...(line.ownFood ? { ownFood: line.ownFood } : {}), ...(line.name ? { name: line.name } : {}) };
  return {
    ...dish,
    ingredients: [...dish.ingredients, { id, food: line.food, ...own, amount: line.amount, ...prep, ...joins }],
  };
}

/** Sets or (with undefined) releases a row of the water ledger. */
export function withLedger(dish: Dish, item: string, grams: number | undefined): Dish {
  const { [item]: _, ...rest } = dish.overrides?.ledger ?? {};
  const ledger = grams === undefined ? rest : { ...rest, [item]: grams };
  return withOverrides(dish, { ledger: Object.keys(ledger).length > 0 ? ledger : undefined });
}

export interface OverrideChange {
  liquidMl?: number | undefined;
  holdMin?: number | undefined;
  release?: Release | undefined;
  pressure?: 'high' | 'low' | undefined;
  ledger?: Record<string, number> | undefined;
  saltG?: number | undefined;
  gravyMl?: number | undefined;
  firstStage?: boolean | undefined;
  deglazed?: boolean | undefined;
  stirredDown?: boolean | undefined;
  keepWarmMin?: number | undefined;
  fryOrder?: string[] | undefined;
}

/** Changes overrides; a value of undefined gives the number back to the planner. */
export function withOverrides(dish: Dish, change: OverrideChange): Dish {
  const next = clean<OverrideChange>({ ...dish.overrides, ...change });
  const { overrides: _, ...bare } = dish;
  return Object.keys(next).length > 0 ? { ...bare, overrides: next } : bare;
}

/** Moves the serving time by minutes, around midnight too. */
export function withServeShift(dish: Dish, minutes: number): Dish {
  const [h, m] = (dish.serveAt ?? '19:00').split(':').map(Number) as [number, number];
  const at = (h * 60 + m + minutes + 1440) % 1440;
  const two = (x: number): string => String(x).padStart(2, '0');
  return { ...dish, serveAt: `${two(Math.floor(at / 60))}:${two(at % 60)}` };
}

type Place = NonNullable<Ingredient['place']>;

/** Places that a food can take, from the base up; grain lies in its own, the liquid to add has none to choose. */
export function placesOf(dish: Dish, plan: Plan, id: string): Place[] {
  const i = dish.ingredients.find((x) => x.id === id);
  const food = i && recordOf(i);
  const layer = plan.stack.find((l) => l.ingredient === id);
  if (!i || !food || !layer || layer.place === 'inner-bowl' || layer.place === 'liquid') return [];
  return food.grain ? ['base', 'grain', 'top'] : ['base', 'top', 'rack'];
}

/** A layer one place up (1) or down (-1); null when it is already at the end, or cannot be moved. */
export function movedPlace(dish: Dish, plan: Plan, id: string, by: 1 | -1): Dish | null {
  const places = placesOf(dish, plan, id);
  const layer = plan.stack.find((l) => l.ingredient === id);
  const to = layer && places[places.indexOf(layer.place) + by];
  return to ? withIngredient(dish, id, { place: to }) : null;
}

/** The frying order with one step moved by so many places, as an override. */
export function movedFry(dish: Dish, plan: Plan, from: number, to: number): Dish {
  const order = plan.fry.map((f) => f.ingredient);
  const [id] = order.splice(from, 1);
  if (id === undefined || to < 0 || to > order.length) return dish;
  order.splice(to, 0, id);
  return withOverrides(dish, { fryOrder: order });
}

/** Does a remedy of the scorch list say what the bench can do by itself? */
export function withRemedy(dish: Dish, plan: Plan, remedy: string): Dish | null {
  const inStack = (pick: (i: Ingredient) => boolean): Ingredient[] =>
    dish.ingredients.filter((i) => pick(i) && plan.stack.some((l) => l.ingredient === i.id));
  const flagged = (i: Ingredient, flag: string): boolean => recordOf(i).flags.some((x) => x === flag);
  const all = (items: Ingredient[], change: Partial<Ingredient>): Dish | null =>
    items.length > 0 ? items.reduce((d, i) => withIngredient(d, i.id, change), dish) : null;
  switch (remedy) {
    case 'tomato-on-top':
      return all(
        inStack((i) => flagged(i, 'tomato')),
        { place: 'top' },
      );
    case 'dairy-at-the-end':
      return all(
        inStack((i) => recordOf(i).kind === 'dairy'),
        { joins: 'finish' },
      );
    case 'bind-at-the-end':
      return all(
        dish.ingredients.filter((i) => flagged(i, 'thickener')),
        { joins: 'finish' },
      );
    case 'rinse-the-grain': {
      const grain = dish.ingredients.find((i) => recordOf(i).grain);
      return grain ? withPrep(dish, grain.id, { rinse: true }) : null;
    }
    case 'deglaze-and-scrape':
      return withOverrides(dish, { deglazed: undefined });
    case 'do-not-stir':
      return withOverrides(dish, { stirredDown: undefined });
    case 'take-it-out':
      return withOverrides(dish, { keepWarmMin: undefined });
    case 'fat-first':
      return {
        ...dish,
        ingredients: [
          ...dish.ingredients,
          { id: 'oil-neutral', food: 'oil-neutral', amount: { value: 1, unit: 'tbsp' } },
        ],
      };
    default:
      return null;
  }
}

/** Drops keys that hold undefined, so that a document says only what it means. */
function clean<T extends object>(o: T): T {
  return Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as T;
}
