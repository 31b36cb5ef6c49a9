import Fastify from 'fastify';
import { handleErrors } from './errors.js';
import { ownAddressOnly } from './own-address.js';

async function ask(headers: Record<string, string>, method: 'GET' | 'POST' = 'POST', names: string[] = []): Promise<number> {
  const app = Fastify();
  handleErrors(app);
  ownAddressOnly(app, names);
  app.route({ method: ['GET', 'POST'], url: '/api/x', handler: () => ({ ok: true }) });
  return (await app.inject({ method, url: '/api/x', headers })).statusCode;
}

describe('the server answers under its own names only', () => {
  it.each([
    [{ host: 'localhost:3000' }, 200],
    [{ host: '127.0.0.1:3000' }, 200],
    [{ host: 'LOCALHOST' }, 200],
    [{ host: '[::1]:3000' }, 200],
    [{ host: 'shop.example:3000' }, 403],
    [{ host: '127.0.0.1.evil.example' }, 403],
  ])('%j: %d', async (headers, status) => {
    expect(await ask(headers, 'GET')).toBe(status);
    expect(await ask(headers)).toBe(status);
  });

  it('and under those that are configured', async () => {
    expect(await ask({ host: 'bench.shop:3000' }, 'POST', ['Bench.Shop'])).toBe(200);
    expect(await ask({ host: 'other.shop:3000' }, 'POST', ['bench.shop'])).toBe(403);
  });
});

describe('writes come from its own pages only', () => {
  const host = '127.0.0.1:3000';
  it.each([
    [{ host, origin: 'http://127.0.0.1:3000' }, 200],
    [{ host, 'sec-fetch-site': 'same-origin' }, 200],
    [{ host, 'sec-fetch-site': 'none' }, 200],
    [{ host, origin: 'http://evil.example' }, 403],
    [{ host, origin: 'http://127.0.0.1:4000' }, 403],
    [{ host, origin: 'null' }, 403],
    [{ host, 'sec-fetch-site': 'cross-site' }, 403],
    [{ host, 'sec-fetch-site': 'same-site' }, 403],
  ])('%j: %d', async (headers, status) => {
    expect(await ask(headers)).toBe(status);
    expect(await ask(headers, 'GET')).toBe(200);
  });
});
