import { expect, test, type Locator } from '@playwright/test';
import { expectNoFault } from './no-fault.js';
import { jobByNumber, within } from './shop.js';

const views = [
  ['board', ''],
  ['survey', 'survey'],
  ['lines', 'lines'],
  ['cut', 'cut'],
  ['order', 'order'],
  ['tickets', 'cut?show=tickets'],
] as const;
const benches = ['name', 'pair', 'matrix', 'drill', 'fault'] as const;

for (const theme of ['light', 'dark'] as const) {
  // the dark inks are the same in every view: the densest one shows them all
  for (const [name, path] of theme === 'light' ? views : views.filter(([view]) => view === 'lines')) {
    test(`${name}, ${theme}: nothing axe finds fault with`, async ({ page, request }) => {
      const { job } = await jobByNumber(request, '2403');
      await page.addInitScript((t) => localStorage.setItem('gewinde.theme', t), theme);
      await page.goto(path === '' ? '/' : `/job/${job.id}/${path}`);
      await expect(page.getByText(name === 'board' ? 'Rally raid buggy' : 'Hill-climb single-seater')).toBeVisible();
      if (name === 'lines')
        await page
          .getByRole('button', { name: /^Joint 1/ })
          .first()
          .click();
      if (name === 'lines') await page.getByRole('button', { name: /^Wishes/ }).click();
      if (name === 'survey') await page.getByLabel('Port in one line').fill('npt 1/8 femlae');
      await expectNoFault(page, theme);
    });
  }

  test(`store, ${theme}: nothing axe finds fault with`, async ({ page }) => {
    await page.addInitScript((t) => localStorage.setItem('gewinde.theme', t), theme);
    await page.goto('/store?part=npt1%2F4m%2Ban6m');
    await expect(page.getByLabel('Part', { exact: true })).toContainText('Adapter, npt 1/4 m to an6 m');
    await expectNoFault(page, theme);
    await page.getByRole('button', { name: 'Edit' }).click();
    await expectNoFault(page, theme);
    await page.getByRole('button', { name: 'Import a list' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await expectNoFault(page, theme);
  });

  test(`thread bench, ${theme}: nothing axe finds fault with`, async ({ page }) => {
    await page.addInitScript((t) => localStorage.setItem('gewinde.theme', t), theme);
    await page.goto('/bench/name');
    for (const path of benches) {
      await within(page, `/bench/${path}`);
      if (path === 'name') {
        await page.getByText('Tried with a known part').click();
        await page.getByRole('button', { name: 'A trial' }).click();
        await page.getByLabel('Over the crests').fill('9.7');
      }
      if (path === 'drill') await page.getByLabel('Who is at the bench').fill('Axe');
      if (path === 'fault') await page.getByRole('radio').first().check({ timeout: 30_000 });
      await page.keyboard.press('Enter');
      await expect(
        page.locator(path === 'name' ? 'g-thread-card' : path === 'drill' ? 'g-calliper-panel' : '.g-verdict').first(),
      ).toBeVisible();
      await expectNoFault(page, theme);
    }
  });
}

test('on a tablet the inspector slides over and nothing runs out of the page', async ({ page, request }) => {
  const { job } = await jobByNumber(request, '2403');
  await page.setViewportSize({ width: 820, height: 1180 });
  const fits = async (address: string, there: Locator) => {
    await within(page, address);
    await expect(there, address).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth), address).toBeLessThanOrEqual(820);
  };
  await page.goto('/');
  // what is worked out comes later than its page, and is the widest of it
  const rooms: [path: string, there: Locator][] = [
    ['survey', page.getByLabel('Name of the component')],
    [
      'lines',
      page
        .getByRole('region', { name: /^Line L1/ })
        .locator('svg')
        .first(),
    ],
    ['cut', page.locator('g-cut-bars').first()],
    ['cut?show=tickets', page.locator('g-ticket').first()],
    ['order', page.getByRole('row', { name: /carriage/ })],
    ['order?show=orders', page.getByText(/PO-\d/).first()],
    ['order?show=parts', page.getByRole('table').first()],
  ];
  for (const [path, there] of rooms) await fits(`/job/${job.id}/${path}`, there);
  for (const path of benches) await fits(`/bench/${path}`, page.getByRole('link', { name: 'Pair check' }));
  for (const room of ['shelf', 'rack', 'suppliers']) await fits(`/store/${room}`, page.getByRole('link', { name: 'Suppliers' }));
  await within(page, '/store?part=npt1%2F4m%2Ban6m');
  await expect(page.getByRole('button', { name: 'Edit' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(820);
  await within(page, `/job/${job.id}/lines`);
  await expect(page.getByLabel('Inspector').getByLabel('Taped length')).toBeHidden();
  await page.getByRole('button', { name: 'Inspector' }).click();
  await expect(page.getByLabel('Inspector').getByLabel('Taped length')).toBeVisible();
});

test('on a phone lines and components are taken from a rack that slides over, the steps lie below, nothing runs out of the page', async ({
  page,
  request,
}) => {
  const { job } = await jobByNumber(request, '2403');
  await page.setViewportSize({ width: 390, height: 844 });
  const fits = async () => expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.goto(`/job/${job.id}/lines`);
  const rack = page.getByRole('button', { name: /^L\d+ of \d+$/ });
  await expect(rack).toBeVisible();
  await fits();
  await rack.click();
  await page.getByRole('button', { name: /L4.*Turbo feed/ }).click();
  await expect(page.getByRole('button', { name: /^L4 of \d+$/ })).toBeVisible();
  await expect(page.getByRole('region', { name: /^Line L4/ })).toBeVisible();
  await expectNoFault(page);
  await page.getByRole('link', { name: /Survey/ }).click();
  await page.getByRole('button', { name: /, one of \d+$/ }).click();
  await page.getByRole('button', { name: /^Turbo/ }).click();
  await expect(page.getByRole('button', { name: /^Turbo, one of \d+$/ })).toBeVisible();
  await fits();
  await expectNoFault(page);
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('link', { name: 'Store' }).click();
  await expect(page).toHaveURL(/store/);
});
