import { expect, test } from '@playwright/test';
import { expectNoFault } from './no-fault.js';
import { allSaved, copyOfMagpie, elsewhere } from './shop.js';

test('what would leak is found, put right with what it changes in sight, and taken back by one undo', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, 'A-1');
  await page.goto(`/job/${job.id}/audit`);
  await expect(page.getByRole('button', { name: /will not do:.*A thread that starts and is another/ })).toBeVisible();
  const finding = page.getByLabel('The finding');
  await expect(finding).toContainText('binds after 7.9 turns');
  await expect(finding.getByText(/^3 → \d$/).first()).toBeVisible();
  await expectNoFault(page);
  await finding.getByRole('button', { name: 'Put it right' }).first().click();
  await expect(page.getByRole('button', { name: /A thread that starts and is another/ })).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /A thread that starts and is another/ })).toBeVisible();
  await page.getByRole('button', { name: /^Put \d right$/ }).click();
  await expect(page.getByRole('button', { name: /Remote filter head, gauge/ })).toBeHidden();
  await allSaved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: /A thread that starts and is another/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /Remote filter head, gauge/ })).toBeHidden();
});

test('what is accepted with initials and a reason holds nothing, stands on the ticket, and is withdrawn again', async ({
  page,
  request,
}) => {
  const { job, lines } = await copyOfMagpie(request, 'A-2');
  const line = lines.find((l) => l.number === 8)!;
  // nobody checks, by whatever door, what is held
  const check = { do: 'check-line', id: line.id, version: 1, checked: { at: null, digest: {} } };
  const answer = await request.post(`/api/jobs/${job.id}/changes`, { data: { key: crypto.randomUUID(), commands: [check] } });
  expect(answer.status()).toBe(409);
  expect(((await answer.json()) as { message: string }).message).toContain('L8 cannot be checked yet. Joint 6 does not join');
  await page.goto(`/job/${job.id}/audit`);
  for (const reason of ['the customer brings the adapter', 'taped again at the car']) {
    await page
      .getByLabel('The finding')
      .getByRole('button', { name: /^Accept it/ })
      .click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'Accept it' }).click();
    await expect(dialog).toContainText('Say why it may stay.');
    await dialog.getByLabel('Reason').fill(reason);
    await dialog.getByLabel('Initials').fill('RA');
    await dialog.getByRole('button', { name: 'Accept it' }).click();
    await expect(dialog).toBeHidden();
    const next = page.getByRole('button', { name: /a risk:.*Taped with other fittings/ });
    if (await next.isVisible()) await next.click();
  }
  await allSaved(page);
  await page.goto(`/job/${job.id}/cut?show=tickets`);
  await expect(page.getByText('A thread that starts and is another: accepted by RA, the customer brings the adapter')).toBeVisible();
  await page.goto(`/job/${job.id}/audit?view=accepted`);
  await expectNoFault(page);
  await page.getByLabel('The finding').getByRole('button', { name: 'Withdraw' }).click();
  await page.getByRole('button', { name: 'Worst first' }).click();
  await expect(page.getByRole('button', { name: /will not do:.*A thread that starts and is another/ })).toBeVisible();
});

test('the audit is worked from the keyboard, hears another tab, and reads on a phone; what if changes nothing', async ({
  page,
  request,
}) => {
  const { job, lines } = await copyOfMagpie(request, 'A-3');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/job/${job.id}/survey`);
  await expect(page.getByLabel('Name of the component')).toBeVisible();
  await page.keyboard.press('3');
  await expect(page.getByRole('heading', { name: 'What would leak, starve or not last' })).toBeVisible();
  const late = lines.find((l) => l.number === 10)!;
  await elsewhere(request, job.id, { do: 'edit-line', id: late.id, version: 1, set: { service: 'coolant' } });
  await expect(page.getByRole('button', { name: /will not do:.*does not bear what runs in it/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'By line' }).press('Enter');
  await expect(page.getByRole('heading', { name: /^L10 / })).toBeVisible();
  await page.getByRole('button', { name: 'What if …' }).press('Enter');
  await page.getByLabel('Cold start').fill('-25');
  await page.getByLabel('Cold start').press('Tab');
  await expect(page.getByText(/What holds the job: \d+ now, \d+ then/)).toBeVisible();
  await page.setViewportSize({ width: 820, height: 1180 });
  await expectNoFault(page);
  await expect(page.getByRole('heading', { name: 'It would be found' })).toBeVisible();
});

test('a rule has its page with both examples; a rule of the shop is looked at before it is set, and a job does it another way', async ({
  page,
  request,
}) => {
  const { job } = await copyOfMagpie(request, 'A-4');
  await page.goto(`/job/${job.id}/audit`);
  await page.getByRole('link', { name: 'Why, and how it looks' }).click();
  // the examples are made when the first is asked for
  await expect(page.getByLabel('Wrong: M22×1.5 instead of 7/8-14')).toContainText('starts, then binds', { timeout: 30_000 });
  await expect(page.getByLabel('Right', { exact: true })).toBeVisible();
  await expectNoFault(page);
  await page.getByRole('link', { name: 'Shop rules' }).click();
  await page.getByRole('link', { name: 'Flow and heat' }).click();
  const rule = page.getByRole('region', { name: 'Oil coolers' });
  await rule.getByLabel('Oil coolers').selectOption({ label: 'without' });
  await expect(rule.getByRole('status')).toContainText(/Changes findings in \d+ of \d+ open jobs/);
  await expectNoFault(page);
  await rule.getByRole('button', { name: 'Only in A-4 …' }).click();
  await rule.getByRole('button', { name: 'Only in this job' }).click();
  await expect(rule).toContainText('Say why this job does it another way.');
  await rule.getByLabel('Reason').fill('hill climbs only');
  await rule.getByLabel('Initials').fill('RA');
  await rule.getByRole('button', { name: 'Only in this job' }).click();
  await expect(rule).toContainText('Job A-4: without, by RA: hill climbs only');
  await page.goto(`/job/${job.id}/audit`);
  await expect(page.getByRole('heading', { name: 'What would leak, starve or not last' })).toBeVisible();
  await expect(page.getByText('No thermostat before the cooler')).toBeHidden();
});
