import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, startDatabase } from './database.mjs';
import { requireBuild, requireModules, requireNode, requirePackages } from './needs.mjs';
import { root } from './paths.mjs';

/** Everything that must hold: types, lint, unit tests, published checks, and the real app in a real browser. Counts them all. */
requireNode();
requirePackages([
  { command: 'mariadbd', name: 'mariadb-server' },
  { command: 'chromium-headless-shell', name: 'chromium-headless-shell' },
]);
requireModules();

const folder = mkdtempSync(join(tmpdir(), 'gewinde-test-'));
const env = { ...process.env, NG_CLI_ANALYTICS: 'false', FORCE_COLOR: '0', GEWINDE_TOGETHER: 'yes' };
let passed = 0;
let failed = 0;
/** What did not hold, told once more at the end, where it is seen. @type {string[]} */
const fallen = [];

/** Runs a step and says how it went; what it printed comes in one piece when it is done, since two steps run at a time. */
const step = (name, command, args, more = {}, cwd = '.') =>
  new Promise((resolve) => {
    const start = Date.now();
    const child = spawn(command, args, { cwd: join(root, cwd), env: { ...env, ...more }, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
    child.once('error', (error) => (said += error.message));
    child.once('close', (status) => {
      console.log(
        `\n── ${name}\n${said.trimEnd()}\n── ${name}: ${status === 0 ? 'good' : 'FAILED'}, ${((Date.now() - start) / 1000).toFixed(0)} s`,
      );
      resolve(status);
    });
  });
const check = async (name, [command, ...args]) => {
  if ((await step(name, command, args)) === 0) passed += 1;
  else {
    failed += 1;
    fallen.push(name);
  }
};
/** A test runner that writes its counts to a file. */
const suite = async (name, cwd, command, args, report, counts, more = {}) => {
  const status = await step(name, 'npx', [command, ...args], { PLAYWRIGHT_JSON_OUTPUT_FILE: report, ...more }, cwd);
  const found = existsSync(report) ? counts(JSON.parse(readFileSync(report, 'utf8'))) : { passed: 0, failed: 0 };
  passed += found.passed;
  failed += found.failed;
  for (const one of found.names ?? []) fallen.push(`${name}: ${one}`);
  if (found.failed > 0 || (status === 0 && found.passed > 0)) return;
  failed += 1;
  fallen.push(`${name}: did not get as far as its tests, or not to its end`);
};
const jest = (name, room) => {
  const report = join(folder, `${room}.json`);
  const args = ['--config', 'jest.config.mjs', '--runInBand', '--json', `--outputFile=${report}`];
  return suite(name, room, 'jest', args, report, (r) => ({
    passed: r.numPassedTests,
    failed: r.numFailedTests,
    names: r.testResults.flatMap((file) => file.assertionResults.filter((one) => one.status === 'failed').map((one) => one.fullName)),
  }));
};

/** The real app is tried in parts, each on a server and a database of its own. */
const parts = [1, 2, 3];
const databaseOf = (part) => `gewinde_e2e_${part}`;

// nothing that is built is looked at: it goes beside the build
const linted = check('lint', ['npm', 'run', 'lint:quick', '--silent']);
requireBuild();
// what the tests write need not outlive a power cut
const database = await startDatabase(folder, { databases: ['gewinde_test', ...parts.map(databaseOf)], durable: false });
Object.assign(env, { GEWINDE_TEST_DATABASE_URL: database.url('gewinde_test') });

// two cores: whichever is free takes the next, the longest first and no two browsers for long; the start command mostly waits, and goes beside them
const browser = ({ stats, suites }) => {
  const specsOf = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsOf)];
  const names = suites.flatMap(specsOf).flatMap(({ ok, title, file, tests }) => {
    if (!ok) return [`${file}: ${title}`];
    return tests.some((test) => test.status === 'flaky') ? [`${file}: ${title} (held at its second try)`] : [];
  });
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected, names };
};
const realApp = async (part) => {
  const report = join(folder, `e2e-${part}.json`);
  const args = ['test', `--shard=${part}/${parts.length}`, `--output=out/${part}`];
  const own = { GEWINDE_E2E_DATABASE_URL: database.url(databaseOf(part)), E2E_PORT: String(await freePort()) };
  return suite(`the real app, ${part} of ${parts.length}`, 'e2e', 'playwright', args, report, browser, own);
};
const waiting = [
  () => realApp(1),
  () => jest('core and published checks', 'core'),
  () => jest('web', 'web'),
  () => realApp(2),
  () => realApp(3),
  () => jest('server', 'server'),
  () => check('types', ['npm', 'run', 'typecheck', '--silent']),
];
const lane = async () => {
  for (let next = waiting.shift(); next; next = waiting.shift()) await next();
};

try {
  await Promise.all([linted, lane(), lane(), jest('the start command', 'tools')]);
} finally {
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
for (const one of fallen) console.log(`Did not hold: ${one}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
