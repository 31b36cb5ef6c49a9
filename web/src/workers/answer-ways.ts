import { placesForSensor, solveJob, waysToHoseEnd, type Catalogue } from '@gewinde/core';
import type { WaysReply, WaysRequest } from './ways-protocol';

const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/** What the worker does with each request; it takes its breath between the ends of a job, so that a cancel is heard. */
export function answerWays(reply: (message: WaysReply) => void): (request: WaysRequest) => Promise<void> {
  let catalogue: Catalogue = { fittings: [], hoses: [], hoseEnds: [] };
  const cancelled = new Set<number>();
  const answer = async (request: WaysRequest): Promise<void> => {
    switch (request.kind) {
      case 'catalogue':
        catalogue = request.catalogue;
        return;
      case 'cancel':
        cancelled.add(request.id);
        return;
      case 'ways': {
        const { port, hoseEnd, options } = request.question;
        reply({ id: request.id, kind: 'ways', answer: waysToHoseEnd(port, hoseEnd, catalogue, options) });
        return;
      }
      case 'places':
        reply({ id: request.id, kind: 'places', places: placesForSensor(request.sensor, request.from, request.document, catalogue) });
        return;
      case 'job': {
        const steps = solveJob(request.document, catalogue, request.query);
        for (let step = steps.next(); ; step = steps.next()) {
          if (cancelled.delete(request.id)) return;
          if (step.done) {
            reply({ id: request.id, kind: 'job', solved: step.value });
            return;
          }
          reply({ id: request.id, kind: 'progress', progress: step.value });
          await pause();
        }
      }
    }
  };
  return async (request) => {
    try {
      await answer(request);
    } catch (error) {
      if (request.kind !== 'catalogue')
        reply({ id: request.id, kind: 'failed', message: error instanceof Error ? error.message : String(error) });
    }
  };
}
