import { expect, test } from '@playwright/test';
import { expectNoFault } from './no-fault.js';
import { allSaved, copyOfMagpie } from './shop.js';

test('a line is sized: figures open their working, engine and line change it at once, the size is taken and undone in one step', async ({
  page,
  request,
}) => {
  const { job, lines } = await copyOfMagpie(request, 'F-1');
  await page.goto(`/job/${job.id}/lines/${lines[6]!.id}`);
  await page.getByRole('button', { name: 'Sizing', exact: true }).click();
  await expect(page).toHaveURL(/show=sizing/);
  await expect(page.getByRole('heading', { name: 'Recommended: -12' })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Pressure along the line\. cold start: from .* bar|cold start: from/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^What it takes\..*-10: .* at 5 °C/ })).toBeVisible();
  await expectNoFault(page);

  await page.getByRole('button', { name: /^-10, takes, warm: .* bar, its working$/ }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('table', { name: 'Working' })).toContainText('the whole line');
  await expect(dialog).toContainText('log log (ν + 0.7)');
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();

  // half of what the pump gives, and -10 will do
  const flow = page.getByLabel('Flow, warm at most revs');
  await flow.fill('18');
  await flow.press('Enter');
  await expect(page.getByRole('heading', { name: 'Recommended: -10' })).toBeVisible();
  await flow.fill('much');
  await flow.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'much' })).toBeVisible();
  await flow.press('Escape');
  await flow.fill('');
  await flow.press('Enter');
  await expect(page.getByRole('heading', { name: 'Recommended: -12' })).toBeVisible();

  await page.getByText('Engine and oil').click();
  await page.getByLabel('Oil', { exact: true }).selectOption('by its data sheet');
  await expect(page.getByLabel('At 40 °C')).toHaveValue(/^160/);
  await page.getByLabel('At 40 °C').fill('12');
  await page.getByLabel('At 40 °C').press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'may be crossed' })).toBeVisible();
  await page.getByLabel('At 40 °C').fill('150');
  await page.getByLabel('At 40 °C').press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'may be crossed' })).toBeHidden();
  await allSaved(page);
  await page.reload();
  await page.getByText('Engine and oil').click();
  await expect(page.getByLabel('At 40 °C')).toHaveValue(/^150/);

  await page.getByRole('button', { name: 'Take -12, solve ends' }).click();
  const tag = page
    .getByRole('link', { name: /L7/ })
    .or(page.getByRole('button', { name: /L7/ }))
    .first();
  await expect(tag).toContainText('-12 PTFE');
  await expect(page.getByRole('columnheader', { name: /^-12 taken/ })).toBeVisible();
  await page.getByRole('button', { name: 'Run sheet' }).click();
  await expect(page.getByRole('button', { name: /^Joint 6/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(tag).toContainText('-10 PTFE');
  await expect(page.getByRole('button', { name: /^Joint 6/ })).toBeVisible();
});

test('the system shows what runs in every line, opens lines and components from the keyboard, and keeps what a cooler takes', async ({
  page,
  request,
}) => {
  const { job, lines } = await copyOfMagpie(request, 'F-2');
  await page.goto(`/job/${job.id}/lines/${lines[0]!.id}?show=system`);
  const feed = page.getByRole('button', { name: /^L4 Turbo feed 0\.\d.L\/min/ });
  await expect(feed).toBeVisible();
  await expectNoFault(page);
  await feed.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'What flows in L4' })).toBeVisible();
  await page.getByLabel('Turbo', { exact: true }).selectOption('journal bearings');
  await expect(page.getByLabel('What the flow complains of')).toContainText('journal bearings take 1.5 to 4');

  await page.getByRole('button', { name: 'Cooler cooler' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Cools enough' })).toBeVisible();
  const passes = page.getByLabel(/Passes on/);
  await passes.fill('90');
  await passes.press('Enter');
  await expect(page.getByRole('heading', { name: 'Too small' })).toBeVisible();
  await allSaved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Cooler cooler' }).click();
  await expect(page.getByRole('heading', { name: 'Too small' })).toBeVisible();

  await page.getByRole('button', { name: /buy 3 × 5/ }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Rear tank');
  await expect(dialog).toContainText('L9 Scavenge to tank: not all of it is chosen and taped');
  await expectNoFault(page);
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Sizing', exact: true }).click();
  await page.getByRole('button', { name: 'What the shop reckons with' }).click();
  await page.getByLabel('Froth takes so many times the oil').fill('9');
  await expect(page.getByRole('button', { name: 'Set', exact: true })).toBeDisabled();
  await page.getByLabel('Froth takes so many times the oil').fill('2.5');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
});

test('one question of flow is answered without a job, and what cannot be is said', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('Rally raid buggy')).toBeVisible();
  await page.keyboard.press('f');
  await expect(page).toHaveURL(/\/flow$/);
  await expect(page.getByRole('button', { name: /hottest, 120.°C 1\.3.L\/min/ })).toBeVisible();
  await expectNoFault(page);
  await page.getByLabel('Pressure across it').fill('60 psi');
  await page.getByLabel('Pressure across it').press('Enter');
  await expect(page.getByRole('button', { name: /hottest, 120.°C 1\.5.L\/min/ })).toBeVisible();
  await page.getByRole('button', { name: 'Down a drain' }).click();
  await page.getByLabel('Falls by').fill('-20');
  await page.getByLabel('Falls by').press('Enter');
  await expect(page.getByRole('alert')).toContainText('does not fall');
  await page.getByLabel('Falls by').fill('120');
  await page.getByLabel('Falls by').press('Enter');
  await page.getByRole('button', { name: 'Bore of -10' }).click();
  await page.getByRole('button', { name: /hottest, 120.°C/ }).click();
  await expect(page.getByRole('dialog')).toContainText('hydraulic diameter');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Along a hose' }).click();
  await expect(page.getByRole('button', { name: /cold, 0.°C .*bar/ })).toBeVisible();
});
