import type { ThreadSystem } from './thread.js';

/** Everything that holds for all threads of a system in one entry. */
export interface SystemEntry {
  readonly id: ThreadSystem;
  /** As it reads in a sentence. */
  readonly name: string;
  readonly flankAngleDeg: 55 | 60;
  readonly taperPerMm: number;
  /** Major diameter less pitch diameter, in pitches. */
  readonly addendum: number;
  /** Pitch diameter less the minor diameter of the hole, in pitches. */
  readonly dedendum: number;
  /** Depth of the outside thread's profile below the pitch line, on the diameter, in pitches. */
  readonly root: number;
  /** How its pitch is told. */
  readonly pitchIn: 'mm' | 'per inch';
  /** Which sides exist: an R thread is always outside, an Rc hole always inside. */
  readonly sides: readonly ('external' | 'internal')[];
  readonly standard: string;
  /** Where it is met in engine plumbing. */
  readonly usedFor: string;
}

const H60 = Math.sqrt(3) / 2;
/** Depth of the full-form 55° profile in pitches. Source: ISO 228-1, ISO 7-1. */
const WHITWORTH_DEPTH = 0.640327;
const sixty = { flankAngleDeg: 60, addendum: 0.75 * H60, dedendum: 0.5 * H60, root: (2 / 3) * H60 } as const;
/** ASME B1.20.1: greatest depth of the taper pipe profile 0.8 p. */
const npt = { flankAngleDeg: 60, taperPerMm: 1 / 16, addendum: 0.8, dedendum: 0.8, root: 0.8, pitchIn: 'per inch' } as const;
const british = {
  flankAngleDeg: 55,
  addendum: WHITWORTH_DEPTH,
  dedendum: WHITWORTH_DEPTH,
  root: WHITWORTH_DEPTH,
  pitchIn: 'per inch',
} as const;

/** The systems, with their profiles. Sources: ISO 68-1, ASME B1.1, ASME B1.20.1 and B1.20.3, ISO 228-1, ISO 7-1, DIN 158. */
export const threadSystems: readonly SystemEntry[] = [
  {
    ...sixty,
    id: 'metric',
    name: 'ISO metric',
    taperPerMm: 0,
    pitchIn: 'mm',
    sides: ['external', 'internal'],
    standard: 'ISO 68-1, ISO 261, ISO 724',
    usedFor: 'European and Asian blocks, pans, housings, sensors, banjo bolts and filter posts',
  },
  {
    ...sixty,
    id: 'UN',
    name: 'unified inch',
    taperPerMm: 0,
    pitchIn: 'per inch',
    sides: ['external', 'internal'],
    standard: 'ASME B1.1',
    usedFor: '37° flares, O-ring bosses, filter posts and bolts of inch engines',
  },
  {
    ...npt,
    id: 'NPT',
    name: 'American taper pipe',
    sides: ['external', 'internal'],
    standard: 'ASME B1.20.1',
    usedFor: 'sensors, cast covers, filter heads, turbo housings, small adapters',
  },
  {
    ...npt,
    id: 'NPTF',
    name: 'American dryseal taper pipe',
    sides: ['external', 'internal'],
    standard: 'ASME B1.20.3',
    usedFor: 'factory plugs and fuel fittings; looks like NPT, its crests are flattened to seal dry',
  },
  {
    ...sixty,
    id: 'NPSM',
    name: 'American parallel pipe',
    taperPerMm: 0,
    pitchIn: 'per inch',
    sides: ['external', 'internal'],
    standard: 'ASME B1.20.1',
    usedFor: 'swivel nuts of pipe adapters, sealing on a 30° seat',
  },
  {
    ...british,
    id: 'R',
    name: 'British taper pipe, outside',
    taperPerMm: 1 / 16,
    sides: ['external'],
    standard: 'ISO 7-1',
    usedFor: 'oil pressure senders and plugs of Asian and British engines',
  },
  {
    ...british,
    id: 'Rc',
    name: 'British taper pipe, inside',
    taperPerMm: 1 / 16,
    sides: ['internal'],
    standard: 'ISO 7-1',
    usedFor: 'sender and gallery ports of Asian and British engines',
  },
  {
    ...british,
    id: 'Rp',
    name: 'British parallel pipe, inside, for a taper male',
    taperPerMm: 0,
    sides: ['internal'],
    standard: 'ISO 7-1',
    usedFor: 'drilled and tapped ports that take a taper male',
  },
  {
    ...british,
    id: 'G',
    name: 'British parallel pipe',
    taperPerMm: 0,
    sides: ['external', 'internal'],
    standard: 'ISO 228-1',
    usedFor: 'coolers, tanks, gauges and hydraulic ports, sealing on a washer or a cone',
  },
  {
    ...sixty,
    id: 'keg',
    name: 'metric taper, outside',
    taperPerMm: 1 / 16,
    pitchIn: 'mm',
    sides: ['external'],
    standard: 'DIN 158',
    usedFor: 'plugs and senders of older European engines, in a plain metric hole',
  },
];

const byId = new Map(threadSystems.map((s) => [s.id, s]));

export function threadSystem(id: ThreadSystem): SystemEntry {
  return byId.get(id)!;
}
