import { startTestApp, type TestApp } from '../test/test-app.js';
import { buildApp } from './app.js';
import { readConfig } from './config.js';

let server: TestApp;
beforeAll(async () => (server = await startTestApp({ keep: true })));
afterAll(() => server.close());

it('the limit on requests is by whom a trusted proxy asks for; who is not trusted is taken for itself', async () => {
  const limited = async (proxies: string[]) => {
    const app = await buildApp({ db: server.db, requestsPerMinute: 1, proxies });
    const ask = async (by: string) =>
      (await app.inject({ url: '/api/jobs', remoteAddress: '10.0.0.2', headers: { 'x-forwarded-for': by } })).statusCode;
    const answers = [await ask('192.0.2.1'), await ask('192.0.2.2'), await ask('192.0.2.1')];
    await app.close();
    return answers;
  };
  expect(await limited(['10.0.0.0/8'])).toEqual([200, 200, 429]);
  expect(await limited(['10.1.0.0/16'])).toEqual([200, 429, 429]);
});

it('proxies are addresses or networks', () => {
  expect(() => readConfig({ GEWINDE_DATABASE_URL: 'mysql://a:b@c/d', GEWINDE_PROXIES: '10.0.0.2, proxy' })).toThrow('not "proxy"');
  expect(readConfig({ GEWINDE_DATABASE_URL: 'mysql://a:b@c/d', GEWINDE_PROXIES: '::1, 10.0.0.0/8' }).proxies).toEqual([
    '::1',
    '10.0.0.0/8',
  ]);
});
