import { asWritten, withWritten, writtenKeys } from '../src/plan/questions/as-written';
import { evaluate, plan } from '../src/plan/plan';
import { readRecipe } from '../src/recipe/reading';
import { seaLevel } from './helpers/dishes';

const { dish } = readRecipe(
  'Chicken and rice\nServes 4\n2 cups long-grain rice, rinsed\n1 lb chicken thighs, cut into 1-inch pieces\n3 cups water\n' +
    'Cook at high pressure for 12 minutes, natural release 20 minutes.',
);
const ours = plan(withWritten(dish!, null, []), seaLevel);

test('each number that differs is judged alone: the recipe with that one number as ours', () => {
  const written = asWritten(dish!, seaLevel, ours);
  expect(written.plan).toEqual(evaluate(dish!, seaLevel));
  expect(written.changes.map((c) => c.key)).toEqual(['liquid', 'hold', 'release']);
  const [liquid, hold] = written.changes;
  expect(liquid!.alone.liquid.addMl).toBe(ours.liquid.addMl);
  expect(liquid!.alone.program).toMatchObject({ holdMin: 12, release: written.plan.program.release });
  expect(hold!.alone.program.holdMin).toBe(ours.program.holdMin);
  expect(hold!.alone.liquid.addMl).toBe(written.plan.liquid.addMl);
});

test('numbers that are taken become decisions of the cook, the rest stays ours', () => {
  const { plan: written } = asWritten(dish!, seaLevel, ours);
  expect(withWritten(dish!, written, [])).not.toHaveProperty('overrides');
  const mixed = plan(withWritten(dish!, written, ['hold']), seaLevel);
  expect(mixed.program.holdMin).toBe(12);
  const all = plan(withWritten(dish!, written, writtenKeys), seaLevel);
  expect([all.liquid.addMl, all.program.holdMin, all.program.release]).toEqual([
    written.liquid.addMl,
    12,
    { kind: 'timed', naturalMin: 20 },
  ]);
});

test('a recipe with our own numbers differs in nothing', () => {
  const { pressure, holdMin, release } = ours.program;
  const same = { ...dish!, asCooked: { liquidMl: ours.liquid.addMl, pressure, holdMin, release } };
  expect(asWritten(same, seaLevel, ours).changes).toEqual([]);
});
