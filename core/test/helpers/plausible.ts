import { readDish } from '../../src/dish/read';
import { kitchenSchema, type Kitchen } from '../../src/dish/kitchen';
import { families, type Dish, type Ingredient } from '../../src/dish/schema';
import { potIds } from '../../src/pot/profile';

/*
 * Dishes that a cook might really type, from a seed: every family, its usual foods and amounts, in every pot, typed with
 * and without shapes, sizes and states. The laws of the planner are held over many of them.
 */

/** A small generator of its own (mulberry32): the same seed gives the same dish on every machine. */
export function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

export interface Case {
  seed: number;
  dish: Dish;
  kitchen: Kitchen;
}

const rices = ['rice-long', 'rice-basmati', 'rice-jasmine', 'rice-medium', 'rice-short', 'rice-parboiled'];
const browns = ['rice-brown-long', 'rice-red', 'einkorn', 'farro', 'barley-pearl', 'quinoa', 'millet', 'bulgur'];
const pastas = ['penne', 'rigatoni', 'rotini', 'farfalle', 'elbows', 'shells', 'orzo', 'ziti', 'ditalini'];
const quick = ['chicken-breast', 'chicken-thigh', 'turkey-breast', 'pork-loin', 'guinea-fowl', 'turkey-thigh'];
const slow = ['beef-stew', 'lamb-leg', 'goat-leg', 'pork-shoulder', 'venison', 'rabbit'];
const ground = ['beef-ground', 'pork-ground', 'turkey-ground', 'lamb-ground', 'chicken-ground'];
const cured = ['sausage-smoked', 'ham', 'bacon'];
const vegetables = ['onion', 'carrot', 'celery', 'bell-pepper', 'leek', 'mushroom', 'fennel', 'zucchini', 'eggplant'];
const late = ['spinach', 'peas-frozen', 'broccoli', 'kale', 'mixed-frozen', 'cream-heavy', 'cheese-hard', 'herb-fresh'];

