import { expect, test, type Page } from '@playwright/test';
import { jobByNumber } from './shop.js';

/** A whole line without touching the mouse: everything is reached by Tab, worked by keys, and shows where it is. */
const tabTo = async (page: Page, name: string | RegExp, most = 80): Promise<void> => {
  for (let i = 0; i < most; i++) {
    await page.keyboard.press('Tab');
    const at = await page.evaluate(() => {
      const e = document.activeElement as HTMLElement | null;
      const label =
        e?.closest('label')?.querySelector('span')?.textContent ??
        (e?.id ? document.querySelector(`label[for="${e.id}"]`)?.textContent : '') ??
        '';
      return `${e?.getAttribute('aria-label') ?? ''}|${label}|${e?.tagName === 'SELECT' ? '' : (e?.textContent ?? '')}`.replace(
        /\s+/g,
        ' ',
      );
    });
    if (typeof name === 'string' ? at.split('|').some((part) => part.trim() === name) : name.test(at)) return;
  }
  throw new Error(`Tab does not reach ${name}`);
};

/** Chooses in the list that has the focus by its first letters; typed too slowly they are taken one by one, as the browser has it. */
const choose = (page: Page, letters: string) =>
  expect(async () => {
    await page.keyboard.type(letters);
    const chosen = await page.locator(':focus').evaluate((field) => (field as HTMLSelectElement).selectedOptions[0]?.textContent?.trim());
    expect(chosen?.toLowerCase()).toMatch(new RegExp(`^${letters.toLowerCase()}`));
  }).toPass();

test('from a new job to a checked line by keyboard alone', async ({ page, request }) => {
  // another each time it is tried
  const number = `K${Date.now() % 1_000_000}`;
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Open job 2403 Magpie' })).toBeVisible();
  await tabTo(page, 'New job');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog').locator(':focus')).toHaveCount(1);
  await page.keyboard.type(number);
  await page.keyboard.press('Tab');
  await page.keyboard.type('By keys');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/survey$/);

  for (const [kind, port, notation] of [
    ['block', 'gallery', 'm14x1.5 f washer'],
    ['turbo', 'inlet', '-4 orb f'],
  ] as const) {
    await tabTo(page, 'Kind of the new component');
    await choose(page, kind);
    await tabTo(page, 'Add component', 5);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: `New port on ${kind === 'block' ? 'Block' : 'Turbo'}` })).toBeVisible();
    await tabTo(page, 'What it is called');
    await page.keyboard.type(port);
    await page.getByLabel('Port in one line').focus();
    await page.keyboard.type(notation);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: `Change ${port}` })).toBeVisible();
    await page.getByRole('button', { name: `Change ${port}` }).focus();
  }

  await page.keyboard.press('n');
  const dialog = page.getByRole('dialog');
  await expect(dialog.locator(':focus')).toHaveCount(1);
  await page.keyboard.press('Tab');
  const offered = page.locator('.g-picker').getByRole('option');
  await expect(offered.first()).toContainText('Block, gallery');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await page.keyboard.type('inlet');
  await expect(offered).toHaveCount(1);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('What is open')).toContainText('No hose chosen.');

  await tabTo(page, 'Hose');
  await choose(page, 'PTFE');
  await expect(page.getByRole('button', { name: /^Take way 1,/ })).toBeVisible();
  await page.getByRole('combobox', { name: 'Size' }).focus();
  await choose(page, '-4');
  await page.getByRole('button', { name: /^Take way 1,/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Ways from Turbo, inlet to the hose end' })).toBeVisible();
  // first stands another end that goes straight on the port
  await expect(page.getByRole('button', { name: 'Take way 1, Straight on the port' })).toBeVisible();
  await page.getByRole('button', { name: /^Take way \d, -4 to ORB -4/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('Taped length').focus();
  await page.keyboard.type('500');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('table', { name: 'Cut length' })).toBeVisible();
  const balloon = page.getByRole('button', { name: 'Joint 6, seals with what it needs' });
  await balloon.focus();
  await page.keyboard.press('Space');
  await expect(page.getByLabel('Inspector')).toContainText('O-ring AS568-904 squeezed');
  await tabTo(page, /‹ L1/);
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Mark as checked' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /L1.*checked/ })).toBeVisible();
  await expect
    .poll(async () => ((await jobByNumber(request, number)).lines[0] as unknown as { checked: object | null }).checked)
    .toMatchObject({ digest: {} });
});

test('where the keys are is always seen', async ({ page, request }) => {
  const { job } = await jobByNumber(request, '2403');
  await page.goto(`/job/${job.id}/lines`);
  await expect(page.getByRole('button', { name: /^Joint 1/ }).first()).toBeVisible();
  for (let i = 0; i < 40; i++) {
    await page.keyboard.press('Tab');
    const seen = await page.evaluate(() => {
      const e = document.activeElement;
      if (!e || e === document.body) return 'body';
      const marks = [e, ...e.querySelectorAll('*')].map((x) => getComputedStyle(x));
      const before = getComputedStyle(e, '::before');
      return marks.some((s) => s.boxShadow !== 'none' || s.outlineStyle !== 'none' || s.stroke.includes('rgb')) || before.inset === '3px'
        ? 'seen'
        : e.outerHTML.slice(0, 120);
    });
    expect(['seen', 'body']).toContain(seen);
  }
});
