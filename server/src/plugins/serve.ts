import { ErrorBodySchema, type AnswerOf, type BodyOf, type Contract, type ParamsOf, type QueryOf } from '@gewinde/core';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { Asker } from '../heavy/heavy.js';
import { JsonText } from '../heavy/json-text.js';
import type { App } from './app-type.js';
import { validateOnceAsked } from './validate-once-asked.js';

/** What a handler is given, as its contract says it, checked. */
export interface Asked<C extends Contract> {
  readonly params: ParamsOf<C>;
  readonly query: QueryOf<C>;
  readonly body: BodyOf<C>;
  readonly request: FastifyRequest;
  readonly reply: FastifyReply;
  /** Which tab of which browser asks. */
  readonly client: string;
  /** From where, and whether it still waits: for what is shared out. */
  readonly asker: Asker;
}

/**
 * Registers a route by its contract: what comes in is checked by it, the API's description is made of it, and the handler answers what
 * it says, or has sent the answer itself.
 */
export function serve<C extends Contract>(
  app: App,
  contract: C,
  handle: (asked: Asked<C>) => Promise<AnswerOf<C> | JsonText<AnswerOf<C>> | FastifyReply>,
): void {
  const { method, path, summary, params, query, body, answer, status, bodyLimit, type } = contract;
  app.route({
    method,
    url: path,
    exposeHeadRoute: type === undefined,
    ...(bodyLimit ? { bodyLimit } : {}),
    schema: {
      summary,
      ...(params ? { params } : {}),
      ...(query ? { querystring: query } : {}),
      ...(body ? { body } : {}),
      response: { [status]: answer, '4xx': ErrorBodySchema, '5xx': ErrorBodySchema },
    },
    validatorCompiler: validateOnceAsked,
    // answers are typed by the same schemas: nothing is left out or bent on the way
    serializerCompiler: () => (data) => JSON.stringify(data),
    handler: async (request, reply) => {
      void reply.status(status);
      if (type) void reply.type(type);
      const answered = await handle({
        params: request.params as ParamsOf<C>,
        query: request.query as QueryOf<C>,
        body: request.body as BodyOf<C>,
        request,
        reply,
        client: clientOf(request),
        get asker() {
          return askerOf(request, reply);
        },
      });
      return answered instanceof JsonText ? reply.type('application/json; charset=utf-8').send(answered.text) : answered;
    },
  });
}

function askerOf(request: FastifyRequest, reply: FastifyReply): Asker {
  const gone = new AbortController();
  reply.raw.once('close', () => {
    if (!reply.raw.writableFinished) gone.abort();
  });
  return { client: request.ip, gone: gone.signal };
}

function clientOf(request: FastifyRequest): string {
  const header = request.headers['x-gewinde-client'];
  return typeof header === 'string' && /^[\w-]{1,40}$/.test(header) ? header : 'unknown';
}