/** The dish of a seed. */
export function plausible(seed: number): Case {
  const r = seeded(seed);
  const pick = <T>(xs: readonly T[]): T => xs[Math.floor(r() * xs.length)]!;
  const chance = (p: number): boolean => r() < p;
  const between = (a: number, b: number): number => Math.round(a + r() * (b - a));
  const family = pick(families);
  const serves = pick([2, 3, 4, 4, 4, 5, 6]);
  const rows: Ingredient[] = [];
  const add = (
    food: string,
    value: number,
    unit: Ingredient['amount']['unit'] = 'g',
    more: Partial<Ingredient> = {},
  ): void => {
    rows.push({ id: `${food}-${rows.length}`, food, amount: { value, unit }, ...more });
  };
  const meatPrep = (food: string): Ingredient['prep'] => {
    const prep: NonNullable<Ingredient['prep']> = {};
    if (chance(0.5)) prep.shape = pick(slow.includes(food) ? ['cube', 'cube', 'strip'] : ['slab', 'cube', 'strip']);
    if (prep.shape && chance(0.8)) prep.thicknessMm = prep.shape === 'strip' ? between(8, 15) : between(14, 40);
    else if (chance(0.25)) prep.thicknessMm = between(15, 45);
    if (chance(0.12)) prep.state = pick(['frozen', 'frozen', 'half-frozen']);
    else if (chance(0.1)) prep.state = pick(['browned', 'cooked', 'raw']);
    return prep;
  };
  const meat = (foods: readonly string[], each: number): void => {
    const food = pick(foods);
    const prep = ground.includes(food) || cured.includes(food) ? {} : meatPrep(food);
    add(food, Math.round(each * serves * (0.7 + 0.6 * r())), 'g', Object.keys(prep!).length > 0 ? { prep: prep! } : {});
  };
  const veg = (n: number): void => {
    for (let i = 0; i < n; i++) add(pick(vegetables), between(60, 260));
  };
  const lates = (n: number): void => {
    for (let i = 0; i < n; i++) {
      const food = pick(late);
      add(food, food === 'herb-fresh' ? 15 : between(60, 250));
    }
  };
  const grain = (foods: readonly string[], each: number): void => {
    const prep: NonNullable<Ingredient['prep']> = {};
    if (chance(0.6)) prep.rinse = true;
    if (chance(0.15)) prep.soakMin = pick([20, 30, 60, 480]);
    add(pick(foods), Math.round(each * serves * (0.75 + 0.5 * r())), 'g', Object.keys(prep).length > 0 ? { prep } : {});
  };
  const fat = (): void => add(pick(['oil-olive', 'butter', 'ghee']), pick([1, 2]), 'tbsp');
  const broth = (ml: number): void => add(pick(['broth', 'broth-low-salt', 'water']), ml, 'ml');
  switch (family) {
    case 'plain-grain':
      grain([...rices, ...browns], 75);
      if (chance(0.7)) broth(between(200, 900));
      break;
    case 'coated-grain':
      grain(rices, 75);
      fat();
      veg(between(1, 2));
      broth(between(300, 700));
      break;
    case 'one-pot-grain':
      grain([...rices, ...rices, ...browns], 70);
      meat([...quick, ...quick, ...ground, ...cured, ...slow], 110);
      if (chance(0.3)) meat([...cured, ...quick], 60);
      veg(between(1, 3));
      if (chance(0.4)) add(pick(['tomato-diced-canned', 'tomato-crushed-canned']), pick([200, 400]));
      if (chance(0.7)) fat();
      if (chance(0.4)) lates(1);
      broth(between(250, 700));
      break;
    case 'layered-grain':
      grain(rices, 70);
      meat([...quick, ...slow], 120);
      veg(between(1, 2));
      add('tomato-diced-canned', pick([200, 400]));
      fat();
      broth(between(250, 600));
      break;
    case 'biryani':
      grain(['rice-basmati', 'rice-long'], 75);
      meat([...slow, ...quick], 110);
      add('yogurt', between(80, 200));
      veg(1);
      fat();
      add('spice-ground', between(4, 12));
      if (chance(0.5)) add('herb-fresh', 20);
      broth(300);
      break;
    case 'risotto':
      add('rice-arborio', Math.round(75 * serves * (0.8 + 0.4 * r())));
      add('shallot', between(30, 90));
      if (chance(0.6)) add('wine-white', 100, 'ml');
      if (chance(0.5)) meat(quick, 80);
      if (chance(0.4)) add('mushroom', 200);
      add('butter', 30);
      add('cheese-hard', 50);
      broth(between(500, 1100));
      break;
    case 'casserole':
      if (chance(0.7)) grain([...browns, ...rices], 55);
      meat([...slow, ...quick], 130);
      veg(between(2, 4));
      if (chance(0.4)) add('beans-canned', 240);
      if (chance(0.5)) add('tomato-crushed-canned', 400);
      fat();
      if (chance(0.3)) lates(1);
      broth(between(300, 700));
      break;
    case 'one-pot-pasta':
      add(pick(pastas), Math.round(85 * serves * (0.8 + 0.4 * r())));
      meat([...ground, ...ground, ...quick, ...cured, ...slow], 90);
      veg(between(1, 2));
      if (chance(0.6)) add(pick(['tomato-crushed-canned', 'tomato-sauce', 'tomato-diced-canned']), 400);
      fat();
      if (chance(0.5)) lates(1);
      broth(between(400, 900));
      break;
    case 'layered-pasta':
      add('lasagne-sheet', between(180, 300));
      meat(ground, 100);
      add('tomato-sauce', between(400, 700));
      if (chance(0.5)) add('cheese-soft', 200);
      add('cheese-hard', 80);
      veg(1);
      fat();
      break;
    case 'noodle-soup':
      add(pick(['noodles-short', 'orzo', 'ditalini', 'elbows', 'rice-long']), Math.round(35 * serves));
      meat([...quick, ...slow], 70);
      veg(between(2, 3));
      if (chance(0.3)) lates(1);
      broth(between(900, 1900));
      break;
    case 'rack-over-grain':
      grain([...browns, ...rices], 70);
      meat([...quick, ...slow], 120);
      if (chance(0.5)) broth(500);
      break;
    case 'pot-in-pot':
      grain(rices, 60);
      meat([...slow, ...quick, ...slow], 110);
      veg(between(1, 2));
      if (chance(0.6)) add('tomato-diced-canned', 200);
      fat();
      break;
    case 'porridge':
      add(pick(['oats-steel-cut', 'oats-rolled', 'rice-short', 'millet']), Math.round(40 * serves));
      if (chance(0.6)) add('milk', between(150, 500), 'ml');
      if (chance(0.4)) add('dried-fruit', 50);
      break;
    case 'steamed-side':
      if (chance(0.5))
        add('potato', between(400, 900), 'g', chance(0.6) ? { prep: { thicknessMm: between(25, 60) } } : {});
      if (chance(0.4)) add(pick(['carrot', 'beetroot', 'sweet-potato']), between(300, 600));
      if (chance(0.3)) add('egg', between(2, 6), 'piece');
      if (chance(0.3)) add(pick(['broccoli', 'cauliflower']), 400);
      if (rows.length === 0 || chance(0.3)) meat(quick, 120);
      break;
  }
  if (chance(0.5) && family !== 'steamed-side' && family !== 'porridge') add('salt', 1, 'tsp');
  const kitchen = kitchenSchema.parse({
    potId: pick(potIds),
    altitudeM: pick([0, 0, 150, 600, 1180, 2500]),
  });
  const dish = readDish({ format: 'einkorn.dish/1', title: `Plausible ${seed}`, family, serves, ingredients: rows });
  return { seed, dish, kitchen };
}
