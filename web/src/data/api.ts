import { HttpClient, type HttpErrorResponse, HttpHeaders } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { AnswerOf, BodyOf, Contract, ErrorBody, Frozen, ParamsOf, QueryOf } from '@gewinde/core';
import { catchError, type Observable, throwError } from 'rxjs';
import { ThisTab } from './this-tab';

/** An error as the server words it, or that nobody answered. */
export class ApiError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly details: Omit<Partial<ErrorBody>, 'code' | 'message'> = {},
    readonly status = 0,
  ) {
    super(message);
  }

  get field(): string | undefined {
    return this.details.field;
  }

  /** Worth trying again: it was not refused for what it says. */
  get transient(): boolean {
    return this.status === 0 || this.status === 429 || this.status >= 500;
  }
}

/** What a contract asks for, of its parts those that it has. */
export type Given<C extends Contract> = (ParamsOf<C> extends undefined ? object : { params: ParamsOf<C> }) &
  (QueryOf<C> extends undefined ? object : { query: QueryOf<C> }) &
  (BodyOf<C> extends undefined ? object : { body: Frozen<BodyOf<C>> });

/** The server's API, by its contracts. Every error comes out as an {@link ApiError}. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);
  private readonly tab = inject(ThisTab);

  call<C extends Contract>(contract: C, given: Given<C>): Observable<AnswerOf<C>>;
  call(contract: Contract, given: object): Observable<unknown> {
    const { params, query, body } = given as { params?: Record<string, string>; query?: Record<string, string>; body?: unknown };
    return this.http
      .request(contract.method, pathOf(contract, params), {
        headers: new HttpHeaders({ 'x-gewinde-client': this.tab.id }),
        ...(query ? { params: query } : {}),
        ...(body === undefined ? {} : { body }),
      })
      .pipe(catchError((error: HttpErrorResponse) => throwError(() => asApiError(error))));
  }
}

/** The address of a route, for links and streams as well. */
export function pathOf({ path }: Contract, params: Readonly<Record<string, string>> = {}): string {
  return path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
}

function asApiError({ status, error, message }: HttpErrorResponse): ApiError {
  const said = error as Partial<ErrorBody> | null;
  if (status !== 0 && typeof said?.code === 'string') {
    const { code, message: words, ...details } = said;
    return new ApiError(code, words ?? message, details, status);
  }
  const unreadable = status >= 400 && status < 500 && status !== 429;
  return new ApiError('server-away', unreadable ? message : 'The server does not answer.', {}, unreadable ? status : 0);
}
