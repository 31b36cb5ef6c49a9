import { expect, test, type Page } from '@playwright/test';
import { expectNoFault } from './no-fault.js';
import { copyOfMagpie } from './shop.js';

const figure = async (page: Page, label: string, value: string) => {
  await page.getByLabel(label, { exact: true }).fill(value);
  await page.getByLabel(label, { exact: true }).press('Enter');
};
const verdict = (page: Page) => page.locator('.g-verdict');
const names = (page: Page) => page.getByRole('region', { name: 'What it may be' }).getByRole('listitem');

test('an unknown thread is named from its figures, its card opened, and the figures outlive a reload', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Board' })).toBeVisible();
  await page.keyboard.press('t');
  await expect(page.getByRole('heading', { name: 'What is this thread?' })).toBeVisible();
  await figure(page, 'Over the crests', '0.546 in');
  await figure(page, 'Pitch', '1.5');
  await page.getByRole('button', { name: 'parallel', exact: true }).click();
  await expect(names(page).first()).toContainText('M14×1.5');
  await expect(names(page).first()).toContainText('99 %');
  const card = page.getByRole('region', { name: 'What it may be' });
  await expect(card.getByRole('heading', { level: 2 })).toHaveText('M14×1.5');
  await expect(card).toContainText('Pitch gauge over 8 threads: 1.5 mm against 18 per inch');
  await card.getByRole('button', { name: '9/16-18 UNF' }).click();
  await expect(card.getByRole('heading', { level: 2 })).toHaveText('9/16-18 UNF');
  await page.reload();
  await expect(page.getByLabel('Over the crests')).toHaveValue(/^13\.87/);
  await expect(names(page).first()).toContainText('M14×1.5');
  await page.getByRole('button', { name: 'mm · bar' }).click();
  await expect(page.getByLabel('Over the crests')).toHaveValue(/^0\.546/);
});

test('the ring of a groove is named, one in hand is checked beside it, and bad figures are refused', async ({ page }) => {
  await page.goto('/bench/pair?a=post m20x1.5 f 62x71x2.7&b=post m20x1.5 m 56x84');
  const ring = page.getByRole('region', { name: 'The ring' });
  await expect(ring).toContainText('O-ring FKM AS568-230 slack by 2 %, squeezed by 24 %, fills 81 % of the groove');
  await figure(page, 'Inside diameter', '2.4 in');
  await figure(page, 'Cord', 'thick');
  await expect(ring.getByRole('alert')).toContainText('thick');
  await figure(page, 'Cord', '3.53');
  await expect(ring.getByRole('status')).toContainText('Seals: stretched by 2 %, squeezed by 24 %');
  await ring.getByLabel('Made of').selectOption('ethylene propylene (EPDM)');
  await expect(ring.getByRole('status')).toContainText('Does not do: ethylene propylene (EPDM): engine oil takes it apart.');
  await ring.getByLabel('It meets').selectOption('coolant');
  await expect(ring.getByRole('status')).toContainText('Seals');
  await expectNoFault(page);
  await page.reload();
  await expect(ring).toContainText('O-ring FKM AS568-230');
});

test('bad figures are refused in place and kept', async ({ page }) => {
  await page.goto('/bench/name');
  await figure(page, 'Over the crests', '-14');
  await expect(page.getByText('Over the crests cannot be negative.')).toBeVisible();
  await figure(page, 'Over the crests', 'fourteen');
  await expect(page.getByLabel('Over the crests')).toHaveValue('fourteen');
  await expect(page.getByRole('alert').filter({ hasText: 'fourteen' })).toBeVisible();
  await figure(page, 'Over the crests', '14');
  await figure(page, 'Pitch', '1.66');
  await expect(page.getByText(/No thread has a pitch of 1.66 mm/)).toBeVisible();
  await figure(page, 'Pitch', '1.5');
  await page.getByLabel('or threads per inch').fill('18');
  await page.getByLabel('or threads per inch').press('Tab');
  await expect(page.getByText(/Pitch and count disagree/)).toBeVisible();
  await page.getByLabel('or threads per inch').fill('');
  await page.getByLabel('or threads per inch').press('Tab');
  await expect(names(page).first()).toContainText('M14×1.5');
});

