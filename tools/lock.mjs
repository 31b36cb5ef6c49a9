import { spawnSync } from 'node:child_process';
import { closeSync, existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

/** @typedef {'start' | 'backup' | 'restore'} Purpose what the data folder is held for */
/** @typedef {{ pid: number, does?: Purpose, address?: string, port?: number }} Holder */

/** The open file of each lock that this process holds. @type {Map<string, number>} */
const held = new Map();

/**
 * One at a time a data folder, held by the system: the lock goes with the process that has it, however it ends, whatever numbers
 * processes have in a container. Beside it lies a note of who holds it; a note without a lock was left by one that was killed.
 *
 * @param {string} file the note
 * @param {Purpose} [does]
 * @returns {{ held: true, stale: boolean, does?: undefined, pid?: undefined, address?: undefined } | { held: false, stale?: undefined } & Partial<Holder>}
 */
export function takeLock(file, does = 'start') {
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  // never removed: a lock on a file that is gone would hold nobody back
  const fd = openSync(`${file}.lock`, 'a', 0o600);
  // of the open file, which this process shares with the command for a moment and keeps
  const taken = !held.has(file) && spawnSync('flock', ['--nonblock', '3'], { stdio: ['ignore', 'ignore', 'ignore', fd] }).status === 0;
  if (!taken) {
    closeSync(fd);
    return { held: false, ...readLock(file) };
  }
  held.set(file, fd);
  const stale = existsSync(file);
  if (stale) console.log('Found the lock of a copy that is no longer running; taking over.');
  noteHolder(file, { does });
  return { held: true, stale };
}

/**
 * Takes the lock as soon as it is free.
 * @param {string} file
 * @param {Purpose} does
 * @param {(holder: Partial<Holder>) => boolean} waitFor whether to wait for this one
 * @param {number} [patienceMs]
 */
export async function waitForLock(file, does, waitFor, patienceMs = 600_000) {
  for (const end = Date.now() + patienceMs; ; await sleep(250)) {
    const lock = takeLock(file, does);
    if (lock.held || Date.now() > end || !waitFor(lock)) return lock;
  }
}

/** @param {string} file @param {Partial<Holder>} details */
export function noteHolder(file, details) {
  writeFileSync(file, JSON.stringify({ pid: process.pid, ...details }), { mode: 0o600 });
}

/** @param {string} file */
export function releaseLock(file) {
  const fd = held.get(file);
  if (fd === undefined) return;
  rmSync(file, { force: true });
  held.delete(file);
  closeSync(fd);
}

/** @param {string} file @returns {Holder | undefined} */
export function readLock(file) {
  try {
    const holder = JSON.parse(readFileSync(file, 'utf8'));
    return typeof holder.pid === 'number' ? holder : undefined;
  } catch {
    return undefined;
  }
}
