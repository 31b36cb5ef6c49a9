import { judgedJob } from '../../testing/judged.js';
import { catalogue, document, drain, feed, jobOf, withPiece, withWay } from '../../testing/sample-job.js';
import { parseConnector } from '../connectors/index.js';
import { soundExample } from '../audit/index.js';
import { standardFittings } from '../fittings/index.js';
import type { Line } from '../job/index.js';
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

  it('buys no ring for a filler cap, which brings its own; for a face beside it it does', () => {
    const fittings = standardFittings();
    const cap = fittings.find((f) => f.name === 'Filler cap, neck 30x38, an6 m')!;
    const faced = { ...cap, id: 'faced', kind: 'adapter' as const, name: 'Faced adapter' };
    const bought = (id: string) => {
      const ports = document.ports.map((p) => (p.id === 'inlet' ? { ...p, connector: parseConnector('land 30x38') } : p));
      const lines = [withWay(feed, 1, [{ id, inEnd: 1, outEnd: 0 }])];
      return partsList(judgedJob({ ...document, ports, lines }, { ...catalogue, fittings: [...fittings, faced] })).rows;
    };
    const ring = (id: string) => bought(id).some((r) => /face gasket/i.test(r.name));
    expect(bought(cap.id).some((r) => r.id === cap.id)).toBe(true);
    expect([ring(cap.id), ring('faced')]).toEqual([false, true]);
  });

  it('takes seals from the catalogue in what the fluid asks for, with their prices; sealant by the joint', () => {
    const priced = { ...catalogue, supplies: catalogue.supplies.map((s) => ({ ...s, priceMinor: s.kind === 'sealant' ? 1200 : 50 })) };
    const rows = (service: Line['service'], fluid?: Line['fluid']) =>
      partsList(judgedJob({ ...document, lines: [{ ...feed, service, ...(fluid ? { fluid } : {}) }, drain] }, priced)).rows;
    expect(rows('turbo-feed').find((r) => r.id === 'o-ring fkm AS568-906')).toMatchObject({ unitPriceMinor: 50, priceMinor: 50 });
    expect(rows('pressure').find((r) => r.id === 'sealant liquid')).toMatchObject({ unitPriceMinor: 20 });
    expect(rows('turbo-feed').some((r) => r.name.includes('ealant') && r.lines.includes(1))).toBe(false);
    expect(rows('coolant').some((r) => r.id === 'o-ring hnbr AS568-906')).toBe(true);
    expect(rows('fuel', 'methanol').some((r) => r.id === 'o-ring epdm AS568-906')).toBe(true);
    const bare = partsList(judgedJob(document, { ...catalogue, supplies: [] })).rows;
    expect(bare.find((r) => r.name === 'O-ring FKM AS568-906')).not.toHaveProperty('unitPriceMinor');
  });

  it('has the clamps that the hose asks for, not those of its barb: T-bolt bands on boost, as tight as those go', () => {
    const boost = soundExample('coupler-without-bead');
    const clamped = boost.lines[0]!.joints.filter((j) => j.mating.kind === 'clamp').map((j) => j.mating);
    expect(clamped).toHaveLength(2);
    for (const { seal, makeUp, reason } of clamped) {
      expect(seal!.consumables).toEqual([{ item: 'hose clamp', size: 'T-bolt band 70 to 76 mm', quantity: 1 }]);
      expect(makeUp).toMatchObject({ low: 7, high: 9, unit: 'N·m' });
      expect(reason).toContain('a band pressed evenly all round');
    }
    expect(partsList(boost).rows.filter((r) => r.group === 'clamps and sealant')).toEqual([
      expect.objectContaining({ id: 'clamp t-bolt-band 70-76', quantity: 2, unit: 'pc' }),
    ]);
  });
});
