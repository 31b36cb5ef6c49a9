import { Type, type Static } from 'typebox';
import { otherCurrencyCodes } from '../fittings/index.js';
import { counts, letters, OneOf, Words, WordsOrNone, type Frozen } from '../schema/index.js';

const strict = { additionalProperties: false } as const;
const Minor = Type.Integer({ minimum: 0, maximum: 100_000_000 });
const Days = Type.Integer({ minimum: 0, maximum: 1000 });
export const RowId = Type.String({ minLength: 1, maxLength: letters.rowId });
const PartId = Type.String({ minLength: 1, maxLength: letters.partId });

/** Who sells: money in the supplier's own currency, minor units. */
export const SupplierFields = Type.Object(
  {
    name: Words(letters.supplier),
    currency: OneOf(['EUR', ...otherCurrencyCodes]),
    /** What one unit of its money is in euros, as the shop has it; 1 for euros. */
    euros: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
    carriageMinor: Minor,
    /** No carriage from an order of so much on. */
    freeFromMinor: Type.Optional(Minor),
    /** No order of less is taken. */
    leastOrderMinor: Type.Optional(Minor),
    /** Days until its parts are there, where an offer does not say. */
    leadDays: Days,
    /** What is sent back: within so many days, and the share of its price that is kept, %. */
    returnDays: Type.Optional(Days),
    returnKeepsPercent: Type.Optional(Type.Number({ minimum: 0, maximum: 100 })),
    note: Type.Optional(WordsOrNone(letters.jointWords)),
    /** No longer bought from. */
    retired: Type.Optional(Type.Boolean()),
  },
  strict,
);
export const SupplierSchema = Type.Object(
  { id: RowId, ...SupplierFields.properties, version: Type.Integer({ minimum: 1 }) },
  { ...strict, title: 'Supplier' },
);

/** So many of a part: pieces, or millimetres of what is cut. */
export const HeldSchema = Type.Object({ part: PartId, quantity: Type.Integer({ minimum: 1, maximum: 1_000_000 }) }, strict);

/** Something a supplier sells: a pack of one part, or a kit of several. */
export const OfferFields = Type.Object(
  {
    supplierId: RowId,
    code: Type.Optional(Words(letters.code)),
    /** Of a kit: what the supplier calls it. */
    name: Type.Optional(Words(letters.partName)),
    holds: Type.Array(HeldSchema, { minItems: 1, maxItems: counts.partsOfOffer }),
    /** What a pack costs from so many packs on; the first from one. */
    prices: Type.Array(Type.Object({ fromPacks: Type.Integer({ minimum: 1, maximum: 100_000 }), packMinor: Minor }, strict), {
      minItems: 1,
      maxItems: counts.pricesOfOffer,
    }),
    leadDays: Type.Optional(Days),
    /** Several packs of hose come as one length: it is sold off the reel. */
    oneLength: Type.Optional(Type.Literal(true)),
  },
  strict,
);
export const OfferSchema = Type.Object(
  { id: RowId, ...OfferFields.properties, version: Type.Integer({ minimum: 1 }) },
  { ...strict, title: 'Offer' },
);

export type SupplierRow = Frozen<Static<typeof SupplierSchema>>;
export type OfferRow = Frozen<Static<typeof OfferSchema>>;

/** What does not hold together in a supplier or an offer; for whichever door it comes by. */
export interface StockProblem {
  readonly field: string;
  readonly message: string;
}

export function supplierProblem({
  currency,
  euros,
  returnDays,
  returnKeepsPercent,
}: Omit<SupplierRow, 'id' | 'version'>): StockProblem | undefined {
  if (currency === 'EUR' && euros !== 1) return { field: 'euros', message: 'A euro is one euro.' };
  if (returnDays === undefined && returnKeepsPercent !== undefined)
    return {
      field: 'returnDays',
      message: 'What is kept of a part sent back says nothing while nothing can be sent back: say within how many days.',
    };
  return undefined;
}

/** Prices go from fewer packs to more, the first from one; a kit has a name; no part stands in it twice. */
export function offerProblem({ holds, prices, name }: Omit<OfferRow, 'id' | 'version'>): StockProblem | undefined {
  if (prices[0]?.fromPacks !== 1) return { field: 'prices', message: 'The first price is the one from one pack on.' };
  if (prices.some((p, i) => i > 0 && p.fromPacks <= prices[i - 1]!.fromPacks))
    return { field: 'prices', message: 'Prices go from fewer packs to more.' };
  if (new Set(holds.map((h) => h.part)).size < holds.length) return { field: 'holds', message: 'A part stands in it twice.' };
  if (holds.length > 1 && !name) return { field: 'name', message: 'A kit has a name.' };
  return undefined;
}

/** What an offer's money is in euros, minor units; to the nearest. */
export function eurosOf(minor: number, { euros }: Pick<SupplierRow, 'euros'>): number {
  return Math.round(minor * euros);
}
