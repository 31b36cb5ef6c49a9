import { Type, type Static } from 'typebox';
import { FittingSchema } from '../fittings/index.js';
import { HoseEndSchema, HoseSchema } from '../hose/index.js';
import { ComponentFields, JobFields, LineEndSchema, LineFields, PortFields } from './job-schema.js';

/** The newest version of the job file this app writes and reads. */
export const JOB_FILE_VERSION = 1;

const Key = Type.String({ minLength: 1, maxLength: 40 });
const without = <T extends object, K extends keyof T>(properties: T, ...names: K[]): Omit<T, K> =>
  Object.fromEntries(Object.entries(properties).filter(([name]) => !names.includes(name as K))) as Omit<T, K>;

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
          ...without(ComponentFields.properties, 'position'),
          ports: Type.Array(
            Type.Object(
              {
                key: Key,
                ...without(PortFields.properties, 'position', 'connector'),
                connector: Type.String({ minLength: 1, maxLength: 80 }),
              },
              { additionalProperties: false },
            ),
            { maxItems: 200 },
          ),
        },
        { additionalProperties: false },
      ),
      { maxItems: 200 },
    ),
    lines: Type.Array(
      Type.Object(
        {
          number: Type.Integer({ minimum: 1, maximum: 10_000 }),
          ...without(LineFields.properties, 'position', 'endA', 'endB'),
          endA: Type.Object({ port: Key, ...without(LineEndSchema.properties, 'portId') }, { additionalProperties: false }),
          endB: Type.Object({ port: Key, ...without(LineEndSchema.properties, 'portId') }, { additionalProperties: false }),
        },
        { additionalProperties: false },
      ),
      { maxItems: 500 },
    ),
    parts: Type.Object(
      {
        fittings: Type.Array(FittingSchema, { maxItems: 3000 }),
        hoses: Type.Array(HoseSchema, { maxItems: 500 }),
        hoseEnds: Type.Array(HoseEndSchema, { maxItems: 1000 }),
      },
      { additionalProperties: false },
    ),
  },
  { additionalProperties: false, title: 'JobFile' },
);

export type JobFile = Static<typeof JobFileSchema>;
