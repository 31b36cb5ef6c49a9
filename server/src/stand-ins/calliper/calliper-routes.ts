import { FittingSeenSchema, ReadingSchema, type FittingSeen } from '@gewinde/core';
import { Type } from 'typebox';
import { AppError } from '../../errors/app-error.js';
import { answers, type App } from '../../plugins/typed.js';
import { ReadingRequest } from './calliper-schemas.js';
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
  app.get(
    '/api/calliper/tray',
    {
      schema: {
        summary: 'The loose fittings on the tray, as the eye sees them',
        response: answers(Type.Object({ uncertaintyMm: Type.Number(), fittings: Type.Array(FittingSeenSchema) })),
      },
    },
    async () => ({ uncertaintyMm: calliper.uncertaintyMm, fittings: mysteryTray.map(asSeen) }),
  );
  app.post(
    '/api/calliper/readings',
    { schema: { summary: 'One reading off the calliper', body: ReadingRequest, response: answers(ReadingSchema) } },
    async ({ body }) => calliper.read(onTray(body.fitting), body.jaws, body.place),
  );
  app.get(
    '/api/calliper/live',
    { schema: { summary: 'Readings as the calliper sends them (server-sent events)', querystring: ReadingRequest } },
    async (request, reply) => {
      const { fitting: id, jaws, place } = request.query;
      const fitting = onTray(id);
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
    },
  );
}

function onTray(id: string): MysteryFitting {
  const fitting = fittingOnTray(id);
  if (!fitting) throw new AppError('not-found', 'This fitting is not on the tray.', { field: 'fitting' });
  return fitting;
}
