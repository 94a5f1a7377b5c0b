import { deflateSync, strToU8 } from 'fflate';
import { packed, unpacked } from '../src/app/shelf/dish-link';
import { searchDishes } from '../src/app/shelf/search';
import { demo } from '../../core/test/helpers/demo';

const stored = [...demo].map(([id, dish]) => ({ id, dish, revision: 1, updatedMs: 0, archived: false }));

describe('a dish in a link', () => {
  test.each([...demo])('%s comes back as it was, in letters that an address may hold', (_, dish) => {
    const part = packed(dish);
    expect(part).toMatch(/^[\w-]+$/);
    expect(unpacked(part)).toEqual({ dish, leftOut: [] });
    // Room in a code that a phone reads from a screen (ISO/IEC 18004: 1,853 characters in 101 modules, 2,520 in 121).
    expect(part.length).toBeLessThan(1800);
  });
  test.each([
    ['nothing', ''],
    ['half a link', packed([...demo.values()][0]!).slice(0, 60)],
    ['letters of no link', 'not a link!'],
    ['a great deal of nothing', btoa(String.fromCharCode(...deflateSync(strToU8(`"${' '.repeat(5_000_000)}"`))))],
  ])('%s is refused with a sentence', (_, part) => {
    expect(() => unpacked(part)).toThrow('This link carries no whole dish');
  });
});

describe('dishes by words', () => {
  const find = (text: string) => searchDishes(stored, text, (id) => id.replaceAll('-', ' '));
  const first = (text: string): string | undefined => find(text)[0]?.id;
  test.each([
    ['turkey', 'turkey-leek-lemon'],
    ['pavo', 'turkey-leek-lemon'],
    ['gallina de guinea', 'guinea-fowl-mushroom-risotto'],
    ['ladyfinger', 'duck-okra-jambalaya'],
    ['remolacha', 'beef-beetroot-dill-pasta'],
    ['juniper venson', 'venison-juniper-barley'],
    ['SPINACH sheets', 'spinach-cheese-sheets'],
  ])('"%s" finds %s', (text, id) => expect(first(text)).toBe(id));
  test('a food that fits is told by the name that was looked for', () => {
    expect(find('ladyfinger')[0]!.why).toEqual([{ food: 'okra', name: 'ladyfinger' }]);
    expect(find('pavo')[0]!.why).toContainEqual({ food: 'turkey-thigh', name: 'pavo' });
  });
  test('a word means the food itself, not every broth that is made of it', () => {
    expect(find('lamb').map((h) => h.id)).toEqual(['lamb-apricot-biryani', 'aubergine-lamb-sheets']);
    expect(find('stock').length).toBeGreaterThan(3);
  });
  test('every word must fit', () => expect(find('turkey okra')).toEqual([]));
});
