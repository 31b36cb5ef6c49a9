import { parseConnector, type CataloguePart, type Fitting, type PartCard as Card, type ShopChange } from '@gewinde/core';
import { catalogue } from '../../../core/testing/sample-job';
import { openSampleJob, render, settle, type Rendered } from '../../test/open-job';
import { TestBed } from '@angular/core/testing';
import { ShopStore } from '../data/shop-store';
import { ImportDialog } from './import-dialog';
import { PartCard } from './part-card';
import { PartForm } from './part-form';
import { Store } from './store';

const tee = catalogue.fittings.find((f) => f.id === 'an6fswivel+an6m+npt1/8f')!;
const card = (part: Fitting = tee, { usedBy = [], version = 4 }: { usedBy?: Card['usedBy']; version?: number } = {}): Card => ({
  row: { id: part.id, version, origin: 'standard', kind: 'fitting', part },
  usedBy,
});

/** What the server answers to a change of one part. */
const changed = (row: CataloguePart): ShopChange => ({
  id: 1,
  key: 'k',
  kind: 'edit',
  label: 'Edit',
  client: 'c',
  at: '',
  put: [{ type: 'part', row }],
  removed: [],
});
const rowOf = ({ row }: Card): CataloguePart => row;

/** A list as a file of the browser. */
const csvFile = (text: string, size: number) => ({
  name: 'list.csv',
  size,
  arrayBuffer: async () => new TextEncoder().encode(text).buffer,
});

describe('the card of a part', () => {
  it('draws it, and tells its ends, figures, users and source', async () => {
    await openSampleJob();
    const view = await render(PartCard, { card: card(tee, { usedBy: [{ job: '2403', line: 4, lineName: 'Turbo feed' }] }) });
    expect(view.find('g-drawing svg').getAttribute('aria-label')).toBe(tee.name);
    expect(view.all('.ends li').map((e) => e.querySelector('.g-mono')!.textContent)).toEqual(['an6 f swivel', 'an6 m', 'npt 1/8 f']);
    expect(view.text()).toMatch(/Used by 2403 L4 Turbo feed/);
    expect(view.text()).toContain("the maker's limits go first");
  });

  it('says of a part that is taken out that it is, and puts it back', async () => {
    await openSampleJob();
    const view = await render(PartCard, { card: card({ ...tee, retired: true }) });
    const asked: boolean[] = [];
    view.fixture.componentInstance.retire.subscribe((retired) => asked.push(retired));
    expect(view.find('.attention').textContent).toContain('lines that use it keep it');
    await view.press('button', 'Put it back');
    expect(asked).toEqual([false]);
  });

  it('draws a plug and a bung as well', async () => {
    await openSampleJob();
    for (const id of ['orb6m', 'bungorb6f']) {
      const part = catalogue.fittings.find((f) => f.id === id)!;
      expect((await render(PartCard, { card: card(part) })).all('polygon').length).toBeGreaterThan(2);
    }
  });
});

