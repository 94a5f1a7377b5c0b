import { families } from '../src/dish/schema';
import { readDish } from '../src/dish/read';
import { starter } from '../src/dish/starters';
import { plan } from '../src/plan/plan';
import { hut, seaLevel } from './helpers/dishes';

test.each(families)(
  'the plainest %s is a good document and plans without a stop, in the valley and in the hut',
  (family) => {
    const dish = starter(family, 'New dish');
    expect(readDish(dish)).toEqual(dish);
    for (const kitchen of [seaLevel, hut]) {
      const p = plan(dish, kitchen);
      expect(p.warnings.filter((w) => w.severity === 'stop')).toEqual([]);
      expect(p.meats.every((m) => m.ok)).toBe(true);
    }
  },
);
