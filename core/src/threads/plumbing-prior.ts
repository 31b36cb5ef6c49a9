import { parseThread } from './parse-thread.js';
import { unifiedSeriesOf } from './straight-tables.js';
import type { Thread } from './thread.js';

/** How often threads are met in engine plumbing, against one that is met now and then (1), and why. */
export interface MetInPlumbing {
  readonly weight: number;
  readonly threads: readonly string[];
  readonly why: string;
}

const list = (text: string): string[] => text.split(', ');

/** Threads of plumbing by how often they are met. The weights are estimates of ours; which threads are met is common practice. */
export const metInPlumbing: readonly MetInPlumbing[] = [
  {
    weight: 8,
    threads: list('5/16-24, 3/8-24, 7/16-20, 1/2-20, 9/16-18, 3/4-16, 7/8-14, 1 1/16-12, 1 5/16-12'),
    why: '37° flares and O-ring bosses of the common dash sizes',
  },
  { weight: 4, threads: list('1 3/16-12, 1 5/8-12, 1 7/8-12, 2 1/2-12'), why: '37° flares and O-ring bosses of -14 and beyond -16' },
  {
    weight: 8,
    threads: list('M10×1, M12×1.5, M14×1.5, M16×1.5, M18×1.5, M20×1.5, M22×1.5'),
    why: 'sensors, drain plugs, banjos, filter posts and ports of metric engines',
  },
  {
    weight: 5,
    threads: list('M8×1, M10×1.25, M12×1.25, M24×1.5, M26×1.5, M27×2, M30×2, M33×2'),
    why: 'small banjos and sensors; large ports, plugs and cones of metric engines',
  },
  { weight: 3, threads: list('M12×1, M30×1.5, M36×2, M42×2, M45×2, M48×2, M52×2'), why: 'large metric ports and 24° cones' },
  { weight: 8, threads: list('NPT 1/8, NPT 1/4, NPT 3/8, NPT 1/2'), why: 'sensors, covers, filter heads, turbo housings, adapters' },
  { weight: 4, threads: list('NPT 1/16, NPT 3/4, NPT 1'), why: 'small galleries; pans, coolant and tanks' },
  {
    weight: 5,
    threads: list('R 1/8, R 1/4, R 3/8, R 1/2, Rc 1/8, Rc 1/4, Rc 3/8, Rc 1/2'),
    why: 'senders and gallery ports of Asian and British engines',
  },
  { weight: 5, threads: list('G 1/8, G 1/4, G 3/8, G 1/2, G 3/4, G 1'), why: 'coolers, tanks, gauges and hydraulic ports' },
  { weight: 4, threads: list('13/16-16, 1 1/2-16'), why: 'filter posts' },
  { weight: 3, threads: list('5/8-18, 11/16-16, 1 1/16-14, 7/16-24, 5/16-28, 11/16-18, 3/4-18'), why: '45° and inverted flares' },
  { weight: 2, threads: list('1-14, 1 7/16-12, 1 11/16-12, 2-12'), why: 'O-ring face seals' },
  {
    weight: 2,
    threads: list('M6×1, M8×1.25, M10×1.5, 1/4-20, 5/16-18, 3/8-16, 1/4-28'),
    why: 'bolts of flanges and covers, taken for ports now and then',
  },
];

/** Systems and series that plumbing hardly meets, for what is in no row above. */
const RARE: readonly { readonly weight: number; readonly is: (thread: Thread) => boolean; readonly why: string }[] = [
  { weight: 0.25, is: ({ system }) => system === 'keg', why: 'metric tapers: older European plugs and senders only' },
  { weight: 0.5, is: ({ system }) => system === 'NPSM', why: 'American parallel pipe: swivel nuts of adapters, nowhere else' },
  {
    weight: 0.3,
    is: ({ system, designation }) => system === 'UN' && unifiedSeriesOf(designation.replace(/ \S+$/, '')) === 'UNEF',
    why: 'extra-fine inch threads: electrical connectors and instruments',
  },
  {
    weight: 0.5,
    is: ({ system, pitchMm, majorMm }) => system === 'metric' && majorMm >= 8 && pitchMm < 1,
    why: 'extra-fine metric threads',
  },
];

const byDesignation = new Map(
  metInPlumbing.flatMap((row) => row.threads.map((t): [string, MetInPlumbing] => [parseThread(t).designation, row])),
);

/** How often a thread is met in plumbing, and why, before anything is measured. */
export function plumbingPrior(thread: Thread): { readonly weight: number; readonly why: string } {
  const row = byDesignation.get(thread.designation) ?? RARE.find(({ is }) => is(thread));
  return row ? { weight: row.weight, why: row.why } : { weight: 1, why: 'met now and then' };
}
