import { expect, test } from '@playwright/test';
import { aHut, noBarriers, tab } from '../helpers';

const hut = aHut();

test('the log is searched, narrowed and sorted, on the screen and as cards on the phone', async ({ page }) => {
  await page.goto(`${hut.url}/log`);
  await expect(page.getByText('60 cooks', { exact: true })).toBeVisible();
  const rows = page.locator('tbody tr');
  await page.getByRole('searchbox').fill('remolacha');
  await expect(rows.first()).toContainText('Beef, beetroot');
  await page.getByLabel('Which cooks').selectOption('with trouble');
  await expect(page.getByText('1 found')).toBeVisible();
  await expect(rows).toContainText('It cut out on the way up');
  await noBarriers(page);
  await page.getByRole('searchbox').fill('unicorn');
  await expect(page.getByText('No cook fits.')).toBeVisible();
  await page.getByRole('searchbox').fill('');
  await page.getByLabel('Which cooks').selectOption('however they came out');
  await page.getByLabel('Order').selectOption('oldest first');
  await expect(rows.first()).toContainText('First try in the new pot.');
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(rows.first()).toContainText('First try in the new pot.');
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await noBarriers(page);
});

test('cooks are compared: curves over each other, what differs is marked', async ({ page }) => {
  await page.goto(`${hut.url}/log`);
  const boxes = page.getByRole('checkbox', { name: /Compare Turkey/ });
  await boxes.nth(0).check();
  await boxes.nth(1).check();
  await page.getByRole('link', { name: 'Compare 2 cooks' }).click();
  await expect(page).toHaveURL(/compare\/demo-cook-60,demo-cook-57/);
  await expect(page.getByRole('columnheader', { name: /24 Oct 2026/ })).toBeVisible();
  await expect(page.locator('tr.differs').filter({ hasText: 'lid to pin' })).toContainText('8.2 → 8 min');
  await expect(page.locator('ek-chart svg').first()).toBeVisible();
  await noBarriers(page);
});

test('what to change next time is one number with its chance, and is cooked by one tap', async ({ page }) => {
  await page.goto(`${hut.url}/log/demo-cook-14`);
  const next = page.locator('ek-next-time');
  await expect(next).toContainText('Liquid:');
  await expect(next).toContainText(/\d+ of 100 as it was, \d+ of 100 with this one change/);
  const wanted = await next.locator('.change b').textContent();
  await noBarriers(page);
  await next.getByRole('button', { name: 'Cook it so' }).click();
  await expect(page).toHaveURL(/bench\/turkey-leek-lemon\/pressure/);
  await expect(tab(page, 'Water')).toContainText(wanted!.trim());
});

test('a cook out of a notebook and a table are brought in; what does not fit is told', async ({ page }) => {
  await page.goto(`${hut.url}/log/bring`);
  await page.getByRole('button', { name: 'Write it in' }).click();
  await expect(page.getByText('Give the day.')).toBeVisible();
  await page.getByLabel('Day').fill('2025-12-24');
  await page.getByLabel('Dish on the shelf').selectOption('Einkorn berries');
  await page.getByLabel('Lid to pin, min').fill('9.5');
  await page.getByLabel('Grain came out').selectOption('soft');
  await page.getByLabel('your note').fill('Out of the blue notebook');
  await page.getByRole('button', { name: 'Write it in' }).click();
  await expect(page.getByText('1 cook is new.')).toBeVisible();
  await noBarriers(page);
  const csv = 'startedAt,dish,grain\n2025-12-25T18:00:00Z,Unicorn stew,2\n2025-12-26T18:00:00Z,Einkorn berries,2\n';
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await expect(page.getByRole('status')).toContainText('There is no dish "Unicorn stew" on the shelf.');
  await page.goto(`${hut.url}/log`);
  await page.getByRole('searchbox').fill('blue notebook');
  const rows = page.locator('tbody tr');
  await expect(rows).toHaveCount(1);
  await expect(rows).toContainText('24 Dec 2025');
});

test('a cook that was left open is asked for, ended, and reminds of its rating', async ({ page, request }) => {
  const cook = (await (await request.get(`${hut.url}/api/cooks/demo-cook-60`)).json()) as object;
  const startedMs = Date.now() - 20 * 3_600_000;
  await request.post(`${hut.url}/api/cooks`, {
    data: { ...cook, id: 'left', startedMs, finishedMs: null, events: [], outcome: null },
  });
  await page.goto(`${hut.url}/shelf`);
  await page.getByRole('link', { name: /is still open. Did it end/ }).click();
  await expect(page.getByRole('heading', { name: 'Did this end?' })).toBeVisible();
  await noBarriers(page);
  await page.getByRole('button', { name: 'It ended then' }).click();
  await expect(page.getByRole('heading', { name: 'Did this end?' })).toBeHidden();
  await page.goto(`${hut.url}/shelf`);
  await expect(page.getByRole('link', { name: /How did .* come out/ })).toBeVisible();
  await page.getByRole('button', { name: 'not now' }).click();
  await expect(page.getByRole('link', { name: /How did .* come out/ })).toBeHidden();
});
