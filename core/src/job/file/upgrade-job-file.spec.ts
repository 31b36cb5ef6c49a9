import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { catalogue } from '../../../testing/sample-job.js';
import { documentOfFile, JOB_FILE_VERSION, OLDEST_JOB_FILE_VERSION, readJobFile, writeJobFile } from '../index.js';

interface Loose {
  version: number;
  lines: { endA: { wishes?: { use?: string[]; avoid?: string[] } } }[];
}
const fixture = (version: number): Loose =>
  JSON.parse(readFileSync(join(__dirname, 'fixtures', `version-${version}.json`), 'utf8')) as Loose;
const known = new Set(catalogue.fittings.map((f) => f.id));

describe('job files of earlier versions', () => {
  it.each(Array.from({ length: JOB_FILE_VERSION - OLDEST_JOB_FILE_VERSION }, (_, i) => i + OLDEST_JOB_FILE_VERSION))(
    'of version %i are read, and say the same when they are written again',
    (version) => {
      const before = fixture(version);
      const read = readJobFile(before, known);
      let next = 0;
      const document = documentOfFile(read, { number: '1001', updatedAt: '', newId: () => `id${next++}` });
      const again = writeJobFile(document, catalogue);
      const { wishes } = before.lines[0]!.endA;
      if (wishes) before.lines[0]!.endA.wishes = { ...wishes, use: [] };
      const { parts: _, ...said } = again;
      expect(before).toMatchObject({ ...said, version });
      expect(read.file.version).toBe(JOB_FILE_VERSION);
    },
  );

  it('lose the wishes for parts that were left out of them and that nobody has, and keep those for parts of the catalogue', () => {
    const wishes = (parts: ReadonlySet<string>) => readJobFile(fixture(2), parts).file.lines[0]!.endA.wishes;
    expect(wishes(known)).toEqual({ turnDeg: 0, use: [], avoid: ['an6m+an6m'] });
    expect(wishes(new Set())).toEqual({ turnDeg: 0, use: [], avoid: [] });
  });

  it('that are broken are still told where, not passed over', () => {
    expect(() => readJobFile({ ...fixture(1), lines: 'none' }, known)).toThrow(/lines must be array/);
    expect(() => readJobFile({ ...fixture(2), lines: [null] }, known)).toThrow(/lines\/0 must be object/);
    expect(() => readJobFile({ ...fixture(1), parts: null }, known)).toThrow(/parts must be object/);
  });
});
