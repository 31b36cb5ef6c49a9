import type { JobFile } from './job-file-schema.js';
import { JOB_FILE_VERSION } from './job-file-schema.js';

type Loose = Record<string, unknown>;

/**
 * What each version brought, as a step from the one before. A step is given whatever the file holds, its shape not checked yet, and
 * changes nothing that it does not know.
 */
const steps: Readonly<Record<number, (file: Loose, knownParts: ReadonlySet<string>) => Loose>> = {
  // sensors in ports, branches, wishes, pinned ways, joints made up: all of them optional, so nothing is to be done
  2: (file) => file,
  // every part that a wish names is in the file: before, they were left out, and a wish for a part that nobody has says nothing
  3: dropWishesForUnknownParts,
};

/** A file of an earlier version as the newest one says it. */
export function upgradeJobFile(file: Loose & { version: number }, knownParts: ReadonlySet<string>): unknown {
  let next: Loose = file;
  for (let version = file.version + 1; version <= JOB_FILE_VERSION; version++) next = { ...steps[version]!(next, knownParts), version };
  return next;
}

function dropWishesForUnknownParts(file: Loose, knownParts: ReadonlySet<string>): Loose {
  const { parts, lines } = file as unknown as Partial<JobFile>;
  if (!Array.isArray(lines) || !Array.isArray(parts?.fittings)) return file;
  const known = new Set([...knownParts, ...parts.fittings.map((f) => f?.id)]);
  const kept = (ids: unknown): unknown => (Array.isArray(ids) ? ids.filter((id) => known.has(id as string)) : ids);
  const end = (value: JobFile['lines'][number]['endA']): unknown => {
    const wishes = value?.wishes;
    if (typeof wishes !== 'object' || wishes === null) return value;
    const { use, avoid, ...rest } = wishes;
    return { ...value, wishes: { ...rest, ...(use ? { use: kept(use) } : {}), ...(avoid ? { avoid: kept(avoid) } : {}) } };
  };
  return { ...file, lines: lines.map((line) => (line ? { ...line, endA: end(line.endA), endB: end(line.endB) } : line)) };
}
