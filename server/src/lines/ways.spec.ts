import { parseConnector, type JobDocument, type Line, type Port } from '@gewinde/core';
import { sampleJob, startTestApp } from '../../test/test-app.js';

describe('ways, branches and sensors', () => {
  let shop: Awaited<ReturnType<typeof startTestApp>>;
  let job: Awaited<ReturnType<typeof sampleJob>>;
  beforeAll(async () => {
    shop = await startTestApp();
    job = await sampleJob(shop.call);
  });
  afterAll(() => shop.close());
  const read = async () => (await shop.call<JobDocument>('GET', `/api/jobs/${job.jobId}`)).body;
  const line = async () => (await read()).lines[0]!;
  const undo = () => shop.call('POST', `/api/jobs/${job.jobId}/undo`, {});
  const tee = [{ id: 'm14x1.5mwasher+an6m+npt1/8f', inEnd: 0, outEnd: 1 }];
  const branch = { at: 0, end: 2, to: 'line' as const, fittings: [] };
  const patch = (change: object, version: number) =>
    shop.call<Line & { code?: string }>('PATCH', `/api/lines/${job.lineId}`, { version, ...change });

  beforeAll(async () => {
    await shop.call('POST', '/api/catalogue/fittings', {
      id: tee[0]!.id,
      ends: ['m14x1.5 m washer', 'an6 m', 'npt 1/8 f'].map(parseConnector),
    });
  });

  it('gives the open end of a tee a port that another line can start from, and takes it away with the tee', async () => {
    const before = await line();
    const { body } = await patch({ endA: { ...before.endA, fittings: tee, branches: [branch] } }, before.version);
    const made = (await read()).ports.find((p) => p.openEnd)!;
    expect(body.endA.branches).toEqual([{ ...branch, portId: made.id }]);
    expect(made).toMatchObject({ label: 'branch of L1, end A', connector: parseConnector('npt 1/8 f'), componentId: job.blockId });
    await patch({ endA: { ...before.endA, fittings: null } }, body.version);
    expect((await read()).ports.some((p) => p.openEnd)).toBe(false);
    expect((await undo()).status).toBe(200);
    expect((await read()).ports.find((p) => p.openEnd)?.id).toBe(made.id);
    await undo();
    expect((await read()).ports.some((p) => p.openEnd)).toBe(false);
  });

  it('keeps the port of a branch that a line runs from', async () => {
    const before = await line();
    const { body } = await patch({ endA: { ...before.endA, fittings: tee, branches: [branch] } }, before.version);
    const made = (await read()).ports.find((p) => p.openEnd)!;
    const gauge = await shop.call<Port>('POST', `/api/components/${job.blockId}/ports`, { label: 'gauge', notation: 'npt 1/8 f' });
    const other = { service: 'other', fromPortId: made.id, toPortId: gauge.body.id };
    expect((await shop.call('POST', `/api/jobs/${job.jobId}/lines`, other)).status).toBe(201);
    await patch({ endA: { ...before.endA, fittings: null } }, body.version);
    expect((await read()).ports.some((p) => p.id === made.id)).toBe(true);
  });

  it.each([
    [{ fittings: [{ id: 'no-such', inEnd: 0, outEnd: 1 }] }],
    [{ fittings: [{ id: 'm14x1.5mwasher+an6m', inEnd: 0, outEnd: 3 }] }],
    [{ fittings: [{ id: 'm14x1.5mwasher+an6m', inEnd: 1, outEnd: 1 }] }],
    [{ fittings: tee, branches: [{ ...branch, fittings: [{ id: 'no-such', inEnd: 0, outEnd: 0 }] }] }],
    [{ fittings: tee, branches: [{ ...branch, end: 3 }] }],
  ])('refuses a way that the catalogue does not have: %j', async (change) => {
    const before = await line();
    expect((await patch({ endA: { ...before.endA, ...change } }, before.version)).status).toBe(400);
  });

  it('takes the ways of many ends as one change', async () => {
    const before = await line();
    const way = (side: 'A' | 'B', id: string, version = before.version) => ({
      lineId: job.lineId,
      version,
      side,
      fittings: [{ id, inEnd: 0, outEnd: 1 }],
      branches: [],
    });
    const url = `/api/jobs/${job.jobId}/ways`;
    const taken = await shop.call<Line[]>('POST', url, { ways: [way('A', 'm14x1.5mwasher+an6m'), way('B', 'orb6m+an6m')] });
    expect(taken.body).toHaveLength(1);
    expect(taken.body[0]).toMatchObject({ version: before.version + 1, checked: false, endB: { fittings: [{ id: 'orb6m+an6m' }] } });
    expect((await shop.call('POST', url, { ways: [way('A', 'orb6m+an6m')] })).body['code']).toBe('conflict');
    expect((await shop.call('POST', url, { ways: [] })).status).toBe(400);
    await undo();
    expect((await line()).endB.fittings).toEqual(before.endB.fittings);
  });

  it('keeps a sensor in its port and the place it moves to', async () => {
    const { ports } = await read();
    const from = ports.find((p) => p.label === 'gallery')!;
    const inlet = ports.find((p) => p.label === 'inlet')!;
    const free = await shop.call<Port>('POST', `/api/components/${job.blockId}/ports`, { label: 'spare', notation: 'm14x1.5 f washer' });
    const sensor = (movedTo: object | null, notation = 'm14x1.5 m washer', version?: number) =>
      shop.call<Port & { code: string }>('PATCH', `/api/ports/${from.id}`, {
        version: version ?? from.version,
        sensor: { name: 'pressure switch', notation, movedTo },
      });
    expect((await sensor(null, 'm14x1.5 q')).body.code).toBe('connector-syntax');
    expect((await sensor({ portId: inlet.id, fittings: [] })).body.code).toBe('port-in-use');
    expect((await sensor({ portId: from.id, fittings: [] })).body.code).toBe('not-found');
    const moved = await sensor({ portId: free.body.id, fittings: [] });
    expect(moved.body.sensor).toMatchObject({ connector: { family: 'metric', seat: 'washer' }, movedTo: { portId: free.body.id } });
    const file = (await shop.call<object>('GET', `/api/jobs/${job.jobId}/export`)).body;
    const copy = await shop.call<{ job: { id: string } }>('POST', '/api/jobs/import', file);
    const again = (await shop.call<JobDocument>('GET', `/api/jobs/${copy.body.job.id}`)).body;
    const place = again.ports.find((p) => p.label === 'spare')!;
    expect(again.ports.find((p) => p.sensor)?.sensor?.movedTo).toEqual({ portId: place.id, fittings: [] });
    const out = await shop.call<Port>('PATCH', `/api/ports/${from.id}`, { version: moved.body.version, sensor: null });
    expect(out.body.sensor ?? null).toBeNull();
  });
});
