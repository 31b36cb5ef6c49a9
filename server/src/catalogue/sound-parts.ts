import { checkPart, type CataloguePart, type PartEntry } from '@gewinde/core';

/** A part of the database that nothing can be built on, and why. */
export interface UnsoundPart {
  readonly id: string;
  readonly problem: string;
}

/**
 * The parts that hold together, and those that do not. Every door refuses the latter; what has come past all doors all the same (a hand in
 * the database, a fault of an earlier time) is left out and told, rather than failing whatever else is asked for.
 */
export function soundParts<P extends PartEntry & Pick<CataloguePart, 'id'>>(
  rows: readonly P[],
): { readonly sound: P[]; readonly unsound: UnsoundPart[] } {
  const unsound: UnsoundPart[] = [];
  const sound = rows.filter((row) => {
    const problem = problemOf(row);
    if (problem !== undefined) unsound.push({ id: row.id, problem });
    return problem === undefined;
  });
  return { sound, unsound };
}

function problemOf(row: PartEntry): string | undefined {
  try {
    return checkPart(row)[0]?.message;
  } catch {
    return 'Its figures cannot be read.';
  }
}
