import { SchemaError } from './database/schema/hold-schema.js';

/** In plain words why a server did not start; what nobody foresaw is told whole. */
export function whyNotStarted(error: unknown, port: number): unknown {
  if (error instanceof SchemaError) return error.message;
  const { code, message } = error as { code?: string; message: string };
  if (code === 'EADDRINUSE') return `Port ${port} is in use by another program. Set GEWINDE_PORT to another one.`;
  if (code === 'ER_OPTION_PREVENTS_STATEMENT' || code === 'ER_CANT_EXECUTE_IN_READ_ONLY_TRANSACTION')
    return 'The database takes no changes: it is set to be read only. Gewinde needs one that it may write to.';
  if (code && /^ER_(\w*ACCESS_DENIED|DBACCESS_DENIED)/.test(code))
    return `The database does not let Gewinde in, or not do what it must (${message}). Its user needs all rights on that one database.`;
  if (code && /^E(CONN|HOST|TIMEDOUT|ACCES|NOTFOUND|R_)/.test(code)) return `The database cannot be used: ${message}`;
  return error;
}
