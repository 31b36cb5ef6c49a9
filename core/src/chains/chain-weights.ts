import { Type, type Static } from 'typebox';
import { connectorThread, type Connector } from '../connectors/index.js';
import { isMetal, lengthBetween, type Fitting, type Rarity } from '../fittings/index.js';
import { OneOf, type Frozen } from '../schema/index.js';

const Minor = Type.Integer({ minimum: 0, maximum: 100_000 });
/** A shop that thinks in inches says whole amounts an inch. */
const MinorAMm = Type.Number({ minimum: 0, maximum: 100_000 });

/**
 * What the shop counts after the number of joints, in minor units of money, so that all of it can be added up and argued about.
 * Which figures are right is the shop's to say; joints always come first.
 */
export const ChainWeightsSchema = Type.Object(
  {
    /** For each unit of price: 1 counts money as it is, 0 not at all. */
    price: Type.Number({ minimum: 0, maximum: 10 }),
    /** What a part without a price is taken to cost. */
    unpricedMinor: Minor,
    /** For each piece that is not on the shelf. */
    toOrderMinor: Minor,
    /** For each day until the last part is there. */
    leadDayMinor: Minor,
    /** For each millimetre of stack. */
    stackMmMinor: MinorAMm,
    /** For each gram hung on a small thread. */
    smallThreadGramMinor: Minor,
    /** For each millimetre that a fitting is narrower than the line needs. */
    boreMmMinor: MinorAMm,
    /** For each elbow, where elbows are not wanted; once for a chain without one, where one is. */
    elbowMinor: Minor,
    elbows: OneOf(['unwanted', 'either', 'wanted']),
    /** For an elbow that no swivel, adjustable end or banjo lets you aim. */
    aimMinor: Minor,
    /** For each joint of the run that seals by sealant on its threads rather than by a face. */
    sealantMinor: Minor,
    /** For each part that nothing else in the job uses. */
    furtherPartMinor: Minor,
    /** For each part that has to be ordered specially; three times that for one that is seldom made. */
    rareMinor: Type.Optional(Minor),
    /** The metal that is taken where nothing speaks against it, and what each part of another costs. */
    metal: Type.Optional(OneOf(['aluminium', 'steel', 'stainless', 'brass'])),
    otherMetalMinor: Type.Optional(Minor),
  },
  { additionalProperties: false, title: 'ChainWeights' },
);
export type ChainWeights = Frozen<Static<typeof ChainWeightsSchema>>;

/** Price alone. */
export const priceOnly: ChainWeights = {
  price: 1,
  unpricedMinor: 0,
  toOrderMinor: 0,
  leadDayMinor: 0,
  stackMmMinor: 0,
  smallThreadGramMinor: 0,
  boreMmMinor: 0,
  elbowMinor: 0,
  elbows: 'either',
  aimMinor: 0,
  sealantMinor: 0,
  furtherPartMinor: 0,
  rareMinor: 0,
  otherMetalMinor: 0,
};

/** A start for a shop that has not said. Common practice in kind, invented in figures. */
export const usualWeights: ChainWeights = {
  price: 1,
  unpricedMinor: 1500,
  toOrderMinor: 200,
  leadDayMinor: 40,
  stackMmMinor: 8,
  smallThreadGramMinor: 6,
  boreMmMinor: 250,
  elbowMinor: 400,
  elbows: 'unwanted',
  aimMinor: 900,
  sealantMinor: 300,
  furtherPartMinor: 250,
  rareMinor: 500,
  // most ports of this trade are aluminium, and steel in them galls and corrodes
  metal: 'aluminium',
  otherMetalMinor: 300,
};

/** Waiting is counted in these steps: a part that comes in five days is as good as one that comes in seven. */
export const leadSteps = [0, 3, 7, 14, 30] as const;

/** The step a lead time falls in; parts on the shelf are there. */
export function leadStep(fitting: Fitting): number {
  if ((fitting.shelf ?? 0) > 0) return 0;
  const found = leadSteps.findIndex((days) => (fitting.leadDays ?? 0) <= days);
  return found === -1 ? leadSteps.length - 1 : found;
}

/** How much of its weight a thread feels: all at 1/8 NPT or M10 and below, nothing from 18 mm. Common practice. */
export function smallThreadShare(port: Connector): number {
  const major = connectorThread(port)?.majorMm;
  return major === undefined ? 0 : Math.min(1, Math.max(0, (18 - major) / 7.6));
}

const TIMES: Readonly<Record<Rarity, number>> = { common: 0, 'by order': 1, rarely: 3 };

/** What it costs that a part is not had in every shop. */
export function rareCost(
  { rarity = 'common' }: Pick<Fitting, 'rarity'>,
  { rareMinor = usualWeights.rareMinor! }: Pick<ChainWeights, 'rareMinor'>,
): number {
  return TIMES[rarity] * rareMinor;
}

/** A metal part of another metal than the shop takes; what is only made of one metal is not held against it. */
function otherMetal({ material = 'aluminium', ends }: Fitting, { metal = usualWeights.metal! }: Pick<ChainWeights, 'metal'>): boolean {
  return isMetal({ material }) && material !== metal && !ends.some(({ family }) => ONLY_STEEL.has(family));
}

/** Families that the trade makes in steel alone. Common practice. */
const ONLY_STEEL: ReadonlySet<string> = new Set(['cone24', 'inverted', 'banjo', 'bubble']);

/** What one way through a fitting costs by itself, in whole minor units. */
export function ownCost(
  fitting: Fitting,
  inEnd: number,
  outEnd: number,
  context: { weights: ChainWeights; from: Connector; needBoreMm?: number; usedElsewhere?: ReadonlySet<string> },
): number {
  const { weights: w, from, needBoreMm = 0, usedElsewhere } = context;
  const shortOfBore = Math.max(0, needBoreMm - (fitting.boreMm ?? Infinity));
  return Math.round(
    w.price * (fitting.priceMinor ?? w.unpricedMinor) +
      ((fitting.shelf ?? 0) > 0 ? 0 : w.toOrderMinor) +
      (usedElsewhere?.has(fitting.id) ? 0 : w.furtherPartMinor) +
      w.stackMmMinor * lengthBetween(fitting, inEnd, outEnd) +
      w.smallThreadGramMinor * (fitting.massG ?? 0) * smallThreadShare(from) +
      w.boreMmMinor * shortOfBore +
      rareCost(fitting, w) +
      (otherMetal(fitting, w) ? (w.otherMetalMinor ?? usualWeights.otherMetalMinor!) : 0),
  );
}
