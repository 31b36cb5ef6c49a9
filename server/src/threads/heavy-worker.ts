import { setPriority } from 'node:os';
import { workerData } from 'node:worker_threads';
import { connectDatabase } from '../database/connect.js';
import { forTheLog } from '../errors/for-the-log.js';
import { toAppError } from '../errors/to-app-error.js';
import type { PaperOf } from '../stockroom/papers-of.js';
import type { HeavyAnswer, HeavyOrder } from './heavy-in-workers.js';
import { heavyWork } from './heavy-work.js';

const { databaseUrl } = workerData as { databaseUrl: string };
/** Behind whoever waits for an answer: where processors are few, they come first (of this thread alone, on Linux). */
const BEHIND = 10;
if (process.platform === 'linux') setPriority(BEHIND);

const db = connectDatabase(databaseUrl, 2, 120);

/** Does a piece of heavy work; whatever goes wrong is told in the words of the error catalogue. */
export default async function work({ name, given }: HeavyOrder): Promise<HeavyAnswer> {
  try {
    const done: unknown = await (heavyWork[name] as (...all: unknown[]) => Promise<unknown>)(db, ...given);
    if (typeof done === 'object' && done !== null && 'bytes' in done) return { paper: done as PaperOf };
    return typeof done === 'string' ? { text: done } : { json: JSON.stringify(done) };
  } catch (error) {
    const { code, message, details } = toAppError(error);
    if (code === 'internal') console.error(forTheLog(error));
    return { refused: { code, message, details } };
  }
}
