import { catalogue, document } from '../../../testing/sample-job.js';
import { documentOfFile, JobFileError, readJobFile, writeJobFile, type JobFile } from '../index.js';

const file = (): JobFile => writeJobFile(document, catalogue);
const thrown = (what: () => unknown): JobFileError => {
  try {
    what();
  } catch (error) {
    if (error instanceof JobFileError) return error;
  }
  throw new Error('accepted');
};

describe('writeJobFile', () => {
  it('writes components with ports in notation, and lines that name them by key', () => {
    const written = file();
    expect(written.format).toBe('gewinde-job');
    expect(written.components[0]!.ports[0]).toEqual({ key: 'C1.P1', label: 'port gallery', note: '', connector: 'm14x1.5 f washer' });
    expect(written.lines[0]!.portA).toBe('C1.P1');
    expect(written.lines[1]!.portB).toBe('C1.P2');
    expect(JSON.stringify(written)).not.toContain('"gallery"');
  });

  it('takes along the parts the job uses and no others', () => {
    const { parts } = file();
    expect(parts.hoses.map((h) => h.id)).toEqual(['hose-ptfe-6', 'hose-ptfe-10', 'hose-fuel-10']);
    expect(parts.fittings.length).toBeGreaterThan(2);
    expect(parts.fittings.length).toBeLessThan(10);
    expect(parts.hoseEnds).toHaveLength(5);
  });

  it('gives the same file for the same job', () => expect(JSON.stringify(file())).toBe(JSON.stringify(file())));
});

describe('a job file taken in', () => {
  it('holds together as it was written', () => {
    const read = readJobFile(file(), new Set());
    expect(read.connectors.get('C2.P1')).toEqual({ connector: { family: 'orb', size: '6', gender: 'female' } });
    let next = 0;
    const again = documentOfFile(read, { number: '2403', updatedAt: document.job.updatedAt, newId: () => `id${next++}` });
    expect(writeJobFile(again, catalogue)).toEqual(file());
  });

  it.each([
    [null, 'job-file-format'],
    [[], 'job-file-format'],
    [{ format: 'other' }, 'job-file-format'],
    [{ format: 'gewinde-job' }, 'job-file-format'],
    [{ format: 'gewinde-job', version: 0 }, 'job-file-format'],
    [{ format: 'gewinde-job', version: 10 }, 'job-file-newer'],
    [{ format: 'gewinde-job', version: 9, jobs: [] }, 'job-file-content'],
  ])('refuses %j', (value, code) => expect(thrown(() => readJobFile(value, new Set())).code).toBe(code));

  it.each([
    ['two ports of one key', (f: JobFile) => (f.components[0]!.ports[1]!.key = 'C1.P1'), 'components/0/ports/1/key', /Two ports/],
    [
      'a notation that cannot be read',
      (f: JobFile) => (f.components[0]!.ports[0]!.connector = 'ntp 1/8 f'),
      'components/0/ports/0/connector',
      /Did you mean "npt"/,
    ],
    ['a port that is not in the file', (f: JobFile) => (f.lines[0]!.portA = 'C9.P9'), 'lines/0/portA', /not in the file/],
    ['a port used twice', (f: JobFile) => (f.lines[0]!.portA = f.lines[0]!.portB), 'lines/0/portB', /used twice/],
    ['two lines of one number', (f: JobFile) => (f.lines[1]!.number = 1), 'lines/1/number', /Two lines/],
    ['a hose that is not in it', (f: JobFile) => (f.lines[0]!.pieces[0]!.hose = 'string'), 'lines/0/pieces/0/hose', /hose "string"/],
    ['an end that is not in it', (f: JobFile) => (f.parts.hoseEnds = []), 'lines/0/pieces/0', /hose end "end-ptfe-6-0"/],
    ['two ways without a hose between', (f: JobFile) => f.lines[0]!.ways.push({ chosen: null }), 'lines/0/ways', /3 ways and 1 hoses/],
    ['one key twice', (f: JobFile) => (f.lines[0]!.ways[0]!.chosen!.fittings[0]!.key = 'p1'), 'lines/0', /the key "p1"/],
    [
      'a branch on nothing',
      (f: JobFile) => (f.lines[0]!.ways[0]!.chosen!.branches = [{ at: 3, end: 2, to: 'plug', fittings: [] }]),
      'lines/0/ways/0/branches',
      /not there/,
    ],
    [
      'a line that runs through itself',
      (f: JobFile) => (f.lines[0]!.ways[0]!.chosen!.branches = [{ at: 0, end: 2, to: 'line', port: f.lines[0]!.portB, fittings: [] }]),
      'lines/0/ways/0/branches',
      /its own fittings/,
    ],
    ['a fitting nobody has', (f: JobFile) => (f.parts.fittings = []), 'lines/0/ways/0/fittings', /neither in the file/],
    [
      'a part with an end that does not exist',
      (f: JobFile) => (f.parts.fittings[0]!.ends[0]!.family = 'wizard'),
      'parts/fittings/0/ends',
      /No connector "wizard/,
    ],
    [
      'a wish for a part nobody has',
      (f: JobFile) => (f.lines[0]!.ways[1]!.wishes = { use: ['ghost'] }),
      'lines/0/ways/1/wishes',
      /asks for a fitting "ghost"/,
    ],
    [
      'a pinned way with a part nobody has',
      (f: JobFile) => (f.lines[0]!.ways[1]!.pinned = [{ fittings: [{ id: 'ghost', inEnd: 0, outEnd: 1 }], branches: [] }]),
      'lines/0/ways/1/fittings',
      /"ghost"/,
    ],
    ['a field that is not known', (f: JobFile) => Object.assign(f.lines[0]!, { colour: 'red' }), 'lines/0/colour', /not known here/],
    [
      'a figure out of bounds',
      (f: JobFile) => (f.lines[0]!.pieces[0]!.slackPercent = 80),
      'lines/0/pieces/0/slackPercent',
      /is too large: 20 at most/,
    ],
  ])('points at %s', (_, spoil, field, message) => {
    const spoiled = structuredClone(file());
    spoil(spoiled);
    const error = thrown(() => readJobFile(spoiled, new Set()));
    expect(error.code).toBe('job-file-content');
    expect(error.field).toBe(field);
    expect(error.message).toMatch(message);
  });
});
