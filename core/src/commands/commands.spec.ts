import { randomUUID } from 'node:crypto';
import { catalogue, document, feed, ports } from '../../testing/sample-job.js';
import { parseConnector } from '../connectors/index.js';
import { differenceOf, type JobDocument, type Port } from '../job/index.js';
import { freeName } from './free-name.js';
import { CommandError, rowIds, runCommands, type Command, type CommandContext } from './index.js';

const KEY = '11111111-2222-4333-8444-0000000000fe';
const context = (): CommandContext => ({ newId: rowIds(randomUUID()), parts: catalogue });
const run = (commands: Command | Command[], d: JobDocument = document) => runCommands(d, [commands].flat(), context());
const refused = (commands: Command | Command[], d: JobDocument = document): CommandError => {
  try {
    run(commands, d);
  } catch (error) {
    if (error instanceof CommandError) return error;
    throw error;
  }
  throw new Error('carried out');
};
const port = (d: JobDocument, id: string): Port | undefined => d.ports.find((p) => p.id === id);

describe('rowIds', () => {
  it('counts on from the key, round the end, and gives the same ids again', () => {
    const next = rowIds(KEY);
    expect([next(), next()]).toEqual(['11111111-2222-4333-8444-0000000000ff', '11111111-2222-4333-8444-000000000100']);
    expect(rowIds('11111111-2222-4333-8444-ffffffffffff')()).toBe('11111111-2222-4333-8444-000000000000');
  });
});

describe('freeName', () => {
  it.each([
    ['Turbo', [], 'Turbo 2'],
    ['Turbo', ['Turbo 2'], 'Turbo 3'],
    ['Turbo 2', ['Turbo', 'Turbo 2'], 'Turbo 3'],
    ['Cooler 7', [], 'Cooler 2'],
    ['x'.repeat(80), [], `${'x'.repeat(74)} 2`],
    ['🛢️'.repeat(40), [], `${'🛢️'.repeat(37)} 2`],
  ])('of %s beside %j is %s', (name, taken, free) => expect(freeName(name, taken)).toBe(free));
});

describe('commands', () => {
  it('leave the job as it was where one of them cannot be carried out', () => {
    const before = JSON.stringify(document);
    expect(
      refused([
        { do: 'duplicate-port', id: 'gallery' },
        { do: 'delete-port', id: 'inlet', version: 1 },
      ]).code,
    ).toBe('port-in-use');
    expect(JSON.stringify(document)).toBe(before);
  });

  it('give no row the id of another, of whatever type, nor of the job', () => {
    for (const id of ['gallery', 'line1', document.job.id])
      expect(refused({ do: 'add-component', id, kind: 'pan', name: 'Pan' }).code).toBe('id-taken');
  });

  it('give a row one new version a change, however often it is touched', () => {
    const way = (at: number): Command => ({ do: 'take-way', id: 'line1', version: 3, at, fittings: [], branches: [] });
    const done = run([way(0), way(1)]);
    expect(done.document.lines[0]!.version).toBe(4);
    expect(done.label).toBe('Take the ways of 2 ends');
    expect(differenceOf(document, done.document)).toMatchObject({
      put: [{ type: 'line', row: { id: 'line1' } }],
      before: [{ row: feed }],
      removed: [],
    });
  });

  it('are told of a version that is not the one they saw, with the row as it stands', () => {
    const error = refused({ do: 'edit-line', id: 'line1', version: 2, set: { name: 'x' } });
    expect([error.code, error.current]).toEqual(['conflict', feed]);
    const shown = runCommands(document, [{ do: 'edit-line', id: 'line1', version: 2, set: { name: 'x' } }], {
      ...context(),
      versions: 'ignore',
    });
    expect(shown.document.lines[0]!.name).toBe('x');
  });

  it('say what they did', () => {
    const label = (command: Command) => run(command).label;
    expect(label({ do: 'edit-job', version: 1, set: { archived: true } })).toBe('Archive job 2403');
    expect(label({ do: 'edit-line', id: 'line1', version: 3, set: { name: 'Line 1', note: '' } })).toBe('Edit L1 Line 1: name, note');
    expect(label({ do: 'edit-piece', id: 'line1', version: 3, piece: 'p1', set: { length: null, slackPercent: 3 } })).toBe(
      'Edit L1 Line 1: length, slack',
    );
    expect(label({ do: 'delete-line', id: 'line2', version: 3 })).toBe('Delete L2 Line 2');
  });
});

