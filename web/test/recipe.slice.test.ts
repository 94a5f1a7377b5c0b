import { evaluate, plan, readRecipe, withWritten, type Dish } from '@einkorn/core';
import { RecipeActions, recipeFeature, type RecipeState } from '../src/app/recipe/recipe.slice';

const { reducer } = recipeFeature;
const text = '300 g basmati rice\n1 onion\n400 g chicken thighs';
const reading = readRecipe(text);
const after = (...actions: Parameters<typeof reducer>[1][]): RecipeState =>
  actions.reduce<RecipeState>((s, a) => reducer(s, a), reducer(undefined, { type: '-' }));
const dishOf = (s: RecipeState): Dish | null => recipeFeature.selectDish({ [recipeFeature.name]: s });

test('what the cook decided stays when the text is read again', () => {
  const s = after(
    RecipeActions.typed({ text }),
    RecipeActions.read({ reading }),
    RecipeActions.ownWords({ own: { title: 'Friday', serves: 6 } }),
    RecipeActions.typed({ text: `${text}\n1 cup peas` }),
    RecipeActions.read({ reading: readRecipe(`${text}\n1 cup peas`) }),
  );
  expect(dishOf(s)).toMatchObject({ title: 'Friday', serves: 6, family: 'one-pot-grain' });
  expect(dishOf(s)!.ingredients).toHaveLength(4);
});
test('the recipe’s numbers that were taken are the cook’s in the dish that is kept; none without being taken', () => {
  const cooked = readRecipe(`${text}\n2 cups water\nCook at high pressure for 9 minutes, quick release.`);
  const ours = plan(withWritten(cooked.dish!, null, []));
  const written = { plan: evaluate(cooked.dish!), changes: [] };
  const planned = { dish: cooked.dish!, ours, written, mixed: ours };
  const s = after(
    RecipeActions.typed({ text }),
    RecipeActions.read({ reading: cooked }),
    RecipeActions.planned({ planned }),
  );
  const chosen = (x: RecipeState) => recipeFeature.selectChosen({ [recipeFeature.name]: x })!;
  expect(chosen(s)).not.toHaveProperty('overrides');
  expect(chosen(s)).not.toHaveProperty('asCooked');
  const taken = reducer(s, RecipeActions.take({ keys: ['hold'] }));
  expect(chosen(taken).overrides).toEqual({ holdMin: 9 });
});
test('a reading that comes after the text was cleared is stale', () => {
  const s = after(RecipeActions.typed({ text }), RecipeActions.typed({ text: ' ' }), RecipeActions.read({ reading }));
  expect(s.reading).toBeNull();
});
test('a text that cannot be read says why and has no dish; what was typed stays', () => {
  const s = after(
    RecipeActions.typed({ text }),
    RecipeActions.read({ reading }),
    RecipeActions.typed({ text: '{' }),
    RecipeActions.notRead({ message: 'no recipe' }),
  );
  expect(s).toMatchObject({ text: '{', message: 'no recipe', reading: null, planned: null });
  expect(dishOf(s)).toBeNull();
});
test('an answer that could not be sent can be sent again; one that was kept leaves an empty page', () => {
  const failure = { code: 'offline', message: '', issues: [], offline: true };
  const kept = [RecipeActions.typed({ text }), RecipeActions.read({ reading }), RecipeActions.keep()];
  expect(after(...kept).isKeeping).toBe(true);
  expect(after(...kept, RecipeActions.failed({ failure }))).toMatchObject({ isKeeping: false, text, failure });
  expect(after(...kept, RecipeActions.kept({ id: 'd' }))).toMatchObject({ text: '', reading: null });
});
