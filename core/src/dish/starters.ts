import type { Amount } from '../quantity/parse';
import { dishFormat, type Dish, type Family, type Ingredient } from './schema';

const g = (value: number): Amount => ({ value, unit: 'g' });
const ml = (value: number): Amount => ({ value, unit: 'ml' });
const piece = (value: number): Amount => ({ value, unit: 'piece' });
const item = (food: string, amount: Amount, more: Partial<Ingredient> = {}): Ingredient => ({
  id: food,
  food,
  amount,
  ...more,
});

const rinsed = { prep: { rinse: true } };
const cubes = (thicknessMm: number) => ({ prep: { shape: 'cube' as const, thicknessMm } });
const onion = item('onion', piece(1));
const oil = item('oil-neutral', { value: 1, unit: 'tbsp' });
const broth = item('broth', ml(350));

/** The plainest dish of each family for four, to begin from [common practice]. */
const boards: Record<Family, readonly Ingredient[]> = {
  'plain-grain': [item('rice-long', g(300), rinsed)],
  'coated-grain': [item('rice-long', g(300), rinsed), onion, item('butter', g(25)), broth],
  'one-pot-grain': [item('rice-long', g(300), rinsed), item('chicken-thigh', g(500), cubes(25)), onion, oil, broth],
  'layered-grain': [
    item('rice-long', g(300), rinsed),
    item('chicken-thigh', g(500), cubes(25)),
    item('tomato-diced-canned', g(200)),
    onion,
    oil,
  ],
  biryani: [
    item('rice-basmati', g(300), { prep: { rinse: true, soakMin: 30 } }),
    item('chicken-thigh', g(400), cubes(25)),
    item('yogurt', g(120), { joins: 'marinade' }),
    onion,
    item('ghee', g(25)),
    item('spice-ground', g(8)),
  ],
  risotto: [
    item('rice-arborio', g(300)),
    item('shallot', piece(2)),
    item('wine-white', ml(100)),
    item('butter', g(25)),
    item('cheese-hard', g(50)),
    item('broth', ml(800)),
  ],
  casserole: [item('barley-pearl', g(250)), item('beef-stew', g(500), cubes(25)), onion, oil, item('broth', ml(500))],
  'one-pot-pasta': [
    item('penne', g(400)),
    item('beef-ground', g(400)),
    item('tomato-crushed-canned', g(400)),
    onion,
    oil,
    item('broth', ml(700)),
  ],
  'layered-pasta': [
    item('lasagne-sheet', g(250)),
    item('lamb-ground', g(400)),
    item('tomato-sauce', g(500)),
    item('cheese-hard', g(100)),
    onion,
    oil,
  ],
  'noodle-soup': [
    item('noodles-short', g(140)),
    item('chicken-breast', g(300), cubes(20)),
    item('carrot', piece(2)),
    onion,
    item('broth', ml(1500)),
  ],
  'rack-over-grain': [
    item('rice-brown-long', g(300), rinsed),
    item('chicken-thigh', g(500), { prep: { shape: 'slab', thicknessMm: 22 } }),
  ],
  'pot-in-pot': [
    item('rice-long', g(250), rinsed),
    item('lamb-leg', g(500), cubes(22)),
    item('tomato-diced-canned', g(250)),
    onion,
    oil,
  ],
  porridge: [item('oats-steel-cut', g(160)), item('milk', ml(200))],
  'steamed-side': [item('potato', g(700), { prep: { shape: 'sphere', thicknessMm: 40 } })],
};

/** A new dish of a family, ready to be planned; `title` is the cook's word for it. */
export const starter = (family: Family, title: string): Dish => ({
  format: dishFormat,
  title,
  family,
  serves: 4,
  ingredients: structuredClone([...boards[family]]),
});
