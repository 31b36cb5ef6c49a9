import fastifyStatic from '@fastify/static';
import type { FastifyInstance } from 'fastify';
import { existsSync } from 'node:fs';
import { noSuchRoute } from './errors.js';

/** Serves the built web app; hashed files for good, the rest fresh each time. Any page address gives the app itself. */
export async function serveWeb(app: FastifyInstance, root: string | undefined): Promise<void> {
  const present = root !== undefined && existsSync(root);
  if (present)
    await app.register(fastifyStatic, {
      root,
      wildcard: false,
      preCompressed: true,
      cacheControl: false,
      setHeaders: (response, path) => {
        // which of the compressed ones is sent hangs on what the browser takes
        response.setHeader('vary', 'accept-encoding');
        response.setHeader(
          'cache-control',
          /-[A-Z0-9]{8}\.\w+(\.(br|gz))?$/.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache',
        );
      },
    });
  // guessing at addresses counts as well
  app.setNotFoundHandler({ preHandler: app.rateLimit() }, async (request, reply) => {
    const page = request.method === 'GET' && !request.url.startsWith('/api/') && (request.headers.accept ?? '').includes('text/html');
    if (present && page) return reply.header('cache-control', 'no-cache').sendFile('index.html');
    throw noSuchRoute();
  });
}
