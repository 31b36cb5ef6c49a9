import { expect, test } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { allSaved, copyOfMagpie } from './shop.js';

test('the sensor that a line pushes out stays on a tee, and the sheet, the seals and the parts list know of it', async ({
  page,
  request,
}) => {
  const { job, lines } = await copyOfMagpie(request, 'W-1');
  await page.goto(`/job/${job.id}/lines/${lines.find((l) => l.name === 'Gauge line')!.id}`);
  await expect(page.getByLabel('What is open')).toContainText('The pressure sender sits in this port and has no new place');
  await page.getByRole('button', { name: 'Keep it on a tee here' }).click();
  await page.getByRole('button', { name: /^Take way 1, Tee/ }).click();
  await expect(page.getByRole('heading', { name: /Ways from Gauge panel/ })).toBeVisible();
  await page.getByRole('button', { name: /^Take way 1,/ }).click();
  await page.getByRole('button', { name: /^Correct by −/ }).click();
  await expect(page.getByRole('button', { name: 'Mark as checked' })).toBeEnabled();
  // along the sheet by arrow keys, the inspector with it
  const balloon = page.getByRole('button', { name: 'Joint 1, seals with what it needs' });
  await balloon.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel('Inspector')).toContainText('Joint 2 · branch to sensor');
  await page.getByLabel('Made up on the engine').check();
  await expect(page.getByRole('button', { name: 'Joint 2, made' })).toBeVisible();
  await allSaved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Joint 2, made' })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the sheet as SVG' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('W-1-L12.svg');
  expect(await readFile(await file.path(), 'utf8')).toMatch(/^<svg xmlns/);
  await page.keyboard.press('5');
  await expect(page).toHaveURL(/\/order$/);
  await page.getByRole('tab', { name: 'Parts list' }).click();
  await expect(page.getByRole('rowheader', { name: /Tee, r 1\/8 m to an4 m, branch rc 1\/8 f/ }).first()).toBeVisible();
});

test('ways are wished for, compared, pinned and solved again in place; contradictions are said in words', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'W-2');
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  const ways = page.locator('g-ways-table');
  await ways.getByRole('button', { name: /^Wishes/ }).click();
  await ways.getByLabel('Turns').selectOption('90°');
  await expect(ways.getByRole('row').nth(2)).toContainText(/banjo|elbow/i);
  await ways.getByRole('button', { name: 'Pin way 2' }).click();
  await ways.getByRole('button', { name: 'Hold way 2 to compare' }).click();
  await expect(ways).toContainText('Compared with the one held');
  await ways.getByLabel('Longest stack').fill('8');
  await ways.getByLabel('Longest stack').press('Enter');
  await expect(ways.locator('.g-verdict')).toContainText('Without the limit of 8 mm on the stack there is a way of');
  await expect(ways.getByRole('button', { name: /^Pin way/, pressed: true })).toHaveCount(1);
  await ways.locator('.unfold').first().click();
  await ways.getByRole('button', { name: 'Use', exact: true }).first().click();
  await ways.getByLabel('Least bore').fill('20');
  await ways.getByLabel('Least bore').press('Enter');
  await expect(ways.locator('.g-verdict')).toContainText('These wishes contradict one another');
  await allSaved(page);
  await page.reload();
  await expect(ways.locator('.g-verdict')).toContainText('contradict');
  // what counts in the shop
  await ways.getByRole('button', { name: 'What counts' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Elbows are').selectOption('elbows are all the same');
  await dialog.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(dialog).toBeHidden();
  await page.getByRole('button', { name: 'What counts' }).click();
  await expect(page.getByLabel('Elbows are').locator('option:checked')).toHaveText('elbows are all the same');
  await page.getByRole('button', { name: 'The usual figures' }).click();
  await page.getByRole('button', { name: 'Set', exact: true }).click();
});

test('all ends are solved at once, from the keyboard, and one undo takes them back', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'W-3');
  await page.goto(`/job/${job.id}/lines/${lines[8]!.id}`);
  await expect(page.getByLabel('Name of the line')).toHaveValue('Scavenge to tank');
  await page.keyboard.press('a');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('table', { name: 'Ways found' })).toContainText('L9 A');
  await expect(dialog).toContainText('No hose is chosen yet.');
  await dialog.getByRole('checkbox', { name: 'Take for L12, end B' }).uncheck();
  await expect(dialog.getByRole('row', { name: /L8 [AB]/ })).toContainText('does not join');
  await dialog.getByRole('button', { name: /^Take 4 ways/ }).click();
  await expect(page.getByText('4 ways taken')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Joint/ }).first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('The joints appear here once')).toBeVisible();
});

test('an end that goes straight on the port is put on the hose with the way to it, and one undo takes both back', async ({
  page,
  request,
}) => {
  const { job, lines } = await copyOfMagpie(request, 'W-5');
  await page.goto(`/job/${job.id}/lines/${lines[4]!.id}`);
  const end = page.getByRole('combobox', { name: 'End A', exact: true });
  const worn = end.locator('option:checked');
  await expect(worn).toHaveText('0°');
  const first = page.getByRole('row', { name: /^Straight on the port Olive end -10, straight, orb10 m, / });
  await expect(first).toContainText('does not turn, goes in first');
  await first.getByRole('button', { name: 'Take way 1, Straight on the port' }).press('Enter');
  await expect(page.getByText('Olive end -10, straight, orb10 m is on the hose now')).toBeVisible();
  await expect(worn).toHaveText('0° orb10 m');
  await expect(page.getByRole('group', { name: /^Line L5.*5 joints, 5 seal/ })).toBeVisible();
  // rigid at both ends it could not be screwed in: the far end keeps its nut
  await page.getByRole('tab', { name: 'End B' }).click();
  await expect(page.getByRole('button', { name: /^Take way \d,/ }).first()).toBeVisible();
  await expect(page.getByRole('row', { name: /does not turn/ })).toHaveCount(0);
  await page.reload();
  await expect(worn).toHaveText('0° orb10 m');
  await page.keyboard.press('Control+z');
  await expect(worn).toHaveText('0°');
  await expect(page.getByRole('group', { name: /^Line L5.*6 joints, 6 seal/ })).toBeVisible();
});

test('a branch given to another line is a port that the line starts from', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'W-4');
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  const ways = page.locator('g-ways-table');
  await ways.getByRole('button', { name: /^Wishes/ }).click();
  await ways.getByLabel('Branch for another line').fill('an6 f swivel');
  await ways.getByLabel('Branch for another line').press('Tab');
  await expect(ways.getByRole('button', { name: /^Take way \d, .*tee/i }).first()).toBeVisible();
  await ways
    .getByRole('button', { name: /^Take way \d, .*[Tt]ee/ })
    .first()
    .click();
  await expect(page.getByText('The branch is a port of the survey now')).toBeVisible();
  await expect(page.getByLabel('What is open')).toContainText('No line runs from "branch of L4, end A" yet.');
  await page.getByRole('button', { name: 'Add a line' }).click();
  const from = page.getByRole('dialog').getByLabel('From port');
  await from.fill('branch of');
  await expect(page.locator('.g-picker').getByRole('option', { name: /branch of L4, end A/ })).toBeVisible();
});
