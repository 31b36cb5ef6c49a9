/** The steps of a job that exist, in the working order. What stands beside each is in `step-counts.ts`, which is read with a job. */
export const steps = [
  { path: 'survey', name: 'Survey' },
  { path: 'lines', name: 'Lines' },
  { path: 'audit', name: 'Audit' },
  { path: 'cut', name: 'Cut' },
  { path: 'order', name: 'Order' },
] as const;
export type StepPath = (typeof steps)[number]['path'];
