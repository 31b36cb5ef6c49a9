import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { requireBuild, requireModules, requireNode, requirePackages } from './needs.mjs';
import { root } from './paths.mjs';
import { throwawayServer } from './throwaway-server.mjs';

requireNode();
requirePackages([
  { command: 'mariadbd', name: 'mariadb-server' },
  { command: 'chromium-headless-shell', name: 'chromium-headless-shell' },
]);
requireModules();
requireBuild();

const out = join(root, 'docs/screenshots');
mkdirSync(out, { recursive: true });
const { url, stop } = await throwawayServer();
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
try {
  const { jobs } = /** @type {{ jobs: { job: { id: string, number: string } }[] }} */ (await (await fetch(`${url}/api/jobs`)).json());
  const jobId = jobs.find((s) => s.job.number === '2403')?.job.id;
  const read = await (await fetch(`${url}/api/jobs/${jobId}`)).json();
  const { components, lines } =
    /** @type {{ document: { components: { id: string, name: string }[], lines: { id: string, number: number }[] } }} */ (read).document;
  const head = components.find((c) => c.name === 'Remote filter head')?.id;
  const line = (number) => `/job/${jobId}/lines/${lines.find((l) => l.number === number)?.id}`;
  const shots = [
    { name: 'board', path: '/', ready: (p) => p.getByRole('link', { name: 'Open job 2403 Magpie' }) },
    {
      name: 'survey',
      path: `/job/${jobId}/survey`,
      ready: (p) => p.getByRole('heading', { name: /New port/ }),
      act: (p) => p.getByLabel('Port in one line').fill('m18x1.5 f washer'),
    },
    {
      name: 'bench',
      path: '/bench/name',
      ready: (p) => p.getByLabel('Over the crests'),
      act: async (p) => {
        await p.getByLabel('Over the crests').fill('13.87');
        await p.getByLabel('Pitch', { exact: true }).fill('1.5');
        await p.getByRole('button', { name: 'parallel' }).click();
      },
    },
    {
      name: 'bench-pair',
      path: `/bench/pair?a=${encodeURIComponent('m14x1.5 m washer')}&b=${encodeURIComponent('orb6 f')}`,
      ready: (p) => p.getByText('Does not join'),
    },
    { name: 'bench-matrix', path: '/bench/matrix', theme: 'dark', ready: (p) => p.getByRole('heading', { name: /into/ }) },
    { name: 'lines', path: line(4), ready: (p) => p.getByRole('button', { name: /^Take way/ }).first() },
    { name: 'audit', path: `/job/${jobId}/audit`, ready: (p) => p.getByRole('heading', { name: 'Remedies' }) },
    { name: 'survey-part', path: `/job/${jobId}/survey?component=${head}`, ready: (p) => p.getByText('There already, not bought') },
    {
      name: 'lines-dark',
      path: line(8),
      theme: 'dark',
      ready: (p) => p.getByRole('button', { name: /^Take way/ }).first(),
      act: (p) =>
        p
          .getByRole('button', { name: /^Joint 6/ })
          .first()
          .click(),
    },
    {
      name: 'ways',
      path: line(12),
      ready: (p) => p.getByRole('button', { name: 'Keep it on a tee here' }),
      act: async (p) => {
        await p.getByRole('button', { name: 'Keep it on a tee here' }).click();
        await p.getByRole('button', { name: /^Take way 1, Tee/ }).click();
        await p.getByRole('heading', { name: /Ways from Gauge panel/ }).waitFor();
        await p.getByRole('button', { name: /^Take way 1,/ }).click();
        await p.getByRole('tab', { name: 'End A' }).click();
        await p.getByRole('button', { name: 'Hold way 2 to compare' }).click();
        await p.waitForTimeout(400);
      },
    },
    {
      name: 'store',
      path: '/store?part=sample-plate-34',
      ready: (p) => p.getByRole('button', { name: 'Take out' }),
      act: async (p) => {
        await p.getByRole('textbox', { name: 'End' }).fill('npt 1/8 f');
        await p.waitForTimeout(300);
      },
    },
    {
      name: 'import',
      path: '/store',
      theme: 'dark',
      ready: (p) => p.getByRole('button', { name: 'Import a list' }),
      act: async (p) => {
        await p.getByRole('button', { name: 'Import a list' }).click();
        const list = [
          'Article;Description;Connections;Net price;Stock;Delivery days',
          'TW-1;Adapter, quarter to ten;npt 1/4 m + an10 m;12,40;3;2',
          'TW-2;Gauge tee;an6 m + an6 m + npt 1/8 f;18,00;0;5',
          'TW-3;Plug;ntp 1/8 m;4,10;12;1',
        ].join('\n');
        await p.locator('input[type=file]').setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(list) });
        await p.getByLabel('Errors by line').waitFor();
      },
    },
    { name: 'sizing', path: `${line(7)}?show=sizing`, ready: (p) => p.getByRole('img', { name: /^What it takes/ }) },
    { name: 'system', path: `${line(4)}?show=system`, theme: 'dark', ready: (p) => p.getByRole('group', { name: 'Flow diagram' }) },
    { name: 'flow-bench', path: '/flow', ready: (p) => p.getByRole('img') },
    { name: 'cut', path: `/job/${jobId}/cut`, ready: (p) => p.getByText('proven least') },
    {
      name: 'cut-tablet',
      path: `/job/${jobId}/cut?show=tickets`,
      size: { width: 820, height: 1180 },
      ready: (p) => p.getByRole('article').first(),
    },
    { name: 'order', path: `/job/${jobId}/order`, ready: (p) => p.getByRole('radio', { name: /least money/ }) },
    { name: 'rack', path: '/store/rack', ready: (p) => p.getByText('H-0001') },
  ];
  for (const { name, path, theme = 'light', size = { width: 1280, height: 800 }, ready, act } of shots) {
    const context = await browser.newContext({ viewport: size, locale: 'en-GB', timezoneId: 'UTC' });
    await context.addInitScript((t) => localStorage.setItem('gewinde.theme', t), theme);
    const page = await context.newPage();
    await page.goto(url + path);
    await ready(page).waitFor();
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    if (act) await act(page);
    await page.screenshot({ path: join(out, `${name}.png`) });
    await context.close();
    console.log(`docs/screenshots/${name}.png`);
  }
} finally {
  await browser.close();
  await stop();
}
