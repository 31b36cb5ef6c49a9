import { expect, test } from '@playwright/test';
import { expectNoFault } from './no-fault.js';
import { copyOfMagpie, jobByNumber } from './shop.js';

test('a notation is read as it is typed, and a mistake is pointed at with a suggestion', async ({ page, request }) => {
  const { job } = await jobByNumber(request, '2409');
  await page.goto(`/job/${job.id}/survey`);
  await expect(page.getByText('Walk round the engine')).toBeVisible();
  await page.getByRole('button', { name: 'Add component' }).click();
  const notation = page.getByLabel('Port in one line');
  await notation.fill('-10 orb f');
  await expect(page.getByText('O-ring boss -10, female')).toBeVisible();
  await expect(page.getByText('7/8-14 UNF')).toBeVisible();
  await notation.fill('npt 5/8 f');
  await expect(page.locator('mark')).toHaveText('5/8');
  await expect(page.getByRole('alert').filter({ hasText: 'It comes in' })).toBeVisible();
  await notation.fill('ntp 1/8 f');
  await page.getByRole('button', { name: 'Use npt 1/8 f' }).click();
  await expect(notation).toHaveValue('npt 1/8 f');
  await notation.press('Enter');
  await expect(page.getByRole('button', { name: 'Change port 1' })).toBeVisible();
  await page.getByRole('button', { name: 'Change port 1' }).click();
  await page.getByLabel('Port in one line').fill('npt 1/4 f');
  await page.getByRole('button', { name: 'Save port' }).click();
  await expect(page.getByRole('row', { name: /npt 1\/4 f/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('row', { name: /npt 1\/4 f/ })).toBeVisible();
});

test('duplicating and deleting can be undone, and what a line needs stays', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, 'S-1');
  await page.goto(`/job/${job.id}/survey`);
  await page.getByRole('button', { name: /^Rear tank/ }).click();
  await page.getByRole('button', { name: 'Duplicate breather' }).click();
  await expect(page.getByRole('button', { name: 'Change breather 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Delete breather', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Change breather', exact: true })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Change breather', exact: true })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Undone: Duplicate port breather')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Change breather 2' })).toBeHidden();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByRole('button', { name: 'Change breather 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Delete return', exact: true }).click();
  await expect(page.getByText('return cannot be deleted: L9 ends on it.')).toBeVisible();
  await page.getByRole('button', { name: 'Delete Rear tank' }).click();
  await expect(page.getByText(/Rear tank cannot be deleted: L3, L9 end on it/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Change return', exact: true })).toBeVisible();
});

test('a component is renamed, re-kinded and noted in place, and kept', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, 'S-2');
  await page.goto(`/job/${job.id}/survey`);
  await page.getByLabel('Name of the component').fill('Engine block');
  await page.getByLabel('Name of the component').press('Tab');
  await page.getByLabel('Note on the component').fill('Hot side right');
  await page.getByLabel('Note on the component').press('Tab');
  await page.getByRole('button', { name: 'Duplicate Engine block' }).click();
  await expect(page.getByRole('button', { name: /^Engine block 2/ })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Note on the component')).toHaveValue('Hot side right');
  await page.keyboard.press('j');
  await expect(page.getByLabel('Name of the component')).toHaveValue('Turbo');
});

test('a port that may be two threads is logged so, its line is worked out for both, and what is measured settles it', async ({
  page,
  request,
}) => {
  const { job, lines } = await copyOfMagpie(request, 'S-9');
  await page.goto(`/job/${job.id}/survey`);
  await page.getByRole('button', { name: 'Change left gallery' }).click();
  const notation = page.getByLabel('Port in one line');
  await notation.fill('m14x1.5 f washer | orb6 fe');
  await expect(page.locator('mark')).toHaveText('fe');
  await notation.fill('m14x1.5 f washer | orb6 f');
  await expect(page.getByText('One of 2, not settled yet')).toBeVisible();
  await notation.press('Enter');
  await expect(page.getByRole('row', { name: /m14x1\.5 f washer \| orb6 f/ })).toBeVisible();
  await expectNoFault(page);

  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  await expect(page.getByLabel('What is open')).toContainText(
    'left gallery may be metric parallel M14×1.5, female, washer, or O-ring boss -6',
  );
  await page.getByRole('tab', { name: 'End A' }).click();
  await expect(page.getByRole('row', { name: /^O-ring boss -6, female/ })).toContainText('orb6 m');
  await expect(page.getByText('No way does: nothing goes in before it is settled.')).toBeVisible();
  await expectNoFault(page);
  await page.reload();
  await page.getByRole('tab', { name: 'End A' }).click();
  await page.getByRole('button', { name: 'It is this: O-ring boss -6, female' }).press('Enter');
  await expect(page.getByText('Settled: O-ring boss -6, female')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Take way/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'It is O-ring boss -6, female' }).first()).toBeVisible();

  await page.goto(`/job/${job.id}/survey`);
  await page.getByRole('button', { name: 'Change left gallery' }).click();
  await notation.fill('? about 14 mm');
  await notation.press('Enter');
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  await expect(page.getByLabel('What is open')).toContainText('the thread is not known: about 14 mm');
});

test('what is half typed outlives a look at the lines; Tab goes on from a slip, and single keys rest', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, 'H-1');
  await page.goto(`/job/${job.id}/survey`);
  const notation = page.getByLabel('Port in one line');
  await notation.fill('ntp 1/8 f');
  await expect(page.getByRole('button', { name: 'Use npt 1/8 f' })).toBeVisible();
  await notation.press('Tab');
  await expect(page.getByLabel('What it is called')).toBeFocused();
  await page.keyboard.type('oil whistle');
  await page.getByRole('heading', { name: /New port on/ }).click();
  await page.keyboard.press('n');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page).toHaveURL(/survey/);
  await page.getByRole('link', { name: /Lines/ }).first().click();
  await expect(page).toHaveURL(/lines/);
  await page.goBack();
  await expect(notation).toHaveValue('ntp 1/8 f');
  await notation.press('ArrowDown');
  await expect(notation).toHaveValue('npt 1/8 f');
  await page.getByRole('button', { name: 'Add port' }).click();
  await expect(page.getByRole('row', { name: /oil whistle/ })).toContainText('npt 1/8 f');
});
