import fc from 'fast-check';
import { threeWay } from '../src/three-way';

/* What two screens change of one thing. The law is that of every three-way merge (diff3): a change of one side alone is taken. */
interface Three {
  a?: number;
  b?: number;
  c?: number;
}
const some = fc.record(
  { a: fc.integer({ min: 0, max: 2 }), b: fc.integer({ min: 0, max: 2 }), c: fc.integer({ min: 0, max: 2 }) },
  { requiredKeys: [] },
) as fc.Arbitrary<Three>;

test('what only one side changed is taken, what both changed alike is no question, what they changed otherwise is one', () => {
  fc.assert(
    fc.property(some, some, some, (had, wanted, held) => {
      const { merged, collisions } = threeWay(had, wanted, held);
      for (const key of ['a', 'b', 'c'] as const) {
        const [before, after, now] = [had[key], wanted[key], held[key]];
        const collides = before !== after && now !== before && now !== after;
        expect(collisions.includes(key)).toBe(collides);
        expect(merged[key]).toBe(before === after || collides ? now : after);
      }
    }),
  );
});
test('a change that is there already changes nothing, and one made on what is held is taken whole', () => {
  fc.assert(
    fc.property(some, some, (had, wanted) => {
      expect(threeWay(had, wanted, wanted)).toEqual({ merged: wanted, collisions: [] });
      expect(threeWay(had, wanted, had)).toEqual({ merged: wanted, collisions: [] });
    }),
  );
});
