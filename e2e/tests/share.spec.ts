import { expect, test } from '@playwright/test';
import { aHut, noBarriers } from '../helpers';

const hut = aHut();

test('a dish is found by a name of another language, shared in a link, looked at and kept', async ({ page }) => {
  await page.goto(`${hut.url}/shelf`);
  await page.getByLabel('Find a dish or a food').fill('pavo');
  const rows = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: /^More for/ }) });
  await expect(rows).toHaveCount(1);
  await expect(rows).toContainText('has turkey thigh');
  await noBarriers(page);

  await rows.getByRole('button', { name: /^More for/ }).click();
  await page.getByRole('menuitem', { name: 'Share …' }).click();
  const link = page.getByLabel('Link', { exact: true });
  await expect(page.getByRole('img', { name: 'The link as a code for a phone' })).toBeVisible();
  await noBarriers(page);
  const address = await link.inputValue();
  expect(address).toContain('/shared#');

  await page.goto(address);
  await expect(page.getByRole('heading', { name: 'Turkey, leek and lemon long-grain' })).toBeVisible();
  await expect(page.getByRole('status')).toContainText('In your pot: 425 mL');
  await noBarriers(page);
  await page.getByRole('button', { name: 'Keep it and open the Bench' }).click();
  await expect(page).toHaveURL(/\/bench\/[\w-]+\/water/);

  await page.goto(`${hut.url}/shared#${address.split('#')[1]!.slice(0, 40)}`);
  await expect(page.getByRole('alert')).toContainText('This link carries no whole dish');
});

test('a plan goes on one sheet of paper, A4 or Letter', async ({ page }) => {
  for (const dish of ['turkey-leek-lemon', 'spinach-cheese-sheets']) {
    await page.goto(`${hut.url}/bench/${dish}/water`);
    await expect(page.locator('ek-print-sheet li').first()).toBeAttached();
    await page.emulateMedia({ media: 'print' });
    await expect(page.locator('ek-print-sheet')).toBeVisible();
    await expect(page.getByRole('tablist')).toBeHidden();
    await expect(page.locator('ek-print-sheet')).toContainText('Steps, at minute');
    for (const format of ['A4', 'Letter']) {
      const pdf = await page.pdf({ format, margin: { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' } });
      expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
    }
    await page.emulateMedia({ media: 'screen' });
  }
});
