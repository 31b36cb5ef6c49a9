import {
  checkJobFileContent,
  checkJobFileHeader,
  JobFileError,
  JobFileSchema,
  parseConnector,
  type Job,
  type JobFile,
  type LineBranch,
  type LineEnd,
  type Port,
} from '@gewinde/core';
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
    const portIds = new Map(value.components.flatMap((c) => c.ports.map((port) => [port.key, randomUUID()] as const)));
    for (const [position, { key: _key, ports, ...component }] of value.components.entries()) {
      const componentId = randomUUID();
      await insertEntity(trx, { type: 'component', data: { id: componentId, jobId: job.id, ...component, position, version: 1 } });
      for (const [portPosition, { key, connector: _notation, sensor, ...port }] of ports.entries())
        await insertEntity(trx, {
          type: 'port',
          data: {
            ...port,
            id: portIds.get(key)!,
            jobId: job.id,
            componentId,
            connector: connectors.get(key)!,
            ...(sensor ? { sensor: readSensor(sensor, portIds) } : {}),
            position: portPosition,
            version: 1,
          },
        });
    }
    for (const [position, { endA, endB, ...line }] of value.lines.entries()) {
      const branch = ({ port, ...b }: NonNullable<(typeof endA)['branches']>[number]): LineBranch => {
        const portId = port && portIds.get(port);
        return { ...b, ...(portId ? { portId } : {}) };
      };
      const end = ({ port, branches, pinned, ...rest }: typeof endA): LineEnd => ({
        portId: portIds.get(port)!,
        ...rest,
        ...(branches ? { branches: branches.map(branch) } : {}),
        ...(pinned ? { pinned: pinned.map((way) => ({ ...way, branches: way.branches.map(branch) })) } : {}),
      });
      await insertEntity(trx, {
        type: 'line',
        data: { id: randomUUID(), jobId: job.id, ...line, endA: end(endA), endB: end(endB), position, version: 1 },
      });
    }
    return { job, ...(number === value.job.number ? {} : { renumberedFrom: value.job.number }) };
  });
}

type SensorInFile = NonNullable<JobFile['components'][number]['ports'][number]['sensor']>;

function readSensor({ name, connector, movedTo }: SensorInFile, portIds: ReadonlyMap<string, string>): NonNullable<Port['sensor']> {
  const place = movedTo && { portId: portIds.get(movedTo.port)!, fittings: movedTo.fittings };
  return { name, connector: parseConnector(connector), movedTo: place };
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
