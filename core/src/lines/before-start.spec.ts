import { catalogue, document } from '../../testing/sample-job.js';
import { rowIds, runCommands, type CommandOf } from '../commands/index.js';
import { readJobFile, writeJobFile, type Found, type JobDocument } from '../job/index.js';
import { judgeJob, standsBefore } from '../audit/index.js';

const edit = (d: JobDocument, set: CommandOf<'edit-line'>['set']): JobDocument =>
  runCommands(d, [{ do: 'edit-line', id: 'line1', version: 3, set }], {
    newId: rowIds('1b671a64-40d5-491e-99b0-da01ff1f3341'),
    parts: catalogue,
    versions: 'ignore',
  }).document;
const [first, second] = judgeJob(document, catalogue).lines[0]!.joints;
const found = (more: Partial<Found> = {}): Found => ({
  joint: second!.id,
  state: 'tape on a cone',
  action: 'nothing yet',
  words: '',
  ...more,
});
const left = (d: JobDocument) =>
  standsBefore(judgeJob(d, catalogue).findings, 'start').filter(({ rule }) => ['provisional', 'as-found-open'].includes(rule));
const open = (d: JobDocument): string[] => left(d).map((f) => f.message);

describe('what must be gone before the engine is started', () => {
  it('is what is provisional: joints, fittings, hoses', () => {
    const key = document.lines[0]!.ways[0]!.chosen!.fittings[0]!.key;
    const d = edit(document, { provisional: [first!.id, key, key, 'nobody'] });
    expect(d.lines[0]!.provisional).toEqual([first!.id, key]);
    expect(open(d)).toEqual(['Joint 1 is provisional.', 'Adapter, m14x1.5 m washer to an6 m is provisional.']);
    const [finding] = left(d);
    const { document: after } = runCommands(d, finding!.remedies[0]!.commands, { newId: () => 'x', parts: catalogue, versions: 'ignore' });
    expect(after.lines[0]!.provisional).toEqual([key]);
    expect(edit(d, { provisional: [] }).lines[0]).not.toHaveProperty('provisional');
    const hose = { ...document, lines: document.lines.map((l, i) => (i ? l : { ...l, pieces: [{ ...l.pieces[0]!, provisional: true }] })) };
    expect(open(hose)).toEqual([expect.stringMatching(/provisional/)]);
  });

  it('is what was found bad and is still as it was; it holds no line back', () => {
    const d = edit(document, { found: [found({ words: ' white tape ' })] });
    expect(open(d)).toEqual(['Joint 2 was found so: tape on a cone (white tape). Nothing is done about it yet.']);
    expect(judgeJob(d, catalogue).lines[0]!.state).toBe('seals');
    expect(open(edit(document, { found: [found({ action: 'made up anew' })] }))).toEqual([]);
    expect(open(edit(document, { found: [found({ state: 'sound' })] }))).toEqual([]);
  });

  it('is recorded once a joint, goes with the joint, and stands in the job file', () => {
    expect(() => edit(document, { found: [found(), found()] })).toThrow('A joint is recorded twice.');
    expect(edit(document, { found: [found({ joint: 'A>nobody' })] }).lines[0]).not.toHaveProperty('found');
    const d = edit(document, { found: [found()], provisional: [second!.id] });
    const file = writeJobFile(d, catalogue);
    expect(file.lines[0]).toMatchObject({ found: [found()], provisional: [second!.id] });
    expect(readJobFile(file, new Set(catalogue.fittings.map((f) => f.id))).file.lines[0]).toEqual(file.lines[0]);
  });
});
