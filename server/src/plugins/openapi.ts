import swagger from '@fastify/swagger';
import type { FastifyInstance } from 'fastify';

/** Gathers the schemas of every route registered after it; the document is served at /api/docs. */
export async function describeApi(app: FastifyInstance): Promise<void> {
  await app.register(swagger, {
    openapi: {
      openapi: '3.1.0',
      info: {
        title: 'Gewinde API',
        version: '1',
        description:
          'Jobs, survey, lines, catalogue and papers. Lengths in mm, prices in minor units. Errors have one shape: code, message, field.',
      },
    },
  });
  app.get('/api/docs', { schema: { hide: true } }, async () => app.swagger());
}
