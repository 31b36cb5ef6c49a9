import { entities, findEntry, offerProblem, supplierProblem, type EntityType } from '@gewinde/core';
import { Ajv } from 'ajv';
import { magpieDocument } from './magpie.js';
import { sampleCatalogue } from './sample-prices.js';
import { dayFrom, sampleStockroom } from './sample-stockroom.js';

let next = 0;
const catalogue = sampleCatalogue();
const rows = sampleStockroom(
  catalogue,
  magpieDocument(catalogue, () => `id${next++}`),
  '2026-11-26',
);
const of = (type: EntityType) => rows.filter((e) => e.type === type).map((e) => e.row as unknown as Record<string, unknown>);

describe('the demo stockroom', () => {
  it('is of the shapes that every door asks for', () => {
    const ajv = new Ajv({ strict: false, discriminator: true });
    const checks = new Map([...new Set(rows.map((e) => e.type))].map((type) => [type, ajv.compile(entities[type].schema)]));
    expect(rows.filter((e) => !checks.get(e.type)!(e.row)).map((e) => e.row.id)).toEqual([]);
    expect([...checks.keys()].sort()).toEqual(['length', 'offer', 'order', 'stock', 'storeRules', 'supplier']);
  });

  it('holds together: terms and offers by their rules, parts that the catalogue has, each row once', () => {
    expect(of('supplier').map((s) => supplierProblem(s as never))).toEqual([undefined, undefined, undefined]);
    expect(of('offer').filter((o) => offerProblem(o as never) !== undefined)).toEqual([]);
    const named = [
      ...of('offer').flatMap((o) => (o['holds'] as { part: string }[]).map((h) => h.part)),
      ...of('length').flatMap((l) => [l['part'] as string, ...((l['ends'] as string[] | undefined) ?? [])]),
      ...of('stock').map((s) => s['part'] as string),
    ];
    expect(named.filter((part) => !findEntry(catalogue, part))).toEqual([]);
    expect(new Set(rows.map((e) => e.row.id)).size).toBe(rows.length);
  });

  it('has an order that is partly there and partly late, and days by the calendar', () => {
    expect(of('order')[0]).toMatchObject({ state: 'part', lines: [{ receivedPacks: 2 }, { receivedPacks: 0, due: '2026-12-12' }] });
    expect(dayFrom('2026-12-30', 3)).toBe('2027-01-02');
  });
});
