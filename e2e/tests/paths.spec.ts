import { expect, test } from '@playwright/test';
import { expectNoFault } from './no-fault.js';
import { allSaved, copyOfMagpie, elsewhere, jobByNumber, pick } from './shop.js';

test('a line is broken by a bulkhead fitting, each hose is taped and cut by itself, and it is made whole again', async ({
  page,
  request,
}) => {
  const { job, lines } = await copyOfMagpie(request, 'P-1');
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  await expect(page.getByLabel('Taped length')).toHaveValue(/^664/);
  await page.getByRole('button', { name: 'Break the line here' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('What goes in')).toBeFocused();
  await expect(dialog.getByRole('radio', { name: 'Take Bulkhead, bulkhead an6 m to an6 m' })).toBeChecked();
  await dialog.getByLabel('What goes in').selectOption({ label: 'inline filter' });
  await expect(dialog.getByRole('radio').first()).toHaveAccessibleName(/^Take .*filter.*an6/i);
  await dialog.getByLabel('What goes in').selectOption({ label: 'bulkhead fitting through a wall' });
  await dialog.getByRole('button', { name: 'Break the line' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByLabel('What is open')).toContainText('Hose 2: no length taped.');
  await expect(page.getByRole('button', { name: 'Joint 10, seals with what it needs' })).toBeVisible();
  await expect(page.getByRole('tab', { name: 'Between 1 and 2' })).toBeVisible();
  await expectNoFault(page);

  const taped = page.getByLabel('Taped length');
  await taped.fill('300');
  await taped.press('Enter');
  await page.getByRole('button', { name: 'Hose 2', exact: true }).click();
  await expect(taped).toHaveValue('');
  await taped.fill('420');
  await taped.press('Enter');
  await expect(page.getByRole('button', { name: 'Mark as checked' })).toBeEnabled();
  await allSaved(page);
  await page.reload();
  await expect(taped).toHaveValue(/^300/);

  await page.getByRole('link', { name: /Cut/ }).click();
  await page.getByRole('button', { name: 'Tickets' }).click();
  await expect(page.getByRole('article', { name: 'Ticket P-1-L4/1' })).toContainText('Bulkhead, bulkhead an6 m to an6 m');
  await expect(page.getByRole('article', { name: 'Ticket P-1-L4/2' })).toContainText('Turbo, oil inlet');
  await page.goto(`/job/${job.id}/order?show=parts`);
  await expect(page.getByRole('row', { name: /Bulkhead, bulkhead an6 m to an6 m/ })).toContainText('L4');

  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  await page.getByRole('tab', { name: 'Between 1 and 2' }).click();
  await page.getByRole('button', { name: 'Take it out again' }).click();
  await expect(page.getByRole('button', { name: 'Joint 6, seals with what it needs' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Hose 2', exact: true })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Hose 2', exact: true })).toBeVisible();
});

test('a line of fittings alone is drawn from the keyboard, solved from port to port, and gets a hose after all', async ({
  page,
  request,
}) => {
  const { job } = await copyOfMagpie(request, 'P-2');
  await page.goto(`/job/${job.id}/lines`);
  await expect(page.getByLabel('Name of the line')).toBeVisible();
  await page.keyboard.press('n');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Service').selectOption({ label: 'Other' });
  await pick(dialog.getByLabel('From port'), 'filter head gauge');
  await pick(dialog.getByLabel('To port'), 'cooler in');
  await expect(dialog.getByRole('alert')).toContainText('already used');
  await pick(dialog.getByLabel('To port'), 'breather tank');
  await dialog.getByLabel('Fittings alone, no hose between the two').press('Space');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Fittings alone, from port to port.')).toBeVisible();
  await page.getByRole('button', { name: 'Take way 1' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Joint 1, seals/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Mark as checked' })).toBeEnabled();
  const made = (await jobByNumber(request, 'P-2')).lines.at(-1)!;
  expect(made.pieces).toEqual([]);
  await page.getByRole('button', { name: 'Put a hose in' }).click();
  await expect(page.getByLabel('What is open')).toContainText('No hose chosen.');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Mark as checked' })).toBeEnabled();
});

test('a way that is changed after taping holds the ticket, and one press corrects the length', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'P-3');
  const line = lines[3]!;
  await page.goto(`/job/${job.id}/lines/${line.id}`);
  const taped = page.getByLabel('Taped length');
  await taped.fill('650');
  await taped.press('Enter');
  await expect(page.getByRole('button', { name: 'Mark as checked' })).toBeEnabled();
  await page.getByRole('button', { name: /Take way \d, M14 to -6, extension -6/ }).click();
  await expect(page.getByLabel('What is open')).toContainText('Taped with other fittings');
  await expect(page.getByRole('button', { name: 'Mark as checked' })).toBeDisabled();
  await expect(page.getByRole('link', { name: /Cut/ })).toContainText('7 tickets');
  await page.getByRole('button', { name: /^Correct by/ }).click();
  await expect(page.getByLabel('What is open')).toBeHidden();
  await expect(taped).not.toHaveValue(/^650/);
  await expect(page.getByRole('link', { name: /Cut/ })).toContainText('8 tickets');
});

test('a checked line says by itself what has changed since, and is checked again when that is taken back', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'P-4');
  const line = lines[3]!;
  await page.goto(`/job/${job.id}/lines/${line.id}`);
  await page.getByRole('button', { name: 'Mark as checked' }).click();
  await expect(page.getByRole('button', { name: /L4.*checked/ })).toBeVisible();
  await allSaved(page);
  const { version } = (await jobByNumber(request, 'P-4')).lines[3]!;
  const piece = line.pieces[0]!.key;
  const tape = (mm: number, at: number) =>
    elsewhere(request, job.id, { do: 'edit-piece', id: line.id, version: at, piece, set: { length: { mm, as: 'taped' } } });
  await tape(700, version);
  await expect(page.getByLabel('What is open')).toContainText('Changed since it was checked: length of hose.');
  await expect(page.getByRole('button', { name: 'Check it again' })).toBeEnabled();
  await tape(664, version + 1);
  await expect(page.getByRole('button', { name: 'Checked', exact: true })).toBeVisible();
});

test('a hose that is kept says what comes off it, and one that is too short is refused in words', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'P-5');
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  await page.getByLabel('Comes from').selectOption({ label: 'the car, kept' });
  await expect(page.getByLabel('What is open')).toContainText('The hose that is kept has no length yet.');
  const has = page.getByLabel('Length it has');
  await has.fill('600');
  await has.press('Enter');
  await expect(page.getByLabel('What is open')).toContainText('mm too short');
  await has.fill('720');
  await has.press('Enter');
  await expect(page.getByRole('table', { name: 'Cut length' })).toContainText('Comes off the hose that is kept');
  await page.getByRole('link', { name: /Cut/ }).click();
  await page.getByRole('button', { name: 'Tickets' }).click();
  await expect(page.getByRole('article', { name: 'Ticket P-5-L4' })).toContainText('cut off');
});
