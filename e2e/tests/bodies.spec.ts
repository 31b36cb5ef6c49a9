import { expect, test } from '@playwright/test';
import { expectNoFault } from './no-fault.js';
import { allSaved, addComponent, copyOfMagpie, pick } from './shop.js';

test('a plate is written in the store, stands in the survey with its ports, and is stacked on the block', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, 'B-1');
  await page.goto(`/job/${job.id}/survey`);
  await addComponent(page, 'block', 'Right block', [['filter post', 'post m20x1.5 m land 58x82']]);
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Store' }).click();
  await page.getByRole('button', { name: 'Own part' }).click();
  const form = page.getByRole('form', { name: 'Figures of the part' });
  await form.getByLabel('Kind').selectOption('plate');
  const ends = ['post m20x1.5 f 62x71x2.7', 'post m20x1.5 m 56x84', 'orb10 f', 'orb10 f', 'npt 1/8 f', 'npt 1/8 f'];
  for (const [i, end] of ends.entries()) await form.getByLabel(`End ${i + 1}`, { exact: true }).fill(end);
  await form.getByLabel('Where end 3 is').fill('to cooler: out 0° h16');
  await form.getByLabel('Passages: which end leads to which').fill('1 rim > 3; 4 > 2 rim; 2 core - 1 core; 1 rim - 5; 1 rim - 8');
  const name = `Plate of ${Date.now()}`;
  await form.getByLabel('Name').fill(name);
  await form.getByRole('button', { name: 'Add the part' }).click();
  await expect(form.getByRole('alert').filter({ hasText: 'the part has 6 ends' })).toBeVisible();
  await form.getByLabel('Passages: which end leads to which').fill('1 rim > 3; 4 > 2 rim; 2 core - 1 core; 1 rim - 5; 1 rim - 6');
  await form.getByLabel('Price €').fill('79');
  await form.getByRole('button', { name: 'Add the part' }).click();
  const card = page.getByLabel('Part', { exact: true });
  await expect(card).toContainText('3 to cooler');
  await card.getByRole('button', { name: 'Use in B-1' }).click();
  await page.getByRole('dialog').getByLabel('Where').selectOption('in the survey, as a component with its ports');
  await page.getByRole('dialog').getByRole('button', { name: 'Use it there' }).click();
  await expect(page.getByLabel('Name of the component')).toHaveValue(name);
  await expect(page.getByRole('button', { name: 'Change to cooler' })).toBeVisible();
  await expectNoFault(page);
  // a thread of the part is not to be changed here
  await page.getByRole('button', { name: 'Change to cooler' }).click();
  await page.getByLabel('Port in one line').fill('orb8 f');
  await page.getByLabel('Port in one line').press('Enter');
  await expect(page.getByText(/is an end of a part of the catalogue/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('link', { name: /^2?\s*Lines/ }).click();
  await page.getByRole('button', { name: 'Add a line' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Service').selectOption('Other');
  await pick(dialog.getByLabel('From port'), 'right block filter post');
  await pick(dialog.getByLabel('To port'), `${name} end 1`);
  await dialog.getByLabel('Fittings alone, no hose between the two').check();
  await dialog.getByRole('button', { name: 'Draw the line' }).click();
  await page.getByRole('button', { name: /^Take way 1/ }).click();
  await expect(page.getByRole('button', { name: /^Joint 1/ }).first()).toBeVisible();
  await page
    .getByRole('button', { name: /^Joint 1/ })
    .first()
    .click();
  const inspector = page.getByLabel('Inspector');
  await expect(inspector).toContainText('O-ring FKM AS568-230');
  await expect(inspector).toContainText('squeezed by 24 %');
  await page.keyboard.press('5');
  await page.getByRole('tab', { name: 'Parts list' }).click();
  await expect(page.getByRole('row', { name: new RegExp(name) })).toContainText('79.00');
  await page.reload();
  await page
    .getByRole('row', { name: new RegExp(name) })
    .getByRole('link', { name })
    .click();
  await page.getByLabel('There already, not bought').check();
  await allSaved(page);
  await page.getByRole('link', { name: /Order/ }).click();
  await page.getByRole('tab', { name: 'Parts list' }).click();
  await expect(page.getByRole('heading', { name: 'Parts list' })).toBeVisible();
  await expect(page.getByRole('row', { name: new RegExp(name) })).toBeHidden();
});

test('a part of the store is put into a way of a line by name, its ports left for lines', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'B-2');
  await page.goto(`/job/${job.id}/lines/${lines[12]!.id}`);
  await page.getByRole('link', { name: 'Store' }).click();
  await page.getByLabel('Words').fill('sandwich plate 3/4 two -10 ports');
  await page.getByRole('button', { name: /^Sandwich plate 3\/4-16, two -10 ports/ }).click();
  await page.getByRole('button', { name: 'Use in B-2' }).click();
  await page.getByRole('dialog').getByLabel('Where').selectOption('L13 Filter on its head, between the two ports');
  await page.getByRole('dialog').getByRole('button', { name: 'Use it there' }).click();
  await page
    .getByRole('button', { name: /^Take way \d, .*Sandwich plate/ })
    .first()
    .click();
  const open = page.getByLabel('What is open');
  await expect(open).toContainText('No line runs from "gauge, L13" yet.');
  await open.getByRole('button', { name: 'Close it: Plug, npt 1/8 m' }).click();
  await expect(open).not.toContainText('gauge, L13');
  await expect(open).toContainText('No line runs from "to cooler, L13" yet.');
  await page.keyboard.press('Control+z');
  await expect(open).toContainText('No line runs from "gauge, L13" yet.');
});

test('which seals are taken is set for all jobs, seen in the parts list, and taken back', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, 'B-3');
  await page.goto(`/job/${job.id}/order?show=parts`);
  await expect(page.getByRole('row', { name: /^Copper washer/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Which seals are taken' }).click();
  const dialog = page.getByRole('dialog');
  await expectNoFault(page);
  await dialog.getByLabel('Flat washers').selectOption('aluminium');
  await dialog.getByRole('button', { name: 'Down: Fluorocarbon (FKM)' }).press('Enter');
  await expect(dialog.getByRole('status')).toContainText('engine oil HNBR');
  await dialog.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByRole('row', { name: /^Aluminium washer/ }).first()).toBeVisible();
  await expect(page.getByRole('row', { name: /^O-ring HNBR/ }).first()).toBeVisible();
  await page.reload();
  await expect(page.getByRole('row', { name: /^Aluminium washer/ }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Store' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone: Set which seals are taken')).toBeVisible();
});
