import { expect, test } from '@playwright/test';
import { aHut, millilitres, noBarriers, tab } from '../helpers';

const hut = aHut();

test('a jambalaya from nothing, by the keyboard alone', async ({ page }) => {
  await page.goto(`${hut.url}/shelf`);
  await page.getByRole('link', { name: 'New dish' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^one pot/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-amount="rice-long"]')).toBeVisible();
  const line = page.getByRole('combobox', { name: 'Add what you have, in one line' });
  for (const [typed, id] of [
    ['250 g smoked sausage, slices 1 cm', 'sausage-smoked'],
    ['2 bell peppers', 'bell-pepper'],
    ['2 sticks celery', 'celery'],
    ['400 g diced canned tomato', 'tomato-diced-canned'],
    ['2 tsp ground spice', 'spice-ground'],
  ] as const) {
    await line.focus();
    await page.keyboard.type(typed);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Enter');
    await expect(page.locator(`[data-amount="${id}"]`)).toBeVisible();
    await expect(line).toHaveValue('');
  }
  await noBarriers(page);
  await line.blur();
  // The tomato on top of the grain, the sausage below it, and nothing that stops the plan.
  await page.keyboard.press('4');
  const layers = page.locator('[data-layer]');
  await expect(layers.first()).toContainText('tomato');
  await expect(page.locator('ek-warnings .stop')).toHaveCount(0);
  // A layer is moved with the arrows in the pot itself.
  await page.getByRole('img', { name: /^Smoked sausage|^smoked sausage/ }).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.locator('[data-layer="sausage-smoked"]')).toContainText('your place');
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-layer="sausage-smoked"]')).not.toContainText('your place');
  await noBarriers(page);
});

test('every sheet is free of barriers, in the light and in the dark', async ({ page }) => {
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme });
    for (const sheet of ['gather', 'fry', 'stack', 'finish']) {
      await page.goto(`${hut.url}/bench/venison-juniper-barley/${sheet}`);
      await expect(page.locator('ek-try-it')).toBeVisible();
      await noBarriers(page);
    }
  }
});

test('the order of the pan: moved, told what it costs, given back', async ({ page }) => {
  await page.goto(`${hut.url}/bench/turkey-leek-lemon/fry`);
  const garlic = page.locator('[data-step="garlic"]');
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'garlic earlier' }).click();
  await expect(garlic).toContainText('burns');
  await expect(page.locator('ek-warnings')).toContainText('burns');
  await page.getByRole('button', { name: 'Back to the planner' }).click();
  await expect(garlic).not.toContainText('burns');
});

test('a scorch remedy is done with a tap, and keeps its promise', async ({ page }) => {
  await page.goto(`${hut.url}/bench/turkey-leek-lemon/stack`);
  await page.getByText('base scraped clean before the lid').click();
  const reason = page.getByRole('listitem').filter({ hasText: 'base not scraped clean' });
  await expect(reason).toContainText('→');
  await reason.getByRole('button', { name: /Do it/ }).click();
  await expect(reason).toHaveCount(0);
});

test('tough meat: the Bench says which part, shows what would serve it, and applies one', async ({ page }) => {
  await page.goto(`${hut.url}/bench/chicken-rack-red-rice/gather`);
  const line = page.getByRole('combobox', { name: 'Add what you have, in one line' });
  await line.fill('400 g beef stew cubes 38 mm');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.locator('[data-amount="beef-stew"]')).toBeVisible();
  await tab(page, 'Stack').click();
  const panel = page.getByRole('region', { name: 'One program does not serve all parts.' });
  await expect(panel).toContainText('beef');
  const use = panel.getByRole('button', { name: /^Do this/ });
  await expect(use.first()).toBeVisible({ timeout: 30_000 });
  await noBarriers(page);
  await use.first().click();
  await expect(panel).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
});

test('try it: what follows is shown, kept on a word, and undone by its name after a reload', async ({ page }) => {
  await page.goto(`${hut.url}/bench/plain-long-grain/water`);
  const own = await millilitres(page);
  await page.getByRole('button', { name: 'do not rinse' }).click();
  await expect(page.getByRole('region', { name: 'Try it' })).toContainText('→');
  expect(await millilitres(page)).toBe(own);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect.poll(() => millilitres(page)).toBeGreaterThan(own);
  await expect(page.getByRole('button', { name: /^Undo: how .* is prepared/ })).toBeEnabled();
  await expect(page.locator('.save')).toHaveText('saved');
  await page.reload();
  await expect.poll(() => millilitres(page)).toBeGreaterThan(own);
});

