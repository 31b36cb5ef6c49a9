export type ThreadSystem = 'UN' | 'metric' | 'NPT';

/** A thread by its basic dimensions. Diameters of a taper thread are those at its hand-tight (gauge) plane. */
export interface Thread {
  /** As the trade writes it: `M14×1.5`, `9/16-18 UNF`, `1/8-27 NPT`. */
  readonly designation: string;
  readonly system: ThreadSystem;
  readonly majorMm: number;
  readonly pitchMm: number;
  /** Included angle of the flanks. */
  readonly flankAngleDeg: number;
  /** Change of diameter per mm of length; 0 for a parallel thread. */
  readonly taperPerMm: number;
}

export class UnknownThreadError extends Error {
  readonly code = 'unknown-thread';
  constructor(designation: string) {
    super(`"${designation}" is not a thread this app knows. Write it as M14×1.5, 9/16-18 or 1/8-27 NPT.`);
    this.name = 'UnknownThreadError';
  }
}
