import type { Static, TSchema } from 'typebox';
import type { Frozen } from '../schema/index.js';

declare const stated: unique symbol;

/** What a route takes and answers: the server registers it, the client is typed by it, the API's description is made of it. */
export interface Contract<Params = unknown, Query = unknown, Body = unknown, Answer = unknown> {
  readonly method: 'GET' | 'POST' | 'DELETE';
  /** With `:name` for what stands in `params`. */
  readonly path: string;
  readonly summary: string;
  readonly params?: TSchema;
  readonly query?: TSchema;
  readonly body?: TSchema;
  readonly answer: TSchema;
  readonly status: number;
  /** Largest body taken in, bytes, where the usual limit is too small. */
  readonly bodyLimit?: number;
  /** What the answer is, where it is not JSON. */
  readonly type?:
    'text/csv; charset=utf-8' | 'text/event-stream; charset=utf-8' | 'application/pdf' | 'image/svg+xml' | 'application/xml; charset=utf-8';
  /** What the schemas say, as types, worked out once; there is nothing here when the program runs. */
  readonly [stated]?: { readonly params: Params; readonly query: Query; readonly body: Body; readonly answer: Answer };
}

/** `undefined` where the contract asks for no such part. */
export type ParamsOf<C> = C extends Contract<infer P> ? P : never;
export type QueryOf<C> = C extends Contract<unknown, infer Q> ? Q : never;
export type BodyOf<C> = C extends Contract<unknown, unknown, infer B> ? B : never;
/** As the client gets it. */
export type AnswerOf<C> = C extends Contract<unknown, unknown, unknown, infer A> ? A : never;

type Schemas = 'params' | 'query' | 'body' | 'answer';
type Stated<S extends TSchema> = [S] extends [never] ? undefined : Static<S>;

/** Keeps what the schemas of a contract's parts say. */
export const contract = <A extends TSchema, P extends TSchema = never, Q extends TSchema = never, B extends TSchema = never>(
  parts: Omit<Contract, Schemas | typeof stated> & { readonly params?: P; readonly query?: Q; readonly body?: B; readonly answer: A },
): Contract<Stated<P>, Stated<Q>, Stated<B>, Frozen<Static<A>>> => parts;
