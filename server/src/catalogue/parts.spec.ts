import { parseConnector, type Fitting } from '@gewinde/core';
import { sampleJob, startTestApp } from '../../test/test-app.js';

interface Row {
  fitting: Fitting;
  version: number;
  origin: string;
  usedBy: { job: string; line: number }[];
}

describe('parts of the catalogue', () => {
  let shop: Awaited<ReturnType<typeof startTestApp>>;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());
  const part = (id: string) => shop.call<Row>('GET', `/api/catalogue/fittings/${encodeURIComponent(id)}`);
  const put = (row: Row, change: Partial<Fitting>, version = row.version) => {
    const { id, ...fitting } = { ...row.fitting, ...change };
    return shop.call<Row>('PUT', `/api/catalogue/fittings/${encodeURIComponent(id)}`, { version, fitting });
  };
  const ends = ['npt 1/4 m', 'an10 m'].map(parseConnector);

  it('are added with what their ends do not say taken from proportions', async () => {
    const { status, body } = await shop.call<Row>('POST', '/api/catalogue/fittings', { ends, code: 'KL-1', priceMinor: 1450, boreMm: 6.8 });
    expect(status).toBe(201);
    expect(body.fitting).toMatchObject({ id: 'own-kl-1', name: 'npt 1/4 m to an10 m', kind: 'adapter', boreMm: 6.8, priceMinor: 1450 });
    expect(body.fitting.lengthMm).toBeGreaterThan(20);
    expect((await part('own-kl-1')).body).toMatchObject({ origin: 'own', version: 1, usedBy: [] });
  });

  it.each([
    [{ ends, code: 'KL-1' }, 409, 'part-taken', 'id'],
    [{ ends: [parseConnector('orb6 m'), parseConnector('an6 m')] }, 409, 'part-taken', 'id'],
    [{ ends, id: 'another', code: 'kl-1' }, 409, 'code-taken', 'code'],
    [{ ends: [{ family: 'wizard', size: '6', gender: 'male' }], code: 'KL-2' }, 400, 'part-unsound', 'ends'],
    [{ ends: [{ family: 'npt', size: '7/9', gender: 'male' }], code: 'KL-3' }, 400, 'part-unsound', 'ends'],
    [{ ends, code: 'KL-4', kind: 'tee' }, 400, 'part-unsound', 'kind'],
    [{ ends, code: 'KL-5', boreMm: 400 }, 400, 'part-unsound', 'boreMm'],
    [{ ends: [] }, 400, 'bad-value', 'ends'],
    [{ ends, priceMinor: -1 }, 400, 'bad-value', 'priceMinor'],
    [{ ends, hack: 1 }, 400, 'bad-value', 'hack'],
  ])('are refused when they cannot be: %j', async (body, status, code, field) => {
    const refused = await shop.call('POST', '/api/catalogue/fittings', body);
    expect([refused.status, refused.body['code'], refused.body['field']]).toEqual([status, code, field]);
  });

  it('are edited by their version, and a stale edit is shown the newer part', async () => {
    const { body: before } = await part('orb8m+an8m');
    const edited = await put(before, { priceMinor: 999, shelf: 3 });
    expect(edited.body).toMatchObject({ version: 2, origin: 'own', fitting: { priceMinor: 999, shelf: 3 } });
    const stale = await put(before, { priceMinor: 1 });
    expect([stale.status, (stale.body as unknown as { current: Row }).current.fitting.priceMinor]).toEqual([409, 999]);
    expect((await put(edited.body, { code: 'KL-1' })).status).toBe(409);
    expect((await shop.call('GET', '/api/catalogue/fittings/nothing')).status).toBe(404);
  });

  it('that lines use are kept when they are taken out, and say who uses them', async () => {
    const { lineId, jobId } = await sampleJob(shop.call);
    const endA = { angleDeg: 0, fittings: [{ id: 'm14x1.5mwasher+an6m', inEnd: 0, outEnd: 1 }] };
    const { ports } = (await shop.call<{ ports: { id: string; label: string }[] }>('GET', `/api/jobs/${jobId}`)).body;
    const portId = ports.find((p) => p.label === 'gallery')!.id;
    expect((await shop.call('PATCH', `/api/lines/${lineId}`, { version: 1, endA: { ...endA, portId } })).status).toBe(200);
    const { body } = await part('m14x1.5mwasher+an6m');
    expect(body.usedBy).toEqual([{ job: '2501', line: 1, lineName: 'Turbo feed' }]);
    expect((await put(body, { retired: true })).status).toBe(200);
    const { fittings } = (await shop.call<{ fittings: Fitting[] }>('GET', '/api/catalogue')).body;
    expect(fittings.find((f) => f.id === 'm14x1.5mwasher+an6m')).toMatchObject({ retired: true });
  });

  it('come back when the change is taken back, one change after another', async () => {
    const undo = () => shop.call<{ label: string; code?: string }>('POST', '/api/catalogue/undo', {});
    expect((await undo()).body.label).toMatch(/^Take out Adapter, m14x1.5 m washer/);
    expect((await part('m14x1.5mwasher+an6m')).body.fitting.retired).toBeUndefined();
    expect((await undo()).body.label).toMatch(/^Edit Adapter, orb8 m/);
    expect((await part('orb8m+an8m')).body.fitting.priceMinor).toBeUndefined();
    expect((await undo()).body.label).toBe('Add npt 1/4 m to an10 m');
    expect((await part('own-kl-1')).status).toBe(404);
    expect((await undo()).body.code).toBe('nothing-to-undo');
  });

  it('are sent again only when they have changed', async () => {
    const first = await shop.app.inject({ method: 'GET', url: '/api/catalogue' });
    const again = () =>
      shop.app.inject({ method: 'GET', url: '/api/catalogue', headers: { 'if-none-match': String(first.headers['etag']) } });
    expect((await again()).statusCode).toBe(304);
    await shop.call('POST', '/api/catalogue/fittings', { ends, code: 'KL-9' });
    expect((await again()).statusCode).toBe(200);
  });
});

describe('what the shop weighs', () => {
  let shop: Awaited<ReturnType<typeof startTestApp>>;
  beforeAll(async () => (shop = await startTestApp()));
  afterAll(() => shop.close());
  const url = '/api/shop-rules/chain-weights';

  it('starts with the usual figures and is set by version', async () => {
    const { weights, version } = (await shop.call<{ weights: object; version: number }>('GET', url)).body;
    expect(version).toBe(0);
    const set = await shop.call('PUT', url, { version, weights: { ...weights, elbows: 'wanted', leadDayMinor: 0 } });
    expect(set.body).toMatchObject({ version: 1, weights: { elbows: 'wanted', leadDayMinor: 0 } });
    const stale = await shop.call('PUT', url, { version, weights });
    expect([stale.status, stale.body['code']]).toEqual([409, 'conflict']);
    expect((await shop.call('GET', url)).body).toMatchObject({ version: 1, weights: { elbows: 'wanted' } });
  });

  it.each([[{ price: -1 }], [{ elbows: 'perhaps' }], [{ aimMinor: 1.5 }]])('refuses %j', async (change) => {
    const { weights, version } = (await shop.call<{ weights: object; version: number }>('GET', url)).body;
    expect((await shop.call('PUT', url, { version, weights: { ...weights, ...change } })).status).toBe(400);
  });
});
