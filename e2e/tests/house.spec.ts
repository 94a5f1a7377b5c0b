import { networkInterfaces } from 'node:os';
import { expect, test } from '@playwright/test';
import { aHut, noBarriers } from '../helpers';

const hut = aHut({ lan: true });

/** Address of this machine in its network: what a phone of the house would open. */
const own = Object.values(networkInterfaces())
  .flat()
  .find((i) => i && !i.internal && i.family === 'IPv4');

test('a phone of the house comes in by a code, looks on without cooking, and is shut out again', async ({
  page,
  browser,
}) => {
  test.skip(!own, 'this machine has no network');
  await page.goto(`${hut.url}/kitchen`);
  const keys = page.locator('ek-house-keys');
  await expect(keys).toContainText('Nobody was let in yet.');
  const at = /https:\/\/[\d.]+:\d+/.exec((await keys.textContent()) ?? '')![0];

  const context = await browser.newContext({
    ignoreHTTPSErrors: true,
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'block',
  });
  const phone = await context.newPage();
  await phone.goto(`${at}/shelf`);
  await expect(phone.getByRole('heading', { name: 'This screen was not let in yet' })).toBeVisible();
  await noBarriers(phone);

  await keys.getByRole('button', { name: '… to look only' }).click();
  const code = (await keys.locator('.code strong').textContent())!;
  await expect(keys.getByRole('img', { name: 'The address with its code' })).toBeVisible();
  await noBarriers(page);
  await phone.getByLabel('Code').fill('000 000');
  await phone.getByRole('button', { name: 'Come in' }).click();
  await expect(phone.getByRole('alert')).toContainText('This code is wrong');
  await phone.getByLabel('Code').fill(code);
  await phone.getByLabel('What is this screen called?').fill('Hall phone');
  await phone.getByRole('button', { name: 'Come in' }).click();
  await expect(phone.getByRole('heading', { name: 'Shelf' })).toBeVisible();
  await expect(phone.getByText('Turkey').first()).toBeVisible();
  const refused = await phone.request.post(`${at}/api/kitchen/learn`, { data: {} });
  expect(refused.status()).toBe(403);

  await page.reload();
  await keys.getByRole('button', { name: 'Take the key of Hall phone away' }).click();
  await expect(keys).toContainText('Nobody was let in yet.');
  await phone.goto(`${at}/log`);
  await expect(phone.getByRole('heading', { name: 'This screen was not let in yet' })).toBeVisible();
  await context.close();
});
