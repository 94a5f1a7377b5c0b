import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { Hut } from './hut';
import { goByPages } from './helpers';
import { launch } from './launch';

/*
 * npm run shots: drives the demo with a controlled clock and refreshes docs/screenshots. Names given on the command
 * line choose single pictures; OUT puts them elsewhere, LOCALE speaks another language where a picture taps no words.
 */
const out = process.env['OUT'] ?? join(import.meta.dirname, '..', 'docs', 'screenshots');
const wanted = process.argv.slice(2);
const wide = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
const evening = new Date('2026-11-14T17:40:00Z');

mkdirSync(out, { recursive: true });
const hut = await Hut.open();
const browser = await chromium.launch(launch);

async function page(viewport: { width: number; height: number }, dark = false): Promise<Page> {
  const context = await browser.newContext({
    viewport,
    locale: process.env['LOCALE'] ?? 'en-GB',
    timezoneId: 'UTC',
    colorScheme: dark ? 'dark' : 'light',
  });
  await goByPages(context);
  const p = await context.newPage();
  p.on('pageerror', (e) => console.error(`page error: ${e.message}`));
  p.on('console', (m) => m.type() === 'error' && console.error(`console: ${m.text()}`));
  return p;
}

async function shot(
  name: string,
  viewport: { width: number; height: number },
  go: (p: Page) => Promise<void>,
  dark = false,
): Promise<void> {
  if (wanted.length > 0 && !wanted.includes(name)) return;
  const p = await page(viewport, dark);
  p.setDefaultTimeout(15_000);
  try {
    await go(p);
  } catch (e) {
    console.error(`${name}: ${String(e).slice(0, 400)}`);
    process.exitCode = 1;
  }
  await p.evaluate(() => document.fonts.ready);
  // Nothing is taken half faded in.
  await p.evaluate(() => Promise.all(document.getAnimations().map((a) => a.finished.catch(() => null))));
  await p.screenshot({ path: join(out, `${name}.png`) });
  await p.context().close();
  console.log(name);
}

const benchOf = (dish: string, sheet: string) => async (p: Page) => {
  await p.goto(`${hut.url}/bench/${dish}/${sheet}`);
  await p.locator('ek-verdicts').waitFor({ state: 'attached' });
  await p.locator('ek-ribbon').waitFor({ state: 'attached' });
};

const bench = (sheet: string) => benchOf('turkey-leek-lemon', sheet);

/** Starts a cook at 17:40 and works it up to `until`. */
async function cookTo(p: Page, until: 'fry' | 'hold'): Promise<void> {
  // One cook at a time: what an earlier picture left on the stove is not of this evening.
  const running = (await (await p.request.get(`${hut.url}/api/cooks?running=true`)).json()) as { id: string }[];
  for (const c of running) await p.request.delete(`${hut.url}/api/cooks/${c.id}`);
  await p.clock.install({ time: evening });
  await bench('water')(p);
  await p.getByRole('button', { name: 'Cook this now' }).click();
  await p.locator('ek-mini-pot').waitFor();
  const done = p.locator('[data-tap="done"]');
  const title = p.locator('.main h1');
  const stop = until === 'fry' ? /Fry the turkey/ : /Wait for the pin/;
  for (let i = 0; i < 30 && !stop.test((await title.textContent()) ?? ''); i++) {
    const before = await title.textContent();
    await p.clock.fastForward(100_000);
    await done.click();
    await p.waitForFunction((b) => document.querySelector('.main h1')?.textContent !== b, before);
  }
  if (until === 'fry') return;
  await p.clock.fastForward('08:50');
  await p.locator('[data-tap="pin-up"]').click();
  await p.clock.fastForward('03:20');
  await p.locator('h1', { hasText: 'Hands off' }).waitFor();
  await p.locator('.js-plotly-plot').first().waitFor();
}

const pasted = `Weeknight chicken and rice
Serves 4

Ingredients
1½ lb boneless, skinless chicken thighs, cut into 1-inch pieces
1 tbsp olive oil
1 large onion, chopped
3 cloves garlic, minced
1 1/2 cups rice, rinsed
1 3/4 cups low-sodium chicken broth
1 tsp smoked paprika
Salt and pepper to taste
1 jar pesto
1 cup frozen peas

Directions
Brown the chicken for 5 minutes. Pour in the broth, spread the rice over the top, do not stir.
Cook on high pressure for 8 minutes. Let the pressure release naturally for 10 minutes.`;
const readOf = async (p: Page): Promise<void> => {
  await p.goto(`${hut.url}/recipe`);
  await p.getByLabel('Paste a recipe').fill(pasted);
  await p.getByRole('columnheader', { name: 'As written' }).waitFor();
  await p.evaluate(() => (document.activeElement as HTMLElement).blur());
};
await shot('recipe', wide, readOf);

