import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { aHut, noBarriers, goByPages } from '../helpers';

const hut = aHut();

const title = (page: Page) => page.locator('.main h1');

/** Starts the turkey dish and works it up to the wait for the pin. */
async function toTheLid(page: Page): Promise<void> {
  await page.clock.install({ time: new Date('2026-11-20T17:00:00Z') });
  await page.goto(`${hut.url}/bench/turkey-leek-lemon/water`);
  await page.getByRole('button', { name: 'Cook this now' }).click();
  await expect(title(page)).toBeVisible();
  for (let i = 0; i < 20; i++) {
    const now = (await title(page).textContent()) ?? '';
    if (now.startsWith('Wait for the pin')) break;
    await page.clock.fastForward(60_000);
    await page.locator('[data-tap="done"]').click();
    await expect(title(page)).not.toHaveText(now);
  }
}

test('the pin comes late: the stove says what to take off, and the clock follows once it is taken', async ({
  page,
}) => {
  await toTheLid(page);
  await page.clock.fastForward('11:00');
  await page.locator('[data-tap="pin-up"]').click();
  const advice = page.locator('.outlook');
  await expect(advice).toContainText(/pin is \d min late: take .* off the hold/);
  await noBarriers(page);
  const take = advice.getByRole('button', { name: /Hold/ });
  const minutes = ((await take.textContent()) ?? '').replace('Hold', '').trim();
  await take.click();
  await expect(take).toHaveCount(0);
  await page.reload();
  await expect(title(page)).toBeVisible();
  await page.clock.fastForward('02:20');
  await expect(page.getByText(minutes).first()).toBeVisible();
});

test('a burn warning: the move is computed for what has already cooked, says what never to do, and is logged', async ({
  browser,
  page,
}) => {
  await toTheLid(page);
  await page.clock.fastForward('07:00');
  await page.locator('[data-tap="burn"]').click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('It warns of burning');
  await expect(dialog).toContainText('Scrape the base clean');
  await expect(dialog).toContainText(/start again: \d+ min at pressure/);
  await expect(dialog).toContainText('Never:');
  await noBarriers(page);
  const serving = async (): Promise<string> => (await page.locator('.serving').innerText()).slice(0, 40);
  const before = await serving();
  const apply = dialog.getByRole('button', { name: /Do it: lid on again/ });
  const hold = /(\d+) min at pressure/.exec((await apply.textContent()) ?? '')![1]!;
  await apply.click();
  await expect(dialog).toHaveCount(0);
  // The move is now the step in progress; then the pot heats anew, for the new minutes.
  await expect(title(page)).toHaveText('Put it right, lock it again.');
  await expect(page.locator('.main .how')).toContainText('Scrape the base clean');
  await noBarriers(page);
  await page.clock.fastForward('04:00');
  await page.locator('[data-tap="done"]').click();
  await expect(title(page)).toHaveText(/Wait for the pin/);
  await page.reload();
  await expect(title(page)).toHaveText(/Wait for the pin/);
  expect(await serving()).not.toBe(before);
  await page.clock.fastForward('05:00');
  await page.locator('[data-tap="pin-up"]').click();
  await expect(page.locator('section.next')).toContainText(hold);
  // Another screen, which has only what the server kept, stands at the same step with the same minutes.
  const atMs = await page.evaluate(() => Date.now());
  const context = await browser.newContext();
  await goByPages(context);
  const other = await context.newPage();
  await other.clock.install({ time: new Date(atMs) });
  await other.goto(page.url());
  await expect(title(other)).toHaveText((await title(page).textContent()) ?? '');
  await expect(other.locator('section.next')).toContainText(hold);
  await context.close();
  await page.locator('[data-tap="off-plan"]').click();
  await dialog.locator('[data-symptom="too-salty"]').click();
  await dialog.getByRole('spinbutton').fill('1.4');
  await dialog.getByRole('spinbutton').blur();
  await expect(dialog).toContainText(/Stir in \d+ g of unsalted/);
  await dialog.getByRole('button', { name: 'Something else' }).click();
  await expect(dialog.locator('[data-symptom]')).toHaveCount(13);
  await noBarriers(page);
});