describe('a part being written', () => {
  let form: Rendered<PartForm>;
  const start = async (part: Fitting | null = null) => {
    const job = await openSampleJob();
    form = await render(PartForm, { part: part && rowOf(card(part)) });
    return job;
  };
  const typeEnd = (at: number, text: string) => form.type(['First end', 'Second end (none for a plug)'][at]!, text);

  it('is drawn as its ends are typed, and points at one that does not read', async () => {
    await start();
    expect(form.text()).toContain('Drawn as soon as its ends are said');
    await typeEnd(0, 'ntp 1/8 m');
    expect(form.find('[role=alert]').textContent).toContain('Did you mean "npt 1/8 m"');
    await typeEnd(0, 'npt 1/8 m');
    await typeEnd(1, 'an6 m');
    expect(form.all('g-drawing svg')).toHaveLength(1);
  });

  it('is added with what was said and what follows', async () => {
    const { shopSent } = await start();
    const rows: unknown[] = [];
    form.fixture.componentInstance.saved.subscribe((row) => rows.push(row));
    await typeEnd(0, 'npt 1/8 m');
    await typeEnd(1, 'an12 m');
    await form.type('Price €', '14,50');
    await form.type('Code', 'KL-7');
    await form.press('button', 'Add the part');
    const { commands, request } = shopSent();
    const part = { ends: ['npt 1/8 m', 'an12 m'].map(parseConnector), priceMinor: 1450, code: 'KL-7', kind: 'adapter' };
    expect(commands).toMatchObject([{ do: 'add-part', entry: { kind: 'fitting', part } }]);
    request.flush(changed(rowOf(card())));
    await settle();
    expect(rows).toHaveLength(1);
  });

  it('is refused at the field that does not hold together, which is laid open, and by a code that is taken', async () => {
    const { shopSent } = await start();
    await form.press('button', 'Add the part');
    expect(form.find('[role=alert]').textContent).toContain('Say its ends first');
    await typeEnd(0, 'npt 1/8 m');
    await typeEnd(1, 'an12 m');
    await form.choose('Kind', 'elbow');
    expect(form.find('.accordion-button', 'Figures').getAttribute('aria-expanded')).toBe('false');
    await form.press('button', 'Add the part');
    expect(form.find('[role=alert]').textContent).toBe('An elbow needs its angle.');
    expect(form.find('.accordion-button', 'Figures').getAttribute('aria-expanded')).toBe('true');
    await form.type('Angle °', '90');
    await form.type('Code', 'X');
    await form.press('button', 'Add the part');
    shopSent().request.flush(
      { code: 'code-taken', message: 'The code "X" belongs to another.', field: 'code' },
      { status: 409, statusText: 'taken' },
    );
    await settle();
    await form.stable();
    expect(form.find('[role=alert]').textContent).toContain('belongs to another');
    expect(form.field('Code').getAttribute('aria-invalid')).toBe('true');
  });

  it.each([
    ['Price €', 'dear', '"dear" is not a price.'],
    ['Price €', '-4', 'A price is not negative.'],
    ['On the shelf', '1.5', '"1.5" is not a whole number.'],
    ['Pressure', '0', 'must be at least 1'],
    ['Bore', '0', 'A length, bore or width of 0 cannot be'],
    ['Stack, seat to seat', '-5', 'cannot be negative'],
    ['Stack, seat to seat', '99999', 'Check the unit'],
  ])('with a figure that cannot be is not saved, and says so at the field: %s %s', async (label, typed, message) => {
    const { http } = await start(tee);
    await form.type(label, typed);
    await form.press('button', 'Save');
    expect(
      form
        .all('[role=alert]')
        .map((e) => e.textContent)
        .join(),
    ).toContain(message);
    expect(form.field(label).value).toContain(typed.replace('-', ''));
    http.expectNone('/api/shop/changes');
  });

  it('is saved by the version it was read with', async () => {
    const { shopSent } = await start(tee);
    await form.type('On the shelf', '3');
    await form.press('button', 'Save');
    const [command] = shopSent().commands;
    expect(command).toMatchObject({
      do: 'edit-part',
      id: tee.id,
      version: 4,
      entry: { kind: 'fitting', part: { id: tee.id, shelf: 3, name: tee.name, legsMm: tee.legsMm } },
    });
  });
});

