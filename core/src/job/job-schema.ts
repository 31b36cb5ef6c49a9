import { Type, type Static } from 'typebox';
import { ChainConstraintsSchema, ChainLinkSchema } from '../chains/index.js';
import { ConnectorSchema } from '../connectors/index.js';
import { hoseEndAngles } from '../hose/index.js';
import { OneOf } from '../schema/index.js';

const Id = Type.String({ minLength: 1, maxLength: 64 });
const Words = (maxLength: number) => Type.String({ minLength: 1, maxLength, pattern: '\\S' });
const Note = Type.String({ maxLength: 2000 });
const Version = Type.Integer({ minimum: 1 });
const Position = Type.Integer({ minimum: 0, maximum: 100_000 });

export const JobFields = Type.Object(
  { number: Words(20), name: Words(120), description: Note, archived: Type.Boolean() },
  { additionalProperties: false },
);
export const JobSchema = Type.Object(
  { id: Id, ...JobFields.properties, version: Version, updatedAt: Type.String() },
  { additionalProperties: false, title: 'Job' },
);

/** Kinds of component, as the survey offers them. */
export const componentKinds = ['turbo', 'block', 'pan', 'tank', 'cooler', 'filter head', 'pump', 'other'] as const;

export const ComponentFields = Type.Object(
  { kind: OneOf(componentKinds), name: Words(80), note: Note, position: Position },
  { additionalProperties: false },
);
export const ComponentSchema = Type.Object(
  { id: Id, jobId: Id, ...ComponentFields.properties, version: Version },
  { additionalProperties: false, title: 'Component' },
);

const ChainSchema = Type.Array(ChainLinkSchema, { maxItems: 6 });

/** What sits in a port now and must go elsewhere when a line takes the port. */
export const SensorSchema = Type.Object(
  {
    name: Words(60),
    connector: ConnectorSchema,
    /** The free port it moves to, with the adapters between; null while it has no other place. */
    movedTo: Type.Union([Type.Object({ portId: Id, fittings: ChainSchema }, { additionalProperties: false }), Type.Null()]),
  },
  { additionalProperties: false, title: 'Sensor' },
);

export const PortFields = Type.Object(
  {
    label: Words(80),
    connector: ConnectorSchema,
    note: Note,
    position: Position,
    sensor: Type.Optional(Type.Union([SensorSchema, Type.Null()])),
    /** Not on the component itself: it stands for the open end of a tee or cross of another line. */
    openEnd: Type.Optional(Type.Boolean()),
  },
  { additionalProperties: false },
);
export const PortSchema = Type.Object(
  { id: Id, jobId: Id, componentId: Id, ...PortFields.properties, version: Version },
  { additionalProperties: false, title: 'Port' },
);

export const serviceIds = [
  'turbo-feed',
  'turbo-drain',
  'cooler',
  'suction',
  'return',
  'breather',
  'coolant',
  'fuel',
  'vacuum',
  'other',
] as const;

/** What an open end of a tee or cross is given to. For a sensor: the port it sat in. For a line: the port that stands for the open end. */
export const LineBranchSchema = Type.Object(
  {
    at: Type.Integer({ minimum: 0, maximum: 5 }),
    end: Type.Integer({ minimum: 0, maximum: 3 }),
    to: OneOf(['plug', 'sensor', 'line']),
    portId: Type.Optional(Id),
    fittings: ChainSchema,
  },
  { additionalProperties: false, title: 'LineBranch' },
);

/** A way as it is kept: its fittings, and what their open ends are given to. */
export const KeptWaySchema = Type.Object(
  { fittings: ChainSchema, branches: Type.Array(LineBranchSchema, { maxItems: 12 }) },
  { additionalProperties: false, title: 'KeptWay' },
);

/** What the fabricator asks of the chain at one end, beside that it seals. */
export const WishesSchema = Type.Object(
  {
    ...ChainConstraintsSchema.properties,
    mostFittings: Type.Optional(Type.Integer({ minimum: 1, maximum: 6 })),
    /** The sensor that sat in the port stays on a tee at this end. */
    keepSensor: Type.Optional(Type.Boolean()),
    /** A tee with an open end for another line, of this connector. */
    branchFor: Type.Optional(ConnectorSchema),
  },
  { additionalProperties: false, title: 'Wishes' },
);

/** One end of a line: its port, the angle of the hose end, and the way between them (null: not chosen yet; empty: the hose end goes on the port). */
export const LineEndSchema = Type.Object(
  {
    portId: Id,
    angleDeg: OneOf(hoseEndAngles),
    fittings: Type.Union([ChainSchema, Type.Null()]),
    branches: Type.Optional(Type.Array(LineBranchSchema, { maxItems: 12 })),
    wishes: Type.Optional(WishesSchema),
    /** Ways kept in sight, whatever is solved anew. */
    pinned: Type.Optional(Type.Array(KeptWaySchema, { maxItems: 6 })),
  },
  { additionalProperties: false, title: 'LineEnd' },
);

export const LineFields = Type.Object(
  {
    name: Words(80),
    service: OneOf(serviceIds),
    /** Construction and size of the hose; null until chosen. */
    construction: Type.Union([Type.String({ minLength: 1, maxLength: 20 }), Type.Null()]),
    dash: Type.Union([Type.Integer({ minimum: 1, maximum: 64 }), Type.Null()]),
    endA: LineEndSchema,
    endB: LineEndSchema,
    /** Seat to seat over the mock-up, mm; null until taped. */
    tapedLengthMm: Type.Union([Type.Number({ exclusiveMinimum: 0, maximum: 30_000 }), Type.Null()]),
    slackPercent: Type.Number({ minimum: 0, maximum: 20 }),
    /** The fabricator has looked it over and signed it off. */
    checked: Type.Boolean(),
    /** Keys of the joints that are made up on the engine. */
    made: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 200 }), { maxItems: 40 })),
    note: Note,
    position: Position,
  },
  { additionalProperties: false },
);
export const LineSchema = Type.Object(
  { id: Id, jobId: Id, number: Type.Integer({ minimum: 1 }), ...LineFields.properties, version: Version },
  { additionalProperties: false, title: 'Line' },
);

/** A whole job as the app works on it; each later step adds to it. */
export const JobDocumentSchema = Type.Object(
  { job: JobSchema, components: Type.Array(ComponentSchema), ports: Type.Array(PortSchema), lines: Type.Array(LineSchema) },
  { additionalProperties: false, title: 'JobDocument' },
);

export type Job = Static<typeof JobSchema>;
export type Component = Static<typeof ComponentSchema>;
export type Port = Static<typeof PortSchema>;
export type Sensor = Static<typeof SensorSchema>;
export type LineBranch = Static<typeof LineBranchSchema>;
export type KeptWay = Static<typeof KeptWaySchema>;
export type Wishes = Static<typeof WishesSchema>;
export type LineEnd = Static<typeof LineEndSchema>;
export type Line = Static<typeof LineSchema>;
export type JobDocument = Static<typeof JobDocumentSchema>;
export type ServiceId = (typeof serviceIds)[number];
export type ComponentKind = (typeof componentKinds)[number];
