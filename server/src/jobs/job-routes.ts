import { JobDocumentSchema, JobFields, JobSchema } from '@gewinde/core';
import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { readCatalogue } from '../catalogue/catalogue-store.js';
import { answers, clientOf, IdParams, VersionField, type App } from '../plugins/typed.js';
import { createJob, editJob, listJobs, readJob } from './job-store.js';

const { number, name, description, archived } = JobFields.properties;

const JobSummarySchema = Type.Object({
  job: JobSchema,
  components: Type.Integer(),
  ports: Type.Integer(),
  lines: Type.Integer(),
  linesThatSeal: Type.Integer(),
  linesChecked: Type.Integer(),
  linesThatLeak: Type.Integer(),
  blockedBy: Type.Optional(Type.String()),
  next: Type.String(),
});

export async function jobRoutes(app: App, { db }: Feature): Promise<void> {
  app.get(
    '/api/jobs',
    {
      schema: {
        summary: 'The jobs with where each stands',
        querystring: Type.Object(
          { archived: Type.Optional(Type.Union([Type.Literal('true'), Type.Literal('false')])) },
          { additionalProperties: false },
        ),
        response: answers(Type.Array(JobSummarySchema)),
      },
    },
    async (request) => listJobs(db, request.query.archived === 'true', await readCatalogue(db)),
  );
  app.post(
    '/api/jobs',
    {
      schema: {
        summary: 'A new, empty job',
        body: Type.Object({ number, name, description: Type.Optional(description) }, { additionalProperties: false }),
        response: answers(JobSchema, 201),
      },
    },
    async (request, reply) => reply.status(201).send(await createJob(db, { description: '', ...request.body })),
  );
  app.get(
    '/api/jobs/:id',
    { schema: { summary: 'A whole job', params: IdParams, response: answers(JobDocumentSchema) } },
    async (request) => readJob(db, request.params.id),
  );
  app.patch(
    '/api/jobs/:id',
    {
      schema: {
        summary: 'Rename, renumber, describe, archive or bring back a job',
        params: IdParams,
        body: Type.Object(
          {
            version: VersionField,
            number: Type.Optional(number),
            name: Type.Optional(name),
            description: Type.Optional(description),
            archived: Type.Optional(archived),
          },
          { additionalProperties: false },
        ),
        response: answers(JobSchema),
      },
    },
    async (request) => {
      const { version, ...patch } = request.body;
      return editJob(db, request.params.id, version, patch, clientOf(request));
    },
  );
}
