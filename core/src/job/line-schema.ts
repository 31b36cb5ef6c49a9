import { Type, type Static, type TProperties, type TSchema } from 'typebox';
import { ChainConstraintsSchema, ChainLinkSchema } from '../chains/index.js';
import { ConnectorSchema } from '../connectors/index.js';
import { EndIndex } from '../fittings/index.js';
import { fluidIds } from '../fluids/index.js';
import { HoseEndSchema, HoseSchema } from '../hose/index.js';
import { counts, letters, OneOf, Text } from '../schema/index.js';
import { Id, Note, Order, Version, Words } from './fields.js';
import { LineFlowSchema } from './flow-schema.js';

const strict = { additionalProperties: false } as const;

/** Most pieces of hose in one line. */
export const MOST_PIECES = counts.hosesOfLine;
/** Most open ends of a way: a plate has ten. */
const MOST_BRANCHES = counts.branchesOfWay;
/** Most fittings between two things. */
export const MOST_FITTINGS = counts.fittingsOfWay;

export const serviceIds = [
  'turbo-feed',
  'turbo-drain',
  'scavenge',
  'suction',
  'pressure',
  'cooler',
  'cooler-back',
  'filter',
  'bypass-feed',
  'bypass-return',
  'return',
  'tank',
  'breather',
  'gauge',
  'sample',
  'coolant',
  'coolant-return',
  'heater',
  'fuel',
  'fuel-return',
  'fuel-vapour',
  'vacuum',
  'boost',
  'brake-booster',
  'charge-air',
  'other',
] as const;

/** Given to a part or a piece when it comes into the line, and kept with it: what joints, marks and records hold on to. */
export const PlaceKeySchema = Type.String({ minLength: 1, maxLength: letters.placeKey, pattern: '^[A-Za-z0-9_-]+$' });

/** A part of the catalogue in its place, in the order from port A to port B: it meets what comes before with `inEnd`. */
export const PlacedSchema = Type.Object({ key: PlaceKeySchema, ...ChainLinkSchema.properties }, { ...strict, title: 'Placed' });

/**
 * A way: its fittings, and what the open ends of its tees and crosses are given to. For a sensor a branch names the port it sat in, for
 * a line the port that stands for the open end.
 *
 * @param Link how a fitting in its place is written
 * @param PortName the field that names a port
 */
export function waySchema<T extends TSchema, P extends TProperties>(Link: T, PortName: P) {
  const Branch = Type.Object(
    {
      /** Which fitting of the way, and which of its ends. */
      at: Type.Integer({ minimum: 0, maximum: MOST_FITTINGS - 1 }),
      end: EndIndex,
      to: OneOf(['plug', 'sensor', 'line']),
      ...PortName,
      fittings: Type.Array(Link, { maxItems: MOST_FITTINGS }),
    },
    strict,
  );
  return Type.Object(
    { fittings: Type.Array(Link, { maxItems: MOST_FITTINGS }), branches: Type.Array(Branch, { maxItems: MOST_BRANCHES }) },
    strict,
  );
}

const PortId = { portId: Type.Optional(Id) };

/** A way as it is offered or kept in sight: its fittings, and what their open ends are given to. */
export const KeptWaySchema = waySchema(ChainLinkSchema, PortId);
/** A way that is in the line: each of its parts has a key of its own. */
export const ChosenWaySchema = waySchema(PlacedSchema, PortId);

/** What the fabricator asks of a way, beside that it seals. */
export const WishesSchema = Type.Object(
  {
    ...ChainConstraintsSchema.properties,
    mostFittings: Type.Optional(Type.Integer({ minimum: 1, maximum: MOST_FITTINGS })),
    /** The sensor that sat in the port stays on a tee at this end. */
    keepSensor: Type.Optional(Type.Boolean()),
    /** A tee with an open end for another line, of this connector. */
    branchFor: Type.Optional(ConnectorSchema),
  },
  { ...strict, title: 'Wishes' },
);

/** What is between two things of a line: null while no way is chosen; a way of no fittings where they meet directly. */
export const LineWaySchema = Type.Object(
  {
    chosen: Type.Union([ChosenWaySchema, Type.Null()]),
    wishes: Type.Optional(WishesSchema),
    /** Ways kept in sight, whatever is solved anew. */
    pinned: Type.Optional(Type.Array(KeptWaySchema, { maxItems: counts.pinnedOfWay })),
  },
  { ...strict, title: 'LineWay' },
);

const Millimetres = Type.Number({ exclusiveMinimum: 0, maximum: 30_000 });
const Angle = Type.Number({ minimum: 0, maximum: 180 });

/** A length as it was given, mm. */
export const PieceLengthSchema = Type.Object(
  {
    mm: Millimetres,
    /** `taped`: seat to seat over the mock-up, slack still to come. `assembly`: seat to seat as it shall be. `cut`: the hose itself. */
    as: OneOf(['taped', 'assembly', 'cut']),
    /** What stood on both sides when it was taped: the seats move with it. */
    over: Type.Optional(Type.Object({ stackMm: Type.Number({ minimum: 0 }), turnDeg: Type.Number({ minimum: 0 }) }, strict)),
  },
  strict,
);

