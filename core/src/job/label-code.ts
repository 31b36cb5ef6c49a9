/** What stands in the code of an end label, read. */
export interface LabelRead {
  readonly job: string;
  readonly line: number;
  /** Which hose of a line of several. */
  readonly piece?: number;
  readonly end?: 'A' | 'B';
}

/**
 * The code on an end label. It begins with a sign that is no key of the app: a scanner types what it reads, and the app listens from there.
 * @param ticket `2403-L4/2`
 * @example labelCode('2403-L4', 'A') // '#2403-L4.A'
 */
export function labelCode(ticket: string, end: 'A' | 'B'): string {
  return `#${ticket}.${end}`;
}

/** Reads a code as it was scanned or typed, with or without its first sign and its end; undefined where it is none. */
export function readLabelCode(text: string): LabelRead | undefined {
  const found = /^#?(.{1,20})-L(\d{1,7})(?:\/(\d))?(?:[. ]?([AB]))?$/i.exec(text.trim());
  if (!found) return undefined;
  const [, job, line, piece, end] = found;
  return {
    job: job!,
    line: Number(line),
    ...(piece ? { piece: Number(piece) } : {}),
    ...(end ? { end: end.toUpperCase() as 'A' | 'B' } : {}),
  };
}
