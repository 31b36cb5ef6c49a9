import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { get } from 'node:http';
import { performance } from 'node:perf_hooks';
import { setTimeout as sleep } from 'node:timers/promises';

const READERS = 1000;
const STALLED = 10;
const CHANGES = 100;

/** A thousand who listen, ten of them taking nothing: when a change is heard by the others, and what memory it all takes. */
export async function benchStreams(call, { url, pid }) {
  const memory = () => Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024);
  const { id } = await call('POST', '/api/jobs', { number: 'S1', name: 'Listened to' });
  const pans = Array.from({ length: 30 }, () => randomUUID());
  const commands = pans.map((pan, n) => ({ do: 'add-component', id: pan, kind: 'pan', name: `Pan ${n}` }));
  const { id: from } = await call('POST', `/api/jobs/${id}/changes`, { key: randomUUID(), commands });
  const before = memory();
  /** When each change was heard by each reader. @type {number[][]} */
  const heard = Array.from({ length: READERS }, () => []);
  const requests = [];
  for (let n = 0; n < READERS; n++) requests.push(await reader(url, `job=${id}&after=${from}`, n, heard[n]));
  const open = memory();
  const told = [];
  let most = open;
  for (let n = 0; n < CHANGES; n++) {
    const commands = pans.map((pan) => ({ do: 'edit-component', id: pan, version: n + 1, set: { note: String(n % 10).repeat(1500) } }));
    await call('POST', `/api/jobs/${id}/changes`, { key: randomUUID(), commands });
    told.push(performance.now());
    most = Math.max(most, memory());
    await sleep(40);
  }
  await sleep(4000);
  const waits = heard.slice(STALLED).flatMap((times) => times.map((at, n) => at - told[n]));
  waits.sort((a, b) => a - b);
  const at = (share) => waits[Math.min(waits.length - 1, Math.floor(waits.length * share))]?.toFixed(0);
  const all = heard.slice(STALLED).every((times) => times.length === CHANGES);
  console.log(
    `\n${READERS} listen, ${STALLED} of them take nothing, ${CHANGES} changes: heard by all others ${all ? 'yes' : 'NO'}; after p50 ${at(0.5)}, p95 ${at(0.95)}, worst ${at(1)} ms` +
      `\nmemory of the server: ${before} MB before, ${open} MB with all open, at most ${most} MB, ${memory()} MB after`,
  );
  for (const request of requests) request.destroy();
}

/** From one of many addresses of this machine, since one has no place for so many. */
function reader(url, query, n, times) {
  return new Promise((resolve, reject) => {
    const request = get(`${url}/api/live?${query}`, { localAddress: `127.0.0.${2 + (n % 8)}`, agent: false }, (response) => {
      if (response.statusCode !== 200) return reject(new Error(`a reader was answered ${response.statusCode}`));
      if (n < STALLED) response.pause();
      else
        response.on('data', (chunk) => {
          for (let from = 0; (from = chunk.indexOf('event: change', from)) >= 0; from += 1) times.push(performance.now());
        });
      resolve(request);
    });
    request.on('error', () => undefined);
  });
}
