import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';

/** How long another that found the same stale lock may take to put its own in its place, ms. */
const SETTLED_MS = 250;

/**
 * One running copy a data folder. Takes the lock, or says who holds it; a lock whose process is gone is stale and taken over.
 * @returns {{ held: true, stale: boolean, pid?: undefined, address?: undefined } | { held: false, stale?: undefined, pid: number, address?: string }}
 */
export function takeLock(file) {
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const mine = JSON.stringify({ pid: process.pid });
  try {
    writeFileSync(file, mine, { flag: 'wx', mode: 0o600 });
    return { held: true, stale: false };
  } catch (error) {
    if (error.code !== 'EEXIST') throw error;
  }
  const holder = readLock(file);
  if (holder && alive(holder.pid)) return { held: false, ...holder };
  console.log('Found the lock of a copy that is no longer running; taking over.');
  // in one move, never removed: of two that take over in the same moment the later one has it, and the other sees that
  const next = `${file}.${process.pid}`;
  writeFileSync(next, mine, { mode: 0o600 });
  renameSync(next, file);
  Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, SETTLED_MS);
  const now = readLock(file);
  return now?.pid === process.pid ? { held: true, stale: true } : { held: false, pid: now?.pid ?? 0 };
}

export function noteAddress(file, details) {
  writeFileSync(file, JSON.stringify({ pid: process.pid, ...details }), { mode: 0o600 });
}

export function releaseLock(file) {
  if (existsSync(file) && readLock(file)?.pid === process.pid) rmSync(file, { force: true });
}

export function readLock(file) {
  try {
    const holder = JSON.parse(readFileSync(file, 'utf8'));
    return typeof holder.pid === 'number' ? holder : undefined;
  } catch {
    return undefined;
  }
}

/** Whether a process runs, and is a Node program (a pid is used again after a restart of the machine). */
function alive(pid) {
  try {
    process.kill(pid, 0);
  } catch {
    return false;
  }
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('node');
  } catch {
    return true;
  }
}
