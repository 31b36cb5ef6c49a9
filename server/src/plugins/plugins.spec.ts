import Fastify from 'fastify';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { connect, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { AppError } from '../errors/app-error.js';
import { errorsBeforeRoutes, handleErrors } from './errors.js';
import { secure } from './security.js';
import { liveContracts } from '@gewinde/core';
import { serve } from './serve.js';
import { serveWeb } from './web-files.js';

const folder = mkdtempSync(join(tmpdir(), 'gewinde-web-'));
writeFileSync(join(folder, 'index.html'), '<p>the app</p>');
writeFileSync(join(folder, 'main-ABCD1234.js'), 'x'.repeat(2000));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

async function app(requestsPerMinute = 100) {
  const server = Fastify(errorsBeforeRoutes);
  handleErrors(server);
  await secure(server, requestsPerMinute);
  server.get('/api/fault', () => {
    throw new Error('inside');
  });
  server.get('/api/known', () => {
    throw new AppError('port-in-use', 'Used by L4.', { field: 'endA' });
  });
  serve(server, { ...liveContracts.health, path: '/api/who' }, async ({ client }) => ({ ok: true, client }));
  await serveWeb(server, folder);
  return server;
}

describe('what the server adds to every answer', () => {
  it('is one shape for errors, without the inside of a fault', async () => {
    const server = await app();
    expect((await server.inject('/api/fault')).json()).toEqual({
      code: 'internal',
      message: 'Something went wrong on the server. Nothing was changed.',
    });
    const known = await server.inject('/api/known');
    expect([known.statusCode, known.json()]).toEqual([409, { code: 'port-in-use', message: 'Used by L4.', field: 'endA' }]);
  });

  it('is that shape for an address that cannot be read and a request that is none, too', async () => {
    const server = await app();
    for (const url of [`/api/who/${'x'.repeat(300)}%`, '/api/%zz']) {
      const answer = await server.inject(url);
      expect([answer.statusCode, answer.json()]).toEqual([
        400,
        { code: 'bad-request', message: 'The address is too long or cannot be read.' },
      ]);
    }
    await server.listen({ port: 0, host: '127.0.0.1' });
    const socket = connect((server.server.address() as AddressInfo).port, '127.0.0.1');
    socket.write('NOT HTTP AT ALL\r\n\r\n');
    let text = '';
    for await (const chunk of socket) text += String(chunk);
    expect(text).toMatch(/^HTTP\/1.1 400 .*\r\n\r\n{"code":"bad-request","message":"The request cannot be read\."}$/s);
    await server.close();
  });

  it('is a limit on requests, in the same shape', async () => {
    const server = await app(3);
    const codes = [];
    for (let i = 0; i < 5; i++) codes.push((await server.inject('/api/who')).statusCode);
    expect(codes).toEqual([200, 200, 200, 429, 429]);
    expect((await server.inject('/api/who')).json()).toMatchObject({ code: 'too-many-requests' });
  });

  it('is the app for any page address, and an error for any address of the API that is not there', async () => {
    const server = await app();
    const page = await server.inject({ url: '/job/1/lines', headers: { accept: 'text/html' } });
    expect([page.statusCode, page.body, page.headers['cache-control']]).toEqual([200, '<p>the app</p>', 'no-cache']);
    expect((await server.inject({ url: '/api/nothing', headers: { accept: 'text/html' } })).statusCode).toBe(404);
    expect((await server.inject({ url: '/missing.js' })).json()).toMatchObject({ code: 'not-found' });
    expect((await server.inject({ url: '/../package.json', headers: { accept: 'text/html' } })).body).not.toContain('"name"');
  });

  it('keeps hashed files for good and asks for the rest each time', async () => {
    const server = await app();
    expect((await server.inject('/main-ABCD1234.js')).headers['cache-control']).toContain('immutable');
    expect((await server.inject('/')).headers['cache-control']).toBe('no-cache');
  });

  it('takes the name of a tab only if it looks like one', async () => {
    const server = await app();
    const who = async (client: string) =>
      (await server.inject({ url: '/api/who', headers: { 'x-gewinde-client': client } })).json<{ client: string }>().client;
    expect(await who('abc-123')).toBe('abc-123');
    expect(await who('<script>')).toBe('unknown');
    expect(await who('x'.repeat(50))).toBe('unknown');
  });
});
