import { blankRecipe, toggleOstinato, writeLink } from '@/core/recipe';
import { expect, openBench, phrase, test } from './app';

test.beforeEach(async ({ page, teacher }) => {
  await openBench(page, teacher);
});

test('the address opens the exercise, also on the way back', async ({ page, context }) => {
  await phrase(page, 'What keeps going', 'samba feet');
  await page.getByLabel('Reading line').fill('4. 4. 4');
  await page.getByLabel('Tempo', { exact: true }).fill('97');
  await expect(page).toHaveURL(/t=97/);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByLabel('Reading line')).toHaveValue('4. 4. 4');
  await expect(other.getByLabel('Tempo', { exact: true })).toHaveValue('97');
  await expect(other.getByRole('group', { name: 'Over' })).toContainText('samba feet');
  await page.getByRole('link', { name: 'Students' }).click();
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
  await page.goBack();
  await expect(page.getByLabel('Reading line')).toHaveValue('4. 4. 4');
  await page.getByRole('link', { name: 'Students' }).click();
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page.getByLabel('Reading line')).toHaveValue('4. 4. 4');
});

test('an altered link, one from a newer Mivvel and a lost exercise say so', async ({ page }) => {
  const recipe = toggleOstinato(blankRecipe(), 'shuffle');
  const link = writeLink(recipe);
  await page.goto(`/bench?r=${link.slice(0, -3)}`);
  const trouble = page.getByRole('alert').filter({ hasText: /./ });
  await expect(trouble).toContainText('This link is not complete, or was changed on the way.');
  await page.goto(`/bench?r=${writeLink({ ...recipe, version: 3 })}`);
  await expect(trouble).toContainText('written by a newer Mivvel (format 3; this one reads 2)');
  await page.goto('/bench?x=01m88049gqy8q6h8yq14sa');
  await expect(trouble).toContainText('This exercise is no longer here.');
  await page.goto('/bench?t=9000');
  await expect(trouble).toContainText('A tempo of “9000” cannot be played here.');
});
