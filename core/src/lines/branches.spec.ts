import { leakAt } from '../audit/index.js';
import { judgedJob, judgedLine } from '../../testing/judged.js';
import fc from 'fast-check';
import { catalogue, document, feed, line, ports, withAngle, withPiece, withWay } from '../../testing/sample-job.js';
import { parseConnector } from '../connectors/index.js';
import { standardFittings } from '../fittings/index.js';
import { boundsOf, drawingToSvg, runSheet, type BalloonShape } from '../drawing/index.js';
import { userOfPort, type JobDocument, type KeptWay, type Port } from '../job/index.js';
import { partsList } from '../purchasing/index.js';
import { closingOf, usualWeights } from '../chains/index.js';
import {
  asKept,
  boreLeads,
  chooseTogether,
  differenceBetween,
  DRAIN_BORE_MM,
  gapOf,
  gapToHoseEnd,
  keptWay,
  placesForSensor,
  sensorMisfit,
  solveJob,
  waysAcross,
  waysToHoseEnd,
  type SolvedJob,
} from './index.js';

const hoseEnd = catalogue.hoseEnds.find((e) => e.id === 'end-ptfe-6-0')!;
const sensor: NonNullable<Port['sensor']> = { name: 'pressure switch', connector: parseConnector('m14x1.5 m washer'), movedTo: null };
const seated = { ...ports.gallery, sensor };
const withPorts = (change: Partial<JobDocument>, gallery: Port = seated): JobDocument => ({
  ...document,
  ports: document.ports.map((p) => (p.id === 'gallery' ? gallery : p)),
  ...change,
});
const kept = waysToHoseEnd(seated, hoseEnd, catalogue, { wishes: { keepSensor: true } }).ways[0]!;
const atA = asKept(kept);
const mine = (way: Partial<KeptWay> = {}) => withWay(feed, 0, way.fittings ?? atA.fittings, way.branches ?? atA.branches);
const assemble = (way: Partial<KeptWay>, d: JobDocument = withPorts({})) => {
  const own = mine(way);
  return judgedLine(own, { ...d, lines: [own, ...d.lines.slice(1)] }, catalogue);
};
const rules = (a: ReturnType<typeof assemble>) => a.findings.map((p) => p.rule);

