import { randomUUID } from 'node:crypto';
import { performance } from 'node:perf_hooks';
import { parentPort, workerData } from 'node:worker_threads';

/** Somebody else at work, in a thread of their own: reads a job, looks at the board, edits a line; told to stop, says how long they waited. */
const { url, id } = workerData;
const asked = /** @type {import('node:worker_threads').MessagePort} */ (parentPort);
let over = false;
let waits = [];
asked.on('message', (message) => {
  if (message === 'begin') void work();
  else over = true;
});
let line;

async function call(method, path, body) {
  const response = await fetch(url + path, {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
  return response.json();
}

async function edit(mm) {
  line ??= (await call('GET', `/api/jobs/${id}`)).document.lines[3];
  const set = { length: { mm, as: 'taped' } };
  const commands = [{ do: 'edit-piece', id: line.id, version: line.version, piece: line.pieces[0].key, set }];
  line = (await call('POST', `/api/jobs/${id}/changes`, { key: randomUUID(), commands })).put[0].row;
}

async function work() {
  const turns = [() => call('GET', `/api/jobs/${id}`), () => call('GET', '/api/jobs'), (i) => edit(600 + (i % 50))];
  for (const turn of turns) await turn(0);
  asked.postMessage('ready');
  waits = [];
  over = false;
  for (let i = 0; !over; i++) {
    const start = performance.now();
    await turns[i % turns.length](i);
    waits.push(performance.now() - start);
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  asked.postMessage({ tries: waits.length, worst: Math.max(...waits) });
}
