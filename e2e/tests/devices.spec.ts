import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { aHut, noBarriers } from '../helpers';

const hut = aHut();

const title = (page: Page) => page.locator('.main h1');
const done = (page: Page) => page.locator('[data-tap="done"]');
const cookId = (page: Page): string => page.url().split('/').at(-1)!;
const kinds = async (page: Page): Promise<string[]> =>
  (
    (await (await page.request.get(`${hut.url}/api/cooks/${cookId(page)}`)).json()) as { events: { kind: string }[] }
  ).events.map((e) => e.kind);

/** Begins a practice at sixty times the clock and works the board and the pan up to the locked lid. */
async function practise(page: Page, hands: 'I do' | 'the devices tell', trouble?: string): Promise<void> {
  await page.goto(`${hut.url}/bench/plain-long-grain/water`);
  await page.getByRole('button', { name: 'Practise' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: '60×' }).click();
  await dialog.getByRole('button', { name: hands }).click();
  if (trouble) {
    await dialog.getByRole('button', { name: 'what I choose' }).click();
    await dialog.getByText(trouble).click();
  }
  await noBarriers(page);
  await dialog.getByRole('button', { name: 'Start the practice' }).click();
  await expect(title(page)).toBeVisible();
  for (let i = 0; i < 20 && !/^Wait for the pin/.test((await title(page).textContent()) ?? ''); i++) {
    const now = (await title(page).textContent()) ?? '';
    await done(page).click();
    await expect(title(page)).not.toHaveText(now);
  }
}
/** Taps what is next until the cook is over, writing down what the thermometer shows. */
async function toTheTable(page: Page): Promise<void> {
  const rate = page.getByRole('button', { name: 'Keep it in the Log' });
  for (let i = 0; i < 40 && !(await rate.isVisible()); i++) {
    const dialog = page.getByRole('dialog');
    if (await dialog.isVisible()) await dialog.getByRole('button', { name: 'Go on without measuring' }).click();
    // The last wait may end by itself between the look and the tap: then there is nothing left to tap.
    else if (await done(page).or(rate).first().isVisible())
      await done(page)
        .click({ timeout: 3000 })
        .catch(() => null);
    await page.waitForFunction(() => document.querySelector('.main h1, .rate h1') !== null);
  }
  await rate.click();
}

test('a whole cook on the simulated devices: pin, needle and release arrive by themselves, and the log looks back', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await practise(page, 'the devices tell');
  const bar = page.locator('ek-practice-bar');
  await expect(bar).toContainText('Practice');
  await expect(bar).toContainText(/\d+ kPa/);
  await noBarriers(page);
  await expect(page.locator('[data-tap="pin-up"]')).toContainText('tapped', { timeout: 30_000 });
  await expect.poll(() => kinds(page), { timeout: 20_000 }).toContain('countdown');
  await expect.poll(() => kinds(page)).toContain('gauge-read');
  await toTheTable(page);
  await expect(page.getByText('Looking back at the practice')).toBeVisible();
  await expect(page.locator('ek-look-back')).toContainText('The food would have been');
  await noBarriers(page);
  await page.goto(`${hut.url}/log`);
  await expect(page.locator('tbody tr').first()).toContainText('Practice');
  await expect(page.locator('.head')).toContainText('and 1 practised');
});

test('a practice by hand: the cooker warns of burning, the cook sees it, acts, and it goes on', async ({ page }) => {
  test.setTimeout(120_000);
  await practise(page, 'I do', 'burn warning');
  const bar = page.locator('ek-practice-bar');
  await expect(bar).toContainText('It shows: burn', { timeout: 30_000 });
  expect(await kinds(page)).not.toContain('burn');
  await page.locator('[data-tap="burn"]').click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Do it: lid on again/ })
    .click();
  await expect(title(page)).toHaveText('Put it right, lock it again.');
  await page.locator('[data-tap="done"]').click();
  await expect(bar).toContainText('pin is up', { timeout: 40_000 });
  // Nobody but the cook says so.
  expect(await kinds(page)).not.toContain('pin-up');
  await page.keyboard.press('u');
  await expect(page.locator('[data-tap="pin-up"]')).toContainText('tapped');
});

test('the practice clock stands while nobody looks, and is right after a reload', async ({ page }) => {
  await practise(page, 'I do');
  await expect(page.locator('ek-practice-bar')).toContainText(/[1-9]\d* kPa/, { timeout: 30_000 });
  const clockOf = (): Promise<string> => page.locator('.clock .mono').innerText();
  await page.reload();
  await expect(title(page)).toHaveText(/Wait for the pin/);
  const at = await clockOf();
  await expect.poll(clockOf).not.toBe(at);
});

