import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { foodIds, readLine } from '@einkorn/core';
import { throwError } from 'rxjs';
import { english } from '../src/app/i18n/english';
import { languageOf, speak } from '../src/app/i18n/language';
import { spanish } from '../src/app/i18n/spanish';

const textsOf = (at: unknown, path = ''): [string, string][] =>
  typeof at === 'string'
    ? [[path.slice(1), at]]
    : Object.entries(at as object).flatMap(([k, v]) => textsOf(v, `${path}.${k}`));
const en = new Map(textsOf(english));
const es = new Map(textsOf(spanish));

test('every text stands in both languages', () => {
  expect([...en.keys()].filter((k) => !es.has(k))).toEqual([]);
  expect([...es.keys()].filter((k) => !en.has(k))).toEqual([]);
});

test('a text is filled with the same in both languages', () => {
  const filledWith = (text: string): string =>
    [...text.matchAll(/\{\{\s*([\w:]+)\s*\}\}/g)]
      .map((m) => m[1])
      .sort()
      .join();
  expect([...en].filter(([k, text]) => filledWith(text) !== filledWith(es.get(k)!)).map(([k]) => k)).toEqual([]);
});

// Names of foods and units that both languages share, figures, and words for the ear of a machine.
const alike = /^(?:food|food-short|unit|units-many|weights|lengths|temperature|language|write\.key)/;
test('no sentence was left in English', () => {
  const left = [...en].filter(
    ([k, text]) =>
      !alike.test(k) && /[a-z]{4} [a-z]{2}/i.test(text.replace(/\{\{[^}]*\}\}/g, '')) && es.get(k) === text,
  );
  expect(left).toEqual([]);
});

test('no text is so much longer that it breaks its place', () => {
  const most = (text: string): number => Math.max(2.2 * text.length, 1.35 * text.length + 22);
  expect([...en].filter(([k, text]) => es.get(k)!.length > most(text)).map(([k]) => [k, es.get(k)])).toEqual([]);
});

test.each([
  ['en', en, '100 g'],
  ['es', es, '100 g de'],
] as const)('what a food is called on the screen is read as that food when it is typed: %s', (language, texts, of) => {
  const misread = foodIds.flatMap((id) => {
    const name = texts.get(`food.${id}`)!;
    const [read] = readLine(`${of} ${name}`, language);
    return read!.refused || read!.food === id ? [] : [[id, name, read!.food]];
  });
  expect(misread).toEqual([]);
});

/** Every file that may ask for a text. */
function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((f) =>
    f.isDirectory()
      ? sources(join(folder, f.name))
      : /\.(?:ts|html)$/.test(f.name) && !/words/.test(folder)
        ? [readFileSync(join(folder, f.name), 'utf8')]
        : [],
  );
}

test('every text of the screens is asked for somewhere', () => {
  const code = sources(join(__dirname, '../src/app')).join('\n');
  // 'step.' + x, `rule.${x}`, 'own-' + key: what begins so may be any of these.
  const begins = [...code.matchAll(/['"`]([a-z][\w-]*(?:\.[\w-]+)*[.-])(?:'\s*\+|\$\{)/g)].map((m) => m[1]!);
  const sections = Object.keys(english).filter((s) => code.includes(`'${s}'`));
  const asked = (key: string): boolean =>
    code.includes(key) || begins.some((b) => key.startsWith(b)) || sections.some((s) => key.startsWith(`${s}.`));
  // The ways things are shown are listed by their key.
  const fromCore =
    /^(?:weights|lengths|problem|reading|misfit|family-by|not-known|change|teaching|warning|ways-out|card-place)/;
  expect([...en.keys()].filter((k) => !fromCore.test(k) && !asked(k.replace(/\.(?:one|other)$/, '')))).toEqual([]);
});

test.each([
  ['auto', ['de-DE', 'es-MX', 'en'], 'es'],
  ['auto', ['fr', 'de'], 'en'],
  ['auto', ['en-GB', 'es'], 'en'],
  ['es', ['en-US'], 'es'],
  ['en', ['es-ES'], 'en'],
] as const)('a kitchen that says %s before a browser that reads %s speaks %s', (language, browser, spoken) => {
  expect(languageOf({ language }, browser)).toBe(spoken);
});

test('where a catalogue cannot be had the screen keeps the words that it has', async () => {
  const setActiveLang = jest.fn();
  await speak({ load: () => throwError(() => new Error('gone')), setActiveLang } as never, 'es');
  expect(setActiveLang).not.toHaveBeenCalled();
});
