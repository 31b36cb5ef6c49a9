import { Type, type Static } from 'typebox';
import { ConnectorSchema } from '../connectors/index.js';
import { type Frozen, letters, OneOf, Words, WordsOrNone } from '../schema/index.js';
import { BodySchema, MOST_ENDS } from './body-schema.js';
import { BuyingFields, PriceMinor } from './buying-fields.js';
import { fittingKinds, type FittingKindId } from './fitting-kinds.js';

const Millimetres = Type.Number({ minimum: 0, maximum: 5000 });
const Celsius = Type.Number({ minimum: -100, maximum: 1000 });

/** How easily a part is had: from every shop, by order, seldom. What nobody makes is in no catalogue. */
export const rarities = ['common', 'by order', 'rarely'] as const;
export type Rarity = (typeof rarities)[number];

export const FittingSchema = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: letters.partId }),
    name: Words(letters.partName),
    ends: Type.Array(ConnectorSchema, { minItems: 1, maxItems: MOST_ENDS }),
    kind: Type.Optional(OneOf(fittingKinds.map((kind): FittingKindId => kind.id))),
    /** Angle between the axes of the first two ends; 0 or absent is straight, 90 an elbow or a banjo. */
    angleDeg: Type.Optional(Type.Number({ minimum: 0, maximum: 180 })),
    /** From seat to seat along the axes of the run: what it adds to a stack. */
    lengthMm: Type.Optional(Millimetres),
    /** Of an angled or branched fitting: from the crossing of the axes to the seat of each end. */
    legsMm: Type.Optional(Type.Array(Millimetres, { maxItems: MOST_ENDS })),
    /** Across flats of its body. */
    hexMm: Type.Optional(Millimetres),
    /** The narrowest way through. */
    boreMm: Type.Optional(Millimetres),
    massG: Type.Optional(Type.Number({ minimum: 0, maximum: 100_000 })),
    material: Type.Optional(WordsOrNone(letters.material)),
    /** How easily it is had; common where it is not said. */
    rarity: Type.Optional(OneOf(rarities)),
    maxBar: Type.Optional(Type.Number({ minimum: 0, maximum: 5000 })),
    minTempC: Type.Optional(Celsius),
    maxTempC: Type.Optional(Celsius),
    /** Flow passes from the first end to the second only. */
    oneWay: Type.Optional(Type.Boolean()),
    /** Of a part that is more than its ends: its body, where the ends are on it and how they are joined inside. */
    body: Type.Optional(BodySchema),
    priceMinor: PriceMinor,
    ...BuyingFields,
    /** Where its dimensions come from, in words. */
    source: Type.Optional(WordsOrNone(letters.partSource)),
  },
  { additionalProperties: false, title: 'Fitting' },
);

/**
 * One part with connector ends: adapter, elbow, tee, plug, valve. Lengths in mm, mass in g, pressure in bar, temperature in °C, money
 * in minor units. The first two ends are the run; a third and fourth branch off it. A part with a body says where each of its ends is.
 */
export type Fitting = Frozen<Static<typeof FittingSchema>>;
