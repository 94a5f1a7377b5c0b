import { cookEventSchema } from '../src/cook/events';
import { upgradeEvents } from '../src/cook/old-events';

/* Events as they were kept when all had one shape: read for ever. Whole databases: server/test/migrations.test.ts. */
const read = (...old: object[]) =>
  upgradeEvents(old.map((e, i) => ({ id: `o${i}`, atMs: i, ...e }))).map((e) => cookEventSchema.parse(e));

test('today’s events pass as they are', () => {
  const today = [
    { id: 'a', kind: 'done', stepId: 'lock', atMs: 1 },
    { id: 'b', kind: 'hold-changed', holdMin: 4, atMs: 2 },
    { id: 'c', kind: 'rescued', minutes: 3, text: '', atMs: 3 },
    { id: 'd', kind: 'pin-up', atMs: 4, seq: 9, device: 'cooker' },
  ];
  expect(upgradeEvents(today)).toEqual(today);
});
test('two undos in a row name the two newest', () => {
  const undos = read(
    { kind: 'pin-up' },
    { kind: 'note', note: 'x' },
    { kind: 'countdown' },
    { kind: 'undo' },
    { kind: 'undo' },
  );
  expect(undos.filter((e) => e.kind === 'undone').map((e) => e.targetId)).toEqual(['o2', 'o0']);
});
test('an undo of nothing, a hold of no minutes and a reading without a value fall away', () => {
  expect(
    read({ kind: 'undo' }, { kind: 'hold-min', note: '' }, { kind: 'hold-min', note: 'soon' }, { kind: 'core' }),
  ).toEqual([]);
});
test('what is no event at all is left for the schema to refuse', () => {
  expect(upgradeEvents([null, 7, { kind: 'boom', id: 'x', atMs: 1 }])).toEqual([
    null,
    7,
    { kind: 'boom', id: 'x', atMs: 1 },
  ]);
});
