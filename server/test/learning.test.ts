import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import { seedDemo } from '../src/demo/seed';
import { openStore, type Store } from '../src/store/connect';
import { removeCooks } from '../src/store/cooks';
import { getKitchen } from '../src/store/kitchen';
import { Learning } from '../src/sums/learning';
import { sum, type Sums } from '../src/sums/sums';

/* The log of the demo, read by who reads it in the background after every cook. */
let folder: string;
let store: Store;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'einkorn-'));
  store = await openStore(folder);
  await seedDemo(store);
  // Twenty of the sixty are enough here.
  await removeCooks(
    store,
    Array.from({ length: 40 }, (_, n) => `demo-cook-${n + 1}`),
  );
}, 60_000);
afterAll(async () => {
  await store.sequelize.close();
  rmSync(folder, { recursive: true });
});

test('after a cook the log is read from where it stood, in whatever thread; asked for by the cook, anew', async () => {
  const asked: { remembers: boolean; anew: boolean }[] = [];
  /** as from another thread: what goes there and comes back is a copy */
  const elsewhere = ((kind, question) => {
    const { remembered, anew } = question as { remembered: Uint8Array | null; anew: boolean };
    asked.push({ remembers: remembered !== null, anew });
    return Promise.resolve(structuredClone(sum(kind, structuredClone(question))));
  }) as Sums;
  const learning = new Learning(store, elsewhere, pino({ level: 'silent' }));
  const first = await learning.now();
  await removeCooks(store, ['demo-cook-60']);
  learning.soon();
  learning.soon();
  const again = await learning.now();
  expect(asked).toEqual([
    { remembers: false, anew: true },
    { remembers: true, anew: false },
    { remembers: true, anew: true },
  ]);
  expect(first.learned!.cooks.used).toBe(20);
  expect(again.learned!.cooks.used).toBe(19);
  expect((await getKitchen(store)).learned).toEqual(again.learned);
}, 60_000);
