import { waysToHoseEnd, type Catalogue } from '@gewinde/core';
import type { WaysRequest } from '../src/workers/ways-protocol';

/** Answers at once, on the same thread. */
export const makeWaysWorker = (): Worker => {
  const listeners: ((event: { data: unknown }) => void)[] = [];
  let catalogue: Catalogue = { fittings: [], hoses: [], hoseEnds: [] };
  return {
    addEventListener: (_: string, listener: (event: { data: unknown }) => void) => listeners.push(listener),
    postMessage: (data: WaysRequest) => {
      if (data.kind === 'catalogue') catalogue = data.catalogue;
      else
        queueMicrotask(() =>
          listeners.forEach((l) => l({ data: { id: data.id, ...waysToHoseEnd({ connector: data.from }, data.hoseEnd, catalogue) } })),
        );
    },
  } as unknown as Worker;
};
