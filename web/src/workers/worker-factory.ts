/** Alone in its file: what bundles workers looks for exactly this form, and unit tests put a stub in its place. */
export const makeWaysWorker = (): Worker => new Worker(new URL('./ways.worker', import.meta.url), { type: 'module' });
