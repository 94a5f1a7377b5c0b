import { isGonePart, openAnew } from '../src/app/api/gone-part';

// As the browsers say it.
const gone = [
  'Failed to fetch dynamically imported module: http://hut/chunk-ABC.js',
  'error loading dynamically imported module: http://hut/chunk-ABC.js',
  'Importing a module script failed.',
];

test('a part of the page that is gone is known by each browser’s words, and nothing else is', () => {
  expect(gone.map((m) => isGonePart(new TypeError(m)))).toEqual([true, true, true]);
  expect([isGonePart(new TypeError('x is undefined')), isGonePart('text'), isGonePart(null)]).toEqual([
    false,
    false,
    false,
  ]);
});

test('a place whose part is gone is opened anew once, and not for ever', () => {
  const kept = new Map<string, string>();
  const session = {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
  };
  const opened: string[] = [];
  const go = (error: Error, url: string) => openAnew(error, url, session, (to) => opened.push(to));
  go(new TypeError(gone[0]), '/log');
  go(new TypeError(gone[0]), '/log');
  go(new TypeError('x is undefined'), '/stove');
  go(new TypeError(gone[0]), '/stove');
  expect(opened).toEqual(['/log', '/stove']);
});