describe('a displaced sensor', () => {
  it('is a problem until it has a place', () => {
    const bare = judgedLine(feed, withPorts({}), catalogue);
    expect(bare.findings).toMatchObject([{ rule: 'sensor-without-place', at: { way: 0, portId: 'gallery' }, severity: 'open' }]);
    expect(bare.findings[0]!.message).toContain('pressure switch');
  });

  it('stays on a tee of the line: every joint of the branch is numbered and seals', () => {
    const line = assemble({});
    expect(line.state).toBe('seals');
    const branch = line.joints.filter((j) => j.branch);
    expect(branch[branch.length - 1]!.title).toMatch(/to sensor$/);
    expect(line.joints.map((j) => j.number)).toEqual(line.joints.map((_, i) => i + 1));
    expect(new Set(line.joints.map((j) => j.id)).size).toBe(line.joints.length);
    expect(kept.jointCount).toBe(line.joints.filter((j) => j.way === 0).length);
  });

  it('moves to a free port that takes it, never to one that is used', () => {
    const spare: Port = { ...ports.gallery, id: 'spare', label: 'spare' };
    const held: Port = { ...spare, id: 'held', sensor };
    const d = withPorts({ ports: [...document.ports.filter((p) => p.id !== 'gallery'), seated, spare, held] });
    const places = placesForSensor(sensor.connector, seated, d, catalogue);
    expect(places[0]).toMatchObject({ port: { id: 'spare' }, chain: { fittings: [], jointCount: 1 } });
    expect(places.map((p) => p.port.id)).toEqual(['spare']);
    // a pressure sender goes to oil first, to what nobody knows of last, and never to water or a breather
    const called = (label: string): Port => ({ ...spare, id: label, label });
    const oil: Port = { ...seated, sensor: { ...sensor, name: 'oil pressure sender' } };
    const many = withPorts({
      ports: [
        ...document.ports.filter((p) => p.id !== 'gallery'),
        oil,
        ...['side port', 'water outlet', 'breather', 'main oil gallery'].map(called),
      ],
    });
    expect(placesForSensor(sensor.connector, oil, many, catalogue).map((p) => p.port.label)).toEqual(['main oil gallery', 'side port']);
    // a port whose own sensor has moved away is free, and the new one is not
    const away: Port = { ...held, sensor: { ...sensor, movedTo: { portId: 'spare', fittings: [] } } };
    const after = { ...d, ports: d.ports.map((p) => (p.id === 'held' ? away : p)) };
    expect(placesForSensor(sensor.connector, seated, after, catalogue).map((p) => p.port.id)).toEqual(['held']);
    expect([seated, spare, away, ports.pan].map((p) => userOfPort(p, { ...after, lines: document.lines.slice(1) }))).toMatchObject([
      { kind: 'sensor', name: sensor.name },
      { kind: 'sensor', from: { id: 'held' } },
      undefined,
      { kind: 'line', line: { number: 2 } },
    ]);
    const moved = (movedTo: NonNullable<Port['sensor']>['movedTo']) =>
      judgedLine(
        feed,
        { ...d, ports: d.ports.map((p) => (p.id === 'gallery' ? { ...seated, sensor: { ...sensor, movedTo } } : p)) },
        catalogue,
      );
    expect(moved({ portId: 'spare', fittings: [] }).state).toBe('seals');
    expect(moved({ portId: 'gone', fittings: [] }).findings[0]!.message).toContain('is gone');
    expect(moved({ portId: 'pan', fittings: [] }).findings[0]!.message).toContain('which L2 uses');
    expect(moved({ portId: 'spare', fittings: [{ id: 'an6m+an6m', inEnd: 0, outEnd: 1 }] }).findings[0]).toMatchObject({
      rule: 'sensor-place-leaks',
      severity: 'leak',
    });
  });

  it('is held against the port it is said to sit in', () => {
    const in_ = (port: string, own: string, movedTo: NonNullable<Port['sensor']>['movedTo'] = null) =>
      sensorMisfit({ connector: parseConnector(port), sensor: { name: 'sender', connector: parseConnector(own), movedTo } });
    expect(in_('rc 1/8 f', 'r 1/8 m')).toBeUndefined();
    expect(in_('m14x1.5 f washer', 'r 1/8 m')).toMatch(/^r 1\/8 m does not seal in m14x1.5 f washer: ./);
    expect(in_('npt 1/8 f', 'r 1/8 m')).toContain('does not seal in npt 1/8 f');
    expect(in_('npt 1/8 f', 'r 1/8 m', { portId: 'spare', fittings: [] })).toBeUndefined();
  });

  it('needs its parts and seals on the parts list', () => {
    const rows = partsList(judgedJob(withPorts({ lines: [mine()] }), catalogue)).rows;
    for (const { id } of kept.fittings) expect(rows.find((r) => r.id === id)?.quantity).toBeGreaterThan(0);
    const washers = rows.filter((r) => r.id.startsWith('washer copper')).reduce((sum, r) => sum + r.quantity, 0);
    expect(washers).toBe(kept.joints.concat(kept.branches[0]!.joints).filter((j) => j.kind === 'washer').length);
  });
});