test('the server goes away for a while: taps are kept, sent once, and two screens agree', async ({ page, context }) => {
  await toTheLid(page);
  await hut.stop();
  await page.clock.fastForward('08:00');
  await page.locator('[data-tap="pin-up"]').click();
  await expect(page.getByText(/not sent/)).toBeVisible();
  await hut.start();
  await page.clock.fastForward('00:10');
  await expect(page.getByText(/not sent/)).toHaveCount(0);
  await expect.poll(() => pinTaps(page)).toEqual(['pin-up']);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.locator('[data-tap="pin-up"]')).toContainText('tapped');
});

test('the browser is gone in the middle of the hold: another one finds the same clock, to the second', async ({
  browser,
  page,
}) => {
  await toTheLid(page);
  await page.clock.fastForward('08:00');
  await page.locator('[data-tap="pin-up"]').click();
  await page.clock.fastForward('03:30');
  await expect(title(page)).toHaveText(/It is holding/);
  const url = page.url();
  // A tap that is still on its way would be gone with its browser.
  await expect.poll(() => pinTaps(page)).toEqual(['pin-up']);
  /** When the hold ends by the clock on the screen and the time of that page, read in one breath, s. */
  const endOf = (p: Page): Promise<number> =>
    p.evaluate(() => {
      const [m, s] = document.querySelector('.clock .mono')!.textContent.split(':').map(Number);
      return Date.now() / 1000 + m! * 60 + s!;
    });
  const before = await endOf(page);
  const atMs = await page.evaluate(() => Date.now());
  await page.context().close();
  const next = await browser.newContext();
  await goByPages(next);
  const other = await next.newPage();
  await other.clock.install({ time: new Date(atMs + 20_000) });
  await other.goto(url);
  await expect(title(other)).toHaveText(/It is holding/);
  expect(Math.abs((await endOf(other)) - before)).toBeLessThan(1.5);
  await next.close();
});

/** The pin's taps as the server has them of the cook on this page. */
async function pinTaps(page: Page): Promise<string[]> {
  const id = page.url().split('/').at(-1)!;
  const cook = (await (await page.request.get(`${hut.url}/api/cooks/${id}`)).json()) as { events: { kind: string }[] };
  return cook.events.map((e) => e.kind).filter((k) => k === 'pin-up');
}

/** Ticks on, a minute each, until the step with this title. */
async function tickOn(page: Page, to: RegExp): Promise<void> {
  for (let i = 0; i < 30; i++) {
    const now = (await title(page).textContent()) ?? '';
    if (to.test(now)) return;
    await page.clock.fastForward(60_000);
    await page.locator('[data-tap="done"]').click();
    await expect(title(page)).not.toHaveText(now);
  }
}

test('a dish of two stages: its pin is tapped twice, and each tap counts for its own stage', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-20T16:00:00Z') });
  await page.goto(`${hut.url}/bench/lamb-apricot-biryani/water`);
  await page.getByRole('button', { name: 'Cook this now' }).click();
  await expect(title(page)).toBeVisible();
  const up = page.locator('[data-tap="pin-up"]');
  const down = page.locator('[data-tap="pin-down"]');
  const on = (to: RegExp): Promise<void> => tickOn(page, to);
  await on(/Heating the first stage/);
  await page.clock.fastForward('20:00');
  await up.click();
  await expect(title(page)).toHaveText(/Pressure is building/);
  await expect(up).toBeDisabled();
  // Much later than planned: a weak heater, which the second lid will have too. Nothing is to be taken yet.
  const outlook = page.locator('.outlook');
  await expect(outlook).toContainText(/The first pin is \d+ min late/);
  await expect(outlook.getByRole('button')).toHaveCount(0);
  await expect(page.locator('.curve-head')).not.toContainText('pin after');
  await on(/Open the valve/);
  await page.locator('[data-tap="done"]').click();
  await expect(title(page)).toHaveText(/Let it hiss/);
  await down.click();
  await expect(title(page)).toHaveText(/Lid off, look inside/);
  await on(/Wait for the pin/);
  await expect(up).toBeEnabled();
  await page.clock.fastForward('06:00');
  await up.click();
  await expect(up).toContainText('tapped');
  await noBarriers(page);
});

