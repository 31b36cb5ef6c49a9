import { benchContracts, type FittingSeen } from '@gewinde/core';
import { AppError } from '../../errors/app-error.js';
import type { App } from '../../plugins/app-type.js';
import { serve } from '../../plugins/serve.js';
import type { Calliper } from './calliper.js';
import { fittingOnTray, mysteryTray, type MysteryFitting } from './mystery-tray.js';

/** The instrument sends a reading this often while it is on, ms. */
const EVERY_MS = 400;
/** A calliper left on switches itself off. */
const LONGEST_MS = 120_000;

export function asSeen({ id, seen, side }: MysteryFitting): FittingSeen {
  return { id, seen, side };
}

/** The calliper stand-in: a tray of fittings without names, single readings, and a stream of them. */
export async function calliperRoutes(app: App, { calliper }: { calliper: Calliper }): Promise<void> {
  serve(app, benchContracts.readTray, async () => ({ uncertaintyMm: calliper.uncertaintyMm, fittings: mysteryTray.map(asSeen) }));
  serve(app, benchContracts.takeReading, async ({ body }) => calliper.read(onTray(body.fitting), body.jaws, body.place));
  serve(app, benchContracts.liveReadings, async ({ query, request, reply }) => {
    const { jaws, place } = query;
    const fitting = onTray(query.fitting);
    const send = (): void => void reply.raw.write(`event: reading\ndata: ${JSON.stringify(calliper.read(fitting, jaws, place))}\n\n`);
    calliper.read(fitting, jaws, place); // wrong jaws are refused before the stream opens
    reply.hijack();
    reply.raw.writeHead(200, {
      'content-type': 'text/event-stream; charset=utf-8',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    send();
    const sending = setInterval(send, EVERY_MS);
    const off = setTimeout(() => {
      reply.raw.write('event: off\ndata: {}\n\n');
      reply.raw.end();
    }, LONGEST_MS);
    request.raw.on('close', () => {
      clearInterval(sending);
      clearTimeout(off);
    });
    return reply;
  });
}

function onTray(id: string): MysteryFitting {
  const fitting = fittingOnTray(id);
  if (!fitting) throw new AppError('not-found', 'This fitting is not on the tray.', { field: 'fitting' });
  return fitting;
}
