import type { Knex } from 'knex';
import { buildApp } from '../app.js';
import { startTestApp, type TestApp } from '../../test/test-app.js';

let t: TestApp;
beforeAll(async () => (t = await startTestApp()));
afterAll(() => t.close());

/** The database of the test, but for what is written to it. */
const thatWrites = (write: () => Promise<unknown>): Knex =>
  new Proxy(t.db, {
    apply: (db, _, [table]: [string]) => (table === 'marks' ? { insert: () => ({ onConflict: () => ({ merge: write }) }) } : db(table)),
  });
const healthOf = async (db: Knex) => {
  const app = await buildApp({ db });
  const { statusCode, headers, json } = await app.inject('/api/health');
  return { status: statusCode, cache: headers['cache-control'], body: json<Record<string, unknown>>() };
};

describe('health', () => {
  it('is that a change could be saved, and kept by nobody', async () => {
    expect(await healthOf(t.db)).toEqual({ status: 200, cache: 'no-store', body: { ok: true } });
    expect(await t.db('marks').where({ name: 'health' }).first()).toMatchObject({ name: 'health' });
  });

  it('is not that something can be read: a full disk is told, and one that hangs is not waited for', async () => {
    const full = await healthOf(thatWrites(() => Promise.reject(new Error('The table is full'))));
    expect([full.status, full.body['code']]).toEqual([503, 'database-away']);
    expect(full.body['message']).toMatch(/^Nothing can be saved at this moment: .*The table is full/);
    const hangs = await healthOf(thatWrites(() => new Promise(() => undefined)));
    expect([hangs.status, hangs.body['message']]).toEqual([503, expect.stringMatching(/no answer came within 3 s/)]);
  });
});
