import { checkJobFileContent, checkJobFileHeader, JobFileError, JobFileSchema, type Job, type JobFile } from '@gewinde/core';
import { Ajv } from 'ajv';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { addToCatalogue, readCatalogue } from '../catalogue/catalogue-store.js';
import { insertEntity } from '../database/entities.js';

const validate = new Ajv({ allErrors: false, strict: false }).compile<JobFile>(JobFileSchema);

/**
 * Takes in a job file as a new job. If its number is taken, the job gets the next free one (`2403-2`). Parts the catalogue does not
 * have come in with it. All or nothing.
 *
 * @throws {JobFileError} with the place in the file
 */
export async function importJob(db: Knex, value: unknown): Promise<{ job: Job; renumberedFrom?: string }> {
  checkJobFileHeader(value);
  if (!validate(value)) {
    const first = validate.errors?.[0];
    throw new JobFileError(
      'job-file-content',
      `${first?.instancePath.slice(1) || 'The file'} ${first?.message ?? 'is not valid'}.`,
      first?.instancePath.slice(1),
    );
  }
  return db.transaction(async (trx) => {
    const catalogue = await readCatalogue(trx);
    const connectors = checkJobFileContent(value, new Set(catalogue.fittings.map((f) => f.id)));
    const number = await freeNumber(trx, value.job.number);
    const job: Job = { id: randomUUID(), ...value.job, number, archived: false, version: 1, updatedAt: new Date().toISOString() };
    await insertEntity(trx, { type: 'job', data: job });
    await addToCatalogue(trx, value.parts, 'import');
    const portIds = new Map<string, string>();
    for (const [position, { key: _key, ports, ...component }] of value.components.entries()) {
      const componentId = randomUUID();
      await insertEntity(trx, { type: 'component', data: { id: componentId, jobId: job.id, ...component, position, version: 1 } });
      for (const [portPosition, port] of ports.entries()) {
        const id = randomUUID();
        portIds.set(port.key, id);
        await insertEntity(trx, {
          type: 'port',
          data: {
            id,
            jobId: job.id,
            componentId,
            label: port.label,
            connector: connectors.get(port.key)!,
            note: port.note,
            position: portPosition,
            version: 1,
          },
        });
      }
    }
    for (const [position, { endA, endB, ...line }] of value.lines.entries()) {
      const end = ({ port, ...rest }: typeof endA) => ({ portId: portIds.get(port)!, ...rest });
      await insertEntity(trx, {
        type: 'line',
        data: { id: randomUUID(), jobId: job.id, ...line, endA: end(endA), endB: end(endB), position, version: 1 },
      });
    }
    return { job, ...(number === value.job.number ? {} : { renumberedFrom: value.job.number }) };
  });
}

async function freeNumber(trx: Knex, wanted: string): Promise<string> {
  const present: { number: string }[] = await trx('jobs').select('number');
  const taken = new Set(present.map((row) => row.number.toLowerCase()));
  if (!taken.has(wanted.toLowerCase())) return wanted;
  for (let n = 2; ; n++) {
    const next = `${wanted.slice(0, 20 - String(n).length - 1)}-${n}`;
    if (!taken.has(next.toLowerCase())) return next;
  }
}
