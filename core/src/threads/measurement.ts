import { measurableThreads, type Side } from './thread-library.js';
import { trialProblem, trialResults, type ThreadTrial } from './trial.js';
import { quantity } from '../units/index.js';

/** What was measured on a thread. Figures that are not known are left out. */
export interface ThreadMeasurement {
  readonly side: Side;
  /** Over the crests outside, over the minor diameter inside. */
  readonly diameterMm?: number;
  readonly pitchMm?: number;
  readonly threadsPerInch?: number;
  readonly taper?: 'tapered' | 'parallel' | 'unknown';
  /** Angle of its flanks, by a thread gauge against the light: 55° with rounded crests is British, 60° is all else. */
  readonly flankDeg?: 55 | 60;
  /** Half-width of the diameter's uncertainty; 0.05 mm where it is not given. */
  readonly uncertaintyMm?: number;
  /** Known parts tried on it. */
  readonly trials?: readonly ThreadTrial[];
}

export type MeasurementField = 'side' | 'diameterMm' | 'pitchMm' | 'threadsPerInch' | 'taper' | 'flankDeg' | 'uncertaintyMm' | 'trials';

/** A measurement that cannot be right: which figure, why, what to do. */
export class ThreadMeasurementError extends Error {
  readonly code = 'thread-measurement';
  constructor(
    message: string,
    readonly field: MeasurementField,
    readonly hint: string,
    /** Which of the trials, where it is about one. */
    readonly trial?: number,
  ) {
    super(message);
    this.name = 'ThreadMeasurementError';
  }
}

/** A measurement that has been looked through, its pitch in mm whichever way it was given. */
export interface CheckedMeasurement {
  readonly side: Side;
  readonly diameterMm: number | undefined;
  readonly pitchMm: number | undefined;
  readonly taper: 'tapered' | 'parallel' | 'unknown';
  readonly flankDeg: 55 | 60 | undefined;
  readonly uncertaintyMm: number;
  readonly trials: readonly ThreadTrial[];
}

/** More trials than this are not weighed: they say no more. */
export const MOST_TRIALS = 6;

/** A pitch further than this from every thread's is a miscount. */
const PITCH_MISS = 0.035;

/** @throws {ThreadMeasurementError} */
export function checkMeasurement(m: ThreadMeasurement): CheckedMeasurement {
  if (m.side !== 'external' && m.side !== 'internal')
    throw fail('Outside or inside?', 'side', 'Say whether the thread is outside or inside.');
  const diameterMm = figure(m.diameterMm, 'diameterMm', 'The diameter');
  const pitch = figure(m.pitchMm, 'pitchMm', 'The pitch');
  const tpi = figure(m.threadsPerInch, 'threadsPerInch', 'The count per inch');
  const uncertaintyMm = m.uncertaintyMm ?? 0.05;
  if (typeof uncertaintyMm !== 'number' || !(uncertaintyMm >= 0 && uncertaintyMm <= 2))
    throw fail(
      `The uncertainty must lie between 0 and ${quantity(2, 'mm')}.`,
      'uncertaintyMm',
      `A calliper gives about ${quantity('0.05', 'mm')}, a rule ${quantity('0.5', 'mm')}.`,
    );
  const taper = m.taper ?? 'unknown';
  if (!['tapered', 'parallel', 'unknown'].includes(taper))
    throw fail(`"${String(taper)}" is not a taper.`, 'taper', 'Say tapered, parallel or unknown.');
  const { flankDeg } = m;
  if (flankDeg !== undefined && flankDeg !== 55 && flankDeg !== 60)
    throw fail(
      `${String(flankDeg)}° is no flank of these threads.`,
      'flankDeg',
      'A thread gauge of 55° or of 60° lies on it without light between.',
    );
  if (pitch !== undefined && tpi !== undefined && Math.abs(pitch * tpi - 25.4) > 0.3)
    throw fail(
      `Pitch and count disagree: ${short(tpi)} per inch is ${short(25.4 / tpi)} mm, not ${short(pitch)} mm.`,
      'threadsPerInch',
      'Keep the one you trust and empty the other.',
    );
  const pitchMm = pitch ?? (tpi === undefined ? undefined : 25.4 / tpi);
  const trials = checkTrials(m.trials ?? [], m.side);
  if (diameterMm === undefined && pitchMm === undefined && trials.length === 0)
    throw fail('Nothing measured yet.', 'diameterMm', 'Give the diameter, the pitch, or both.');
  if (pitchMm !== undefined) checkPitch(pitchMm, diameterMm, m.side, pitch === undefined ? 'threadsPerInch' : 'pitchMm');
  if (diameterMm !== undefined && (diameterMm < 3.5 || diameterMm > 70))
    throw fail(
      `No thread of the library measures ${quantity(short(diameterMm), 'mm')}.`,
      'diameterMm',
      'It knows threads from M5 to 2 1/2 in. Check the unit.',
    );
  return { side: m.side, diameterMm, pitchMm, taper, flankDeg, uncertaintyMm, trials };
}

