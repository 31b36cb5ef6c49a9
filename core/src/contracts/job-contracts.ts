import { Type, type Static } from 'typebox';
import { CommandSchema, MOST_COMMANDS } from '../commands/index.js';
import { JobChangeSchema, JobDocumentSchema, JobFields, JobFileSchema, JobSchema } from '../job/index.js';
import { bytes, letters, OneOf, Uuid, WordsOrNone } from '../schema/index.js';
import { contract } from './contract.js';

const strict = { additionalProperties: false } as const;
/** The sender's own name for a change: sent again after an answer was lost, the change is not made again. */
export const ChangeKey = Uuid;
const JobParams = Type.Object({ id: Type.String({ minLength: 1, maxLength: letters.rowId }) }, strict);
const { number, name, description } = JobFields.properties;
const Count = Type.Integer({ minimum: 0 });

/** A job as the board shows it: how far it is, what holds it up, what comes next. */
export const JobSummarySchema = Type.Object(
  {
    job: JobSchema,
    components: Count,
    ports: Count,
    lines: Count,
    linesThatSeal: Count,
    linesChecked: Count,
    linesThatLeak: Count,
    /** What holds the job up, in words; absent where nothing does. */
    blockedBy: Type.Optional(Type.String()),
    next: Type.String(),
    /** What is wrong with the job's rows, where they cannot be put together; its figures are 0 then. */
    unsound: Type.Optional(Type.String()),
    /** What was found in it by the words that were asked for, the best first. */
    found: Type.Optional(
      Type.Array(
        Type.Object({
          kind: OneOf(['line', 'port', 'component', 'part']),
          id: Type.String(),
          name: Type.String(),
          detail: Type.String(),
          componentId: Type.Optional(Type.String()),
        }),
      ),
    ),
  },
  { title: 'JobSummary' },
);
export type JobSummary = Static<typeof JobSummarySchema>;

/** Some of the jobs that were asked for, in the order of their numbers. */
const JobPageSchema = Type.Object(
  {
    jobs: Type.Array(JobSummarySchema),
    /** How many there are of those asked for, from the first to the last. */
    total: Count,
    /** Jobs that changed so lately, or so many at once, that looking for words may miss what is new in them; they are read anew meanwhile. */
    behind: Count,
  },
  { title: 'JobPage' },
);
export type JobPage = Static<typeof JobPageSchema>;

export const StepBody = Type.Object(
  {
    key: ChangeKey,
    /** The change that is meant, by its key: where another is the newest by now, nothing is taken back. */
    of: Type.Optional(ChangeKey),
  },
  strict,
);
/** A change that can be taken back, or made again: its key, what it did, in which rows. */
const StepTold = Type.Object({
  key: Type.String(),
  label: Type.String(),
  rows: Type.Array(Type.Object({ type: OneOf(['job', 'component', 'port', 'line']), id: Type.String() })),
});

export const jobContracts = {
  listJobs: contract({
    method: 'GET',
    path: '/api/jobs',
    summary:
      'Jobs with where each stands, by number: those from `from` on, `most` of them (30), which have all the words of `find` in number, name, lines, ports, components or parts',
    query: Type.Object(
      {
        archived: Type.Optional(Type.Union([Type.Literal('true'), Type.Literal('false')])),
        find: Type.Optional(WordsOrNone(letters.search)),
        /** The one job of this number, archived or not. */
        number: Type.Optional(number),
        from: Type.Optional(Type.String({ pattern: '^\\d{1,7}$' })),
        most: Type.Optional(Type.String({ pattern: '^([1-9]\\d?|100)$' })),
      },
      strict,
    ),
    answer: JobPageSchema,
    status: 200,
  }),
  createJob: contract({
    method: 'POST',
    path: '/api/jobs',
    summary: 'A new, empty job; given its id, sent twice it is made once',
    body: Type.Object({ id: Type.Optional(Uuid), number, name, description: Type.Optional(description) }, strict),
    answer: JobSchema,
    status: 201,
  }),
  readJob: contract({
    method: 'GET',
    path: '/api/jobs/:id',
    summary: 'A whole job, and up to which change it is told',
    params: JobParams,
    answer: Type.Object({ document: JobDocumentSchema, at: Type.Integer({ minimum: 0 }) }, { title: 'JobAt' }),
    status: 200,
  }),
  changeJob: contract({
    method: 'POST',
    path: '/api/jobs/:id/changes',
    summary: 'Some commands as one change: all of them or none, one entry in the history, one undo',
    params: JobParams,
    body: Type.Object({ key: ChangeKey, commands: Type.Array(CommandSchema, { minItems: 1, maxItems: MOST_COMMANDS }) }, strict),
    answer: JobChangeSchema,
    status: 200,
    bodyLimit: bytes.change,
  }),
  readSteps: contract({
    method: 'GET',
    path: '/api/jobs/:id/steps',
    summary: "What the sender's next undo would take back, and the next redo make again",
    params: JobParams,
    answer: Type.Object({ undo: Type.Optional(StepTold), redo: Type.Optional(StepTold) }, { title: 'Steps' }),
    status: 200,
  }),
  undoJob: contract({
    method: 'POST',
    path: '/api/jobs/:id/undo',
    summary: "Take back the sender's own newest change",
    params: JobParams,
    body: StepBody,
    answer: JobChangeSchema,
    status: 200,
  }),
  redoJob: contract({
    method: 'POST',
    path: '/api/jobs/:id/redo',
    summary: 'Make the change again that the sender took back last',
    params: JobParams,
    body: StepBody,
    answer: JobChangeSchema,
    status: 200,
  }),
  exportJob: contract({
    method: 'GET',
    path: '/api/jobs/:id/export',
    summary: 'The job as a file',
    params: JobParams,
    answer: JobFileSchema,
    status: 200,
  }),
  importJob: contract({
    method: 'POST',
    path: '/api/jobs/import',
    summary: 'Take in a job file as a new job, and its parts that the catalogue lacks',
    query: Type.Object(
      {
        key: Type.Optional(ChangeKey),
        parts: Type.Optional(
          Type.Union([Type.Literal('ours'), Type.Literal('theirs')], {
            description:
              'Where a part of the file has a name of ours and is another: ours is meant, or theirs comes in beside it. Without it such a file is refused.',
          }),
        ),
      },
      { additionalProperties: false },
    ),
    body: Type.Unknown(),
    answer: Type.Object({ summary: JobSummarySchema, renumberedFrom: Type.Optional(Type.String()) }, { title: 'ImportedJob' }),
    status: 201,
    bodyLimit: bytes.jobFile,
  }),
  exportPartsList: contract({
    method: 'GET',
    path: '/api/jobs/:id/parts.csv',
    summary: 'The parts list as CSV',
    params: JobParams,
    answer: Type.String(),
    status: 200,
    type: 'text/csv; charset=utf-8',
  }),
};
