import type { Static, TSchema } from 'typebox';
import { ComponentSchema, JobSchema, PortSchema } from './job-schema.js';
import { LineSchema } from './line-schema.js';

/** What the app keeps row by row: everything about a type of row in one entry. */
export interface EntityEntry {
  readonly schema: TSchema;
  /** What it belongs to and goes with; null for the job itself. */
  readonly parent: string | null;
  readonly one: string;
  readonly many: string;
  /** Rows that are edited can be taken back; a record is never taken back, only countered by another. */
  readonly undo: 'taken back' | 'countered';
  /** Its fields as they are called on the screen and in the history. */
  readonly fields: Readonly<Record<string, string>>;
}

/** The rows of a job, parents before their children. */
export const jobEntities = {
  job: {
    schema: JobSchema,
    parent: null,
    one: 'job',
    many: 'jobs',
    undo: 'taken back',
    fields: {
      number: 'number',
      name: 'name',
      description: 'description',
      archived: 'archived',
      running: 'what flows',
      neededBy: 'needed by',
      beside: 'parts beside the lines',
      waivers: 'accepted findings',
      deviations: 'what it does another way',
    },
  },
  component: {
    schema: ComponentSchema,
    parent: 'job',
    one: 'component',
    many: 'components',
    undo: 'taken back',
    fields: { kind: 'kind', name: 'name', note: 'note', order: 'place', part: 'part that it is', flow: 'what flows' },
  },
  port: {
    schema: PortSchema,
    parent: 'component',
    one: 'port',
    many: 'ports',
    undo: 'taken back',
    fields: {
      label: 'label',
      connector: 'thread',
      note: 'note',
      sensor: 'sensor in it',
      order: 'place',
      openEnd: 'open end',
      end: 'end of the part',
      closed: 'how it is closed',
    },
  },
  line: {
    schema: LineSchema,
    parent: 'job',
    one: 'line',
    many: 'lines',
    undo: 'taken back',
    fields: {
      name: 'name',
      service: 'service',
      fluid: 'fluid',
      flow: 'what flows',
      portA: 'from port',
      portB: 'to port',
      pieces: 'hoses',
      ways: 'ways',
      checked: 'checked',
      made: 'joints made up',
      provisional: 'what is provisional',
      found: 'joints as found',
      note: 'note',
      order: 'place',
    },
  },
} as const satisfies Record<string, EntityEntry>;

export type JobEntityType = keyof typeof jobEntities;
export type JobEntities = { [T in JobEntityType]: Static<(typeof jobEntities)[T]['schema']> };
/** A row with its type. */
export type JobEntity = { [T in JobEntityType]: { readonly type: T; readonly row: JobEntities[T] } }[JobEntityType];

/** Types in the order in which rows can be put back: parents first. */
export const jobEntityTypes = Object.keys(jobEntities) as JobEntityType[];
