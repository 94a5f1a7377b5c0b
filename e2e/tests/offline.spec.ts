import { expect, test } from '@playwright/test';
import { aHut, answer, millilitres, noBarriers } from '../helpers';

const hut = aHut();

test('without the server the last visit opens, a dish is planned and changed, and the change is sent later', async ({
  page,
}) => {
  await page.goto(`${hut.url}/shelf`);
  const dish = page.getByRole('link', { name: /Plain rinsed long-grain/ }).first();
  await expect(dish).toBeVisible();
  await page.goto(`${hut.url}/log`);
  await expect(page.getByText('60 cooks').first()).toBeVisible();
  // The page itself is kept once the worker has all of it.
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  const files = ((await (await page.request.get(`${hut.url}/ngsw.json`)).json()) as { hashTable: object }).hashTable;
  const held = (): Promise<number> =>
    page.evaluate(async () => {
      const names = (await caches.keys()).filter((k) => k.includes('assets') && k.endsWith(':cache'));
      const counts = await Promise.all(names.map(async (k) => (await (await caches.open(k)).keys()).length));
      return counts.reduce((sum, n) => sum + n, 0);
    });
  await expect.poll(held).toBeGreaterThanOrEqual(Object.keys(files).length);
  await hut.stop();

  await page.goto(`${hut.url}/shelf`);
  const note = page.getByText(/The server does not answer\. This is as it was on/);
  await expect(note).toBeVisible();
  await expect(dish).toBeVisible();
  await noBarriers(page);
  // A dish that was not opened before.
  await dish.click();
  await expect(answer(page)).toBeVisible();
  const before = await millilitres(page);
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'One person more' }).click();
  await expect.poll(() => millilitres(page)).toBeGreaterThan(1.5 * before);
  await page.goto(`${hut.url}/log`);
  await expect(page.getByText('60 cooks').first()).toBeVisible();

  await hut.start();
  await page.goto(`${hut.url}/shelf`);
  await expect(note).toHaveCount(0);
  await dish.click();
  await expect.poll(() => millilitres(page)).toBeGreaterThan(1.5 * before);
  const stored = async (): Promise<number> => {
    const id = page.url().split('/bench/')[1]!.split('/')[0]!;
    const { dish: kept } = (await (await page.request.get(`${hut.url}/api/dishes/${id}`)).json()) as {
      dish: { serves: number };
    };
    return kept.serves;
  };
  await expect.poll(stored).toBe(8);
});
