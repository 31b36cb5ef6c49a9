import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statSync, readdirSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { root } from './paths.mjs';

/** The lines of Node that the app runs on, each from which release; `engines` in package.json says the same. */
export const suitable = [
  { major: 20, minor: 19 },
  { major: 22, minor: 12 },
  { major: 24, minor: 0 },
];

/** A plain word about an unfit Node, before anything else can fail strangely. */
export function requireNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (suitable.some((line) => line.major === major && minor >= line.minor)) return;
  const lines = suitable.map((line) => `${line.major}.${line.minor} or a later ${line.major}`).join(', ');
  stop(`Gewinde runs on Node ${lines}. This is Node ${process.versions.node}.`);
}

export function stop(message, code = 1) {
  console.error(message);
  process.exit(code);
}

export function has(command) {
  return spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0;
}

/** Installs Debian packages as root, or says the command that would. */
export function requirePackages(wanted) {
  const missing = wanted.filter(({ command }) => !has(command)).map(({ name }) => name);
  if (missing.length === 0) return;
  const command = `apt-get install -y --no-install-recommends ${missing.join(' ')}`;
  if (process.getuid?.() !== 0 || !has('apt-get')) stop(`Missing: ${missing.join(', ')}. Install with:\n  sudo ${command}`);
  console.log(`Installing ${missing.join(', ')} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  // the package would start a service of the system's; this app runs its own private server
  const policy = '/usr/sbin/policy-rc.d';
  const ours = !existsSync(policy);
  if (ours) writeFileSync(policy, '#!/bin/sh\nexit 101\n', { mode: 0o755 });
  try {
    if (!run('apt-get', ['update', '-qq'], { env }) || !run('sh', ['-c', command], { env }))
      stop(`Could not install. Try by hand:\n  ${command}`);
  } finally {
    if (ours) spawnSync('rm', ['-f', policy]);
  }
}

/**
 * Node modules as the lock file wants them; installed anew only when the lock file has changed. None of them runs a script of its own. Who
 * only starts the app needs what it is built with and runs on; who tests it, all.
 *
 * @param {'run' | 'all'} [which]
 */
export function requireModules(which = 'all') {
  const mark = join(root, 'node_modules', '.gewinde-lock');
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const there = existsSync(mark) ? readFileSync(mark, 'utf8') : '';
  if (there === `${lock} all` || there === `${lock} ${which}`) return;
  console.log('Installing node modules …');
  const env = { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1', NG_CLI_ANALYTICS: 'false' };
  const args = ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error', ...(which === 'run' ? ['--omit=dev'] : [])];
  if (!run('npm', args, { env })) stop('Could not install the node modules; see above. Is the package registry within reach?');
  writeFileSync(mark, `${lock} ${which}`);
}

/** Builds core, server and web where a source is newer than what was built. */
export function requireBuild() {
  const mark = join(root, 'server', 'dist', '.built');
  const sources = ['core/src', 'server/src', 'web/src', 'web/public', 'tools/bundle-core.mjs', 'angular.json', 'package-lock.json'];
  const newest = Math.max(...sources.map((path) => newestIn(join(root, path))));
  if (existsSync(mark) && statSync(mark).mtimeMs > newest && existsSync(join(root, 'web/dist/web/browser/index.html'))) return;
  console.log('Building …');
  if (!run('npm', ['run', 'build', '--silent'], { env: { ...process.env, NG_CLI_ANALYTICS: 'false' } }))
    stop('The build failed; see above.');
  writeFileSync(mark, new Date().toISOString());
}

export function run(command, args, options = {}) {
  return spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options }).status === 0;
}

function newestIn(path) {
  if (!existsSync(path)) return 0;
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(stat.mtimeMs, ...readdirSync(path).map((name) => newestIn(join(path, name))));
}
