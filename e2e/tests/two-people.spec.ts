import { expect, test } from '@playwright/test';
import { allSaved, copyOfMagpie, deaf, elsewhere, jobByNumber } from './shop.js';

test('two tabs on one job: what one does the other sees, and each takes back its own', async ({ page, context, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'D-1');
  const other = await context.newPage();
  await page.goto(`/job/${job.id}/lines/${lines[0]!.id}`);
  await page.getByLabel('Name of the line').fill('Pickup');
  await page.getByLabel('Name of the line').press('Enter');
  await other.goto(`/job/${job.id}/survey`);
  await expect(other.getByLabel('Name of the component')).toHaveValue('Block');
  await other.getByLabel('Name of the component').fill('Engine');
  await other.getByLabel('Name of the component').press('Enter');
  await page.getByRole('button', { name: 'Add a line' }).click();
  const from = page.getByRole('dialog').getByLabel('From port');
  // a list that is open stays as it is under the hand; the next letters know of the other's change
  await expect(async () => {
    await from.fill('');
    await from.fill('main feed');
    await expect(page.locator('.g-picker').getByRole('option').first()).toContainText('Engine, main feed', { timeout: 500 });
  }).toPass();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Undone: Edit L1 Scavenge, front: name')).toBeVisible();
  await expect(other.getByLabel('Name of the component')).toHaveValue('Engine');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('There is nothing to undo.')).toBeVisible();
  await other.locator('h2').first().click();
  await other.keyboard.press('Control+z');
  await expect(other.getByLabel('Name of the component')).toHaveValue('Block');
});

test('what is half typed in one tab is not replaced by what the other saves, and neither is lost', async ({ page, context, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'D-6');
  const other = await context.newPage();
  const address = `/job/${job.id}/lines/${lines[3]!.id}`;
  await page.goto(address);
  await other.goto(address);
  const name = page.getByLabel('Name of the line');
  await expect(name).toHaveValue('Turbo feed');
  await name.press('End');
  await name.pressSequentially(' to the');
  await other.getByLabel('Name of the line').fill('Feed, theirs');
  await other.getByLabel('Name of the line').press('Enter');
  await expect(page.getByText('Changed elsewhere: Edit L4')).toBeVisible();
  await expect(name).toHaveValue('Turbo feed to the');
  await name.pressSequentially(' turbo');
  await name.press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('row', { name: /Name/ })).toContainText('Feed, theirs');
  await dialog.getByRole('button', { name: 'Keep mine' }).click();
  await expect(other.getByLabel('Name of the line')).toHaveValue('Turbo feed to the turbo');
});

test('an answer that is lost on the way does no harm: the change is known again as one’s own', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'D-7');
  await deaf(page);
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  let lost = 0;
  await page.route('**/api/jobs/*/changes', async (route) => {
    await route.fetch(); // it arrives and is carried out
    if (lost++ === 0) await route.abort();
    else await route.continue();
  });
  await page.getByLabel('Taped length').fill('701');
  await page.getByLabel('Taped length').press('Enter');
  await allSaved(page);
  expect(lost).toBeGreaterThan(1);
  await expect(page.getByRole('dialog')).toBeHidden();
  const [line] = (await jobByNumber(request, 'D-7')).lines.filter((l) => l.number === 4);
  expect([line!.pieces[0]!.length!.mm, line!.version]).toEqual([701, lines[3]!.version + 1]);
});

test('one job after another, quickly: the address and what is shown are of one job', async ({ page, request }) => {
  const first = await copyOfMagpie(request, 'D-8');
  const second = await jobByNumber(request, '2409');
  await page.goto('/');
  await page.route(`**/api/jobs/${first.job.id}`, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 600));
    await route.continue().catch(() => undefined);
  });
  await page.getByRole('link', { name: 'Open job D-8' }).click();
  await expect(page).toHaveURL(new RegExp(first.job.id));
  await page.goBack();
  await page.getByRole('link', { name: 'Open job 2409' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('2409');
  await page.waitForTimeout(900);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('2409');
  expect(page.url()).toContain(second.job.id);
});

test('theirs is taken when that is what is wanted', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'D-2');
  const line = lines[2]!;
  await deaf(page);
  await page.goto(`/job/${job.id}/lines/${line.id}`);
  await expect(page.getByLabel('Name of the line')).toHaveValue('Tank to pump');
  const set = { length: { mm: 1234, as: 'taped' } };
  await elsewhere(request, job.id, { do: 'edit-piece', id: line.id, version: line.version, piece: line.pieces[0]!.key, set });
  await page.getByLabel('Taped length').fill('1300');
  await page.getByLabel('Taped length').press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('row', { name: /Length/ })).toContainText('1234');
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
  await page.route('**/api/jobs/*/changes', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 150));
    await route.continue();
  });
  for (const length of ['700', '710', '720', '730', '740']) {
    await taped.fill(length);
    await taped.press('Enter');
  }
  await page.getByRole('combobox', { name: 'Service' }).selectOption({ label: 'Return' });
  await allSaved(page);
  await expect
    .poll(async () => (await jobByNumber(request, 'D-3')).lines[3])
    .toMatchObject({ pieces: [{ length: { mm: 740 } }], service: 'return' });
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