test('why ratios fail: five batches of this pot against one ratio', async ({ page }) => {
  await page.goto(`${hut.url}/bench/plain-long-grain/water`);
  await page.getByRole('button', { name: 'Why ratios fail' }).click();
  const rows = page.locator('ek-ratio-plot tbody tr');
  await expect(rows).toHaveCount(5);
  const ratio = async (i: number): Promise<number> =>
    Number(((await rows.nth(i).locator('td').last().textContent()) ?? '').replace('1 :', ''));
  expect(await ratio(4)).toBeLessThan(await ratio(0));
  await noBarriers(page);
});

test('as much as the pot takes: never over the limit, and a smaller pot says so first', async ({ page }) => {
  /** Another pot of the Kitchen, kept by the server: it says "saved" before the click too. */
  const inThe = async (pot: string): Promise<void> => {
    await page.goto(`${hut.url}/kitchen`);
    const kept = page.waitForResponse((r) => r.url().endsWith('/api/kitchen') && r.request().method() === 'PATCH');
    await page.locator(`[data-pot="${pot}"]`).click();
    expect((await kept).ok()).toBe(true);
  };
  await page.goto(`${hut.url}/bench/plain-long-grain/gather`);
  await page.getByRole('button', { name: 'As much as the pot takes' }).click();
  await expect(page.getByText('This is the largest batch')).toBeVisible();
  await expect(page.locator('ek-warnings .stop')).toHaveCount(0);
  // The largest batch of the larger pot is too much for the smaller one, which says so before anything else, with the way out.
  await inThe('electric-3');
  await page.goto(`${hut.url}/bench/plain-long-grain/stack`);
  await expect(page.locator('ek-warnings .stop, .refused')).toBeVisible();
  await inThe('electric-5.7');
});

test('pasta: the minutes of its packet are on its row, and the plan follows them', async ({ page }) => {
  await page.goto(`${hut.url}/bench/beef-beetroot-dill-pasta/gather`);
  const packet = page.getByRole('combobox', { name: /^Minutes on the packet of/ });
  await expect(packet).toHaveText('8.5 min');
  const pressure = page.getByRole('tab', { name: 'Pressure' });
  await expect(pressure).toContainText('3 min, quick');
  await noBarriers(page);
  await packet.click();
  await page.getByRole('option', { name: '12 min' }).click();
  await expect(packet).toHaveText('12 min');
  // A pasta that boils half as long again needs more than these minutes.
  await expect(pressure).not.toContainText('3 min, quick');
});

