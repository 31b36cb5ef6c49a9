import { Type, type Static } from 'typebox';
import { letters, OneOf, WordsOrNone, type Frozen } from '../schema/index.js';

const mm = (most: number) => Type.Number({ minimum: 0, maximum: most });
const percent = Type.Number({ minimum: 0, maximum: 500 });
const pieces = Type.Integer({ minimum: 0, maximum: 100 });

/** How the shop cuts, keeps and buys, where schools differ. */
export const StoreRulesSchema = Type.Object(
  {
    /** What the saw or the disc takes. */
    kerfMm: mm(20),
    /** Cut off the end of a reel, a length or an offcut before the first piece: frayed, burnt or out of square. */
    endTrimMm: mm(200),
    /** So much longer is a piece cut, to be trimmed at the car. */
    trimMm: mm(500),
    /** A remainder that is shorter is thrown away. */
    leastOffcutMm: mm(5000),
    /** Offcuts are used up before a reel or a new length is touched, even where more of them is opened. */
    offcutsFirst: Type.Boolean(),
    /** Seals beyond the need: a share of it, and at least so many of each size. */
    spareSealsPercent: percent,
    spareSealsLeast: pieces,
    /** Clamps, clips and caps beyond the need. */
    spareSmallPercent: percent,
    /** Of each hose end that is bent, so many more. */
    spareBentEnds: pieces,
    /** A cap or plug for every open port and hose end while the job lasts. */
    caps: Type.Boolean(),
    /** A sleeve ends so far from each end fitting. */
    sleeveBackMm: mm(200),
    /** A clip for each so much of a hose's length, until it is known where each sits; none where the shop counts them at the car. */
    clipEveryMm: mm(5000),
    /** Heat shrink over each end of a sleeve, so much of it; none where the shop ties or clips sleeves. */
    shrinkMm: mm(200),
    /** What no supplier brings within so many days is carried as a spare. */
    carryDays: Type.Integer({ minimum: 0, maximum: 365 }),
    goal: OneOf(['cost', 'soonest', 'fewest']),
    /** A hose that is older is told before it is cut. */
    oldYears: Type.Integer({ minimum: 1, maximum: 50 }),
    paper: OneOf(['A4', 'Letter']),
    /** What the shop is called on its papers. */
    shop: WordsOrNone(letters.name),
  },
  { additionalProperties: false, title: 'StoreRules' },
);
export type StoreRules = Frozen<Static<typeof StoreRulesSchema>>;

/**
 * Common practice. A braided hose frays at its end and is out of square there; a thin disc takes two millimetres. Ten years is what SAE J1273
 * lets hose lie on a shelf (from memory); the maker's own figure goes before it.
 */
export const usualStoreRules: StoreRules = {
  kerfMm: 2,
  endTrimMm: 10,
  trimMm: 0,
  leastOffcutMm: 250,
  offcutsFirst: true,
  spareSealsPercent: 20,
  spareSealsLeast: 1,
  spareSmallPercent: 10,
  spareBentEnds: 0,
  caps: true,
  sleeveBackMm: 0,
  clipEveryMm: 400,
  shrinkMm: 40,
  carryDays: 7,
  goal: 'cost',
  oldYears: 10,
  paper: 'A4',
  shop: '',
};
