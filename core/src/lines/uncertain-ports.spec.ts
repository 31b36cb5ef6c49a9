import { judgedJob, judgedLine } from '../../testing/judged.js';
import { catalogue, document, feed, withWay } from '../../testing/sample-job.js';
import { rowIds, runCommands } from '../commands/index.js';
import { parseConnector } from '../connectors/index.js';
import { componentDrawing, runSheet } from '../drawing/index.js';
import { parsePortThread, readJobFile, writeJobFile, type JobDocument, type Port } from '../job/index.js';
import { usualWeights } from '../chains/index.js';
import { gapsByCase, howToSettle, placesForSensor, solveJob, waysByCase, waysToHoseEnd } from './index.js';
import { leakAt, type JudgedLine } from '../audit/index.js';

const context = { newId: rowIds('1b671a64-40d5-491e-99b0-da01ff1f3341'), parts: catalogue, versions: 'ignore' } as const;
/** The sample job with its gallery logged in other words. */
const logged = (notation: string, more: Partial<Port> = {}): JobDocument => ({
  ...document,
  ports: document.ports.map((p) => (p.id === 'gallery' ? { ...p, ...parsePortThread(notation), ...more } : p)),
});
const feedOf = (d: JobDocument): JudgedLine => judgedLine(d.lines[0]!, d, catalogue);
const byCase = (d: JobDocument) => waysByCase(gapsByCase(feedOf(d).ways[0]!), catalogue);
const EITHER = 'm14x1.5 f washer | orb6 f';

