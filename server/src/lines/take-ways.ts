import type { Line, LineEnd } from '@gewinde/core';
import type { Knex } from 'knex';
import { checkLinks } from '../catalogue/catalogue-lookup.js';
import { updateEntity, type Entity } from '../database/entities.js';
import { changeJob, editable } from '../history/change.js';

export interface WayTaken {
  readonly lineId: string;
  readonly version: number;
  readonly side: 'A' | 'B';
  readonly fittings: NonNullable<LineEnd['fittings']>;
  readonly branches: NonNullable<LineEnd['branches']>;
}

/** Takes the ways of many ends at once, as one change that one undo takes back. @throws {AppError} not-found, conflict, bad-value */
export async function takeWays(db: Knex, jobId: string, ways: readonly WayTaken[], client: string): Promise<Line[]> {
  const after = new Map<string, Line>();
  await changeJob(db, jobId, client, async (trx) => {
    const before = new Map<string, Entity>();
    for (const { lineId, version, side, fittings, branches } of ways) {
      const line = after.get(lineId) ?? (await editable(trx, 'line', lineId, version));
      const field = side === 'A' ? 'endA' : 'endB';
      await checkLinks(trx, [...fittings, ...branches.flatMap((b) => b.fittings)], field);
      if (!before.has(lineId)) before.set(lineId, { type: 'line', data: line });
      after.set(lineId, { ...line, [field]: { ...line[field], fittings, branches }, checked: false, version: version + 1 });
    }
    for (const data of after.values()) await updateEntity(trx, { type: 'line', data });
    return {
      label: `Take the ways of ${ways.length} ${ways.length === 1 ? 'end' : 'ends'}`,
      before: [...before.values()],
      after: [...after.values()].map((data) => ({ type: 'line', data })),
    };
  });
  return [...after.values()];
}
