import type { CataloguePart, PartEntry } from '../catalogue-part.js';
import { formatConnector } from '../../connectors/index.js';

/** What says nothing about what a part joins and bears: its name, its price and where it comes from. */
const BESIDE = ['id', 'name', 'code', 'supplier', 'priceMinor', 'pricePerMetreMinor', 'leadDays', 'shelf', 'source', 'massG', 'massGPerM'];
/** What a standard part is known by: the rest of it may be told more closely by one version than by another. */
const KNOWN_BY = ['ends', 'construction', 'dash', 'angleDeg', 'connector'];

/**
 * Whether a part of a file is another than ours of the same name: other ends, another hose, other limits. A line that was checked with
 * theirs is not what it was with ours.
 */
export function differsFrom(ours: CataloguePart, theirs: PartEntry): boolean {
  if (ours.kind !== theirs.kind) return true;
  const [a, b] = [facts(ours), facts(theirs)];
  const asked = ours.origin === 'standard' || ours.origin === 'sample' ? KNOWN_BY : [...new Set([...a.keys(), ...b.keys()])];
  return asked.some((name) => !BESIDE.includes(name) && text(a.get(name)) !== text(b.get(name)));
}

/** A part in a few words, by what it joins. */
export function joinsInWords({ kind, part }: PartEntry): string {
  if (kind === 'fitting') return part.ends.map((end) => formatConnector(end)).join(' to ');
  if (kind === 'hose end') return `${part.construction} -${part.dash}, ${part.angleDeg}°, ${formatConnector(part.connector)}`;
  if (kind === 'hose') return `${part.construction} -${part.dash}, to ${part.workingBar} bar`;
  return part.kind;
}

function facts({ kind, part }: PartEntry): Map<string, unknown> {
  const said = new Map<string, unknown>(Object.entries(part));
  // by their notation: how a thread is told in the file is the business of its version
  if (kind === 'fitting')
    said.set(
      'ends',
      part.ends.map((end) => formatConnector(end)),
    );
  if (kind === 'hose end') said.set('connector', formatConnector(part.connector));
  return said;
}

/** The same for the same, in whatever order it was written; what is not said is as good as nothing. */
function text(value: unknown): string {
  return JSON.stringify(value ?? null, (_, one: unknown) =>
    typeof one === 'object' && one !== null && !Array.isArray(one)
      ? Object.fromEntries(Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)))
      : one,
  );
}

/**
 * A file whose parts of some names have other names, wherever they are named: they come in beside ours.
 * @param names the new one by the old
 */
export function withPartsNamed(file: unknown, names: ReadonlyMap<string, string>): unknown {
  if (typeof file === 'string') return names.get(file) ?? file;
  if (Array.isArray(file)) return file.map((one: unknown) => withPartsNamed(one, names));
  if (typeof file !== 'object' || file === null) return file;
  return Object.fromEntries(Object.entries(file).map(([key, one]) => [key, withPartsNamed(one, names)]));
}
