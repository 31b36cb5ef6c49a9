import { judgedLine } from '../../testing/judged.js';
import { catalogue, document, feed, jobOf, ports, withPiece, withWay } from '../../testing/sample-job.js';
import { parseConnector } from '../connectors/index.js';
import { usualWeights } from '../chains/index.js';
import { cutTickets } from '../cutting/index.js';
import { boundsOf, pieceDrawing, runSheet, type BalloonShape, type TextShape } from '../drawing/index.js';
import type { Line, Piece } from '../job/index.js';
import { partsList } from '../purchasing/index.js';
import { asKept, gapOf, keptWay, partsBetween, solveJob, waysAcross, type Gap } from './index.js';
import { inHouseUnits, taped } from '../units/index.js';

const hose = (key: string, more: Partial<Piece> = {}): Piece => ({
  ...feed.pieces[0]!,
  key,
  endA: 'end-ptfe-6-0',
  endB: 'end-ptfe-6-0',
  ...more,
});
/** The feed with a bulkhead fitting in its middle. */
const bulkhead = { id: 'bulkhead an6m+an6m', inEnd: 0, outEnd: 1 };
const two: Line = withWay(
  { ...feed, pieces: [hose('p1'), hose('p2', { endB: 'end-ptfe-6-45' })], ways: [feed.ways[0]!, { chosen: null }, feed.ways[1]!] },
  1,
  [{ ...bulkhead, id: catalogue.fittings.find((f) => f.kind === 'bulkhead' && f.ends.every((e) => e.size === '6') && !f.angleDeg)!.id }],
);
/** A stack of fittings from a boss to a pipe thread. */
const stack: Line = { ...feed, id: 'stack', number: 5, order: 5, pieces: [], ways: [{ chosen: null }], portA: 'drain', portB: 'pan' };
const put = (line: Line) => judgedLine(line, document, catalogue);
const sheet = (line: Line) => runSheet(put(line), { width: 780, height: 362, jobNumber: '2403', system: 'metric' });
const texts = (line: Line) =>
  sheet(line)
    .shapes.filter((s): s is TextShape => s.kind === 'text')
    .map((s) => s.text);

describe('a line of two hoses', () => {
  it('has its joints in one row from port to port, and seals', () => {
    const { joints, state } = put(two);
    expect(joints.map((j) => [j.number, j.title])).toEqual([
      [1, 'Port to adapter'],
      [2, 'Adapter to hose end'],
      [3, 'Hose end to hose'],
      [4, 'Hose end to hose'],
      [5, 'Hose end to adapter'],
      [6, 'Adapter to hose end'],
      [7, 'Hose end to hose'],
      [8, 'Hose end to hose'],
      [9, 'Adapter to hose end'],
      [10, 'Port to adapter'],
    ]);
    expect(joints.map((j) => j.id)).toEqual(expect.arrayContaining(['p1.B>1m', '1m>p2.A', 'p2.B>hose']));
    expect(state).toBe('seals');
  });

  it('gives a ticket a hose, each end with where it goes', () => {
    const { tickets } = cutTickets(jobOf([two]));
    expect(tickets.map((t) => t.number)).toEqual(['2403-L1/1', '2403-L1/2']);
    expect(tickets.map((t) => t.ends.map((e) => e.goesTo))).toEqual([
      ['block, port gallery', expect.stringMatching(/^Bulkhead/) as string],
      [expect.stringMatching(/^Bulkhead/) as string, 'turbo, port inlet'],
    ]);
    const direct = withWay(two, 1, []);
    expect(cutTickets(jobOf([direct])).notReady[0]!.reasons[0]).toMatch(/^Joint 5 does not join/);
  });

  it('is counted with both hoses and what is between', () => {
    const { rows } = partsList(jobOf([two]));
    expect(rows.find((r) => r.id === 'end-ptfe-6-0')!.quantity).toBe(3);
    expect(rows.find((r) => r.name.startsWith('Bulkhead'))!.quantity).toBe(1);
    const cuts = put(two).pieces.map((p) => p.cut!.cutMm);
    expect(rows.find((r) => r.id === 'hose-ptfe-6')!.quantity).toBe(cuts[0]! + cuts[1]!);
  });

  it('is drawn with a balloon for every joint and the cut of each hose, whichever way its ends turn', () => {
    const angles = ['end-ptfe-6-0', 'end-ptfe-6-45', 'end-ptfe-6-90', 'end-ptfe-6-180'];
    for (const endB of angles)
      for (const endA of angles) {
        const line = withPiece(withPiece(two, { endB }, 0), { endA }, 1);
        const drawing = sheet(line);
        const balloons = drawing.shapes.filter((s): s is BalloonShape => s.kind === 'balloon');
        expect(balloons.map((b) => b.number).sort((a, b) => a - b)).toEqual(put(line).joints.map((j) => j.number));
        const box = boundsOf(drawing.shapes);
        expect([box.left >= 0, box.top >= 0, box.right <= 780, box.bottom <= 362]).toEqual([true, true, true, true]);
      }
    expect(texts(two).filter((t) => /^cut \d/.test(t))).toHaveLength(2);
    expect(sheet(two).title).toContain('10 joints, 10 seal');
    const assembled = put(two);
    expect(pieceDrawing(assembled, assembled.pieces[1]!, { width: 430, height: 132, system: 'metric' }).title).toContain('45°');
  });

  it('says of each hose what it lacks', () => {
    const open = withPiece(withPiece(two, { length: null }, 0), { hose: null, endA: null, endB: null }, 1);
    expect(put(open).findings.map((f) => [f.rule, f.at.piece])).toEqual([
      ['hose-not-chosen', 'p2'],
      ['length-not-given', 'p1'],
    ]);
    expect(texts(open)).toContain('Choose hose and size');
    expect(put(withWay(two, 1, null)).findings[0]!.message).toBe('No way chosen between the two hoses.');
  });
});

