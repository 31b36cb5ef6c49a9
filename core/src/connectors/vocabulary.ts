import type { Gender } from './connector.js';
import { families } from './family.js';

/** Maps, not objects: a word such as `constructor` is in every object. */
export const GENDER_WORDS: ReadonlyMap<string, Gender> = new Map(
  Object.entries<Gender>({ m: 'male', male: 'male', ma: 'male', f: 'female', fem: 'female', female: 'female' }),
);
/** What is typed for a seat, and the seat it means. */
export const SEAT_WORDS: ReadonlyMap<string, string> = new Map(
  Object.entries({
    washer: 'washer',
    washers: 'washer',
    crush: 'washer',
    bonded: 'washer',
    oring: 'oring',
    'o-ring': 'oring',
    adjustable: 'adjustable',
    adj: 'adjustable',
    fixed: 'fixed',
    plain: 'plain',
    cone: 'cone',
    cone30: 'cone',
    cone60: 'cone',
  }),
);
export const SWIVEL_WORDS = ['swivel', 'sw', 'nut'];
export const FILLER = ['port', 'thread', 'end', 'bolt', 'size', 'the', 'a', 'in', 'weld', 'filter', 'coupling', 'gasket'];

export const VOCABULARY: readonly string[] = [
  ...GENDER_WORDS.keys(),
  ...SEAT_WORDS.keys(),
  ...SWIVEL_WORDS,
  ...FILLER,
  ...families.flatMap((f) => f.words),
];
