/** How a tab keeps its id to itself while it is open. */
export interface HoldTab {
  /** False where another tab has it. */
  readonly hold: (tab: string) => Promise<boolean>;
  /** The tabs that are held just now, by whichever tab. */
  readonly held: () => Promise<ReadonlySet<string>>;
}

/** By the locks of the browser; undefined where it has none: they are there on loopback and under https only, whatever the types say. */
export function heldByLocks(name: string): HoldTab | undefined {
  const locks = navigator.locks as LockManager | undefined;
  if (!locks) return undefined;
  const lockOf = (tab: string): string => `${name}.${tab}`;
  return {
    hold: (tab) =>
      new Promise((resolve) => {
        void locks.request(lockOf(tab), { ifAvailable: true }, (lock) => {
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
 * By asking: every tab says which id it has when it is asked. Of two that take the same id in the same moment, one may hear too
 * late: both then send what was left there, which is made once, by its key.
 */
export function heldByAsking(name: string): HoldTab {
  const mine = new Set<string>();
  const others = new Set<string>();
  if (typeof BroadcastChannel === 'undefined')
    return { hold: (tab) => Promise.resolve(mine.add(tab) !== null), held: () => Promise.resolve(mine) };
  const self = String(Math.random());
  const channel = new BroadcastChannel(name);
  channel.onmessage = ({ data }: MessageEvent<Said>) => {
    if ('ask' in data) for (const tab of mine) channel.postMessage({ held: tab, by: self } satisfies Said);
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
    hold: async (tab) => {
      await asked();
      if (others.has(tab)) return false;
      mine.add(tab);
      channel.postMessage({ held: tab, by: self } satisfies Said);
      return true;
    },
    held: async () => {
      await asked();
      return new Set([...mine, ...others]);
    },
  };
}
