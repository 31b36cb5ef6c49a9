import { flangeFigures, type Connector, type FlangeFigures } from '../../connectors/index.js';
import { formatDash, quantity } from '../../units/index.js';
import { FLANGE_BOLT, type Mating } from '../mating.js';
import { clampMakeUp, flangeMakeUp, oliveMakeUp, pushMakeUp } from '../make-up.js';
import type { SealingPair } from './sealing-pair.js';

const clamped = (male: string, reason: string): SealingPair => ({
  male,
  female: 'barb',
  joint: (m, f) => ({
    kind: 'clamp',
    seal: { method: `hose on ${male}, clamped`, consumables: [{ item: 'hose clamp', size: `for ${inFull(f.size)} hose`, quantity: 1 }] },
    reason: m.size === f.size ? reason : `${reason} ${capital(inFull(m.size))} and ${inFull(f.size)} are one size to a hose.`,
    makeUp: clampMakeUp,
    dressing: 'Clean and dry; a wet hose end slides off.',
    source: 'SAE J1231; common practice',
  }),
});

function inFull(size: string): string {
  return size.endsWith('mm') ? size.replace('mm', ' mm') : `${size} in`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Joints without a thread that seals: hose and clamp, push-in, coupling, gasket. */
export const hoseJoints: readonly SealingPair[] = [
  clamped('barb', 'The hose grips the ridges and the clamp holds it there.'),
  clamped('bead', 'The hose seats behind the bead and the clamp holds it there.'),
  {
    male: 'qc',
    female: 'qc',
    joint: () => ({
      kind: 'push',
      seal: { method: 'its inner O-rings', consumables: [] },
      reason: 'The spigot slides through the O-rings and the latch drops behind its bead.',
      makeUp: pushMakeUp,
      dressing: 'A drop of clean oil on the spigot. Read the fluid off the connector: fuel and coolant rings differ.',
      source: 'SAE J2044',
    }),
  },
  {
    male: 'compression',
    female: 'compression',
    joint: (m) => ({
      kind: 'olive',
      seal: { method: 'olive on the plain tube', consumables: [] },
      reason: `The nut presses the olive on the tube of ${inFull(m.size)}, which must be round, clean and cut square. Not for a line that is shaken or often undone.`,
      makeUp: oliveMakeUp,
      dressing: 'Dry, or a drop of oil on the thread. A new olive on each tube; no sealant.',
      source: 'common practice',
    }),
  },
  {
    male: 'stub',
    female: 'stub',
    joint: (m) => ({
      kind: m.seat === 'grommet' ? 'push' : 'o-ring',
      seal: { method: m.seat === 'grommet' ? 'its grommet' : 'the ring in its groove', consumables: [] },
      reason:
        m.seat === 'grommet'
          ? `The rubber grommet is squeezed between stub and hole of ${inFull(m.size)}: it keeps in fumes and splashes, and no pressure.`
          : `The ring round the stub is squeezed in the smooth hole of ${inFull(m.size)}; a bracket and its bolt hold it in.`,
      makeUp: {
        ...pushMakeUp,
        note: m.seat === 'grommet' ? 'Pushed home by hand, then turned to aim it.' : 'Pushed home by hand; then the bolt of its bracket.',
      },
      dressing:
        'Oil on the rubber; the edge of the hole chamfered, no burr. New rubber whenever it comes out: measure it, it goes by its maker.',
      source: 'common practice',
    }),
  },
  {
    male: 'drybreak',
    female: 'drybreak',
    joint: (m) => ({
      kind: 'push',
      seal: { method: 'its own rings and valves', consumables: [] },
      reason: `Both ${formatDash(Number(m.size))} halves of one make: the valves open as they are drawn together.`,
      makeUp: { ...pushMakeUp, note: "By the maker's way: turn, push or screw until it locks, then tug." },
      dressing: 'Clean faces; a drop of oil on the ring.',
      source: "the maker's",
    }),
  },
];

/** Bolts this far apart are the same pattern, mm: 38 and 38.1. Common practice. */
const SAME_PITCH_MM = 0.5;

/** Two flanges laid on one another; either may be the part that is bolted on. */
export function flangesMeet(a: Connector, b: Connector): Mating {
  // the same words whichever comes first: the smaller figure is named first
  const [one, other] = [flangeFigures(a.size), flangeFigures(b.size)].sort((x, y) => x.apartMm - y.apartMm || x.boreMm - y.boreMm) as [
    FlangeFigures,
    FlangeFigures,
  ];
  if (other.apartMm - one.apartMm > SAME_PITCH_MM)
    return apart(
      `The bolts are ${quantity(one.apartMm, 'mm')} apart on one flange and ${quantity(other.apartMm, 'mm')} on the other: they do not go through.`,
    );
  if (one.bolt && other.bolt && one.bolt !== other.bolt) return apart(`One flange is made for M6 bolts, the other for M8.`);
  const [small, large] = [one.boreMm, other.boreMm].sort((x, y) => x - y) as [number, number];
  const bolt = one.bolt ?? other.bolt;
  const size = `2x${one.apartMm} bore${large}`;
  return {
    outcome: 'seals',
    kind: 'gasket',
    seal: {
      method: 'gasket, faces dry',
      consumables: [
        { item: 'flange gasket', size, quantity: 1 },
        // which bolts they are is not guessed
        ...(bolt ? [{ item: FLANGE_BOLT, size: bolt, quantity: 2 }] : []),
      ],
    },
    reason:
      large - small < 0.5
        ? 'A gasket between two flat, clean faces.'
        : `A gasket between two flat, clean faces. The bore steps from ${quantity(large, 'mm')} to ${quantity(small, 'mm')}: the flow meets an edge, the joint does not leak. Cut the gasket to ${quantity(large, 'mm')}.`,
    makeUp: flangeMakeUp(bolt),
    dressing: 'Gasket alone, clean and dry. Some shops add a thin bead; what squeezes out blocks oil ways.',
    source: 'common practice',
  };
}

function apart(reason: string): Mating {
  return { outcome: 'does-not-join', kind: 'none', reason };
}
