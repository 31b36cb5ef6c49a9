import type { Static, TSchema } from 'typebox';
import type { Frozen } from '../schema/index.js';

/** What a route takes and answers: the server registers it, the client is typed by it, the API's description is made of it. */
export interface Contract {
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
  readonly type?: 'text/csv; charset=utf-8' | 'text/event-stream; charset=utf-8';
}

type Part<C, K extends string> = C extends { readonly [P in K]: infer S extends TSchema } ? Static<S> : undefined;
export type ParamsOf<C extends Contract> = Part<C, 'params'>;
export type QueryOf<C extends Contract> = Part<C, 'query'>;
export type BodyOf<C extends Contract> = Part<C, 'body'>;
/** As the client gets it. */
export type AnswerOf<C extends Contract> = Frozen<Static<C['answer']>>;

/** Keeps the exact types of a contract's parts. */
export const contract = <const C extends Contract>(parts: C): C => parts;
