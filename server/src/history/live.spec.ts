import { jobContracts, shopContracts, type Command, type LiveMessage } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { sampleJob, startTestApp, type TestApp } from '../../test/test-app.js';
import { changesSince } from './event-store.js';
import { LiveChanges } from './live-changes.js';

let server: TestApp;
let port: number;
beforeAll(async () => {
  server = await startTestApp();
  await server.app.listen({ port: 0, host: '127.0.0.1' });
  port = (server.app.server.address() as { port: number }).port;
});
afterAll(async () => server.close());

/** Listens until so many messages have come. */
async function listen(
  query: Record<string, string>,
  count: number,
  lastEventId?: string,
): Promise<{ messages: LiveMessage[]; ids: string[]; text: string }> {
  const stop = new AbortController();
  const stream = await fetch(`http://127.0.0.1:${port}/api/live?${new URLSearchParams(query).toString()}`, {
    signal: stop.signal,
    headers: lastEventId ? { 'last-event-id': lastEventId } : {},
  });
  let text = '';
  for await (const chunk of stream.body as unknown as AsyncIterable<Uint8Array>) {
    text += new TextDecoder().decode(chunk);
    if ((text.match(/^event: /gm) ?? []).length >= count && text.endsWith('\n\n')) break;
  }
  stop.abort();
  const messages = [...text.matchAll(/^event: change\ndata: (.*)$/gm)].map((m) => JSON.parse(m[1]!) as LiveMessage);
  return { messages, ids: [...text.matchAll(/^id: (.*)$/gm)].map((m) => m[1]!), text };
}
const readAt = async (id: string): Promise<number> => (await server.ask(jobContracts.readJob, { params: { id } })).body.at;

describe('the live stream', () => {
  it('tells every change of its job from where the listener is, whole, in order, and goes on where it was', async () => {
    const { jobId, lineId, from } = await sampleJob(server, 'L-1');
    const after = String(await readAt(jobId));
    const other = await sampleJob(server, 'L-2');
    const made: object[] = [];
    for (const label of ['one', 'two', 'three'])
      made.push((await server.change(jobId, { do: 'edit-port', id: from, version: made.length + 1, set: { label } }, 'me')).body);
    await server.change(other.jobId, { do: 'delete-line', id: other.lineId, version: 1 });
    made.push((await server.change(jobId, { do: 'delete-line', id: lineId, version: 1 }, 'you')).body);
    const first = await listen({ job: jobId, after }, 4);
    expect(first.messages.map((m) => m.change)).toEqual(made);
    const resumed = await listen({ job: jobId, after: '0' }, 2, first.ids[1]);
    expect(resumed.messages.map((m) => m.change)).toEqual(made.slice(2));
    expect(await readAt(jobId)).toBe((made[3] as { id: number }).id);
  });

  it('tells what all jobs share to everybody', async () => {
    const listening = listen({}, 1);
    await new Promise((resolve) => setTimeout(resolve, 300));
    const part = {
      ends: [
        { family: 'npt', size: '1/4', gender: 'male' as const },
        { family: 'flare37', size: '10', gender: 'male' as const },
      ],
      code: 'LIVE-1',
    };
    const { body } = await server.ask(shopContracts.changeShop, {
      body: { key: randomUUID(), commands: [{ do: 'add-part', entry: { kind: 'fitting' as const, part } }] },
    });
    expect((await listening).messages).toEqual([{ scope: 'shop', change: body }]);
  });

  it('says when the listener is further on than the history: another database is behind it', async () => {
    const { jobId } = await sampleJob(server, 'L-3');
    expect((await listen({ job: jobId, after: '999999999' }, 1)).text).toContain('event: stale');
  });

  it('tells a change that is too large as such, and goes on behind it', async () => {
    const { jobId, from } = await sampleJob(server, 'L-5');
    const at = await readAt(jobId);
    const port: Command = { do: 'duplicate-port', id: from };
    await server.change(jobId, [port, port, port]);
    await server.change(jobId, port);
    const news = await changesSince(server.db, new Map([[jobId, at]]), 10, 2);
    expect(news.map((n) => [n.at - at, n.change?.put.length])).toEqual([
      [1, undefined],
      [2, 1],
    ]);
    const heard: string[] = [];
    const live = new LiveChanges(server.db);
    await server
      .db('event_rows')
      .where({ event_id: server.db('events').where({ scope: jobId }).max('id') })
      .update({ n: 5000 });
    live.listen({
      places: new Map([[jobId, at + 1]]),
      tell: () => heard.push('told'),
      stale: (scope) => heard.push(scope),
      sign: () => undefined,
    });
    while (heard.length < 1) await new Promise((resolve) => setTimeout(resolve, 20));
    expect(heard).toEqual([jobId]);
    live.close();
  });

  it('is one look at the database for all who listen, and none when nobody does', async () => {
    const { jobId, from } = await sampleJob(server, 'L-4');
    const live = new LiveChanges(server.db, 2);
    const heard: string[] = [];
    const at = await readAt(jobId);
    const stops = ['a', 'b'].map((name) =>
      live.listen({
        places: new Map([[jobId, at]]),
        tell: (_, change) => heard.push(`${name} ${change.label}`),
        stale: () => undefined,
        sign: () => undefined,
      }),
    );
    await server.change(jobId, { do: 'duplicate-port', id: from });
    while (heard.length < 2) await new Promise((resolve) => setTimeout(resolve, 20));
    expect(heard).toEqual(['a Duplicate port gallery', 'b Duplicate port gallery']);
    expect([live.full(), new LiveChanges(server.db, 2).full()]).toEqual([true, false]);
    stops.forEach((stop) => stop());
    expect([live.count, live.full()]).toEqual([0, false]);
    live.close();
  });

  it('goes on for the others while one takes nothing, and brings that one up when it does', async () => {
    const { jobId, from } = await sampleJob(server, 'L-6');
    const live = new LiveChanges(server.db);
    const at = await readAt(jobId);
    let takes = false;
    const heard = { quick: [] as number[], slow: [] as number[] };
    const follow = (list: number[], ready: () => boolean) =>
      live.listen({
        places: new Map([[jobId, at]]),
        tell: (_, change) => list.push(change.id),
        stale: () => undefined,
        sign: () => undefined,
        ready,
      });
    follow(heard.quick, () => true);
    follow(heard.slow, () => takes);
    for (let n = 1; n <= 60; n++) await server.change(jobId, { do: 'edit-port', id: from, version: n, set: { label: `port ${n}` } });
    const until = async (list: number[]) => {
      while (list.length < 60) await new Promise((resolve) => setTimeout(resolve, 20));
    };
    await until(heard.quick);
    expect(heard.slow).toEqual([]);
    takes = true;
    await until(heard.slow);
    const inOrder = Array.from({ length: 60 }, (_, n) => at + n + 1);
    expect([heard.quick, heard.slow]).toEqual([inOrder, inOrder]);
    live.close();
  });

  it('does not give every place to one address', () => {
    const live = new LiveChanges(server.db, 3, 2);
    const from = (address: string) =>
      live.listen({ places: new Map(), address, tell: () => undefined, stale: () => undefined, sign: () => undefined });
    from('10.0.0.1');
    from('10.0.0.1');
    expect([live.full('10.0.0.1'), live.full('10.0.0.2')]).toEqual([true, false]);
    from('10.0.0.2');
    expect(live.full('10.0.0.3')).toBe(true);
    live.close();
  });
});
