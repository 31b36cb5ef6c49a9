import type { Findable } from '@gewinde/core';

/** Where in a job something is shown: an address within the app. */
export function placeInJob(
  jobId: string,
  { kind, id, componentId }: Pick<Findable, 'kind' | 'id'> & { readonly componentId?: string | undefined },
): { readonly path: string[]; readonly query: Record<string, string> } {
  const at = ['/job', jobId];
  switch (kind) {
    case 'line':
      return { path: [...at, 'lines', id], query: {} };
    case 'port':
      return { path: [...at, 'survey'], query: { ...(componentId ? { component: componentId } : {}), port: id } };
    case 'component':
      return { path: [...at, 'survey'], query: { component: id } };
    case 'part':
      return { path: [...at, 'lines'], query: {} };
  }
}
