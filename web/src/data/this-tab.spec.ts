import { ThisTab } from './this-tab';

/** Locks as a browser with several tabs has them. */
function locks(held: string[]): { request: unknown; query: unknown } {
  return {
    request: (name: string, _: object, granted: (lock: object | null) => unknown) => {
      const free = !held.includes(name);
      if (free) held.push(name);
      granted(free ? { name } : null);
      return Promise.resolve();
    },
    query: () => Promise.resolve({ held: held.map((name) => ({ name })) }),
  };
}
const take = async (held: string[]): Promise<ThisTab> => {
  Object.defineProperty(navigator, 'locks', { value: locks(held), configurable: true });
  const tab = new ThisTab();
  await tab.take();
  return tab;
};

describe('the tabs of a browser', () => {
  beforeEach(() => {
    localStorage.clear();
    sessionStorage.clear();
  });

  it('are one a tab: a copy gets another, a reload keeps its own, a tab of tomorrow takes a free one', async () => {
    const held: string[] = [];
    const first = await take(held);
    const copy = await take(held); // the storage of its session is the same, its lock is not
    expect(copy.id).not.toBe(first.id);
    expect(held).toHaveLength(2);
    sessionStorage.setItem('gewinde.seat', first.id);
    held.splice(held.indexOf(`gewinde.seat.${first.id}`), 1); // the page was left
    expect((await take(held)).id).toBe(first.id);
    sessionStorage.clear();
    held.splice(0);
    const tomorrow = await take(held);
    expect(tomorrow.id).toBe(first.id);
    expect(tomorrow.left).toEqual([copy.id]);
  });

  it('are the same after a reload where the browser has no locks, and one a tab all the same: the others are asked', async () => {
    Object.defineProperty(navigator, 'locks', { value: undefined, configurable: true });
    const tabs = broadcasting();
    const takeThere = async (): Promise<{ tab: ThisTab; close: () => void }> => {
      const tab = new ThisTab();
      const before = tabs.length;
      await tab.take();
      return { tab, close: () => tabs.splice(before, 1) };
    };
    const first = await takeThere();
    const copy = await takeThere();
    expect(copy.tab.id).not.toBe(first.tab.id);
    expect(copy.tab.left).toEqual([]);
    copy.close();
    sessionStorage.setItem('gewinde.seat', first.tab.id);
    first.close(); // a reload
    const again = await takeThere();
    expect(again.tab.id).toBe(first.tab.id);
    // what the copy left unsent is sent from here
    expect(again.tab.left).toEqual([copy.tab.id]);
    tabs.splice(0);
    Object.defineProperty(globalThis, 'BroadcastChannel', { value: undefined, configurable: true });
    expect((await takeThere()).tab.id).toBe(first.tab.id);
  });

  it('are not believed as they are kept', async () => {
    localStorage.setItem('gewinde.seat', '["<script>", 4]');
    expect((await take([])).id).toMatch(/^[\w-]{36}$/);
  });
});

interface Tab {
  onmessage: ((event: { data: unknown }) => void) | null;
}

/** A channel between tabs as a browser has it: everyone hears but who speaks. */
function broadcasting(): Tab[] {
  const tabs: Tab[] = [];
  class Channel implements Tab {
    onmessage: Tab['onmessage'] = null;
    constructor() {
      tabs.push(this);
    }
    postMessage(data: unknown): void {
      for (const tab of tabs) if (tab !== this) queueMicrotask(() => tab.onmessage?.({ data }));
    }
  }
  Object.defineProperty(globalThis, 'BroadcastChannel', { value: Channel, configurable: true });
  return tabs;
}
