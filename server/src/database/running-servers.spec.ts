import { startTestApp, type TestApp } from '../../test/test-app.js';
import { runningServers, sayRunning } from './running-servers.js';

let server: TestApp;
beforeAll(async () => {
  server = await startTestApp();
  await server.db('servers').delete();
});
afterAll(() => server.close());

it('a server says that it runs until it has ended; one that was killed is taken for gone in a while', async () => {
  const { db } = server;
  const ended = await sayRunning(db, 'the bench');
  const killed = await sayRunning(db, 'the saw');
  expect(await runningServers(db)).toEqual(['the bench', 'the saw']);
  await ended();
  await killed();
  await db('servers').insert({ id: 'killed', place: 'the saw', seen_at: db.raw('utc_timestamp(3) - interval 19 second') });
  expect(await runningServers(db)).toEqual(['the saw']);
  await db('servers').update({ seen_at: db.raw('utc_timestamp(3) - interval 21 second') });
  expect(await runningServers(db)).toEqual([]);
  // long gone, it is forgotten by the next
  await db('servers').update({ seen_at: db.raw('utc_timestamp(3) - interval 1 day') });
  await (
    await sayRunning(db)
  )();
  expect(await db('servers')).toEqual([]);
});
