import fc from 'fast-check';
import { catalogue } from '../../testing/sample-job.js';
import { HOSE, RING, offer, supplier } from '../../testing/stockroom.js';
import { entriesOf, findEntry } from '../job/index.js';
import { folded } from '../schema/index.js';
import type { OfferRow } from '../stock/index.js';
import { guessPriceColumns, readPriceList } from './index.js';

describe('a price list', () => {
  const byCode = new Map(entriesOf(catalogue).map((e) => [folded(`c-${e.part.id}`), e]));
  const read = (rows: string[][], offers: OfferRow[] = []) =>
    readPriceList(
      rows,
      { code: 0, part: 1, pack: 2, price: 3, from2: 4, price2: 5 },
      { ...supplier, currency: 'EUR', euros: 1 },
      offers,
      catalogue,
      byCode,
    );

  it('finds its columns by the words suppliers use', () =>
    expect(guessPriceColumns(['Article No.', 'Our ID', 'Pack size (pcs)', 'Net price', 'From 2', 'Price 2'])).toEqual({
      code: 0,
      part: 1,
      pack: 2,
      price: 3,
      from2: 4,
      price2: 5,
    }));

  it('reads what it writes: a list of any offers comes back as it was', () => {
    const cents = fc.integer({ min: 1, max: 99_999 });
    const line = fc.record({
      part: fc.constantFrom(RING, 'cap 6', 'sealant liquid'),
      code: fc.stringMatching(/^[A-Z]{2}-\d{3}$/),
      pack: fc.integer({ min: 1, max: 100 }),
      price: cents,
      from: fc.integer({ min: 2, max: 50 }),
      less: cents,
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(line, { selector: (l) => l.code, minLength: 1, maxLength: 6 }),
        fc.constantFrom('.', ','),
        (lines, point) => {
          const money = (n: number): string => (n / 100).toFixed(2).replace('.', point);
          const { added, errors } = read(lines.map((l) => [l.code, l.part, String(l.pack), money(l.price), String(l.from), money(l.less)]));
          expect(errors).toEqual([]);
          expect(added.map((o) => [o.code, o.holds, o.prices])).toEqual(
            lines.map((l) => [
              l.code,
              [{ part: l.part, quantity: l.pack }],
              [
                { fromPacks: 1, packMinor: l.price },
                { fromPacks: l.from, packMinor: l.less },
              ],
            ]),
          );
        },
      ),
    );
  });

  it('without codes is matched by its parts: taken in twice it adds nothing', () => {
    const codeless = ['', RING, '10', '5.00', '', ''];
    const { added } = read([codeless]);
    const stored = added.map((o, i): OfferRow => ({ ...o, id: `n${i}`, version: 1 }));
    expect(read([codeless], stored)).toMatchObject({ added: [], changed: [], unchanged: 1 });
    expect(read([['', RING, '10', '6.00', '', '']], stored)).toMatchObject({
      added: [],
      changed: [{ before: { id: 'n0' }, offer: { prices: [{ packMinor: 600 }] } }],
    });
    expect(read([codeless, codeless], stored).errors).toMatchObject([{ line: 3, message: expect.stringContaining('stands in line 2') }]);
  });

  it('does not make another part of an offer, and keeps what the offer is called', () => {
    const known = offer({ code: 'W', name: 'Ring, bag of ten', prices: [{ fromPacks: 1, packMinor: 500 }] });
    expect(read([['W', 'cap 6', '', '5.00', '', '']], [known])).toMatchObject({
      changed: [],
      errors: [{ line: 2, column: 'part', message: expect.stringMatching(/is offered as .*changed in the offer itself/) }],
    });
    expect(read([['W', RING, '', '7.00', '', '']], [known]).changed[0]!.offer).toMatchObject({ name: 'Ring, bag of ten' });
  });

  it.each([
    ['a code nobody knows', ['NOPE', '', '', '5.00', '', ''], 'code', /no code "NOPE"/],
    ['a part nobody has', ['', 'no such part', '', '5.00', '', ''], 'part', /no part "no such part"/],
    ['neither code nor part', ['', '', '', '5.00', '', ''], 'code', /no code ""/],
    ['a pack of none', ['C', RING, '0', '5.00', '', ''], 'pack', /holds something/],
    ['a pack that is no number', ['C', RING, 'ten', '5.00', '', ''], 'pack', /ten/],
    ['a length that is none', ['C', HOSE, 'long', '5.00', '', ''], 'pack', /no length/],
    ['no price', ['C', RING, '1', '', '', ''], 'price', /no price/],
    ['half a break', ['C', RING, '1', '5.00', '3', ''], 'price2', /from how many/],
    ['a break that is none', ['C', RING, '1', '5.00', '1', '4.00'], 'price', /fewer packs to more/],
  ])('says what is wrong with %s, and where', (_, row, column, words) => {
    const { added, changed, errors } = read([row]);
    expect([added, changed]).toEqual([[], []]);
    expect(errors).toMatchObject([{ line: 2, column, message: expect.stringMatching(words) }]);
  });

  it('passes over empty lines and counts the lines as they stand in the file', () =>
    expect(
      read([
        ['', '', '', '', '', ''],
        ['NOPE', '', '', '1', '', ''],
      ]).errors[0]!.line,
    ).toBe(3));

  it('takes hose by the metre, changes what it has by the code, and leaves a kit alone', () => {
    expect(read([['H', HOSE, '2,5 m', '30', '', '']]).added[0]).toMatchObject({ holds: [{ part: HOSE, quantity: 2500 }] });
    expect(read([['H', HOSE, '', '30', '', '']]).added[0]).toMatchObject({ holds: [{ part: HOSE, quantity: 1000 }], oneLength: true });
    const known = offer({ code: 'W', holds: [{ part: RING, quantity: 10 }], prices: [{ fromPacks: 1, packMinor: 500 }] });
    expect(read([['w', '', '', '5.00', '', '']], [known])).toMatchObject({
      unchanged: 0,
      changed: [{ before: known, offer: { code: 'w' } }],
    });
    expect(read([['W', '', '', '5.00', '', '']], [known]).unchanged).toBe(1);
    const kit = offer({
      code: 'K',
      name: 'Kit',
      holds: [
        { part: RING, quantity: 1 },
        { part: HOSE, quantity: 1000 },
      ],
    });
    expect(read([['K', '', '', '5.00', '', '']], [kit]).errors[0]!.message).toContain('is a kit');
    expect(findEntry(catalogue, RING)).toBeDefined();
  });
});
