import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { clientOf, IdParams, type App } from '../plugins/typed.js';

/** How often a stream looks for news, ms. Looking, rather than being told, lets several servers share one database. */
const LOOK_EVERY_MS = 1000;

interface News {
  readonly id: number;
  readonly label: string;
  readonly kind: string;
  readonly client: string;
}

/** Server-sent events: one message for each change somebody else makes to the job. */
export async function liveRoutes(app: App, { db }: Feature): Promise<void> {
  app.get(
    '/api/jobs/:id/live',
    {
      schema: {
        summary: 'Changes of a job as they happen (server-sent events)',
        params: IdParams,
        querystring: Type.Object({ client: Type.Optional(Type.String({ maxLength: 40 })) }, { additionalProperties: false }),
      },
    },
    async (request, reply) => {
      const jobId = request.params.id;
      const own = request.query.client ?? clientOf(request);
      let last = await newestEvent(jobId);
      reply.hijack();
      reply.raw.writeHead(200, {
        'content-type': 'text/event-stream; charset=utf-8',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      });
      reply.raw.write('retry: 2000\n\n');
      const look = setInterval(() => {
        void newsSince(jobId, last)
          .then((news) => {
            for (const event of news) {
              last = event.id;
              if (event.client !== own)
                reply.raw.write(`id: ${event.id}\nevent: change\ndata: ${JSON.stringify({ label: event.label, kind: event.kind })}\n\n`);
            }
          })
          .catch(() => reply.raw.write(': the database does not answer\n\n'));
      }, LOOK_EVERY_MS);
      request.raw.on('close', () => clearInterval(look));
    },
  );

  async function newestEvent(jobId: string): Promise<number> {
    const row = (await db('events').where({ job_id: jobId }).max('id as last').first()) as { last: number | null } | undefined;
    return row?.last ?? 0;
  }

  async function newsSince(jobId: string, last: number): Promise<News[]> {
    const news: News[] = await db('events')
      .where({ job_id: jobId })
      .where('id', '>', last)
      .orderBy('id')
      .select('id', 'label', 'kind', 'client');
    return news;
  }
}
