import { printedTolerances } from './metric-tolerances.js';
import type { Thread } from './thread.js';
import { threadData } from './thread-data.js';
import { unifiedSeriesOf } from './straight-tables.js';

/** Limits of size in mm, smallest and largest. */
export interface Limits {
  readonly min: number;
  readonly max: number;
}

export interface ThreadLimits {
  /** Tolerance class: 6g/6H (`by formula` where ISO 965-1 prints no figure), 2A/2B, class A, or the standard's own. */
  readonly classes: string;
  readonly external: { readonly major: Limits; readonly pitch: Limits };
  readonly internal: { readonly pitch: Limits; readonly minor: Limits };
}

const limits = new Map<string, ThreadLimits>();

/**
 * Limits of size of the usual medium fit, in mm: ISO 965-1 6g/6H, ASME B1.1 2A/2B, ISO 228-1 class A. Taper threads are given at the
 * gauge plane with the spread of a turn either way (ASME B1.20.1, ISO 7-1: one pitch).
 */
export function threadLimits(thread: Thread): ThreadLimits {
  let found = limits.get(thread.designation);
  if (!found) limits.set(thread.designation, (found = limitsOf(thread)));
  return found;
}

function limitsOf(thread: Thread): ThreadLimits {
  const { majorMm, pitchDiameterMm, minorInternalMm } = threadData(thread.designation);
  const t = tolerances(thread);
  const below = (size: number, allowance: number, tolerance: number): Limits => ({
    min: size - allowance - tolerance,
    max: size - allowance,
  });
  const above = (size: number, tolerance: number): Limits => ({ min: size, max: size + tolerance });
  return {
    classes: t.classes,
    external: { major: below(majorMm, t.allowance, t.major), pitch: below(pitchDiameterMm, t.allowance, t.pitch) },
    internal: { pitch: above(pitchDiameterMm, t.pitchInside), minor: above(minorInternalMm, t.minorInside) },
  };
}

interface Tolerances {
  readonly classes: string;
  readonly allowance: number;
  readonly major: number;
  readonly pitch: number;
  readonly pitchInside: number;
  readonly minorInside: number;
}

function tolerances(thread: Thread): Tolerances {
  switch (thread.system) {
    case 'metric':
      return metricTolerances(thread);
    case 'UN':
    case 'NPSM':
      return unifiedTolerances(thread);
    case 'G':
    case 'Rp':
      return britishTolerances(thread);
    case 'NPT':
    case 'NPTF':
    case 'R':
    case 'Rc':
    case 'keg': {
      // a taper thread may stand one turn off its gauge plane either way
      const turn = thread.pitchMm * thread.taperPerMm;
      return { classes: 'gauge ±1 turn', allowance: -turn, major: 2 * turn, pitch: 2 * turn, pitchInside: turn, minorInside: turn };
    }
  }
}

/** Preferred numbers of the R40 series the standard rounds to. */
const R40 = [
  100, 106, 112, 118, 125, 132, 140, 150, 160, 170, 180, 190, 200, 212, 224, 236, 250, 265, 280, 300, 315, 335, 355, 375, 400, 425, 450,
  475, 500, 530, 560, 600, 630, 670, 710, 750, 800, 850, 900, 950, 1000,
];
const STEPS = [2.8, 5.6, 11.2, 22.4, 45, 90, 180, 355];

function preferred(micrometres: number): number {
  const decade = 10 ** (Math.floor(Math.log10(micrometres)) - 2);
  const near = R40.reduce((best, n) => (Math.abs(n * decade - micrometres) < Math.abs(best * decade - micrometres) ? n : best));
  return (near * decade) / 1000;
}

/** ISO 965-1, grade 6 and position g: as printed; where the standard prints none, by its formulas, rounded to R40 and said so. */
function metricTolerances({ majorMm, pitchMm: p }: Thread): Tolerances {
  const printed = printedTolerances(majorMm, p);
  if (!printed) return computedTolerances(majorMm, p);
  const { es, td, td2, TD2, TD1 } = printed;
  const mm = (micrometres: number): number => micrometres / 1000;
  return { classes: '6g/6H', allowance: mm(es), major: mm(td), pitch: mm(td2), pitchInside: mm(TD2), minorInside: mm(TD1) };
}

/** The formulas of ISO 965-1; d is the mean of its diameter step. */
function computedTolerances(majorMm: number, p: number): Tolerances {
  const at = Math.max(0, STEPS.findIndex((step) => majorMm <= step) - 1);
  const mean = Math.sqrt(STEPS[at]! * STEPS[at + 1]!);
  const pitch = preferred(90 * p ** 0.4 * mean ** 0.1);
  return {
    classes: '6g/6H by formula',
    allowance: Math.round(15 + 11 * p) / 1000,
    major: preferred(180 * p ** (2 / 3) - 3.15 / Math.sqrt(p)),
    pitch,
    pitchInside: preferred(1320 * pitch),
    minorInside: preferred(p < 1 ? 433 * p - 190 * p ** 1.22 : 230 * p ** 0.7),
  };
}

/** ASME B1.1, formulas of classes 2A and 2B; the length of engagement is D in the coarse and fine series, 9 P in the others. */
function unifiedTolerances({ majorMm, pitchMm, designation }: Thread): Tolerances {
  const d = majorMm / 25.4;
  const p = pitchMm / 25.4;
  const standard = ['UNC', 'UNF'].includes(unifiedSeriesOf(designation.split(' ').slice(0, -1).join(' ')));
  const pitch = 0.0015 * Math.cbrt(d) + 0.0015 * Math.sqrt(standard ? d : 9 * p) + 0.015 * p ** (2 / 3);
  return {
    classes: '2A/2B',
    allowance: 0.3 * pitch * 25.4,
    major: 0.06 * p ** (2 / 3) * 25.4,
    pitch: pitch * 25.4,
    pitchInside: 1.3 * pitch * 25.4,
    minorInside: (0.25 * p - 0.4 * p * p) * 25.4,
  };
}

/** Pitch, major and minor tolerances of British parallel threads by pitch, mm. Source: ISO 228-1, class A, from memory. */
const BRITISH_TOLERANCES: readonly (readonly [tpi: number, pitch: number, major: number, minor: number])[] = [
  [28, 0.107, 0.214, 0.282],
  [19, 0.125, 0.25, 0.445],
  [14, 0.142, 0.284, 0.541],
  [11, 0.18, 0.36, 0.64],
];

function britishTolerances({ pitchMm }: Thread): Tolerances {
  const [, pitch, major, minorInside] = BRITISH_TOLERANCES.find(([tpi]) => Math.abs(25.4 / tpi - pitchMm) < 0.01)!;
  return { classes: 'class A', allowance: 0, major, pitch, pitchInside: pitch, minorInside };
}
