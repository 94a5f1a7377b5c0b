import { ingredientNames, withFood } from '../src/dish/ingredient-names';
import { readDish } from '../src/dish/read';
import { plan } from '../src/plan/plan';
import { card } from '../src/share/card';
import { seaLevel } from './helpers/dishes';

const pulao = (names: readonly (string | undefined)[], finish = false) =>
  readDish({
    format: 'einkorn.dish/1',
    title: 'Pulao',
    family: 'coated-grain',
    serves: 4,
    ingredients: [
      { id: 'ghee', food: 'ghee', amount: { value: 30, unit: 'g' } },
      ...names.map((name, i) => ({
        id: `spice-${i}`,
        food: 'spice-ground',
        ...(name ? { name } : {}),
        amount: { value: 2, unit: 'g' },
        ...(finish && i > 0 ? { joins: 'finish' } : {}),
      })),
      { id: 'rice', food: 'rice-basmati', amount: { value: 300, unit: 'g' } },
      { id: 'broth', food: 'broth', amount: { value: 400, unit: 'ml' } },
    ],
  });

test('rows that are cooked as one food go by the names of all of them', () => {
  const { ingredients } = pulao(['turmeric', 'cumin']);
  expect(ingredientNames(ingredients)).toMatchObject({ 'spice-0': ['turmeric', 'cumin'], rice: ['rice-basmati'] });
  expect(ingredientNames(pulao(['turmeric', 'garam masala'], true).ingredients)).toMatchObject({
    'spice-0': ['turmeric'],
    'spice-1': ['garam masala'],
  });
});
test('the card lists each by its own name, and fries them under all of them', () => {
  const dish = pulao(['turmeric', 'cumin']);
  const text = card(dish, plan(dish, seaLevel));
  expect(text).toMatch(/2 g {2}turmeric\n +2 g {2}cumin\n/);
  expect(text).toContain('turmeric, cumin: 0.5 min, until it smells');
});
test('a name changes no number', () => {
  const { program, liquid, fry } = plan(pulao([undefined, undefined]), seaLevel);
  expect(plan(pulao(['turmeric', 'cumin']), seaLevel)).toMatchObject({ program, liquid, fry });
});
test('another food in its place does not go by the old name', () => {
  const [, spice] = pulao(['turmeric']).ingredients;
  expect(withFood(spice!, 'spice-whole')).toEqual({ id: 'spice-0', food: 'spice-whole', amount: spice!.amount });
});