await shot('shelf', wide, async (p) => {
  await p.goto(`${hut.url}/shelf`);
  // All that is in the picture is worked out.
  await p.locator('ek-mini-pot').nth(8).waitFor({ timeout: 60_000 });
});
await shot('bench-gather', wide, bench('gather'));
await shot('bench-water', wide, async (p) => {
  await bench('water')(p);
  await p.locator('ek-schools .line').nth(4).waitFor();
  await p.getByRole('button', { name: 'Why: From turkey thigh' }).click();
});
await shot('bench-pressure', wide, async (p) => {
  await bench('pressure')(p);
  await p.locator('[data-program="B"]').waitFor();
  await p.locator('.map .js-plotly-plot .contourlayer').waitFor();
});
await shot('bench-fry', wide, bench('fry'));
await shot('bench-finish', wide, benchOf('beef-beetroot-dill-pasta', 'finish'));
await shot('bench-stack', wide, benchOf('goat-curry-bowl-rice', 'stack'));

await shot('evening', wide, async (p) => {
  await p.clock.install({ time: evening });
  for (const dish of ['turkey-leek-lemon', 'small-potatoes-rack']) {
    await p.goto(`${hut.url}/evening?dish=${dish}`);
    await p.waitForURL(`${hut.url}/evening`);
  }
  await p.locator('ek-evening-page ol li').nth(9).waitFor();
  await p.locator('ek-evening-page .band').nth(1).waitFor();
});

await shot('stove', wide, (p) => cookTo(p, 'hold'));
await shot('stove-rescue', wide, async (p) => {
  await cookTo(p, 'hold');
  await p.locator('[data-tap="burn"]').click();
  await p.getByRole('dialog').locator('.moves').waitFor();
});
await shot('practice', wide, async (p) => {
  await bench('water')(p);
  await p.getByRole('button', { name: 'Practise' }).click();
  const dialog = p.getByRole('dialog');
  await dialog.getByRole('button', { name: '60×' }).click();
  await dialog.getByRole('button', { name: 'what I choose' }).click();
  await dialog.getByText('weak heater').click();
  await dialog.getByRole('button', { name: 'Start the practice' }).click();
  const title = p.locator('.main h1');
  await title.waitFor();
  for (let i = 0; i < 30 && !/Wait for the pin/.test((await title.textContent()) ?? ''); i++) {
    const before = await title.textContent();
    await p.locator('[data-tap="done"]').click();
    await p.waitForFunction((b) => document.querySelector('.main h1')?.textContent !== b, before);
  }
  await p.locator('ek-practice-bar').getByText('counting down').waitFor({ timeout: 40_000 });
  await p.locator('[data-tap="pin-up"]').click();
  await p.locator('.outlook').waitFor();
});
await shot('stove-phone', phone, (p) => cookTo(p, 'fry'));
await shot('bench-phone', phone, bench('water'));
await shot('log', { width: 1280, height: 1200 }, async (p) => {
  await p.goto(`${hut.url}/log`);
  await p.locator('tbody tr').nth(7).waitFor();
  await p.locator('ek-taught svg').first().waitFor();
});
await shot('cook', wide, async (p) => {
  await p.goto(`${hut.url}/log/demo-cook-57`);
  await p.locator('.js-plotly-plot').waitFor();
  await p.getByText('working it out').waitFor({ state: 'hidden' });
});
await shot('kitchen', wide, async (p) => {
  await p.goto(`${hut.url}/kitchen`);
  await p.locator('.pot').nth(4).waitFor();
});
await shot(
  'bench-dark',
  wide,
  async (p) => {
    await bench('water')(p);
    await p.locator('ek-schools .line').nth(4).waitFor();
  },
  true,
);

/** A lesson that was guessed. */
const guessed = (id: string, guess: RegExp) => async (p: Page) => {
  await p.goto(`${hut.url}/lab/${id}`);
  await p.getByRole('button', { name: guess }).click();
  await p.locator('ek-lesson-sum').waitFor();
};
await shot('lab', wide, guessed('ratio', /^(softer|más blando)$/));
await browser.close();
await hut.close();