test('the devices switched on in the Kitchen take part in a real cook; the needle is on its page', async ({ page }) => {
  await page.goto(`${hut.url}/kitchen`);
  await page.getByRole('button', { name: 'take part' }).click();
  await expect(page.getByText('saved')).toBeVisible();
  await page.goto(`${hut.url}/bench/plain-long-grain/water`);
  await page.getByRole('button', { name: 'Cook this now' }).click();
  await expect(page.locator('ek-practice-bar')).toContainText('Devices');
  // A cooker of another maker speaks the protocol; it is heard once it is let in.
  await expect(title(page)).toBeVisible();
  const stove = page.url();
  const said = async (): Promise<unknown> => {
    const readings = [
      { kind: 'pressure', kpa: 33, atMs: Date.now() },
      { kind: 'whistle', count: 1, atMs: Date.now() },
    ];
    const data = { format: 'einkorn.device/1', device: 'my-cooker', readings };
    return (await page.request.post(`${hut.url}/api/devices/readings`, { data })).json();
  };
  expect(await said()).toMatchObject({ kept: 0, letIn: false });
  await page.goto(`${hut.url}/kitchen`);
  await page.getByRole('button', { name: 'Let my-cooker in' }).click();
  await expect(page.getByRole('button', { name: 'Shut my-cooker out' })).toBeVisible();
  await expect(page.getByText('saved')).toBeVisible();
  await page.goto(stove);
  await expect(title(page)).toBeVisible();
  expect(await said()).toMatchObject({ kept: 2 });
  await expect(page.locator('ek-practice-bar')).toContainText('33 kPa');
  await expect.poll(() => kinds(page)).toContain('whistle');
  await page.goto(`${hut.url}/kitchen`);
  await page.getByRole('button', { name: 'are off' }).click();
  await expect(page.getByText('saved')).toBeVisible();
});

test('two screens on one cook: a tap on one is on the other at once', async ({ page, context }) => {
  await page.goto(`${hut.url}/bench/plain-long-grain/water`);
  await page.getByRole('button', { name: 'Cook this now' }).click();
  await expect(title(page)).toBeVisible();
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(title(other)).toBeVisible();
  const before = (await title(page).textContent()) ?? '';
  await done(page).click();
  await expect(title(page)).not.toHaveText(before);
  await expect(title(other)).toHaveText((await title(page).textContent()) ?? '');
  await other.locator('[data-tap="write"]').click();
  await other.getByRole('dialog').getByLabel('for what').or(other.getByPlaceholder('for what')).fill('bread');
  await other.getByRole('dialog').getByRole('button', { name: 'Start' }).click();
  await expect(page.locator('.timer.own')).toContainText('bread');
  await page.locator('.timer.own').click();
  await expect(other.locator('.timer.own')).toHaveCount(0);
});

test('two dishes on one table, from the Shelf: when each begins, what the hands do, on paper and in the calendar; a late one moves the rest', async ({
  page,
}) => {
  // What other cooks left on the stove is not of this evening.
  const running = (await (await page.request.get(`${hut.url}/api/cooks?running=true`)).json()) as { id: string }[];
  for (const c of running) await page.request.delete(`${hut.url}/api/cooks/${c.id}`);
  await page.goto(`${hut.url}/shelf`);
  await page.getByRole('button', { name: /^More for Turkey, leek/ }).click();
  await page.getByRole('menuitem', { name: 'Cook it this evening' }).click();
  await page.getByRole('button', { name: 'Another dish' }).click();
  const plan = page.locator('ek-evening-page');
  await expect(plan.locator('[data-course="0"]')).toContainText(/begin \d/);
  await expect(plan.locator('[data-course="1"]')).toContainText(/begin \d/);
  const at = new Date(Date.now() + 5 * 3_600_000).toISOString().slice(11, 16);
  await plan.getByLabel('On the table at').fill(at);
  await expect(plan.locator('[data-course="0"]')).toContainText(`ready ${at}`);
  await expect(plan.locator('ol li').nth(4)).toBeVisible();
  await noBarriers(page);
  const saving = page.waitForEvent('download');
  await plan.getByRole('button', { name: 'Into the calendar' }).click();
  const file = readFileSync(await (await saving).path(), 'utf8');
  expect(file.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThan(4);
  expect(file).toContain('Turkey');
  // On paper the dishes stand as words, and nothing that is tapped.
  await page.emulateMedia({ media: 'print' });
  await expect(plan.getByRole('button')).toHaveCount(0);
  await expect(plan.locator('.paper').first()).toContainText('Turkey');
  await page.emulateMedia({ media: 'screen' });
  // What was chosen is still chosen after a reload.
  await page.reload();
  await expect(plan.locator('[data-course="1"]')).toContainText(/begin \d/);
  await expect(plan.getByLabel('On the table at')).toHaveValue(at);
  await plan.getByRole('button', { name: 'Cook this now' }).first().click();
  await expect(title(page)).toBeVisible();
  await page.getByRole('link', { name: 'Another dish', exact: true }).click();
  // What cooks stands where it cooks, and the table waits for it where it is wanted earlier than it can be.
  await expect(plan.locator('[data-course="0"]')).toContainText('on the stove');
  await expect(plan.getByRole('link', { name: 'To its step' })).toBeVisible();
  await plan.getByLabel('On the table at').fill(new Date(Date.now() + 60_000).toISOString().slice(11, 16));
  await expect(plan.getByText('The table waits for')).toBeVisible();
  await plan.getByRole('button', { name: 'Cook this now' }).click();
  await expect(title(page)).toBeVisible();
  const other = page.locator('.timer.other').first();
  await expect(other).toContainText('Also on');
  await other.click();
  await expect(page.locator('.timer.other').first()).toContainText('Also on');
  await noBarriers(page);
});
