import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { actualOf, cookSchema, cookTimeline } from '@einkorn/core';
import { openStore, type Store } from '../src/store/connect';
import { getCook } from '../src/store/cooks';
import { pageOfCooks } from '../src/store/log-page';

/*
 * A database that the server wrote when all events had one shape: two cooks with every kind of event, one undo that took
 * something back and one that came twice, minutes and ids as words, and values that no kind allows today.
 */
let folder: string;
let store: Store;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'einkorn-old-'));
  const old = readFileSync(join(__dirname, 'fixtures', 'events-in-one-shape.sqlite.gz'));
  writeFileSync(join(folder, 'einkorn.sqlite'), gunzipSync(old));
  store = await openStore(folder);
});
afterAll(async () => {
  await store.sequelize.close();
  rmSync(folder, { recursive: true, force: true });
});
const startedMs = Date.UTC(2026, 10, 20, 17);
const minute = (ms: number): number => (ms - startedMs) / 60_000;

test('every event has fields of its own, in its old order', async () => {
  const { events } = await getCook(store, 'one-stage');
  const told = events.map(({ id, seq, atMs: _atMs, device: _device, ...own }) => [seq, id, own]);
  expect(told).toEqual([
    [1, 'a1', { kind: 'heat-on' }],
    [2, 'a2', { kind: 'done', stepId: 'lock' }],
    [3, 'a3', { kind: 'pin-up' }],
    [4, 'a4', { kind: 'undone', targetId: 'a3' }],
    [5, 'a5', { kind: 'pin-up' }],
    [6, 'a6', { kind: 'hold-changed', holdMin: 4.5 }],
    [7, 'a7', { kind: 'gauge-read', gaugeKpa: 71.5 }],
    [8, 'a8', { kind: 'timer-started', minutes: 7, name: 'eggs' }],
    [9, 'a9', { kind: 'timer-stopped', timerId: 'a8' }],
    [10, 'b1', { kind: 'probe-read', coreC: 78.5 }],
    [11, 'b2', { kind: 'weight-read', grams: 1840 }],
    [12, 'b3', { kind: 'noted', text: 'smells of home' }],
    [13, 'b4', { kind: 'off-plan', text: 'lid was left off' }],
    [14, 'b6', { kind: 'undone', targetId: 'a5' }],
  ]);
});

test('the cook reads as it did: its pin was taken back twice, its hold stands', async () => {
  const cook = await getCook(store, 'one-stage');
  expect(cookSchema.parse(JSON.parse(JSON.stringify(cook)))).toEqual(cook);
  expect(actualOf(cook).toPinMin).toBeNull();
  const { ownHoldMin, steps } = cookTimeline(cook, startedMs + 66 * 60_000);
  expect(ownHoldMin).toBe(4.5);
  expect(minute(steps.find((s) => s.step.id === 'lock')!.endMs)).toBe(30);
});

test('a rescue keeps its lid, and what fits no kind stays as a note', async () => {
  const { events } = await getCook(store, 'two-stages');
  expect(events.find((e) => e.id === 'c3')).toMatchObject({
    minutes: 4,
    text: 'scrape',
    lockedAgain: { lid: 'first-heat', holdMin: 20, addMl: 60 },
  });
  expect(events.find((e) => e.id === 'c4')).not.toHaveProperty('lockedAgain');
  const kept = events.find((e) => e.id === 'c5')!;
  expect(kept.kind).toBe('noted');
  expect(JSON.stringify(kept)).toContain('5000');
});

test('opened again nothing is moved twice', async () => {
  const before = await getCook(store, 'two-stages');
  await store.sequelize.close();
  store = await openStore(folder);
  expect(await getCook(store, 'two-stages')).toEqual(before);
});

test('the list of the log is filled from what was there, and finds it', async () => {
  const page = await pageOfCooks(store, { limit: 10 });
  expect(page.cooks.map((c) => [c.id, c.trouble]).sort()).toEqual([
    ['one-stage', true],
    ['two-stages', true],
  ]);
  const { title } = page.cooks[0]!;
  expect((await pageOfCooks(store, { limit: 10, text: title })).cooks.map((c) => c.title)).toContain(title);
});
