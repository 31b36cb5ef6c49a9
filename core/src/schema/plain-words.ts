import { Type } from 'typebox';

/**
 * Signs that have no place in a name: controls and line ends; marks that embed or turn the direction of writing, so that `m14x1.5` reads
 * otherwise than it is; halves of a sign, which no database keeps. Marks of direction that turn nothing (U+200E, U+200F) and joiners stay.
 */
const CONTROLS = '\\u0000-\\u0008\\u000b\\u000c\\u000e-\\u001f\\u007f-\\u009f';
const TURNING = '\\u202a-\\u202e\\u2066-\\u2069';
const HALVES = '\\ud800-\\udfff';
const IN_A_LINE = `[${CONTROLS}\\t\\n\\r\\u2028\\u2029${TURNING}${HALVES}]`;
const IN_A_TEXT = `[${CONTROLS}${TURNING}${HALVES}]`;

const WORDS = `^(?!.*${IN_A_LINE}).*\\S`;
const LINE_OR_NONE = `^(?!.*${IN_A_LINE})`;
const TEXT = `^(?![\\s\\S]*${IN_A_TEXT})`;

const UNSEEN = 'holds a sign that does not show, such as a line break or one that turns the writing round; type it anew';
const problems = new Map([
  [WORDS, `is empty, or ${UNSEEN}`],
  [LINE_OR_NONE, UNSEEN],
  [TEXT, 'holds a sign that does not show, such as one that turns the writing round; type it anew'],
]);

/** A name: one line with something in it. */
export const Words = (maxLength: number) => Type.String({ minLength: 1, maxLength, pattern: WORDS });
/** One line, which may be empty. */
export const WordsOrNone = (maxLength: number) => Type.String({ maxLength, pattern: LINE_OR_NONE });
/** A note: lines and tabs are welcome. */
export const Text = (maxLength: number) => Type.String({ maxLength, pattern: TEXT });

/** What is wrong with a text that a pattern of these refused, to follow its name; undefined for another pattern. */
export const wordsProblem = (pattern: unknown): string | undefined => problems.get(String(pattern));

const unseen = new RegExp(IN_A_LINE, 'u');
/** @returns whether a line holds a sign that no name may have */
export const holdsUnseen = (line: string): boolean => unseen.test(line);
