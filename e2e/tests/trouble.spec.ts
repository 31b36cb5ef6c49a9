import { expect, test, type Page } from '@playwright/test';
import { allSaved, elsewhere, copyOfMagpie, deaf, jobByNumber } from './shop.js';

const rename = async (page: Page, name: string) => {
  await page.getByLabel('Name of the line').fill(name);
  await page.getByLabel('Name of the line').press('Enter');
};

test('two people change one line: both versions are shown, nothing is overwritten unasked', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'T-1');
  const line = lines[3]!;
  await deaf(page);
  await page.goto(`/job/${job.id}/lines/${line.id}`);
  await expect(page.getByLabel('Name of the line')).toHaveValue('Turbo feed');
  await elsewhere(request, job.id, { do: 'edit-line', id: line.id, version: line.version, set: { name: 'Their name' } });
  await rename(page, 'My name');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Changed by somebody else');
  await expect(dialog.getByRole('row', { name: /Name/ })).toContainText('Their name');
  await dialog.getByRole('button', { name: 'Keep mine' }).click();
  await allSaved(page);
  await page.reload();
  await expect(page.getByLabel('Name of the line')).toHaveValue('My name');
});

test('a change made elsewhere appears by itself', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'T-2');
  await page.goto(`/job/${job.id}/lines/${lines[0]!.id}`);
  await expect(page.getByLabel('Name of the line')).toHaveValue('Scavenge, front');
  await elsewhere(request, job.id, { do: 'edit-line', id: lines[0]!.id, version: lines[0]!.version, set: { name: 'Pickup, front' } });
  await expect(page.getByLabel('Name of the line')).toHaveValue('Pickup, front');
  await expect(page.getByText('Changed elsewhere: Edit L1 Scavenge, front: name')).toBeVisible();
});

test('the server goes away in mid-edit: the change is kept, over a reload too, and saved when it is back', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'T-3');
  await page.goto(`/job/${job.id}/lines/${lines[0]!.id}`);
  await expect(page.getByLabel('Name of the line')).toHaveValue('Scavenge, front');
  const away = { status: 503, json: { code: 'database-away', message: 'The database does not answer.' } };
  await page.route('**/api/jobs/*/changes', (route) => route.fulfill(away));
  await rename(page, 'Kept name');
  await expect(page.getByText('not saved yet, kept here')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Name of the line')).toHaveValue('Kept name');
  await expect(page.getByText('not saved yet, kept here')).toBeVisible();
  await page.unroute('**/api/jobs/*/changes');
  await allSaved(page);
  const { lines: after } = await jobByNumber(request, 'T-3');
  expect(after[0]!.name).toBe('Kept name');
});

test('files that are not jobs are refused with a word, and nothing is lost', async ({ page, request }) => {
  await page.goto('/');
  const { job } = await jobByNumber(request, '2403');
  const good = (await (await request.get(`/api/jobs/${job.id}/export`)).json()) as { lines: object[] };
  await expect(page.getByRole('link', { name: /^Open job 2403 / })).toBeVisible();
  const before = await page.getByRole('listitem').count();
  const give = (name: string, content: string) =>
    page.getByLabel('Import a job').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
  for (const [name, content, message] of [
    ['cut.json', '{"format": "gewinde-job", "ver', 'this is not JSON'],
    ['other.json', '{"hello": 1}', 'This is not a job file'],
    ['newer.json', JSON.stringify({ ...good, version: 10 }), 'written by a newer version'],
    ['twice.json', JSON.stringify({ ...good, lines: [good.lines[0], good.lines[0]] }), 'Two lines have the number L1'],
  ] as const) {
    await give(name, content);
    await expect(page.getByRole('alert')).toContainText(name);
    await expect(page.getByRole('alert')).toContainText(message);
    await expect(page.getByRole('alert')).toContainText('Nothing was changed.');
  }
  expect(await page.getByRole('listitem').count()).toBe(before);
});

test('a job file with other parts under our names is asked about, and theirs come in beside ours', async ({ page, request }) => {
  await page.goto('/');
  const { job } = await jobByNumber(request, '2403');
  const file = (await (await request.get(`/api/jobs/${job.id}/export`)).json()) as {
    job: object;
    parts: { fittings: { ends: object[] }[] };
  };
  const adapter = file.parts.fittings.find(({ ends }) => ends.length === 2)!;
  adapter.ends = [...adapter.ends].reverse();
  const give = () =>
    page
      .getByLabel('Import a job')
      .setInputFiles({ name: 'theirs.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(file)) });
  await expect(page.getByRole('link', { name: /^Open job 2403 / })).toBeVisible();
  await give();
  const asked = page.getByRole('alert').filter({ hasText: 'Whose parts are meant?' });
  await expect(asked).toContainText(' there, ');
  await asked.getByRole('button', { name: 'Do not take the file in' }).click();
  await expect(asked).toHaveCount(0);
  await give();
  await asked.getByRole('button', { name: 'Take theirs in beside ours' }).press('Enter');
  await expect(page.getByText(/Number 2403 is taken; the job came in as 2403-\d+/)).toBeVisible();
});

test('an address that leads nowhere says so', async ({ page }) => {
  await page.goto('/job/nowhere/lines');
  await expect(page.getByRole('heading', { name: 'This job does not exist' })).toBeVisible();
  await page.getByRole('link', { name: 'To the board', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Open job 2403 Magpie' })).toBeVisible();
});
