import {
  formatPortThread,
  hoseJointId,
  jobContracts,
  type Command,
  type CommandOf,
  type Found,
  type JobDocument,
  type Port,
} from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { sampleJob, startTestApp, type TestApp } from '../../test/test-app.js';

let server: TestApp;
beforeAll(async () => (server = await startTestApp()));
afterAll(async () => server.close());
beforeEach(async () => {
  await server.db('job_lines').delete();
  await server.db('jobs').delete();
});
const create = (body: { number: string; name: string }) => server.ask(jobContracts.createJob, { body });
const list = async (archived: 'true' | 'false' = 'false') => (await server.ask(jobContracts.listJobs, { query: { archived } })).body.jobs;
const rename = (id: string, version: number, name: string): Command => ({ do: 'edit-line', id, version, set: { name } });

describe('jobs', () => {
  it('are made, renamed, archived and brought back', async () => {
    const made = await create({ number: ' 2601 ', name: 'Kart' });
    expect(made.body.number).toBe('2601');
    const { id } = made.body;
    const renamed = await server.change(id, { do: 'edit-job', version: 1, set: { name: 'Kart, second engine' } });
    expect(renamed.body.put).toMatchObject([{ type: 'job', row: { name: 'Kart, second engine', version: 2, updatedAt: renamed.body.at } }]);
    await server.change(id, { do: 'edit-job', version: 2, set: { archived: true } });
    expect(await list()).toEqual([]);
    expect(await list('true')).toMatchObject([{ job: { number: '2601', archived: true } }]);
  });

  it('keep their numbers to themselves', async () => {
    await create({ number: '2601', name: 'One' });
    const second = await create({ number: '2602', name: 'Two' });
    expect((await create({ number: '2601', name: 'Again' })).body).toMatchObject({ code: 'number-taken', field: 'number' });
    const renumber = await server.change(second.body.id, { do: 'edit-job', version: 1, set: { number: '2601' } });
    expect([renumber.status, renumber.body.code]).toEqual([409, 'number-taken']);
  });

  it('tell the board what blocks them and what comes next', async () => {
    await create({ number: '2600', name: 'Empty' });
    const { jobId, lineId } = await sampleJob(server);
    expect((await list()).map((s) => s.next)).toEqual(['Finish L1', 'Survey the ports']);
    const piece = (await server.document(jobId)).lines[0]!.pieces[0]!.key;
    const way = (at: number, id: string, inEnd: number): Command => ({
      do: 'take-way',
      id: lineId,
      version: 1,
      at,
      fittings: [{ id, inEnd, outEnd: 1 - inEnd }],
      branches: [],
    });
    const set = { hose: 'hose-ptfe-6', length: { mm: 600, as: 'taped' as const } };
    await server.change(jobId, [
      { do: 'edit-piece', id: lineId, version: 1, piece, set },
      way(0, 'm14x1.5mwasher+an6m', 0),
      way(1, 'orb4m+an6m', 1),
    ]);
    expect((await list())[0]).toMatchObject({ next: 'Put L1 right', blockedBy: expect.stringMatching(/^L1: Joint 6/) as string });
  });

  it.each([
    [{ name: 'No number' }, 'number'],
    [{ number: '', name: 'x' }, 'number'],
    [{ number: '   ', name: 'x' }, 'number'],
    [{ number: '1', name: 'x'.repeat(121) }, 'name'],
    [{ number: '1', name: 'x', colour: 'red' }, 'colour'],
    [{ number: 5, name: 'x' }, 'number'],
    [{ id: 'mine', number: '1', name: 'x' }, 'id'],
  ])('refuse %j with a word about the field', async (body, field) => {
    const answer = await server.call('POST', '/api/jobs', body);
    expect([answer.status, answer.body['code'], answer.body['field']]).toEqual([400, 'bad-value', field]);
  });

  it('answer what is not there, not JSON, or too large in the one error shape', async () => {
    expect((await server.call('GET', '/api/jobs/nowhere')).body).toMatchObject({ code: 'not-found' });
    expect((await server.call('GET', '/api/nothing')).body).toMatchObject({ code: 'not-found' });
    const headers = { 'content-type': 'application/json' };
    const broken = await server.app.inject({ method: 'POST', url: '/api/jobs', headers, payload: '{"number":' });
    expect(broken.json()).toMatchObject({ code: 'bad-request' });
    const large = await server.call('POST', '/api/jobs', { number: '1', name: 'x', description: 'y'.repeat(300_000) });
    expect(large.body).toMatchObject({ code: 'too-large' });
  });
});

