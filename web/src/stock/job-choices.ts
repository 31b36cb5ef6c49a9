import { jobContracts } from '@gewinde/core';
import { catchError, map, type Observable, of, startWith } from 'rxjs';
import type { Api } from '../data/api';
import type { Choice } from '../shared/choice-field';

/** The open jobs to choose from, and none of them under this name. */
export function jobChoices(api: Api, none: string): Observable<readonly Choice<string | null>[]> {
  const nobody: Choice<string | null> = { value: null, name: none };
  return api.call(jobContracts.listJobs, { query: { most: '100' } }).pipe(
    map(({ jobs }) => [nobody, ...jobs.map(({ job }) => ({ value: job.id, name: `${job.number} ${job.name}` }))]),
    catchError(() => of([nobody])),
    startWith([nobody]),
  );
}