test('the shelf: filter, vary, compare, put away and back', async ({ page }) => {
  await page.goto(`${hut.url}/shelf`);
  const rows = page.getByRole('listitem').filter({ has: page.locator('ek-mini-pot') });
  await page.getByRole('combobox', { name: 'Show a family' }).click();
  await page.getByRole('option', { name: 'risotto: stirred, creamy rice' }).click();
  await expect(rows).toHaveCount(1);
  await page.getByRole('button', { name: 'Show all' }).click();
  const turkey = page.getByRole('button', { name: 'More for Turkey, leek and lemon long-grain', exact: true });
  await turkey.click();
  await page.getByRole('menuitem', { name: 'Vary' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('combobox', { name: 'take' }).click();
  await page.getByRole('option', { name: 'brown long-grain' }).click();
  await expect(dialog.getByRole('status')).toContainText('minutes');
  // The list of the select has gone before the screen is judged.
  await expect(page.locator('.p-select-overlay')).toHaveCount(0);
  await noBarriers(page);
  await dialog.getByRole('button', { name: 'Put this on the shelf' }).click();
  await expect(page.getByRole('link', { name: /Turkey.*, with/ })).toBeVisible();
  await turkey.click();
  await page.getByRole('menuitem', { name: 'Compare' }).click();
  await expect(page.getByRole('dialog').getByRole('row')).toHaveCount(11);
  await page.keyboard.press('Escape');
  const away = page.getByRole('button', { name: /Put Plain rinsed long-grain away/ });
  await away.click();
  await expect(away).toHaveCount(0);
  await page.getByRole('button', { name: 'Dishes put away' }).click();
  await page.getByRole('button', { name: /Put Plain rinsed long-grain back/ }).click();
  await page.getByRole('button', { name: 'Back to the Shelf' }).click();
  await expect(away).toBeVisible();
});

test('a broken file: what is understood comes in, the rest is told with its place; nonsense is refused', async ({
  page,
}) => {
  await page.goto(`${hut.url}/shelf`);
  const file = page.locator('input[type=file]');
  const bring = (name: string, text: string) =>
    file.setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  await bring('torn.json', '{"format": "einkorn.dish/1", ');
  const report = page.locator('[data-report]');
  await expect(report).toContainText('was not brought in');
  await expect(report).toContainText('cannot be read as JSON');
  const dish = {
    format: 'einkorn.dish/1',
    title: 'From elsewhere',
    family: 'plain-grain',
    serves: 2,
    colour: 'blue',
    ingredients: [
      { id: 'a', food: 'rice-long', amount: { value: 200, unit: 'g' } },
      { id: 'b', food: 'moon-dust', amount: { value: 1, unit: 'g' } },
    ],
  };
  await bring('elsewhere.json', JSON.stringify(dish));
  await expect(report).toContainText('is on the shelf');
  await expect(report).toContainText('colour');
  await expect(report).toContainText('moon-dust');
  await expect(page.getByRole('link', { name: /From elsewhere/ })).toBeVisible();
  await noBarriers(page);
});

test('the chosen point is taken and moved on the map; all curves; set beside the last time', async ({ page }) => {
  await page.goto(`${hut.url}/bench/turkey-leek-lemon/pressure`);
  await expect(page.locator('.map .js-plotly-plot .contourlayer')).toBeVisible();
  const hold = page.locator('#hold');
  const before = await hold.inputValue();
  const chart = page.locator('.map ek-chart');
  const box = (await chart.boundingBox())!;
  // Where the point lies is the chart's own business: it is the last one drawn, named A.
  const at = await page.evaluate(() => {
    interface Drawn {
      _fullLayout: {
        xaxis: { d2p(x: number): number };
        yaxis: { d2p(y: number): number };
        _size: { l: number; t: number };
      };
      data: { x: number[]; y: number[] }[];
    }
    const el = document.querySelector('.map .js-plotly-plot') as unknown as Drawn;
    const { xaxis, yaxis, _size } = el._fullLayout;
    const point = el.data.at(-1)!;
    return { x: _size.l + xaxis.d2p(point.x[0]!), y: _size.t + yaxis.d2p(point.y[0]!) };
  });
  await page.mouse.move(box.x + at.x, box.y + at.y);
  await page.mouse.down();
  await page.mouse.move(box.x + at.x + 90, box.y + at.y, { steps: 6 });
  await expect(chart.locator('.says')).toContainText('min');
  await page.mouse.up();
  await expect(hold).not.toHaveValue(before);
  await expect(page.locator('.yours')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(hold).toHaveValue(before);
  await page.getByRole('button', { name: 'all curves' }).click();
  await expect(page.getByRole('dialog').locator('.js-plotly-plot')).toBeVisible();
  await noBarriers(page);
  await page.keyboard.press('Escape');
  await page
    .locator('[data-program="B"]')
    .getByRole('button', { name: /last time/ })
    .click();
  await expect(page.locator('[data-program="B"] h3')).toContainText(/min/);
  await noBarriers(page);
});

test('a stop stands on the tab, on its sheet and in the line that is always there', async ({ page }) => {
  await page.goto(`${hut.url}/bench/plain-long-grain/stack`);
  await expect(page.locator('.tab-name .mark')).toHaveCount(0);
  await tab(page, 'Gather').click();
  await page.locator('[data-amount="rice"]').fill('3.5 kg');
  await expect(tab(page, 'Stack').locator('.mark.stop')).toBeVisible();
  await tab(page, 'Stack').click();
  await expect(page.locator('.here.stop').first()).toContainText(/no cooker is filled beyond/);
  await noBarriers(page);
});
