import type { FastifyInstance } from 'fastify';

/** The server as the features see it. */
export type App = FastifyInstance;
