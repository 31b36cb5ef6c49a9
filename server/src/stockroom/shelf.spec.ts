import { shopContracts, stockContracts, type StockCommand } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { HOSE, startStockroom, WASHER, type TestStockroom } from '../../test/test-stockroom.js';

let t: TestStockroom;
beforeAll(async () => {
  t = await startStockroom('7001');
});
afterAll(() => t.close());

const move = (kind: 'reserve' | 'release' | 'issue' | 'return' | 'count' | 'scrap', quantity: number, more: object = {}): StockCommand => ({
  do: 'move-stock',
  part: WASHER,
  kind,
  quantity,
  ...more,
});
const shelf = () => t.shelfOf(WASHER);

describe('the shelf', () => {
  it('is moved by movements alone: counted, kept back, taken, put back, thrown away; and tells who did', async () => {
    await t.run(move('count', 12, { by: 'TK', note: 'drawer 2' }));
    await t.run(move('reserve', 5, { jobId: t.jobId }));
    await t.run(move('issue', 3, { jobId: t.jobId }));
    await t.run(move('return', 1, { jobId: t.jobId }));
    await t.run(move('scrap', 2));
    expect(await shelf()).toBe(8);
    const row = (await t.room()).stock.find((s) => s.part === WASHER);
    expect(row).toMatchObject({ reserved: [{ jobId: t.jobId, quantity: 2 }], issued: [{ jobId: t.jobId, quantity: 2 }] });
    const { moves } = (await t.ask(stockContracts.readMoves, { query: { part: WASHER } })).body;
    expect(moves.map((m) => [m.kind, m.quantity, m.job])).toEqual([
      ['scrap', -2, undefined],
      ['return', 1, '7001'],
      ['issue', -3, '7001'],
      ['reserve', 0, '7001'],
      ['count', 12, undefined],
    ]);
    expect(moves.at(-1)).toMatchObject({ by: 'TK', note: 'drawer 2' });
  });

  it.each([
    ['more than there is', move('issue', 99), 'not-enough', /lie on the shelf/],
    ['what is kept for another job', move('issue', 7), 'not-enough', /kept for other jobs/],
    ['more than was taken', move('return', 9, { jobId: 'JOB' }), 'not-enough', /taken for this job/],
    ['for a job that is not there', move('reserve', 1, { jobId: 'nobody' }), 'not-found', /job/],
    ['a part nobody has', { ...move('count', 1), part: 'nothing' } as StockCommand, 'not-found', /not in the catalogue/],
    ['hose by the piece', { ...move('count', 1), part: HOSE } as StockCommand, 'bad-value', /lengths/],
    ['a count of another moment', move('count', 3, { seen: 5 }), 'conflict', /by now/],
    ['less than nothing', move('count', -1), 'bad-value', /too small/],
  ])('refuses to move %s, and says why', async (_, command, code, words) => {
    const before = await shelf();
    const named = JSON.parse(JSON.stringify(command).replace('JOB', t.jobId)) as StockCommand;
    const { status, body } = await t.run(named);
    expect([status >= 400, body.code]).toEqual([true, code]);
    expect(body.message).toMatch(words);
    expect(await shelf()).toBe(before);
  });

  it('takes in what is off a car once it was looked over by somebody', async () => {
    const salvage = (more: object) => t.run({ ...move('count', 2, more), kind: 'salvage' } as StockCommand);
    const checks = [{ check: 'Size measured', ok: true }];
    expect((await salvage({ checks })).body.message).toMatch(/Who looked it over/);
    expect((await salvage({ by: 'MO' })).body.message).toMatch(/"Size measured" comes first/);
    expect((await salvage({ by: 'MO', checks: [{ ...checks[0], ok: false }] })).body.code).toBe('bad-value');
    const before = await shelf();
    expect((await salvage({ by: 'MO', checks, note: 'from the old cooler' })).status).toBe(200);
    expect(await shelf()).toBe(before + 2);
    const { moves } = (await t.ask(stockContracts.readMoves, { query: { part: WASHER } })).body;
    expect(moves[0]).toMatchObject({ kind: 'salvage', by: 'MO', note: 'off a car, looked over: from the old cooler' });
  });

  it('a movement is a record: undo takes back what was edited before it, never the movement', async () => {
    await t.run({
      do: 'keep-stock',
      part: WASHER,
      version: (await t.room()).stock.find((s) => s.part === WASHER)!.version,
      least: 20,
      place: 'drawer 2',
    });
    const { status, body } = await t.ask(shopContracts.undoShop, { body: { key: randomUUID() } });
    expect([status, body.code]).toEqual([409, 'nothing-to-undo']);
  });

  it('is never less than nothing, however many take at once', async () => {
    await t.run(move('count', 5));
    const answers = await Promise.all(Array.from({ length: 8 }, (_, i) => t.run(move('issue', 1), `client${i}`)));
    const free = 5 - 2; // two are kept for the job
    expect(answers.filter((a) => a.status === 200)).toHaveLength(free);
    expect(answers.filter((a) => a.body.code === 'not-enough')).toHaveLength(8 - free);
    expect(await shelf()).toBe(2);
  });
});
