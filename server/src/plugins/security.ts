import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import type { FastifyInstance } from 'fastify';

/** Headers, content policy, compression and a limit on requests. The page loads nothing from anywhere but here. */
export async function secure(app: FastifyInstance, requestsPerMinute: number): Promise<void> {
  await app.register(helmet, {
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        // the planner of cuts is WebAssembly: allowed to be compiled, and nothing else is
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:'],
        fontSrc: ["'self'"],
        workerSrc: ["'self'"],
        connectSrc: ["'self'"],
        objectSrc: ["'none'"],
        frameAncestors: ["'none'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
      },
    },
    strictTransportSecurity: false, // plain http on loopback
    referrerPolicy: { policy: 'no-referrer' },
  });
  // what the shop knows is kept by no browser and no proxy, unless its route says so
  app.addHook('onSend', async (request, reply) => {
    if (request.url.startsWith('/api/') && !reply.hasHeader('cache-control')) void reply.header('cache-control', 'no-store');
  });
  await app.register(rateLimit, { max: requestsPerMinute, timeWindow: '1 minute' });
  await app.register(compress, { global: true, threshold: 1024, encodings: ['br', 'gzip'] });
}