test('a thread without a gauge is named by what known parts do on it, over a reload too', async ({ page }) => {
  await page.goto('/bench/name');
  await page.getByText('Tried with a known part').click();
  await page.getByRole('button', { name: 'A trial' }).click();
  await expect(page.getByLabel('Known nut or hole')).toBeFocused();
  await page.keyboard.type('R 1/8');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert').filter({ hasText: 'R 1/8 is always an outside thread' })).toBeVisible();
  await page.getByLabel('Known nut or hole').fill('M20×1.5');
  await page.getByLabel('Known nut or hole').press('Tab');
  await page.getByLabel('By hand it').selectOption('goes on and rocks');
  const best = page.locator('g-candidate-list li').first();
  await expect(best).toContainText('3/4-16 UNF');
  await expect(best).toContainText('as tried');
  await page.reload();
  await expect(best).toContainText('3/4-16 UNF');
  await figure(page, 'Over the crests', '19.9');
  await expect(best).toContainText('M20×');
  await page.getByRole('button', { name: 'Take trial 1 away' }).click();
  await expect(page.getByRole('group', { name: 'Trial 1' })).toBeHidden();
});

test('the calliper sends readings, single and live, and the taper is found at two places', async ({ page }) => {
  await page.goto('/bench/name');
  const tray = page.getByLabel('Fitting from the mystery tray');
  const outside = await tray.locator('option', { hasText: 'outside' }).first().getAttribute('value');
  await tray.selectOption(outside);
  await page.getByRole('button', { name: 'Take a reading' }).click();
  await expect(page.getByLabel('Over the crests')).toHaveValue(/^\d+(\.\d+)?\s?mm$/);
  await page.getByRole('button', { name: 'pitch', exact: true }).click();
  await page.getByRole('button', { name: 'Take a reading' }).click();
  await expect(page.getByText(/Over \d+ pitches: \d/)).toBeVisible();
  await page.getByRole('button', { name: 'front', exact: true }).click();
  await page.getByRole('button', { name: 'Live' }).click();
  await expect(page.getByText(/Middle of [2-9]/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await page.getByRole('button', { name: 'back', exact: true }).click();
  await page.getByRole('button', { name: 'Take a reading' }).click();
  await expect(page.getByText(/: (tapered|parallel)|parallel\./)).toBeVisible();
  await expect(names(page).first()).toBeVisible();
  await page.getByRole('button', { name: 'inside jaws' }).click();
  await page.getByRole('button', { name: 'Take a reading' }).click();
  await expect(page.getByText('take the outside ones')).toBeVisible();
});

test('the map is zoomed, slid and read by keys and pointer', async ({ page }) => {
  await page.goto('/bench/name');
  const map = page.locator('svg.sheet');
  await expect(map).toHaveAttribute('aria-label', /23\d threads in view/);
  await map.focus();
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await expect(map).not.toHaveAttribute('aria-label', /23\d threads in view/);
  const before = await map.getAttribute('aria-label');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(map).not.toHaveAttribute('aria-label', before!);
  await page.keyboard.press('0');
  await expect(map).toHaveAttribute('aria-label', /23\d threads in view/);
  await figure(page, 'Over the crests', '20');
  await expect(map).toHaveAttribute('aria-label', /Measured 20.00 mm/);
  const first = await map.locator('.mm').first().textContent();
  const box = (await map.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height - 30);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 160, box.y + box.height - 30, { steps: 4 });
  await page.mouse.up();
  await expect(map.locator('.mm').first()).not.toHaveText(first!);
  await page.mouse.wheel(0, 400);
  await page.getByRole('button', { name: 'Measured', exact: true }).click();
  await expect(map.locator('.mm').first()).toHaveText(first!);
});

test('the bench opens at a port in the survey and fills it', async ({ page, request }) => {
  const { job, components } = await copyOfMagpie(request, 'B-1');
  await page.goto(`/job/${job.id}/survey?component=${components[0]!.id}`);
  await expect(page.getByRole('heading', { name: /New port on/ })).toBeVisible();
  await page.keyboard.press('t');
  const bench = page.getByRole('dialog', { name: /Thread bench/ });
  await expect(bench.getByRole('button', { name: 'Inside thread' })).toHaveAttribute('aria-pressed', 'true');
  await bench.getByLabel('Across the hole').fill('8.55');
  await bench.getByLabel('Across the hole').press('Enter');
  await bench.getByLabel('or threads per inch').fill('28');
  await bench.getByRole('button', { name: 'tapered' }).click();
  await bench.getByRole('button', { name: 'rc 1/8 f' }).click();
  await expect(bench).toBeHidden();
  await expect(page.getByLabel('Port in one line')).toHaveValue('rc 1/8 f');
  await expect(page.getByLabel('Port in one line')).toBeFocused();
  await page.getByLabel('What it is called').fill('second sender');
  await page.getByRole('button', { name: 'Add port' }).click();
  await expect(page.getByRole('button', { name: 'Change second sender' })).toBeVisible();
  await page.getByRole('button', { name: 'What thread is this?' }).click();
  await expect(bench).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(bench).toBeHidden();
});

test('two connectors are checked against one another, and the address keeps the pair', async ({ page }) => {
  await page.goto('/bench/pair');
  await expect(verdict(page)).toContainText('Screws in and leaks');
  await page.getByLabel('One connector').fill('post 3/4-16 m');
  await page.getByLabel('The other').fill('post m20x1.5 f');
  await expect(verdict(page)).toContainText('Does not join');
  await expect(verdict(page)).toContainText('binds after about 8 turns');
  await page.getByLabel('One connector').fill('g 1/4 m washr');
  await expect(page.getByRole('button', { name: 'Use g 1/4 m washer' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Two connectors, one verdict' })).toBeVisible();
  await page.getByRole('button', { name: 'Use g 1/4 m washer' }).click();
  await page.getByLabel('The other').fill('g 1/4 f');
  await expect(verdict(page)).toContainText('Seals');
  await expect(page).toHaveURL(/b=g%201%2F4%20f|b=g\+1\/4\+f|b=g%201\/4%20f/);
  await page.reload();
  await expect(verdict(page)).toContainText('Seals');
  await expect(page.getByText('1 bonded washer 13.7 × 20.6 × 2.1')).toBeVisible();
});

test('the matrix is walked by keys and leads to the pair drawn', async ({ page }) => {
  await page.goto('/bench/matrix');
  await expect(page.getByRole('table')).toBeVisible();
  await page.getByLabel('Size').selectOption({ label: '1/8 pipe' });
  await expect(page.getByRole('rowheader', { name: 'r 1/8 m', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'r 1/8 m into npt 1/8 f: leaks' }).click();
  await expect(verdict(page)).toContainText('another pitch and other flanks');
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('button.chosen')).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await page.getByRole('link', { name: 'See the pair drawn' }).click();
  await expect(page.getByLabel('One connector')).toHaveValue('r 1/8 m');
  await expect(verdict(page)).toContainText('leaks');
});

test('an apprentice names fittings, is told what settles a mistake, and the results are kept', async ({ page, request }) => {
  const name = `First year ${Date.now()}`;
  await page.goto('/bench/drill');
  await page.getByLabel('Who is at the bench').fill('   ');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('Type a name first')).toBeVisible();
  await page.getByLabel('Who is at the bench').fill(name);
  await page.getByLabel('Who is at the bench').press('Enter');
  const answer = page.getByLabel('Name of the thread');
  await expect(answer).toBeVisible();
  await page.getByRole('button', { name: 'Take a reading' }).click();
  await expect(page.locator('svg.sheet .box')).toBeVisible();
  await answer.fill('banana');
  await answer.press('Enter');
  await expect(page.getByText('is not a thread this app knows')).toBeVisible();
  await answer.fill('2 1/2-12');
  await answer.press('Enter');
  await expect(verdict(page)).toContainText('It is');
  await expect(page.getByRole('table')).toContainText('2 1/2-12 UN');
  await answer.press('Enter');
  await expect(answer).toHaveValue('');
  await page.reload();
  await expect(page.getByRole('table')).toContainText('2 1/2-12 UN');
  expect(await (await request.get(`/api/drill?apprentice=${encodeURIComponent(name)}`)).json()).toMatchObject({ asked: 1, right: 0 });
  await page.getByRole('button', { name: 'Forget these results' }).click();
  await expect(page.getByRole('table')).toBeHidden();
});

test('the bench is worked from the keyboard alone', async ({ page }) => {
  await page.goto('/bench/name');
  await page.getByRole('link', { name: 'Name a thread' }).focus();
  const tabTo = async (name: string) => {
    for (let i = 0; i < 60; i++) {
      await page.keyboard.press('Tab');
      const at = await page.evaluate(() => {
        const e = document.activeElement as HTMLElement;
        const label = e.getAttribute('aria-label') ?? (e as HTMLInputElement).labels?.[0]?.textContent ?? e.textContent;
        return label.trim();
      });
      if (at.startsWith(name)) return;
    }
    throw new Error(`"${name}" is not reached with Tab`);
  };
  await tabTo('Inside thread');
  await page.keyboard.press('Space');
  await tabTo('Across the hole');
  await page.keyboard.type('8.55');
  await tabTo('or threads per inch');
  await page.keyboard.type('28');
  await tabTo('tapered');
  await page.keyboard.press('Enter');
  await tabTo('Thread map');
  await page.keyboard.press('+');
  await tabTo('Rc 1/8');
  await page.keyboard.press('Enter');
  await expect(page.locator('g-thread-card h2')).toHaveText('Rc 1/8');
  await tabTo('G 1/8');
  await page.keyboard.press('Enter');
  await expect(page.locator('g-thread-card h2')).toHaveText('G 1/8');
});

test('with the server away the bench still names threads, and says what it cannot do', async ({ page }) => {
  await page.goto('/bench/name');
  const tray = page.getByLabel('Fitting from the mystery tray');
  await tray.selectOption({ index: 3 });
  await page.route('**/api/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Take a reading' }).click();
  await expect(page.getByText('The server does not answer.')).toBeVisible();
  await page.getByRole('button', { name: 'Live' }).click();
  await expect(page.getByText('The calliper does not answer.')).toBeVisible();
  await page.getByRole('button', { name: 'Outside thread' }).click();
  await figure(page, 'Over the crests', '19.9');
  await figure(page, 'Pitch', '1.5');
  await expect(names(page).first()).toContainText('M20×1.5');
  await page.unroute('**/api/**');
  await page.getByRole('button', { name: 'Live' }).click();
  await expect(page.locator('output.live')).toContainText(/\d/);
});

test('the pair check and the matrix read well on a tablet, and an odd address does no harm', async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 });
  await page.goto('/bench/matrix?size=banana');
  await expect(page.getByRole('rowheader', { name: 'an6 m' })).toBeVisible();
  await page.goto('/bench/pair?a=banana&b=orb6%20f');
  await expect(page.getByText('"banana" is not a word of the notation.')).toBeVisible();
  await page.goto('/bench/nowhere');
  await expect(page).toHaveURL(/\/$/);
});

test('a made line is looked over from the keyboard: the answer is told with its rule, counted, and kept for the next time', async ({
  page,
  request,
}) => {
  const name = `Looks ${Date.now()}`;
  await page.goto('/bench/fault');
  await page.getByLabel('Who is at the bench').fill(name);
  await page.keyboard.press('Enter');
  const answers = page.getByRole('radio');
  // the lines are made when the first is asked for
  await expect(answers).toHaveCount(7, { timeout: 30_000 });
  await expect(page.getByRole('table', { name: 'What is known of it' })).toContainText('Hose');
  await page.getByRole('button', { name: 'Say so' }).click();
  await expect(page.getByRole('alert')).toHaveText('Choose one of them first.');
  await answers.first().focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: /Right: |It is not that: / })).toBeVisible();
  await expect(answers.first()).toBeDisabled();
  await expectNoFault(page);
  expect(await (await request.get(`/api/faults?apprentice=${encodeURIComponent(name)}`)).json()).toMatchObject({ asked: 1 });
  await page.reload();
  await expect(answers).toHaveCount(7);
  await expect(page.getByLabel('Answer and results')).toContainText(/looked over\s*1/);
});
