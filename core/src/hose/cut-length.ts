/** Shortest piece of hose that can be made up between two ends, mm: the sockets must not meet (common practice). */
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

export interface CutLengthQuery {
  /** From seat centre to seat centre along the hose axis, as taped over the mock-up. */
  readonly assemblyLengthMm: number;
  readonly endA: { readonly aMm: number };
  readonly endB: { readonly aMm: number };
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
    throw new CutLengthError('The taped length is more than 30 m.', 'Check the unit: 664 is read as 664 mm.');
  if (!(slackPercent >= 0 && slackPercent <= 20)) throw new CutLengthError('Slack must lie between 0 and 20 %.', 'Two per cent is common.');
  const free = assemblyLengthMm - endA.aMm - endB.aMm;
  if (free < SHORTEST_CUT_MM)
    throw new CutLengthError(
      `Between these ends only ${Math.max(0, Math.round(free))} mm of hose would be left.`,
      'Tape longer, take shorter ends, or join the ports with adapters alone.',
    );
  return free * (1 + slackPercent / 100);
}
