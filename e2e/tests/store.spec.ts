import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { expectNoFault } from './no-fault.js';
import { copyOfMagpie } from './shop.js';

test('a part is found, taken out and put back; lines that use it keep it and say so', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'S-1');
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page).toHaveURL(/\/store/);
  const used = lines[4]!.ways.flatMap((way) => way.chosen?.fittings ?? [])[0]!.id;
  await page.getByLabel('Words').fill(used);
  await page.getByRole('textbox', { name: 'End' }).fill(used.split('+')[0]!.replace(/^(orb\d+|an\d+)/, '$1 '));
  await page
    .getByRole('button', { name: /^Adapter, / })
    .first()
    .click();
  const card = page.getByLabel('Part', { exact: true });
  await expect(card).toContainText('S-1 L5');
  await card.getByRole('button', { name: 'Take out' }).click();
  await expect(card.locator('.g-verdict')).toContainText('Taken out of the catalogue');
  await page.goto(`/job/${job.id}/lines/${lines[4]!.id}`);
  await expect(page.getByLabel('What is open')).toContainText('has been taken out of the catalogue. The line keeps it as it was.');
  await page.goto(`/store?part=${encodeURIComponent(used)}`);
  await card.getByRole('button', { name: 'Put it back' }).click();
  await expect(card.getByRole('button', { name: 'Take out' })).toBeVisible();
  await page.getByLabel('Words').fill('no such part anywhere');
  await expect(page.getByText('No part like that')).toBeVisible();
});

test('an own part is written, refused where it does not hold together, and offered by the solver', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'S-2');
  await page.goto('/store');
  await page.getByRole('button', { name: 'Own part' }).click();
  const form = page.getByRole('form', { name: 'Figures of the part' });
  await form.getByRole('textbox', { name: 'First end' }).fill('m14x1.5 m washr');
  await page.keyboard.press('Tab');
  await expect(form.getByRole('alert').filter({ hasText: 'washer' })).toBeVisible();
  await form.getByRole('textbox', { name: 'First end' }).fill('m14x1.5 m washer');
  await form.getByRole('textbox', { name: /^Second end/ }).fill('an6 m');
  await form.getByLabel('Code').fill('NF-1002');
  await form.getByLabel('Price €').fill('0,10');
  await form.getByLabel('On the shelf').fill('9');
  await form.getByRole('button', { name: 'Add the part' }).click();
  await expect(form.getByRole('alert').filter({ hasText: 'belongs to' })).toBeVisible();
  const code = `KL-${Date.now()}`;
  await form.getByLabel('Code').fill(code);
  await form.getByLabel('Name').fill(`Shop-made union ${code}`);
  await form.getByRole('button', { name: 'Add the part' }).click();
  await expect(page.getByLabel('Part', { exact: true })).toContainText(`Shop-made union ${code}`);
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  await expect(page.getByRole('button', { name: new RegExp(`^Take way \\d, M14 to -6: Shop-made union ${code}`) })).toBeVisible();
  await page.goto('/store');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(`Undone: Add Shop-made union ${code}`)).toBeVisible();
});

test("a supplier's list is matched, corrected and taken in whole, and taken back", async ({ page }) => {
  const stamp = String(Date.now()).slice(-7);
  const list = (third: string) =>
    `Article;Text;Connections;Net;Stock\nE-${stamp}-1;Union one;an6 m + an6 m;4,20;2\nE-${stamp}-2;Tee two;an6 m + an6 m + npt 1/8 f;18,00;0\nE-${stamp}-3;Plug three;${third};3,10;5`;
  await page.goto('/store');
  await page.getByRole('button', { name: 'Import a list' }).click();
  const dialog = page.getByRole('dialog');
  const give = (csv: string) =>
    dialog.getByLabel('List (CSV').setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await give('"an open quote');
  await expect(dialog.getByRole('alert')).toContainText('This is not a CSV list');
  await give(list('ntp 1/8 m'));
  await expect(dialog.getByLabel('Errors by line')).toContainText('line 4, ends');
  await expect(dialog.getByRole('button', { name: /^Take in/ })).toBeDisabled();
  await give(list('npt 1/8 m'));
  await expect(dialog.getByRole('table', { name: 'Preview' })).toContainText('Plug three');
  await dialog.getByLabel('Net').selectOption('price');
  await expect(dialog.getByRole('table', { name: 'Preview' })).toContainText('18.00');
  await dialog.getByRole('button', { name: 'Take in 3 parts' }).click();
  await expect(page.getByText('3 parts added, 0 changed')).toBeVisible();
  await page.getByLabel('Words').fill(`e-${stamp}`);
  await expect(page.getByText(/^3 of \d+ parts$/)).toBeVisible();
  const csv = await (await page.request.get('/api/catalogue/parts.csv')).text();
  expect(csv).toContain(`E-${stamp}-2`);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('No part like that')).toBeVisible();
});

