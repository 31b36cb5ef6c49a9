import { catalogue, document, drain, feed, jobOf, withPiece } from '../../testing/sample-job.js';
import type { Line } from '../job/index.js';
import { assembleJob } from '../lines/index.js';
import { partsList, partGroups } from './index.js';

describe('partsList', () => {
  const list = partsList(jobOf());
  const row = (id: string) => list.rows.find((r) => r.id === id);

  it('counts every part once with its lines, in the order of picking', () => {
    expect(row('end-ptfe-6-45')).toMatchObject({ quantity: 1, unit: 'pc', lines: [1] });
    expect(row('clamp 5/8')).toMatchObject({ quantity: 2, lines: [3], group: 'clamps and sealant' });
    expect(row('washer copper 14 × 18 × 1.5')).toMatchObject({ quantity: 1 });
    expect(row('o-ring fkm AS568-906')).toMatchObject({ quantity: 1, name: 'O-ring FKM AS568-906' });
    expect(row('sealant liquid')).toMatchObject({ quantity: 1, unit: 'joint', group: 'clamps and sealant' });
    const order = list.rows.map((r) => partGroups.indexOf(r.group));
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });

  it('adds up hose by its cut length and prices it by the metre', () => {
    const { quantity, priceMinor } = row('hose-ptfe-6')!;
    expect(quantity).toBeGreaterThan(550);
    expect(priceMinor).toBe(Math.round(quantity * 2));
  });

  it('adds the same part of two lines together', () => {
    const twice = partsList(jobOf([drain, { ...drain, id: 'x', number: 7, order: 7 }]));
    expect(twice.rows.find((r) => r.id === 'end-ptfe-10-90')).toMatchObject({ quantity: 2, lines: [2, 7] });
  });

  it('totals what has a price and counts what has none', () => {
    expect(list.totalMinor).toBe(list.rows.reduce((sum, r) => sum + (r.priceMinor ?? 0), 0));
    expect(list.unpriced).toBe(list.rows.filter((r) => r.group === 'seals' || r.group === 'clamps and sealant').length);
  });

  it('names the lines that are not whole, and still counts what they have', () => {
    const open = partsList(jobOf([withPiece(feed, { length: null })]));
    expect(open.incomplete).toEqual([1]);
    expect(open.rows.some((r) => r.group === 'hose')).toBe(false);
    expect(open.rows.some((r) => r.group === 'hose ends')).toBe(true);
  });

  it('is empty for a job without lines', () => expect(partsList(jobOf([])).rows).toEqual([]));

  it('takes seals from the catalogue in what the fluid asks for, with their prices; sealant by the joint', () => {
    const priced = { ...catalogue, supplies: catalogue.supplies.map((s) => ({ ...s, priceMinor: s.kind === 'sealant' ? 1200 : 50 })) };
    const rows = (service: Line['service'], fluid?: Line['fluid']) =>
      partsList(assembleJob({ ...document, lines: [{ ...feed, service, ...(fluid ? { fluid } : {}) }, drain] }, priced)).rows;
    expect(rows('turbo-feed').find((r) => r.id === 'o-ring fkm AS568-906')).toMatchObject({ unitPriceMinor: 50, priceMinor: 50 });
    expect(rows('pressure').find((r) => r.id === 'sealant liquid')).toMatchObject({ unitPriceMinor: 20 });
    expect(rows('turbo-feed').some((r) => r.name.includes('ealant') && r.lines.includes(1))).toBe(false);
    expect(rows('coolant').some((r) => r.id === 'o-ring hnbr AS568-906')).toBe(true);
    expect(rows('fuel', 'methanol').some((r) => r.id === 'o-ring epdm AS568-906')).toBe(true);
    const bare = partsList(assembleJob(document, { ...catalogue, supplies: [] })).rows;
    expect(bare.find((r) => r.name === 'O-ring FKM AS568-906')).not.toHaveProperty('unitPriceMinor');
  });
});