describe('an open end', () => {
  const tee = [
    { id: 'm14x1.5mwasher+m14x1.5fwasher+m14x1.5fwasher', inEnd: 0, outEnd: 1 },
    { id: 'm14x1.5mwasher+an6m', inEnd: 0, outEnd: 1 },
  ];

  it('that nobody has leaks', () => {
    const line = assemble({ fittings: tee, branches: [] });
    expect(line.state).toBe('leaks');
    expect(line.findings.find((p) => p.rule === 'branch-open')!.message).toContain('is open');
  });

  it('is closed by a plug that seals, and not by one that does not', () => {
    const plug = (id: string) =>
      assemble({ fittings: tee, branches: [{ at: 0, end: 2, to: 'plug', fittings: [{ id, inEnd: 0, outEnd: 0 }] }] });
    expect(plug('m14x1.5mwasher').joints.find((j) => j.branch)!.mating.outcome).toBe('seals');
    expect(plug('m12x1.5mwasher').state).toBe('leaks');
    expect(rules(assemble({ fittings: tee, branches: [{ at: 0, end: 2, to: 'plug', fittings: [] }] }))).toContain('branch-open');
  });

  it('may end in a valve, behind an adapter too, and not in an adapter alone', () => {
    const all = { ...catalogue, fittings: standardFittings() };
    const ended = (...fittings: readonly { id: string; inEnd: number; outEnd: number }[]) => {
      const own = mine({ fittings: tee, branches: [{ at: 0, end: 2, to: 'plug', fittings: [...fittings] }] });
      return judgedLine(own, withPorts({ lines: [own] }, ports.gallery), all);
    };
    const valve = closingOf(parseConnector('m14x1.5 f washer'), all.fittings, 'valve')!;
    expect(valve.name).toMatch(/^Drain valve, m14x1.5/);
    expect(ended(...valve.links).state).toBe('seals');
    const behind = closingOf(parseConnector('an6 m'), all.fittings, 'valve')!;
    expect(behind.links).toHaveLength(2);
    const open = ended({ id: 'm14x1.5mwasher+an6m', inEnd: 0, outEnd: 1 });
    expect(open.state).toBe('leaks');
    expect(open.findings.find((f) => f.rule === 'branch-open')!.message).toMatch(/ends in .*, whose end an6 m is open\.$/);
    expect(ended({ id: 'm14x1.5mwasher+an6m', inEnd: 0, outEnd: 1 }, ...behind.links).state).toBe('seals');
  });

  it('given to another line wants its port, and a line from it', () => {
    const stub: Port = { ...ports.gallery, id: 'stub', label: 'branch of L1', openEnd: true };
    const branches = [{ at: 0, end: 2, to: 'line' as const, portId: 'stub', fittings: [] }];
    const other = line(7, { from: stub, to: ports.inlet, hose: 'ptfe-6', angles: [0, 45] });
    const own = mine({ fittings: tee, branches });
    const d = withPorts({ ports: [...document.ports, stub], lines: [own, other] }, ports.gallery);
    const put = judgedLine(own, d, catalogue);
    expect(put.ways[0]!.branches[0]).toMatchObject({ to: 'line', lineNumber: 7 });
    expect(rules(put)).toEqual([]);
    const told = (l: typeof own, on: JobDocument, rule: string) =>
      judgedLine(l, on, catalogue).findings.find((p) => p.rule === rule)?.message;
    expect(told(own, { ...d, lines: [own] }, 'branch-line-missing')).toContain('No line runs from');
    const wrong = { ...d, ports: d.ports.map((p) => (p.id === 'stub' ? { ...p, connector: parseConnector('an6 m') } : p)) };
    expect(judgedLine(own, wrong, catalogue).state).toBe('leaks');
    expect(told(other, { ...d, lines: [other] }, 'open-end-gone')).toContain('no longer there');
  });
});

describe('a chain whose part is gone', () => {
  it('is kept and flagged: drawn as it was while the part is remembered, named where it is not', () => {
    const retired = {
      ...catalogue,
      fittings: catalogue.fittings.map((f) => (f.id === 'm14x1.5mwasher+an6m' ? { ...f, retired: true } : f)),
    };
    const line = judgedLine(feed, document, retired);
    expect(line.ways[0]!.fittings).toHaveLength(1);
    expect(line.findings).toMatchObject([{ rule: 'part-retired', severity: 'risk' }]);
    const unknown = judgedLine(withWay(feed, 0, [{ id: 'ghost', inEnd: 0, outEnd: 1 }]), document, catalogue);
    expect(unknown.ways[0]!.fittings).toBeUndefined();
    expect(unknown.findings.find((p) => p.rule === 'part-gone')!.message).toContain('ghost');
  });
});

describe('a joint', () => {
  it('is sealed, needs something, leaks or is made', () => {
    const first = judgedLine(feed, document, catalogue);
    expect(first.joints.map((j) => j.state)).toEqual(['needs', 'sealed', 'sealed', 'sealed', 'sealed', 'needs']);
    const made = judgedLine({ ...feed, made: [first.joints[0]!.id, 'gone>gone'] }, document, catalogue);
    expect(made.joints[0]!.state).toBe('made');
    const wrong = withWay({ ...feed, made: first.joints.map((j) => j.id) }, 1, [{ id: 'orb4m+an6m', inEnd: 1, outEnd: 0 }]);
    expect(judgedLine(wrong, document, catalogue).joints.map((j) => j.state)).toContain('leaks');
  });
});

