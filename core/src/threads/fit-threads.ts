import { nptPitchDiameterIn } from './parse-thread.js';
import { nptSizes } from './npt-table.js';
import type { Thread } from './thread.js';
import { threadData } from './thread-data.js';

export interface ThreadFit {
  /** `same`: made for each other; `binds`: starts, then stops; `loose`: goes on and rocks or strips; `slides-in`: touches no thread; `no-entry`: does not start. */
  readonly verdict: 'same' | 'binds' | 'loose' | 'slides-in' | 'no-entry';
  /** Turns by hand before it stops; absent where it never starts or never stops. */
  readonly turnsToBind?: number;
  /** Play across the flanks, on the diameter, in mm. */
  readonly playMm: number;
}

/**
 * What happens when an external thread is screwed into an internal one, computed from pitch diameters and pitches.
 *
 * The play between the pitch diameters (basic sizes, half the tolerances of both, ISO 965-1 6g/6H or ASME B1.1 2A/2B) is used up
 * by the pitch error over the turns made (cot 30° times it, for 60° flanks) and by the taper of a taper thread.
 */
export function fitThreads(external: Thread, internal: Thread): ThreadFit {
  const sameThread = external.designation === internal.designation;
  const ext = threadData(external.designation);
  const int = threadData(internal.designation);
  const slack = meanAllowanceMm(external, internal);
  if (sameThread) return { verdict: 'same', playMm: slack };
  const externalStart = startPitchDiameterMm(external, ext.pitchDiameterMm);
  const playMm = int.pitchDiameterMm - externalStart + slack;
  const overlap = external.majorMm - (external.taperPerMm > 0 ? external.taperPerMm * 4 : 0) - int.minorInternalMm;
  if (playMm <= 0) return { verdict: 'no-entry', playMm };
  if (overlap <= -0.2) return { verdict: 'slides-in', playMm };
  if (overlap <= 0.1 * ext.pitchMm) return { verdict: 'loose', playMm };
  const perTurn = Math.abs(ext.pitchMm - int.pitchMm) / Math.tan(Math.PI / 6) + Math.max(0, ext.taperPerMm - int.taperPerMm) * ext.pitchMm;
  if (perTurn < 1e-6) return { verdict: 'loose', playMm };
  const turnsToBind = playMm / perTurn;
  if (turnsToBind < 0.5) return { verdict: 'no-entry', playMm };
  return { verdict: turnsToBind > 12 ? 'loose' : 'binds', turnsToBind, playMm };
}

function startPitchDiameterMm(thread: Thread, atGauge: number): number {
  const row = thread.system === 'NPT' ? nptSizes.find((r) => thread.designation.startsWith(`${r.size}-`)) : undefined;
  return row ? nptPitchDiameterIn(row).e0 * 25.4 : atGauge;
}

/** Mean play the tolerances of both leave between their pitch diameters, mm. Sources: ISO 965-1 and ASME B1.1 formulas. */
function meanAllowanceMm(external: Thread, internal: Thread): number {
  return pitchTolerance(external).allowance + (pitchTolerance(external).external + pitchTolerance(internal).external * 1.3) / 2;
}

function pitchTolerance({ system, majorMm, pitchMm }: Thread): { allowance: number; external: number } {
  if (system === 'metric') {
    const external = (90 * pitchMm ** 0.4 * majorMm ** 0.1) / 1000;
    return { allowance: (15 + 11 * pitchMm) / 1000, external };
  }
  const diameterIn = majorMm / 25.4;
  const pitchIn = pitchMm / 25.4;
  const external = (0.0015 * Math.cbrt(diameterIn) + 0.0015 * Math.sqrt(9 * pitchIn) + 0.015 * pitchIn ** (2 / 3)) * 25.4;
  return { allowance: 0.3 * external, external };
}
