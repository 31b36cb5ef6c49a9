import type { TypeBoxTypeProvider } from '@fastify/type-provider-typebox';
import type { FastifyBaseLogger, FastifyInstance, FastifyRequest, RawServerDefault } from 'fastify';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { Type, type TSchema } from 'typebox';

/** The Fastify instance as the features see it: schemas give the types. */
export type App = FastifyInstance<RawServerDefault, IncomingMessage, ServerResponse, FastifyBaseLogger, TypeBoxTypeProvider>;

export const IdParams = Type.Object({ id: Type.String({ minLength: 1, maxLength: 64 }) }, { additionalProperties: false });
export const VersionField = Type.Integer({ minimum: 1 });

/** The one shape of every error answer. */
export const ErrorBody = Type.Object(
  {
    code: Type.String(),
    message: Type.String(),
    field: Type.Optional(Type.String()),
    current: Type.Optional(Type.Unknown()),
    position: Type.Optional(Type.Integer()),
    length: Type.Optional(Type.Integer()),
    hint: Type.Optional(Type.String()),
    suggestion: Type.Optional(Type.String()),
  },
  { title: 'Error' },
);

/** Answers of a route: the good one, and the error shape for all others. */
export function answers<T extends TSchema>(good: T, status = 200): Record<number | string, T | typeof ErrorBody> {
  return { [status]: good, '4xx': ErrorBody, '5xx': ErrorBody };
}

/** Which browser tab a change comes from, so that it does not hear its own echo. */
export function clientOf(request: FastifyRequest): string {
  const header = request.headers['x-gewinde-client'];
  return typeof header === 'string' && /^[\w-]{1,40}$/.test(header) ? header : 'unknown';
}
