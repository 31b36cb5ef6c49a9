import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { performance } from 'node:perf_hooks';
import { Worker } from 'node:worker_threads';
import { largeCatalogue } from './bench-chains.mjs';
import { fill } from './fill.mjs';

const JOBS = 10_000;
const LINES = 20_000;

/** The board and the search with many jobs, and how long others wait while lists and files are worked on. */
export async function benchScale(core, measure, call, { url, databaseUrl }, jobs = JOBS) {
  console.log(`filling the database with ${jobs} jobs …`);
  await fill(databaseUrl, jobs);
  const page = (query) => call('GET', `/api/jobs?${new URLSearchParams(query)}`);
  await measure(`GET the board, ${jobs} jobs, another page each time`, 100, (i) => page({ from: String((i * 97) % jobs) }));
  for (const find of ['F04711', 'gallery', 'turbo red', 'e', 'm14x1.5', 'sensor yellow', 'no such thing'])
    await measure(`find "${find}" in ${jobs} jobs: ${(await page({ find })).total} found`, 40, () => page({ find }));
  await benchWaits(core, call, url);
}

/** What is heavy, one after another, each while somebody else reads a job, looks at the board and edits a line. */
async function benchWaits(core, call, url) {
  const { jobs } = await call('GET', '/api/jobs?find=2403');
  const { id } = jobs[0].job;
  const file = await call('GET', `/api/jobs/${id}/export`);
  const other = somebodyElse(url, id);
  const { headings, rows } = core.writeParts(largeCatalogue(core, LINES).map((part, i) => ({ ...part, id: `x${i}`, code: `X${i}` })));
  const cell = (text) => `"${text.replaceAll('"', '""')}"`;
  const csv = [headings, ...rows].map((row) => row.map(cell).join(';')).join('\r\n');
  const { mapping } = await call('POST', '/api/catalogue/import/preview', { csv: csv.slice(0, csv.indexOf('\r\n', 5000)) });
  const price = headings.findIndex((_, i) => mapping.priceMinor === i);
  const prices = [headings, ...rows.map((row) => row.map((text, i) => (i === price ? '123.45' : text)))];
  const update = prices.map((row) => row.map(cell).join(';')).join('\r\n');
  console.log(`\n${'while one does this'.padEnd(52)} it takes   others: tries, worst wait in ms`);
  await other.during(`previews a list of ${LINES} lines`, () => call('POST', '/api/catalogue/import/preview', { csv }));
  await other.during('takes in 12 job files at once', () =>
    Promise.all(Array.from({ length: 12 }, (_, i) => call('POST', '/api/jobs/import', { ...file, job: { ...file.job, number: `W${i}` } }))),
  );
  await other.during(`takes in a list of ${LINES} new parts`, () =>
    call('POST', '/api/catalogue/import', { csv, mapping, key: randomUUID() }),
  );
  await other.during(`takes in ${LINES} new prices`, () =>
    call('POST', '/api/catalogue/import', { csv: update, mapping, key: randomUUID() }),
  );
  await other.during('writes the whole catalogue as CSV', () => call('GET', '/api/catalogue/parts.csv'));
  await other.during('reads the whole catalogue', () => call('GET', '/api/catalogue'));
  await other.during('exports the job', () => call('GET', `/api/jobs/${id}/export`));
  await other.leave();
}

function somebodyElse(url, id) {
  const other = new Worker(new URL('./bench-other.mjs', import.meta.url), { workerData: { url, id } });
  const heard = async () => (await once(other, 'message'))[0];
  return {
    during: async (name, work) => {
      other.postMessage('begin');
      await heard();
      const start = performance.now();
      await work();
      const took = performance.now() - start;
      other.postMessage('stop');
      const { tries, worst } = await heard();
      console.log(
        `${name.padEnd(52)} ${`${(took / 1000).toFixed(2)} s`.padStart(8)}   ${String(tries).padStart(5)} ${worst.toFixed(0).padStart(8)}`,
      );
    },
    leave: () => other.terminate(),
  };
}
