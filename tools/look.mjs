import { createRequire } from 'node:module';
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './paths.mjs';
const { chromium } = createRequire(join(root, 'e2e/package.json'))('playwright-core');
const port = 3777;
const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
  stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  env: {
    ...process.env,
    GEWINDE_DATABASE_URL: process.env.GEWINDE_DEV_URL,
    GEWINDE_PORT: String(port),
    GEWINDE_WEB_ROOT: join(root, 'web/dist/web/browser'),
    GEWINDE_DEMO: 'reset',
  },
});
await new Promise((r) => server.once('message', r));
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox'] });
try {
  const p = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  p.on('console', (m) => m.type() === 'error' && console.log('console', m.text()));
  p.on('pageerror', (e) => console.log('error', e.message));
  const steps = (await import(process.argv[2])).default;
  await steps(p, `http://127.0.0.1:${port}`);
} finally {
  await browser.close();
  server.kill('SIGTERM');
}
