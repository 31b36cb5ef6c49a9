import { ConnectorSyntaxError, parseConnector, type Connector, type JobDocument } from '@gewinde/core';
import type { PendingEdit } from './outbox';

/** The document as it will be when the change has arrived. A notation is read into its connector; one that cannot be read changes nothing. */
export function applyEdit(document: JobDocument, { kind, id, patch }: PendingEdit): JobDocument {
  const change = <T extends { id: string }>(rows: T[]): T[] =>
    rows.map((row) => (row.id === id ? { ...row, ...withConnector(patch) } : row));
  switch (kind) {
    case 'job':
      return { ...document, job: { ...document.job, ...patch } };
    case 'component':
      return { ...document, components: change(document.components) };
    case 'port':
      return { ...document, ports: change(document.ports) };
    case 'line':
      return { ...document, lines: change(document.lines) };
  }
}

/** The document with a row as the server has it now. */
export function applyRow(document: JobDocument, kind: PendingEdit['kind'], row: { id: string }): JobDocument {
  return applyEdit(document, { kind, id: row.id, version: 0, patch: { ...row } });
}

function withConnector({ notation, ...patch }: Record<string, unknown>): Record<string, unknown> {
  const sensor = patch['sensor'] as { name: string; notation?: string; movedTo: unknown } | null | undefined;
  const seated = typeof sensor?.notation === 'string' ? { sensor: readSensor(sensor.name, sensor.notation, sensor.movedTo) } : {};
  const connector = typeof notation === 'string' ? read(notation) : undefined;
  return { ...patch, ...seated, ...(connector ? { connector } : {}) };
}

function readSensor(name: string, notation: string, movedTo: unknown): object | null {
  const connector = read(notation);
  return connector ? { name, connector, movedTo } : null;
}

function read(notation: string): Connector | undefined {
  try {
    return parseConnector(notation);
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return undefined;
    throw error;
  }
}
