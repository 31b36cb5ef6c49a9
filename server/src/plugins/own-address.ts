import type { FastifyInstance } from 'fastify';
import { AppError } from '../errors/app-error.js';

/** Names that mean this machine. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/**
 * Answers only under the names the server is for, and takes writes only from its own pages. A page anywhere can make a browser ask a
 * server on loopback, by a name of its own that it points there; such a request has that name in its Host, or its origin in Origin.
 *
 * @param names beside those of the loopback, without port
 */
export function ownAddressOnly(app: FastifyInstance, names: readonly string[]): void {
  const own = new Set([...LOOPBACK, ...names.map((name) => name.toLowerCase())]);
  app.addHook('onRequest', async ({ headers, method }) => {
    const host = headers.host?.toLowerCase() ?? '';
    if (!own.has(host.replace(/:\d+$/, ''))) throw new AppError('foreign-host');
    if (method === 'GET' || method === 'HEAD' || method === 'OPTIONS') return;
    const site = headers['sec-fetch-site'];
    const from = headers.origin;
    if ((from !== undefined && hostOf(from) !== host) || (site !== undefined && site !== 'same-origin' && site !== 'none'))
      throw new AppError('foreign-origin');
  });
}

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host.toLowerCase();
  } catch {
    return undefined;
  }
}
