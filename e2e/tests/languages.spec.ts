import { expect, test, type Locator, type Page } from '@playwright/test';
import { aHut, noBarriers, openView, views } from '../helpers';

const hut = aHut();
const dish = 'turkey-leek-lemon';
const open = (page: Page, view: string): Promise<void> => openView(page, hut.url, view);

/** What is tapped and is smaller than a fingertip; a box stands for its label, a part of a control for the whole. */
const tooSmall = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    Array.from(document.querySelectorAll<HTMLElement>('button, a[href], input, [role=tab], .p-select')).flatMap((e) => {
      const whole = e.closest('label, .p-select, .p-inputnumber') ?? e;
      const { width, height } = whole.getBoundingClientRect();
      const hidden = width === 0 || getComputedStyle(e).visibility === 'hidden';
      const isWord = e.matches('p a, li a, .words');
      return hidden || isWord || (width >= 43.5 && height >= 43.5)
        ? []
        : [`${e.tagName} ${e.className} ${Math.round(width)}x${Math.round(height)} ${e.textContent.slice(0, 20)}`];
    }),
  );

for (const [name, viewport] of [
  ['phone', { width: 390, height: 844 }],
  ['tablet', { width: 820, height: 1180 }],
] as const)
  for (const locale of ['en-GB', 'es-ES'] as const)
    test.describe(`${name}, ${locale}`, () => {
      test.use({ viewport, locale, hasTouch: true, isMobile: true });

      test('no view is wider than the screen, nothing that is tapped is smaller than a fingertip', async ({ page }) => {
        for (const view of views) {
          await open(page, view);
          const width = await page.evaluate(() => document.documentElement.scrollWidth);
          expect([view, width <= viewport.width, await tooSmall(page)]).toEqual([view, true, []]);
        }
        // A cook in progress, with wet hands.
        await open(page, `bench/${dish}/water`);
        await page.getByRole('button', { name: /Cook this now|Cocinar ya/ }).click();
        const clock = page.locator('.main .clock .mono').first();
        await expect(clock).toBeVisible();
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(viewport.width);
        expect(await tooSmall(page)).toEqual([]);
        // The whole clock is to be read, not a strip of it.
        const { width } = (await clock.boundingBox())!;
        expect(width).toBeGreaterThan(viewport.width / 3);
      });
    });

test.describe('a thumb on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('the line that adds a food stays at the bottom, its suggestions open over it', async ({ page }) => {
    await open(page, `bench/${dish}/gather`);
    const field = page.locator('ek-add-line input');
    const lower = async (): Promise<boolean> => (await field.boundingBox())!.y > 844 / 2;
    expect(await lower()).toBe(true);
    await field.pressSequentially('200 g mushr');
    const choice = page.getByRole('option', { name: 'mushroom', exact: true });
    // The list is drawn anew while foods are still being found.
    const top = async (of: Locator): Promise<number> => (await of.boundingBox())?.y ?? Infinity;
    await expect.poll(async () => (await top(choice)) < (await top(field))).toBe(true);
    expect(await lower()).toBe(true);
    await choice.click();
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.locator('[data-amount=mushroom]')).toHaveValue('200 g');
  });
});

for (const viewport of [
  { width: 844, height: 390 },
  { width: 667, height: 375 },
])
  test.describe(`a phone on its side, ${viewport.width} px wide`, () => {
    test.use({ viewport, locale: 'es-ES', hasTouch: true, isMobile: true });

    test('the step, its clock and every tap are on the screen at once', async ({ page }) => {
      await open(page, `bench/${dish}/water`);
      await page.getByRole('button', { name: 'Cocinar ya' }).click();
      await expect(page.locator('.main .clock .mono').first()).toBeVisible();
      for (const seen of ['.main h1', '.main .clock', '[data-tap=done]', '[data-tap=burn]', '[data-tap=write]']) {
        const { x, y, width, height } = (await page.locator(seen).first().boundingBox())!;
        const isWithin = x >= 0 && y >= 0 && x + width <= viewport.width && y + height <= viewport.height;
        expect([seen, isWithin]).toEqual([seen, true]);
      }
      expect(await tooSmall(page)).toEqual([]);
    });
  });

/** Titles and notes of dishes and cooks, which stay as their cook wrote them; the longest first. */
async function writtenByCooks(): Promise<string[]> {
  const written: string[] = [];
  const log = await (await fetch(`${hut.url}/api/log`)).text();
  JSON.parse(log, (key, value: unknown) => {
    if (['title', 'note', 'notes'].includes(key) && typeof value === 'string' && value !== '')
      written.push(value.toLowerCase());
    return value;
  });
  return written.sort((a, b) => b.length - a.length);
}

test.describe('a browser that reads Spanish', () => {
  test.use({ locale: 'es-ES' });

  test('every view is in Spanish, without barriers, and a refusal too', async ({ page }) => {
    const english = /\b(?:the|with|of|and|minutes|release|your)\b/;
    const written = await writtenByCooks();
    for (const view of views) {
      await open(page, view);
      await expect(page.locator('html')).toHaveAttribute('lang', 'es');
      const text = (await page.locator('#main').innerText()).toLowerCase();
      const ownWords = written.reduce((rest, words) => rest.replaceAll(words, ''), text);
      expect([view, ownWords.match(english)]).toEqual([view, null]);
      await noBarriers(page);
    }
    await page.goto(`${hut.url}/kitchen`);
    await expect(page.getByRole('status').first()).toHaveText('guardado');
    await page.getByRole('button', { name: 'Añadir una olla' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Guardar esta olla' }).click();
    await expect(page.getByText('Dé un nombre a la olla.')).toBeVisible();
  });

  test('a recipe typed in Spanish becomes a dish, is cooked step by step, and is kept', async ({ page }) => {
    await page.goto(`${hut.url}/recipe`);
    await page
      .getByRole('textbox', { name: /Pegue una receta/ })
      .fill(
        'Pollo con arroz\nPara 4\n\n300 g de arroz basmati lavado\n500 g de contramuslos de pollo en dados de 2 cm\n1 cebolla\n450 ml de caldo de pollo',
      );
    await page.getByRole('button', { name: /a la Mesa/ }).click();
    await expect(page.getByRole('heading', { name: 'Pollo con arroz' })).toBeVisible();
    await page.getByRole('button', { name: 'Cocinar ya' }).click();
    const title = page.locator('.main h1');
    await expect(title).toHaveText(/^Lave: /);
    await page.getByRole('button', { name: /^Hecho/ }).click();
    await expect(title).toHaveText(/^(?:Corte|Pique): /);
  });
});

test('the language is switched without a reload, and stays', async ({ page }) => {
  await page.goto(`${hut.url}/kitchen`);
  await expect(page.getByRole('heading', { name: 'Kitchen', exact: true })).toBeVisible();
  await page.getByText('español').click();
  await expect(page.getByRole('heading', { name: 'Cocina', exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Estante', exact: true })).toBeVisible();
  await expect(page.getByRole('status').first()).toHaveText('guardado');
  await page.goto(`${hut.url}/shelf`);
  await expect(page.getByRole('heading', { name: 'Estante', exact: true })).toBeVisible();
  await page.goto(`${hut.url}/kitchen`);
  await page.getByText('como el navegador').click();
  await expect(page.getByRole('heading', { name: 'Kitchen', exact: true })).toBeVisible();
});
