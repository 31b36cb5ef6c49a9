import { expect, test } from '@playwright/test';
import { expectNoFault } from './no-fault.js';
import { allSaved, copyOfMagpie, jobByNumber, pick } from './shop.js';

test('a joint that does not join is shown everywhere, and another way puts it right', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'L-1');
  await page.goto(`/job/${job.id}/lines/${lines.find((l) => l.number === 8)!.id}`);
  await expect(page.getByRole('button', { name: /L8.*will not do/ })).toBeVisible();
  await page.getByRole('button', { name: 'Joint 6, does not seal' }).click();
  const inspector = page.getByLabel('Inspector');
  await expect(inspector).toContainText('Does not join');
  await expect(inspector).toContainText('3/4-16 UNF into M20×1.5 starts');
  await inspector.getByRole('button', { name: /L8 From the cooler/ }).click();
  await expect(inspector.getByRole('button', { name: 'Mark as checked' })).toBeDisabled();
  await page.getByRole('tab', { name: 'End B' }).click();
  await page
    .getByRole('button', { name: /^Take way \d, -10 to M20/ })
    .first()
    .click();
  await expect(inspector.getByRole('button', { name: 'Mark as checked' })).toBeEnabled();
  await expect(page.getByRole('button', { name: /L8.*seals, not checked/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /L8.*will not do/ })).toBeVisible();
});

test('the rack, the steps and the finder are worked from the keyboard alone', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'L-2');
  await page.goto(`/job/${job.id}/lines/${lines[0]!.id}`);
  await expect(page.getByLabel('Name of the line')).toHaveValue('Scavenge, front');
  await page.keyboard.press('j');
  await expect(page.getByLabel('Name of the line')).toHaveValue('Scavenge, rear');
  await page.keyboard.press('k');
  await page.keyboard.press('k');
  await expect(page.getByLabel('Name of the line')).toHaveValue('Filter on its head');
  await page.keyboard.press('4');
  await expect(page.getByRole('heading', { name: 'Cut plan' })).toBeVisible();
  await page.getByRole('button', { name: 'Tickets' }).click();
  await page.keyboard.press('u');
  await expect(page.getByRole('article').first()).toContainText(/cut\s*\d+.* in/);
  await page.keyboard.press('u');
  await page.keyboard.press('/');
  const finder = page.getByRole('combobox', { name: 'Find a line, port, part, job or command' });
  await expect(finder).toBeFocused();
  await finder.fill('oil inlet');
  await expect(page.getByRole('option').first()).toContainText('Turbo, oil inlet');
  await finder.press('Enter');
  await expect(page.getByRole('heading', { name: 'Change oil inlet' })).toBeVisible();
  await page.locator('body').click({ position: { x: 700, y: 780 } });
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Next in the rack');
  await expect(page.getByRole('dialog').locator(':focus')).toHaveCount(1);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.keyboard.press('n');
  await expect(page.getByRole('dialog')).toContainText('New line');
});

test('bad lengths and bad pairs are refused in place', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'L-3');
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  const taped = page.getByLabel('Taped length');
  for (const [typed, message] of [
    ['0', 'at least 1'],
    ['-40', 'cannot be negative'],
    ['664 m', 'Check the unit'],
    ['long', 'not a number'],
  ] as const) {
    await taped.fill(typed);
    await taped.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: message })).toBeVisible();
    await expect(taped).toHaveValue(typed);
  }
  await taped.fill('40');
  await taped.press('Enter');
  await expect(page.getByLabel('What is open')).toContainText('mm of hose would be left');
  await page.getByRole('button', { name: 'Add a line' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Draw the line' }).click();
  await expect(dialog.getByRole('alert')).toHaveText(['Choose a port from the list.', 'Choose a port from the list.']);
  await pick(dialog.getByLabel('From port'), 'filter head gauge');
  // where it comes from is not offered as where it goes to
  await dialog.getByLabel('To port').fill('filter head gauge');
  await expect(page.locator('.g-picker').getByRole('option')).toHaveCount(0);
  await pick(dialog.getByLabel('To port'), 'left gallery');
  await expect(dialog.getByRole('alert')).toHaveText('left gallery is already used by L4 Turbo feed.');
  await dialog.getByLabel('To port').fill('no such port');
  await dialog.getByLabel('Name (optional)').click();
  await expect(dialog.getByLabel('To port')).toHaveValue(/left gallery/);
});

