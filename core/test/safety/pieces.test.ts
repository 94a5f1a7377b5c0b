import { kitchenSchema } from '../../src/dish/kitchen';
import { readDish } from '../../src/dish/read';
import { plan } from '../../src/plan/plan';
import { typed, unsafe } from '../helpers/safety';

/* A sample of what `npm run bench -- laws` asks of 2,016 typed meats: see helpers/safety. */
test.each([0, 1])('no meat that was typed is told to be done while it is raw, part %d', (part) => {
  const bad = Array.from({ length: 120 }, (_, i) => 1 + part * 1009 + 7 * i).flatMap((seed) => {
    const t = typed(seed);
    const wrong = unsafe(t);
    return wrong ? [`${seed} ${t.food} ${t.family} ${t.potId} ${t.altitudeM} ${JSON.stringify(t.prep)}: ${wrong}`] : [];
  });
  expect(bad).toEqual([]);
});

test('frozen breast without a shape is a slab that hangs together, not a cube: it is told, measured and long', () => {
  const dish = readDish({
    format: 'einkorn.dish/1',
    title: 'Frozen breast over rice',
    family: 'one-pot-grain',
    serves: 4,
    ingredients: [
      { id: 'rice', food: 'rice-long', amount: { value: 300, unit: 'g' }, prep: { rinse: true } },
      {
        id: 'chicken',
        food: 'chicken-breast',
        amount: { value: 3, unit: 'piece' },
        prep: { state: 'frozen', pieceG: 230 },
      },
      { id: 'broth', food: 'broth', amount: { value: 400, unit: 'ml' } },
    ],
  });
  const p = plan(dish, kitchenSchema.parse({}));
  const m = p.meats[0]!;
  // 25 mm for 190 g: a piece of 230 g is thicker by the cube root.
  expect(m.thicknessMm).toBeCloseTo(25 * Math.cbrt(230 / 190), 1);
  expect(p.warnings.map((w) => w.code)).toEqual(
    expect.arrayContaining(['thickness-guessed', 'frozen-lump', 'thermometer']),
  );
  expect(p.program.holdMin + (p.firstStage?.holdMin ?? 0)).toBeGreaterThan(10);
});
