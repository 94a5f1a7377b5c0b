import { kitchenSchema, type Learned } from '@einkorn/core';
import { learnedWords } from '../src/app/i18n/learned-words';
import type { Format } from '../src/app/i18n/format';
import { bell } from '../src/app/ui/bell';
import { changedSettings, KitchenActions, kitchenFeature } from '../src/app/state/kitchen';
import { english as en } from '../src/app/i18n/english';

const fmt: Pick<Format, 'number'> = { number: (x: number, digits?: number) => x.toFixed(digits ?? 0) };

test.each([
  ['heat', { value: Math.log(0.93), sd: 0.05 }, { key: 'heat-less', by: '7 %', spread: '5 %' }],
  ['loss', { value: Math.log(1.2), sd: 0.1 }, { key: 'loss-more', by: '20 %', spread: '11 %' }],
  ['like:react', { value: -0.42, sd: 0.2 }, { key: 'like-react-less', by: '0.4', spread: '0.2' }],
  ['late', { value: 0.8, sd: 0.2 }, { key: 'late-more', by: '0.8 min', spread: '0.2 min' }],
  ['juice', { value: 0.69, sd: 0.59 }, { key: 'juice-more', by: '0.7', spread: '0.6' }],
  ['salt', { value: 0.03, sd: 0.3 }, { key: 'as-table', by: '0.0', spread: '0.3' }],
])('%s of %j is told as %j', (name, value, words) => {
  expect(learnedWords(name, value, fmt)).toEqual(words);
  expect(en.learned).toHaveProperty(words.key);
});

test('the newer bell stands as high as the box, the older one has its area, and both lie over the same axis', () => {
  const b = bell({ value: 0.15, sd: 0.05, priorSd: 0.15, cooks: 5 });
  const top = (path: string): number =>
    Math.min(...[...path.matchAll(/[ML][\d.]+ ([\d.]+)/g)].map((m) => Number(m[1])));
  expect(b.zero).toBe(120);
  expect(b.at).toBe(160);
  expect(46 - top(b.now)).toBeCloseTo(42, 0);
  expect(46 - top(b.before)).toBeCloseTo(14, 0);
});

test('a delay that was expected lies in the middle, and is as the table says', () => {
  const v = { value: 0.7, sd: 0.2, priorSd: 0.35, priorMean: 0.7, cooks: 9 };
  expect(bell(v)).toMatchObject({ zero: 120, at: 120 });
  expect(learnedWords('late', v, fmt).key).toBe('as-table');
  expect(learnedWords('late', { ...v, value: 1.1 }, fmt)).toMatchObject({ key: 'late-more', by: '1.1 min' });
});

test('what the log taught comes in while settings are on their way, and the settings stand', () => {
  const { reducer } = kitchenFeature;
  const learned = { format: 'einkorn.learned/1', cooks: { used: 3, leftOut: 0 } } as Learned;
  const saving = reducer(undefined, KitchenActions.change({ change: { altitudeM: 900 } }));
  const after = reducer(saving, KitchenActions.loaded({ kitchen: { ...kitchenSchema.parse({}), learned } }));
  expect(after.kitchen).toMatchObject({ altitudeM: 900, learned });
  const busy = reducer(after, KitchenActions.learn());
  expect(busy.learning).toBe(true);
  expect(
    reducer(busy, KitchenActions.failed({ failure: { code: 'x', message: '', issues: [], offline: true } })).learning,
  ).toBe(false);
});

test('a setting changed while an older one is on its way to the server is not taken for saved', () => {
  const { reducer } = kitchenFeature;
  const first = reducer(undefined, KitchenActions.change({ change: { altitudeM: 900 } }));
  const second = reducer(first, KitchenActions.change({ change: { theme: 'dark' } }));
  // Another screen has switched the devices on meanwhile.
  const kitchen = { ...first.kitchen, devices: true };
  const answered = reducer(second, KitchenActions.saved({ changes: first.changes, sent: first.kitchen, kitchen }));
  expect(answered.saving).toBe(true);
  expect(answered.kitchen).toMatchObject({ altitudeM: 900, theme: 'dark', devices: true });
  expect(changedSettings(answered.held, answered.kitchen)).toEqual({
    had: { theme: 'auto' },
    wanted: { theme: 'dark' },
  });
  const last = KitchenActions.saved({ changes: second.changes, sent: answered.kitchen, kitchen: answered.kitchen });
  expect(reducer(answered, last).saving).toBe(false);
});
