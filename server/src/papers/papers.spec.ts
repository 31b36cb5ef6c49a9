import type { PurchaseOrder, SupplierRow } from '@gewinde/core';
import fc from 'fast-check';
import { parse } from 'csv-parse/sync';
import { validateXML } from 'xmllint-wasm';
import { aggregateXsd, basicXsd, orderXsd } from '../../test/ubl-order-xsd.js';
import { codePng, codeSvg } from './code.js';
import { orderCsv, orderUbl } from './order-files.js';
import { orderPdf } from './order-papers.js';
import { printable } from './letters.js';
import { paper, table, type PaperFont } from './paper.js';

const supplier: SupplierRow = {
  id: 's',
  name: 'North & Sons <sample>',
  currency: 'EUR',
  euros: 1,
  carriageMinor: 500,
  leadDays: 3,
  version: 1,
};
const order = (change: Partial<PurchaseOrder> = {}): PurchaseOrder => ({
  id: 'o',
  number: 'PO-0007',
  supplierId: 's',
  jobIds: ['j'],
  state: 'open',
  carriageMinor: 500,
  writtenOn: '2026-11-26',
  deliveries: [],
  version: 1,
  lines: [
    { key: 'a', code: 'R-1', name: 'O-ring', holds: [{ part: 'ring', quantity: 10 }], packs: 3, packMinor: 420, receivedPacks: 0 },
    { key: 'b', name: 'Hose', holds: [{ part: 'hose', quantity: 2500 }], oneLength: true, packs: 2, packMinor: 5150, receivedPacks: 0 },
  ],
  ...change,
});
const told = (change: Partial<PurchaseOrder> = {}) => ({ order: order(change), supplier, jobs: ['2403'] });
const long = new Set(['hose']);

async function faults(xml: string): Promise<string[]> {
  const { errors } = await validateXML({
    xml: [{ fileName: 'order.xml', contents: xml }],
    schema: [{ fileName: 'order.xsd', contents: orderXsd }],
    preload: [
      { fileName: 'aggregate.xsd', contents: aggregateXsd },
      { fileName: 'basic.xsd', contents: basicXsd },
    ],
  });
  return errors.map((e) => e.message);
}

describe('an order as UBL 2.1', () => {
  it('has its elements in the order of the schema, with units of UNECE Recommendation 20, and its sums', async () => {
    const xml = orderUbl(told({ neededBy: '2026-12-01', note: 'Ring first' }), 'The shop', long);
    expect(await faults(xml)).toEqual([]);
    expect(xml).toContain('<cbc:Quantity unitCode="C62">3</cbc:Quantity>');
    expect(xml).toContain('<cbc:Quantity unitCode="MTR">5</cbc:Quantity>');
    expect(xml).toContain(`<cbc:PayableAmount currencyID="EUR">${((3 * 420 + 2 * 5150 + 500) / 100).toFixed(2)}</cbc:PayableAmount>`);
  });

  it('is sound whatever stands in it, and the check does find a fault', async () => {
    const text = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 30 }).filter((s) => s.trim() !== '');
    await fc.assert(
      fc.asyncProperty(text, text, fc.integer({ min: 1, max: 999 }), async (name, note, packs) => {
        const lines = order().lines.map((l) => ({ ...l, name, packs }));
        expect(await faults(orderUbl(told({ lines, note, carriageMinor: 0 }), name, long))).toEqual([]);
      }),
      { numRuns: 12 },
    );
    const wrong = orderUbl(told(), 'The shop', long).replace(/<cbc:ID>PO-0007<\/cbc:ID>/, '');
    expect((await faults(wrong)).length).toBeGreaterThan(0);
  });
});

it('an order as CSV is read back as it was, and disarms formulas', () => {
  const lines = [{ ...order().lines[0]!, name: '=cmd(1)', code: '+1' }];
  const rows: Record<string, string>[] = parse(orderCsv(told({ lines })), { columns: true, bom: true });
  expect(rows[0]).toMatchObject({
    order: 'PO-0007',
    line: '1',
    code: "'+1",
    part: "'=cmd(1)",
    packs: '3',
    each: '4.20',
    price: '12.60',
    holds: '10 x ring',
    jobs: '2403',
  });
});

it('papers are PDF on A4 and Letter, long ones over pages', async () => {
  const lines = Array.from({ length: 120 }, (_, i) => ({
    ...order().lines[0]!,
    key: String(i),
    name: `Part ${i} with a name that is long enough to be broken over two rows`,
  }));
  for (const size of ['A4', 'Letter'] as const) {
    const pdf = (await orderPdf(told({ lines }), size, long, 'metric')).toString('latin1');
    expect(pdf.slice(0, 5)).toBe('%PDF-');
    expect(pdf.match(/\/Type \/Page\b/g)!.length).toBeGreaterThan(2);
    expect(pdf).toContain(size === 'A4' ? '595.28' : '612');
  }
  const empty = await paper({ size: 'A4', title: 'None', foot: 'foot' }, (pdf) => table(pdf, [{ name: 'part', width: 1 }], []));
  expect(empty.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1);
});

describe('what is written on papers', () => {
  const printed = async (text: string, face: PaperFont) => {
    let found: { face: PaperFont; text: string } | undefined;
    await paper({ size: 'A4', title: 'x' }, (pdf) => void (found = printable(pdf, text, face)));
    return found;
  };

  it.each<[string, PaperFont, PaperFont, string]>([
    ['Oil feed, 3/8 · Ölkühler', 'head', 'head', 'Oil feed, 3/8 · Ölkühler'],
    // what the condensed face lacks, the other has
    ['Масло', 'head', 'text', 'Масло'],
    ['λάδι ≥ 5', 'head', 'text', 'λάδι ≥ 5'],
    ['block → filter', 'figure', 'text', 'block → filter'],
    ['⌀ 12', 'figure', 'figure', 'Ø 12'],
    ['1\u2009234 mm', 'figure', 'figure', '1 234 mm'],
    ['油冷却器 feed', 'text', 'text', '[Chinese] feed'],
    ['خط الزيت 2', 'head', 'text', '[Arabic] 2'],
    ['🛢️ oil 🇩🇪', 'text', 'text', '[picture] oil [sign]'],
    ['オイル', 'head', 'text', '[Japanese]'],
    ['e\u0301tanche\u200d', 'text', 'text', 'e\u0301tanche'],
  ])('%s, wanted in %s', async (text, wanted, face, said) => {
    expect(await printed(text, wanted)).toEqual({ face, text: said });
  });

  it('has a face or a word for every letter (property)', async () => {
    await paper({ size: 'A4', title: 'x' }, (pdf) => {
      fc.assert(
        fc.property(fc.string({ unit: 'grapheme', maxLength: 40 }), (text) => {
          const { face, text: said } = printable(pdf, text, 'head');
          const own = (pdf.font(face) as unknown as { _font: { font: { hasGlyphForCodePoint: (point: number) => boolean } } })._font.font;
          const missing = [...said].filter((sign) => !/[\n\t]/.test(sign) && !own.hasGlyphForCodePoint(sign.codePointAt(0)!));
          expect(missing).toEqual([]);
        }),
        { numRuns: 300 },
      );
    });
  });
});

it('codes come as a picture and as a drawing', async () => {
  expect(codeSvg('#2403-L4/2.A')).toMatch(/^<svg /);
  expect((await codePng('#2403-L4.B')).subarray(1, 4).toString()).toBe('PNG');
});
