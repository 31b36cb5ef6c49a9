import type { Knex } from 'knex';
import { buildApp } from '../src/app.js';
import { ensureStandardCatalogue } from '../src/catalogue/catalogue-store.js';
import { connectDatabase } from '../src/database/connect.js';
import type { App } from '../src/plugins/typed.js';

export interface Answer<T = Record<string, unknown>> {
  readonly status: number;
  readonly body: T;
  readonly headers: Record<string, string | string[] | number | undefined>;
  readonly text: string;
}

/** The real server on the test database, emptied first, with the standard catalogue. */
export async function startTestApp(): Promise<{
  app: App;
  db: Knex;
  call: <T = Record<string, unknown>>(method: string, url: string, body?: unknown, client?: string) => Promise<Answer<T>>;
  close: () => Promise<void>;
}> {
  const url = process.env['GEWINDE_TEST_DATABASE_URL'];
  if (!url) throw new Error('GEWINDE_TEST_DATABASE_URL is not set: run the tests with "npm test"');
  const db = connectDatabase(url);
  await db.migrate.latest();
  await emptyTables(db);
  await ensureStandardCatalogue(db);
  const app = await buildApp({ db, requestsPerMinute: 100_000 });
  await app.ready();
  const call = async <T>(method: string, path: string, body?: unknown, client = 'test'): Promise<Answer<T>> => {
    const response = await app.inject({
      method: method as 'GET',
      url: path,
      headers: { 'x-gewinde-client': client },
      ...(body === undefined ? {} : { payload: body as object }),
    });
    const json = String(response.headers['content-type']).includes('json') && response.body !== '';
    return { status: response.statusCode, body: (json ? response.json() : null) as T, headers: response.headers, text: response.body };
  };
  return {
    app,
    db,
    call,
    close: async () => {
      await app.close();
      await db.destroy();
    },
  };
}

/** Lines before the ports they end on; the rest of a job goes with it. Quicker than making every table anew for each file of tests. */
async function emptyTables(db: Knex): Promise<void> {
  for (const table of ['job_lines', 'jobs', 'fittings', 'hoses', 'hose_ends', 'marks', 'drill_answers', 'catalogue_changes', 'shop_rules'])
    await db(table).delete();
}

/** A job with a block and a turbo, two ports, and a line between them. */
export async function sampleJob(
  call: Awaited<ReturnType<typeof startTestApp>>['call'],
  number = '2501',
): Promise<{ jobId: string; blockId: string; from: string; to: string; lineId: string }> {
  const id = async (method: string, url: string, body: object): Promise<string> => (await call<{ id: string }>(method, url, body)).body.id;
  const jobId = await id('POST', '/api/jobs', { number, name: 'Test job' });
  const blockId = await id('POST', `/api/jobs/${jobId}/components`, { kind: 'block', name: 'Block' });
  const turboId = await id('POST', `/api/jobs/${jobId}/components`, { kind: 'turbo', name: 'Turbo' });
  const from = await id('POST', `/api/components/${blockId}/ports`, { label: 'gallery', notation: 'm14x1.5 f washer' });
  const to = await id('POST', `/api/components/${turboId}/ports`, { label: 'inlet', notation: 'orb6 f' });
  const lineId = await id('POST', `/api/jobs/${jobId}/lines`, { service: 'turbo-feed', fromPortId: from, toPortId: to });
  return { jobId, blockId, from, to, lineId };
}
