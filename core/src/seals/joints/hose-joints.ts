import { formatDash } from '../../units/index.js';
import { clampMakeUp, flangeMakeUp, pushMakeUp } from '../make-up.js';
import type { SealingPair } from './sealing-pair.js';

const clamped = (male: string, reason: string): SealingPair => ({
  male,
  female: 'barb',
  joint: (m) => ({
    kind: 'clamp',
    seal: {
      method: `hose on ${male}, clamped`,
      consumables: [
        { item: 'hose clamp', size: `for ${/mm$/.test(m.size) ? m.size.replace('mm', ' mm') : `${m.size} in`} hose`, quantity: 1 },
      ],
    },
    reason,
    makeUp: clampMakeUp,
    dressing: 'Clean and dry; a wet hose end slides off.',
    source: 'SAE J1231; common practice',
  }),
});

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

/** Two flanges of one pattern; either may be the part that is bolted on. */
export const flangeJoint: SealingPair = {
  male: 'flange',
  female: 'flange',
  joint: (m) => ({
    kind: 'gasket',
    seal: { method: 'gasket, faces dry', consumables: [{ item: 'flange gasket', size: m.size, quantity: 1 }] },
    reason: 'A gasket between two flat, clean faces.',
    makeUp: flangeMakeUp,
    dressing: 'Gasket alone, clean and dry. Some shops add a thin bead; what squeezes out blocks oil ways.',
    source: 'common practice',
  }),
};
