import { cookSummarySchema, summaryOf } from '../src/cook/summary';
import { plan } from '../src/plan/plan';
import { hut, turkeyRice } from './helpers/dishes';
import { cookedSo } from './learn/cooked';

const dish = turkeyRice();
const p = plan(dish, hut);

test('a summary has what was planned beside what was tapped and said, and fits its schema', () => {
  const c = cookedSo({ dish, plan: p, id: 'c' }, { pinMin: 9.5 }, { ratings: { grain: 3 } });
  const s = summaryOf(c);
  expect(cookSummarySchema.parse(s)).toEqual(s);
  expect(s).toMatchObject({
    id: 'c',
    title: dish.title,
    practice: false,
    ratings: { grain: 3 },
    liquidMl: p.liquid.addMl,
  });
  expect(s.actual.toPinMin).toBeCloseTo(9.5, 3);
  expect(s.planned).toMatchObject({ toPinMin: p.program.pinUpMin, band: p.grain!.band, coreC: p.meats[0]!.coreC });
  expect(summaryOf({ ...c, events: [], finishedMs: null }).actual.toPinMin).toBeNull();
});
