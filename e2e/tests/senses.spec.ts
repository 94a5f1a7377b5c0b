import { expect, test, type Page } from '@playwright/test';
import { aHut, noBarriers, openView as open, views } from '../helpers';

const hut = aHut();

/** Words and controls of one row that lie over each other, or over the edge of the screen. */
const lyingOver = (page: Page, row: string): Promise<string[]> =>
  page.evaluate((selector) => {
    const seen = Array.from(document.querySelectorAll<HTMLElement>(selector))
      .map((e) => ({ words: e.textContent.trim(), box: e.getBoundingClientRect(), e }))
      .filter(({ words, box }) => words !== '' && box.width > 0);
    const over = seen.flatMap((a, i) =>
      seen
        .slice(i + 1)
        .filter((b) => !a.e.contains(b.e) && !b.e.contains(a.e))
        .filter(
          ({ box }) =>
            a.box.left < box.right - 1 &&
            box.left < a.box.right - 1 &&
            a.box.top < box.bottom - 1 &&
            box.top < a.box.bottom - 1,
        )
        .map((b) => `${a.words} / ${b.words}`),
    );
    return [...over, ...seen.filter(({ box }) => box.right > innerWidth + 1).map(({ words }) => `${words} off`)];
  }, row);
const headRow = 'header .mark, header nav a, header .lab, header .serve, header button';

const wide = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
/** A laptop at 200 %, a tablet, and one on its side. */
const sizes = [
  { width: 640, height: 400 },
  { width: 820, height: 1180 },
  { width: 1180, height: 820 },
];

for (const locale of ['en-GB', 'es-ES'] as const)
  test.describe(`read in ${locale}`, () => {
    test.use({ locale, hasTouch: true });

    test('at 200 % and on tablets nothing lies over anything in the head, and no view is wider than the screen', async ({
      page,
    }) => {
      const fits = async (view: string, row: string): Promise<void> => {
        for (const size of sizes) {
          await page.setViewportSize(size);
          const width = (): Promise<number> => page.evaluate(() => document.documentElement.scrollWidth);
          // A chart is drawn anew a moment after its room has changed.
          await expect.poll(async () => [view, (await width()) <= size.width]).toEqual([view, true]);
          expect([view, size, await lyingOver(page, row)]).toEqual([view, size, []]);
        }
      };
      for (const view of views) {
        await open(page, hut.url, view);
        await fits(view, headRow);
      }
      await open(page, hut.url, 'bench/turkey-leek-lemon/water');
      await page.getByRole('button', { name: /Cook this now|Cocinar ya/ }).click();
      const clock = page.locator('.main .clock');
      await expect(clock).toBeVisible();
      await fits('stove', '.foot > *');
      for (const size of sizes) {
        await page.setViewportSize(size);
        const frame = (await clock.boundingBox())!;
        const digits = (await clock.locator('.mono').first().boundingBox())!;
        expect(digits.x).toBeGreaterThanOrEqual(frame.x);
        expect(digits.x + digits.width).toBeLessThanOrEqual(frame.x + frame.width + 1);
      }
    });
  });

// In the light and wide, the tests of the languages look.
const onPhone = [
  'shelf',
  'recipe',
  'bench/turkey-leek-lemon/gather',
  'bench/turkey-leek-lemon/pressure',
  'stove',
  'log',
];
for (const [name, viewport, locale, schemes, seen] of [
  ['wide', wide, 'en-GB', ['dark'], views],
  ['on a phone', phone, 'es-ES', ['light', 'dark'], onPhone],
] as const)
  test.describe(`${name}, ${locale}`, () => {
    test.use({ viewport, locale });

    test(`no view has a barrier, ${schemes.join(' and ')}`, async ({ page }) => {
      for (const view of seen) {
        await open(page, hut.url, view);
        for (const colorScheme of schemes) {
          await page.emulateMedia({ colorScheme });
          await noBarriers(page);
        }
      }
    });
  });

test('in the colours that the system gives, what is chosen has a frame', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  for (const view of ['shelf', 'stove', 'kitchen', 'bench/turkey-leek-lemon/water']) {
    await open(page, hut.url, view);
    await noBarriers(page, { but: ['color-contrast'] });
  }
  const frame = (e: Element): string => getComputedStyle(e).outlineStyle;
  const chosen = page.locator('nav a[aria-current=page], [role=tab][aria-selected=true]');
  await expect(chosen).toHaveCount(2);
  expect(await chosen.evaluateAll((all) => all.map((e) => getComputedStyle(e).outlineStyle))).toEqual([
    'solid',
    'solid',
  ]);
  expect(await page.locator('[role=tab][aria-selected=false]').first().evaluate(frame)).toBe('none');
});

test('who asks for more contrast reads quiet words in full ink', async ({ page }) => {
  await open(page, hut.url, 'bench/turkey-leek-lemon/water');
  const colours = (): Promise<string[]> =>
    page.locator('.say .quiet, .say strong').evaluateAll((all) => all.map((e) => getComputedStyle(e).color));
  expect(new Set(await colours()).size).toBe(2);
  await page.emulateMedia({ contrast: 'more' });
  expect(new Set(await colours()).size).toBe(1);
});

test('headings go down one level at a time, and every view begins with its own', async ({ page }) => {
  for (const view of [...views, 'log/demo-cook-60', 'log/bring', 'log/not-there']) {
    await open(page, hut.url, view);
    const levels = await page
      .locator('#main')
      .locator('h1, h2, h3, h4')
      .evaluateAll((all) => all.filter((e) => e.checkVisibility()).map((e) => Number(e.tagName[1])));
    const jumps = levels.filter((level, i) => level > (levels[i - 1] ?? 0) + 1);
    expect([view, levels[0], jumps]).toEqual([view, 1, []]);
  }
});

test('a screen reader hears a step once, and not every second of its clock', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-14T17:40:00Z') });
  await open(page, hut.url, 'bench/turkey-leek-lemon/water');
  await page.getByRole('button', { name: 'Cook this now' }).click();
  await expect(page.locator('.main .clock')).toBeVisible();
  await page.evaluate(() => {
    const heard: string[] = [];
    Object.assign(window, { heard });
    const live = '[aria-live=polite], [aria-live=assertive], [role=status], [role=alert]';
    new MutationObserver((all) => {
      for (const { target } of all) {
        const region = (target instanceof Element ? target : target.parentElement)?.closest(live);
        if (region && region.getAttribute('aria-live') !== 'off') heard.push(region.textContent.trim());
      }
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
  });
  await page.clock.runFor(60_000);
  const heard = (): Promise<string[]> => page.evaluate(() => (window as unknown as { heard: string[] }).heard);
  expect((await heard()).filter((words) => words !== '').length).toBeLessThanOrEqual(2);
  await page.locator('[data-tap=done]').click();
  await expect.poll(async () => (await heard()).some((words) => /turkey/i.test(words))).toBe(true);
});
