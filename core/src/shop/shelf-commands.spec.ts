import { refusal, sampleOffer, sampleSupplier, ShopInMemory } from '../../testing/shop.js';

const RING = 'o-ring fkm AS568-906';
const HOSE = 'hose-ptfe-6';

describe('a shelf', () => {
  let shop: ShopInMemory;
  const move = (kind: string, quantity: number, more: object = {}) => shop.run({ do: 'move-stock', part: RING, kind, quantity, ...more });
  beforeEach(() => (shop = new ShopInMemory()));

  it('is the sum of what is moved, each movement said with who and why; the part is told with what it has', () => {
    expect(move('count', 12, { by: 'RA', note: 'drawer 4' })).toMatchObject({
      label: `Count 12 × ${shop.part(RING).part.name}`,
      movements: [{ part: RING, kind: 'count', by: 12, who: 'RA', note: 'drawer 4' }],
      counted: [RING],
    });
    const { movements } = move('issue', 5, { jobId: 'a' });
    expect(movements[0]).toMatchObject({ by: -5, jobId: 'a' });
    expect(shop.part(RING).part.shelf).toBe(7);
    expect(shop.shelf(RING)).toMatchObject({ reserved: [], issued: [{ jobId: 'a', quantity: 5 }] });
    move('return', 2, { jobId: 'a' });
    expect([shop.part(RING).part.shelf, shop.shelf(RING)!.issued]).toEqual([9, [{ jobId: 'a', quantity: 3 }]]);
  });

  it('that was counted otherwise meanwhile is told as it stands, and nothing is moved', () => {
    move('count', 12);
    const before = shop.shelf(RING);
    expect(refusal(() => move('issue', 1, { seen: 11 }))).toMatchObject({
      code: 'conflict',
      field: 'quantity',
      message: expect.stringMatching(/^There are 12 of .* by now, not 11: somebody moved it\. Look again\.$/),
      current: { id: RING, part: { shelf: 12 } },
    });
    expect(shop.shelf(RING)).toEqual(before);
    expect(move('issue', 1, { seen: 12 }).told[0]!.part.shelf).toBe(11);
  });

  it.each([
    ['more than there is', { kind: 'issue', quantity: 13 }, 'not-enough', /12 lie on the shelf: 13 cannot be taken/],
    ['more than is free', { kind: 'reserve', quantity: 13, jobId: 'a' }, 'not-enough', /12 are free/],
    ['none', { kind: 'scrap', quantity: 0 }, 'bad-value', /None is no movement/],
    ['for a job that is not there', { kind: 'reserve', quantity: 1, jobId: 'gone' }, 'not-found', /job is not there/],
    ['what comes back that was never taken', { kind: 'return', quantity: 1, jobId: 'b' }, 'not-enough', /0 were taken for this job/],
    ['what a supplier brings, without its order', { kind: 'receive', quantity: 1 }, 'bad-value', /taken in with its order/],
    ['what is off a car and nobody looked over', { kind: 'salvage', quantity: 1 }, 'bad-value', /Who looked it over/],
  ])('refuses %s', (_, command, code, words) => {
    move('count', 12);
    expect(refusal(() => shop.run({ do: 'move-stock', part: RING, ...command }))).toMatchObject({
      code,
      message: expect.stringMatching(words),
    });
    expect(shop.part(RING).part.shelf).toBe(12);
  });

  it('takes in what is off a car once all that is looked at of its kind is sound', () => {
    const ok = (check: string) => ({ check, ok: true });
    const salvage = (...checks: object[]) => move('salvage', 2, { by: 'RA', note: 'from the dyno engine', checks });
    expect(refusal(() => salvage(ok('Size measured'))).message).toMatch(/"Compound as on the bag" comes first\. Colour proves nothing/);
    expect(refusal(() => salvage(ok('Size measured'), { check: 'Compound as on the bag', ok: false })).message).toMatch(/comes first/);
    expect(salvage(ok('Size measured'), ok('Compound as on the bag')).movements[0]!.note).toBe(
      'off a car, looked over: from the dyno engine',
    );
    expect(shop.part(RING).part.shelf).toBe(2);
  });

  it('of what is cut is its rack', () => {
    expect(refusal(() => shop.run({ do: 'move-stock', part: HOSE, kind: 'count', quantity: 3 })).message).toMatch(/kept by its lengths/);
  });

  it('is kept at a place, with so many at least; said by two, the second is told', () => {
    const keep = (version: number, more: object) => shop.run({ do: 'keep-stock', part: RING, version, ...more });
    keep(0, { least: 20, place: 'drawer 4' });
    expect(shop.shelf(RING)).toMatchObject({ least: 20, place: 'drawer 4', version: 1 });
    expect(refusal(() => keep(0, { least: 5 }))).toMatchObject({ code: 'conflict', current: { least: 20 } });
    keep(1, { place: null });
    expect(shop.shelf(RING)).toEqual({ id: `shelf ${RING}`, part: RING, reserved: [], least: 20, version: 2 });
  });

  it('is told as what several commands left of it, under one name', () => {
    const outcome = shop.run(
      { do: 'move-stock', part: RING, kind: 'count', quantity: 9 },
      { do: 'move-stock', part: RING, kind: 'reserve', quantity: 4, jobId: 'a' },
      { do: 'move-stock', part: RING, kind: 'issue', quantity: 3, jobId: 'a' },
    );
    expect(outcome.label).toMatch(/^Count 9 × .* and 2 more$/);
    expect(outcome.told).toHaveLength(1);
    expect([shop.part(RING).part.shelf, shop.shelf(RING)]).toMatchObject([6, { version: 1, reserved: [{ jobId: 'a', quantity: 1 }] }]);
  });

  it('is left as it was where the last of several is refused', () => {
    move('count', 2);
    const both = [
      { do: 'move-stock', part: RING, kind: 'issue', quantity: 2 },
      { do: 'move-stock', part: RING, kind: 'issue', quantity: 1 },
    ];
    expect(refusal(() => shop.run(...both)).code).toBe('not-enough');
    expect(shop.part(RING).part.shelf).toBe(2);
  });
});

