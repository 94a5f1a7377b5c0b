import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Nothing serious or critical on this screen; the painted chart is told in a table beside it. */
export async function noBarriers(page: Page): Promise<void> {
  const found = await new AxeBuilder({ page }).exclude('.js-plotly-plot').analyze();
  const bad = found.violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(bad.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([]);
}

export const answer = (page: Page) => page.locator('[data-answer="liquid"]');
export const tab = (page: Page, name: string) => page.getByRole('tab', { name: new RegExp(name) });
export const millilitres = async (page: Page): Promise<number> =>
  Number(((await answer(page).textContent()) ?? '').replace(/[^\d]/g, ''));
