import { Type, type Static } from 'typebox';
import { ChainLinkSchema } from '../chains/index.js';
import { ConnectorSchema } from '../connectors/index.js';
import { EndIndex, FittingSchema } from '../fittings/index.js';
import { counts, letters, OneOf, Day, WordsOrNone } from '../schema/index.js';
import { Id, Note, Order, Version, Words } from './fields.js';
import { ComponentFlowSchema, RunningSchema } from './flow-schema.js';
import { PortThreadFields } from './port-thread.js';
import { LineSchema, MOST_FITTINGS } from './line-schema.js';
import { DeviationSchema, WaiverSchema } from './waiver-schema.js';

/** A part that somebody added by hand to what a job needs. */
export const BesideSchema = Type.Object(
  {
    part: FittingSchema.properties.id,
    /** Pieces; of what is cut, millimetres. */
    quantity: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
    note: Type.Optional(WordsOrNone(letters.jointWords)),
  },
  { additionalProperties: false, title: 'Beside' },
);
export type Beside = Static<typeof BesideSchema>;

export const JobFields = Type.Object(
  {
    number: Words(letters.jobNumber),
    name: Words(letters.jobName),
    description: Note,
    archived: Type.Boolean(),
    running: Type.Optional(RunningSchema),
    /** The day by which it must all be there; null takes it away. */
    neededBy: Type.Optional(Type.Union([Day, Type.Null()])),
    /** Parts that are needed beside what lines and components take. */
    beside: Type.Optional(Type.Array(BesideSchema, { maxItems: counts.partsBeside })),
    /** Findings that are accepted as they are. */
    waivers: Type.Optional(Type.Array(WaiverSchema, { maxItems: counts.waiversOfJob })),
    /** What it does another way than the shop. */
    deviations: Type.Optional(Type.Array(DeviationSchema, { maxItems: counts.deviationsOfJob })),
  },
  { additionalProperties: false },
);
export const JobSchema = Type.Object(
  { id: Id, ...JobFields.properties, version: Version, updatedAt: Type.String() },
  { additionalProperties: false, title: 'Job' },
);

/** Kinds of component, as the survey offers them. */
export const componentKinds = [
  'turbo',
  'block',
  'pan',
  'tank',
  'cooler',
  'filter head',
  'filter',
  'plate',
  'thermostat',
  'valve',
  'pump',
  'other',
] as const;

/** What a component's ports are cut in; aluminium is what is tightened for where nothing is said. */
export const componentMetals = ['aluminium', 'cast iron', 'steel', 'brass', 'plastic'] as const;

/** The part of the catalogue that a component is: its ends are ports of the component. */
export const ComponentPartSchema = Type.Object(
  {
    id: FittingSchema.properties.id,
    /** On the car or on the bench already: not to be bought. */
    there: Type.Boolean(),
  },
  { additionalProperties: false, title: 'ComponentPart' },
);

export const ComponentFields = Type.Object(
  {
    kind: OneOf(componentKinds),
    name: Words(letters.name),
    note: Note,
    order: Order,
    part: Type.Optional(Type.Union([ComponentPartSchema, Type.Null()])),
    metal: Type.Optional(Type.Union([OneOf(componentMetals), Type.Null()])),
    flow: Type.Optional(ComponentFlowSchema),
  },
  { additionalProperties: false },
);
export const ComponentSchema = Type.Object(
  { id: Id, jobId: Id, ...ComponentFields.properties, version: Version },
  { additionalProperties: false, title: 'Component' },
);

const ChainSchema = Type.Array(ChainLinkSchema, { maxItems: MOST_FITTINGS });

/** What sits in a port now and must go elsewhere when a line takes the port. */
export const SensorSchema = Type.Object(
  {
    name: Words(letters.sensorName),
    connector: ConnectorSchema,
    /** The free port it moves to, with the adapters between; null while it has no other place. */
    movedTo: Type.Union([Type.Object({ portId: Id, fittings: ChainSchema }, { additionalProperties: false }), Type.Null()]),
  },
  { additionalProperties: false, title: 'Sensor' },
);

/** How a port that nothing runs from is closed: by what is put into it, or by what is there and stays. */
export const ClosedSchema = Type.Object(
  {
    by: OneOf(['plug', 'stays']),
    /** What closes it, first at the port; none where it stays as it is. */
    fittings: ChainSchema,
  },
  { additionalProperties: false, title: 'Closed' },
);

export const PortFields = Type.Object(
  {
    label: Words(letters.name),
    ...PortThreadFields,
    note: Note,
    order: Order,
    sensor: Type.Optional(Type.Union([SensorSchema, Type.Null()])),
    /** Not on the component itself: it stands for the open end of a tee or cross of another line. */
    openEnd: Type.Optional(Type.Boolean()),
    /** Which end of the part it is, where its component is one of the catalogue. */
    end: Type.Optional(EndIndex),
    closed: Type.Optional(Type.Union([ClosedSchema, Type.Null()])),
  },
  { additionalProperties: false },
);
export const PortSchema = Type.Object(
  { id: Id, jobId: Id, componentId: Id, ...PortFields.properties, version: Version },
  { additionalProperties: false, title: 'Port' },
);

/** A whole job as the app works on it; each later step adds to it. */
export const JobDocumentSchema = Type.Object(
  { job: JobSchema, components: Type.Array(ComponentSchema), ports: Type.Array(PortSchema), lines: Type.Array(LineSchema) },
  { additionalProperties: false, title: 'JobDocument' },
);

export type Job = Static<typeof JobSchema>;
export type Component = Static<typeof ComponentSchema>;
export type Port = Static<typeof PortSchema>;
export type Closed = Static<typeof ClosedSchema>;
export type Sensor = Static<typeof SensorSchema>;
export type JobDocument = Static<typeof JobDocumentSchema>;
export type ComponentMetal = (typeof componentMetals)[number];
export type ComponentKind = (typeof componentKinds)[number];
