import { findEntry, type Finding, type JudgedJob } from '@gewinde/core';

/** Where a finding is, in words, and the page that leads there. */
export interface Where {
  readonly words: string;
  readonly link: readonly string[];
  readonly query?: Readonly<Record<string, string>>;
}

/** `L8 · joint 6`, `Remote filter head, gauge`, `Order`. */
export function whereOf({ at, rule }: Finding, job: JudgedJob, readsFlow: (rule: string) => boolean): Where {
  const jobId = job.document.job.id;
  const line = at.lineId === undefined ? undefined : job.lineById.get(at.lineId);
  const port = at.portId === undefined ? undefined : job.portById.get(at.portId);
  if (line) {
    const joint = line.joints.find((j) => j.id === at.joint);
    const end =
      at.way === undefined || joint ? '' : at.way === 0 ? ' · end A' : at.way === line.ways.length - 1 ? ' · end B' : ' · between';
    const query = { ...(joint ? { joint: joint.id } : {}), ...(readsFlow(rule) && !joint ? { show: 'sizing' } : {}) };
    return {
      words: `L${line.line.number}${joint ? ` · joint ${joint.number}` : end}`,
      link: ['/job', jobId, 'lines', line.line.id],
      ...(Object.keys(query).length > 0 ? { query } : {}),
    };
  }
  const component = job.componentById.get(port?.componentId ?? at.componentId ?? '');
  if (component)
    return {
      words: port ? `${component.name}, ${port.label}` : component.name,
      link: ['/job', jobId, 'survey'],
      query: { component: component.id, ...(port ? { port: port.id } : {}) },
    };
  if (at.partId !== undefined)
    return { words: findEntry(job.catalogue, at.partId)?.part.name ?? at.partId, link: ['/job', jobId, 'order'] };
  if (at.orderId !== undefined) return { words: 'Order', link: ['/job', jobId, 'order'], query: { show: 'orders' } };
  if (at.lengthId !== undefined) return { words: at.lengthId, link: ['/job', jobId, 'cut'] };
  return { words: 'The whole job', link: ['/job', jobId, 'lines'], query: { show: 'system' } };
}
