import { partsList, cutTickets, type AssembledJob } from '@gewinde/core';

/** The steps of a job that exist, in the working order. */
export interface Step {
  readonly path: string;
  readonly name: string;
  /** What stands beside the name: how much is there or open; `attention` colours it. */
  readonly count: (job: AssembledJob) => { readonly text: string; readonly attention: boolean };
}

export const steps: readonly Step[] = [
  {
    path: 'survey',
    name: 'Survey',
    count: ({ document: { ports } }) => ({ text: `${ports.length} ${ports.length === 1 ? 'port' : 'ports'}`, attention: false }),
  },
  {
    path: 'lines',
    name: 'Lines',
    count: ({ lines }) => {
      const open = lines.filter((l) => l.state === 'open' || l.state === 'leaks').length;
      return open > 0 ? { text: String(open), attention: true } : { text: `${lines.length} drawn`, attention: false };
    },
  },
  {
    path: 'cut',
    name: 'Cut',
    count: (job) => {
      const { tickets } = cutTickets(job);
      return { text: `${tickets.length} ${tickets.length === 1 ? 'ticket' : 'tickets'}`, attention: false };
    },
  },
  {
    path: 'order',
    name: 'Order',
    count: (job) => {
      const { rows } = partsList(job);
      return { text: `${rows.length} ${rows.length === 1 ? 'part' : 'parts'}`, attention: false };
    },
  },
];
