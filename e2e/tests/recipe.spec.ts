import { expect, test, type Page } from '@playwright/test';
import { aHut, answer, noBarriers, tab } from '../helpers';

const hut = aHut();

const recipe = `Weeknight chicken and rice
Serves 4

Ingredients
1½ lb boneless, skinless chicken thighs, cut into 1-inch pieces
1 large onion, chopped
1 1/2 cups rice, rinsed
1 3/4 cups low-sodium chicken broth
1 jar pesto
1 cup unicorn dust
Salt and pepper to taste

Directions
Brown the chicken for 5 minutes. Spread the rice over the top, do not stir.
Cook on high pressure for 8 minutes. Let the pressure release naturally for 10 minutes.`;

const field = (page: Page) => page.getByLabel('Paste a recipe');
const line = (page: Page, text: string) => page.locator('ek-read-line-row').filter({ hasText: text });
const questions = (page: Page) => page.getByRole('region', { name: 'What was understood' }).getByRole('status');
const toBench = (page: Page) => page.getByRole('button', { name: 'Our plan to the Bench' });

test('a recipe is pasted, its questions are answered in the text, its own numbers are judged, and it is planned', async ({
  page,
}) => {
  await page.goto(`${hut.url}/shelf`);
  await page.getByRole('link', { name: 'New dish' }).click();
  await noBarriers(page);
  await field(page).fill(recipe);
  await expect(questions(page)).toHaveText('3 questions');
  await expect(line(page, 'unicorn')).toContainText('I do not know the food');
  await expect(line(page, 'low-sodium')).toContainText('415 g');
  await noBarriers(page);

  await line(page, 'cups rice').getByRole('button', { name: 'basmati' }).click();
  await expect(field(page)).toHaveValue(/1 1\/2 cups basmati rice, rinsed/);
  const pesto = line(page, 'jar pesto');
  await pesto.getByRole('textbox').fill('lots');
  await pesto.getByRole('button', { name: 'That much' }).click();
  await expect(pesto).toContainText('is no amount');
  await pesto.getByRole('textbox').fill('2 tbsp');
  await pesto.getByRole('textbox').press('Enter');
  await expect(field(page)).toHaveValue(/2 tbsp pesto/);
  await expect(questions(page)).toHaveText('One question');
  await line(page, 'unicorn').getByRole('button', { name: 'Leave it out' }).click();
  await expect(questions(page)).toHaveText('Understood.');
  await expect(field(page)).not.toHaveValue(/unicorn/);

  const bar = page.getByRole('region', { name: 'The plan in short' });
  await expect(bar).toContainText('8 min + 10');
  await expect(page.getByRole('columnheader', { name: 'As written' })).toBeVisible();
  await page.getByLabel('Title').fill('Chicken for Friday');
  await page.getByLabel('Title').blur();
  await toBench(page).click();
  await expect(page).toHaveURL(/\/bench\/.+\/gather/);
  await expect(page.locator('[data-amount="rice-basmati"]')).toHaveValue('1½ cups');
  await tab(page, 'Water').click();
  await expect(answer(page)).toBeVisible();
  await page.goto(`${hut.url}/shelf`);
  await expect(page.getByRole('link', { name: /Chicken for Friday/ })).toBeVisible();
  await page.goto(`${hut.url}/recipe`);
  await expect(field(page)).toHaveValue('');
});

test('as written: the numbers of the recipe are the cook’s own on the Bench, and can be given back', async ({
  page,
}) => {
  await page.goto(`${hut.url}/recipe`);
  await field(page).fill(recipe);
  await page.getByRole('button', { name: 'All as written' }).click();
  await page.getByRole('button', { name: 'Your plan to the Bench' }).click();
  await expect(page).toHaveURL(/\/bench\/.+\/gather/);
  await page.goto(page.url().replace('gather', 'pressure'));
  await expect(page.locator('[data-answer="hold"], ek-pressure-sheet').first()).toContainText('8');
});

test('each difference from the recipe is taken or left alone, with what it changes', async ({ page }) => {
  await page.goto(`${hut.url}/recipe`);
  await field(page).fill(recipe);
  const minutes = page.getByRole('radiogroup', { name: 'Minutes' });
  await expect(minutes).toContainText('Ours alone:');
  await expect(minutes.getByRole('radio', { name: /ours/ })).toBeChecked();
  await minutes.getByRole('radio', { name: '8 min as written' }).click();
  await expect(page.getByRole('columnheader', { name: 'Your plan' })).toBeVisible();
  await expect(
    page
      .getByRole('row', { name: /pressure/ })
      .getByRole('cell')
      .last(),
  ).toContainText('8 min');
  await page.getByRole('button', { name: 'Your plan to the Bench' }).click();
  await page.waitForURL(/gather/);
  await expect(tab(page, 'Pressure')).toContainText('8 min');
});

