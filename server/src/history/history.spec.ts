import { applyChange, jobContracts, type Command, type JobDocument } from '@gewinde/core';
import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import { sampleJob, startTestApp, type TestApp } from '../../test/test-app.js';

let server: TestApp;
beforeAll(async () => (server = await startTestApp()));
afterAll(async () => server.close());

/** What a job says, without versions and times, in an order of its own. */
const content = ({ job, components, ports, lines }: JobDocument): unknown =>
  [[job], components, ports, lines].map((rows) =>
    rows
      .map((row: object) => Object.fromEntries(Object.entries(row).filter(([key]) => key !== 'version' && key !== 'updatedAt')))
      .sort((a, b) => String(a['id']).localeCompare(String(b['id']))),
  );
const step = (id: string, direction: 'undo' | 'redo' = 'undo', client = 'test', key = randomUUID()) =>
  server.ask(direction === 'undo' ? jobContracts.undoJob : jobContracts.redoJob, { params: { id }, body: { key } }, client);
const rename = (id: string, version: number, name: string): Command => ({ do: 'edit-line', id, version, set: { name } });

describe('history', () => {
  /** Commands of the given kind for whatever is there; some are refused, which is a change of nothing. */
  function commands({ components, ports, lines }: JobDocument, kind: number): Command[] {
    const [component, port, line] = [components[kind % Math.max(1, components.length)], ports[kind % Math.max(1, ports.length)], lines[0]];
    const [c, p, l] = [component?.id ?? 'none', port?.id ?? 'none', line?.id ?? 'none'];
    const all: Command[] = [
      { do: 'add-component', kind: 'pan', name: `Pan ${kind}` },
      { do: 'edit-component', id: c, version: component?.version ?? 1, set: { name: `Name ${kind}` } },
      { do: 'duplicate-component', id: c },
      { do: 'delete-component', id: c, version: component?.version ?? 1 },
      {
        do: 'add-port',
        componentId: c,
        label: `p${kind}`,
        notation: 'npt 1/8 f',
        sensor: { name: 's', notation: 'r 1/8 m', movedTo: null },
      },
      { do: 'edit-port', id: p, version: port?.version ?? 1, set: { notation: 'orb6 f', sensor: null } },
      { do: 'delete-port', id: p, version: port?.version ?? 1 },
      { do: 'edit-line', id: l, version: line?.version ?? 1, set: { note: `${kind}`, made: [] } },
      { do: 'break-line', id: l, version: line?.version ?? 1, piece: line?.pieces[0]?.key ?? 'none', use: ['an6m+an6m'] },
      {
        do: 'edit-piece',
        id: l,
        version: line?.version ?? 1,
        piece: line?.pieces[0]?.key ?? 'none',
        set: { hose: 'hose-ptfe-6', length: { mm: 100.1 + kind, as: 'taped' } },
      },
      { do: 'delete-line', id: l, version: line?.version ?? 1 },
    ];
    return [all[kind % all.length]!, ...(kind % 2 === 0 ? [all[(kind * 7) % all.length]!] : [])];
  }

  it('undone as often as anything was done, is the job as it was; done again, as it had become; each answer is the whole of it', async () => {
    let number = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(fc.nat(35), { minLength: 1, maxLength: 7 }), async (kinds) => {
        const { jobId } = await sampleJob(server, `H${number++}`);
        let copy = await server.document(jobId);
        const states = [content(copy)];
        for (const kind of kinds) {
          const { status, body } = await server.change(jobId, commands(copy, kind));
          expect([200, 404, 409]).toContain(status);
          if (status !== 200) continue;
          copy = applyChange(copy, body as never);
          states.push(content(copy));
        }
        expect(content(await server.document(jobId))).toEqual(content(copy));
        for (const direction of ['undo', 'redo'] as const)
          for (let i = 1; i < states.length; i++) {
            const { status, body } = await step(jobId, direction);
            expect(status).toBe(200);
            copy = applyChange(copy, body as never);
            expect(content(copy)).toEqual(states[direction === 'undo' ? states.length - 1 - i : i]);
          }
        expect(content(await server.document(jobId))).toEqual(content(copy));
      }),
      { numRuns: 12 },
    );
  });

  it('takes back the own newest change only, whatever others have done since', async () => {
    const { jobId, lineId, from } = await sampleJob(server, 'H-own');
    await server.change(jobId, rename(lineId, 1, 'Mine'), 'me');
    await server.change(jobId, { do: 'edit-port', id: from, version: 1, set: { label: 'theirs' } }, 'other');
    expect((await step(jobId, 'undo', 'me')).body.label).toBe('Edit L1 Turbo feed: name');
    expect(await server.document(jobId)).toMatchObject({ lines: [{ name: 'Turbo feed' }] });
    expect((await server.document(jobId)).ports.find((p) => p.id === from)!.label).toBe('theirs');
    expect((await step(jobId, 'undo', 'me')).body.code).toBe('nothing-to-undo');
    // what another does then does not take away what is there to redo
    await server.change(jobId, { do: 'edit-port', id: from, version: 2, set: { label: 'theirs again' } }, 'other');
    expect((await step(jobId, 'redo', 'me')).status).toBe(200);
    expect((await server.document(jobId)).lines[0]!.name).toBe('Mine');
  });

  it('does not take back what somebody else has changed since, and says what stands in the way', async () => {
    const { jobId, lineId } = await sampleJob(server, 'H-over');
    await server.change(jobId, rename(lineId, 1, 'Mine'), 'me');
    await server.change(jobId, rename(lineId, 2, 'Theirs'), 'other');
    const refused = (await step(jobId, 'undo', 'me')).body;
    expect([refused.code, refused.message]).toEqual([
      'cannot-undo',
      '"Edit L1 Turbo feed: name" cannot be undone: the line has been changed since.',
    ]);
    expect((await server.document(jobId)).lines[0]!.name).toBe('Theirs');
  });

  it('never takes back a record', async () => {
    const { jobId, lineId } = await sampleJob(server, 'H-record');
    await server.change(jobId, rename(lineId, 1, 'Edited'), 'me');
    const { id } = (await server.change(jobId, rename(lineId, 2, 'Recorded'), 'me')).body;
    await server.db('events').where({ scope: jobId, revision: id }).update({ kind: 'record' });
    expect((await step(jobId, 'undo', 'me')).body.code).toBe('cannot-undo');
    expect((await server.document(jobId)).lines[0]!.name).toBe('Recorded');
  });

  it('does not bring back a line whose port another line has taken', async () => {
    const { jobId, lineId, from, to } = await sampleJob(server, 'H-port');
    await server.change(jobId, { do: 'delete-line', id: lineId, version: 1 }, 'me');
    const other = randomUUID();
    await server.change(jobId, { do: 'add-line', id: other, service: 'other', fromPortId: from, toPortId: to }, 'you');
    expect((await step(jobId, 'undo', 'me')).body).toMatchObject({ code: 'cannot-undo' });
    await server.change(jobId, { do: 'delete-line', id: other, version: 1 }, 'you');
    expect((await step(jobId, 'undo', 'me')).status).toBe(200);
  });

  it('forgets what could be redone once something new is done', async () => {
    const { jobId, lineId, from } = await sampleJob(server, 'H-new');
    await server.change(jobId, rename(lineId, 1, 'Renamed'));
    await step(jobId);
    await server.change(jobId, { do: 'duplicate-port', id: from });
    expect((await step(jobId, 'redo')).body.code).toBe('nothing-to-redo');
  });

  it('ends with its job: an unknown one has none', async () => expect((await step('nowhere')).body.code).toBe('not-found'));
});

