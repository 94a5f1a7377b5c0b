import { expect, test, type Page } from '@playwright/test';
import type { Cook, Dish, Plan } from '@einkorn/core';
import { aHut, noBarriers } from '../helpers';

/* Screens that disagree: with the clock of the house, with the server that is away, with one another. */
const hut = aHut();

const ask = async <T>(method: string, path: string, body?: unknown): Promise<T> => {
  const headers = { 'content-type': 'application/json' };
  const answer = await fetch(`${hut.url}/api/${path}`, {
    method,
    headers,
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  return (await answer.json()) as T;
};
/** A cook that began so many minutes ago. */
async function begin(id: string, minutesAgo: number): Promise<Cook> {
  const [stored] = await ask<{ id: string; dish: Dish }[]>('GET', 'dishes');
  const plan = await ask<Plan>('POST', 'plan', { dish: stored!.dish });
  return ask('POST', 'cooks', {
    format: 'einkorn.cook/2',
    id,
    dishId: stored!.id,
    dish: stored!.dish,
    plan,
    startedMs: Date.now() - minutesAgo * 60_000,
    finishedMs: null,
    events: [],
    outcome: null,
  });
}
/** Seconds on the big clock; late ones below nothing. */
const secondsLeft = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const shown = document.querySelector('.clock .mono')!.textContent.trim();
    const [s, m = 0, h = 0] = shown.replace('+', '').split(':').map(Number).reverse();
    return (shown.startsWith('+') ? -1 : 1) * (s! + 60 * m + 3600 * h);
  });
const networkBack = (page: Page): Promise<unknown> => page.evaluate(() => dispatchEvent(new Event('online')));

test('a screen whose clock is an hour wrong counts down with the others, before and after it is set', async ({
  page,
  browser,
}) => {
  await page.context().unroute('**/api/time');
  await begin('clocks', 1);
  await page.goto(`${hut.url}/stove/clocks`);
  await expect(page.locator('.clock .mono')).toBeVisible();
  const wrong = await browser.newContext();
  const other = await wrong.newPage();
  await other.clock.install({ time: Date.now() + 3_600_000 });
  await other.goto(`${hut.url}/stove/clocks`);
  await expect(other.locator('.clock .mono')).toBeVisible();
  const apart = async (): Promise<number> => Math.abs((await secondsLeft(page)) - (await secondsLeft(other)));
  await expect.poll(apart).toBeLessThanOrEqual(2);
  // A tap of the wrong screen is at its right moment for everybody.
  await other.locator('[data-tap="done"]').click();
  await expect.poll(async () => (await ask<Cook>('GET', 'cooks/clocks')).events.length).toBe(1);
  const [tap] = (await ask<Cook>('GET', 'cooks/clocks')).events;
  expect(Math.abs(tap!.atMs - Date.now())).toBeLessThan(60_000);
  expect(tap).not.toHaveProperty('saidMs');
  await expect.poll(apart).toBeLessThanOrEqual(2);
  await wrong.close();
});

test('settings changed while the server is away wait on the device, and are sent when it is back', async ({ page }) => {
  await page.goto(`${hut.url}/kitchen`);
  const altitude = page.getByRole('spinbutton', { name: 'Altitude' });
  await expect(altitude).toHaveValue(/\d/);
  await hut.stop();
  await altitude.fill('640');
  await altitude.press('Tab');
  await expect(page.getByText('1 change kept on this device, sent when the server answers.')).toBeVisible();
  await noBarriers(page);
  await hut.start();
  await networkBack(page);
  await expect(page.getByText(/kept on this device/)).toHaveCount(0);
  expect(await ask('GET', 'kitchen')).toMatchObject({ altitudeM: 640 });
});

test('the same setting changed on two screens is a question, and either may count', async ({ page }) => {
  await page.goto(`${hut.url}/kitchen`);
  const altitude = page.getByRole('spinbutton', { name: 'Altitude' });
  await expect(altitude).toHaveValue(/^640/);
  await ask('PATCH', 'kitchen', { had: { altitudeM: 640 }, wanted: { altitudeM: 700 } });
  await altitude.fill('900');
  await altitude.press('Tab');
  const question = page.getByRole('alert').filter({ hasText: 'changed on another screen' });
  await expect(question).toBeVisible();
  await noBarriers(page);
  await question.getByRole('button', { name: 'The other stands' }).click();
  await expect(altitude).toHaveValue(/^700/);
  await ask('PATCH', 'kitchen', { had: { altitudeM: 700 }, wanted: { altitudeM: 720 } });
  await altitude.fill('900');
  await altitude.press('Tab');
  await question.getByRole('button', { name: 'Mine counts' }).click();
  await expect.poll(() => ask('GET', 'kitchen')).toMatchObject({ altitudeM: 900 });
  await expect(altitude).toHaveValue(/^900/);
});

test('a rating given while the server is away is kept and sent', async ({ page }) => {
  await begin('rated', 60);
  await ask('PATCH', 'cooks/rated', { finishedMs: Date.now() });
  await page.goto(`${hut.url}/log/rated`);
  const answer = page.getByRole('radiogroup').first().getByRole('radio').nth(2);
  await expect(answer).toBeVisible();
  // Its curve is a part that comes after the page.
  await expect(page.locator('.js-plotly-plot').first()).toBeVisible();
  await hut.stop();
  await answer.click();
  await expect(answer).toBeChecked();
  await expect(page.getByText(/^\s*1 change kept on this device/)).toBeVisible();
  await hut.start();
  await networkBack(page);
  await expect(page.getByText(/kept on this device/)).toHaveCount(0);
  expect(Object.keys((await ask<Cook>('GET', 'cooks/rated')).outcome!.ratings)).toHaveLength(1);
});

test('a cook that another screen has ended says so, and is taken up again with a tap', async ({ page }) => {
  await begin('ended', 2);
  await page.goto(`${hut.url}/stove/ended`);
  await expect(page.locator('[data-tap="done"]')).toBeVisible();
  await ask('PATCH', 'cooks/ended', { finishedMs: Date.now() });
  await page.getByRole('button', { name: 'Take it up again' }).click();
  await expect(page.locator('[data-tap="done"]')).toBeVisible();
  await page.locator('[data-tap="done"]').click();
  await expect.poll(async () => (await ask<Cook>('GET', 'cooks/ended')).events.length).toBe(1);
  expect((await ask<Cook>('GET', 'cooks/ended')).finishedMs).toBeNull();
});
