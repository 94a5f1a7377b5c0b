import { kitchenSchema, plan, readDish, readLine, type Dish, type Plan } from '@einkorn/core';
import { demoDishes } from '../../server/src/demo/dishes';
import { describeChange } from '../src/app/bench/describe';
import {
  addRead,
  type WholeLine,
  movedFry,
  movedPlace,
  placesOf,
  withIngredient,
  withLedger,
  withOverrides,
  withoutIngredient,
  withPrep,
  withRemedy,
  withServeShift,
} from '../src/app/bench/edits';
import { trialOf, type SheetName } from '../src/app/bench/one-change';
import { english as en } from '../src/app/i18n/english';
import { differences } from '../src/app/ui/differences';

const kitchen = kitchenSchema.parse({ altitudeM: 1180 });
const dishes = Object.fromEntries(Object.entries(demoDishes).map(([id, doc]) => [id, readDish(doc)]));
const turkey = dishes['turkey-leek-lemon']!;
const turkeyPlan = plan(turkey, kitchen);

describe('the name of a change', () => {
  const cases: [string, Dish][] = [
    ['amount', withIngredient(turkey, 'rice', { amount: { value: 1.5, unit: 'cup-us' } })],
    ['prep', withPrep(turkey, 'rice', { rinse: false })],
    ['place', withIngredient(turkey, 'turkey', { place: 'rack' })],
    ['joins', withIngredient(turkey, 'leek', { joins: 'finish' })],
    ['removed', withoutIngredient(turkey, 'garlic')],
    ['added', addRead(turkey, readLine('80 g kale')[0] as WholeLine)],
    ['swapped', withIngredient(turkey, 'rice', { food: 'rice-brown-long' })],
    ['serves', { ...turkey, serves: 9 }],
    ['texture', { ...turkey, texture: 'soft' }],
    ['serve-at', withServeShift(turkey, 5)],
    ['own-holdMin', withOverrides(turkey, { holdMin: 7 })],
    ['own-fryOrder', movedFry(turkey, turkeyPlan, 0, 1)],
    ['own-ledger', withLedger(turkey, 'from:turkey', 20)],
    ['order', { ...turkey, ingredients: [...turkey.ingredients].reverse() }],
    ['other', { ...turkey, notes: 'nice' }],
  ];
  test.each(cases)('%s', (key, after) => {
    expect(describeChange(turkey, after).key).toBe(key);
    expect(key in en.change).toBe(true);
  });
  test('letting go has its own name, and an amount carries what it became', () => {
    expect(describeChange(withOverrides(turkey, { holdMin: 7 }), turkey).key).toBe('released');
    const c = describeChange(turkey, withIngredient(turkey, 'rice', { amount: { value: 1.5, unit: 'cup-us' } }));
    expect([c.food, c.amount]).toEqual(['rice-long', { value: 1.5, unit: 'cup-us' }]);
  });
});

describe('moving layers', () => {
  test('a meat goes from the base over the grain to the rack and no further; grain never to the rack', () => {
    expect(placesOf(turkey, turkeyPlan, 'turkey')).toEqual(['base', 'top', 'rack']);
    expect(placesOf(turkey, turkeyPlan, 'rice')).toEqual(['base', 'grain', 'top']);
    expect(placesOf(turkey, turkeyPlan, 'broth')).toEqual([]);
    const up = movedPlace(turkey, turkeyPlan, 'turkey', 1)!;
    expect(up.ingredients.find((i) => i.id === 'turkey')!.place).toBe('top');
    const top = movedPlace(up, plan(up, kitchen), 'turkey', 1)!;
    expect(top.ingredients.find((i) => i.id === 'turkey')!.place).toBe('rack');
    expect(movedPlace(top, plan(top, kitchen), 'turkey', 1)).toBeNull();
    expect(movedPlace(turkey, turkeyPlan, 'turkey', -1)).toBeNull();
  });
  test('every place that is offered can be planned', () => {
    for (const dish of Object.values(dishes)) {
      const p = plan(dish, kitchen);
      for (const i of dish.ingredients)
        for (const place of placesOf(dish, p, i.id)) plan(withIngredient(dish, i.id, { place }), kitchen);
    }
  });
});

describe('remedies that the bench can do', () => {
  const sauced: Dish = {
    ...turkey,
    ingredients: [
      ...turkey.ingredients,
      { id: 'sauce', food: 'tomato-sauce', amount: { value: 200, unit: 'g' }, place: 'base' },
    ],
  };
  test.each([
    ['tomato-on-top', sauced],
    ['deglaze-and-scrape', withOverrides(turkey, { deglazed: false })],
    ['do-not-stir', withOverrides(turkey, { stirredDown: true })],
    ['rinse-the-grain', withPrep(dishes['plain-long-grain']!, 'rice', { rinse: false })],
  ])('%s lowers the risk to what was promised', (remedy, dish) => {
    const before = plan(dish, kitchen);
    const reason = before.scorch.reasons.find((r) => r.remedy === remedy)!;
    const after = plan(withRemedy(dish, before, remedy)!, kitchen);
    expect(after.scorch.index).toBeLessThan(before.scorch.index);
    // Rinsed grain still has a point of its own; elsewhere the promise is exact.
    if (remedy !== 'rinse-the-grain') expect(after.scorch.index).toBeCloseTo(reason.after!, 6);
  });
  test('what only the cook can do is not offered', () => {
    expect(withRemedy(turkey, turkeyPlan, 'lower-the-flame')).toBeNull();
  });
});

describe('try it', () => {
  const sheets: SheetName[] = ['gather', 'fry', 'water', 'stack', 'pressure', 'finish'];
  test.each(sheets)('%s: the change can be planned, differs, and its sentence stands in the catalogue', (sheet) => {
    let offered = 0;
    for (const dish of Object.values(dishes)) {
      const p = plan(dish, kitchen);
      const x = trialOf(sheet, dish, p);
      if (!x) continue;
      offered += 1;
      expect(x.key in en.try).toBe(true);
      const q = plan(x.dish, kitchen);
      for (const d of differences(p, q)) expect(`diff.${d.key}`.split('.')[1]! in en.diff).toBe(true);
    }
    expect(offered).toBeGreaterThan(4);
  });
  test('no difference between a plan and itself; a quick release is told as one', () => {
    expect(differences(turkeyPlan, turkeyPlan)).toEqual([]);
    const quick: Plan = plan(withOverrides(turkey, { release: { kind: 'quick' } }), kitchen);
    expect(differences(turkeyPlan, quick).find((d) => d.key === 'release')?.after).toBe('quick-0');
  });
});
