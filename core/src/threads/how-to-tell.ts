import { formatQuantity, type UnitSystem } from '../units/index.js';
import { basicDiameter } from './measured-span.js';
import { pitchWords } from './measurement.js';
import { fit } from './fit.js';
import { threadSystem } from './thread-systems.js';
import type { Side } from './thread-library.js';
import type { Thread } from './thread.js';

/** Drift between gauge and thread that the eye sees, mm. */
const SEEN_DRIFT_MM = 0.25;
/** Difference of diameters that a calliper settles on worn threads, mm. */
const SURE_DIAMETER_MM = 0.35;
/** Threads a pitch gauge usually spans on a fitting. */
const SPANNED = 8;

/**
 * How to tell two threads apart with what lies on the bench: pitch gauge over as many threads as it spans, calliper over the crests,
 * calliper at two places for the taper, a known mating part by the fingers. The surest test comes first.
 */
export function howToTell(a: Thread, b: Thread, side: Side = 'external', system: UnitSystem = 'metric'): string {
  const length = (mm: number, decimals = 1): string => formatQuantity(mm, 'length', system, { decimals, inchDecimals: decimals + 2 });
  const tests = [pitchTest(a, b, length), diameterTest(a, b, side, length), taperTest(a, b, length), flankTest(a, b)].filter(
    (t) => t !== undefined,
  );
  tests.sort((x, y) => y.sureness - x.sureness);
  const said = tests.slice(0, 2).map((t) => t.words);
  return [...said, ...(said.length < 2 ? [fingerTest(a, b, side)] : [])].join(' ');
}

/** A length in the units of the house. */
type Length = (mm: number, decimals?: number) => string;

interface BenchTest {
  readonly words: string;
  /** How clearly it speaks: 1 is just enough. */
  readonly sureness: number;
}

function pitchTest(a: Thread, b: Thread, length: Length): BenchTest | undefined {
  const apart = Math.abs(a.pitchMm - b.pitchMm);
  const drift = apart * SPANNED;
  if (drift < SEEN_DRIFT_MM) return undefined;
  return {
    words: `Pitch gauge over ${SPANNED} threads: ${pitchWords(a.pitchMm)} against ${pitchWords(b.pitchMm)}, ${length(drift)} out at the end.`,
    sureness: drift / SEEN_DRIFT_MM,
  };
}

function diameterTest(a: Thread, b: Thread, side: Side, length: Length): BenchTest | undefined {
  const [da, db] = [basicDiameter(a, side), basicDiameter(b, side)];
  const apart = Math.abs(da - db);
  if (apart < SURE_DIAMETER_MM || a.taperPerMm !== b.taperPerMm) return undefined;
  const where = side === 'external' ? 'over the crests' : 'across the hole';
  // along a taper the diameter changes: only the difference stays
  const place = a.taperPerMm > 0 ? ' at the gauge plane, and as far apart at any one place' : '';
  return { words: `Calliper ${where}: ${length(da)} against ${length(db)}${place}.`, sureness: apart / SURE_DIAMETER_MM };
}

function taperTest(a: Thread, b: Thread, length: Length): BenchTest | undefined {
  if (a.taperPerMm === b.taperPerMm) return undefined;
  const tapered = a.taperPerMm > 0 ? a : b;
  return {
    words: `Calliper at two places ${length(8, 0)} apart: ${tapered.designation} differs by ${length(0.5)}, ${(tapered === a ? b : a).designation} by nothing.`,
    sureness: 2.5,
  };
}

function flankTest(a: Thread, b: Thread): BenchTest | undefined {
  if (a.flankAngleDeg === b.flankAngleDeg) return undefined;
  const british = a.flankAngleDeg === 55 ? a : b;
  return { words: `Thread gauge against the light: ${british.designation} has 55° flanks and rounded crests.`, sureness: 0.8 };
}

function fingerTest(a: Thread, b: Thread, side: Side): string {
  const sides = threadSystem(b.system).sides;
  const forward = side === 'external' && sides.includes('internal') ? fit(a, b) : sides.includes('external') ? fit(b, a) : undefined;
  const turns = forward?.turnsToBind;
  const known = side === 'external' ? 'nut' : 'bolt';
  return turns === undefined
    ? `A known ${known} goes on by the fingers all the way without rocking; the wrong one rocks or stops.`
    : `A known ${known} goes on by the fingers all the way; the wrong one stops after about ${turns < 1.5 ? 'one turn' : `${Math.round(turns)} turns`}.`;
}
