import { bareConnector, familyById, type Connector } from '../connectors/index.js';
import { mate } from '../seals/index.js';

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
