/** Tolerances of 6g/6H as ISO 965-1 prints them, µm. */
export interface PrintedTolerances {
  /** Deviation of position g of the outside thread, below the basic size. */
  readonly es: number;
  /** Major diameter outside, grade 6. */
  readonly td: number;
  /** Pitch diameter outside, grade 6. */
  readonly td2: number;
  /** Pitch diameter inside, grade 6. */
  readonly TD2: number;
  /** Minor diameter inside, grade 6. */
  readonly TD1: number;
}

/** By pitch: es of position g, Td and TD1 of grade 6. Source: ISO 965-1, tables of fundamental deviations and of diameters, from memory. */
const BY_PITCH: Readonly<Record<string, readonly [es: number, td: number, TD1: number]>> = {
  '0.5': [20, 106, 140],
  '0.6': [21, 125, 160],
  '0.7': [22, 140, 180],
  '0.75': [22, 140, 190],
  '0.8': [24, 150, 200],
  '1': [26, 180, 236],
  '1.25': [28, 212, 265],
  '1.5': [32, 236, 300],
  '1.75': [34, 265, 335],
  '2': [38, 280, 375],
  '2.5': [42, 335, 450],
  '3': [48, 375, 500],
  '3.5': [53, 425, 560],
  '4': [60, 475, 600],
  '4.5': [63, 500, 670],
  '5': [71, 530, 710],
  '5.5': [75, 560, 750],
  '6': [80, 600, 800],
};

type Step = readonly [upToMm: number, byPitch: Readonly<Record<string, readonly [td2: number, TD2: number]>>];

/** Td2 and TD2 of grade 6 by diameter step and pitch. Source: ISO 965-1, tables of pitch diameters, from memory. */
const BY_STEP: readonly Step[] = [
  [2.8, {}],
  [5.6, { '0.5': [75, 100], '0.6': [85, 112], '0.7': [90, 118], '0.75': [90, 118], '0.8': [95, 125] }],
  [11.2, { '0.75': [100, 132], '1': [112, 150], '1.25': [118, 160], '1.5': [132, 180] }],
  [22.4, { '1': [118, 160], '1.25': [132, 180], '1.5': [140, 190], '1.75': [150, 200], '2': [160, 212], '2.5': [170, 224] }],
  [45, { '1': [125, 170], '1.5': [150, 200], '2': [170, 224], '3': [200, 265], '3.5': [212, 280], '4': [224, 300], '4.5': [236, 315] }],
  [90, { '1.5': [160, 212], '2': [180, 236], '3': [212, 280], '4': [236, 315], '5': [250, 335], '5.5': [265, 355], '6': [280, 375] }],
];

/** The printed tolerances of a metric thread; undefined where the standard prints none for its diameter and pitch. */
export function printedTolerances(majorMm: number, pitchMm: number): PrintedTolerances | undefined {
  const byPitch = BY_PITCH[String(pitchMm)];
  const byStep = BY_STEP.find(([upTo]) => majorMm <= upTo)?.[1][String(pitchMm)];
  if (!byPitch || !byStep) return undefined;
  const [es, td, TD1] = byPitch;
  const [td2, TD2] = byStep;
  return { es, td, td2, TD2, TD1 };
}
