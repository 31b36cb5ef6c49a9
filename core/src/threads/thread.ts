/**
 * The thread systems of the trade. `R` is the British taper outside thread, `Rc` its taper hole, `Rp` the parallel hole for it;
 * `keg` is the metric taper outside thread, whose hole is the plain metric one.
 */
export type ThreadSystem = 'metric' | 'UN' | 'NPT' | 'NPTF' | 'NPSM' | 'R' | 'Rc' | 'Rp' | 'G' | 'keg';

/** A thread by its basic dimensions. Diameters of a taper thread are those at its hand-tight (gauge) plane. */
export interface Thread {
  /** As the trade writes it: `M14×1.5`, `9/16-18 UNF`, `1/8-27 NPT`, `R 1/8`. */
  readonly designation: string;
  readonly system: ThreadSystem;
  readonly majorMm: number;
  readonly pitchMm: number;
  /** Included angle of the flanks. */
  readonly flankAngleDeg: number;
  /** Change of diameter per mm of length; 0 for a parallel thread. */
  readonly taperPerMm: number;
  /** Distance of the gauge plane from the small end; a taper thread only. */
  readonly gaugeLengthMm?: number;
  /** Length of whole threads from the small end; a taper thread only. */
  readonly usefulLengthMm?: number;
}

export class UnknownThreadError extends Error {
  readonly code = 'unknown-thread';
  constructor(designation: string) {
    super(`"${designation}" is not a thread this app knows. Write it as M14×1.5, 9/16-18, 1/8-27 NPT, R 1/8 or G 1/4.`);
    this.name = 'UnknownThreadError';
  }
}
