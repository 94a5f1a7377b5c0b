import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { noBarriers } from '../helpers';
import { Hut } from '../hut';

/* The house gets a newer build while somebody looks at the older one. */
const root = join(import.meta.dirname, '..', '..');
let tree: string;
let hut: Hut;

test.beforeAll(async () => {
  tree = mkdtempSync(join(tmpdir(), 'einkorn-build-'));
  for (const part of ['package.json', 'server/dist', 'web/dist']) {
    mkdirSync(join(tree, part, '..'), { recursive: true });
    cpSync(join(root, part), join(tree, part), { recursive: true });
  }
  for (const part of ['node_modules', 'server/node_modules'])
    if (existsSync(join(root, part))) symlinkSync(join(root, part), join(tree, part));
  hut = await Hut.open({ tree });
});
test.afterAll(async () => {
  await hut.close();
  rmSync(tree, { recursive: true, force: true });
});

/** Another page under the same address, as a build leaves it. */
function buildAnew(): void {
  const browser = join(tree, 'web', 'dist', 'browser');
  const page = readFileSync(join(browser, 'index.html'), 'utf8').replace(
    '<head>',
    '<head><meta name="build" content="newer">',
  );
  writeFileSync(join(browser, 'index.html'), page);
  const worker = join(browser, 'ngsw.json');
  const manifest = JSON.parse(readFileSync(worker, 'utf8')) as { timestamp: number; hashTable: Record<string, string> };
  manifest.timestamp += 1000;
  manifest.hashTable['/index.html'] = createHash('sha1').update(page).digest('hex');
  writeFileSync(worker, JSON.stringify(manifest));
}
const isNewer = (page: Page): Promise<boolean> =>
  page.evaluate(() => document.querySelector('meta[name="build"]') !== null);

test('the page that is open goes on and says that a newer one is there, and a tap takes it', async ({ page }) => {
  await page.goto(`${hut.url}/shelf`);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  const files = Object.keys(
    (JSON.parse(readFileSync(join(tree, 'web', 'dist', 'browser', 'ngsw.json'), 'utf8')) as { hashTable: object })
      .hashTable,
  );
  const held = (): Promise<number> =>
    page.evaluate(async () => {
      const names = (await caches.keys()).filter((k) => k.includes('assets') && k.endsWith(':cache'));
      const counts = await Promise.all(names.map(async (k) => (await (await caches.open(k)).keys()).length));
      return counts.reduce((sum, n) => sum + n, 0);
    });
  await expect.poll(held).toBeGreaterThanOrEqual(files.length);
  buildAnew();
  await page.goto(`${hut.url}/stove`);
  const notice = page.getByText('A newer Einkorn is there.');
  await expect(notice).toBeVisible();
  expect(await isNewer(page)).toBe(false);
  await noBarriers(page);
  await page.getByRole('button', { name: 'Take it now' }).click();
  await expect.poll(() => isNewer(page).catch(() => false)).toBe(true);
  await expect(notice).toHaveCount(0);
  // A part of the older build that is not there any more is missing, and no page in its place.
  expect((await page.request.get(`${hut.url}/chunk-GONE1234.js`)).status()).toBe(404);
});
