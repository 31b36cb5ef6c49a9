import { AppError } from '../errors/app-error.js';

/** How much is done at once, how much may wait, and how much of both one client may have. */
export interface Places {
  readonly atOnce: number;
  readonly waiting: number;
  readonly share: number;
}

interface Waiting {
  readonly client: string;
  readonly begin: () => void;
}

/**
 * Whose turn it is: clients take turns, each with what it asked for first, so that whoever asks for much waits behind itself and not the
 * others behind it. What is over, or not wanted any more, gives its place back.
 */
export class Turns {
  private running = 0;
  private readonly held = new Map<string, number>();
  private readonly waiting: Waiting[] = [];
  /** When a client last had its turn. */
  private readonly last = new Map<string, number>();
  private turn = 0;

  constructor(private readonly places: Places) {}

  /**
   * Does something when it is its turn.
   * @param gone says that nobody waits for it any more
   * @throws {AppError} `too-many-requests` when the client has its share already, `server-busy` when there is no place at all
   */
  async take<T>(client: string, work: () => Promise<T>, gone?: AbortSignal): Promise<T> {
    const held = this.held.get(client) ?? 0;
    if (held >= this.places.share)
      throw new AppError('too-many-requests', `${held} things of this kind are being worked out for you already; wait for one of them.`);
    if (this.waiting.length >= this.places.waiting) throw new AppError('server-busy');
    this.held.set(client, held + 1);
    try {
      if (this.running >= this.places.atOnce) await this.untilTurn(client, gone);
      else this.begin(client);
      try {
        gone?.throwIfAborted();
        return await work();
      } finally {
        this.running -= 1;
        this.next();
      }
    } finally {
      const left = (this.held.get(client) ?? 1) - 1;
      if (left > 0) this.held.set(client, left);
      else this.held.delete(client);
      if (left === 0 && this.running === 0 && this.waiting.length === 0) this.last.clear();
    }
  }

  private begin(client: string): void {
    this.running += 1;
    this.last.set(client, (this.turn += 1));
  }

  private async untilTurn(client: string, gone?: AbortSignal): Promise<void> {
    await new Promise<void>((resolve, reject) => {
      const one: Waiting = {
        client,
        begin: () => {
          gone?.removeEventListener('abort', leave);
          resolve();
        },
      };
      const leave = (): void => {
        const at = this.waiting.indexOf(one);
        if (at >= 0) this.waiting.splice(at, 1);
        reject(gone?.reason as Error);
      };
      if (gone?.aborted) return reject(gone.reason as Error);
      gone?.addEventListener('abort', leave, { once: true });
      this.waiting.push(one);
    });
  }

  /** Of those that wait, the first of the client whose last turn is longest ago. */
  private next(): void {
    if (this.running >= this.places.atOnce || this.waiting.length === 0) return;
    const since = ({ client }: Waiting): number => this.last.get(client) ?? 0;
    const first = this.waiting.reduce((best, one) => (since(one) < since(best) ? one : best));
    this.waiting.splice(this.waiting.indexOf(first), 1);
    this.begin(first.client);
    first.begin();
  }
}
