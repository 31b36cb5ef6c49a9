import { howToTell } from './how-to-tell.js';
import { lookAlikesInWords, type LookAlike } from './look-alikes.js';
import { basicDiameter, measuredSpan } from './measured-span.js';
import { checkMeasurement, type CheckedMeasurement, type ThreadMeasurement } from './measurement.js';
import { alsoCalled, measurableThreads } from './thread-library.js';
import { plumbingPrior } from './plumbing-prior.js';
import type { Thread } from './thread.js';
import { expectedTrial, strangerLikelihood, trialInWords, trialLikelihood } from './trial.js';

/** What a trial says of a candidate. */
export interface TrialOfCandidate {
  readonly known: string;
  readonly agrees: boolean;
  /** What would be expected of the known part, were it this thread: "bind after about 3 turns". */
  readonly expected: string;
}

export interface ThreadCandidate {
  readonly designation: string;
  /** Probability of 0 to 1: of all threads of the library, how likely this one gives these figures (see {@link identifyThread}). */
  readonly score: number;
  /** Measured less basic diameter; for a taper thread, less the nearest diameter along it. 0 where it was not measured. */
  readonly diameterErrorMm: number;
  /** Measured less true pitch; 0 where it was not measured. */
  readonly pitchErrorMm: number;
  /** A thread that measures the same. */
  readonly alsoCalled?: string;
  readonly lookAlikes: readonly LookAlike[];
  /** One for each trial, in their order. */
  readonly trials: readonly TrialOfCandidate[];
  /** Where the figures do not settle it: the threads they cannot tell from this one, each with the test that does. */
  readonly ties?: readonly LookAlike[];
  /** Why it is expected, where what plumbing meets is weighed. */
  readonly metBecause?: string;
}

/** How the threads are weighed before anything is measured. */
export interface IdentifyOptions {
  /** `plumbing`, unless said: by what engine plumbing meets. `even`: every thread of the library alike. */
  readonly prior?: 'plumbing' | 'even';
}

/** Spread of a pitch read from a gauge or over ten threads, mm. */
const PITCH_SIGMA_MM = 0.012;
/** One taper reading in a hundred is misjudged. */
const TAPER_MISJUDGED = 0.01;
/** A flank that was held against a gauge is misjudged once in a hundred. */
const FLANK_MISJUDGED = 0.01;
/** Share of threads that are neither worn nor at the edge of their tolerance: they measure their basic size. */
const FULL_SIZE = 0.25;
/** Share left for a thread that is not in the library, as a density over 60 mm of diameters. */
const STRANGER = 0.002 / 60;
const LEAST_SCORE = 0.002;
const TIE = 0.9;
/** A second this likely against the first is no second: the figures do not settle it. */
const UNSETTLED = 0.4;
/** The same for threads of one pitch and one taper, which nothing but their flanks tells apart. */
const UNSETTLED_KINDRED = 0.05;

/**
 * Names a thread from what was measured, best first.
 *
 * The score is a posterior probability. Before measuring, threads are weighed by how often plumbing meets them
 * ({@link plumbingPrior}), or all alike where that is switched off. Each predicts the diameter anywhere between its smallest (least material, 0.08 mm of wear; small end of a taper) and
 * largest size, one time in four at its basic size, blurred by the uncertainty; the pitch within 0.012 mm; the taper and the flank right 99
 * times in 100. Each trial with a known part counts by the computed fit of the two ({@link trialLikelihood}); a pitch that was
 * measured says more than any of them. A small share is kept for threads that are not in the library, so that figures which suit nothing score low.
 *
 * @throws {ThreadMeasurementError} for figures that cannot be, or that disagree
 * @example identifyThread({ side: 'external', diameterMm: 13.87, pitchMm: 1.5 })[0]?.designation // 'M14×1.5'
 */