describe('commands', () => {
  it('of one change are carried out together or not at all', async () => {
    const { jobId, blockId, lineId } = await sampleJob(server);
    const before = await server.document(jobId);
    const componentId = randomUUID();
    const refused = await server.change(jobId, [
      { do: 'add-component', id: componentId, kind: 'pan', name: 'Pan' },
      { do: 'add-port', componentId, label: 'drain', notation: 'an10 m' },
      { do: 'delete-component', id: blockId, version: 1 },
    ]);
    expect([refused.status, refused.body.code, refused.body.message]).toEqual([
      409,
      'component-in-use',
      expect.stringContaining('L1') as string,
    ]);
    expect(await server.document(jobId)).toEqual(before);
    const done = await server.change(jobId, [rename(lineId, 1, 'Feed'), { do: 'add-component', kind: 'pan', name: 'Pan' }]);
    expect(done.body.label).toBe('Edit L1 Turbo feed: name and 1 more');
    await server.ask(jobContracts.undoJob, { params: { id: jobId }, body: { key: randomUUID() } });
    expect(await server.document(jobId)).toMatchObject({ lines: [{ name: 'Turbo feed' }], components: [{}, {}] });
  });

  it('touch rows of their own job only', async () => {
    const mine = await sampleJob(server);
    const other = await sampleJob(server, '2502');
    const before = await server.document(other.jobId);
    const none = { fittings: [], branches: [] };
    const stray: Command[] = [
      rename(other.lineId, 1, 'Mine now'),
      { do: 'take-way', id: other.lineId, version: 1, at: 0, ...none },
      { do: 'delete-line', id: other.lineId, version: 1 },
      { do: 'delete-port', id: other.from, version: 1 },
      { do: 'duplicate-component', id: other.blockId },
      { do: 'add-port', componentId: other.blockId, label: 'stray', notation: 'an6 m' },
      { do: 'add-line', service: 'other', fromPortId: other.from, toPortId: mine.to },
    ];
    for (const command of stray) expect((await server.change(mine.jobId, command)).body.code).toBe('not-found');
    expect(await server.document(other.jobId)).toEqual(before);
  });

  it.each([
    [{ do: 'fly' }, 'commands/0'],
    [{ do: 'edit-line', id: 'x', version: 1, set: { colour: 'red' } }, 'commands/0/set/colour'],
    [{ do: 'edit-piece', id: 'x', version: 1, piece: 'p', set: { length: { mm: 5, as: 'guessed' } } }, 'commands/0/set/length/as'],
    [{ do: 'edit-piece', id: 'x', version: 1, piece: 'p', set: { slackPercent: -3 } }, 'commands/0/set/slackPercent'],
    [{ do: 'add-port', componentId: 'x', notation: 'an6 m' }, 'commands/0/label'],
  ])('that are not well formed are refused where they are wrong: %j', async (command, field) => {
    const answer = await server.call('POST', '/api/jobs/any/changes', { key: randomUUID(), commands: [command] });
    expect([answer.status, answer.body['code'], answer.body['field']]).toEqual([400, 'bad-value', field]);
  });

  it('point at a notation that cannot be read', async () => {
    const { jobId, blockId } = await sampleJob(server);
    const answer = await server.change(jobId, { do: 'add-port', componentId: blockId, label: 'sensor', notation: 'ntp 1/8 f' });
    expect(answer.body).toMatchObject({ code: 'connector-syntax', field: 'notation', position: 0, length: 3, suggestion: 'npt 1/8 f' });
  });

  it('keep what is provisional and how joints were found', async () => {
    const { jobId, lineId } = await sampleJob(server);
    const line = async () => (await server.document(jobId)).lines.find((l) => l.id === lineId)!;
    const { pieces, version } = await line();
    const joint = hoseJointId(pieces[0]!.key, 'A');
    const found: Found[] = [{ joint, state: 'hex spoiled', action: 'nothing yet', words: 'by pliers' }];
    const edit: CommandOf<'edit-line'> = { do: 'edit-line', id: lineId, version, set: { provisional: [joint], found } };
    await server.change(jobId, edit);
    expect(await line()).toMatchObject({ provisional: [joint], found });
    await server.change(jobId, { ...edit, version: version + 1, set: { provisional: [], found: [] } });
    expect(Object.keys(await line())).not.toEqual(expect.arrayContaining(['found']));
    const wrong = await server.change(jobId, { ...edit, version: version + 2, set: { found: [...found, ...found] } });
    expect([wrong.status, wrong.body['code'], wrong.body['message']]).toEqual([400, 'bad-value', 'A joint is recorded twice.']);
  });

  it('keep a port in doubt as it is, and take it back', async () => {
    const { jobId, blockId } = await sampleJob(server);
    const added = await server.change(jobId, [
      { do: 'add-port', componentId: blockId, label: 'rear', notation: 'npt 1/8 f | rc 1/8 f' },
      { do: 'add-port', componentId: blockId, label: 'side', notation: '? about 14 mm' },
    ]);
    const [rear, side] = added.body.put.map((entity) => entity.row as Port);
    expect([formatPortThread(rear!), formatPortThread(side!)]).toEqual(['npt 1/8 f | rc 1/8 f', '? about 14 mm']);
    const kept = async (id: string): Promise<Port> => (await server.document(jobId)).ports.find((p) => p.id === id)!;
    expect([await kept(rear!.id), await kept(side!.id)]).toEqual([rear, side]);
    await server.change(jobId, { do: 'edit-port', id: rear!.id, version: 1, set: { notation: 'rc 1/8 f' } });
    expect(await kept(rear!.id)).toMatchObject({ connector: { family: 'r' } });
    await server.ask(jobContracts.undoJob, { params: { id: jobId }, body: { key: randomUUID() } });
    expect(await kept(rear!.id)).toEqual({ ...rear, version: 3 });
    const file = (await server.ask(jobContracts.exportJob, { params: { id: jobId } })).body;
    expect(JSON.stringify(file)).toContain('"connector":"? about 14 mm"');
  });

  it('keep signs of every script, and quotes, as they were typed', async () => {
    const { jobId } = await sampleJob(server);
    const names = ['Ölwanne', 'O\'Neil\'s "pan"', '油冷器', 'a%_b', '<b>bold</b>', '🛢️ tank'];
    await server.change(
      jobId,
      names.map((name): Command => ({ do: 'add-component', kind: 'pan', name })),
    );
    expect((await server.document(jobId)).components.slice(2).map((c) => c.name)).toEqual(names);
  });

  it('with a sign that does not show are refused in words, and notes keep their lines', async () => {
    const { jobId } = await sampleJob(server);
    for (const name of ['m14x1.5 \u202ef washer', 'two\nlines', 'half \ud83d'])
      expect((await server.change(jobId, { do: 'add-component', kind: 'pan', name })).body).toMatchObject({
        code: 'bad-value',
        message: expect.stringMatching(/name .*holds a sign that does not show/) as string,
      });
    expect((await server.change(jobId, { do: 'add-component', kind: 'pan', name: 'Pan', note: 'Dry.\n\tThen check.' })).status).toBe(200);
  });

  it('do not take the id of another row', async () => {
    const { jobId } = await sampleJob(server);
    const other = await sampleJob(server, '2502');
    const answer = await server.change(jobId, { do: 'add-component', id: other.blockId, kind: 'pan', name: 'Pan' });
    expect([answer.status, answer.body.code]).toEqual([409, 'id-taken']);
  });
});

