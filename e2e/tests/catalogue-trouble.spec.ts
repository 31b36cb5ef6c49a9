import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { allSaved, copyOfMagpie, jobByNumber } from './shop.js';

test('wishes made while the server is away are kept on the screen and sent when it is back', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'T-1');
  const line = lines[3]!;
  await page.goto(`/job/${job.id}/lines/${line.id}`);
  await page.getByRole('button', { name: /^Wishes/ }).click();
  await page.route('**/api/jobs/*/changes', (route) => route.abort());
  await page.getByLabel('Turns').selectOption('90°');
  await expect(page.locator('g-ways-table').getByRole('row').nth(2)).toContainText(/banjo|elbow/i);
  await expect(page.getByRole('status').filter({ hasText: 'not saved yet, kept here' })).toBeVisible();
  await page.unroute('**/api/jobs/*/changes');
  await allSaved(page);
  const kept = (await jobByNumber(request, 'T-1')).lines.find((l) => l.id === line.id) as unknown as { ways: { wishes: object }[] };
  expect(kept.ways[0]!.wishes).toEqual({ turnDeg: 90 });
});

test('two people edit one part: the second is shown that it has changed, and loses nothing of what was typed', async ({
  page,
  request,
}) => {
  const id = 'an10m%2Ban8m';
  await page.goto(`/store?part=${id}`);
  await page.getByRole('button', { name: 'Edit' }).click();
  const form = page.getByRole('form', { name: 'Figures of the part' });
  await form.getByLabel('Price €').fill('99,90');
  const row = (await (await request.get(`/api/catalogue/parts/${id}`)).json()) as {
    row: { id: string; version: number; kind: string; part: object };
  };
  const { id: part, version, kind, part: was } = row.row;
  const theirs = { do: 'edit-part', id: part, version, entry: { kind, part: { ...was, shelf: 77 } } };
  expect((await request.post('/api/shop/changes', { data: { key: randomUUID(), commands: [theirs] } })).ok()).toBe(true);
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByRole('alert').filter({ hasText: 'Somebody else has changed this' })).toBeVisible();
  await expect(form.getByLabel('Price €')).toHaveValue('99,90');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByLabel('Part', { exact: true })).toContainText('€ 99.90');
});

test('the store tells a part that is not there, and a list that is not one, without an empty page', async ({ page }) => {
  await page.goto('/store?part=no-such-part');
  await expect(page.getByLabel('Part', { exact: true })).toContainText('"no-such-part" is not in the catalogue');
  await page.getByRole('textbox', { name: 'End' }).fill('rc 1/8 f');
  await page.getByLabel('That').selectOption('the part seals on');
  await expect(page.getByRole('button', { name: /^Tee, r 1\/8 m/ }).first()).toBeVisible();
  await page.getByRole('button', { name: /^plugs/ }).click();
  await page.getByRole('button', { name: /^Plug, r 1\/8 m/ }).click();
  await expect(page.getByLabel('Part', { exact: true })).toContainText('British taper pipe 1/8, male');
  await page.goBack();
  await expect(page.getByLabel('Part', { exact: true })).toContainText('"no-such-part"');
});

test('the sheet prints without rack, ways and inspector', async ({ page, request }) => {
  const { job, lines } = await jobByNumber(request, '2403');
  await page.goto(`/job/${job.id}/lines/${lines[3]!.id}`);
  await expect(page.getByRole('button', { name: /^Take way/ }).first()).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('complementary', { name: 'Lines' })).toBeHidden();
  await expect(page.getByRole('button', { name: /^Take way/ })).toHaveCount(0);
  await expect(page.getByRole('group', { name: /^Line L4/ }).first()).toBeVisible();
  await expect(page.getByRole('group', { name: 'Joints', exact: true })).toBeVisible();
});