describe('a supplier and what it sells', () => {
  let shop: ShopInMemory;
  beforeEach(() => {
    shop = new ShopInMemory();
    shop.run({ do: 'add-supplier', id: 's', supplier: sampleSupplier });
  });

  it('has a name that no other has, by whatever letters, in the same change too', () => {
    const named = (name: string) => ({ do: 'add-supplier', supplier: { ...sampleSupplier, name } });
    expect(refusal(() => shop.run(named(' NORTH (sample)')))).toMatchObject({ code: 'bad-value', field: 'name' });
    expect(refusal(() => shop.run(named('South'), named('south')))).toMatchObject({
      field: 'name',
      message: 'There is a supplier south already.',
    });
    shop.run({ do: 'edit-supplier', id: 's', version: 1, supplier: { ...sampleSupplier, name: 'north (Sample)', leadDays: 2 } });
    expect(shop.get('supplier', 's')).toMatchObject({ name: 'north (Sample)', leadDays: 2, version: 2 });
  });

  it.each([
    ['a euro that is not one', { euros: 1.1 }, 'euros'],
    ['what is kept of what cannot be sent back', { returnKeepsPercent: 10 }, 'returnDays'],
  ])('refuses %s', (_, change, field) => {
    expect(refusal(() => shop.run({ do: 'edit-supplier', id: 's', version: 1, supplier: { ...sampleSupplier, ...change } }))).toMatchObject(
      { code: 'bad-value', field },
    );
  });

  it('offers parts of the catalogue under codes of its own, and takes them out', () => {
    const offer = (more: object = {}, of = RING) => ({ do: 'add-offer', id: 'o', offer: { ...sampleOffer(of), code: 'R906', ...more } });
    expect(shop.run(offer()).label).toBe('Add an offer of North (sample)');
    expect(refusal(() => shop.run({ ...offer({ code: 'r906' }), id: 'p' }))).toMatchObject({
      field: 'code',
      message: expect.stringMatching(/has the code "r906" already/),
    });
    expect(refusal(() => shop.run({ ...offer({ code: 'X' }, 'no such part'), id: 'p' }))).toMatchObject({ field: 'holds' });
    expect(refusal(() => shop.run({ ...offer({ code: 'X', prices: [{ fromPacks: 2, packMinor: 1 }] }), id: 'p' }))).toMatchObject({
      field: 'prices',
    });
    expect(refusal(() => shop.run(offer({ code: 'X' }))).code).toBe('id-taken');
    shop.run({ do: 'edit-offer', id: 'o', version: 1, offer: { ...sampleOffer(RING, 20), code: 'R906' } });
    expect(refusal(() => shop.run({ do: 'delete-offer', id: 'o', version: 1 }))).toMatchObject({
      code: 'conflict',
      current: { version: 2 },
    });
    expect(shop.run({ do: 'delete-offer', id: 'o', version: 2 }).gone).toMatchObject([{ type: 'offer', row: { id: 'o' } }]);
    expect(refusal(() => shop.run({ do: 'delete-offer', id: 'o', version: 2 }))).toMatchObject({
      code: 'not-found',
      message: expect.stringMatching(/offer is not there/),
    });
  });
});
