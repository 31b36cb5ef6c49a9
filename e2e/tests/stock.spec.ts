import { expect, test } from '@playwright/test';
import { expectNoFault } from './no-fault.js';
import { copyOfMagpie, deaf } from './shop.js';

test('hoses are cut off the rack by a proven plan, ticked with what was measured, spoiled and planned anew; two at one length are told', async ({
  page,
  context,
  request,
}) => {
  const { job } = await copyOfMagpie(request, 'S-1');
  await page.goto(`/job/${job.id}/cut`);
  await expect(page.getByRole('status').filter({ hasText: 'proven least' })).toContainText('8 pieces from');
  const saw = page.getByRole('complementary', { name: 'At the saw' });
  await saw.getByLabel('Your initials').fill('TK');
  await saw.getByLabel('Your initials').press('Tab');
  await expectNoFault(page);

  // kept for this job by a press, and given free by one
  await page.getByRole('button', { name: 'Reserve', exact: true }).click();
  await expect(page.getByText('The lengths of this plan are reserved for this job')).toBeVisible();
  await page.getByRole('button', { name: 'Release', exact: true }).click();
  await expect(page.getByText('Nothing is reserved for this job any more')).toBeVisible();

  // somebody who has not heard of it cuts the same length
  const other = await context.newPage();
  await deaf(other);
  await other.goto(`/job/${job.id}/cut`);
  await expect(other.getByRole('status').filter({ hasText: 'proven least' })).toBeVisible();
  await page.getByRole('button', { name: /S-1-L7 To the cooler/ }).click();
  await other.getByRole('button', { name: /S-1-L7 To the cooler/ }).click();
  await saw.getByRole('button', { name: 'Cut, 1181' }).press('Enter');
  await expect(saw.getByText('✓ H-0003, TK')).toBeVisible();
  await other.getByRole('button', { name: 'Cut, 1181' }).click();
  await expect(other.getByText(/H-0003 is not on the rack any more|Somebody else has changed H-0003/)).toBeVisible();
  await other.close();

  // measured longer than the ticket: told, to be trimmed at the car
  await page.getByRole('button', { name: /S-1-L4 Turbo feed/ }).click();
  await saw.getByRole('button', { name: 'Measured …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('The piece, as measured').fill('9000');
  await dialog.getByRole('button', { name: 'Cut', exact: true }).click();
  await expect(page.getByText(/H-0002 is 3050 mm long/)).toBeVisible();
  await saw.getByRole('button', { name: 'Measured …' }).click();
  await dialog.getByLabel('The piece, as measured').fill('640');
  await dialog.getByLabel('Left of the length').fill('2380');
  await dialog.getByRole('button', { name: 'Cut', exact: true }).click();
  await expect(saw).toContainText('16\u2009mm longer than the ticket');
  await saw.getByRole('button', { name: 'Trimmed …' }).click();
  await dialog.getByRole('button', { name: 'Trimmed', exact: true }).click();
  await expect(saw).not.toContainText('longer than the ticket');

  // booked for another that was not sawn: taken back, its length is whole again
  await page.getByRole('button', { name: /S-1-L7 To the cooler/ }).click();
  await saw.getByRole('button', { name: 'Take back: S-1-L7' }).click();
  await dialog.getByRole('button', { name: 'It was not sawn' }).click();
  await expect(page.getByRole('button', { name: /1181.*S-1-L7 To the cooler, to be cut/ })).toBeVisible();
  await page.getByRole('button', { name: /S-1-L7 To the cooler/ }).click();
  await saw.getByRole('button', { name: 'Cut, 1181' }).press('Enter');
  await expect(saw.getByText('✓ H-0003, TK')).toBeVisible();
  await page.getByRole('button', { name: /S-1-L4 Turbo feed/ }).click();

  // spoiled: it says what it costs, and it is to be cut again
  await saw.getByRole('button', { name: 'Spoiled: S-1-L4' }).click();
  await expect(dialog).toContainText('624\u2009mm have to be cut again: it comes from H-0002');
  await dialog.getByRole('button', { name: 'It is spoiled, plan anew' }).click();
  await expect(page.getByRole('button', { name: /624.*S-1-L4 Turbo feed, to be cut/ })).toBeVisible();
  await page.reload();
  await expect(saw.getByText('✓ H-0003, TK')).toBeVisible();
  await expect(page.getByRole('button', { name: /624.*S-1-L4 Turbo feed, to be cut/ })).toBeVisible();
});

test('labels go to the printer, tickets and labels come as PDF, and a label that is scanned opens its line', async ({ page, request }) => {
  const { job, lines } = await copyOfMagpie(request, 'S-2');
  await page.goto(`/job/${job.id}/cut?show=tickets`);
  const ticket = page.getByRole('article', { name: 'Ticket S-2-L4' });
  await expect(ticket).toContainText('Magpie');
  await expect(ticket).toContainText('taped 664');
  await expect(ticket).toContainText('over Adapter, m14x1.5 m washer to an6 m');
  await expect(ticket).toContainText('N·m');
  await expect(ticket.getByRole('img', { name: 'Code S-2-L4.A' })).toBeVisible();
  await page.getByRole('button', { name: 'Print' }).click();
  await page.getByRole('menuitem', { name: 'Labels to the label printer' }).or(page.getByText('Labels to the label printer')).click();
  await expect(page.getByText('16 labels are at a simulated label printer')).toBeVisible();
  const { printed } = (await (await request.get('/api/printer')).json()) as { printed: { labels: { code: string; lines: string[] }[] }[] };
  expect(printed[0]!.labels.find((l) => l.code === '#S-2-L4.A')?.lines[1]).toBe('Block, left gallery');
  for (const as of ['tickets', 'sheet', 'single']) {
    const pdf = await request.get(`/api/jobs/${job.id}/tickets.pdf?as=${as}`);
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  }
  const parts = await request.get(`/api/jobs/${job.id}/parts.pdf`);
  expect(parts.headers()['content-type']).toBe('application/pdf');

  // as a scanner types it, wherever one is
  await page.goto('/');
  await expect(page.getByText('Rally raid buggy')).toBeVisible();
  await page.keyboard.type('#S-2-L4.B\n');
  await expect(page).toHaveURL(new RegExp(`/job/${job.id}/lines/${lines[3]!.id}`));
  await page.keyboard.type('#S-2-L99.B\n');
  await expect(page.getByText('There is no line S-2-L99')).toBeVisible();
});

test('what is missing is ordered in one go, sent, confirmed with its surprises, received with its checks, and is on the shelf', async ({
  page,
  request,
}) => {
  const { job } = await copyOfMagpie(request, 'S-3');
  await page.goto(`/job/${job.id}/order`);
  const least = page.getByRole('radio', { name: /^the least money/ });
  await expect(least).toBeChecked();
  await page.getByLabel('needed by').fill('2027-03-01');
  await page.getByLabel('needed by').press('Tab');
  // what no line takes by itself
  await page.getByRole('button', { name: 'Add a part …' }).click();
  const beside = page.getByRole('dialog');
  await beside.getByLabel('Add a part').fill('o-ring fkm as568-910');
  await expect(beside.getByLabel('Add a part')).toHaveAttribute('aria-expanded', 'true');
  await beside.getByLabel('Add a part').press('Enter');
  await beside.getByLabel(/^Quantity of O-ring FKM AS568-910/).fill('7');
  await beside.getByLabel(/^Quantity of O-ring FKM AS568-910/).press('Tab');
  await beside.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('row', { name: /O-ring FKM AS568-910/ })).toContainText('7');
  await page.getByRole('button', { name: /^Keep back \d+ parts/ }).click();
  await expect(page.getByText(/parts are kept back for this job/)).toBeVisible();
  await page.getByRole('button', { name: 'Kits …' }).click();
  await expect(page.getByRole('dialog')).toContainText('compound nbr, not fkm');
  await expectNoFault(page);
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Spares …' }).click();
  await expect(page.getByRole('dialog')).toContainText('no smaller set does');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Not certain …' }).click();
  await page.getByRole('dialog').getByLabel('A day of waiting costs, €').fill('0');
  await expect(page.getByRole('dialog')).toContainText('Wait until it is known');
  await expectNoFault(page);
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await page.getByRole('radio', { name: /^the fewest suppliers/ }).click();
  await expectNoFault(page);
  await page.getByRole('button', { name: /^Write the/ }).click();

  const order = page.getByRole('region', { name: /^Order PO-/ }).last();
  await expect(order).toContainText('not sent');
  await order.getByRole('spinbutton').first().fill('3');
  await order.getByRole('spinbutton').first().press('Tab');
  await order.getByRole('button', { name: 'Send' }).click();
  await expect(order).toContainText('confirmed');
  const papers = await order.getByRole('link', { name: 'XML' }).getAttribute('href');
  expect(await (await request.get(papers!)).text()).toContain('<cbc:UBLVersionID>2.1</cbc:UBLVersionID>');

  await order.getByRole('button', { name: 'Receive …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog
    .getByRole('button', { name: /^Parcel/ })
    .first()
    .click();
  await dialog.getByRole('button', { name: 'Take it in' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Nothing goes on the shelf unseen');
  const radios = dialog.getByRole('radio', { name: 'yes' });
  for (let i = 0; i < (await radios.count()); i++) await radios.nth(i).check();
  await expectNoFault(page);
  await dialog.getByRole('button', { name: 'Take it in' }).click();
  await expect(dialog).toBeHidden();
  await expect(order).toContainText(/partly there|complete/);
  await page.reload();
  await expect(page.getByRole('region', { name: /^Order PO-/ }).last()).toContainText(/partly there|complete/);
});

test('a price that changes after the plan is shown, and nothing is ordered by it', async ({ page, request }) => {
  const { job } = await copyOfMagpie(request, 'S-4');
  await deaf(page);
  await page.goto(`/job/${job.id}/order`);
  await expect(page.getByRole('radio', { name: /^the least money/ })).toBeVisible();
  const { body } = await changeOffer(request, 'hose-ptfe-12', 3333);
  expect(body.put.length).toBe(2);
  await page.getByRole('button', { name: /^Write the/ }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Prices have changed since' })).toContainText('33.33');
  await page.getByRole('tab', { name: /^Orders/ }).click();
  await expect(page.getByText('Nothing is ordered for this job')).toBeVisible();
});

test('the shelf is counted by scanner and keyboard, kept back, and never below nothing', async ({ page, request }) => {
  await copyOfMagpie(request, 'S-5');
  await page.goto('/store/shelf');
  await expect(page.getByRole('button', { name: /^Adapter/ }).first()).toBeVisible();
  const scanner = page.getByLabel('Count: scan or type a code');
  await scanner.fill('no such code');
  await scanner.press('Enter');
  await expect(page.getByRole('alert')).toContainText('is the code, id or name of no one part');
  await scanner.fill('O-ring FKM AS568-908');
  await scanner.press('Enter');
  const card = page.getByRole('complementary', { name: 'On the shelf' });
  const many = card.getByLabel('How many');
  await expect(many).toBeFocused();
  await many.fill('12');
  await many.press('Enter');
  await expect(card).toContainText('12 on the shelf');
  await expect(scanner).toBeFocused();
  await card.getByLabel('What is done').selectOption('take');
  await many.fill('40');
  await card.getByRole('button', { name: 'Book it' }).click();
  await expect(card.getByRole('alert')).toContainText('12 lie on the shelf: 40 cannot be taken');
  await many.fill('2');
  await card.getByRole('button', { name: 'Book it' }).click();
  await expect(card).toContainText('10 on the shelf');
  await card.getByLabel('At least').fill('15');
  await card.getByLabel('Where it lies').fill('drawer 7');
  await card.getByRole('button', { name: 'Keep it so' }).click();
  await page.getByLabel('Show').selectOption('what is to be ordered again');
  await expect(page.getByRole('button', { name: /^O-ring FKM AS568-908 drawer 7 10/ })).toBeVisible();
  await expectNoFault(page);
  await page.reload();
  await expect(card).toContainText('10 on the shelf');
});

test('the rack: hose is hung up, found by what is needed of it, measured, looked over and thrown away', async ({ page }) => {
  await page.goto('/store/rack');
  await expectNoFault(page);
  await page.getByRole('button', { name: 'Hang one up' }).click();
  const card = page.getByRole('complementary', { name: 'Length' });
  await card.getByRole('button', { name: 'Hang it up' }).click();
  await expect(card.getByRole('alert')).toContainText('Say what it is a length of');
  const part = card.getByLabel('A length of');
  await part.fill('ptfe hose steel braid -8');
  await expect(part).toHaveAttribute('aria-expanded', 'true');
  await part.press('Enter');
  await card.getByLabel('It is', { exact: true }).selectOption('offcut');
  await card.getByLabel('How long').fill('1.5 m');
  await card.getByLabel('off a car').check();
  await card.getByRole('button', { name: 'Hang it up' }).click();
  await expect(card).toContainText('Not looked over');
  await card.getByLabel('Your initials').fill('MO');
  await card.getByRole('button', { name: 'Looked over, sound' }).click();
  await expect(card).toContainText('Looked over by MO');
  await page.getByLabel('Hose, sleeve, tube, or its number').fill('ptfe hose steel braid -8');
  await page.getByLabel('At least so long').fill('1400');
  await page.getByLabel('At least so long').press('Enter');
  await expect(page.getByRole('region', { name: 'Hose rack' }).getByRole('button')).toHaveCount(1);
  await card.getByLabel('As measured').fill('1450');
  await card.getByRole('button', { name: 'Keep it so' }).click();
  await expect(card.getByRole('heading', { level: 2 })).toContainText('1450');
  await card.getByRole('button', { name: 'Throw away' }).click();
  await expect(page.getByText('No such length hangs there')).toBeVisible();
});

test('a supplier comes with its terms, an offer with its breaks, a price list line by line', async ({ page }) => {
  await page.goto('/store/suppliers?supplier=new');
  const terms = page.getByRole('complementary', { name: 'Terms' });
  await terms.getByLabel('Name').fill('Harbour Hose (sample)');
  await terms.getByLabel('Carriage').fill('9.5');
  await terms.getByRole('button', { name: 'Add the supplier' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Harbour Hose' })).toContainText('carriage EUR 9.50');
  await page.getByRole('button', { name: 'Add an offer' }).click();
  const dialog = page.getByRole('dialog');
  const part = dialog.getByLabel('What is in a pack');
  await part.fill('copper washer 14');
  await expect(part).toHaveAttribute('aria-expanded', 'true');
  await part.press('Enter');
  await dialog.getByLabel('Its code').fill('HH-1');
  await dialog.getByLabel('EUR a pack').fill('4');
  await dialog.getByRole('button', { name: 'A price from more on' }).click();
  await dialog.getByRole('button', { name: 'Keep it so' }).click();
  await expect(dialog.getByRole('alert')).toContainText('A price says from how many packs on');
  await dialog.getByLabel('From packs').nth(1).fill('10');
  await dialog.getByLabel('EUR a pack').nth(1).fill('3.5');
  await expectNoFault(page);
  await dialog.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByRole('row', { name: /HH-1/ })).toContainText('10: 3.50');

  await page.getByRole('button', { name: 'Take in a price list' }).click();
  const list = (text: string) => ({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(text, 'latin1') });
  await dialog.getByLabel(/^List/).setInputFiles(list('code;price\nHH-1;1.250\nHH-9;2,00'));
  await expect(dialog.getByLabel('Errors by line')).toContainText('could be thousands or a fraction');
  await expect(dialog.getByLabel('Errors by line')).toContainText('no code "HH-9"');
  await dialog.getByLabel(/^List/).setInputFiles(list('code;price;Stückzahl\nHH-1;4,20;1'));
  await expect(dialog.getByRole('table', { name: 'Preview' })).toContainText('4.20');
  await dialog.getByRole('button', { name: 'Take in 1 price' }).click();
  await expect(page.getByRole('row', { name: /HH-1/ })).toContainText('4.20');
  await expectNoFault(page);
});

/** Somebody else sets the price of what a part is offered at. */
async function changeOffer(request: Parameters<typeof copyOfMagpie>[0], part: string, packMinor: number) {
  interface Offer {
    id: string;
    version: number;
    holds: { part: string }[];
    prices: { fromPacks: number; packMinor: number }[];
  }
  const { offers } = (await (await request.get('/api/stockroom')).json()) as { offers: Offer[] };
  const commands = offers
    .filter((o) => o.holds.length === 1 && o.holds[0]!.part === part)
    .map(({ id, version, ...offer }) => ({ do: 'edit-offer', id, version, offer: { ...offer, prices: [{ fromPacks: 1, packMinor }] } }));
  const answer = await request.post('/api/shop/changes', {
    data: { key: crypto.randomUUID(), commands },
    headers: { 'x-gewinde-client': 'somebody-else' },
  });
  return { body: (await answer.json()) as { put: unknown[] } };
}
