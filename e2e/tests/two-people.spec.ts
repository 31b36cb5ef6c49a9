import { expect, test } from '@playwright/test';
import { copyOfMagpie, deaf, saved } from './shop.js';

test('two tabs on one job: what one does the other sees, and either can take it back', async ({ page, context, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'D-1');
  const other = await context.newPage();
  await page.goto(`/job/${job.id}/lines/${lines[0]!.id}`);
  await other.goto(`/job/${job.id}/survey`);
  await expect(other.getByLabel('Name of the component')).toHaveValue('Block');
  await other.getByLabel('Name of the component').fill('Engine');
  await other.getByLabel('Name of the component').press('Enter');
  await page.getByRole('button', { name: 'Add a line' }).click();
  await expect(page.getByRole('dialog').locator('optgroup').first()).toHaveAttribute('label', 'Engine');
  await expect(page.getByRole('dialog').locator(':focus')).toHaveCount(1);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Undone: Edit Block')).toBeVisible();
  await expect(other.getByLabel('Name of the component')).toHaveValue('Block');
});

test('theirs is taken when that is what is wanted', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'D-2');
  const line = lines[2]!;
  await deaf(page);
  await page.goto(`/job/${job.id}/lines/${line.id}`);
  await expect(page.getByLabel('Name of the line')).toHaveValue('Tank to pump');
  await request.patch(`/api/lines/${line.id}`, { data: { version: line.version, tapedLengthMm: 1234 } });
  await page.getByLabel('Taped length').fill('1300');
  await page.getByLabel('Taped length').press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('row', { name: /Taped length/ })).toContainText('1234');
  await dialog.getByRole('button', { name: 'Take theirs' }).click();
  await expect(page.getByLabel('Taped length')).toHaveValue(/^1234/);
  await page.reload();
  await expect(page.getByLabel('Taped length')).toHaveValue(/^1234/);
});

test('quick changes one after another all arrive, in their order', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'D-3');
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  const taped = page.getByLabel('Taped length');
  await expect(taped).toHaveValue(/^664/);
  await page.route('**/api/lines/*', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 150));
    await route.continue();
  });
  for (const length of ['700', '710', '720', '730', '740']) {
    await taped.fill(length);
    await taped.press('Enter');
  }
  await page.getByRole('combobox', { name: 'Service' }).selectOption({ label: 'Return' });
  await expect(saved(page)).toBeVisible();
  await expect
    .poll(
      async () =>
        ((await (await request.get(`/api/jobs/${job.id}`)).json()) as { lines: { tapedLengthMm: number; service: string }[] }).lines[3],
    )
    .toMatchObject({ tapedLengthMm: 740, service: 'return' });
  await expect(page.getByRole('dialog')).toBeHidden();
});

test("units and theme are each browser's own, and kept", async ({ page, browser, request, baseURL }) => {
  const { job, lines } = await copyOfMagpie(request, 'D-4');
  const address = `/job/${job.id}/lines/${lines[3]!.id}`;
  await page.goto(address);
  await page.getByRole('button', { name: 'mm · bar' }).click();
  await page.getByRole('button', { name: 'Dark theme' }).click();
  await expect(page.getByLabel('Taped length')).toHaveValue(/^26 1\/8/);
  await expect(page.getByRole('columnheader', { name: 'stack in' })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Taped length')).toHaveValue(/^26 1\/8/);
  expect(await page.evaluate(() => document.documentElement.dataset['theme'])).toBe('dark');
  const another = await browser.newContext({ baseURL: baseURL! });
  const theirs = await another.newPage();
  await theirs.goto(address);
  await expect(theirs.getByLabel('Taped length')).toHaveValue(/^664/);
  await another.close();
});

test('an undo reaches back over a reload', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, 'D-5');
  await page.goto(`/job/${job.id}/survey`);
  await page.getByRole('button', { name: 'Duplicate Block' }).click();
  await expect(page.getByRole('button', { name: /^Block 2/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Block 2/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^Block 2/ })).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('There is nothing to undo.')).toBeVisible();
});
