import { answerWays } from '../src/workers/answer-ways';
import type { WaysRequest } from '../src/workers/ways-protocol';

type Listener = (event: { data: unknown }) => void;

/** A worker on the same thread, which answers soon, and can die. */
class StubWorker {
  silent = false;
  private readonly listeners: Record<string, Listener[]> = {};
  private readonly answer = answerWays((data) => this.tell('message', data));

  addEventListener(name: string, listener: Listener): void {
    (this.listeners[name] ??= []).push(listener);
  }
  postMessage(data: WaysRequest): void {
    if (!this.silent) queueMicrotask(() => this.answer(data));
  }
  terminate(): void {
    this.silent = true;
  }
  die(): void {
    this.silent = true;
    for (const listener of this.listeners['error'] ?? []) listener({ data: null });
  }
  private tell(name: string, data: unknown): void {
    if (!this.silent) for (const listener of this.listeners[name] ?? []) listener({ data });
  }
}

export const workers: StubWorker[] = [];
export const makeWaysWorker = (): Worker => {
  const worker = new StubWorker();
  workers.push(worker);
  return worker as unknown as Worker;
};
