import fc from 'fast-check';
import { breather, catalogue, document, drain, feed, jobOf, ports, withPiece, withWay } from '../../testing/sample-job.js';
import { runCommands, type Command } from '../commands/index.js';
import { parseConnector } from '../connectors/index.js';
import { holds } from '../findings/index.js';
import type { JobDocument, Line } from '../job/index.js';
import { judgeJob, type JudgedJob } from '../audit/index.js';
import { judgedLine } from '../../testing/judged.js';
import { assembleJob, assembleLine, jointKey } from './index.js';

describe('a whole job put together', () => {
  const job = jobOf();

  it('finds line, joint, part, port and component by what they are called', () => {
    expect(job.lineById.get('line2')!.line).toBe(drain);
    expect(job.jointByKey.get(jointKey('line1', 'A>0m'))).toMatchObject({ line: { line: { number: 1 } }, joint: { number: 1 } });
    expect(job.linesByPart.get('end-ptfe-10-90')!.map((l) => l.line.number)).toEqual([2]);
    expect(job.userByPort.get('gallery')).toMatchObject({ kind: 'line', line: { number: 1 } });
    expect(job.portById.get('vent')!.componentId).toBe('block');
    expect(job.componentById.get('turbo')!.kind).toBe('turbo');
    expect(job.findings.filter(holds)).toEqual([]);
  });

  it('is a graph of components and lines, with what they connect', () => {
    const { graph } = job;
    expect(graph.nodes.get('block')!.ports.map((p) => p.id)).toEqual(['gallery', 'pan', 'vent']);
    expect(graph.edgesAt.get('block')!.map((e) => e.line.line.number)).toEqual([1, 2, 3]);
    expect(graph.edges.map((e) => [e.from, e.to])).toEqual([
      ['block', 'turbo'],
      ['turbo', 'block'],
      ['block', 'turbo'],
    ]);
    expect(graph.circuits).toEqual([['block', 'turbo']]);
    expect(jobOf([]).graph.circuits).toEqual([]);
  });

  it('knows a line that starts on the tee of another', () => {
    const stub = { ...ports.gallery, id: 'stub', openEnd: true };
    const tee = { id: 'm14x1.5mwasher+m14x1.5fwasher+m14x1.5fwasher', inEnd: 0, outEnd: 1 };
    const first = withWay(feed, 0, [tee], [{ at: 0, end: 2, to: 'line', portId: 'stub', fittings: [] }]);
    const second: Line = { ...drain, portA: 'stub' };
    const { graph } = jobOf([first, second], { ports: [...document.ports, stub] });
    expect(graph.edges.map((e) => e.offLine)).toEqual([undefined, 'line1']);
  });

  it('puts together only what an edit touches', () => {
    const { facts } = job;
    const edited = assembleJob({ ...document, lines: [feed, withPiece(drain, { slackPercent: 3 }), breather] }, catalogue, facts);
    expect(edited.lines.map((l, i) => l === facts.lines[i])).toEqual([true, false, true]);
    const named = assembleJob({ ...document, job: { ...document.job, name: 'Other' } }, catalogue, facts);
    expect([named.lines.every((l, i) => l === facts.lines[i]), named.graph === facts.graph, named.jointByKey === facts.jointByKey]).toEqual(
      [true, true, true],
    );
    const priced = { ...catalogue, fittings: catalogue.fittings.map((f) => (f.id === 'orb6m+an6m' ? { ...f, priceMinor: 1 } : f)) };
    expect(assembleJob(document, priced, facts).lines.map((l, i) => l === facts.lines[i])).toEqual([false, true, true]);
    expect(assembleJob(facts.document, catalogue, facts, facts.shop)).toBe(facts);
  });

  it('puts together anew what rests on a part that the line does not name: a plug that is offered, and then retired', () => {
    const tee = { id: 'm14x1.5mwasher+m14x1.5fwasher+m14x1.5fwasher', inEnd: 0, outEnd: 1 };
    const stub = { ...ports.gallery, id: 'stub', openEnd: true };
    const open = withWay(feed, 0, [tee], [{ at: 0, end: 2, to: 'line', portId: 'stub', fittings: [] }]);
    const first = jobOf([open], { ports: [...document.ports, stub] });
    const offered = (job_: JudgedJob): string | undefined =>
      job_.findings.find((f) => f.rule === 'branch-line-missing')!.remedies[0]?.label.replace('Close it: ', '');
    const plug = offered(first)!;
    const without = { ...catalogue, fittings: catalogue.fittings.map((f) => (f.name === plug ? { ...f, retired: true } : f)) };
    expect(offered(judgeJob(first.document, without, first))).not.toBe(plug);
  });

  it('comes to the same whether it is put together at once or edit by edit', () => {
    const connectors = ['m14x1.5 f washer', 'orb6 f', 'an6 m', 'npt 1/2 f'].map(parseConnector);
    const sensor = { name: 'sender', connector: parseConnector('m14x1.5 m washer') };
    const edit = fc.tuple(fc.nat({ max: 6 }), fc.nat({ max: 5 }), fc.nat({ max: 3 }));
    const after = (d: JobDocument, [what, n, v]: [number, number, number]): JobDocument => {
      const port = d.ports[n % d.ports.length]!;
      const put = (change: Partial<typeof port>) => ({ ...d, ports: d.ports.map((p) => (p === port ? { ...p, ...change } : p)) });
      const line = d.lines[n % 3]!;
      const putLine = (next: Line) => ({ ...d, lines: d.lines.map((l) => (l === line ? next : l)) });
      if (what === 0) return put({ connector: connectors[v]! });
      if (what === 1)
        return put({ sensor: v === 0 ? null : { ...sensor, movedTo: v === 1 ? null : { portId: d.ports[v]!.id, fittings: [] } } });
      if (what === 2) return putLine(withPiece(line, { slackPercent: v, length: v === 0 ? null : { mm: 300 * v, as: 'taped' } }));
      if (what === 3) return putLine(withWay(line, v % 2, v < 2 ? null : [{ id: 'orb6m+an6m', inEnd: 0, outEnd: 1 }]));
      if (what === 4) return { ...d, components: d.components.map((c, i) => (i === n % 2 ? { ...c, name: `Component ${v}` } : c)) };
      if (what === 5) return putLine({ ...line, checked: v < 2 ? null : { at: null, digest: assembleLine(line, d, catalogue).digest } });
      return putLine({ ...line, order: v });
    };
    fc.assert(
      fc.property(fc.array(edit, { minLength: 1, maxLength: 8 }), (edits) => {
        let d: JobDocument = document;
        let assembled: JudgedJob = job;
        for (const step of edits) assembled = judgeJob((d = after(d, step)), catalogue, assembled);
        const whole = judgeJob(d, catalogue);
        expect(assembled.lines).toEqual(whole.lines);
        expect(assembled.findings).toEqual(whole.findings);
        expect([...assembled.userByPort]).toEqual([...whole.userByPort]);
        expect(assembled.graph.circuits).toEqual(whole.graph.circuits);
      }),
      { numRuns: 50 },
    );
  });
});

