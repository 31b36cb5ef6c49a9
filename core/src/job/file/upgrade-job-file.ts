import type { Hose, HoseEnd } from '../../hose/index.js';
import { pathOfEnds, type OldLine } from '../line-of-ends.js';
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
  // a line is a path of ways and pieces, its hoses and ends named by their ids
  4: linesAsPaths,
  // a component may be a part of the catalogue, and parts have bodies: nothing that an earlier file could have said
  5: (file) => file,
  // what flows in engine, lines and components: all of it optional
  6: (file) => file,
  // the day by which it is needed, optional
  7: (file) => file,
  // parts beside the lines, optional
  8: (file) => file,
  // findings that are accepted, ports that are closed: optional
  9: (file) => file,
};

/** A file of an earlier version as the newest one says it. */
export function upgradeJobFile(file: Loose & { version: number }, knownParts: ReadonlySet<string>): unknown {
  let next: Loose = file;
  for (let version = file.version + 1; version <= JOB_FILE_VERSION; version++) next = { ...steps[version]!(next, knownParts), version };
  return next;
}

/** What a file claims to hold may be anything. */
function isList<T>(value: unknown): value is readonly T[] {
  return Array.isArray(value);
}

type OldLineInFile = OldLine & { readonly endA: OldEndInFile; readonly endB: OldEndInFile };
interface FileOf3 {
  readonly lines: readonly OldLineInFile[];
  readonly parts: { readonly fittings: readonly { id: string }[]; readonly hoses: readonly Hose[]; readonly hoseEnds: readonly HoseEnd[] };
}
type OldEndInFile = OldLine['endA'] & { readonly port: string };

function dropWishesForUnknownParts(file: Loose, knownParts: ReadonlySet<string>): Loose {
  const { parts, lines } = file as unknown as Partial<FileOf3>;
  if (!isList<OldLineInFile | null>(lines) || !isList<{ id: string } | null>(parts?.fittings)) return file;
  const known = new Set([...knownParts, ...parts.fittings.map((f) => f?.id)]);
  const kept = (ids: unknown): unknown => (Array.isArray(ids) ? ids.filter((id) => known.has(id as string)) : ids);
  const end = (value: OldEndInFile): unknown => {
    const wishes = value?.wishes;
    if (typeof wishes !== 'object' || wishes === null) return value;
    const { use, avoid, ...rest } = wishes;
    return { ...value, wishes: { ...rest, ...(use ? { use: kept(use) } : {}), ...(avoid ? { avoid: kept(avoid) } : {}) } };
  };
  return { ...file, lines: lines.map((line) => (line ? { ...line, endA: end(line.endA), endB: end(line.endB) } : line)) };
}

function linesAsPaths(file: Loose): Loose {
  const { parts, lines } = file as unknown as Partial<FileOf3>;
  if (!isList<OldLineInFile>(lines)) return file;
  // parts that are not as they should be are told of once the shape is checked
  const hoses = isList<Hose | null>(parts?.hoses) ? parts.hoses : [];
  const hoseEnds = isList<HoseEnd | null>(parts?.hoseEnds) ? parts.hoseEnds : [];
  const path = (line: OldLineInFile): unknown => {
    if (!isWhole(line)) return line;
    const { construction: _c, dash: _d, endA, endB, tapedLengthMm: _t, slackPercent: _s, checked: _k, made: _m, ...rest } = line;
    return {
      ...rest,
      portA: endA.port,
      portB: endB.port,
      ...pathOfEnds(line, {
        hose: (construction, dash) => hoses.find((h) => h?.construction === construction && h.dash === dash)?.id,
        end: (construction, dash, angleDeg) =>
          hoseEnds.find((e) => e?.construction === construction && e.dash === dash && e.angleDeg === angleDeg)?.id,
      }),
    };
  };
  return { ...file, lines: lines.map(path) };
}

/** Has what is needed to read it; what has not is told of as it is. */
function isWhole(line: unknown): line is OldLineInFile {
  const { endA, endB, made } = (line ?? {}) as Record<string, { fittings?: unknown; branches?: unknown; pinned?: unknown } | undefined>;
  const list = (value: unknown): boolean =>
    value === undefined || (Array.isArray(value) && value.every((v) => typeof v === 'object' && v !== null));
  const ways = (value: unknown): boolean =>
    list(value) && ((value as { fittings?: unknown; branches?: unknown }[] | undefined) ?? []).every(way);
  const way = ({ fittings, branches }: { fittings?: unknown; branches?: unknown }): boolean =>
    list(fittings) &&
    list(branches) &&
    ((branches as { fittings?: unknown }[] | undefined) ?? []).every((b) => list(b.fittings) && b.fittings !== undefined);
  return (
    [endA, endB].every(
      (end) =>
        typeof end === 'object' &&
        end !== null &&
        (end.fittings === null || (end.fittings !== undefined && way(end))) &&
        ways(end.pinned) &&
        typeof (end as { angleDeg?: unknown }).angleDeg === 'number',
    ) &&
    (made === undefined || (Array.isArray(made) && made.every((m) => typeof m === 'string')))
  );
}