test('ten thousand parts are found and walked through from the keyboard', async ({ page, request }) => {
  const stamp = `B${String(Date.now()).slice(-6)}`;
  const rows = Array.from(
    { length: 9000 },
    (_, i) => `${stamp}-${i};Row ${i} of ${stamp};an${[4, 6, 8, 10][i % 4]} m + an${[6, 8, 10, 12][i % 4]} m;${i % 90}.50`,
  );
  const csv = `code;name;ends;price\n${rows.join('\n')}`;
  const mapping = { code: 0, name: 1, ends: 2, priceMinor: 3 };
  const taken = await request.post('/api/catalogue/import', { data: { key: randomUUID(), csv, mapping } });
  expect(((await taken.json()) as { put: object[] }).put).toHaveLength(9000);
  await page.goto('/store');
  await expect(page.getByText(/^1\d{4} of 1\d{4} parts$|^9\d{3} of 9\d{3} parts$/)).toBeVisible();
  const words = page.getByLabel('Words');
  await words.fill(`${stamp} 8999`);
  await expect(page.getByRole('button', { name: `Row 8999 of ${stamp}` })).toBeVisible();
  await words.fill(`${stamp}-899`);
  await words.press('ArrowDown');
  const first = page.locator('.row[aria-current="true"]');
  await expect(first).toContainText(`Row 899 of ${stamp}`);
  await words.press('ArrowDown');
  await expect(first).toContainText(`Row 8990 of ${stamp}`);
  expect((await request.post('/api/shop/undo', { data: { key: randomUUID() } })).ok()).toBe(true);
});

test('hoses and seals have sections of their own: priced, taken out, told in the lines and on the parts list, and taken back', async ({
  page,
  request,
}) => {
  const { job, lines } = await copyOfMagpie(request, 'S-7');
  await page.goto('/store');
  await page.getByLabel('Section').selectOption({ label: 'O-rings' });
  await page.getByLabel('Words').fill('fkm 904');
  await page.getByRole('button', { name: /^O-ring FKM AS568-904/ }).click();
  const card = page.getByLabel('Part', { exact: true });
  await expect(card).toContainText('AS568, from memory');
  await expectNoFault(page);
  await card.getByRole('button', { name: 'Edit' }).click();
  const form = page.getByRole('form', { name: 'Figures of the O-ring' });
  await form.getByLabel('Price €').fill('dear');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByRole('alert')).toContainText('"dear" is not a number');
  await form.getByLabel('Price €').fill('0,95');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(card).toContainText('€ 0.95');
  await page.goto(`/job/${job.id}/order?show=parts`);
  await expect(page.getByRole('row', { name: /O-ring FKM AS568-904/ })).toContainText('0.95');

  await page.goto('/store?part=hose-ptfe-6');
  await expect(page.getByLabel('Section')).toHaveValue(/hose$/);
  await card.getByRole('button', { name: 'Take out' }).click();
  await expect(card).toContainText('Taken out of the catalogue');
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  await expect(page.getByLabel('What is open')).toContainText('PTFE hose, steel braid, -6 has been taken out of the catalogue');
  await page.goto('/store');
  for (const label of ['Take out PTFE hose, steel braid, -6', 'Edit O-ring FKM AS568-904']) {
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText(`Undone: ${label}`)).toBeVisible();
  }
});
