export { OneOf } from './one-of.js';
export { OneKindOf } from './one-kind-of.js';
export { without } from './without.js';
export type { Frozen } from './frozen.js';
export { Uuid } from './uuid.js';
export { Day } from './day.js';
export { Words, WordsOrNone, Text, wordsProblem, holdsUnseen } from './plain-words.js';
export { folded } from './folded.js';
export { bytes, counts, letters, limitProblem, listLimits, rates, type TextLimit } from './limits.js';
