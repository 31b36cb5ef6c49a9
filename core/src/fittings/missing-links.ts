import { bareConnector, connectorKey, familyById, type Connector } from '../connectors/index.js';
import { mate } from '../seals/index.js';
import type { Fitting } from './fitting.js';

/** A single part that no catalogue row is, by its two ends, and what having it would save. */
export interface MissingLink {
  readonly from: Connector;
  readonly to: Connector;
  readonly saves: string;
}

/**
 * The single part that would join two connectors where no chain does, or where the best chain takes more than one fitting.
 * @param best number of fittings of the best chain; undefined where there is none
 */
export function findMissingLinks(from: Connector, to: Connector, fittings: readonly Fitting[], best: number | undefined): MissingLink[] {
  if (best !== undefined && best < 2) return [];
  const a = counterpart(from);
  const b = counterpart(to);
  if (!a || !b) return [];
  const keys = [connectorKey(a), connectorKey(b)];
  const exists = fittings.some(
    (f) =>
      f.ends.length === 2 &&
      f.ends.every((end) => keys.includes(connectorKey(end))) &&
      connectorKey(f.ends[0]!) !== connectorKey(f.ends[1]!),
  );
  if (exists) return [];
  const saved = best === undefined ? undefined : best - 1;
  return [
    {
      from: a,
      to: b,
      saves:
        saved === undefined
          ? 'closes the gap with one part and two joints'
          : `saves ${saved} ${saved === 1 ? 'part and one joint' : `parts and ${saved} joints`}`,
    },
  ];
}

/** What a family of its own partner takes: a banjo a flat face, a keg a plain hole, an Rp hole a taper male. */
const PARTNERS: Readonly<Record<string, readonly Partial<Connector>[]>> = {
  banjo: [
    { family: 'metric', seat: 'washer' },
    { family: 'un', seat: 'washer' },
  ],
  keg: [{ family: 'metric', seat: 'washer' }],
  rp: [{ family: 'r' }],
  bulkhead: [{ family: 'flare37', swivel: true }],
  bead: [{ family: 'barb' }],
};

/** The usual connector that seals on the given one; undefined where its seat is not stated. */
export function counterpart(given: Connector): Connector | undefined {
  const { swivel: _, ...c } = bareConnector(given);
  const gender = c.gender === 'male' ? 'female' : 'male';
  const base: Connector = { family: c.family, size: c.size, gender };
  const seated = c.seat && c.seat !== 'adjustable' ? { ...base, seat: c.seat } : base;
  const tries: Connector[] = [
    ...(PARTNERS[c.family] ?? []).map((partner) => ({ ...base, ...partner })),
    ...(c.family === 'flare37' && gender === 'female' ? [{ ...base, swivel: true }] : [base]),
    seated,
    ...familyById(c.family).seats.map((seat) => ({ ...base, seat })),
    { ...seated, swivel: true },
    { ...base, swivel: true },
  ];
  return tries.find((t) => familyById(t.family).sizes.includes(t.size) && mate(given, t).outcome === 'seals');
}