describe('lines', () => {
  const other: Port = { ...ports.gallery, id: 'free', label: 'free' };
  const withFree = { ...document, ports: [...document.ports, other] };

  it('take the next number, the name of their service, and both ports', () => {
    const d = { ...document, ports: [...document.ports, other, { ...other, id: 'free2' }] };
    const made = run({ do: 'add-line', service: 'breather', fromPortId: 'free', toPortId: 'free2' }, d).document.lines[3]!;
    expect(made).toMatchObject({
      number: 4,
      name: 'Breather',
      pieces: [{ hose: null, endA: null, endB: null, length: null, source: 'cut' }],
      ways: [{ chosen: null }, { chosen: null }],
      checked: null,
      portA: 'free',
    });
    const bare = run({ do: 'add-line', service: 'cooler', hose: false, fromPortId: 'free', toPortId: 'free2' }, d).document.lines[3]!;
    expect(bare).toMatchObject({ pieces: [], ways: [{ chosen: null }] });
  });

  it('have what is said of their hose at once, with the ends that are made for it; fittings alone have no hose to say it of', () => {
    const add = { do: 'add-line', service: 'other', fromPortId: 'free', toPortId: 'free2' } as const;
    const d = { ...document, ports: [...document.ports, other, { ...other, id: 'free2' }] };
    const piece = { hose: feed.pieces[0]!.hose, length: { mm: 620, as: 'taped' as const } };
    const [made] = run({ ...add, piece }, d).document.lines[3]!.pieces;
    expect(made).toMatchObject({ hose: piece.hose, length: { mm: 620, as: 'taped' }, endA: expect.stringContaining('end-') as string });
    expect(() => run({ ...add, piece: { hose: 'no such hose' } }, d)).toThrow(/hose/);
    expect(() => run({ ...add, hose: false, piece }, d)).toThrow('A line of fittings alone has no hose to decide on.');
  });

  it.each<[string, Command, string, RegExp]>([
    ['from a port to itself', { do: 'add-line', service: 'other', fromPortId: 'free', toPortId: 'free' }, 'same-port', /to itself/],
    [
      'on a port that is used',
      { do: 'add-line', service: 'other', fromPortId: 'free', toPortId: 'inlet' },
      'port-in-use',
      /already used by L1/,
    ],
    ['on a port of no job', { do: 'add-line', service: 'other', fromPortId: 'free', toPortId: 'x' }, 'not-found', /not in this job/],
    [
      'of a hose nobody makes',
      { do: 'edit-piece', id: 'line1', version: 3, piece: 'p1', set: { hose: 'string' } },
      'bad-value',
      /no hose "string"/,
    ],
    [
      'with an end nobody makes',
      { do: 'edit-piece', id: 'line1', version: 3, piece: 'p1', set: { endA: 'end-ptfe-6-17' } },
      'bad-value',
      /no hose end/,
    ],
    [
      'with a piece that is not there',
      { do: 'edit-piece', id: 'line1', version: 3, piece: 'p9', set: { length: null } },
      'not-found',
      /no such hose/,
    ],
    [
      'with a way that is not there',
      { do: 'take-way', id: 'line1', version: 3, at: 2, fittings: [], branches: [] },
      'not-found',
      /no such place/,
    ],
    ['that is not there', { do: 'delete-line', id: 'line9', version: 1 }, 'not-found', /not in this job/],
  ])('are refused %s', (_, command, code, words) => {
    const error = refused(command, withFree);
    expect([error.code, words.test(error.message)]).toEqual([code, true]);
  });

  it('stay signed off until that is taken back: what changes in them is seen, not noted', () => {
    const checked = { at: '2026-11-25T08:00:00.000Z', digest: { service: 'x' } };
    const signed = run({ do: 'check-line', id: 'line1', version: 3, checked });
    expect([signed.label, signed.document.lines[0]!.checked]).toEqual(['Check L1 Line 1', checked]);
    const edited = run(
      { do: 'edit-piece', id: 'line1', version: 4, piece: 'p1', set: { length: { mm: 1, as: 'taped' } } },
      signed.document,
    );
    expect(edited.document.lines[0]!.checked).toEqual(checked);
    expect(run({ do: 'check-line', id: 'line1', version: 4, checked: null }, signed.document).document.lines[0]!.checked).toBeNull();
  });

  it('lose the way at a port that is changed, and the ways pinned for it; what is wished stays', () => {
    const pinned = [{ fittings: [], branches: [] }];
    for (const wishes of [{ use: ['nowhere'] }, { avoid: ['nowhere'] }])
      expect(() => run({ do: 'edit-way', id: 'line1', version: 3, at: 0, set: { wishes } })).toThrow(
        'Fitting "nowhere" is not in the catalogue.',
      );
    const wishes = { turnDeg: 90 };
    const wished = run({ do: 'edit-way', id: 'line1', version: 3, at: 0, set: { pinned, wishes } }, withFree).document;
    expect(wished.lines[0]!.ways[0]).toEqual({ ...feed.ways[0], pinned, wishes });
    const moved = run({ do: 'edit-line', id: 'line1', version: 4, set: { portA: 'free' } }, wished).document.lines[0]!;
    expect(moved.ways).toEqual([{ chosen: null, wishes }, feed.ways[1]]);
  });
});

