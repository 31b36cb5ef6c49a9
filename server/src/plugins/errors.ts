import type { FastifyInstance, FastifyReply, FastifyServerOptions } from 'fastify';
import { AppError } from '../errors/app-error.js';
import { forTheLog } from '../errors/for-the-log.js';
import { errorBody, toAppError } from '../errors/to-app-error.js';

/** One error shape for every route; the log keeps what the answer does not tell. */
export function handleErrors(app: FastifyInstance): void {
  app.setErrorHandler((thrown, request, reply) => {
    const error = toAppError(thrown);
    if (error.status >= 500) request.log.error({ err: forTheLog(thrown) }, 'request failed');
    return reply.status(error.status).send(errorBody(error));
  });
}

/** Options of the server for what never comes to a route, so that it is answered in the same shape. */
export const errorsBeforeRoutes = {
  frameworkErrors: (_thrown: unknown, _request: unknown, reply: FastifyReply) => {
    const error = new AppError('bad-request', 'The address is too long or cannot be read.');
    void reply.status(error.status).send(errorBody(error));
  },
  clientErrorHandler: (thrown, socket) => {
    if (thrown.code === 'ECONNRESET' || !socket.writable) return;
    const tooSlow = thrown.code === 'ERR_HTTP_REQUEST_TIMEOUT';
    const error = new AppError('bad-request', tooSlow ? 'The request took too long to arrive.' : undefined);
    const body = JSON.stringify(errorBody(error));
    const head = ['content-type: application/json; charset=utf-8', `content-length: ${Buffer.byteLength(body)}`, 'connection: close'];
    socket.end(`HTTP/1.1 ${tooSlow ? '408 Request Timeout' : '400 Bad Request'}\r\n${head.join('\r\n')}\r\n\r\n${body}`);
  },
} satisfies FastifyServerOptions;

/** The answer for an address of the API that does not exist. */
export function noSuchRoute(): AppError {
  return new AppError('not-found', 'There is nothing at this address.');
}
