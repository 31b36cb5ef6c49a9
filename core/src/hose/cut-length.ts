import { formatQuantity, quantity, taped, type UnitSystem } from '../units/index.js';

/** Hose that must show between two sockets, mm: they must not meet, and the mark of push-out must be seen (common practice). */
export const SOCKET_GAP_MM = 10;
/** Shortest piece that can be held and made up at all, mm (common practice). */
export const SHORTEST_CUT_MM = 20;
/** Longest length taken at face value, mm; beyond it a slip of the unit is likelier than a hose. */
export const LONGEST_LINE_MM = 30_000;

export class CutLengthError extends Error {
  readonly code = 'cut-length';
  constructor(
    message: string,
    readonly hint: string,
  ) {
    super(message);
    this.name = 'CutLengthError';
  }
}

/** What the length needs of an end. */
export interface CutEnd {
  /** What it takes off the length, mm. */
  readonly aMm: number;
  /** How much of the hose goes into it, mm; nothing where it is not said. */
  readonly socketLengthMm?: number;
}

/** The shortest hose that can be made up between two ends, mm: both insertion lengths and a gap. */
export function minCutMm(endA: CutEnd, endB: CutEnd): number {
  return Math.max(SHORTEST_CUT_MM, (endA.socketLengthMm ?? 0) + (endB.socketLengthMm ?? 0) + SOCKET_GAP_MM);
}

/** A length to cut to, rounded up: `597 mm`, `23 9/16 in`. */
export function formatCut(mm: number, system: UnitSystem = 'metric', bare = false): string {
  return formatQuantity(mm, 'length', system, { decimals: 0, up: true, ...(bare ? { bare } : {}) });
}

export interface CutLengthQuery {
  /** From seat centre to seat centre along the hose axis, as taped over the mock-up. */
  readonly assemblyLengthMm: number;
  readonly endA: CutEnd;
  readonly endB: CutEnd;
  /** Added to the hose for its change of length and for movement; default 0. */
  readonly slackPercent?: number;
}

/**
 * Length to cut the hose to, mm: assembly length less what the two ends take, plus slack on what is left.
 *
 * @throws {CutLengthError} for a length that is zero, negative, absurd, or leaves no hose between the ends
 * @example cutLength({ assemblyLengthMm: 664, endA: { aMm: 38 }, endB: { aMm: 41 } }) // 585
 */
export function cutLength({ assemblyLengthMm, endA, endB, slackPercent = 0 }: CutLengthQuery): number {
  if (!Number.isFinite(assemblyLengthMm) || assemblyLengthMm <= 0)
    throw new CutLengthError('The taped length must be more than zero.', 'Tape from seat to seat along the mock-up.');
  if (assemblyLengthMm > LONGEST_LINE_MM)
    throw new CutLengthError(`The taped length is more than ${quantity(LONGEST_LINE_MM / 1000, 'm')}.`, 'Check its unit.');
  if (!(slackPercent >= 0 && slackPercent <= 20)) throw new CutLengthError('Slack must lie between 0 and 20 %.', 'Two per cent is common.');
  const free = assemblyLengthMm - endA.aMm - endB.aMm;
  const cut = free * (1 + slackPercent / 100);
  const least = minCutMm(endA, endB);
  if (cut < least - 1e-9)
    throw new CutLengthError(
      `Between these ends only ${taped(Math.max(0, Math.round(cut)))} of hose would be left, and their sockets and a gap take ${taped(Math.ceil(least))}.`,
      'Tape longer, take shorter ends, or join the ports with adapters alone.',
    );
  return cut;
}
