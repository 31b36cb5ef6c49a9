import { shopContracts, stockContracts, type AnswerOf, type ErrorBody, type ShopCommand, type StockCommand } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { changeRows } from '../src/history/change-rows.js';
import { carryOut } from '../src/shop/carry-out.js';
import { sampleJob, startTestApp, type Answer, type TestApp } from './test-app.js';

type Changed = Answer<AnswerOf<typeof shopContracts.changeShop> & Partial<ErrorBody>>;

/** The test app with a job, and what the tests of the stockroom all ask of it. */
export interface TestStockroom extends TestApp {
  readonly jobId: string;
  /** A line of the job, for what is cut. */
  readonly lineId: string;
  /** Carries out commands as one change. */
  readonly run: (commands: ShopCommand | readonly ShopCommand[], client?: string) => Promise<Changed>;
  readonly room: () => Promise<AnswerOf<typeof stockContracts.readStockroom>>;
  /** What a part's card tells of its shelf; of hose its metres. */
  readonly shelfOf: (part: string) => Promise<number>;
}

export const WASHER = 'washer copper 14 × 18 × 1.5';
export const RING = 'o-ring fkm AS568-906';
export const HOSE = 'hose-ptfe-10';

export async function startStockroom(number: string): Promise<TestStockroom> {
  const t = await startTestApp();
  const { jobId, lineId } = await sampleJob(t, number);
  return {
    ...t,
    jobId,
    lineId,
    run: (commands, client = 'test') =>
      t.ask(
        shopContracts.changeShop,
        { body: { key: randomUUID(), commands: (Array.isArray(commands) ? commands : [commands]) as ShopCommand[] } },
        client,
      ),
    room: async () => (await t.ask(stockContracts.readStockroom, { query: { job: jobId } })).body,
    shelfOf: async (part) => (await t.ask(shopContracts.readPart, { params: { part } })).body.row.part.shelf ?? 0,
  };
}

/** A command as a test words it, whether it holds or not. */
export const said = (command: object): StockCommand => command as StockCommand;

/** An order that is sent, with nobody asked about it. */
export async function sayItIsSent(t: TestApp, id: string, version: number): Promise<void> {
  const sender = { client: 'test', key: randomUUID() };
  await changeRows(t.db, 'shop', sender, (trx) => carryOut(trx, [{ do: 'send-order', id, version }], sender));
}