/** One cut of hose with its two ends, by their ids in the catalogue; null until chosen. */
export const PieceSchema = Type.Object(
  {
    key: PlaceKeySchema,
    hose: Type.Union([HoseSchema.properties.id, Type.Null()]),
    endA: Type.Union([HoseEndSchema.properties.id, Type.Null()]),
    endB: Type.Union([HoseEndSchema.properties.id, Type.Null()]),
    /** As far as it is known while the hose itself is not chosen. */
    wanted: Type.Optional(
      Type.Object(
        {
          construction: Type.Optional(HoseSchema.properties.construction),
          dash: Type.Optional(HoseSchema.properties.dash),
          angleA: Type.Optional(Angle),
          angleB: Type.Optional(Angle),
        },
        strict,
      ),
    ),
    length: Type.Union([PieceLengthSchema, Type.Null()]),
    slackPercent: Type.Number({ minimum: 0, maximum: 20 }),
    /** Cut to length, bought made up, or on the car already. */
    source: OneOf(['cut', 'bought', 'kept']),
    /** Seat to seat as it is, of one that is bought or kept; mm. */
    hasMm: Type.Optional(Millimetres),
    /** Put in for the mock-up or to drive it home. */
    provisional: Type.Optional(Type.Boolean()),
  },
  { ...strict, title: 'Piece' },
);

/** Two joint keys with `>` between: what meets what. */
export const JointIdSchema = Type.String({ minLength: 3, maxLength: 90 });

/** How a joint that was there already was found, before it is used again. */
export const foundStates = [
  'sound',
  'loose',
  'weeping',
  'tape on a cone',
  'sealant where none belongs',
  'ring or washer spent',
  'hex spoiled',
  'thread picked up',
  'cracked or bent',
  'chips inside',
  'lock wire broken',
] as const;
/** What was done about it; nothing while it is open. */
export const foundActions = [
  'nothing yet',
  'left as it is',
  'cleaned',
  'made up anew',
  'seal replaced',
  'part replaced',
  'thread chased',
] as const;
export const FoundSchema = Type.Object(
  { joint: JointIdSchema, state: OneOf(foundStates), action: OneOf(foundActions), words: Text(letters.jointWords) },
  { ...strict, title: 'Found' },
);

/** That the fabricator has looked a line over: when, and a hash of each thing that was looked at. */
export const CheckedSchema = Type.Object(
  {
    at: Type.Union([Type.String({ maxLength: 40 }), Type.Null()]),
    digest: Type.Record(Type.String({ maxLength: 200 }), Type.String({ maxLength: 20 }), { maxProperties: 200 }),
  },
  { ...strict, title: 'Checked' },
);

/** A path from port A to port B: way, piece, way, …; one way more than pieces. */
export const LineFields = Type.Object(
  {
    name: Words(letters.name),
    service: OneOf(serviceIds),
    /** What it carries, where that is not what is usual for its service. */
    fluid: Type.Optional(OneOf(fluidIds)),
    /** What runs in it, as far as it is known better than by its service. */
    flow: Type.Optional(LineFlowSchema),
    portA: Id,
    portB: Id,
    pieces: Type.Array(PieceSchema, { maxItems: MOST_PIECES }),
    ways: Type.Array(LineWaySchema, { minItems: 1, maxItems: MOST_PIECES + 1 }),
    checked: Type.Union([CheckedSchema, Type.Null()]),
    /** The joints that are made up on the engine. */
    made: Type.Optional(Type.Array(JointIdSchema, { maxItems: counts.jointsOfLine })),
    /** Joints and fittings that are in for the mock-up or to drive it home: joint ids, keys of fittings. */
    provisional: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 90 }), { maxItems: 2 * counts.jointsOfLine })),
    /** Existing joints as they were found, each once. */
    found: Type.Optional(Type.Array(FoundSchema, { maxItems: counts.jointsOfLine })),
    note: Note,
    order: Order,
  },
  strict,
);
export const LineSchema = Type.Object(
  { id: Id, jobId: Id, number: Type.Integer({ minimum: 1 }), ...LineFields.properties, version: Version },
  { ...strict, title: 'Line' },
);

export type ServiceId = (typeof serviceIds)[number];
export type Placed = Static<typeof PlacedSchema>;
export type KeptWay = Static<typeof KeptWaySchema>;
export type ChosenWay = Static<typeof ChosenWaySchema>;
export type LineBranch = ChosenWay['branches'][number];
export type Wishes = Static<typeof WishesSchema>;
export type LineWay = Static<typeof LineWaySchema>;
export type Piece = Static<typeof PieceSchema>;
export type PieceLength = Static<typeof PieceLengthSchema>;
export type Checked = Static<typeof CheckedSchema>;
export type Found = Static<typeof FoundSchema>;
export type Line = Static<typeof LineSchema>;
