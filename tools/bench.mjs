import { performance } from 'node:perf_hooks';
import { requireBuild, requireModules, requireNode, requirePackages } from './needs.mjs';
import { throwawayServer } from './throwaway-server.mjs';

requireNode();
requirePackages([{ command: 'mariadbd', name: 'mariadb-server' }]);
requireModules();
requireBuild();
const core = await import('@gewinde/core');

/** Runs something many times and prints p50, p95 and the worst, in ms. */
async function measure(name, rounds, work) {
  for (let i = 0; i < Math.min(10, rounds); i++) await work(i);
  const times = [];
  for (let i = 0; i < rounds; i++) {
    const start = performance.now();
    await work(i);
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  const at = (share) => times[Math.min(times.length - 1, Math.floor(times.length * share))].toFixed(2).padStart(8);
  console.log(`${name.padEnd(52)} ${String(rounds).padStart(5)} ${at(0.5)} ${at(0.95)} ${at(1)}`);
}

const { url, stop } = await throwawayServer();
try {
  const call = async (method, path, body) => {
    const response = await fetch(url + path, {
      method,
      headers: { 'content-type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
    return response.headers.get('content-type')?.includes('json') ? response.json() : response.text();
  };
  const jobs = await call('GET', '/api/jobs');
  const jobId = jobs.find((s) => s.job.number === '2403').job.id;
  const document = await call('GET', `/api/jobs/${jobId}`);
  const catalogue = await call('GET', '/api/catalogue');
  const file = await call('GET', `/api/jobs/${jobId}/export`);
  let line = document.lines[3];
  console.log(`${'what'.padEnd(52)} times   p50 ms   p95 ms    worst`);
  await measure('GET the board', 100, () => call('GET', '/api/jobs'));
  await measure(`GET a job (${document.ports.length} ports, ${document.lines.length} lines)`, 200, () => call('GET', `/api/jobs/${jobId}`));
  await measure(`GET the catalogue (${catalogue.fittings.length} fittings)`, 100, () => call('GET', '/api/catalogue'));
  await measure(
    'PATCH a line',
    200,
    async (i) => (line = await call('PATCH', `/api/lines/${line.id}`, { version: line.version, tapedLengthMm: 600 + i })),
  );
  await measure('POST a port', 200, (i) =>
    call('POST', `/api/components/${document.components[0].id}/ports`, { label: `p${i}`, notation: 'npt 1/8 f' }),
  );
  await measure('POST undo', 100, () => call('POST', `/api/jobs/${jobId}/undo`, {}));
  await measure('GET the export', 50, () => call('GET', `/api/jobs/${jobId}/export`));
  await measure('GET the parts list as CSV', 50, () => call('GET', `/api/jobs/${jobId}/parts.csv`));
  await measure('POST an import', 30, (i) => call('POST', '/api/jobs/import', { ...file, job: { ...file.job, number: `B${i}` } }));

  const ends = catalogue.hoseEnds.filter((e) => e.angleDeg === 0 && e.connector.family === 'flare37');
  const pairs = document.ports.flatMap((port) => ends.map((end) => ({ from: port.connector, to: end.connector })));
  await measure(`solveChains, ${pairs.length} port and hose-end pairs in turn`, pairs.length, (i) =>
    core.solveChains({ ...pairs[i % pairs.length], fittings: catalogue.fittings }),
  );
  const far = { from: core.parseConnector('npt 1/16 f'), to: core.parseConnector('an16 f swivel') };
  await measure('solveChains, the farthest pair, up to 4 fittings', 50, () =>
    core.solveChains({ ...far, fittings: catalogue.fittings, maxFittings: 4, limit: 20 }),
  );
  await measure('solveChains, a catalogue seen for the first time', 20, () =>
    core.solveChains({ ...pairs[0], fittings: [...catalogue.fittings] }),
  );
  await measure('assembleLine and runSheet', 200, (i) => {
    const assembled = core.assembleLine(document.lines[i % document.lines.length], document, catalogue);
    core.runSheet(assembled, { width: 780, height: 362, jobNumber: '2403', system: 'metric' });
  });
} finally {
  await stop();
}
