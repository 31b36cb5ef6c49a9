import { expect, test } from '@playwright/test';
import { parse } from 'csv-parse/sync';
import { readFileSync } from 'node:fs';
import { allSaved, addComponent, copyOfMagpie, pick } from './shop.js';

test('from an empty board to cut tickets and a parts list, and home again as a file', async ({ page }, info) => {
  await test.step("a job of one's own", async () => {
    await page.goto('/');
    await expect(page.getByRole('link', { name: 'Open job 2403 Magpie' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Open job 2409 Rally raid buggy' })).toBeVisible();
    await page.getByRole('button', { name: 'New job' }).click();
    await expect(page.getByRole('dialog').locator(':focus')).toHaveCount(1);
    await page.getByRole('button', { name: 'Make the job' }).click();
    await expect(page.getByText('Give the job a number')).toBeVisible();
    await page.getByRole('dialog').getByLabel('Number').fill('2403');
    await page.getByRole('dialog').getByLabel('Name').fill('Hill car');
    await page.getByRole('button', { name: 'Make the job' }).click();
    await expect(page.getByText('Job number 2403 is taken.')).toBeVisible();
    await page.getByRole('dialog').getByLabel('Number').fill('2410');
    await page.getByRole('button', { name: 'Make the job' }).click();
    await expect(page).toHaveURL(/\/survey$/);
  });

  await test.step('the survey', async () => {
    await addComponent(page, 'block', 'Block', [['gallery', 'm14x1.5 f washer']]);
    await addComponent(page, 'turbo', 'Turbo', [
      ['oil inlet', '-6 ORB female'],
      ['oil drain', 'npt 1/2 f'],
    ]);
    await addComponent(page, 'pan', 'Pan', [['drain return', 'an10 m']]);
    await expect(page.getByRole('link', { name: /Survey/ })).toContainText('4 ports');
  });

  await test.step('the lines', async () => {
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: /Lines/ }).click();
    await page.getByRole('button', { name: 'Draw the first line' }).click();
    const dialog = page.getByRole('dialog');
    await pick(dialog.getByLabel('From port'), 'gallery');
    await pick(dialog.getByLabel('To port'), 'turbo orb6');
    await expect(dialog.getByLabel('To port')).toHaveValue('Turbo, oil inlet · orb6 f');
    await dialog.getByRole('button', { name: 'Draw the line' }).click();
    await expect(page.getByLabel('What is open')).toContainText('No hose chosen.');
    await page.getByRole('combobox', { name: 'Hose', exact: true }).selectOption({ label: 'PTFE core, steel braid' });
    await page.getByLabel('Size').selectOption('-6');
    await page.getByRole('combobox', { name: 'End B', exact: true }).selectOption('45°');
    // an end that needs no adapter stands first, and says that it does not turn
    await expect(page.getByRole('row', { name: /^Straight on the port Olive end -6.*does not turn, goes in first/ })).toBeVisible();
    await page
      .getByRole('button', { name: /^Take way \d, M14 to -6/ })
      .first()
      .click();
    await expect(page.getByRole('heading', { name: /Ways from Turbo, oil inlet/ })).toBeVisible(); // on to the open end by itself
    await page
      .getByRole('button', { name: /^Take way \d, -6 to ORB -6/ })
      .first()
      .click();
    await page.getByLabel('Taped length').fill('26 1/8 in');
    await page.getByLabel('Taped length').press('Enter');
    const sum = page.getByRole('table', { name: 'Cut length' });
    await expect(sum).toContainText('663.6');
    await expect(sum).toContainText('Rounded up by');
    await expect(page.getByRole('group', { name: /^Line L1.*6 joints, 6 seal/ })).toBeVisible();
    await page.getByRole('button', { name: 'Mark as checked' }).click();
    await allSaved(page);
  });

  await test.step('a joint in words', async () => {
    await page.getByRole('button', { name: /^Joint 1,/ }).click();
    const inspector = page.getByLabel('Inspector');
    await expect(inspector).toContainText('Seals');
    await expect(inspector).toContainText('Copper washer 14 × 18 × 1.5');
    await expect(inspector).toContainText('25–30');
  });

  const cut = await test.step('the ticket', async () => {
    await page.getByRole('link', { name: /Cut/ }).click();
    await page.getByRole('button', { name: 'Tickets' }).click();
    const ticket = page.getByRole('article', { name: 'Ticket 2410-L1' });
    await expect(ticket).toContainText('Turbo, oil inlet');
    await expect(ticket).toContainText('2410-L1 A');
    await expect(ticket).toContainText('2410-L1 B');
    const figure = /cut\s*(\d+)\s*mm/.exec((await ticket.innerText()).replace(/\u2009/g, ' '))?.[1];
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('navigation', { name: 'Steps of the job' })).toBeHidden();
    await expect(ticket).toBeVisible();
    await page.emulateMedia({ media: 'screen' });
    return Number(figure);
  });
  expect(cut).toBeGreaterThan(550);

  await test.step('the parts list and its CSV', async () => {
    await page.getByRole('link', { name: /Order/ }).click();
    await page.getByRole('tab', { name: 'Parts list' }).click();
    await expect(page.getByRole('rowheader', { name: /O-ring FKM AS568-906/ })).toBeVisible();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'As CSV' }).click()]);
    const rows: Record<string, string>[] = parse(readFileSync(await download.path(), 'utf8'), { columns: true, bom: true });
    expect(rows.find((r) => r['part id'] === 'hose-ptfe-6')).toMatchObject({ quantity: (cut / 1000).toFixed(3), unit: 'm', lines: 'L1' });
    expect(rows.map((r) => r['group'])).toContain('seals');
  });

  await test.step('everything is there after a reload', async () => {
    await page.reload();
    await expect(page.getByRole('rowheader', { name: /O-ring FKM AS568-906/ })).toBeVisible();
    await page.keyboard.press('2');
    await expect(page.getByRole('button', { name: 'Checked', exact: true })).toBeVisible();
  });

  await test.step('out as a file and in again, identical', async () => {
    await page.goto('/');
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Export job 2410' }).click()]);
    const path = info.outputPath('2410.gewinde.json');
    await download.saveAs(path);
    await page.getByLabel('Import a job').setInputFiles(path);
    await expect(page.getByText('Number 2410 is taken; the job came in as 2410-2')).toBeVisible();
    const [again] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Export job 2410-2' }).click()]);
    const first = JSON.parse(readFileSync(path, 'utf8')) as { job: object };
    const second = JSON.parse(readFileSync(await again.path(), 'utf8')) as { job: object };
    expect(second).toEqual({ ...first, job: { ...first.job, number: '2410-2' } });
  });

  await test.step('renamed, archived, and back', async () => {
    await page.getByRole('button', { name: 'Rename job 2410-2' }).click();
    await expect(page.getByRole('dialog').locator(':focus')).toHaveCount(1);
    await page.getByRole('dialog').getByLabel('Name').fill('Hill car, spare');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('link', { name: 'Open job 2410-2 Hill car, spare' })).toBeVisible();
    await page.getByRole('button', { name: 'Archive job 2410-2' }).click();
    await expect(page.getByRole('link', { name: /Open job 2410-2/ })).toBeHidden();
    await page.getByRole('button', { name: 'Archived' }).click();
    await page.getByRole('button', { name: 'Bring back job 2410-2' }).click();
    await page.getByRole('button', { name: 'Show the open ones' }).click();
    await expect(page.getByRole('link', { name: /Open job 2410-2/ })).toBeVisible();
  });
});

