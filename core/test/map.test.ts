import type { Dish } from '../src/dish/schema';
import { donenessMap, type DonenessMap } from '../src/plan/questions/map';
import { plan } from '../src/plan/plan';
import { demoDish } from './helpers/demo';
import { hut, plainRice, seaLevel, turkeyRice } from './helpers/dishes';

/* The map is drawn from a coarser run than the plan: at its own points both must say the same. */
const slab = (): Dish => {
  const d = turkeyRice();
  d.ingredients[1] = { ...d.ingredients[1]!, prep: { shape: 'slab', thicknessMm: 30 } };
  return d;
};
const mapOf = (dish: Dish, kitchen = hut) => {
  const p = plan(dish, kitchen);
  const at = (m: DonenessMap, row: number, column: number) =>
    plan(
      {
        ...dish,
        overrides: {
          ...dish.overrides,
          liquidMl: p.liquid.addMl,
          holdMin: m.holdMin[column]!,
          pressure: p.program.pressure,
          release: row === 0 ? { kind: 'quick' } : { kind: 'timed', naturalMin: m.naturalMin[row]! },
        },
      },
      kitchen,
    );
  return { p, m: donenessMap(dish, kitchen, p), at };
};

test.each([
  ['rice', plainRice(), seaLevel],
  ['rice with turkey', slab(), hut],
  ['risotto', demoDish('guinea-fowl-mushroom-risotto'), hut],
])('%s: index and minutes of a plan with the same hold and release', (_, dish, kitchen) => {
  const { m, at } = mapOf(dish, kitchen);
  for (const [row, column] of [
    [0, 0],
    [0, 6],
    [4, 10],
    [12, 3],
    [20, 28],
  ] as const) {
    const there = at(m, row, column);
    expect(Math.abs(m.index[row]![column]! - there.grain!.textureIndex)).toBeLessThan(0.1);
    expect(m.equivalentMin[row]![column]! / there.grain!.equivalentMin).toBeCloseTo(1, 2);
  }
});
test('pasta is told in multiples of its packet, with the edge past which it is soft whatever holds it back', () => {
  const { m, at, p } = mapOf(demoDish('pork-fennel-bean-rigatoni'));
  const there = at(m, 3, 8);
  expect(m.index[3]![8]!).toBeCloseTo(there.pasta!.x, 1);
  expect(m.bandEdges).toEqual([0.85, 1.05, 1.6, 2.2]);
  expect(m.naturalFullMin).toBe(p.program.naturalFullMin);
});
test('the axes: 31 holds from nought to at least a quarter of an hour and twice the plan, 25 releases past the whole fall', () => {
  for (const dish of [plainRice(), demoDish('venison-juniper-barley')]) {
    const { m, p } = mapOf(dish);
    expect([m.holdMin.length, m.naturalMin.length, m.index.length, m.index[0]!.length]).toEqual([31, 25, 25, 31]);
    expect([m.holdMin[0], m.naturalMin[0]]).toEqual([0, 0]);
    const most = m.holdMin.at(-1)!;
    expect(most).toBeGreaterThanOrEqual(Math.max(15, 2 * p.program.holdMin));
    expect(most).toBeLessThan(2 * p.program.holdMin + 15 + 1e-9);
    expect(most % 15).toBe(0);
    expect(m.holdMin[1]).toBeCloseTo(most / 30, 3);
    expect(m.naturalMin.at(-1)!).toBeGreaterThanOrEqual(Math.max(12, p.program.naturalFullMin + 2));
    expect(m.naturalMin.at(-1)!).toBeLessThanOrEqual(Math.max(12, p.program.naturalFullMin + 4));
  }
});
test('meat: done from its line on, not half a minute before it, and never later for a longer release', () => {
  const { m, at } = mapOf(slab());
  const from = m.meatFromMin;
  expect(from.every((x, i) => x === null || i === 0 || from[i - 1] === null || x <= from[i - 1]!)).toBe(true);
  for (const row of [0, 2, 6]) {
    const column = m.holdMin.indexOf(from[row]!);
    expect(column).toBeGreaterThan(0);
    expect(at(m, row, column).meats[0]!.ok).toBe(true);
    expect(at(m, row, Math.max(0, column - 2)).meats[0]!.ok).toBe(false);
  }
  expect(mapOf(plainRice()).m.meatFromMin.every((x) => x === 0)).toBe(true);
});
test('meat that no hold on the map makes safe has no line by a quick release', () => {
  const d = turkeyRice();
  d.ingredients[1] = { ...d.ingredients[1]!, prep: { shape: 'slab', thicknessMm: 80 } };
  d.overrides = { firstStage: false, holdMin: 5 };
  const { m, at } = mapOf(d);
  expect(m.meatFromMin[0]).toBeNull();
  expect(at(m, 0, 30).meats[0]!.ok).toBe(false);
});
test('spray: under five minutes of natural release where the plan speaks against a quick one', () => {
  expect(mapOf(plainRice()).m.sprayUnderMin).toBe(5);
  const bowl = mapOf(demoDish('goat-curry-bowl-rice'));
  expect(bowl.m.sprayUnderMin).toBe(0);
});
test('a dish without a starch has no map; the work tells how far it is and can be stopped', () => {
  const side = demoDish('small-potatoes-rack');
  expect(() => donenessMap(side, hut, plan(side, hut))).toThrow(/this dish has none/);
  const shares: number[] = [];
  const p = plan(plainRice(), seaLevel);
  donenessMap(plainRice(), seaLevel, p, (s) => shares.push(s));
  expect(shares).toHaveLength(25);
  expect(shares.at(-1)).toBe(1);
  expect(shares[0]).toBeCloseTo(1 / 25, 9);
  expect(() =>
    donenessMap(plainRice(), seaLevel, p, () => {
      throw new Error('stop');
    }),
  ).toThrow('stop');
});
