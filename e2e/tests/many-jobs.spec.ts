import { expect, test } from '@playwright/test';
import { copyOfMagpie } from './shop.js';

/** The board with more jobs than fit on it. */
test('jobs are found by what they have, and the way back leads to what was looked for', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, '2781');
  await request.post('/api/jobs', { data: { number: '2782', name: 'Kübelwagen' } });
  await page.goto('/');
  const find = page.getByLabel('Find jobs by number, name, line, port or part');
  await find.fill('2781 left gallery');
  await expect(page.getByText('1 found')).toBeVisible();
  await expect(page).toHaveURL(/find=2781(%20|\+)left/);
  await page.getByRole('link', { name: /left gallery/ }).click();
  await expect(page).toHaveURL(new RegExp(`/job/${job.id}/survey`));
  await page.goBack();
  await expect(find).toHaveValue('2781 left gallery');
  await page.reload();
  await expect(page.getByText('1 found')).toBeVisible();
  await find.fill('kubel');
  await expect(page.getByRole('link', { name: 'Open job 2782' })).toBeVisible();
  await find.fill('no such thing at all');
  await expect(page.getByRole('heading', { name: 'No job like that' })).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(page.getByRole('link', { name: 'Open job 2403' })).toBeVisible();
});

test('other jobs are found from within one, by a line or a port', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, '2783');
  await page.goto('/');
  await page.getByRole('heading', { name: 'Jobs' }).click();
  await page.keyboard.press('/');
  await page.getByLabel('Find a line, port, part, job or command').fill('2783 turbo feed');
  await expect(page.getByRole('option', { name: /job.*2783/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(new RegExp(`/job/${job.id}/lines/`));
});

test('a board of hundreds is scrolled through by wheel and by keyboard', async ({ page, request }) => {
  for (let n = 0; n < 70; n++) await request.post('/api/jobs', { data: { number: `S${100 + n}`, name: `Scrolled ${n}` } });
  await page.goto('/?find=scrolled');
  await expect(page.getByText('70 found')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Open job S100' })).toBeVisible();
  await page.getByRole('list', { name: 'Jobs' }).hover();
  await page.mouse.wheel(0, 70 * 80);
  await expect(page.getByRole('link', { name: 'Open job S169' })).toBeVisible();
  await expect(page.getByRole('listitem').last()).toHaveAttribute('aria-posinset', '70');
  await page.getByRole('link', { name: 'Open job S169' }).focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/job\/.*\/survey/);
});