test('the page loads nothing from anywhere else, and little of it', async ({ page }) => {
  let scripts = 0;
  const elsewhere: string[] = [];
  page.on('requestfinished', (request) => {
    if (!request.url().startsWith('http://127.0.0.1')) elsewhere.push(request.url());
    void request.sizes().then((s) => (scripts += request.resourceType() === 'script' ? s.responseBodySize : 0));
  });
  const problems: string[] = [];
  page.on('console', (message) => message.type() === 'error' && problems.push(message.text()));
  await page.goto('/');
  await page.getByRole('link', { name: 'Open job 2403 Magpie' }).click();
  await expect(page.getByRole('rowheader', { name: 'Straight on the port' })).toBeVisible();
  expect(elsewhere).toEqual([]);
  expect(problems).toEqual([]);
  // board and run sheet together; the rack hears what runs in each line, and judges it
  expect(scripts).toBeLessThan(432 * 1024);
});

test('the tickets print on A4 and on Letter, each whole on its page, black on white', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, 'P-1');
  await page.addInitScript(() => localStorage.setItem('gewinde.theme', 'dark'));
  await page.goto(`/job/${job.id}/cut?show=tickets`);
  await expect(page.getByRole('article')).toHaveCount(8);
  for (const format of ['A4', 'Letter'] as const) {
    const pdf = await page.pdf({ format, margin: { top: '10mm', bottom: '10mm', left: '10mm', right: '10mm' } });
    const pages = pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)?.length ?? 0;
    expect(pages).toBeGreaterThanOrEqual(3);
    expect(pages).toBeLessThanOrEqual(8);
  }
  await page.emulateMedia({ media: 'print' });
  const ticket = page.getByRole('article').first();
  expect(await ticket.evaluate((e) => getComputedStyle(e).backgroundColor)).toBe('rgb(255, 255, 255)');
  expect(await ticket.evaluate((e) => getComputedStyle(e.parentElement!).breakInside)).toBe('avoid');
});

test('a port logged wrong is put right in the survey, and the line on it is judged anew', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'P-2');
  await page.goto(`/job/${job.id}/survey`);
  await page.getByRole('button', { name: /^Turbo/ }).click();
  await page.getByRole('button', { name: 'Change oil inlet' }).click();
  await page.getByLabel('Port in one line').fill('an4 f');
  await page.getByRole('button', { name: 'Save port' }).click();
  await expect(page.getByRole('row', { name: /an4 f/ })).toBeVisible();
  await page.getByRole('row', { name: /an4 f/ }).getByRole('link', { name: 'L4' }).click();
  await expect(page).toHaveURL(new RegExp(lines[3]!.id));
  await page.getByRole('button', { name: 'Joint 6, does not seal' }).click();
  await expect(page.getByLabel('Inspector')).toContainText('Will leak');
  await expect(page.getByLabel('Inspector')).toContainText('A flare nut has no spot face for the O-ring');
  await page.keyboard.press('4');
  await expect(page.getByRole('link', { name: /L4 Turbo feed/ })).toBeVisible();
});