describe('an open end given to another line', () => {
  const tee = 'm14x1.5mwasher+m14x1.5fwasher+m14x1.5fwasher';
  const fittings = [{ id: tee, inEnd: 0, outEnd: 1 }];
  const branch = { at: 0, end: 2, to: 'line' as const, fittings: [] };
  const take = (d: JobDocument, more: Partial<Extract<Command, { do: 'take-way' }>> = {}) =>
    run(
      {
        do: 'take-way',
        id: 'line1',
        version: d.lines.find((l) => l.id === 'line1')!.version,
        at: 0,
        fittings,
        branches: [branch],
        ...more,
      },
      d,
    ).document;
  const branched = take(document);
  const stub = branched.ports.find((p) => p.openEnd)!;
  const gauge: Port = { ...ports.gallery, id: 'gauge', label: 'gauge' };
  const used = run(
    { do: 'add-line', id: 'aaaaaaaa-0000-4000-8000-000000000000', service: 'other', fromPortId: stub.id, toPortId: 'gauge' },
    { ...branched, ports: [...branched.ports, gauge] },
  ).document;

  it('gets a port that stands for it', () => {
    expect(stub).toMatchObject({ label: 'branch of L1, end A', connector: parseConnector('m14x1.5 f washer'), componentId: 'block' });
    expect(branched.lines[0]!.ways[0]!.chosen!.branches).toEqual([{ ...branch, portId: stub.id }]);
  });

  it('is gone with its tee, with its way and with its line', () => {
    const plain = { fittings: [], branches: [] };
    expect(take(branched, plain).ports.some((p) => p.openEnd)).toBe(false);
    expect(run({ do: 'delete-line', id: 'line1', version: 4 }, branched).document.ports.some((p) => p.openEnd)).toBe(false);
    const other: Command = { do: 'edit-piece', id: 'line1', version: 4, piece: 'p1', set: { hose: 'hose-ptfe-8' } };
    expect(run(other, branched).document.ports.some((p) => p.openEnd)).toBe(false);
  });

  it('stays while a line runs from it, and goes with that line', () => {
    const bare = take(used, { fittings: [], branches: [] });
    expect(port(bare, stub.id)).toEqual(stub);
    const second = bare.lines.find((l) => l.id.startsWith('aaaaaaaa'))!;
    expect(port(run({ do: 'delete-line', id: second.id, version: second.version }, bare).document, stub.id)).toBeUndefined();
  });

  it('is taken over by another tee at the same end, with the line that runs from it', () => {
    const turned = take(used, { fittings: [{ id: tee, inEnd: 0, outEnd: 2 }], branches: [{ ...branch, end: 1 }] });
    expect(turned.lines[0]!.ways[0]!.chosen!.branches).toEqual([{ ...branch, end: 1, portId: stub.id }]);
    expect(turned.ports.filter((p) => p.openEnd)).toHaveLength(1);
  });

  it.each([
    ['a port that is no open end', [{ ...branch, portId: 'drain' }]],
    ["another line's open end", [{ ...branch, portId: 'foreign' }]],
    ['a port of nowhere', [{ ...branch, portId: 'nowhere' }]],
    ['an end the fitting does not have', [{ ...branch, end: 3 }]],
    ['an end that is not open', [{ ...branch, end: 1 }]],
    ['a fitting that is not there', [{ ...branch, at: 1 }]],
    ['an open end twice', [branch, { ...branch, to: 'plug' as const }]],
    ['a sensor that nobody logged', [{ ...branch, to: 'sensor' as const, portId: 'gallery' }]],
    ['a port for a plug', [{ ...branch, to: 'plug' as const, portId: 'gallery' }]],
    ['a part nobody has', [{ ...branch, fittings: [{ id: 'ghost', inEnd: 0, outEnd: 1 }] }]],
  ])('is refused with %s, and every port stays', (_, branches) => {
    const foreign: Port = { ...stub, id: 'foreign' };
    const d = { ...document, ports: [...document.ports, foreign] };
    expect(refused({ do: 'take-way', id: 'line1', version: 3, at: 0, fittings, branches }, d).code).toBe('bad-value');
  });

  it('cannot be deleted or given another thread by hand, nor copied as one', () => {
    expect(refused({ do: 'delete-port', id: stub.id, version: 1 }, branched).message).toContain('open end of L1');
    expect(refused({ do: 'edit-port', id: stub.id, version: 1, set: { notation: 'an6 m' } }, branched).code).toBe('bad-value');
    expect(run({ do: 'duplicate-component', id: 'block' }, branched).document.ports.filter((p) => p.openEnd)).toHaveLength(1);
  });
});

