import { bareConnector, familyById, hasSize, type Connector } from '../connectors/index.js';
import { mate } from '../seals/index.js';

/** The usual connector that seals on the given one; undefined where its seat is not stated. */
export function counterpart(given: Connector): Connector | undefined {
  const { swivel: _, ...c } = bareConnector(given);
  const gender = c.gender === 'male' ? 'female' : 'male';
  const base: Connector = { family: c.family, size: c.size, gender };
  const seated = c.seat && c.seat !== 'adjustable' ? { ...base, seat: c.seat } : base;
  const tries: Connector[] = [
    // a seat that is said is kept: the tube of a 24° cone, the cone of a pipe
    ...(seated === base || familyById(c.family).plainSeat || familyById(c.family).land
      ? []
      : [...(gender === 'female' && familyById(c.family).maySwivel ? [{ ...seated, swivel: true }] : []), seated]),
    ...(familyById(c.family).partners ?? []).map((partner) => ({ ...base, ...partner })),
    ...(gender === 'female' && familyById(c.family).usuallySwivels ? [{ ...base, swivel: true }] : [base]),
    seated,
    ...familyById(c.family).seats.map((seat) => ({ ...base, seat })),
    { ...seated, swivel: true },
    { ...base, swivel: true },
  ];
  return tries.find((t) => hasSize(familyById(t.family), t.size) && mate(given, t).outcome === 'seals');
}
