import { chromium } from '@playwright/test';
const [, , what] = process.argv;
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const ctx = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const page = await ctx.newPage();
page.on('console', (m) => m.type() === 'error' && console.log('CONSOLE', m.text().slice(0, 400)));
page.on('pageerror', (e) => console.log('PAGEERROR', e.message.slice(0, 400)));
const base = 'http://127.0.0.1:3555';
const shot = (n) => page.screenshot({ path: `/tmp/shots/${n}.png` });
const mod = await import(what);
await mod.default({ page, ctx, base, shot, browser });
await browser.close();