/** The sample feed as the first version noted it when it was checked. */
const notedBefore = {
  service: '096r7ot1p14',
  'port A': '1lc5t3tqmys',
  'port B': '1l4f4wxwokk',
  'way at A': '0y95ilpdauk',
  'way at B': '16n28642jb4',
  hose: '0r7y2urizry',
  'length of hose': '2aaczt54bqn',
  'part Adapter, m14x1.5 m washer to an6 m': '26x13mdk33y',
  'part Adapter, orb6 m to an6 m': '06aus5cslez',
  'part PTFE hose, steel braid, -6': '0unr86fuyt1',
  'part Olive end -6, straight, 37° swivel': '0wmr5jxi4wf',
  'part Olive end -6, 45°, 37° swivel': '16yn025f6u7',
  verdicts: '1s4cta0ox4z',
};

describe('a line that was checked', () => {
  const checked = { at: '2026-11-25T08:00:00.000Z', digest: assembleLine(feed, document, catalogue).digest };
  const signed: Line = { ...feed, checked };
  const told = (l: Line, d = document, c = catalogue): string | undefined => {
    const { findings, state } = judgedLine(l, d, c);
    const { message } = findings.find((f) => f.rule === 'changed-since-checked') ?? {};
    expect(state === 'checked').toBe(message === undefined && state !== 'leaks');
    return message;
  };

  it('is so as long as nothing that bears on it has changed: not what anything is called, costs, weighs, or whether it is still offered', () => {
    expect(told(signed)).toBeUndefined();
    expect(told({ ...signed, name: 'Other', note: 'x', order: 9, made: ['A>0m'], number: 4 })).toBeUndefined();
    const listed = { currency: 'USD', minor: 900 } as const;
    const shop = { priceMinor: 1, shelf: 3, massG: 1, code: 'x', supplier: 'y', listed, retired: true, source: 'z' };
    const other = <P extends { name: string }>(parts: readonly P[]): P[] => parts.map((p) => ({ ...p, ...shop, name: `${p.name} B` }));
    const renamed = {
      ...catalogue,
      fittings: other(catalogue.fittings),
      hoses: other(catalogue.hoses),
      hoseEnds: other(catalogue.hoseEnds),
    };
    const { findings } = judgedLine(signed, document, renamed);
    expect(new Set(findings.map((f) => f.rule))).toEqual(new Set(['part-retired']));
    const called = <R extends { id: string }>(rows: readonly R[], field: 'name' | 'label'): R[] =>
      rows.map((r) => ({ ...r, [field]: 'B' }));
    expect(
      told(signed, { ...document, components: called(document.components, 'name'), ports: called(document.ports, 'label') }),
    ).toBeUndefined();
  });

  it('is not when it was taken to another port, though that has the same thread', () => {
    const twin = { ...document.ports.find((p) => p.id === 'gallery')!, id: 'twin', label: 'twin' };
    const there = { ...document, ports: [...document.ports, twin], lines: document.lines.map((l) => (l.id === feed.id ? signed : l)) };
    const run = (commands: Command[]) => runCommands(there, commands, { newId: () => 'new', parts: catalogue }).document;
    const moved = run([{ do: 'edit-line', id: feed.id, version: feed.version, set: { portA: 'twin' } }]);
    const line = moved.lines.find((l) => l.id === feed.id)!;
    expect(told({ ...line, ways: signed.ways }, moved)).toBe('Changed since it was checked: port A.');
  });

  it('stays checked as it was noted in an earlier version, until something changes', () => {
    const before: Line = { ...feed, checked: { at: null, digest: notedBefore } };
    expect(told(before)).toBeUndefined();
    expect(told(withPiece(before, { length: { mm: 700, as: 'taped' } }))).toBe('Changed since it was checked: length of hose.');
    const part = feed.ways[0]!.chosen!.fittings[0]!.id;
    const longer = { ...catalogue, fittings: catalogue.fittings.map((f) => (f.id === part ? { ...f, lengthMm: 99 } : f)) };
    expect(told(before, document, longer)).toContain('Changed since it was checked: part ');
  });

  it.each<[string, string, Line]>([
    ['its length', 'length of hose', withPiece(signed, { length: { mm: 700, as: 'taped' } })],
    ['its hose end', 'hose, length of hose', withPiece(signed, { endA: 'end-ptfe-6-90' })],
    ['its way', 'way at A', withWay(signed, 0, [{ id: 'm14x1.5mwasher+an6m@45', inEnd: 0, outEnd: 1 }])],
    ['what it carries', 'service', { ...signed, service: 'return' }],
  ])('says by itself that %s has changed', (_, what, line) => expect(told(line)).toContain(`Changed since it was checked: ${what}`));

  it('sees what changes beside it: a port in the survey, a part in the store', () => {
    const ports_ = document.ports.map((p) => (p.id === 'inlet' ? { ...p, connector: parseConnector('an6 m') } : p));
    expect(told(signed, { ...document, ports: ports_ })).toBe('Changed since it was checked: port B.');
    const part = feed.ways[0]!.chosen!.fittings[0]!.id;
    const { name } = catalogue.fittings.find((f) => f.id === part)!;
    const longer = { ...catalogue, fittings: catalogue.fittings.map((f) => (f.id === part ? { ...f, lengthMm: 99 } : f)) };
    expect(told(signed, document, longer)).toBe(`Changed since it was checked: part ${name}.`);
  });

  it('is checked again by itself when the change is taken back, and by hand', () => {
    const changed = withPiece(signed, { slackPercent: 5 });
    expect(told(changed)).toContain('length of hose');
    expect(told(withPiece(changed, { slackPercent: 0 }))).toBeUndefined();
    expect(told({ ...changed, checked: { at: null, digest: assembleLine(changed, document, catalogue).digest } })).toBeUndefined();
  });

  it('of an earlier version, of which nothing was noted, stays checked', () =>
    expect(told({ ...feed, checked: { at: null, digest: {} } })).toBeUndefined());
});
