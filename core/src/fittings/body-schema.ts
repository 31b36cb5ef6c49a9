import { Type, type Static } from 'typebox';
import { counts, type Frozen, OneOf } from '../schema/index.js';

/** Most ends of a part. */
export const MOST_ENDS = counts.endsOfPart;
export const EndIndex = Type.Integer({ minimum: 0, maximum: MOST_ENDS - 1 });
const Millimetres = Type.Number({ minimum: 0, maximum: 5000 });
const AboveNothing = Type.Number({ exclusiveMinimum: 0, maximum: 5000 });
const Celsius = Type.Number({ minimum: -100, maximum: 1000 });
const strict = { additionalProperties: false } as const;

/** A face round a post has two ways through it: round the post, and through it. */
export const passageWays = ['rim', 'core'] as const;

/** A way inside a body, from one of its ends to another. */
export const PassageSchema = Type.Object(
  {
    from: EndIndex,
    fromBy: Type.Optional(OneOf(passageWays)),
    to: EndIndex,
    toBy: Type.Optional(OneOf(passageWays)),
    /** Flow passes from `from` to `to` only. */
    oneWay: Type.Optional(Type.Literal(true)),
    /** The position in which it is open: `cold`, `hot`, `open`; always, where there is none. */
    when: Type.Optional(Type.String({ maxLength: 20, pattern: '^[a-z]+( [a-z]+)*$' })),
    /** Its narrowest, where that is known. */
    boreMm: Type.Optional(AboveNothing),
  },
  { ...strict, title: 'Passage' },
);

export const endFacings = ['down', 'up', 'out'] as const;

/** Where an end is on its body: `down` and `up` along its axis, `out` square to it. */
export const EndPlaceSchema = Type.Object(
  {
    /** What it is called there: `block face`, `to cooler`. */
    name: Type.Optional(Type.String({ maxLength: 40, pattern: '^(?!.*[:;\\p{Cc}\\p{Cs}\\u202a-\\u202e\\u2066-\\u2069]).*\\S' })),
    faces: OneOf(endFacings),
    /** Round the axis, degrees clockwise as seen from above. */
    clockDeg: Type.Optional(Type.Number({ minimum: 0, exclusiveMaximum: 360 })),
    /** Above the bottom: of the plane it faces from, or of the middle of what faces out. */
    heightMm: Type.Optional(Millimetres),
    /** From the axis. */
    outMm: Type.Optional(Millimetres),
  },
  { ...strict, title: 'EndPlace' },
);

/** The body of a part that is more than its ends: plate, filter, cooler, valve. */
export const BodySchema = Type.Object(
  {
    shape: OneOf(['round', 'square']),
    acrossMm: AboveNothing,
    /** What it adds to a stack. */
    heightMm: AboveNothing,
    /** One for each end, in their order. */
    places: Type.Array(EndPlaceSchema, { minItems: 1, maxItems: MOST_ENDS }),
    passages: Type.Array(PassageSchema, { maxItems: 36 }),
    /** Of a thermostat: where it begins to open, and where it is fully open. */
    opensC: Type.Optional(Celsius),
    fullOpenC: Type.Optional(Celsius),
    /** Fluid it holds when it is full, L. */
    holdsL: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 1000 })),
  },
  { ...strict, title: 'Body' },
);

export type Passage = Frozen<Static<typeof PassageSchema>>;
export type EndPlace = Frozen<Static<typeof EndPlaceSchema>>;
export type Body = Frozen<Static<typeof BodySchema>>;
