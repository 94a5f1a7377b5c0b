import { readDish, readKitchen } from '../../src/dish/read';
import { findFood, foods, measurable } from '../../src/food/find';
import { plan } from '../../src/plan/plan';
import { toGrams } from '../../src/quantity/convert';
import { readLine } from '../../src/recipe/line/line';
import { readRecipe } from '../../src/recipe/reading';
import { ingredientLine } from '../../src/share/ingredient-line';
import { recipeLinkedData, recipeMarkdown } from '../../src/share/recipe';
import { demoDishes } from '../../../server/src/demo/dishes';
import type { Dish } from '../../src/dish/schema';

const kitchen = readKitchen(undefined);
const weighed = (d: Dish): (string | number)[][] =>
  d.ingredients.map((i) => [i.food, Math.round(toGrams(i.amount, measurable(findFood(i.food), i.prep?.pieceG)))]);

test.each(Object.entries(demoDishes))('%s leaves as JSON-LD and as Markdown and comes back the same', (_, doc) => {
  const dish = readDish(doc);
  const planned = plan(dish, kitchen);
  for (const text of [JSON.stringify(recipeLinkedData(dish, planned)), recipeMarkdown(dish, planned)]) {
    const back = readRecipe(text, 'en');
    expect(back.dish).toMatchObject({ title: dish.title, serves: dish.serves });
    expect(weighed(back.dish!)).toEqual(weighed(dish));
    expect(back.cooked.holdMin).toBeCloseTo(planned.program.holdMin, 5);
    expect(back.cooked.release?.kind).toBe(planned.program.release.kind);
  }
});
test('every food is written so that it is read back as itself', () => {
  const lost = foods
    .map((f) => ({ id: f.id, line: ingredientLine({ id: 'x', food: f.id, amount: { value: 100, unit: 'g' } }) }))
    .filter(({ id, line }) => readLine(line)[0]!.food !== id);
  expect(lost).toEqual([]);
});
