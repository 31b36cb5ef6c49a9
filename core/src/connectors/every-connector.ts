import type { Connector } from './connector.js';
import { families, seatsFor, turns, type Family } from './family.js';

/** Every connector of a family: all sizes, genders, seats, swivelling or not. */
export function connectorsOf(family: Family): Connector[] {
  return family.sizes.flatMap((size) =>
    family.genders.flatMap((gender): Connector[] => {
      const plain: Connector = { family: family.id, size, gender };
      const seats = seatsFor(family, size, gender)
        .filter((seat) => seat !== family.plainSeat)
        .map((seat): Connector => ({ ...plain, seat }));
      const mayTurn = (c: Connector): boolean => !c.seat || (family.swivelSeats?.includes(c.seat) ?? true);
      const turning = gender === 'male' ? [plain] : [plain, ...seats].filter(mayTurn);
      const swivels: Connector[] = turns(family, gender) ? turning.map((c) => ({ ...c, swivel: true })) : [];
      return [plain, ...seats, ...swivels];
    }),
  );
}

let every: readonly Connector[] | undefined;

/** Every connector of the library, written out once. */
export function everyConnector(): readonly Connector[] {
  return (every ??= families.flatMap(connectorsOf));
}