function checkTrials(trials: readonly ThreadTrial[], side: Side): readonly ThreadTrial[] {
  if (trials.length > MOST_TRIALS)
    throw fail(`${trials.length} trials are more than can be told apart.`, 'trials', `Keep the ${MOST_TRIALS} that are surest.`);
  trials.forEach(({ known, result, turns }, at) => {
    const problem = trialProblem(known, side);
    if (problem) throw new ThreadMeasurementError(problem, 'trials', 'Try with a part whose thread is sure.', at);
    if (!trialResults.includes(result))
      throw new ThreadMeasurementError(`"${String(result)}" is no outcome of a trial.`, 'trials', 'Say what the known part did.', at);
    if (turns !== undefined && (result !== 'binds' || typeof turns !== 'number' || !(turns > 0 && turns <= 30)))
      throw new ThreadMeasurementError('Turns until it binds lie between 0 and 30.', 'trials', 'Count by hand, without a wrench.', at);
  });
  return trials;
}

function checkPitch(pitchMm: number, diameterMm: number | undefined, side: Side, field: MeasurementField): void {
  if (diameterMm !== undefined && pitchMm > diameterMm / 2)
    throw fail(
      `A pitch of ${short(pitchMm)} mm does not go on ${quantity(short(diameterMm), 'mm')}.`,
      field,
      'Count threads over a length and divide, or check which unit the figure is in.',
    );
  const pitches = [...new Set(measurableThreads(side).map((t) => t.pitchMm))].sort((a, b) => a - b);
  const nearest = pitches.reduce((best, p) => (Math.abs(p - pitchMm) < Math.abs(best - pitchMm) ? p : best));
  if (Math.abs(nearest - pitchMm) <= Math.max(0.04, PITCH_MISS * nearest)) return;
  const below = [...pitches].reverse().find((p) => p < pitchMm);
  const above = pitches.find((p) => p > pitchMm);
  const around = [below, above].filter((p) => p !== undefined).map(pitchWords);
  throw fail(
    `No thread has a pitch of ${short(pitchMm)} mm (${short(25.4 / pitchMm)} per inch).`,
    field,
    `The nearest are ${around.join(' and ')}. Measure over ten threads and divide by ten.`,
  );
}

function figure(value: unknown, field: MeasurementField, name: string): number | undefined {
  if (value === undefined || value === null) return undefined;
  if (typeof value !== 'number' || Number.isNaN(value)) throw fail(`${name} is not a number.`, field, 'Type a figure, for example 13.9.');
  if (!(value > 0) || !Number.isFinite(value))
    throw fail(`${name} must be more than zero.`, field, 'Check the sign and the decimal point.');
  return value;
}

/** A pitch as the trade says it: `1.5 mm`, or `18 per inch` for an inch thread. */
export function pitchWords(pitchMm: number): string {
  const perInch = 25.4 / pitchMm;
  const inch = Math.abs(perInch - Math.round(perInch * 2) / 2) < 0.004;
  return inch ? `${short(perInch)} per inch` : `${short(pitchMm)} mm`;
}

function short(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}

function fail(message: string, field: MeasurementField, hint: string): ThreadMeasurementError {
  return new ThreadMeasurementError(message, field, hint);
}
