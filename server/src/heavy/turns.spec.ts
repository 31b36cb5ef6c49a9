import { Turns } from './turns.js';

/** Work that ends when it is told to. */
function held(): { readonly work: () => Promise<string>; readonly end: (said?: string) => void; readonly begun: () => boolean } {
  let begun = false;
  let end = (_said?: string): void => undefined;
  const ended = new Promise<string>((resolve) => (end = (said = 'done') => resolve(said)));
  return { work: async () => ((begun = true), ended), end: (said) => end(said), begun: () => begun };
}
const settled = () => new Promise((resolve) => setImmediate(resolve));

describe('turns', () => {
  it('go round the clients: who asked for much first does not hold up who asks for one thing', async () => {
    const turns = new Turns({ atOnce: 1, waiting: 10, share: 5 });
    const order: string[] = [];
    const ask = (client: string, name: string) => turns.take(client, async () => void order.push(name));
    const first = held();
    const all = [turns.take('greedy', first.work), ask('greedy', 'g2'), ask('greedy', 'g3'), ask('other', 'o1'), ask('third', 't1')];
    first.end();
    await Promise.all(all);
    expect(order).toEqual(['o1', 't1', 'g2', 'g3']);
  });

  it('are no more at once than there are places, and no more for one than its share', async () => {
    const turns = new Turns({ atOnce: 2, waiting: 2, share: 3 });
    const works = Array.from({ length: 4 }, held);
    const taken = works.map((one, n) => turns.take(n < 3 ? 'a' : 'b', one.work));
    await settled();
    expect(works.map((one) => one.begun())).toEqual([true, true, false, false]);
    await expect(turns.take('a', async () => 1)).rejects.toMatchObject({ code: 'too-many-requests' });
    await expect(turns.take('c', async () => 1)).rejects.toMatchObject({ code: 'server-busy' });
    works.forEach((one, n) => one.end(`done ${n}`));
    expect(await Promise.all(taken)).toEqual(['done 0', 'done 1', 'done 2', 'done 3']);
    expect(await turns.take('a', async () => 1)).toBe(1);
  });

  it('are given up by who has gone, and given back by what fails', async () => {
    const turns = new Turns({ atOnce: 1, waiting: 1, share: 2 });
    const first = held();
    const running = turns.take('a', first.work);
    const gone = new AbortController();
    let begun = false;
    const waiting = turns.take('b', async () => (begun = true), gone.signal);
    await expect(turns.take('c', async () => 1)).rejects.toMatchObject({ code: 'server-busy' });
    gone.abort();
    await expect(waiting).rejects.toThrow();
    const next = turns.take('c', async () => Promise.reject(new Error('no')));
    first.end();
    await running;
    await expect(next).rejects.toThrow('no');
    expect([begun, await turns.take('b', async () => 2)]).toEqual([false, 2]);
  });
});
