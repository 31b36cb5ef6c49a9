import { catalogue, document, feed } from '../../../testing/sample-job.js';
import { parseConnector } from '../../connectors/index.js';
import { JobFileError, readJobFile, writeJobFile, type JobDocument, type JobFile, type Port } from '../index.js';

const port = (id: string): Port => document.ports.find((p) => p.id === id)!;
const stub: Port = { ...port('gallery'), id: 'stub', label: 'branch of L1', openEnd: true, order: 7 };
const tee = 'm14x1.5mwasher+m14x1.5fwasher+m14x1.5fwasher';
const full: JobDocument = {
  ...document,
  ports: [
    ...document.ports.map((p) =>
      p.id === 'gallery'
        ? {
            ...p,
            sensor: {
              name: 'switch',
              connector: parseConnector('m14x1.5 m washer'),
              movedTo: { portId: 'stub', fittings: [{ id: 'orb6m+an6m', inEnd: 0, outEnd: 1 }] },
            },
          }
        : p,
    ),
    stub,
  ],
  lines: [
    {
      ...feed,
      made: ['A>k1'],
      ways: [
        {
          chosen: {
            fittings: [{ key: 'k1', id: tee, inEnd: 0, outEnd: 1 }],
            branches: [{ at: 0, end: 2, to: 'line', portId: 'stub', fittings: [] }],
          },
          wishes: { turnDeg: 0, avoid: ['an6m+an6m'] },
          pinned: [
            { fittings: [{ id: tee, inEnd: 0, outEnd: 2 }], branches: [{ at: 0, end: 1, to: 'sensor', portId: 'gallery', fittings: [] }] },
          ],
        },
        feed.ways[1]!,
      ],
    },
  ],
};
const file = (): JobFile => JSON.parse(JSON.stringify(writeJobFile(full, catalogue))) as JobFile;
const gallery = (f: JobFile) => f.components.flatMap((c) => c.ports).find((p) => p.label === 'port gallery')!;

describe('sensors, branches, wishes and pinned ways in a job file', () => {
  it('name ports by their keys and connectors in notation', () => {
    const { version, lines, components } = file();
    const key = components.flatMap((c) => c.ports).find((p) => p.openEnd)!.key;
    expect(version).toBe(9);
    expect(gallery(file()).sensor).toEqual({
      name: 'switch',
      connector: 'm14x1.5 m washer',
      movedTo: { port: key, fittings: [{ id: 'orb6m+an6m', inEnd: 0, outEnd: 1 }] },
    });
    expect(lines[0]!.ways[0]!.chosen!.branches).toEqual([{ at: 0, end: 2, to: 'line', port: key, fittings: [] }]);
    expect(lines[0]!.ways[0]!.pinned![0]!.branches[0]).toMatchObject({ to: 'sensor', port: gallery(file()).key });
    expect(lines[0]!.ways[0]!.wishes).toEqual({ turnDeg: 0, avoid: ['an6m+an6m'] });
    expect(lines[0]!.made).toEqual(['A>k1']);
  });

  it('bring every part they name along', () =>
    expect(file().parts.fittings.map((f) => f.id)).toEqual(expect.arrayContaining([tee, 'orb6m+an6m', 'an6m+an6m'])));

  it('hold together', () => expect(readJobFile(file(), new Set()).file).toEqual(file()));

  it.each([
    ['a branch on a port that is not there', (f: JobFile) => (f.lines[0]!.ways[0]!.chosen!.branches[0]!.port = 'C9.P9'), /C9\.P9/],
    [
      'a branch with a part that nobody has',
      (f: JobFile) => (f.lines[0]!.ways[0]!.chosen!.branches[0]!.fittings = [{ key: 'g', id: 'ghost', inEnd: 0, outEnd: 1 }]),
      /ghost/,
    ],
    ['a sensor that moves to a port that is not there', (f: JobFile) => (gallery(f).sensor!.movedTo!.port = 'C9.P9'), /switch .*"C9\.P9"/],
    ['a sensor whose thread does not read', (f: JobFile) => (gallery(f).sensor!.connector = 'ntp 1/8 m'), /Did you mean "npt"/],
  ])('are refused with %s', (_, spoil, words) => {
    const spoilt = file();
    spoil(spoilt);
    expect(() => readJobFile(spoilt, new Set())).toThrow(JobFileError);
    expect(() => readJobFile(spoilt, new Set())).toThrow(words);
  });
});
