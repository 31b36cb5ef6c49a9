import { liveContracts, type LiveMessage } from '@gewinde/core';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import { serve } from '../plugins/serve.js';
import { asJobChange, asShopChange, type Change } from './change.js';
import { AppError } from '../errors/app-error.js';
import { newestChange } from './event-store.js';
import { LiveChanges } from './live-changes.js';

/** What may lie here for one who does not take it, bytes; a change more is told only when that has gone out. */
const MOST_UNSENT = 128 * 1024;

/** A change as it goes out, written once for all who hear of it. */
const written = new WeakMap<Change, Buffer>();

function toldOf(scope: string, change: Change): Buffer {
  let bytes = written.get(change);
  if (!bytes) {
    const message: LiveMessage = scope === 'shop' ? { scope, change: asShopChange(change) } : { scope: 'job', change: asJobChange(change) };
    written.set(change, (bytes = Buffer.from(`event: change\ndata: ${JSON.stringify(message)}\n\n`)));
  }
  return bytes;
}

/** Server-sent events: every change of a job and of what all jobs share, from where the listener is. */
export async function liveRoutes(app: App, { db }: Feature): Promise<void> {
  const live = new LiveChanges(db);
  app.addHook('onClose', () => live.close());
  serve(app, liveContracts.live, async ({ query, request, reply }) => {
    if (live.full(request.ip)) throw new AppError('too-many-requests', 'Too many pages listen to this server already; close some.');
    let gone = false;
    let stop = (): unknown => undefined;
    request.raw.on('close', () => {
      gone = true;
      stop();
    });
    const [resumedJob, resumedShop] = String(request.headers['last-event-id'] ?? '').split('.');
    const jobNewest = query.job === undefined ? 0 : await newestChange(db, { job: query.job });
    const shopNewest = await newestChange(db, 'shop');
    const jobAt = place(resumedJob, query.after) ?? jobNewest;
    const shopAt = place(resumedShop, query.shop) ?? shopNewest;
    reply.hijack();
    reply.raw.writeHead(200, {
      'content-type': 'text/event-stream; charset=utf-8',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    reply.raw.write('retry: 2000\n\n');
    if (gone) return reply;
    // further on than the history: the database is not the one it was, and what the listener has is not to be built on
    if (jobAt > jobNewest || shopAt > shopNewest) reply.raw.write('event: stale\ndata: all\n\n');
    const places = new Map([['shop', Math.min(shopAt, shopNewest)]]);
    if (query.job !== undefined) places.set(query.job, Math.min(jobAt, jobNewest));
    const where = (): string => `${places.get(query.job ?? '') ?? 0}.${places.get('shop')}`;
    const tell = (scope: string, change: Change): void => {
      // the place is the listener's own, what happened is the same for all
      reply.raw.write(`id: ${where()}\n`);
      reply.raw.write(toldOf(scope, change));
    };
    const stale = (scope: string): void => {
      reply.raw.write(`id: ${where()}\nevent: stale\ndata: ${scope === 'shop' ? 'shop' : 'all'}\n\n`);
    };
    const sign = (state: 'alive' | 'away'): void => {
      // an event, so that the page hears that the line is not dead
      reply.raw.write(`event: sign\ndata: ${state}\n\n`);
    };
    stop = live.listen({
      places,
      address: request.ip,
      tell,
      stale,
      sign,
      ready: () => reply.raw.writableLength < MOST_UNSENT,
      end: () => reply.raw.destroy(),
    });
    return reply;
  });
}

function place(resumed: string | undefined, asked: string | undefined): number | undefined {
  const said = resumed !== undefined && /^\d{1,15}$/.test(resumed) ? resumed : asked;
  return said === undefined ? undefined : Number(said);
}
