import { kitchenSchema } from '../src/dish/kitchen';
import { readDish } from '../src/dish/read';
import { shapeExponent } from '../src/meat/geometry';
import { cookPiece } from '../src/meat/piece';
import { setUp } from '../src/plan/setup/setup';
import { heat } from '../src/plan/simulate/heated';

/*
 * A thick piece takes its heat from the pot as one lump. Here the lump's heat is held against the 30-cell conduction run
 * along the same history: at the pin, at the countdown and four minutes into the hold.
 */
const kitchen = kitchenSchema.parse({});
type Case = readonly [
  food: string,
  shape: 'strip' | 'cube' | 'slab',
  mm: number,
  state: 'raw' | 'frozen',
  place: 'base' | 'rack',
];
const cases: readonly Case[] = [
  ['chicken-breast', 'strip', 12, 'raw', 'base'],
  ['chicken-breast', 'cube', 20, 'raw', 'base'],
  ['beef-stew', 'cube', 28, 'raw', 'base'],
  ['chicken-breast', 'slab', 30, 'raw', 'base'],
  ['chicken-breast', 'slab', 30, 'raw', 'rack'],
  ['chicken-thigh', 'slab', 22, 'raw', 'rack'],
  ['chicken-breast', 'slab', 38, 'frozen', 'base'],
  ['beef-stew', 'cube', 28, 'frozen', 'base'],
];

const boardWith = ([food, shape, thicknessMm, state, place]: Case, grams = 900) =>
  setUp(
    readDish({
      format: 'einkorn.dish/1',
      title: 'Coupled',
      family: 'one-pot-grain',
      serves: 4,
      ingredients: [
        { id: 'rice', food: 'rice-long', amount: { value: 300, unit: 'g' } },
        {
          id: 'meat',
          food,
          amount: { value: grams, unit: 'g' },
          prep: { shape, thicknessMm, state },
          place,
          joins: 'stack',
        },
        { id: 'water', food: 'water', amount: { value: 500, unit: 'ml' } },
      ],
    }),
    kitchen,
  );

test.each(cases)('%s, %s of %d mm, %s, on the %s: the lump takes what conduction takes, within 8 %%', (...c) => {
  const setup = boardWith(c);
  const { heated } = heat(setup, { addMl: 500, pressure: 'high' });
  const { history } = heated.finish(6, { kind: 'quick' });
  const rec = setup.g.items.find((i) => i.ingredient.id === 'meat')!.food;
  const [water, protein, fat, ash] = rec.meat!.composition;
  const slow = heated.state;
  for (const at of [heated.pinUpS!, heated.countdownS!, heated.countdownS! + 240].map(Math.round)) {
    const { heatJPerKg } = cookPiece({
      composition: { water, protein, fat, ash },
      freezeC: rec.meat!.freezeC[0],
      species: rec.meat!.species,
      thicknessM: c[2] / 1000,
      exponent: shapeExponent(c[1]),
      startC: c[3] === 'frozen' ? -18 : 4,
      pre: [],
      tempC: history.tempC.slice(0, at + 1),
      dtS: 1,
      releaseAt: at + 1,
      place: c[4] === 'rack' ? 'steam' : 'liquid',
      restS: 0,
    });
    // The lump along the same temperatures, with the constants that the planner gave it.
    const lumpJ = lumpHeat(slow.slowTauS[0]!, slow.slowSurface[0]!, history.tempC, at, c[3] === 'frozen');
    expect(Math.abs((lumpJ * rec.cpKjPerKgK[0] * 1000) / heatJPerKg - 1)).toBeLessThan(0.08);
  }
});

/** Kelvins that the lump has risen by `at` seconds, stepped as the pot steps it. */
function lumpHeat(
  tauS: number,
  surface: NonNullable<ReturnType<typeof heat>['heated']['state']['slowSurface'][number]>,
  tempC: Float64Array,
  at: number,
  frozen: boolean,
): number {
  const from = frozen ? 4 - 266 / 3.54 : 4;
  let t = from;
  for (let i = 1; i <= at; i++) {
    const env = tempC[i - 1]!;
    const ramp = (a: number, b: number, low: number, high: number): number =>
      low + (high - low) * Math.min(1, Math.max(0, (env - a) / (b - a)));
    const h = surface.place === 'liquid' ? ramp(90, 100, 300, 1000) : ramp(85, 100, 40, 700);
    const rate = 1 / (tauS * (1 + 2.24 / (h * surface.lOverK)));
    t = (t + rate * env) / (1 + rate);
  }
  return t - from;
}

test('a frozen kilo lengthens the heat-up by the minutes that its thawing takes from the plate', () => {
  const minutes = (state: 'raw' | 'frozen'): number =>
    heat(boardWith(['beef-stew', 'cube', 28, state, 'base'], 1000), { addMl: 500, pressure: 'high' }).heated
      .countdownS! / 60;
  const more = minutes('frozen') - minutes('raw');
  // 266 kJ and 22 K more for a kilo at 920 W: at most 5.7 min, less what is still frozen inside at the countdown.
  expect(more).toBeGreaterThan(3);
  expect(more).toBeLessThan(6.5);
});
test('the energy that the pieces took is missing from the pot: more meat, later pressure', () => {
  const s = (grams: number): number =>
    heat(boardWith(['chicken-breast', 'cube', 20, 'raw', 'base'], grams), { addMl: 500, pressure: 'high' }).heated
      .countdownS!;
  expect(s(900)).toBeGreaterThan(s(600));
});