describe('sensors', () => {
  const spare: Port = { ...ports.gallery, id: 'spare', label: 'spare' };
  const seat = (movedTo: { portId: string; fittings: { id: string; inEnd: number; outEnd: number }[] } | null): Command => ({
    do: 'edit-port',
    id: 'gallery',
    version: 1,
    set: { sensor: { name: ' switch ', notation: 'm14x1.5 m washer', movedTo } },
  });
  const d = { ...document, ports: [...document.ports, spare] };

  it('sit in a port by their notation, and leave it again', () => {
    const seated = run(seat(null), d).document;
    expect(port(seated, 'gallery')!.sensor).toEqual({ name: 'switch', connector: parseConnector('m14x1.5 m washer'), movedTo: null });
    expect(port(run({ do: 'edit-port', id: 'gallery', version: 2, set: { sensor: null } }, seated).document, 'gallery')).not.toHaveProperty(
      'sensor',
    );
  });

  it.each([
    ['inlet', 'port-in-use'],
    ['gallery', 'not-found'],
    ['nowhere', 'not-found'],
  ])('do not move to %s', (portId, code) => expect(refused(seat({ portId, fittings: [] }), d).code).toBe(code));

  it('move to a free port with parts that are there, and have no place again when it goes', () => {
    expect(refused(seat({ portId: 'spare', fittings: [{ id: 'ghost', inEnd: 0, outEnd: 1 }] }), d).code).toBe('bad-value');
    const moved = run(seat({ portId: 'spare', fittings: [] }), d).document;
    expect(port(moved, 'gallery')!.sensor!.movedTo).toEqual({ portId: 'spare', fittings: [] });
    // the new port is the sensor's, for lines too; the old one is free for another sensor
    const line: Command = { do: 'add-line', service: 'return', fromPortId: 'spare', toPortId: 'pan' };
    expect(refused(line, { ...moved, lines: [] }).message).toContain('holds the switch of port gallery');
    const other: Command = { ...seat({ portId: 'gallery', fittings: [] }), id: 'third' } as Command;
    const third: Port = { ...spare, id: 'third', label: 'third' };
    expect(refused(other, { ...moved, ports: [...moved.ports, third] }).code).toBe('port-in-use');
    const free = { ...moved, ports: [...moved.ports, third], lines: [] };
    expect(port(run(other, free).document, 'third')!.sensor!.movedTo!.portId).toBe('gallery');
    const { put } = differenceOf(moved, run({ do: 'delete-port', id: 'spare', version: 1 }, moved).document);
    expect(put).toMatchObject([{ type: 'port', row: { id: 'gallery', sensor: { movedTo: null } } }]);
  });
});

describe('what a job has room for', () => {
  it('is said before it is full', () => {
    const components = Array.from({ length: 200 }, (_, i) => ({ ...document.components[0]!, id: `c${i}` }));
    expect(refused({ do: 'add-component', kind: 'pan', name: 'Pan' }, { ...document, components }).message).toContain('200 components');
    const many = Array.from({ length: 200 }, (_, i) => ({ ...ports.gallery, id: `p${i}` }));
    expect(refused({ do: 'duplicate-port', id: 'p0' }, { ...document, ports: many, lines: [] }).code).toBe('too-many');
  });
});
