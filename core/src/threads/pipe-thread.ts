import { britishPipeSizes, nptSizes } from './pipe-tables.js';
import { threadSystem } from './thread-systems.js';
import type { Thread } from './thread.js';

const INCH_MM = 25.4;

/** American taper pipe thread; undefined for a size that does not exist. Major diameter at the hand-tight plane (ASME B1.20.1: E1 + 0.8 p). */
export function nptThread(size: string, system: 'NPT' | 'NPTF' = 'NPT'): Thread | undefined {
  const row = nptSizes.find((r) => r.size === size);
  if (!row) return undefined;
  const pitchIn = 1 / row.tpi;
  return {
    designation: `${size}-${row.tpi} ${system}`,
    system,
    majorMm: (nptPitchDiameterIn(row).e1 + 0.8 * pitchIn) * INCH_MM,
    pitchMm: pitchIn * INCH_MM,
    flankAngleDeg: 60,
    taperPerMm: 1 / 16,
    gaugeLengthMm: row.l1In * INCH_MM,
    usefulLengthMm: (0.8 * row.odIn + 4.8) * pitchIn * INCH_MM, // L5: threads whole at crest and root
  };
}

/** American parallel pipe thread: its pitch diameter is E1 of the taper thread (ASME B1.20.1). */
export function npsmThread(size: string): Thread | undefined {
  const row = nptSizes.find((r) => r.size === size);
  if (!row) return undefined;
  const pitchMm = INCH_MM / row.tpi;
  const majorMm = nptPitchDiameterIn(row).e1 * INCH_MM + threadSystem('NPSM').addendum * pitchMm;
  return { designation: `${size}-${row.tpi} NPSM`, system: 'NPSM', majorMm, pitchMm, flankAngleDeg: 60, taperPerMm: 0 };
}

/** British pipe thread: `R` and `Rc` taper, `G` and `Rp` parallel. Undefined for a size that does not exist. */
export function britishThread(system: 'R' | 'Rc' | 'Rp' | 'G', size: string): Thread | undefined {
  const row = britishPipeSizes.find((r) => r.size === size);
  if (!row || (system !== 'G' && row.gaugeMm === undefined)) return undefined;
  const taperPerMm = threadSystem(system).taperPerMm;
  return {
    designation: `${system} ${size}`,
    system,
    majorMm: row.majorMm,
    pitchMm: INCH_MM / row.tpi,
    flankAngleDeg: 55,
    taperPerMm,
    ...(taperPerMm > 0 ? { gaugeLengthMm: row.gaugeMm!, usefulLengthMm: row.usefulMm! } : {}),
  };
}

/** Pitch diameters of an NPT size in inches, at the small end (E0) and at the hand-tight plane (E1). Source: ASME B1.20.1. */
export function nptPitchDiameterIn(row: (typeof nptSizes)[number]): { e0: number; e1: number } {
  const e0 = row.odIn - (0.05 * row.odIn + 1.1) / row.tpi;
  return { e0, e1: e0 + 0.0625 * row.l1In };
}
