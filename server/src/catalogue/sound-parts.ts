import { checkPart, type CataloguePart, type PartEntry } from '@gewinde/core';
import { storedText } from '../database/part-rows.js';

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

/** What was stored of parts when they were found sound: the same text need not be checked again. */
const foundSound = new Map<string, string>();

function problemOf(row: PartEntry & { readonly id: string }): string | undefined {
  const text = storedText.get(row);
  if (text !== undefined && foundSound.get(row.id) === text) return undefined;
  try {
    const problem = checkPart(row)[0]?.message;
    if (problem === undefined && text !== undefined) foundSound.set(row.id, text);
    return problem;
  } catch {
    return 'Its figures cannot be read.';
  }
}
