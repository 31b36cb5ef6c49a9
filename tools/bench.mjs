import { randomUUID } from 'node:crypto';
import { performance } from 'node:perf_hooks';
import { benchAssembly } from './bench-assembly.mjs';
import { benchCutting } from './bench-cutting.mjs';
import { benchFlow } from './bench-flow.mjs';
import { benchChains, largeCatalogue } from './bench-chains.mjs';
import { benchScale } from './bench-scale.mjs';
import { benchStockroom } from './bench-stockroom.mjs';
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
  return { median: times[Math.floor(times.length / 2)], worst: times[times.length - 1] };
}

/**
 * How often the right thread is named first, and first or second, when the calliper is out by up to a tenth: over the whole library, or
 * over the threads that plumbing meets.
 */
function namingShare({ pitchKnown, met = false, prior }) {
  let state = 1;
  const chance = () => (state = (state * 16807) % 2147483647) / 2147483647;
  let asked = 0;
  let first = 0;
  let second = 0;
  for (const side of /** @type {const} */ (['external', 'internal']))
    for (const thread of core.measurableThreads(side).filter((t) => !met || core.plumbingPrior(t).weight >= 3))
      for (let i = 0; i < 20; i++) {
        const measured = {
          side,
          diameterMm: core.basicDiameter(thread, side) + (chance() * 2 - 1) * 0.1,
          uncertaintyMm: 0.1,
          taper: /** @type {'tapered' | 'parallel'} */ (thread.taperPerMm > 0 ? 'tapered' : 'parallel'),
          ...(pitchKnown ? { pitchMm: thread.pitchMm } : {}),
        };
        const named = core.identifyThread(measured, { prior });
        asked += 1;
        if (named[0]?.designation === thread.designation) first += 1;
        else if (named[1]?.designation === thread.designation) second += 1;
      }
  const percent = (n) => `${((n / asked) * 100).toFixed(1)} %`;
  console.log(
    `naming ${met ? 'threads of plumbing' : 'every thread'} within ±0.1 mm, pitch ${pitchKnown ? 'known' : 'unknown'}, weighed ` +
      `${prior === 'even' ? 'alike' : 'by plumbing'}: ${percent(first)} first, ${percent(first + second)} first or second, of ${asked}`,
  );
}

// the first full matrix, before anything has been worked out or compiled
const everyEnd = core.everyConnector();
const [males, females] = ['male', 'female'].map((gender) => everyEnd.filter((c) => c.gender === gender));
const matrixStart = performance.now();
for (const male of males) for (const female of females) core.mate(male, female);
const matrixMs = performance.now() - matrixStart;
console.log(
  `full mating matrix, ${males.length} males × ${females.length} females, all sizes and seats, from cold: ${matrixMs.toFixed(0)} ms`,
);
for (const prior of /** @type {const} */ (['even', 'plumbing'])) {
  for (const pitchKnown of [true, false]) namingShare({ pitchKnown, prior });
  namingShare({ pitchKnown: false, met: true, prior });
}

const { url, databaseUrl, pid, stop } = await throwawayServer();
try {
  /** @returns {Promise<any>} */
  const call = async (method, path, body) => {
    const response = await fetch(url + path, {
      method,
      headers: { 'content-type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
    return response.headers.get('content-type')?.includes('json') ? response.json() : response.text();
  };
  const { jobs } = await call('GET', '/api/jobs');
  const jobId = jobs.find((s) => s.job.number === '2403').job.id;
  const { document } = await call('GET', `/api/jobs/${jobId}`);
  const change = (...commands) => call('POST', `/api/jobs/${jobId}/changes`, { key: randomUUID(), commands });
  const catalogue = await call('GET', '/api/catalogue');
  const file = await call('GET', `/api/jobs/${jobId}/export`);
  let line = document.lines[3];
  console.log(`${'what'.padEnd(52)} times   p50 ms   p95 ms    worst`);
  await measure('GET the board', 100, () => call('GET', '/api/jobs'));
  await measure(`GET a job (${document.ports.length} ports, ${document.lines.length} lines)`, 200, () => call('GET', `/api/jobs/${jobId}`));
  await measure(`GET the catalogue (${catalogue.fittings.length} fittings)`, 100, () => call('GET', '/api/catalogue'));
  await measure('a change of one line', 200, async (i) => {
    const { put } = await change({
      do: 'edit-piece',
      id: line.id,
      version: line.version,
      piece: line.pieces[0].key,
      set: { length: { mm: 600 + i, as: 'taped' } },
    });
    line = put[0].row;
  });
  const componentId = document.components[0].id;
  await measure('a change that adds a port', 150, (i) => change({ do: 'add-port', componentId, label: `p${i}`, notation: 'npt 1/8 f' }));
  await measure('a change of 80 components at once', 1, () =>
    change(...Array.from({ length: 80 }, (_, i) => ({ do: 'add-component', kind: 'pan', name: `Pan ${i}` }))),
  );
  await measure('POST undo', 100, () => call('POST', `/api/jobs/${jobId}/undo`, { key: randomUUID() }));
  await measure('GET the export', 50, () => call('GET', `/api/jobs/${jobId}/export`));
  await measure('GET the parts list as CSV', 50, () => call('GET', `/api/jobs/${jobId}/parts.csv`));
  await measure('POST an import', 30, (i) => call('POST', '/api/jobs/import', { ...file, job: { ...file.job, number: `B${i}` } }));

  const threads = core.measurableThreads('external');
  await measure('identifyThread, pitch known, with its look-alikes', 1000, (i) => {
    const { majorMm, pitchMm } = threads[i % threads.length];
    return core.identifyThread({ side: 'external', diameterMm: majorMm, pitchMm })[0].lookAlikes.length;
  });
  await measure('identifyThread, pitch unknown', 1000, (i) =>
    core.identifyThread({ side: 'external', diameterMm: threads[i % threads.length].majorMm }),
  );
  await measure('the mating matrix round one size', 100, () => core.matingMatrix('9/16-18 UNF'));
  await measure('POST a calliper reading', 100, () =>
    call('POST', '/api/calliper/readings', { fitting: 'f01', jaws: 'outside', place: 'span' }),
  );

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
  await benchAssembly(core, measure, document, catalogue);
  await benchFlow(core, measure, document, catalogue);
  await benchCutting(core, measure);
  await benchChains(core, measure);
  const rows = largeCatalogue(core, 10_000);
  await measure('findParts in 10,000, another letter each time', 200, (i) =>
    core.findParts(rows, { words: 'adapter an6'.slice(0, 1 + (i % 11)) }),
  );
  await measure('findParts in 10,000, what seals on a port', 100, () => core.findParts(rows, { end: 'rc 1/8 f', endMode: 'fits' }));
  const list = core.writeParts(rows);
  await measure('reading a list of 10,000 lines', 5, () => core.readParts(list.rows, core.guessColumns(list.headings), catalogue.fittings));
  await benchScale(core, measure, call, { url, databaseUrl, pid });
  await benchStockroom(measure, call, { databaseUrl });
} finally {
  await stop();
}
