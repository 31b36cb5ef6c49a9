import { benchStreams } from './bench-streams.mjs';
import { benchWaits } from './bench-waits.mjs';
import { fill } from './fill.mjs';

const JOBS = 10_000;

/** The board and the search with many jobs, and how long others wait while lists and files are worked on. */
export async function benchScale(core, measure, call, { url, databaseUrl, pid }, jobs = JOBS) {
  console.log(`filling the database with ${jobs} jobs …`);
  await fill(databaseUrl, jobs);
  const page = (query) => call('GET', `/api/jobs?${new URLSearchParams(query)}`);
  await measure(`GET the board, ${jobs} jobs, another page each time`, 100, (i) => page({ from: String((i * 97) % jobs) }));
  for (const find of ['F04711', 'gallery', 'turbo red', 'e', 'm14x1.5', 'sensor yellow', 'no such thing'])
    await measure(`find "${find}" in ${jobs} jobs: ${(await page({ find })).total} found`, 40, () => page({ find }));
  await benchWaits(core, call, url);
  await benchStreams(call, { url, pid });
}
