import AxeBuilder from '@axe-core/playwright';
import { expect, test, type BrowserContext, type Page } from '@playwright/test';
import { Hut } from './hut';

/**
 * The application for all tests of a file; an error in any of its pages fails the test that met it. Its plans are made as
 * from the factory, so that their numbers do not hang on the log of the demo.
 */
export function aHut({ learning = false, asNew = false, lan = false } = {}): Pick<Hut, 'url' | 'stop' | 'start'> {
  const broken: string[] = [];
  let own: Hut;
  test.beforeAll(async () => {
    own = await Hut.open({ asNew, lan });
    const kitchen = (await (await fetch(`${own.url}/api/kitchen`)).json()) as object;
    await fetch(`${own.url}/api/kitchen`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...kitchen, learning }),
    });
  });
  test.afterAll(() => own.close());
  test.beforeEach(async ({ context }) => {
    broken.length = 0;
    await goByPages(context);
    context.on('weberror', (e) => broken.push(e.error().message));
  });
  test.afterEach(() => {
    expect(broken).toEqual([]);
  });
  return {
    get url() {
      return own.url;
    },
    stop: () => own.stop(),
    start: () => own.start(),
  };
}

/** A test that moves the clock of a page moves the house with it. */
export const goByPages = (context: BrowserContext): Promise<unknown> =>
  context.route('**/api/time', async (route) => {
    const nowMs = await route
      .request()
      .frame()
      .evaluate(() => Date.now());
    await route.fulfill({ json: { nowMs, movedMs: 0 } });
  });

/**
 * Nothing serious or critical on this screen; the painted chart is told in a table beside it.
 *
 * @param but rules that say nothing there: of colours that the system gives, axe reads the ones of the page
 */
export async function noBarriers(page: Page, { but = [] }: { but?: string[] } = {}): Promise<void> {
  const found = await new AxeBuilder({ page }).exclude('.js-plotly-plot').disableRules(but).analyze();
  const bad = found.violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(bad.map((v) => `${v.id}: ${v.nodes.map((n) => `${n.target.join(' ')} in ${n.html}`).join(', ')}`)).toEqual([]);
}

export const answer = (page: Page) => page.locator('[data-answer="liquid"]');
export const tab = (page: Page, name: string) => page.getByRole('tab', { name: new RegExp(name) });
export const millilitres = async (page: Page): Promise<number> =>
  Number(((await answer(page).textContent()) ?? '').replace(/[^\d]/g, ''));

/** Every view of the demo, by its address. */
export const views = [
  'lab',
  'lab/strips',
  'shelf',
  'recipe',
  ...['gather', 'fry', 'water', 'stack', 'pressure', 'finish'].map((sheet) => `bench/turkey-leek-lemon/${sheet}`),
  'stove',
  'evening?dish=turkey-leek-lemon',
  'log',
  'kitchen',
];

/** The view is there with its words, and its plans are worked out. */
export async function openView(page: Page, url: string, view: string): Promise<void> {
  await page.goto(`${url}/${view}`);
  await expect(page.locator('#main h1').first()).toBeVisible();
  if (view.startsWith('bench')) await expect(page.locator('ek-ribbon')).toBeAttached();
}
