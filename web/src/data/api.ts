import { HttpClient, type HttpErrorResponse, HttpHeaders } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { Catalogue, ChainLink, Component, Job, JobDocument, JobFile, Line, LineBranch, Port } from '@gewinde/core';
import { catchError, type Observable, throwError } from 'rxjs';

export interface JobSummary {
  readonly job: Job;
  readonly components: number;
  readonly ports: number;
  readonly lines: number;
  readonly linesThatSeal: number;
  readonly linesChecked: number;
  readonly linesThatLeak: number;
  readonly blockedBy?: string;
  readonly next: string;
}

/** What sits in a port now, its connector in notation. */
export interface SensorFields {
  readonly name: string;
  readonly notation: string;
  readonly movedTo: NonNullable<Port['sensor']>['movedTo'];
}

/** One end of a line with the way it takes. */
export interface WayTaken {
  readonly lineId: string;
  readonly version: number;
  readonly side: 'A' | 'B';
  readonly fittings: readonly ChainLink[];
  readonly branches: readonly LineBranch[];
}

/** An error as the server words it; `away` where nobody answered. */
export class ApiError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly field?: string,
    readonly current?: unknown,
  ) {
    super(message);
  }

  /** Worth trying again: the server or its database did not answer. */
  get away(): boolean {
    return this.code === 'server-away' || this.code === 'database-away';
  }
}

/** Names this browser tab to the server. */
export const clientId = Math.random().toString(36).slice(2, 12);

export type EntityKind = 'job' | 'component' | 'port' | 'line';
const PATHS: Record<EntityKind, string> = { job: 'jobs', component: 'components', port: 'ports', line: 'lines' };

/** The server's API, one method a route. Every error comes out as an {@link ApiError}. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);
  private readonly headers = new HttpHeaders({ 'x-gewinde-client': clientId });

  jobs(archived = false): Observable<JobSummary[]> {
    return this.send<JobSummary[]>('GET', `/api/jobs?archived=${archived}`);
  }
  job(id: string): Observable<JobDocument> {
    return this.send('GET', `/api/jobs/${id}`);
  }
  createJob(fields: { number: string; name: string; description: string }): Observable<Job> {
    return this.send('POST', '/api/jobs', fields);
  }
  catalogue(): Observable<Catalogue> {
    return this.send('GET', '/api/catalogue');
  }
  addComponent(jobId: string, fields: Pick<Component, 'kind' | 'name'>): Observable<Component> {
    return this.send('POST', `/api/jobs/${jobId}/components`, fields);
  }
  addPort(componentId: string, fields: { label: string; notation: string; note?: string; sensor?: SensorFields | null }): Observable<Port> {
    return this.send('POST', `/api/components/${componentId}/ports`, fields);
  }
  addLine(jobId: string, fields: { name?: string; service: Line['service']; fromPortId: string; toPortId: string }): Observable<Line> {
    return this.send('POST', `/api/jobs/${jobId}/lines`, fields);
  }
  duplicate(kind: 'component' | 'port', id: string): Observable<unknown> {
    return this.send('POST', `/api/${PATHS[kind]}/${id}/duplicate`, {});
  }
  edit<T>(kind: EntityKind, id: string, version: number, patch: object): Observable<T> {
    return this.send('PATCH', `/api/${PATHS[kind]}/${id}`, { version, ...patch });
  }
  remove(kind: EntityKind, id: string, version: number): Observable<null> {
    return this.send('DELETE', `/api/${PATHS[kind]}/${id}`, { version });
  }
  takeWays(jobId: string, ways: readonly WayTaken[]): Observable<Line[]> {
    return this.send('POST', `/api/jobs/${jobId}/ways`, { ways });
  }
  step(jobId: string, direction: 'undo' | 'redo'): Observable<{ label: string }> {
    return this.send('POST', `/api/jobs/${jobId}/${direction}`, {});
  }
  importJob(file: JobFile): Observable<{ job: Job; renumberedFrom?: string }> {
    return this.send('POST', '/api/jobs/import', file);
  }

  /** One request to the API; other services of the app build on it. */
  send<T>(method: string, url: string, body?: object): Observable<T> {
    return this.http.request<T>(method, url, { body, headers: this.headers }).pipe(
      catchError((error: HttpErrorResponse) => {
        const said = error.error as { code?: string; message?: string; field?: string; current?: unknown } | null;
        if (error.status === 0 || !said?.code) return throwError(() => new ApiError('server-away', 'The server does not answer.'));
        return throwError(() => new ApiError(said.code!, said.message ?? error.message, said.field, said.current));
      }),
    );
  }
}