test('the first of two stages: burning is put right in that stage, and a hold ended early is given back by a tap', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-11-20T16:00:00Z') });
  await page.goto(`${hut.url}/bench/lamb-apricot-biryani/water`);
  await page.getByRole('button', { name: 'Cook this now' }).click();
  await expect(title(page)).toBeVisible();
  await tickOn(page, /Heating the first stage/);
  await page.clock.fastForward('04:00');
  await page.locator('[data-tap="burn"]').click();
  const dialog = page.getByRole('dialog');
  // On the way up nothing has cooked: the whole first hold again, and what goes in now is left out later.
  await expect(dialog).toContainText(/start again: \d+ min at pressure/);
  await expect(dialog).toContainText(/Pour 60 mL less when the rest goes in/);
  await dialog.getByRole('button', { name: /lid on again, \d+ min/ }).click();
  await expect(title(page)).toHaveText(/Put it right, lock it again/);
  await expect(page.locator('.next')).toContainText('heat it up');
  await tickOn(page, /Heating the first stage/);
  await page.clock.fastForward('05:00');
  await page.locator('[data-tap="pin-up"]').click();
  await page.clock.fastForward('09:00');
  await expect(title(page)).toHaveText(/First stage is holding/);
  await page.locator('[data-tap="done"]').click();
  const outlook = page.locator('.outlook');
  await expect(outlook).toContainText(/ended \d+ min early.*Leave the valve shut/);
  await page.locator('[data-tap="done"]').click();
  await expect(title(page)).toHaveText(/Let it hiss/);
  await page.locator('[data-tap="pin-down"]').click();
  await noBarriers(page);
  const rest = outlook.getByRole('button', { name: /Lid on, \d+ min/ });
  const min = /\d+ min/.exec((await rest.textContent()) ?? '')![0];
  await rest.click();
  await expect(title(page)).toHaveText(/Put it right, lock it again/);
  await expect(page.locator('.how')).toContainText(`Lid on again, ${min} at pressure`);
  await expect(outlook).toHaveCount(0);
  await tickOn(page, /Heating the first stage/);
  await page.clock.fastForward('05:00');
  await page.locator('[data-tap="pin-up"]').click();
  await page.clock.fastForward('02:00');
  await expect(title(page)).toHaveText(/First stage is holding/);
  await expect(page.locator('.top .stage')).toContainText(min);
});

test('the evening tells what fits into each wait, and goes to a calendar', async ({ page }) => {
  await page.goto(`${hut.url}/bench/turkey-leek-lemon/water`);
  await page.getByRole('button', { name: 'What to do in each wait' }).click();
  await expect(page.locator('ek-waits li').first()).toContainText(/lay the table|clean board/);
  await noBarriers(page);
  await page.keyboard.press('Escape');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'calendar' }).click();
  const file = await saved;
  expect(file.suggestedFilename()).toBe('turkey-leek-lemon.ics');
  const text = readFileSync(await file.path(), 'utf8');
  expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
  expect(text.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThan(4);
  expect(text).not.toContain('calendar.');
});

test('no network at all: an open cook is found again after a reload, its taps kept, and sent when the network is back', async ({
  page,
  context,
}) => {
  await page.goto(`${hut.url}/bench/turkey-leek-lemon/water`);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.getByRole('button', { name: 'Cook this now' }).click();
  await expect(title(page)).toBeVisible();
  // The worker holds every file of the page before the network goes.
  await expect
    .poll(() => page.evaluate(async () => (await caches.keys()).some((k) => k.includes('assets'))))
    .toBe(true);
  await page.reload();
  await expect(title(page)).toBeVisible();
  const before = await title(page).textContent();
  await context.setOffline(true);
  await page.reload();
  await expect(title(page)).toHaveText(before ?? '');
  await page.locator('[data-tap="done"]').click();
  await expect(title(page)).not.toHaveText(before ?? '');
  const after = await title(page).textContent();
  await page.reload();
  await expect(title(page)).toHaveText(after ?? '');
  await context.setOffline(false);
  const id = page.url().split('/').at(-1)!;
  const sent = async (): Promise<number> =>
    ((await (await page.request.get(`${hut.url}/api/cooks/${id}`)).json()) as { events: unknown[] }).events.length;
  await expect.poll(sent).toBe(1);
});
