import { expect, test } from '@playwright/test';
import { aHut, noBarriers } from '../helpers';

const hut = aHut({ learning: true });

/** Minutes to the pin as the chart of the Pressure sheet says them. */
const pinMin = /Pin up after ([\d.]+) min/;

test('the log is learned from, the next plan moves and says why, and can be made as from the factory', async ({
  page,
}) => {
  await page.goto(`${hut.url}/log`);
  const taught = page.locator('ek-taught');
  const heat = taught.getByRole('listitem').filter({ hasText: /heats \d+ %/ });
  await expect(heat).toContainText(/heats \d+ % less/);
  await expect(heat).toContainText(/± \d+ %, was ± 16 %/);
  await expect(taught).toContainText('From this cook on its lid lets less steam past');
  await expect(taught).toContainText('The last ten plans');
  await taught.getByRole('button', { name: 'read the log again' }).click();
  await expect(taught).toContainText('Let the pin fall by itself and tap it.');
  await noBarriers(page);

  await page.goto(`${hut.url}/bench/plain-long-grain/pressure`);
  const note = page.locator('ek-learned-note');
  await expect(note).toContainText(/heats \d+ % less/);
  await expect(note).toContainText(/from 5\d cooks/);
  const chart = page.getByLabel(pinMin);
  const minutes = async (): Promise<number> =>
    Number(pinMin.exec((await chart.first().getAttribute('aria-label')) ?? '')?.[1]);
  await expect.poll(minutes).toBeGreaterThan(0);
  const own = await minutes();
  // Beside each number stands what moved it: the heat the minutes, and no taste of sauce.
  const behind = page.locator('ek-learned-behind');
  await page.getByRole('button', { name: 'why', exact: true }).click();
  await expect(behind).toHaveCount(2);
  for (const number of await behind.all()) {
    await expect(number).toContainText(/heats \d+ % less/);
    await expect(number).not.toContainText('sauce');
  }
  await note.getByRole('button', { name: 'plan as from the factory' }).click();
  await expect(behind.first()).toBeEmpty();
  await expect(note).toContainText('Plans are made as from the factory.');
  await expect.poll(minutes).toBeLessThan(own);
  await noBarriers(page);
  await note.getByRole('button', { name: 'plan with what the log taught' }).click();
  await expect.poll(minutes).toBe(own);
});

test('half a litre of water teaches a pot that was never cooked in, and nobody is asked how it tasted', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-11-14T17:40:00Z') });
  await page.goto(`${hut.url}/kitchen`);
  await page.locator('[data-pot="electric-8"]').click();
  const water = page.locator('#water');
  await expect(water).toContainText('Of this pot nothing is known yet');
  await noBarriers(page);
  await water.getByRole('button', { name: 'Calibrate with water' }).click();
  const title = page.locator('.main h1');
  // Waits that the clock ends by itself need no tap.
  const minutes: [RegExp, number][] = [
    [/Water in/, 1],
    [/Lid on/, 1],
    [/Wait for the pin/, 9],
    [/until the pin drops/, 14],
    [/Open the lid/, 1],
    [/Pour the water away/, 1],
  ];
  for (const [said, min] of minutes) {
    await expect(async () => {
      if (/building|holding/.test((await title.textContent()) ?? '')) await page.clock.fastForward(60_000);
      await expect(title).toHaveText(said, { timeout: 1000 });
    }).toPass();
    await page.clock.fastForward(min * 60_000);
    await page.locator('.tap.next-tap').first().click();
  }
  await expect(page.getByRole('heading', { name: 'The water is done.' })).toBeVisible();
  await expect(page.getByText('Salt')).toHaveCount(0);
  await noBarriers(page);
  await page.getByRole('button', { name: 'Keep it, see what it taught' }).click();
  await expect(page).toHaveURL(/kitchen#water/);
  const heat = water.getByRole('listitem').filter({ hasText: /^\s*Heat\s*from 1 cook/ });
  await expect(heat).toContainText(/heats \d+ % less/);
  await expect(heat).toContainText(/was ± 16 %/);
});