describe('a change sent again, because its answer was lost', () => {
  it('is not made again, but answered as it was', async () => {
    const { jobId, lineId } = await sampleJob(server, 'K-1');
    const key = randomUUID();
    const first = await server.change(jobId, rename(lineId, 1, 'Once'), 'me', key);
    await server.change(jobId, rename(lineId, 2, 'Later'), 'other');
    // a key is good for what was sent under it
    const other = await server.change(jobId, rename(lineId, 1, 'Something else'), 'me', key);
    expect([other.status, other.body.code]).toEqual([409, 'key-used']);
    expect((await step(jobId, 'undo', 'me', key)).body.code).toBe('key-used');
    const again = await server.change(jobId, rename(lineId, 1, 'Once'), 'me', key);
    expect([again.status, again.body]).toEqual([200, first.body]);
    expect((await server.document(jobId)).lines[0]).toMatchObject({ name: 'Later', version: 3 });
    const undo = randomUUID();
    const taken = await step(jobId, 'undo', 'other', undo);
    expect((await step(jobId, 'undo', 'other', undo)).body).toEqual(taken.body);
    expect((await server.document(jobId)).lines[0]!.name).toBe('Once');
  });

  it('is made once when it comes twice at the same moment', async () => {
    const { jobId } = await sampleJob(server, 'K-2');
    const key = randomUUID();
    const add = () => server.change(jobId, { do: 'add-component', kind: 'pan', name: 'Pan' }, 'me', key);
    const answers = await Promise.all([add(), add(), add()]);
    expect(new Set(answers.map((a) => a.text)).size).toBe(1);
    expect((await server.document(jobId)).components).toHaveLength(3);
  });

  it('makes a job once by its id', async () => {
    const body = { id: randomUUID(), number: 'K-3', name: 'Once' };
    const [first, again] = [await server.ask(jobContracts.createJob, { body }), await server.ask(jobContracts.createJob, { body })];
    expect([again.status, again.body]).toEqual([201, first.body]);
  });
});
