import type { Side } from './thread-library.js';
import type { Limits } from './thread-limits.js';
import { threadLimits } from './thread-limits.js';
import { threadData } from './thread-data.js';
import type { Thread } from './thread.js';

/** Worn or plated threads stand off their basic size by up to this, mm (common practice). */
const WEAR_MM = 0.08;
/** Flattened crests of taper pipe threads, mm (ASME B1.20.1 truncation, 27 to 11.5 per inch: 0.1 to 0.2). */
const TRUNCATION_MM = 0.12;

const spans = new Map<string, Limits>();

/**
 * Between which diameters a sound or worn thread measures: over the crests outside, over the minor diameter inside. A taper thread
 * measures anything from its small end to the end of its useful thread (to the pipe size, for NPT).
 */
export function measuredSpan(thread: Thread, side: Side): Limits {
  const key = side + thread.designation;
  let span = spans.get(key);
  if (!span) spans.set(key, (span = spanOf(thread, side)));
  return span;
}

function spanOf(thread: Thread, side: Side): Limits {
  const { majorMm, minorInternalMm, taperPerMm } = threadData(thread.designation);
  if (thread.gaugeLengthMm !== undefined && thread.usefulLengthMm !== undefined) {
    const toSmall = taperPerMm * thread.gaugeLengthMm;
    const toLarge = taperPerMm * (thread.usefulLengthMm - thread.gaugeLengthMm);
    return side === 'external'
      ? { min: majorMm - toSmall - TRUNCATION_MM, max: majorMm + toLarge }
      : { min: minorInternalMm - toSmall, max: minorInternalMm + TRUNCATION_MM };
  }
  const limits = threadLimits(thread);
  return side === 'external'
    ? { min: limits.external.major.min - WEAR_MM, max: majorMm }
    : { min: minorInternalMm, max: limits.internal.minor.max + WEAR_MM };
}

/** What a thread measures when nothing is worn: the basic diameter on that side, mm. */
export function basicDiameter(thread: Thread, side: Side): number {
  const data = threadData(thread.designation);
  return side === 'external' ? data.majorMm : data.minorInternalMm;
}