describe('a line on a port that is not certain', () => {
  it('is open until it is settled, and each thing it may be is a button that does it', () => {
    const d = logged(EITHER);
    const found = feedOf(d).findings.find((f) => f.rule === 'port-uncertain')!;
    expect(found.message).toMatch(/^block, port gallery may be metric parallel M14×1\.5.*, or .*boss -6/);
    expect(found.remedies.map((r) => r.label)).toEqual([
      expect.stringMatching(/^It is metric parallel M14×1\.5/),
      expect.stringMatching(/^It is .*boss -6/),
    ]);
    const done = runCommands(d, found.remedies[0]!.commands, context).document;
    expect(feedOf(done).findings.map((f) => f.rule)).not.toContain('port-uncertain');
    expect(done.ports.find((p) => p.id === 'gallery')).toEqual({ ...document.ports[0], version: 2 });
  });

  it('judges a joint by the worst of what the port may be', () => {
    const [joint] = feedOf(logged(EITHER)).joints;
    expect(joint).toMatchObject({ uncertain: true, state: 'leaks' });
    expect(feedOf(logged(EITHER)).findings.map((f) => f.message)).toContainEqual(
      expect.stringMatching(/^Joint 1 may (not join|leak) \(.*boss -6/),
    );
    const [tight] = feedOf(document).joints;
    expect([tight!.uncertain, tight!.mating.makeUp === undefined]).toEqual([undefined, false]);
    const either = feedOf(logged('m14x1.5 f washer | m14x1.5 f oring'));
    expect(either.joints[0]).toMatchObject({ uncertain: true });
    expect(either.joints[0]!.mating).not.toHaveProperty('makeUp');
  });

  it('is solved for every case: what they share, what differs, what would seal whichever it is', () => {
    const { cases, either, serving } = byCase(logged(EITHER));
    expect(cases.map((c) => c.answer.ways.length > 0)).toEqual([true, true]);
    expect(serving).toEqual([]);
    expect(cases[0]!.beyond).not.toEqual(cases[1]!.beyond);
    const parts = cases.map(({ answer }) => answer.ways[0]!.fittings.map((f) => f.id));
    expect([...either, ...cases[0]!.beyond].sort()).toEqual([...parts[0]!].sort());
    const taper = byCase(logged('rp 1/8 f | rc 1/8 f'));
    expect([taper.either, taper.serving[0]!.fittings.map((f) => f.id)]).toEqual([['r1/8m+an6m'], ['r1/8m+an6m']]);
    expect(taper.cases.map((c) => c.beyond)).toEqual([[], []]);
  });

  it('has the cases of both ports where neither is certain, and none where one is not known at all', () => {
    const d = logged(EITHER);
    const two = { ...d, ports: d.ports.map((p) => (p.id === 'inlet' ? { ...p, ...parsePortThread('orb6 f | an6 m') } : p)) };
    const { ways } = judgedLine({ ...feed, pieces: [], ways: [{ chosen: null }] }, two, catalogue);
    expect(gapsByCase(ways[0]!).map((c) => c.taken.map((t) => t.portId))).toEqual(Array(4).fill(['gallery', 'inlet']));
    expect(gapsByCase(feedOf(document).ways[0]!)).toEqual([]);
    const unknown = feedOf(logged('? about 14 mm'));
    expect(gapsByCase(unknown.ways[0]!)).toEqual([]);
    expect(unknown.findings.find((f) => f.rule === 'port-uncertain')!.message).toBe(
      'block, port gallery: the thread is not known: about 14 mm.',
    );
    expect(unknown.joints.every((j) => j.way !== 0)).toBe(true);
    expect(unknown.state).toBe('open');
  });

  it('says what must come off and what to measure', () => {
    const gallery = (notation: string, sensor?: string): Port => {
      const seated = sensor && { name: 'switch', connector: parseConnector(sensor), movedTo: null };
      return logged(notation, seated ? { sensor: seated } : {}).ports[0]!;
    };
    expect(howToSettle(gallery(EITHER))).toEqual([expect.stringMatching(/^Nothing is logged in it/), expect.stringMatching(/Pitch gauge/)]);
    expect(howToSettle(gallery('npt 1/8 f | m10x1 f washer', 'npt 1/8 m'))[0]).toMatch(
      /switch must come off.*it seals in American taper pipe 1\/8, female alone/s,
    );
    expect(howToSettle(gallery('m14x1.5 f washer | m14x1.5 f o-ring'))[1] ?? '').toMatch(/one thread: look at the seat|Pitch|Calliper/);
  });

  it('promises nothing elsewhere: no place for a sensor, no way from it, and it is drawn with a question mark', () => {
    const d = logged(EITHER);
    const hoseEnd = catalogue.hoseEnds.find((e) => e.id === feed.pieces[0]!.endA)!;
    expect(waysToHoseEnd(d.ports[0]!, hoseEnd, catalogue)).toMatchObject({
      ways: [],
      explanation: 'The thread of the port is not certain.',
    });
    const from = d.ports.find((p) => p.id === 'drain')!;
    expect(placesForSensor(parseConnector('m14x1.5 m washer'), from, { ...d, lines: [] }, catalogue).map((p) => p.port.id)).not.toContain(
      'gallery',
    );
    for (const notation of [EITHER, '? about 14 mm']) {
      const one = logged(notation);
      const drawing = componentDrawing(one.components[0]!, [one.ports[0]!], { width: 300, height: 200 });
      expect(drawing.shapes).toContainEqual(expect.objectContaining({ text: '? port gallery' }));
      expect(runSheet(feedOf(one), { width: 780, height: 362, jobNumber: '1', system: 'metric' }).shapes.length).toBeGreaterThan(20);
    }
  });

  it('keeps its doubt through commands and the job file', () => {
    const { document: d } = runCommands(
      document,
      [{ do: 'add-port', componentId: 'block', label: 'rear', notation: 'rc 1/8|npt 1/8 f' }],
      context,
    );
    const rear = d.ports.find((p) => p.label === 'rear')!;
    expect(rear).toMatchObject({ connector: null, maybe: [{ family: 'rc' }, { family: 'npt' }].map(() => expect.anything() as unknown) });
    const edit = (set: object) =>
      runCommands(d, [{ do: 'edit-port', id: rear.id, version: 1, set }], context).document.ports.find((p) => p.id === rear.id)!;
    expect(edit({ note: 'behind the starter' })).toMatchObject({ maybe: rear.maybe, note: 'behind the starter' });
    expect(edit({ notation: '? tapered' })).toEqual({ ...rear, connector: null, said: 'tapered', maybe: undefined, version: 2 });
    expect(edit({ notation: 'npt 1/8 f' })).not.toHaveProperty('maybe');
    const file = writeJobFile(d, catalogue);
    const openEnd = { ...file, components: file.components.map((c) => ({ ...c, ports: c.ports.map((p) => ({ ...p, openEnd: true })) })) };
    expect(() => readJobFile(openEnd, new Set(catalogue.fittings.map((f) => f.id)))).toThrow('its thread is that of the fitting');
    expect(file.components.flatMap((c) => c.ports).map((p) => p.connector)).toContain('rc 1/8 f | npt 1/8 f');
    expect([...readJobFile(file, new Set(catalogue.fittings.map((f) => f.id))).connectors.values()]).toContainEqual({
      connector: null,
      maybe: rear.maybe,
    });
  });

  it('is left alone when the whole job is solved, with the reason', () => {
    const job = judgedJob(logged(EITHER), catalogue);
    const steps = solveJob(job, { weights: usualWeights, leakAt: leakAt(job) });
    let step = steps.next();
    while (!step.done) step = steps.next();
    expect(step.value.ends.find((e) => e.lineNumber === 1)).toMatchObject({
      at: 0,
      why: 'The thread of block, port gallery is not certain: settle it first.',
    });
  });

  it('keeps a way that was taken before the doubt', () => {
    const d = logged(EITHER);
    expect(feedOf({ ...d, lines: [withWay(feed, 0, null), ...d.lines.slice(1)] }).findings.map((f) => f.rule)).toContain('way-not-chosen');
    expect(feedOf(d).ways[0]!.fittings).toHaveLength(feedOf(document).ways[0]!.fittings!.length);
  });
});
