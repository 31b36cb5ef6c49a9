import { Type, type Static } from 'typebox';
import { ChainLinkSchema } from '../../chains/index.js';
import { FittingSchema } from '../../fittings/index.js';
import { HoseEndSchema, HoseSchema } from '../../hose/index.js';
import { counts, letters, without } from '../../schema/index.js';
import { ComponentFields, JobFields, PortFields, SensorSchema } from '../job-schema.js';
import { MOST_PORT_NOTATION } from '../port-thread.js';
import { LineFields, LineWaySchema, MOST_FITTINGS, MOST_PIECES, PlacedSchema, waySchema } from '../line-schema.js';

/** The version of the job file this app writes; {@link upgradeJobFile} says what each one brought. */
export const JOB_FILE_VERSION = 9;
export const OLDEST_JOB_FILE_VERSION = 1;

const Key = Type.String({ minLength: 1, maxLength: letters.placeKey });
const Notation = Type.String({ minLength: 1, maxLength: letters.notation });
/** Of a port: it may be one of several. */
const PortNotation = Type.String({ minLength: 1, maxLength: MOST_PORT_NOTATION });

const SensorInFile = Type.Object(
  {
    name: SensorSchema.properties.name,
    connector: Notation,
    movedTo: Type.Union([
      Type.Object({ port: Key, fittings: Type.Array(ChainLinkSchema, { maxItems: MOST_FITTINGS }) }, { additionalProperties: false }),
      Type.Null(),
    ]),
  },
  { additionalProperties: false },
);
const PortKey = { port: Type.Optional(Key) };
const WayInFile = Type.Object(
  {
    ...without(LineWaySchema.properties, 'chosen', 'pinned'),
    chosen: Type.Union([waySchema(PlacedSchema, PortKey), Type.Null()]),
    pinned: Type.Optional(Type.Array(waySchema(ChainLinkSchema, PortKey), { maxItems: counts.pinnedOfWay })),
  },
  { additionalProperties: false },
);

/**
 * A job as a file: `format` and `version` first; components with their ports; lines that name ports by key (`C1.P2`);
 * the catalogue rows it uses, so that the file stands by itself. Connectors are written in notation.
 */
export const JobFileSchema = Type.Object(
  {
    format: Type.Literal('gewinde-job'),
    version: Type.Literal(JOB_FILE_VERSION),
    job: Type.Object(without(JobFields.properties, 'archived'), { additionalProperties: false }),
    components: Type.Array(
      Type.Object(
        {
          key: Key,
          ...without(ComponentFields.properties, 'order'),
          ports: Type.Array(
            Type.Object(
              {
                key: Key,
                ...without(PortFields.properties, 'order', 'connector', 'maybe', 'said', 'sensor'),
                connector: PortNotation,
                sensor: Type.Optional(SensorInFile),
              },
              { additionalProperties: false },
            ),
            { maxItems: counts.portsOfComponent },
          ),
        },
        { additionalProperties: false },
      ),
      { maxItems: counts.componentsOfJob },
    ),
    lines: Type.Array(
      Type.Object(
        {
          number: Type.Integer({ minimum: 1, maximum: counts.lineNumber }),
          ...without(LineFields.properties, 'order', 'portA', 'portB', 'ways'),
          portA: Key,
          portB: Key,
          ways: Type.Array(WayInFile, { minItems: 1, maxItems: MOST_PIECES + 1 }),
        },
        { additionalProperties: false },
      ),
      { maxItems: counts.linesOfJob },
    ),
    parts: Type.Object(
      {
        fittings: Type.Array(FittingSchema, { maxItems: counts.fittingsOfFile }),
        hoses: Type.Array(HoseSchema, { maxItems: counts.hosesOfFile }),
        hoseEnds: Type.Array(HoseEndSchema, { maxItems: counts.hoseEndsOfFile }),
      },
      { additionalProperties: false },
    ),
  },
  { additionalProperties: false, title: 'JobFile' },
);

export type JobFile = Static<typeof JobFileSchema>;
