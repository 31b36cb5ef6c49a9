import type { FastifyInstance } from 'fastify';
import { AppError } from '../errors/app-error.js';
import { errorBody, toAppError } from '../errors/to-app-error.js';

/** One error shape for every route; the log keeps what the answer does not tell. */
export function handleErrors(app: FastifyInstance): void {
  app.setErrorHandler((thrown, request, reply) => {
    const error = toAppError(thrown);
    if (error.status >= 500) request.log.error({ err: thrown }, 'request failed');
    return reply.status(error.status).send(errorBody(error));
  });
}

/** The answer for an address of the API that does not exist. */
export function noSuchRoute(): AppError {
  return new AppError('not-found', 'There is nothing at this address.');
}
