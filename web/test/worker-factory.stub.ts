import { answerWays } from '../src/workers/answer-ways';
import type { WaysRequest } from '../src/workers/ways-protocol';

/** Answers soon, on the same thread. */
export const makeWaysWorker = (): Worker => {
  const listeners: ((event: { data: unknown }) => void)[] = [];
  const answer = answerWays((data) => listeners.forEach((listener) => listener({ data })));
  return {
    addEventListener: (_: string, listener: (event: { data: unknown }) => void) => listeners.push(listener),
    postMessage: (data: WaysRequest) => queueMicrotask(() => void answer(data)),
  } as unknown as Worker;
};
