const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ENOTFOUND',
  'ETIMEDOUT',
  'PROTOCOL_CONNECTION_LOST',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
  'PROTOCOL_ENQUEUE_AFTER_QUIT',
  'ER_CONNECTION_KILLED',
  // a node of a cluster that is not, or not yet, with the others
  'ER_UNKNOWN_COM_ERROR',
]);

/** MariaDB's ER_STATEMENT_TIMEOUT, which its client has no name for. */
const TOO_LONG = 1969;

/** Whether an error says that a statement ran for longer than one may, and was ended. */
export function tookTooLong(error: unknown): boolean {
  return ((error ?? {}) as { readonly errno?: unknown }).errno === TOO_LONG;
}

/** Whether an error says that the database, or the way to it, is gone. */
export function isAway(error: unknown): boolean {
  const { code, name } = (error ?? {}) as { readonly code?: unknown; readonly name?: unknown };
  return name === 'KnexTimeoutError' || (typeof code === 'string' && AWAY.has(code));
}