describe("a supplier's list", () => {
  const preview = {
    headings: ['Article', 'What'],
    sample: [['A1', 'an6 m']],
    lines: 1,
    mapping: { code: 0 },
    added: [],
    changed: [],
    counts: { added: 0, changed: 0, unchanged: 0, shelves: 0, errors: 1 },
    errors: [{ line: 2, column: 'ends', message: 'The line does not say its ends.' }],
  };

  it('is matched column by column, and taken in only without errors', async () => {
    const { request, closed } = await openSampleJob();
    const dialog = await render(ImportDialog);
    const input = dialog.find('input[type=file]') as HTMLInputElement;
    const file = csvFile('Article,What\nA1,an6 m', 20);
    Object.defineProperty(input, 'files', { value: [file] });
    input.dispatchEvent(new Event('change'));
    await settle();
    request('POST', '/api/catalogue/import/preview').flush(preview);
    await settle();
    await dialog.stable();
    expect(dialog.find('.errors').textContent).toContain('line 2, ends');
    expect(dialog.find('button', 'Take in')).toHaveProperty('disabled', true);
    await dialog.choose('What', 'ends');
    const again = request('POST', '/api/catalogue/import/preview');
    expect(again.request.body).toMatchObject({ mapping: { code: 0, ends: 1 } });
    const good = {
      ...preview,
      mapping: { code: 0, ends: 1 },
      added: [{ name: tee.name, says: 'an6 f swivel + an6 m + npt 1/8 f' }],
      counts: { added: 1, changed: 0, unchanged: 0, shelves: 0, errors: 0 },
      errors: [],
    };
    again.flush(good);
    await settle();
    await dialog.stable();
    await dialog.press('button', 'Take in 1 part');
    request('POST', '/api/catalogue/import').flush(changed(rowOf(card())));
    await settle();
    expect(closed).toEqual([{ added: 1, changed: 0 }]);
  });

  it('in other money asks for its rate, and is taken in with it', async () => {
    const { request, http } = await openSampleJob();
    const dialog = await render(ImportDialog);
    const input = dialog.find('input[type=file]') as HTMLInputElement;
    Object.defineProperty(input, 'files', { value: [csvFile('Article,Price\nA1,$4', 20)] });
    input.dispatchEvent(new Event('change'));
    await settle();
    const ready = { ...preview, counts: { added: 1, changed: 0, unchanged: 0, shelves: 0, errors: 0 }, errors: [] };
    request('POST', '/api/catalogue/import/preview').flush(ready);
    await settle();
    await dialog.stable();
    await dialog.choose('Prices are in', 'USD');
    http.expectNone('/api/catalogue/import/preview');
    expect(dialog.find('button', 'Take in')).toHaveProperty('disabled', true);
    await dialog.type('1 USD in euros', '0,8');
    request('POST', '/api/catalogue/import/preview').flush(ready);
    await settle();
    await dialog.stable();
    await dialog.type('1 USD in euros', '0,9');
    const money = { currency: 'USD', euros: 0.9 };
    const looked = request('POST', '/api/catalogue/import/preview');
    expect(looked.request.body).toMatchObject({ mapping: { code: 0 }, money });
    looked.flush(ready);
    await settle();
    await dialog.stable();
    await dialog.press('button', 'Take in 1 part');
    expect(request('POST', '/api/catalogue/import').request.body).toMatchObject({ money });
  });

  it('leaves the shelves of parts as they are, and says so, unless it is said to be a count', async () => {
    const { request } = await openSampleJob();
    const dialog = await render(ImportDialog);
    const input = dialog.find('input[type=file]') as HTMLInputElement;
    Object.defineProperty(input, 'files', { value: [csvFile('Article,On shelf\nA1,4', 20)] });
    input.dispatchEvent(new Event('change'));
    await settle();
    const told = { ...preview, counts: { added: 0, changed: 1, unchanged: 0, shelves: 2, errors: 0 }, errors: [] };
    request('POST', '/api/catalogue/import/preview').flush(told);
    await settle();
    await dialog.stable();
    expect(dialog.find('.g-verdict').textContent).toMatch(/Of 2 parts the list says another shelf than there is: it is left as it is\./);
    dialog.find('.counted input').click();
    await dialog.stable();
    const again = request('POST', '/api/catalogue/import/preview');
    expect(again.request.body).toMatchObject({ counted: true, mapping: { code: 0 } });
    again.flush(told);
    await settle();
    await dialog.stable();
    expect(dialog.text()).toContain('it is set by the list.');
    await dialog.press('button', 'Take in 1 part');
    expect(request('POST', '/api/catalogue/import').request.body).toMatchObject({ counted: true });
  });

  it('that is too large is not sent', async () => {
    const { http } = await openSampleJob();
    const dialog = await render(ImportDialog);
    const input = dialog.find('input[type=file]') as HTMLInputElement;
    Object.defineProperty(input, 'files', { value: [csvFile('', 9 * 1024 * 1024)] });
    input.dispatchEvent(new Event('change'));
    await settle();
    await dialog.stable();
    expect(dialog.find('[role=alert]').textContent).toContain('8 MB are the most');
    http.expectNone('/api/catalogue/import/preview');
  });
});

