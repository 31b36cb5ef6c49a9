import { judgedJob, judgedLine } from '../../testing/judged.js';
import fc from 'fast-check';
import { catalogue, document } from '../../testing/sample-job.js';
import { boundsOf, runSheet } from '../drawing/index.js';
import {
  formatPortThread,
  jointIdsIn,
  parsePortThread,
  type PortThread,
  serviceIds,
  writeJobFile,
  readJobFile,
  type JobDocument,
  type Line,
} from '../job/index.js';
import { cutTickets } from '../cutting/index.js';
import { partsList } from '../purchasing/index.js';
import { everyConnector, formatConnector, type Connector } from '../connectors/index.js';
import { holds } from '../findings/index.js';

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
/** Mostly known; else one of several, or not known. */
const thread: fc.Arbitrary<PortThread> = fc.oneof(
  { weight: 6, arbitrary: connector.map((c) => ({ connector: c })) },
  {
    weight: 2,
    arbitrary: fc
      .uniqueArray(connector, { minLength: 2, maxLength: 3, selector: formatConnector })
      .map((maybe) => ({ connector: null, maybe })),
  },
  { weight: 1, arbitrary: fc.constantFrom('', 'about 14 mm').map((said) => ({ connector: null, said })) },
);
const way = (keys: string) =>
  fc.option(
    fc.array(link, { maxLength: 3 }).map((links) => ({ fittings: links.map((l, i) => ({ key: `${keys}${i}`, ...l })), branches: [] })),
    { nil: null },
  );
const hose = fc.option(fc.constantFrom(...catalogue.hoses.map((h) => h.id), 'hose-of-nobody'), { nil: null });
const hoseEnd = fc.option(fc.constantFrom(...catalogue.hoseEnds.map((e) => e.id), 'end-of-nobody'), { nil: null });
const mm = fc.double({ min: 0.1, max: 30_000, noNaN: true });
const piece = (key: string) =>
  fc
    .record({
      hose,
      endA: hoseEnd,
      endB: hoseEnd,
      length: fc.option(fc.record({ mm, as: fc.constantFrom('taped', 'assembly', 'cut') }), { nil: null }),
      slackPercent: fc.double({ min: 0, max: 20, noNaN: true }),
      source: fc.constantFrom('cut', 'bought', 'kept'),
      hasMm: mm,
      provisional: fc.boolean(),
    })
    .map(({ hasMm, ...rest }) => ({ key, ...rest, ...(rest.source === 'cut' ? {} : { hasMm }) }));
const path = fc
  .integer({ min: 0, max: 3 })
  .chain((n) =>
    fc.record({
      pieces: fc.tuple(...Array.from({ length: n }, (_, i) => piece(`p${i}`))),
      ways: fc.tuple(...Array.from({ length: n + 1 }, (_, i) => way(`w${i}`).map((chosen) => ({ chosen })))),
    }),
  );
const job: fc.Arbitrary<JobDocument> = fc
  .record({ a: thread, b: thread, service: fc.constantFrom(...serviceIds), path, checked: fc.boolean() })
  .map(({ a, b, service, path: { pieces, ways }, checked }) => ({
    ...document,
    ports: document.ports.map((p) => (p.id === 'gallery' ? { ...p, ...a } : p.id === 'inlet' ? { ...p, ...b } : p)),
    lines: [{ ...(document.lines[0] as Line), service, pieces, ways, checked: checked ? { at: null, digest: {} } : null }],
  }));

describe('whatever a job holds', () => {
  it('its line is put together without a throw, and never called sealed while a joint is not', () => {
    fc.assert(
      fc.property(job, (d) => {
        const line = judgedLine(d.lines[0]!, d, catalogue);
        const bad = line.joints.some((j) => j.mating.outcome !== 'seals');
        if (bad) expect(line.state).toBe('leaks');
        if (line.state === 'seals' || line.state === 'checked') {
          expect(line.findings.filter(holds)).toEqual([]);
          for (const { cut, endA, endB } of line.pieces) expect([cut!.cutMm > 0, !!endA, !!endB]).toEqual([true, true, true]);
          expect(line.ways.every((w) => w.fittings)).toBe(true);
        }
        expect(new Set(line.joints.map((j) => j.id)).size).toBe(line.joints.length);
        expect(jointIdsIn(line.line)).toEqual(expect.arrayContaining(line.joints.map((j) => j.id)));
        expect(line.joints.map((j) => j.number)).toEqual(line.joints.map((_, i) => i + 1));
        for (const p of line.findings)
          expect([p.message, p.hint]).toEqual([expect.stringMatching(/^\S.*\.$/s), expect.stringMatching(/^\S.*\.$/s)]);
      }),
      { numRuns: 75 },
    );
  });

  it('its line can be drawn, on the sheet, with a balloon for every joint', () => {
    fc.assert(
      fc.property(job, (d) => {
        const line = judgedLine(d.lines[0]!, d, catalogue);
        const drawing = runSheet(line, { width: 780, height: 362, jobNumber: '1', system: 'metric' });
        expect(drawing.shapes.filter((s) => s.kind === 'balloon')).toHaveLength(line.joints.length);
        const box = boundsOf(drawing.shapes);
        for (const side of [box.left, box.top, box.right, box.bottom]) expect(Number.isFinite(side)).toBe(true);
        expect(box.left).toBeGreaterThan(-20);
        expect(box.right).toBeLessThan(800);
      }),
      { numRuns: 40 },
    );
  });

  it('it has either a ticket or the reasons why not, and its parts are counted once', () => {
    fc.assert(
      fc.property(job, (d) => {
        const assembled = judgedJob(d, catalogue);
        const { tickets, notReady } = cutTickets(assembled);
        const toCut = assembled.lines[0]!.pieces.filter(
          ({ piece, cut }) => piece.source === 'cut' || (piece.source === 'kept' && cut?.shortenMm),
        );
        expect(notReady.length === 0 ? tickets.length : toCut.length + 1 - notReady.length).toBe(toCut.length);
        for (const n of notReady) expect(n.reasons.length).toBeGreaterThan(0);
        const list = partsList(assembled);
        expect(new Set(list.rows.map((r) => r.id)).size).toBe(list.rows.length);
        for (const r of list.rows) expect(r.quantity).toBeGreaterThan(0);
        if (tickets.length > 0) expect(list.incomplete).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });

  it('it can be written as a file and holds together when read, its ports as they were', () => {
    fc.assert(
      fc.property(job, (d) => {
        const known_ = (id: string | null): boolean => id === null || !id.endsWith('of-nobody');
        const whole = d.lines[0]!.pieces.every((p) => known_(p.hose) && known_(p.endA) && known_(p.endB));
        fc.pre(whole);
        const file = writeJobFile(d, catalogue);
        expect(JSON.parse(JSON.stringify(file))).toEqual(file);
        const known = new Set([...catalogue.fittings.map((f) => f.id), 'gone']);
        const { connectors } = readJobFile(file, known);
        expect(connectors.size).toBe(d.ports.length);
        const gallery = d.ports.find((p) => p.id === 'gallery')!;
        expect(connectors.get('C1.P1')).toEqual(parsePortThread(formatPortThread(gallery)));
        const { connector: settled, maybe, said } = gallery;
        expect(connectors.get('C1.P1')).toEqual({
          connector: settled,
          ...(maybe ? { maybe } : {}),
          ...(said === undefined ? {} : { said }),
        });
      }),
      { numRuns: 40 },
    );
  });
});
