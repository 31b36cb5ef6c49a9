/** How a tab keeps a seat to itself while it is open. */
export interface HoldSeat {
  /** False where another tab has it. */
  readonly hold: (seat: string) => Promise<boolean>;
  /** The seats that are held just now, by whichever tab. */
  readonly held: () => Promise<ReadonlySet<string>>;
}

/** By the locks of the browser; undefined where it has none: they are there on loopback and under https only, whatever the types say. */
export function heldByLocks(name: string): HoldSeat | undefined {
  const locks = navigator.locks as LockManager | undefined;
  if (!locks) return undefined;
  const lockOf = (seat: string): string => `${name}.${seat}`;
  return {
    hold: (seat) =>
      new Promise((resolve) => {
        void locks.request(lockOf(seat), { ifAvailable: true }, (lock) => {
          resolve(lock !== null);
          return lock ? new Promise<void>(() => undefined) : undefined;
        });
      }),
    held: async () => {
      const told = await locks.query();
      return new Set((told.held ?? []).flatMap((lock) => (lock.name?.startsWith(`${name}.`) ? [lock.name.slice(name.length + 1)] : [])));
    },
  };
}

/** How long the other tabs have to answer, ms. */
const ANSWER_WITHIN_MS = 150;
type Said = { readonly ask: string } | { readonly held: string; readonly by: string };

/**
 * By asking: every tab says which seat it has when it is asked. Of two that take the same seat in the same moment, one may hear too
 * late: both then send what was left there, which is made once, by its key.
 */
export function heldByAsking(name: string): HoldSeat {
  const mine = new Set<string>();
  const others = new Set<string>();
  if (typeof BroadcastChannel === 'undefined')
    return { hold: (seat) => Promise.resolve(mine.add(seat) !== null), held: () => Promise.resolve(mine) };
  const self = String(Math.random());
  const channel = new BroadcastChannel(name);
  channel.onmessage = ({ data }: MessageEvent<Said>) => {
    if ('ask' in data) for (const seat of mine) channel.postMessage({ held: seat, by: self } satisfies Said);
    else if (data.by !== self) others.add(data.held);
  };
  let answers: Promise<void> | undefined;
  const asked = (): Promise<void> => {
    answers ??= new Promise((resolve) => {
      channel.postMessage({ ask: self } satisfies Said);
      setTimeout(resolve, ANSWER_WITHIN_MS);
    });
    return answers;
  };
  return {
    hold: async (seat) => {
      await asked();
      if (others.has(seat)) return false;
      mine.add(seat);
      channel.postMessage({ held: seat, by: self } satisfies Said);
      return true;
    },
    held: async () => {
      await asked();
      return new Set([...mine, ...others]);
    },
  };
}
