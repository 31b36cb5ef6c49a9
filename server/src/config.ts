export interface Config {
  readonly databaseUrl: string;
  readonly host: string;
  readonly port: number;
  readonly webRoot: string | undefined;
  /** What to load on start: the demo once, the demo anew, or nothing. */
  readonly demo: 'once' | 'reset' | 'none';
}

/** @throws {RangeError} in plain words when the environment does not make sense */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const databaseUrl = env['GEWINDE_DATABASE_URL'];
  if (!databaseUrl) throw new RangeError('GEWINDE_DATABASE_URL is not set; start the app with "npm start".');
  const port = Number(env['GEWINDE_PORT'] ?? 3000);
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new RangeError(`GEWINDE_PORT is not a port: ${env['GEWINDE_PORT']}`);
  const demo = env['GEWINDE_DEMO'] ?? 'none';
  if (demo !== 'once' && demo !== 'reset' && demo !== 'none') throw new RangeError(`GEWINDE_DEMO must be once, reset or none, not ${demo}`);
  return { databaseUrl, host: env['GEWINDE_HOST'] ?? '127.0.0.1', port, webRoot: env['GEWINDE_WEB_ROOT'], demo };
}
