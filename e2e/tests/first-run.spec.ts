import { expect, test } from '@playwright/test';
import { aHut, noBarriers } from '../helpers';

const hut = aHut({ asNew: true });

test('a new kitchen: four answers, without the demo, and the cook stands before the first recipe', async ({ page }) => {
  await page.goto(`${hut.url}/shelf`);
  const asked = page.getByRole('region', { name: 'Your kitchen first' });
  await expect(asked).toBeVisible();
  await noBarriers(page);
  await asked.getByRole('combobox', { name: 'Pot' }).click();
  await page.getByRole('option', { name: 'Stovetop 6 L' }).click();
  await asked.getByRole('spinbutton', { name: 'Altitude' }).fill('300');
  await asked.getByRole('button', { name: 'oz, cups, °F, in' }).click();
  await asked.getByRole('button', { name: 'español' }).click();
  const enBlanco = page.getByRole('region', { name: 'Primero, su cocina' });
  await enBlanco.getByRole('button', { name: 'Empezar con el estante vacío' }).click();
  await expect(page).toHaveURL(/\/recipe$/);
  await expect(page.getByRole('textbox', { name: /Pegue una receta/ })).toBeVisible();

  await page.goto(`${hut.url}/shelf`);
  await expect(page.getByRole('heading', { name: 'Estante', exact: true })).toBeVisible();
  await expect(enBlanco).toHaveCount(0);
  const get = async (path: string): Promise<unknown> => (await fetch(`${hut.url}${path}`)).json();
  expect(await get('/api/dishes')).toEqual([]);
  expect(await get('/api/cooks')).toMatchObject({ cooks: [] });
  await expect
    .poll(() => get('/api/kitchen'))
    .toMatchObject({
      potId: 'stovetop-6',
      units: 'cups',
      weights: 'ounces',
      temperature: 'fahrenheit',
      language: 'es',
    });
});
