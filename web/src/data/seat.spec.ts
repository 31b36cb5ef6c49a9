import { Seat } from './seat';

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
const take = async (held: string[]): Promise<Seat> => {
  Object.defineProperty(navigator, 'locks', { value: locks(held), configurable: true });
  const seat = new Seat();
  await seat.take();
  return seat;
};

describe('the seats of a browser', () => {
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

  it('are nobody in particular where the browser has no locks, and what is kept is not believed', async () => {
    Object.defineProperty(navigator, 'locks', { value: undefined, configurable: true });
    const seat = new Seat();
    await seat.take();
    expect([seat.id.length, seat.left]).toEqual([36, []]);
    localStorage.setItem('gewinde.seat', '["<script>", 4]');
    expect((await take([])).id).toMatch(/^[\w-]{36}$/);
  });
});