test('a food that nobody knows is added from its packet, and is known from then on', async ({ page }) => {
  await page.goto(`${hut.url}/recipe`);
  await field(page).fill('Rice\nServes 4\n2 cups long-grain rice\n300 g zarkofu\n2 cups water');
  await line(page, 'zarkofu').getByRole('button', { name: 'Add it from its packet' }).click();
  const dialog = page.getByRole('dialog', { name: 'A food of your own, from its packet' });
  const name = dialog.getByRole('textbox', { name: 'Name' });
  await expect(name).toHaveValue('zarkofu');
  // The dialog puts the cursor there once it is open; what is typed before that would go astray.
  await expect(name).toBeFocused();
  await dialog.getByLabel('Behaves in the pot like').selectOption('tofu');
  await dialog.getByLabel('Energy, kcal').fill('40');
  await dialog.getByLabel('Protein, g').fill('16.7');
  await dialog.getByLabel('Fat, g', { exact: true }).fill('10.4');
  await dialog.getByLabel('Carbs, g').fill('1.2');
  await dialog.getByLabel('Salt, g').fill('1.3');
  await expect(dialog).toContainText('One of them is misread');
  await dialog.getByLabel('Energy, kcal').fill('165');
  await expect(dialog).toContainText('So it is 70 % water');
  await noBarriers(page);
  await dialog.getByRole('button', { name: 'Keep this food' }).click();
  await expect(line(page, 'zarkofu')).toContainText('300 g');
  await expect(questions(page)).toHaveText('Understood.');
  await toBench(page).click();
  await page.waitForURL(/gather/);
  await expect(page.locator('[data-amount="own-zarkofu"]')).toHaveValue('300 g');

  await page.goto(`${hut.url}/kitchen`);
  await expect(page.getByText('like tofu, 1.3 g salt in 100 g')).toBeVisible();
});

test('title, people and notes are changed on the Bench', async ({ page }) => {
  await page.goto(`${hut.url}/bench/plain-long-grain/gather`);
  await page.getByRole('button', { name: 'rename, notes' }).click();
  const dialog = page.getByRole('dialog', { name: 'Title and notes' });
  await dialog.getByLabel('Title').fill('');
  await expect(dialog.getByRole('alert')).toHaveText('Give the dish a title.');
  await dialog.getByLabel('Title').fill('Rice for the walkers');
  await dialog.getByLabel('Notes').fill('The blue lid sticks.');
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('heading', { name: 'Rice for the walkers' })).toBeVisible();
  await expect(page.getByText('The blue lid sticks.')).toBeVisible();
});

test('a saved page is chosen as a file: its recipe becomes text, nothing in it is run', async ({ page }) => {
  const data = {
    '@graph': [
      {
        '@type': 'Recipe',
        name: 'Mushroom risotto',
        recipeYield: '4 servings',
        recipeIngredient: [
          '1 1/2 cups arborio rice',
          '4 cups vegetable broth',
          '8 oz mushrooms, sliced',
          '2 tbsp butter',
        ],
        recipeInstructions: [
          { '@type': 'HowToStep', text: 'Pressure cook on HIGH for 6 minutes, then quick release.' },
        ],
      },
    ],
  };
  const html = `<html><head><script type="application/ld+json">${JSON.stringify(data)}</script><script>document.title='run'</script></head><body></body></html>`;
  await page.goto(`${hut.url}/recipe`);
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'risotto.html', mimeType: 'text/html', buffer: Buffer.from(html) });
  await expect(field(page)).toHaveValue(/Mushroom risotto[\s\S]*4 cups vegetable broth/);
  await expect(page.getByLabel('Cooked as')).toHaveValue('risotto');
  await expect(page).toHaveTitle(/New dish/);
  await expect(page.getByRole('region', { name: 'The plan in short' })).toContainText('As written');
  await page.reload();
  await expect(field(page)).toHaveValue(/Mushroom risotto/);
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"a": 1}') });
  await expect(page.getByRole('alert')).toContainText('I find no recipe');
});

test('from nothing to the Bench by the keyboard alone, and on the phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${hut.url}/recipe`);
  await expect(field(page)).toBeVisible();
  await field(page).focus();
  await page.keyboard.type('300 g basmati rice, rinsed\n500 g chicken thighs, cubes 2 cm\n1 onion\n');
  await expect(toBench(page)).toBeVisible();
  // Minutes without a release ask how the pressure is let off; the answer is a step of the text.
  await page.keyboard.type('Cook at high pressure for 6 minutes.');
  await page.getByRole('button', { name: 'valve at once' }).click();
  await expect(field(page)).toHaveValue(/Quick release\.$/);
  await expect(questions(page)).toHaveText('Understood.');
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  await noBarriers(page);
  await field(page).focus();
  await page.keyboard.press('Control+Enter');
  await expect(page).toHaveURL(/\/bench\/.+\/gather/);
  await expect(page.locator('[data-amount="chicken-thigh"]')).toHaveValue('500 g');
});

test('a dish leaves as a recipe text and is read back as the same dish', async ({ page }) => {
  await page.goto(`${hut.url}/shelf`);
  const row = page.getByRole('listitem').filter({ hasText: 'Turkey, leek and lemon' });
  await expect(row).toContainText('mL');
  await row.getByRole('button', { name: /^More for/ }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Save as a recipe text' }).click();
  const file = await (await download).path();
  await page.goto(`${hut.url}/recipe`);
  await page.locator('input[type=file]').setInputFiles(file);
  await expect(page.getByLabel('Title')).toHaveValue('Turkey, leek and lemon long-grain');
  await expect(line(page, 'turkey thigh')).toContainText('in cubes');
  await expect(questions(page)).toHaveText('Understood.');
});