test('a line is drawn from one text, what is not clear is asked, and one undo takes it back', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, 'L-8');
  await page.goto(`/job/${job.id}/lines`);
  await expect(page.getByLabel('Name of the line')).toBeVisible();
  await page.keyboard.press('n');
  const dialog = page.getByRole('dialog');
  const words = dialog.getByLabel('In words, one line a row');
  await expect(words).toBeFocused();
  await page.keyboard.type('filter head gauge > breather tank, ptfe 4, 620');
  const read = dialog.getByLabel('As it is read');
  await expect(read).toContainText('What is it for?');
  await page.keyboard.press('Enter');
  await expect(dialog.getByRole('alert')).toContainText('What is it for?');
  await words.fill('other: filter head gauge > left gallery, ptfe 4');
  await expect(read).toContainText('is already used by L4 Turbo feed');
  await words.fill('other: filter head gauge > breather tank, ptfe 7, 620');
  await read.getByRole('button', { name: '-4', exact: true }).click();
  await expect(words).toHaveValue('other: filter head gauge > breather tank, ptfe -4, 620');
  await expectNoFault(page);
  await words.press('Enter');
  await expect(dialog).toBeHidden();
  await expect(page.getByLabel('Taped length')).toHaveValue(/^620\s*mm$/);
  await expect(page.getByRole('combobox', { name: 'Hose', exact: true }).locator('option:checked')).toHaveText('PTFE core, steel braid');
  await expect(page.getByLabel('Size').locator('option:checked')).toHaveText('-4');
  await page.reload();
  await expect(page.getByLabel('Taped length')).toHaveValue(/^620\s*mm$/);
  const count = (await jobByNumber(request, 'L-8')).lines.length;
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await jobByNumber(request, 'L-8')).lines.length).toBe(count - 1);
});

test('another hose keeps a way where it still fits, and drops it where it does not', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'L-4');
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  await page.getByRole('combobox', { name: 'Hose', exact: true }).selectOption({ label: 'AN rubber core, steel braid' });
  await expect(page.getByRole('button', { name: /^Joint 3/ }).first()).toBeVisible();
  await page.getByLabel('Size').selectOption('-8');
  await expect(page.getByLabel('What is open')).toContainText('No way chosen from Block');
  await expect(page.getByRole('button', { name: /^Take way/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Delete line L4' }).click();
  await expect(page.getByText('L4 Turbo feed deleted')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /L4/ }).first()).toBeVisible();
  await allSaved(page);
});

test('a joint shows its threads over one another and leads to the thread bench and back', async ({ page, request }) => {
  const { job, lines } = await jobByNumber(request, '2403');
  await page.goto(`/job/${job.id}/lines/${lines.find((l) => l.number === 8)!.id}`);
  await page
    .getByRole('button', { name: /^Joint 6/ })
    .first()
    .click();
  const inspector = page.getByLabel('Inspector');
  await expect(inspector.getByRole('figure')).toContainText('binds after');
  await inspector.getByRole('link', { name: 'On the thread bench' }).click();
  await expect(page.locator('.g-verdict')).toContainText('Does not join');
  await page.getByRole('link', { name: /^Back to 2403/ }).click();
  await expect(page).toHaveURL(/\/lines/);
  await page.keyboard.press('/');
  await page.getByLabel('Find a line, port, part, job or command').fill('what joins');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('table', { name: /What joins what/ })).toBeVisible();
  await page.keyboard.press('1');
  await expect(page).toHaveURL(/\/survey/);
});

test('what is provisional and what was found bad is listed for the whole job, until it is put right', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'L-9');
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  await page
    .getByRole('button', { name: /^Joint 2, / })
    .first()
    .click();
  await page.getByLabel('As found').selectOption({ label: 'hex spoiled' });
  await page.getByLabel('In words').fill('by pliers');
  await page.getByLabel('In words').press('Enter');
  await page.getByRole('checkbox', { name: 'Joint 2' }).press('Space');
  await allSaved(page);
  await page.reload();
  await page.getByRole('button', { name: /^Before the start \d+/ }).press('Enter');
  // the audit, held to what stands before the start
  await expect(page).toHaveURL(/audit\?before=start/);
  const found = page.getByRole('button', { name: /Joint 2 was found so: hex spoiled \(by pliers\)/ });
  await expect(found).toBeVisible();
  await expectNoFault(page);
  await page.getByRole('button', { name: /Joint 2 is provisional/ }).click();
  await page.getByLabel('The finding').getByRole('button', { name: 'Put it right' }).click();
  await expect(page.getByRole('button', { name: /is provisional/ })).toBeHidden();
  await found.click();
  await page.getByRole('link', { name: 'Go to L4 · joint 2' }).click();
  await expect(page.getByRole('heading', { name: /^Joint 2 / })).toBeVisible();
  await page.getByLabel('Done about it').selectOption({ label: 'part replaced' });
  await page.keyboard.press('3');
  await expect(page.getByText('hex spoiled')).toBeHidden();
});
