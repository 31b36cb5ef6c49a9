/// <reference lib="webworker" />
import { waysToHoseEnd, type Catalogue } from '@gewinde/core';
import type { WaysAnswer, WaysRequest } from './ways-protocol';

let catalogue: Catalogue = { fittings: [], hoses: [], hoseEnds: [] };

addEventListener('message', ({ data }: MessageEvent<WaysRequest>) => {
  if (data.kind === 'catalogue') {
    catalogue = data.catalogue;
    return;
  }
  const answer: WaysAnswer = { id: data.id, ...waysToHoseEnd({ connector: data.from }, data.hoseEnd, catalogue) };
  postMessage(answer);
});
