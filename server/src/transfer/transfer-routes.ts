import { JobFileSchema, JobSchema, partsList, writeJobFile } from '@gewinde/core';
import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { readCatalogue } from '../catalogue/catalogue-store.js';
import { readJob } from '../jobs/job-store.js';
import { answers, IdParams, type App } from '../plugins/typed.js';
import { importJob } from './import-job.js';
import { partsCsv } from './parts-csv.js';

/** Largest job file taken in. */
const IMPORT_LIMIT = 4 * 1024 * 1024;

export async function transferRoutes(app: App, { db }: Feature): Promise<void> {
  app.get(
    '/api/jobs/:id/export',
    { schema: { summary: 'The job as a file', params: IdParams, response: answers(JobFileSchema) } },
    async (request, reply) => {
      const document = await readJob(db, request.params.id);
      const file = writeJobFile(document, await readCatalogue(db));
      return reply.header('content-disposition', `attachment; filename="${fileName(document.job.number)}.gewinde.json"`).send(file);
    },
  );
  app.post(
    '/api/jobs/import',
    {
      bodyLimit: IMPORT_LIMIT,
      schema: {
        summary: 'Take in a job file as a new job',
        body: Type.Unknown(),
        response: answers(Type.Object({ job: JobSchema, renumberedFrom: Type.Optional(Type.String()) }), 201),
      },
    },
    async (request, reply) => reply.status(201).send(await importJob(db, request.body)),
  );
  app.get(
    '/api/jobs/:id/parts.csv',
    { schema: { summary: 'The parts list as CSV', params: IdParams, response: answers(Type.String()) } },
    async (request, reply) => {
      const document = await readJob(db, request.params.id);
      const csv = partsCsv(partsList(document, await readCatalogue(db)));
      return reply
        .type('text/csv; charset=utf-8')
        .header('content-disposition', `attachment; filename="${fileName(document.job.number)}-parts.csv"`)
        .send(csv);
    },
  );
}

/** A job number as part of a file name: nothing but letters, digits, dots and hyphens. */
function fileName(number: string): string {
  return number.replace(/[^\w.-]+/g, '_');
}