describe('a line without hose', () => {
  const ways = waysAcross(gapOf(put(stack).ways[0]!)!, catalogue).ways;
  const solved = withWay(stack, 0, ways[0]!.fittings);

  it('is solved from port to port, and every joint of it seals', () => {
    expect(ways.length).toBeGreaterThan(0);
    const { joints, state, pieces } = put(solved);
    expect([state, pieces]).toEqual(['seals', []]);
    expect(joints).toHaveLength(ways[0]!.jointCount);
    expect([joints[0]!.id.startsWith('A>'), joints[joints.length - 1]!.id.endsWith('>B')]).toEqual([true, true]);
  });

  it('has no ticket and waits for none, and is on the parts list', () => {
    expect(cutTickets(jobOf([solved, { ...stack, id: 'open', portA: 'vent', portB: 'can' }]))).toEqual({ tickets: [], notReady: [] });
    expect(partsList(jobOf([solved])).rows.map((r) => r.id)).toEqual(expect.arrayContaining(ways[0]!.fittings.map((f) => f.id)));
  });

  it('is drawn from port to port', () => {
    const drawing = sheet(solved);
    expect(drawing.shapes.filter((s) => s.kind === 'balloon')).toHaveLength(ways[0]!.jointCount);
    expect(drawing.shapes.filter((s) => s.kind === 'area' && s.fill === 'component').length).toBeGreaterThan(1);
    expect(texts(solved)).toContain('Fittings alone · turbo, port drain to block, port pan');
    expect(texts(stack)).toContain('?');
  });
});

describe('the ways across a gap', () => {
  const end = { connector: parseConnector('an6 f swivel'), boreMm: 7.1 };
  const between: Gap = { from: end, to: end };

  it('from hose to hose, with the part that must be in it', () => {
    const union = waysAcross(between, catalogue).ways[0]!;
    expect([union.fittings.length, union.name, union.leastBoreMm <= 7.1]).toEqual([1, 'Union -6', true]);
    const wishes = { use: ['orb6m+an6m'] };
    expect(waysAcross(between, catalogue, { wishes }).ways.every((w) => w.fittings.some((f) => f.id === 'orb6m+an6m'))).toBe(true);
  });

  it('are the same from either side, turned round', () => {
    const port = { connector: ports.gallery.connector, portId: 'gallery' };
    const there = waysAcross({ from: port, to: end }, catalogue).ways;
    const back = waysAcross({ from: end, to: port }, catalogue).ways;
    expect(back.map((w) => [...w.fittings].reverse().map((f) => f.id))).toEqual(there.map((w) => w.fittings.map((f) => f.id)));
    const again = keptWay(asKept(back[0]!), { from: end, to: port }, catalogue)!;
    expect(again.joints.every((j) => j.outcome === 'seals')).toBe(true);
  });

  it('are offered with each part of a kind that joins up there, the fewest joints first', () => {
    const found = partsBetween(between, 'bulkhead', catalogue);
    expect(found[0]!.way.jointCount).toBe(2);
    expect(found.every(({ parts, way }) => way.fittings.some((f) => f.id === parts[0]))).toBe(true);
    expect(found.map((f) => f.way.jointCount)).toEqual(found.map((f) => f.way.jointCount).sort((a, b) => a - b));
    for (const kind of ['filter', 'check valve', 'restrictor', 'dry-break', 'tee'] as const)
      expect([kind, partsBetween(between, kind, catalogue).length > 0]).toEqual([kind, true]);
    expect(partsBetween(between, 'dry-break', catalogue)[0]!.parts).toHaveLength(2);
    expect(partsBetween(between, null, catalogue)[0]!.parts).toEqual([]);
  });

  it('are solved with all others of the job, whatever is on either side', () => {
    const open = [withWay(two, 1, null), stack];
    const work = solveJob(jobOf(open), { weights: usualWeights });
    let next = work.next();
    while (!next.done) next = work.next();
    expect(next.value.ends.map((e) => [e.lineNumber, e.at, e.place, e.way !== undefined])).toEqual([
      [1, 1, 'between two hoses', true],
      [5, 0, 'turbo, port drain to block, port pan', true],
    ]);
  });
});

