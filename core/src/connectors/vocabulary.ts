import type { Gender } from './connector.js';
import { families } from './family.js';

/** Maps, not objects: a word such as `constructor` is in every object. */
export const GENDER_WORDS: ReadonlyMap<string, Gender> = new Map(
  Object.entries<Gender>({
    m: 'male',
    male: 'male',
    ma: 'male',
    external: 'male',
    ext: 'male',
    outside: 'male',
    f: 'female',
    fem: 'female',
    female: 'female',
    internal: 'female',
    int: 'female',
    inside: 'female',
    // as it is said in German
    ag: 'male',
    aussengewinde: 'male',
    außengewinde: 'male',
    ig: 'female',
    innengewinde: 'female',
  }),
);
/** Words that say family and gender in one. */
export const FAMILY_AND_GENDER: ReadonlyMap<string, readonly [family: string, gender: Gender]> = new Map(
  Object.entries<readonly [string, Gender]>({
    mpt: ['npt', 'male'],
    mnpt: ['npt', 'male'],
    mip: ['npt', 'male'],
    fpt: ['npt', 'female'],
    fnpt: ['npt', 'female'],
    fip: ['npt', 'female'],
    nptm: ['npt', 'male'],
    mj: ['flare37', 'male'],
    mjic: ['flare37', 'male'],
    fjic: ['flare37', 'female'],
    morb: ['orb', 'male'],
    forb: ['orb', 'female'],
    mbspt: ['r', 'male'],
    bsptm: ['r', 'male'],
    fbspt: ['r', 'female'],
    bsptf: ['r', 'female'],
    mbspp: ['g', 'male'],
    bsppm: ['g', 'male'],
    fbspp: ['g', 'female'],
    bsppf: ['g', 'female'],
  }),
);
/** A female nut that turns on its 37° cone. */
export const SWIVEL_NUTS = ['fj', 'fjx', 'fjs'];
/** British pipe with its sex, and no word on its form. */
export const BRITISH: ReadonlyMap<string, Gender | undefined> = new Map<string, Gender | undefined>([
  ['bsp', undefined],
  ['bspm', 'male'],
  ['mbsp', 'male'],
  ['bspf', 'female'],
  ['fbsp', 'female'],
]);
/** What is typed for a seat, and the seat it means. */
export const SEAT_WORDS: ReadonlyMap<string, string> = new Map(
  Object.entries({
    washer: 'washer',
    washers: 'washer',
    crush: 'washer',
    bonded: 'washer',
    oring: 'oring',
    captive: 'captive',
    adjustable: 'adjustable',
    adj: 'adjustable',
    fixed: 'fixed',
    plain: 'plain',
    cone: 'cone',
    grommet: 'grommet',
  }),
);
/** What is typed of a British thread whose form is not in its name. */
export const FORM_WORDS: ReadonlyMap<string, 'taper' | 'parallel'> = new Map(
  Object.entries<'taper' | 'parallel'>({
    taper: 'taper',
    tapered: 'taper',
    conical: 'taper',
    kegel: 'taper',
    kegelig: 'taper',
    parallel: 'parallel',
    straight: 'parallel',
    zylindrisch: 'parallel',
  }),
);
export const SWIVEL_WORDS = ['swivel', 'sw', 'nut'];
/** Words that say nothing about how an end joins: what they stand beside does. */
export const FILLER = (
  'port thread threads threaded end ends bolt the a in inch inches zoll weld coupling gasket tube hole hose heater coolant fuel vacuum oil ' +
  'un uns od id fitting connection connector'
).split(' ');
/** Series of inch threads: with a diameter alone they say how many threads an inch has. */
export const SERIES_WORDS = ['unc', 'unf', 'unef'] as const;
/** Words that name a trade, and no thread of it: which it is has to be said. */
export const VAGUE: ReadonlyMap<string, readonly string[]> = new Map([
  ['pipe', ['npt', 'rc', 'r', 'g']],
  ['boss', ['orb']],
]);
/** Names of parts, typed where an end is asked for: the store has them. */
export const PART_WORDS = (
  'plug plugs cap caps elbow elbows tee tees cross union unions reducer reducers adapter adapters adaptor nipple restrictor valve ' +
  'manifold thermostat sandwich plate spacer clamp clip'
).split(' ');
/** Threads of other trades: named, so that nothing here is offered as a near spelling of them. */
export const OTHER_TRADES: ReadonlyMap<string, string> = new Map(
  Object.entries({
    nps: 'straight pipe of several kinds: npsm is the one with a swivel',
    npsl: 'locknut pipe thread',
    npsc: 'straight pipe coupling thread',
    npsi: 'straight dryseal pipe thread',
    npsf: 'straight dryseal pipe thread',
    nst: 'fire hose thread',
    nh: 'hose thread of fire and garden',
    ght: 'garden hose thread',
    acme: 'a motion thread',
    tr: 'a motion thread',
    bsw: 'a British bolt thread',
    bsf: 'a British bolt thread',
    ba: 'a British instrument thread',
    pg: 'a conduit thread',
  }),
);

/** What a typing slip may be mended to. */
export const VOCABULARY: readonly string[] = [
  ...GENDER_WORDS.keys(),
  ...SEAT_WORDS.keys(),
  ...SWIVEL_WORDS,
  ...FILLER,
  ...families.flatMap((f) => f.words),
];
