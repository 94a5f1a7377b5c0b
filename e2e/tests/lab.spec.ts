import { expect, test } from '@playwright/test';
import { aHut, noBarriers } from '../helpers';

const hut = aHut();

test('a lesson: guess, the answer with its sum, the slider moved on; the guess is kept and the next one begun', async ({
  page,
}) => {
  await page.goto(`${hut.url}/bench/plain-long-grain/water`);
  await page.getByRole('link', { name: 'Lab', exact: true }).click();
  await page.getByRole('link', { name: 'Begin: Why ratios fail' }).click();
  await expect(page.locator('.measured').nth(1)).toContainText('?');
  await noBarriers(page);
  await page.getByRole('button', { name: 'firmer' }).click();
  await expect(page.getByRole('status')).toContainText('Not so. You said: firmer. It is: softer.');
  const sum = page.getByRole('table', { name: 'The sum of both pots' });
  await expect(sum.getByRole('row', { name: /Juice that the food gives/ })).toContainText(/g\s*\d+ g/);
  await noBarriers(page);

  // To the left end by the keyboard: both pots are the same one.
  await page.getByRole('slider').press('Home');
  await expect(page.locator('.slider .now')).toHaveText('0 g: the same');

  await page.getByRole('button', { name: 'Ask me again' }).click();
  await page.getByRole('button', { name: 'softer' }).click();
  await expect(page.getByRole('status')).toContainText('Right.');
  await expect(page.getByText('1 guessed; right at the first guess: 0, right now: 1.')).toBeVisible();
  await page.getByRole('link', { name: 'Next: Why the pot waits' }).click();
  await expect(page.getByRole('heading', { name: 'Why the pot waits' })).toBeVisible();

  // The guesses lie in the kitchen of the house.
  await expect
    .poll(
      async () =>
        ((await (await page.request.get(`${hut.url}/api/kitchen`)).json()) as { guesses?: object[] }).guesses?.length,
    )
    .toBe(2);
  await page.reload();
  await expect(page.getByRole('img', { name: 'guessed right last time' })).toBeVisible();
});
