import { coneMakeUp, cuttingRingMakeUp, flareMakeUp } from '../make-up.js';
import type { Mating } from '../mating.js';
import { DRY, type SealingPair } from './sealing-pair.js';

const metalToMetal = { method: 'metal to metal, dry', consumables: [] };
const flare = (dash: string): Omit<Mating, 'outcome'> => ({
  kind: 'cone',
  seal: metalToMetal,
  reason: '37° nose on 37° seat, metal to metal. Nothing is added, ever.',
  makeUp: flareMakeUp(dash),
  dressing: DRY,
  source: 'SAE J514; flats from memory',
});
const recognised = (words: string, standard: string): Omit<Mating, 'outcome'> => ({
  kind: 'cone',
  seal: metalToMetal,
  reason: `${words} Known here to be recognised; brake lines are out of the scope of this app.`,
  makeUp: coneMakeUp,
  dressing: DRY,
  source: standard,
});

/** Joints of cone on cone. */
export const coneJoints: readonly SealingPair[] = [
  { male: 'flare37', female: 'flare37', joint: (m) => flare(m.size) },
  { male: 'bulkhead', female: 'flare37', joint: (m) => flare(m.size) },
  {
    male: 'flare45',
    female: 'flare45',
    joint: () => ({
      kind: 'cone',
      seal: metalToMetal,
      reason: '45° nose on the flared tube or seat. Nothing is added.',
      makeUp: coneMakeUp,
      dressing: DRY,
      source: 'SAE J512; flats by common practice',
    }),
  },
  {
    male: 'inverted',
    female: 'inverted',
    joint: () => recognised('The nut presses the double flare onto the seat in the port.', 'SAE J512'),
  },
  { male: 'bubble', female: 'bubble', joint: () => recognised('The nut presses the bubble onto the seat in the port.', 'ISO 4038') },
  {
    male: 'cone24',
    female: 'cone24',
    when: (m, f) => !m.seat || !f.seat || m.seat === f.seat,
    joint: (m, f) => ({
      kind: 'cone',
      seal: { method: 'cutting ring or O-ring nose', consumables: [] },
      reason: `The nut draws ring or nose into the 24° cone.${m.seat && f.seat ? '' : ' Check that the tube is the same: light and heavy series share threads.'}`,
      makeUp: cuttingRingMakeUp,
      dressing: 'Oil ring, cone and thread. No tape, no sealant.',
      source: 'ISO 8434-1; turns from memory',
    }),
  },
  {
    male: 'cone60',
    female: 'cone60',
    joint: () => ({
      kind: 'cone',
      seal: metalToMetal,
      reason: '60° nose in the 60° cone of the male. A 24° cone has the same thread, and touches it on one thin line.',
      makeUp: coneMakeUp,
      dressing: DRY,
      source: 'DIN 3863; flats by common practice',
    }),
  },
  ...['g', 'r'].map((male): SealingPair => ({
    male,
    female: 'g',
    when: (m, f) => m.seat === 'cone' && (f.swivel === true || f.seat === 'cone') && (!f.seat || f.seat === 'cone'),
    joint: (_, f) => ({
      kind: 'cone',
      seal: metalToMetal,
      reason: `60° nose ${f.swivel ? 'of the swivel ' : ''}in the 60° cone of the male. Nothing is added${male === 'r' ? ': the taper only holds, and sealant on it would keep the cones apart' : ''}.`,
      makeUp: coneMakeUp,
      dressing: DRY,
      source: 'ISO 8434-6; flats by common practice',
    }),
  })),
  ...(
    [
      ['orfs', 'The ring in the flat face of the male is squeezed by the flat sleeve of the nut.', 'SAE J1453, ISO 8434-3', 'o-ring'],
      ['cone30', '30° cone in 30° seat, metal to metal.', 'JIS B 8363', 'cone'],
    ] as const
  ).map(([family, words, standard, kind]): SealingPair => ({
    male: family,
    female: family,
    joint: () => ({
      kind,
      seal: kind === 'o-ring' ? { method: 'the ring in its face', consumables: [] } : metalToMetal,
      reason: `${words} Known here so that it is not taken for something else: get ring and torque from its maker.`,
      dressing: kind === 'o-ring' ? 'Oil the ring, dry threads. New ring whenever opened.' : DRY,
      source: standard,
    }),
  })),
  ...['npt', 'nptf', 'npsm'].map((male): SealingPair => ({
    male,
    female: 'npsm',
    when: (m, f) => f.swivel === true && (m.family === 'npsm' || m.seat === 'cone'),
    joint: () => ({
      kind: 'cone',
      seal: metalToMetal,
      reason: '30° nose of the swivel on the 30° seat in the bore of the male. The thread only holds.',
      makeUp: coneMakeUp,
      dressing: DRY,
      source: 'ASME B1.20.1, SAE J514; flats by common practice',
    }),
  })),
];
