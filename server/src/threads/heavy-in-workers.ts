import { rates } from '@gewinde/core';
import { Piscina } from 'piscina';
import { AppError, type ErrorCode, type ErrorDetails } from '../errors/app-error.js';
import type { Asker, Heavy } from '../heavy/heavy.js';
import { JsonText } from '../heavy/json-text.js';
import { Turns } from '../heavy/turns.js';
import { boundsOf, heavyWork, type HeavyName, type Kind } from './heavy-work.js';

/** What a worker is told, and what it answers. */
export interface HeavyOrder {
  readonly name: HeavyName;
  readonly given: readonly unknown[];
}
export type HeavyAnswer =
  | { readonly text: string }
  | { readonly json: string }
  | { readonly paper: { readonly name: string; readonly bytes: Uint8Array } }
  | { readonly refused: { readonly code: ErrorCode; readonly message: string; readonly details: ErrorDetails } };

/** What one may use, MB: a list that needs more is ended, and nobody else with it. */
const MOST_MEMORY_MB = 1024;
/** How long a thread without work is kept, ms: a shop's day has pauses, and the next does not wait for one to come up. */
const IDLE_MS = 600_000;

const named = new Map<unknown, HeavyName>(Object.entries(heavyWork).map(([name, work]) => [work, name as HeavyName]));

/** The threads of one kind of work, and whose turn it is on them. */
interface Lane {
  readonly pool: Piscina<HeavyOrder, HeavyAnswer>;
  readonly turns: Turns;
}

/** Heavy work in threads of its own, each with its own connections: whoever asks for something else does not wait for it. */
export function heavyInWorkers(databaseUrl: string): Heavy {
  const lanes = new Map<Kind, Lane>();
  for (const [kind, places] of Object.entries(rates.heavy))
    lanes.set(kind as Kind, {
      turns: new Turns(places),
      pool: new Piscina<HeavyOrder, HeavyAnswer>({
        filename: new URL('./heavy-worker.js', import.meta.url).href,
        // one that is there already where a page waits to open; the others come up when they are first asked for
        minThreads: kind === 'pages' ? 1 : 0,
        maxThreads: places.atOnce,
        maxQueue: places.waiting,
        idleTimeout: IDLE_MS,
        workerData: { databaseUrl },
        resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
      }),
    });
  let catchingUp: Promise<unknown> | undefined;
  const order = async (name: HeavyName, asker: Asker, given: readonly unknown[]): Promise<never> => {
    const { kind, seconds, changes } = boundsOf[name];
    const { pool, turns } = lanes.get(kind)!;
    const work = async (): Promise<HeavyAnswer> => {
      const late = AbortSignal.timeout(seconds * 1000);
      // a thread that is ended takes its connections with it, and what it had begun is taken back
      const end = asker.gone && !changes ? AbortSignal.any([late, asker.gone]) : late;
      return pool.run({ name, given }, { signal: end }).catch((error: unknown) => {
        throw late.aborted ? new AppError('took-too-long') : asRefusal(error);
      });
    };
    const answer = await turns.take(asker.client, work, asker.gone);
    if ('refused' in answer) throw new AppError(answer.refused.code, answer.refused.message, answer.refused.details);
    if ('paper' in answer) return answer.paper as never;
    return ('text' in answer ? answer.text : new JsonText(answer.json)) as never;
  };
  return {
    run: (work, asker, ...given) => {
      const name = named.get(work);
      if (!name) throw new Error(`No worker knows ${work.name}`);
      if (name !== 'catchUp') return order(name, asker, given);
      // one at a time is enough: it goes on until nothing is behind
      catchingUp ??= order(name, asker, given).finally(() => (catchingUp = undefined));
      return catchingUp as Promise<never>;
    },
    close: async () => void (await Promise.all([...lanes.values()].map(({ pool }) => pool.destroy()))),
  };
}

function asRefusal(error: unknown): unknown {
  if ((error as { code?: unknown }).code === 'ERR_WORKER_OUT_OF_MEMORY')
    return new AppError('too-large', 'Reading this takes more memory than the server has. Nothing was changed; split it.');
  return error;
}
