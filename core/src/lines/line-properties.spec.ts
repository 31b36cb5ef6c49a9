import fc from 'fast-check';
import { catalogue, document } from '../../testing/sample-job.js';
import { boundsOf, runSheet } from '../drawing/index.js';
import { constructions, hoseEndAngles } from '../hose/index.js';
import { serviceIds, writeJobFile, readJobFile, type JobDocument, type Line } from '../job/index.js';
import { cutTickets } from '../cutting/index.js';
import { partsList } from '../purchasing/index.js';
import { everyConnector, formatConnector, parseConnector, type Connector } from '../connectors/index.js';
import { assembleLine } from './index.js';

/** Any port the survey can hold, any line the server can store: right, wrong or half done. */
const connector: fc.Arbitrary<Connector> = fc.constantFrom(...everyConnector());
const link = fc.oneof(
  {
    weight: 9,
    arbitrary: fc
      .constantFrom(...catalogue.fittings)
      .chain((f) => fc.boolean().map((turned) => ({ id: f.id, inEnd: turned ? 1 : 0, outEnd: turned ? 0 : 1 }))),
  },
  { weight: 1, arbitrary: fc.constant({ id: 'gone', inEnd: 0, outEnd: 1 }) },
);
const end = (portId: string) =>
  fc.record({
    portId: fc.constant(portId),
    angleDeg: fc.constantFrom(...hoseEndAngles),
    fittings: fc.option(fc.array(link, { maxLength: 3 }), { nil: null }),
  });
const job: fc.Arbitrary<JobDocument> = fc
  .record({
    a: connector,
    b: connector,
    service: fc.constantFrom(...serviceIds),
    construction: fc.option(fc.constantFrom(...constructions.map((c) => c.id)), { nil: null }),
    dash: fc.option(fc.constantFrom(3, 4, 6, 7, 8, 10, 12, 16), { nil: null }),
    endA: end('gallery'),
    endB: end('inlet'),
    tapedLengthMm: fc.option(fc.double({ min: 0.1, max: 30_000, noNaN: true }), { nil: null }),
    slackPercent: fc.double({ min: 0, max: 20, noNaN: true }),
    checked: fc.boolean(),
  })
  .map(({ a, b, ...line }) => ({
    ...document,
    ports: document.ports.map((p) => (p.id === 'gallery' ? { ...p, connector: a } : p.id === 'inlet' ? { ...p, connector: b } : p)),
    lines: [{ ...(document.lines[0] as Line), ...line }],
  }));

describe('whatever a job holds', () => {
  it('its line is put together without a throw, and never called sealed while a joint is not', () => {
    fc.assert(
      fc.property(job, (d) => {
        const line = assembleLine(d.lines[0]!, d, catalogue);
        const bad = line.joints.some((j) => j.mating.outcome !== 'seals');
        if (bad) expect(line.state).toBe('leaks');
        if (line.state === 'seals' || line.state === 'checked') {
          expect(line.problems).toEqual([]);
          expect(line.cut!.cutMm).toBeGreaterThan(0);
          expect(line.ends.every((e) => e.chain && e.hoseEnd)).toBe(true);
        }
        expect(line.joints.map((j) => j.number)).toEqual(line.joints.map((_, i) => i + 1));
        for (const p of line.problems)
          expect([p.message, p.hint]).toEqual([expect.stringMatching(/^\S.*\.$/s), expect.stringMatching(/^\S.*\.$/s)]);
      }),
      { numRuns: 300 },
    );
  });

  it('its line can be drawn, on the sheet, with a balloon for every joint', () => {
    fc.assert(
      fc.property(job, (d) => {
        const line = assembleLine(d.lines[0]!, d, catalogue);
        const drawing = runSheet(line, { width: 780, height: 362, jobNumber: '1', system: 'metric' });
        expect(drawing.shapes.filter((s) => s.kind === 'balloon')).toHaveLength(line.joints.length);
        const box = boundsOf(drawing.shapes);
        for (const side of [box.left, box.top, box.right, box.bottom]) expect(Number.isFinite(side)).toBe(true);
        expect(box.left).toBeGreaterThan(-20);
        expect(box.right).toBeLessThan(800);
      }),
      { numRuns: 150 },
    );
  });

  it('it has either a ticket or the reasons why not, and its parts are counted once', () => {
    fc.assert(
      fc.property(job, (d) => {
        const { tickets, notReady } = cutTickets(d, catalogue);
        expect(tickets.length + notReady.length).toBe(1);
        for (const n of notReady) expect(n.reasons.length).toBeGreaterThan(0);
        const list = partsList(d, catalogue);
        expect(new Set(list.rows.map((r) => r.id)).size).toBe(list.rows.length);
        for (const r of list.rows) expect(r.quantity).toBeGreaterThan(0);
        if (tickets.length > 0) expect(list.incomplete).toEqual([]);
      }),
      { numRuns: 150 },
    );
  });

  it('it can be written as a file and holds together when read, its ports as they were', () => {
    fc.assert(
      fc.property(job, (d) => {
        const file = writeJobFile(d, catalogue);
        expect(JSON.parse(JSON.stringify(file))).toEqual(file);
        const known = new Set([...catalogue.fittings.map((f) => f.id), 'gone']);
        const { connectors } = readJobFile(file, known);
        expect(connectors.size).toBe(d.ports.length);
        const gallery = d.ports.find((p) => p.id === 'gallery')!;
        expect(connectors.get('C1.P1')).toEqual(parseConnector(formatConnector(gallery.connector)));
        expect(connectors.get('C1.P1')).toEqual(gallery.connector);
      }),
      { numRuns: 150 },
    );
  });
});
