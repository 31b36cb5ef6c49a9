import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { catalogue } from '../../../testing/sample-job.js';
import { documentOfFile, JOB_FILE_VERSION, OLDEST_JOB_FILE_VERSION, readJobFile, writeJobFile } from '../index.js';

type OldFile = Record<string, unknown> & {
  version: number;
  lines: { name: string; made?: string[]; checked: boolean; endA: { port: string; fittings: unknown[] | null } }[];
};
const fixture = (version: number): OldFile =>
  JSON.parse(readFileSync(join(__dirname, 'fixtures', `version-${version}.json`), 'utf8')) as OldFile;
const known = new Set(catalogue.fittings.map((f) => f.id));

describe('job files of earlier versions', () => {
  it.each(Array.from({ length: JOB_FILE_VERSION - OLDEST_JOB_FILE_VERSION }, (_, i) => i + OLDEST_JOB_FILE_VERSION))(
    'of version %i are read, and say the same when they are written again',
    (version) => {
      const before = fixture(version);
      const read = readJobFile(before, known);
      let next = 0;
      const document = documentOfFile(read, { number: '1001', updatedAt: '', newId: () => `id${next++}` });
      const { parts: _, ...again } = writeJobFile(document, catalogue);
      expect(read.file).toMatchObject(again);
      const { lines, parts: _old, version: _version, ...head } = before;
      expect(again).toMatchObject(head);
      if (version >= 4) return expect(again.lines).toMatchObject(lines);
      expect(again.lines).toMatchObject(
        lines.map(({ name, checked, endA }) => ({
          name,
          portA: endA.port,
          checked: checked ? { at: null, digest: {} } : null,
          ways: [{ chosen: endA.fittings && { fittings: endA.fittings } }, {}],
        })),
      );
    },
  );

  it('have their lines as paths: hoses and ends by id, the way at B in the order of the line, joints under their new names', () => {
    const [line, open] = readJobFile(fixture(3), known).file.lines;
    expect(line!.pieces).toEqual([
      {
        key: 'p1',
        hose: 'hose-ptfe-6',
        endA: 'end-ptfe-6-0',
        endB: 'end-ptfe-6-45',
        length: { mm: 664, as: 'taped' },
        slackPercent: 2,
        source: 'cut',
      },
    ]);
    const tee = 'm14x1.5mwasher+m14x1.5fwasher+m14x1.5fwasher';
    expect(line!.ways).toEqual([
      {
        chosen: {
          fittings: [{ key: 'k1', id: tee, inEnd: 0, outEnd: 1 }],
          branches: [{ at: 0, end: 2, to: 'line', port: 'C1.P2', fittings: [] }],
        },
        wishes: { turnDeg: 0, use: [], avoid: ['an6m+an6m'] },
        pinned: [{ fittings: [{ id: 'm14x1.5mwasher+an6m', inEnd: 0, outEnd: 1 }], branches: [] }],
      },
      {
        chosen: {
          fittings: [
            { key: 'k2', id: 'an6m+an6m', inEnd: 0, outEnd: 1 },
            { key: 'k3', id: 'orb6m+an6m', inEnd: 1, outEnd: 0 },
          ],
          branches: [],
        },
        pinned: [
          {
            fittings: [
              { id: tee, inEnd: 2, outEnd: 0 },
              { id: 'orb6m+an6m', inEnd: 1, outEnd: 0 },
            ],
            branches: [{ at: 0, end: 1, to: 'plug', fittings: [{ id: 'an6m+an6m', inEnd: 0, outEnd: 1 }] }],
          },
        ],
      },
    ]);
    expect(line!.made).toEqual(['A>k1', 'p1.A>hose', 'k2>k3', 'p1.B>hose']);
    expect(open).toMatchObject({
      pieces: [{ hose: null, endA: null, endB: null, wanted: { angleA: 90 }, length: null }],
      ways: [{ chosen: null }, { chosen: null }],
      checked: null,
    });
  });

  it('lose the wishes for parts that were left out of them and that nobody has, and keep those for parts of the catalogue', () => {
    const wishes = (parts: ReadonlySet<string>) => readJobFile(fixture(2), parts).file.lines[0]!.ways[0]!.wishes;
    expect(wishes(known)).toEqual({ turnDeg: 0, use: [], avoid: ['an6m+an6m'] });
    expect(wishes(new Set())).toEqual({ turnDeg: 0, use: [], avoid: [] });
  });

  it('that are broken are still told where, not passed over', () => {
    expect(() => readJobFile({ ...fixture(1), lines: 'none' }, known)).toThrow(/lines must be array/);
    expect(() => readJobFile({ ...fixture(2), lines: [null] }, known)).toThrow(/lines\/0 must be object/);
    expect(() => readJobFile({ ...fixture(1), parts: null }, known)).toThrow(/parts must be object/);
  });
});
