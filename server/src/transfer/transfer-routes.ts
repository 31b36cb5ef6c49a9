import { jobContracts, partsList, partsNamedIn, writeJobFile } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import { findParts } from '../catalogue/catalogue-lookup.js';
import { judgedFor } from '../catalogue/parts-to-judge.js';
import { readDocument } from '../jobs/read-document.js';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import { serve } from '../plugins/serve.js';
import { partsCsv } from './parts-csv.js';
import { importJob } from './import-job.js';

/** Jobs out as files and in again, and the parts list for a spreadsheet. */
export async function transferRoutes(app: App, { db, heavy }: Feature): Promise<void> {
  serve(app, jobContracts.exportJob, async ({ params, reply }) => {
    const document = await readDocument(db, params.id);
    void reply.header('content-disposition', `attachment; filename="${fileName(document.job.number)}.gewinde.json"`);
    return writeJobFile(document, await findParts(db, partsNamedIn(document)));
  });
  serve(app, jobContracts.importJob, async ({ body, query, client, asker }) =>
    heavy.run(importJob, asker, body, query.parts, { client, key: query.key ?? randomUUID() }),
  );
  serve(app, jobContracts.exportPartsList, async ({ params, reply }) => {
    const document = await readDocument(db, params.id);
    void reply.header('content-disposition', `attachment; filename="${fileName(document.job.number)}-parts.csv"`);
    return partsCsv(partsList(await judgedFor(db, document)));
  });
}

/** A job number as part of a file name: nothing but letters, digits, dots and hyphens. */
function fileName(number: string): string {
  return number.replace(/[^\w.-]+/g, '_');
}