describe('a stale edit', () => {
  it('gets the newer row and changes nothing', async () => {
    const { lineId, jobId } = await sampleJob(server);
    await server.change(jobId, rename(lineId, 1, 'First'));
    const late = await server.change(jobId, rename(lineId, 1, 'Second'));
    expect([late.status, late.body]).toMatchObject([409, { code: 'conflict', current: { name: 'First', version: 2 } }]);
    expect((await server.document(jobId)).lines[0]!.name).toBe('First');
  });

  it('loses against one of two at the same moment, never both; lines never take one port twice', async () => {
    const { lineId, jobId, from, to } = await sampleJob(server);
    const answers = await Promise.all(['a', 'b', 'c'].map((name) => server.change(jobId, rename(lineId, 1, name))));
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409, 409]);
    await server.change(
      jobId,
      [from, from, from, to].map((id): Command => ({ do: 'duplicate-port', id })),
    );
    const { ports }: JobDocument = await server.document(jobId);
    const target = ports.find((p) => p.label === 'inlet 2')!.id;
    const lines = await Promise.all(
      ports
        .filter((p) => /gallery \d/.test(p.label))
        .map((p) => server.change(jobId, { do: 'add-line', service: 'other', fromPortId: p.id, toPortId: target })),
    );
    expect(lines.map((a) => a.body.code ?? 'done').sort()).toEqual(['done', 'port-in-use', 'port-in-use']);
  });
});
