import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { performance } from 'node:perf_hooks';
import { Worker } from 'node:worker_threads';
import { largeCatalogue } from './bench-chains.mjs';

const LINES = 20_000;

/** What is heavy, one after another, each while somebody else reads a job, looks at the board and edits a line. */
export async function benchWaits(core, call, url) {
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
  const times = Math.floor(200 / file.components.length);
  const many = await call('POST', '/api/jobs/import', timesOver(file, times));
  await other.during(`draws the tickets of ${times * file.lines.length} lines`, () =>
    call('GET', `/api/jobs/${many.summary.job.id}/tickets.pdf?as=tickets&units=metric`),
  );
  await other.during('has eight hard cut plans worked out at once', () =>
    Promise.all(Array.from({ length: 8 }, (_, n) => call('POST', '/api/plans/cuts', hardCuts(n)))),
  );
  await other.during('has four hard order plans worked out at once', () =>
    Promise.all(Array.from({ length: 4 }, (_, n) => call('POST', '/api/plans/orders', hardOrders(n)))),
  );
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

/** A job file with all that is in it so many times over: as large as a whole car. */
function timesOver(file, times) {
  const copies = Array.from({ length: times }, (_, n) =>
    JSON.parse(JSON.stringify(file).replaceAll(/"C(\d+)(\.P\d+)?"/g, (_key, at, port = '') => `"C${n * 100 + Number(at)}${port}"`)),
  );
  const lines = copies.flatMap((copy, n) => copy.lines.map((line) => ({ ...line, number: n * file.lines.length + line.number })));
  return { ...file, job: { ...file.job, number: 'T1' }, components: copies.flatMap((copy) => copy.components), lines };
}

/** Numbers between 0 and 1, always the same after one another. */
function chanceFrom(seed) {
  let at = seed + 7;
  return () => (at = (at * 16807) % 2147483647) / 2147483647;
}

const rules = { kerfMm: 2, endTrimMm: 5, leastOffcutMm: 300, offcutsFirst: false };
function hardCuts(seed) {
  const chance = chanceFrom(seed);
  const mm = (least, most) => Math.round((least + chance() * (most - least)) * 100) / 100;
  const pieces = Array.from({ length: 600 }, (_, n) => ({ id: `p${n}`, lengthMm: mm(100, 9000) }));
  const lengths = Array.from({ length: 400 }, (_, n) => ({ id: `h${n}`, kind: 'length', mm: mm(5000, 95_000) }));
  return { groups: [{ part: 'hose', pieces, lengths, offers: [{ id: 'o', mm: 10_000 }] }], rules };
}

function hardOrders(seed) {
  const chance = chanceFrom(seed);
  const some = (most) => 1 + Math.floor(chance() * most);
  const suppliers = Array.from({ length: 12 }, (_, n) => ({
    id: `s${n}`,
    carriageMinor: 900,
    freeFromMinor: 20_000,
    leastOrderMinor: 2000,
  }));
  const needs = Array.from({ length: 150 }, (_, n) => ({ part: `p${n}`, quantity: some(12) }));
  const offers = Array.from({ length: 800 }, (_, n) => ({
    id: `f${n}`,
    supplier: `s${n % 12}`,
    holds: [{ part: `p${some(150) - 1}`, quantity: some(5) }],
    prices: [
      { fromPacks: 1, packMinor: 200 + some(2000) },
      { fromPacks: 5, packMinor: 180 },
    ],
    leadDays: some(6),
  }));
  return { problem: { needs, offers, suppliers } };
}
