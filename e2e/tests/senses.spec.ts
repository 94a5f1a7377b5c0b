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

for (const [name, viewport] of [
  ['twice as large on a laptop', { width: 640, height: 400 }],
  ['on a tablet', { width: 820, height: 1180 }],
  ['on a tablet on its side', { width: 1180, height: 820 }],
] as const)
  for (const locale of ['en-GB', 'es-ES'] as const)
    test.describe(`${name}, ${locale}`, () => {
      test.use({ viewport, locale, hasTouch: true });

      test('nothing lies over anything else in the head, and no view is wider than the screen', async ({ page }) => {
        for (const view of views) {
          await open(page, hut.url, view);
          const width = await page.evaluate(() => document.documentElement.scrollWidth);
          expect([view, width <= viewport.width, await lyingOver(page, headRow)]).toEqual([view, true, []]);
        }
        await open(page, hut.url, 'bench/turkey-leek-lemon/water');
        await page.getByRole('button', { name: /Cook this now|Cocinar ya/ }).click();
        const clock = page.locator('.main .clock');
        await expect(clock).toBeVisible();
        const frame = (await clock.boundingBox())!;
        const digits = (await clock.locator('.mono').first().boundingBox())!;
        expect(digits.x).toBeGreaterThanOrEqual(frame.x);
        expect(digits.x + digits.width).toBeLessThanOrEqual(frame.x + frame.width + 1);
        expect(await lyingOver(page, '.foot > *')).toEqual([]);
      });
    });

test.describe('colours that the system gives', () => {
  test.use({ colorScheme: 'dark' });

  test('what is chosen has a frame, and no view has a barrier', async ({ page }) => {
    await page.emulateMedia({ forcedColors: 'active' });
    for (const view of views) {
      await open(page, hut.url, view);
      await noBarriers(page, { but: ['color-contrast'] });
    }
    await open(page, hut.url, 'bench/turkey-leek-lemon/water');
    const frame = (e: Element): string => getComputedStyle(e).outlineStyle;
    const chosen = page.locator('nav a[aria-current=page], [role=tab][aria-selected=true]');
    await expect(chosen).toHaveCount(2);
    expect(await chosen.evaluateAll((all) => all.map((e) => getComputedStyle(e).outlineStyle))).toEqual([
      'solid',
      'solid',
    ]);
    expect(await page.locator('[role=tab][aria-selected=false]').first().evaluate(frame)).toBe('none');
  });
});

test('headings go down one level at a time, and every view begins with its own', async ({ page }) => {
  for (const view of [...views, 'log/demo-cook-60', 'log/taught']) {
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