export function identifyThread(measurement: ThreadMeasurement, { prior = 'plumbing' }: IdentifyOptions = {}): ThreadCandidate[] {
  const m = checkMeasurement(measurement);
  const weighed = measurableThreads(m.side)
    .map((thread) => ({ thread, weight: (prior === 'plumbing' ? plumbingPrior(thread).weight : 1) * likelihood(thread, m) }))
    .filter(({ weight }) => weight > 0);
  const strangers =
    (m.diameterMm === undefined ? 0.002 : STRANGER * (m.pitchMm === undefined ? 1 : 0.2)) *
    m.trials.reduce((share, trial) => share * strangerLikelihood(trial), 1);
  const total = weighed.reduce((sum, { weight }) => sum + weight, strangers);
  const ranked = weighed
    .map(({ thread, weight }) => ({ thread, score: weight / total, off: distanceFrom(thread, m) }))
    .filter(({ score }) => score >= LEAST_SCORE)
    .sort((a, b) => b.score - a.score || a.off - b.off);
  // scores this close say nothing: the nearer figures go first
  for (let i = 1; i < ranked.length; i++) {
    const [before, after] = [ranked[i - 1]!, ranked[i]!];
    if (after.score > TIE * before.score && after.off < before.off - 1e-9) [ranked[i - 1], ranked[i]] = [after, before];
  }
  const first = ranked[0];
  const ties =
    first && ranked.filter(({ thread, score }) => thread !== first.thread && score >= unsettled(first.thread, thread) * first.score);
  return ranked.map(({ thread, score }) => candidate(thread, score, m, prior, thread === first?.thread ? ties : undefined));
}

function unsettled(a: Thread, b: Thread): number {
  const kindred = Math.abs(a.pitchMm - b.pitchMm) < 0.01 && a.taperPerMm === b.taperPerMm && a.taperPerMm > 0;
  return kindred ? UNSETTLED_KINDRED : UNSETTLED;
}

function candidate(
  thread: Thread,
  score: number,
  m: CheckedMeasurement,
  prior: IdentifyOptions['prior'],
  ties: readonly { readonly thread: Thread }[] = [],
): ThreadCandidate {
  const also = m.side === 'internal' || thread.system === 'NPT' ? alsoCalled(thread) : undefined;
  let words: LookAlike[] | undefined;
  return {
    designation: thread.designation,
    score,
    diameterErrorMm: diameterError(thread, m),
    pitchErrorMm: m.pitchMm === undefined ? 0 : m.pitchMm - thread.pitchMm,
    ...(also ? { alsoCalled: also } : {}),
    ...(prior === 'plumbing' ? { metBecause: plumbingPrior(thread).why } : {}),
    ...(ties.length > 0
      ? { ties: ties.map((tie) => ({ designation: tie.thread.designation, howToTell: howToTell(thread, tie.thread, m.side) })) }
      : {}),
    trials: m.trials.map(({ known, result }) => {
      const expected = expectedTrial(thread, m.side, known);
      return { known, agrees: expected.result === result, expected: trialInWords(expected, m.side) };
    }),
    get lookAlikes() {
      return (words ??= lookAlikesInWords(thread, m.side));
    },
  };
}

function likelihood(thread: Thread, m: CheckedMeasurement): number {
  let weight = 1;
  if (m.pitchMm !== undefined) weight *= Math.exp(-0.5 * ((m.pitchMm - thread.pitchMm) / PITCH_SIGMA_MM) ** 2);
  if (weight < 1e-9) return 0;
  if (m.taper !== 'unknown') weight *= thread.taperPerMm > 0 === (m.taper === 'tapered') ? 1 - TAPER_MISJUDGED : TAPER_MISJUDGED;
  if (m.flankDeg !== undefined) weight *= thread.flankAngleDeg === m.flankDeg ? 1 - FLANK_MISJUDGED : FLANK_MISJUDGED;
  for (const trial of m.trials) weight *= trialLikelihood(thread, m.side, trial);
  if (m.diameterMm === undefined) return weight;
  const { min, max } = measuredSpan(thread, m.side);
  const sigma = Math.max(m.uncertaintyMm, 0.02) / 2;
  const density = (normal((m.diameterMm - min) / sigma) - normal((m.diameterMm - max) / sigma)) / (max - min);
  const full = Math.exp(-0.5 * ((m.diameterMm - basicDiameter(thread, m.side)) / sigma) ** 2) / (sigma * Math.sqrt(2 * Math.PI));
  return weight * ((1 - FULL_SIZE) * density + FULL_SIZE * full);
}

function diameterError(thread: Thread, m: CheckedMeasurement): number {
  if (m.diameterMm === undefined) return 0;
  if (thread.taperPerMm === 0) return m.diameterMm - basicDiameter(thread, m.side);
  const { min, max } = measuredSpan(thread, m.side);
  return m.diameterMm < min ? m.diameterMm - min : Math.max(0, m.diameterMm - max);
}

function distanceFrom(thread: Thread, m: CheckedMeasurement): number {
  return Math.abs(diameterError(thread, m)) + Math.abs((m.pitchMm ?? thread.pitchMm) - thread.pitchMm);
}

/** Share of a normal distribution below z. Source: Abramowitz and Stegun 7.1.26, error under 1.5e-7. */
function normal(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const tail = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) * Math.exp(-x * x);
  return z > 0 ? 1 - tail / 2 : tail / 2;
}
