import { stockContracts } from '@gewinde/core';
import { sampleJob } from '../../test/test-app.js';
import { HOSE, said, startStockroom, type TestStockroom } from '../../test/test-stockroom.js';

let t: TestStockroom;
let other: string;
beforeAll(async () => {
  t = await startStockroom('7001');
  other = (await sampleJob(t, '7002')).jobId;
});
afterAll(() => t.close());

const tell = (id: string, ...lengths: { id: string; mm: number }[]) =>
  t.ask(stockContracts.tellHosePlan, { params: { id }, body: { lengths } });
const hung = async (mm: number): Promise<string> => {
  const before = new Set((await t.room()).lengths.map((l) => l.id));
  await t.run(said({ do: 'add-length', length: { part: HOSE, kind: 'length', mm } }));
  return (await t.room()).lengths.find((l) => !before.has(l.id))!.id;
};
const reserve = (jobId: string, ...lengths: { id: string; mm: number }[]) => t.run(said({ do: 'reserve-lengths', jobId, lengths }));
const reserved = async (id: string) => (await t.room()).lengths.find((l) => l.id === id)!.reserved ?? [];

describe('what a job plans to cut', () => {
  it('is told to the others that plan on the same length, and to nobody else', async () => {
    const [one, two] = [await hung(2000), await hung(1500)];
    expect((await tell(t.jobId, { id: one, mm: 900 })).body.others).toEqual([]);
    expect((await tell(other, { id: one, mm: 600 }, { id: two, mm: 400 })).body.others).toEqual([{ job: '7001', id: one, mm: 900 }]);
    expect((await tell(t.jobId, { id: two, mm: 900 })).body.others).toEqual([{ job: '7002', id: two, mm: 400 }]);
    // planned otherwise, it is told no more
    await tell(other);
    expect((await tell(t.jobId, { id: two, mm: 900 })).body.others).toEqual([]);
  });

  it('is nobody’s when it has not been looked at for long, or its job is put away', async () => {
    const id = await hung(2000);
    await tell(other, { id, mm: 600 });
    await t
      .db('hose_plans')
      .where({ job_id: other })
      .update({ at: new Date(Date.now() - 15 * 86_400_000) });
    expect((await tell(t.jobId, { id, mm: 900 })).body.others).toEqual([]);
    await tell(other, { id, mm: 600 });
    await t.db('jobs').where({ id: other }).update({ archived: true });
    expect((await tell(t.jobId, { id, mm: 900 })).body.others).toEqual([]);
    await t.db('jobs').where({ id: other }).update({ archived: false });
  });

  it('binds nobody: only what is reserved is kept, for one job after the other, as far as the hose goes', async () => {
    const id = await hung(1000);
    await tell(other, { id, mm: 900 });
    expect((await reserve(t.jobId, { id, mm: 700 })).status).toBe(200);
    expect((await reserve(other, { id, mm: 400 })).body.code).toBe('not-enough');
    expect((await reserve(other, { id, mm: 300 })).status).toBe(200);
    expect(await reserved(id)).toEqual([
      { jobId: t.jobId, mm: 700 },
      { jobId: other, mm: 300 },
    ]);
    // said anew it takes the place of what was said; given up, it is free
    await reserve(t.jobId);
    expect(await reserved(id)).toEqual([{ jobId: other, mm: 300 }]);
    expect((await reserve('nobody', { id, mm: 1 })).body.code).toBe('not-found');
  });

  it('of a job that is gone is refused, and of one that goes is forgotten', async () => {
    expect((await tell('nobody')).body).toMatchObject({ code: 'not-found', message: 'This job no longer exists.' });
    const gone = (await t.call('POST', '/api/jobs', { number: '7003', name: 'Gone' })).body['id'] as string;
    const id = await hung(800);
    await tell(gone, { id, mm: 500 });
    await t.db('jobs').where({ id: gone }).delete();
    expect((await tell(t.jobId, { id, mm: 500 })).body.others).toEqual([]);
  });
});
