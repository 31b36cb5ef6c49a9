import { rates } from '@gewinde/core';
import { Piscina } from 'piscina';
import { AppError, type ErrorCode, type ErrorDetails } from '../errors/app-error.js';
import type { Heavy } from '../heavy/heavy.js';
import { JsonText } from '../heavy/json-text.js';
import { heavyWork } from './heavy-work.js';

/** What a worker is told, and what it answers. */
export interface HeavyOrder {
  readonly name: keyof typeof heavyWork;
  readonly given: readonly unknown[];
}
export type HeavyAnswer =
  | { readonly text: string }
  | { readonly json: string }
  | { readonly refused: { readonly code: ErrorCode; readonly message: string; readonly details: ErrorDetails } };

/** What one may use, MB: a list that needs more is ended, and nobody else with it. */
const MOST_MEMORY_MB = 1024;

const named = new Map<unknown, HeavyOrder['name']>(Object.entries(heavyWork).map(([name, work]) => [work, name as HeavyOrder['name']]));

/** Heavy work in threads of its own, each with its own connections: whoever asks for something else does not wait for it. */
export function heavyInWorkers(databaseUrl: string): Heavy {
  const pool = new Piscina<HeavyOrder, HeavyAnswer>({
    filename: new URL('./heavy-worker.js', import.meta.url).href,
    minThreads: 1,
    maxThreads: rates.heavyAtOnce,
    maxQueue: rates.heavyWaiting,
    idleTimeout: 60_000,
    workerData: { databaseUrl },
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
  });
  let catchingUp: Promise<unknown> | undefined;
  const order = async (name: HeavyOrder['name'], given: readonly unknown[]): Promise<never> => {
    const answer = await pool.run({ name, given }).catch((error: unknown) => {
      throw asRefusal(error);
    });
    if ('refused' in answer) throw new AppError(answer.refused.code, answer.refused.message, answer.refused.details);
    return ('text' in answer ? answer.text : new JsonText(answer.json)) as never;
  };
  return {
    run: (work, ...given) => {
      const name = named.get(work);
      if (!name) throw new Error(`No worker knows ${work.name}`);
      if (name !== 'catchUp') return order(name, given);
      // one at a time is enough: it goes on until nothing is behind
      catchingUp ??= order(name, given).finally(() => (catchingUp = undefined));
      return catchingUp as Promise<never>;
    },
    close: async () => pool.destroy(),
  };
}

function asRefusal(error: unknown): unknown {
  const { message = '', code } = error as { message?: string; code?: unknown };
  if (/queue/i.test(message)) return new AppError('server-busy');
  if (code === 'ERR_WORKER_OUT_OF_MEMORY')
    return new AppError('too-large', 'Reading this takes more memory than the server has. Nothing was changed; split it.');
  return error;
}