describe('the sheet of a line with a tee', () => {
  const drawing = runSheet(assemble({}), { width: 780, height: 362, jobNumber: '2403', system: 'metric' });
  it('has a balloon for every joint, branches too, and stays on the paper', () => {
    const balloons = drawing.shapes.filter((s): s is BalloonShape => s.kind === 'balloon');
    expect(balloons.map((b) => b.number).sort((a, b) => a - b)).toEqual(assemble({}).joints.map((j) => j.number));
    const box = boundsOf(drawing.shapes);
    expect([box.left, box.top].every((v) => v >= 0) && box.right <= 780 && box.bottom <= 362).toBe(true);
  });

  it('shows a throat where a fitting is narrower than the hose end', () => {
    const narrow = judgedLine(withAngle(withWay(feed, 1, [{ id: 'orb4m+an6m', inEnd: 1, outEnd: 0 }]), 'B', 0), document, catalogue);
    const sheet = runSheet(narrow, { width: 780, height: 362, jobNumber: '1', system: 'metric' });
    expect(sheet.shapes.some((s) => s.kind === 'area' && s.fill === 'throat')).toBe(true);
    expect(sheet.shapes.some((s) => s.kind === 'text' && s.text.startsWith('⌀'))).toBe(true);
  });

  it('is a file of its own as SVG, with nothing unescaped', () => {
    const svg = drawingToSvg({ ...drawing, title: '<script>&"' });
    expect(svg).toContain('<title>&#60;script&#62;&#38;&#34;</title>');
    expect(svg.match(/<g><title>Joint/g)).toHaveLength(assemble({}).joints.length);
    expect(svg).not.toMatch(/class=|var\(|NaN|undefined/);
  });
});

describe('ways', () => {
  it('are kept with their figures, whatever they were found for', () => {
    const again = keptWay(atA, gapToHoseEnd(seated, hoseEnd), catalogue)!;
    for (const figure of ['jointCount', 'priceMinor', 'lengthMm', 'leastBoreMm', 'name', 'toOrder'] as const)
      expect(again[figure]).toBe(kept[figure]);
    expect(
      keptWay({ fittings: [{ id: 'ghost', inEnd: 0, outEnd: 1 }], branches: [] }, gapToHoseEnd(seated, hoseEnd), catalogue),
    ).toBeUndefined();
  });

  it('differ by the parts one has and the other has not, counted', () =>
    expect(differenceBetween(['a', 'b', 'b'], ['b', 'c'])).toEqual({ more: ['a', 'b'], less: ['c'] }));
});

describe('a whole job', () => {
  const solve = (d: JobDocument, decidedToo = false): { solved: SolvedJob; steps: number } => {
    const job = judgedJob(d, catalogue);
    const work = solveJob(job, { weights: usualWeights, decidedToo, leakAt: leakAt(job) });
    for (let steps = 0; ; steps++) {
      const next = work.next();
      if (next.done) return { solved: next.value, steps };
    }
  };
  const open = (l: typeof feed) => withWay(withWay(l, 0, null), 1, null);
  const checked = { at: null, digest: {} };

  it('takes of a drain what its list has first: the fewest joints, and the widest of them', () => {
    const drainOf = (service: 'turbo-drain' | 'cooler') => ({ ...document, lines: [{ ...open(document.lines[1]!), service }] });
    for (const { at, way } of solve(drainOf('turbo-drain')).solved.ends) {
      const { lines } = judgedJob(drainOf('turbo-drain'), catalogue);
      const listed = waysAcross(gapOf(lines[0]!.ways[at]!)!, catalogue, { weights: usualWeights, boreLeads: true }).ways;
      expect([way!.jointCount, way!.leastBoreMm]).toEqual([listed[0]!.jointCount, listed[0]!.leastBoreMm]);
      expect(Math.min(...listed.map((w) => w.leastBoreMm))).toBeGreaterThanOrEqual(DRAIN_BORE_MM);
      const same = listed.filter((w) => w.jointCount === listed[0]!.jointCount).map((w) => w.leastBoreMm);
      expect(same).toEqual([...same].sort((a, b) => b - a));
    }
    expect(boreLeads(drainOf('cooler').lines[0]!)).toBe(false);
  });

  it('solves the open ends, leaves decided and checked ones alone, and says what it cannot', () => {
    const noHose = withPiece(open(document.lines[2]!), { hose: null, endA: null, endB: null });
    const d = { ...document, lines: [open(feed), { ...document.lines[1]!, checked }, noHose] };
    const { solved, steps } = solve(d);
    expect(steps).toBe(4);
    expect(solved.ends.map((e) => [e.lineNumber, e.at, e.way?.jointCount, e.why])).toEqual([
      [1, 0, 2, undefined],
      [1, 1, 2, undefined],
      [3, 0, undefined, 'No hose is chosen yet.'],
      [3, 1, undefined, 'No hose is chosen yet.'],
    ]);
    expect(solved.proven).toBe(true);
    expect(solve(document).solved.ends).toEqual([]);
    expect(solve(document, true).solved.ends.some((e) => e.same)).toBe(true);
  });

  it('solves ends that leak as well, and says what leaks there', () => {
    const leaking = withWay(feed, 1, [{ id: 'orb4m+an6m', inEnd: 1, outEnd: 0 }]);
    const { ends } = solve({ ...document, lines: [leaking] }).solved;
    expect(ends.map((e) => [e.at, e.same, e.way?.jointCount])).toEqual([[1, false, 2]]);
    expect(ends[0]!.leaks).toMatch(/^Joint 6 does not join: /);
    // what leaks is not as it was when it was checked
    expect(solve({ ...document, lines: [{ ...leaking, checked }] }).solved.ends).toHaveLength(1);
  });

  it('counts the shelf down: what decided ends take is not there for the others', () => {
    const part = 'm14x1.5mwasher+an6m';
    const stocked = (shelf: number) => ({
      ...catalogue,
      fittings: catalogue.fittings.map((f) => (f.id === part ? { ...f, shelf, leadDays: 4 } : { ...f, shelf: 0, priceMinor: 90_000 })),
    });
    const other = (id: string): Port => ({ ...ports.gallery, id, label: id });
    const lines = ['one', 'two', 'three'].map((id, i) => ({
      ...withWay(feed, 0, i === 0 ? [{ id: part, inEnd: 0, outEnd: 1 }] : null),
      id,
      number: i + 1,
      order: i,
      portA: id,
    }));
    const d = { ...document, ports: [...document.ports, ...['one', 'two', 'three'].map(other)], lines };
    const supply = (shelf: number) => {
      const work = solveJob(judgedJob(d, stocked(shelf)), { weights: usualWeights });
      let next = work.next();
      while (!next.done) next = work.next();
      return next.value.ends.map((e) => [e.lineNumber, e.toOrder, e.leadDays]);
    };
    expect(supply(3)).toEqual([
      [2, 0, 0],
      [3, 0, 0],
    ]);
    expect(supply(2)).toEqual([
      [2, 0, 0],
      [3, 1, 4],
    ]);
    expect(supply(1)).toEqual([
      [2, 1, 4],
      [3, 1, 4],
    ]);
  });

  it('keeps a displaced sensor on a tee without being told', () => {
    const { solved } = solve(withPorts({ lines: [open(feed)] }));
    expect(solved.ends[0]!.way!.branches.map((b) => b.to)).toContain('sensor');
  });

  it('takes parts that others take where they are as good, as trying all combinations does', () => {
    const choice = fc.record({ parts: fc.subarray(['a', 'b', 'c', 'd', 'e'], { maxLength: 3 }), cost: fc.integer({ min: 0, max: 60 }) });
    const ends = fc.array(fc.array(choice, { minLength: 1, maxLength: 4 }), { maxLength: 5 });
    const costs = fc.integer({ min: 0, max: 40 });
    const shelves = fc.dictionary(fc.constantFrom('a', 'b', 'c'), fc.integer({ min: 0, max: 3 }));
    fc.assert(
      fc.property(ends, fc.subarray(['a', 'b']), costs, shelves, costs, (choices, used, further, kept, shortCost) => {
        const already = new Set<string>(used);
        const cost = (chosen: readonly number[]): number => {
          const pieces = chosen.flatMap((c, i) => choices[i]![c]!.parts);
          const short = Object.entries(kept).map(([part, n]) => Math.max(0, pieces.filter((p) => p === part).length - n));
          return (
            chosen.reduce((sum, c, i) => sum + choices[i]![c]!.cost, 0) +
            further * new Set(pieces.filter((p) => !already.has(p))).size +
            shortCost * short.reduce((a, b) => a + b, 0)
          );
        };
        const every = choices.reduce<number[][]>((lists, ways) => lists.flatMap((l) => ways.map((_, i) => [...l, i])), [[]]);
        const shelf = { left: new Map(Object.entries(kept)), shortCost };
        const { chosen, cost: found, proven } = chooseTogether(choices, already, further, shelf);
        expect(proven).toBe(true);
        expect(cost(chosen)).toBe(found);
        expect(found).toBe(Math.min(...every.map(cost)));
      }),
    );
  });
});
