import { kegThread, metricThread } from './metric-thread.js';
import { parseThread } from './parse-thread.js';
import { britishThread, npsmThread, nptThread } from './pipe-thread.js';
import { britishPipeSizes, kegSizes, nptSizes } from './pipe-tables.js';
import { metricPitches, unifiedSizes } from './straight-tables.js';
import { threadSystem } from './thread-systems.js';
import type { Thread } from './thread.js';

export type Side = 'external' | 'internal';

/** The one object that stands for each thread, as {@link parseThread} gives it. */
const made = (threads: readonly (Thread | undefined)[]): Thread[] =>
  threads.filter((t) => t !== undefined).map((t) => parseThread(t.designation));

/** Every thread the app knows by name, each once. */
export const threadLibrary: readonly Thread[] = [
  ...made(Object.entries(metricPitches).flatMap(([diameter, pitches]) => pitches.map((pitch) => metricThread(Number(diameter), pitch)))),
  ...unifiedSizes.map((size) => parseThread(size)),
  ...made(nptSizes.flatMap(({ size }) => [nptThread(size), nptThread(size, 'NPTF'), npsmThread(size)])),
  ...made(britishPipeSizes.flatMap(({ size }) => (['R', 'Rc', 'Rp', 'G'] as const).map((system) => britishThread(system, size)))),
  ...made(kegSizes.map((size) => kegThread(...(size.split('x').map(Number) as [number, number])))),
];

/**
 * Threads that a measurement can tell apart, by side. NPTF measures as NPT, and an Rp hole as a G one: they are named with them
 * and not beside them.
 */
export function measurableThreads(side: Side): readonly Thread[] {
  return bySide[side];
}

const bySide: Readonly<Record<Side, readonly Thread[]>> = {
  external: threadLibrary.filter((t) => t.system !== 'NPTF' && threadSystem(t.system).sides.includes('external')),
  internal: threadLibrary.filter((t) => t.system !== 'NPTF' && t.system !== 'Rp' && threadSystem(t.system).sides.includes('internal')),
};

/** The same thread under another name: what measures alike and is told apart only by its use. */
export function alsoCalled(thread: Thread): string | undefined {
  if (thread.system === 'NPT') return thread.designation.replace('NPT', 'NPTF');
  if (thread.system === 'G') return britishThread('Rp', thread.designation.slice(2))?.designation;
  return undefined;
}
