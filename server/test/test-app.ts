import {
  commonFittings,
  ErrorBodySchema,
  jobContracts,
  standardHoseEnds,
  standardHoses,
  standardSupplies,
  type AnswerOf,
  type BodyOf,
  type Command,
  type Contract,
  type ErrorBody,
  type JobDocument,
  type ParamsOf,
  type QueryOf,
} from '@gewinde/core';
import { Ajv, type ValidateFunction } from 'ajv';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { buildApp } from '../src/app.js';
import { ensureStandardCatalogue, type standardCatalogue } from '../src/catalogue/catalogue-store.js';
import { connectDatabase } from '../src/database/connect.js';
import type { App } from '../src/plugins/app-type.js';

/** The common parts: enough to test with, and quick. */
let few: ReturnType<typeof standardCatalogue> | undefined;
function fewParts(): ReturnType<typeof standardCatalogue> {
  const usual = ['flare37', 'barb'];
  return (few ??= {
    fittings: commonFittings(),
    hoses: standardHoses(),
    hoseEnds: standardHoseEnds().filter(({ connector }) => usual.includes(connector.family)),
    supplies: standardSupplies(),
  });
}

export interface Answer<T> {
  readonly status: number;
  readonly body: T;
  readonly headers: Record<string, string | string[] | number | undefined>;
  readonly text: string;
}

type Given<C extends Contract> = (ParamsOf<C> extends undefined ? object : { params: ParamsOf<C> }) &
  (QueryOf<C> extends undefined ? object : { query?: QueryOf<C> }) &
  (BodyOf<C> extends undefined ? object : { body: BodyOf<C> });

export interface TestApp {
  readonly app: App;
  readonly db: Knex;
  /** Asks by contract; an answer that is not as the contract has it fails the test. */
  readonly ask: <C extends Contract>(contract: C, given: Given<C>, client?: string) => Promise<Answer<AnswerOf<C> & Partial<ErrorBody>>>;
  /** Sends whatever it is told to. */
  readonly call: (method: string, url: string, body?: unknown, client?: string) => Promise<Answer<Record<string, unknown>>>;
  /** Sends commands for a job as one change. */
  readonly change: (
    jobId: string,
    commands: Command | readonly Command[],
    client?: string,
    key?: string,
  ) => Promise<Answer<AnswerOf<typeof jobContracts.changeJob> & Partial<ErrorBody>>>;
  readonly document: (jobId: string) => Promise<JobDocument>;
  readonly close: () => Promise<void>;
}

const ajv = new Ajv({ strict: false, discriminator: true });
const validators = new Map<object, ValidateFunction>();

function hold(schema: object, body: unknown, what: string): void {
  const validate = validators.get(schema) ?? ajv.compile(schema);
  validators.set(schema, validate);
  if (!validate(body)) throw new Error(`${what}: ${ajv.errorsText(validate.errors)} in ${JSON.stringify(body)?.slice(0, 600)}`);
}

/** The real server on the test database, emptied first unless it is to be kept, with the standard catalogue. */
export async function startTestApp({ keep = false } = {}): Promise<TestApp> {
  const url = process.env['GEWINDE_TEST_DATABASE_URL'];
  if (!url) throw new Error('GEWINDE_TEST_DATABASE_URL is not set: run the tests with "npm test"');
  const db = connectDatabase(url);
  await db.migrate.latest();
  if (!keep) await emptyTables(db);
  await ensureStandardCatalogue(db, undefined, fewParts);
  const app = await buildApp({ db, requestsPerMinute: 100_000 });
  await app.ready();
  const call = async (method: string, path: string, body?: unknown, client = 'test'): Promise<Answer<Record<string, unknown>>> => {
    const response = await app.inject({
      method: method as 'GET',
      url: path,
      headers: { 'x-gewinde-client': client },
      ...(body === undefined ? {} : { payload: body as object }),
    });
    const json = String(response.headers['content-type']).includes('json') && response.body !== '';
    return {
      status: response.statusCode,
      body: (json ? response.json() : null) as Record<string, unknown>,
      headers: response.headers,
      text: response.body,
    };
  };
  const ask: TestApp['ask'] = async (contract, given, client) => {
    const { params = {}, query = {}, body } = given as { params?: Record<string, string>; query?: Record<string, string>; body?: unknown };
    const path = contract.path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
    const search = new URLSearchParams(query).toString();
    const answer = await call(contract.method, search ? `${path}?${search}` : path, body, client);
    if (answer.status >= 400) hold(ErrorBodySchema, answer.body, `error of ${contract.path}`);
    else if (answer.status !== contract.status) throw new Error(`${contract.path} answered ${answer.status}, not ${contract.status}`);
    else if (!contract.type) hold(contract.answer, answer.body, `answer of ${contract.path}`);
    return answer as never;
  };
  return {
    app,
    db,
    ask,
    call,
    change: (id, commands, client, key = randomUUID()) => {
      const list = Array.isArray(commands) ? (commands as Command[]) : [commands as Command];
      return ask(jobContracts.changeJob, { params: { id }, body: { key, commands: list } }, client);
    },
    document: async (id) => (await ask(jobContracts.readJob, { params: { id } })).body.document as JobDocument,
    close: async () => {
      await app.close();
      await db.destroy();
    },
  };
}

/** Lines before the ports they end on; the rest of a job goes with it. Quicker than making every table anew for each file of tests. */
async function emptyTables(db: Knex): Promise<void> {
  const stock = ['purchase_orders', 'cuts_made', 'hose_lengths', 'shelves', 'supplier_offers', 'suppliers'];
  for (const table of [...stock, 'job_lines', 'jobs', 'events', 'parts', 'marks', 'drill_answers', 'shop_rules']) await db(table).delete();
}

/** A job with a block and a turbo, two ports, and a line between them. */
export async function sampleJob(
  { ask, change }: Pick<TestApp, 'ask' | 'change'>,
  number = '2501',
): Promise<{ jobId: string; blockId: string; turboId: string; from: string; to: string; lineId: string }> {
  const [blockId, turboId, from, to, lineId] = [randomUUID(), randomUUID(), randomUUID(), randomUUID(), randomUUID()];
  const jobId = (await ask(jobContracts.createJob, { body: { number, name: 'Test job' } })).body.id;
  const made = await change(jobId, [
    { do: 'add-component', id: blockId, kind: 'block', name: 'Block' },
    { do: 'add-component', id: turboId, kind: 'turbo', name: 'Turbo' },
    { do: 'add-port', id: from, componentId: blockId, label: 'gallery', notation: 'm14x1.5 f washer' },
    { do: 'add-port', id: to, componentId: turboId, label: 'inlet', notation: 'orb6 f' },
  ]);
  if (made.status !== 200) throw new Error(made.text);
  await change(jobId, { do: 'add-line', id: lineId, service: 'turbo-feed', fromPortId: from, toPortId: to });
  return { jobId, blockId, turboId, from, to, lineId };
}