describe('a length', () => {
  const cut = (change: Partial<Piece>) => put(withPiece(feed, change)).pieces[0]!.cut!;
  const rules = (change: Partial<Piece>) => put(withPiece(feed, change)).findings.map((f) => f.rule);

  it('is taken as taped, as assembled or as the cut itself', () => {
    const slackPercent = 2;
    const taped = cut({ length: { mm: 664, as: 'taped' }, slackPercent });
    const assembly = cut({ length: { mm: 664, as: 'assembly' }, slackPercent });
    const given = cut({ length: { mm: 600, as: 'cut' }, slackPercent });
    expect(taped.cutMm - assembly.cutMm).toBeGreaterThan(10);
    expect(assembly.slackMm).toBe(0);
    expect([given.cutMm, given.assemblyMm]).toEqual([600, 600 + given.endAMm + given.endBMm]);
  });

  it('of a hose that is kept or bought is held against what is needed', () => {
    const needed = cut({ length: { mm: 600, as: 'assembly' } }).assemblyMm;
    const made = (source: 'kept' | 'bought', hasMm?: number): Partial<Piece> => ({
      source,
      length: { mm: 600, as: 'assembly' },
      ...(hasMm === undefined ? {} : { hasMm }),
    });
    expect(rules(made('kept'))).toEqual(['made-hose-length-not-given']);
    expect(rules(made('kept', needed - 20))).toEqual(['made-hose-too-short']);
    expect(cut(made('kept', needed + 30)).shortenMm).toBeCloseTo(30);
    expect(rules(made('bought', needed + 10))).toEqual([]);
    expect(rules(made('bought', needed + 100))).toEqual(['made-hose-too-long']);
    const tickets = (source: 'kept' | 'bought', has: number) => cutTickets(jobOf([withPiece(feed, made(source, has))]));
    expect(tickets('kept', needed + 30).tickets[0]!.shortenMm).toBeCloseTo(30);
    expect([tickets('kept', needed), tickets('bought', needed)]).toEqual([
      { tickets: [], notReady: [] },
      { tickets: [], notReady: [] },
    ]);
    const rows = (source: 'kept' | 'bought') =>
      partsList(jobOf([withPiece(feed, made(source, needed))])).rows.filter((r) => r.group === 'hose' || r.group === 'hose ends');
    expect(rows('kept')).toEqual([]);
    expect(rows('bought')).toMatchObject([{ quantity: 1, unit: 'pc', name: expect.stringContaining('made up') as string }]);
  });

  it('taped over other fittings holds the ticket until it is corrected or taped again', () => {
    const over = (stackMm: number, turnDeg = 0): Partial<Piece> => ({ length: { mm: 664, as: 'taped', over: { stackMm, turnDeg } } });
    const now = put(feed)
      .ways.flatMap((w) => w.fittings!)
      .reduce((sum, { fitting }) => sum + fitting.lengthMm!, 0);
    expect(rules(over(Math.round(now * 10) / 10))).toEqual([]);
    const { findings, state } = put(withPiece(feed, over(Math.round((now - 37) * 10) / 10)));
    expect([findings.map((f) => f.rule), state]).toEqual([['taped-over-another-way'], 'open']);
    expect(inHouseUnits(findings[0]!.hint, 'metric')).toContain('37 mm nearer');
    expect(findings[0]!.remedies.map((r) => r.label)).toEqual([`Correct by −${taped(37)}`, 'It was taped with these']);
    expect(findings[0]!.remedies[0]!.commands).toEqual([
      { do: 'edit-piece', id: 'line1', version: 3, piece: 'p1', set: { length: { mm: 627, as: 'taped' } } },
    ]);
    // round a corner the difference is not known
    expect(put(withPiece(feed, over(now, 90))).findings[0]!.remedies).toHaveLength(1);
  });

  it('that is provisional is said, and holds nothing back', () => {
    const { findings, state } = put(withPiece(feed, { provisional: true }));
    expect([findings.map((f) => [f.rule, f.severity]), state]).toEqual([[['provisional', 'advice']], 'seals']);
    expect(cutTickets(jobOf([withPiece(feed, { provisional: true })])).tickets[0]!.provisional).toBe(true);
  });
});