describe('the store', () => {
  it('finds by words, end, kind and metal, and opens the card that is asked for', async () => {
    const { request } = await openSampleJob();
    const view = await render(Store, { part: tee.id });
    request('GET', '/api/catalogue/parts/an6fswivel%2Ban6m%2Bnpt1%2F8f').flush(card());
    await settle();
    await view.stable();
    expect(view.find('aside').textContent).toContain(tee.name);
    const count = () => Number(/^(\d+) of/.exec(view.find('nav .g-figure').textContent)![1]);
    const all = count();
    await view.choose('Kind', 'tees');
    const tees = count();
    expect(tees).toBeLessThan(all);
    await view.type('End', 'npt 1/8 f');
    expect(count()).toBeLessThan(tees);
    await view.type('Words', 'no such thing');
    expect(view.text()).toContain('No part like that');
    await view.press('button', 'Show all parts');
    expect(count()).toBe(all);
  });

  it('tells which parts of the database do not hold together', async () => {
    await openSampleJob({}, undefined, { unsound: [{ id: 'odd-1', problem: 'No connector "wizard 1" is known here.' }] });
    const shown = await render(Store);
    expect(shown.find('.odd').textContent).toMatch(/A part does not hold together, and is left out.*odd-1 No connector "wizard 1"/s);
  });

  it('says so where there is no such part', async () => {
    const { request } = await openSampleJob();
    const view = await render(Store, { part: 'gone' });
    request('GET', '/api/catalogue/parts/gone').flush({ code: 'not-found', message: 'no' }, { status: 404, statusText: 'gone' });
    await settle();
    await view.stable();
    expect(view.find('aside').textContent).toContain('"gone" is not in the catalogue');
  });
});

describe('a part that somebody else has changed', () => {
  const url = '/api/catalogue/parts/an6fswivel%2Ban6m%2Bnpt1%2F8f';

  it('is told, keeps what was typed, and is saved over theirs only when asked again', async () => {
    const { shopSent } = await openSampleJob();
    const form = await render(PartForm, { part: rowOf(card()) });
    await form.type('Price €', '9,90');
    await form.press('button', 'Save');
    shopSent().request.flush(
      { code: 'conflict', message: 'Somebody else has changed this.', current: rowOf(card(tee, { version: 6 })) },
      { status: 409, statusText: 'stale' },
    );
    await settle();
    await form.stable();
    expect(form.find('[role=alert]').textContent).toContain('Save again to put yours over it');
    expect(form.field('Price €').value).toBe('9,90');
    await form.press('button', 'Save');
    expect(shopSent().commands).toMatchObject([{ version: 6, entry: { part: { priceMinor: 990 } } }]);
  });

  it('is not overwritten though the card behind the form already shows it', async () => {
    const { request, shopSent } = await openSampleJob();
    const view = await render(Store, { part: tee.id });
    request('GET', url).flush(card());
    await settle();
    await view.stable();
    await view.press('button', 'Edit');
    await view.type('Price €', '9,90');
    const theirs = card({ ...tee, shelf: 77 }, { version: 5 });
    TestBed.inject(ShopStore).receive(changed(rowOf(theirs)), true);
    request('GET', url).flush(theirs);
    await settle();
    await view.stable();
    await view.press('button', 'Save');
    expect(shopSent().commands).toMatchObject([{ version: 4, entry: { part: { priceMinor: 990 } } }]);
  });

  it('is shown as it is now on its card, without being asked for again by hand', async () => {
    const { request } = await openSampleJob();
    const view = await render(Store, { part: tee.id });
    request('GET', url).flush(card());
    await settle();
    TestBed.inject(ShopStore).receive(changed(rowOf(card({ ...tee, name: 'Renamed tee' }, { version: 5 }))), true);
    request('GET', url).flush(card({ ...tee, name: 'Renamed tee' }, { version: 5 }));
    await settle();
    await view.stable();
    expect(view.find('aside').textContent).toContain('Renamed tee');
  });
});
