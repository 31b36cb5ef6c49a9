import { Type } from 'typebox';
import { lengthKinds, StoreRulesSchema } from '../stock/index.js';
import { bytes, counts, letters, OneOf, Words } from '../schema/index.js';
import { contract } from './contract.js';

const strict = { additionalProperties: false } as const;
const RowId = Type.String({ minLength: 1, maxLength: letters.rowId });
const PartId = Type.String({ minLength: 1, maxLength: letters.partId });
const PieceId = Words(letters.paperNumber * 2);
const Millimetres = Type.Number({ minimum: 0, maximum: 1_000_000 });
const Count = Type.Integer({ minimum: 0 });
const Minor = Type.Integer({ minimum: 0, maximum: 1_000_000_000 });
const { kerfMm, endTrimMm, leastOffcutMm, offcutsFirst } = StoreRulesSchema.properties;

const GroupProblemSchema = Type.Object(
  {
    part: PartId,
    pieces: Type.Array(Type.Object({ id: PieceId, lengthMm: Millimetres }, strict), { maxItems: counts.cutDemand }),
    lengths: Type.Array(
      Type.Object({ id: RowId, kind: OneOf(lengthKinds), mm: Millimetres, square: Type.Optional(Type.Boolean()) }, strict),
      { maxItems: counts.cutStock },
    ),
    offers: Type.Array(Type.Object({ id: Words(letters.partId * 2), mm: Millimetres, oneLength: Type.Optional(Type.Boolean()) }, strict), {
      maxItems: counts.cutProblems,
    }),
  },
  strict,
);
const BarSchema = Type.Object({
  from: Type.String(),
  kind: OneOf([...lengthKinds, 'new']),
  key: Type.String(),
  lengthMm: Type.Number(),
  packs: Type.Optional(Type.Integer()),
  trimMm: Type.Number(),
  pieces: Type.Array(Type.Object({ id: Type.String(), lengthMm: Type.Number() })),
  remainderMm: Type.Number(),
  useful: Type.Boolean(),
});
const GroupPlanSchema = Type.Object(
  {
    part: Type.String(),
    bars: Type.Array(BarSchema),
    proven: Type.Boolean(),
    openedMm: Type.Number(),
    boundMm: Type.Number(),
    unmet: Type.Array(Type.String()),
  },
  { title: 'GroupPlan' },
);

const NeedSchema = Type.Object({ part: PartId, quantity: Type.Integer({ minimum: 0, maximum: 10_000_000 }) }, strict);
const PlannedOffer = Type.Object(
  {
    id: Words(letters.partId * 2),
    supplier: RowId,
    holds: Type.Array(NeedSchema, { minItems: 1, maxItems: counts.partsOfOffer }),
    prices: Type.Array(Type.Object({ fromPacks: Type.Integer({ minimum: 1, maximum: 100_000 }), packMinor: Minor }, strict), {
      minItems: 1,
      maxItems: counts.pricesOfOffer,
    }),
    leadDays: Type.Integer({ minimum: 0, maximum: 1000 }),
  },
  strict,
);
const OrderProblemSchema = Type.Object(
  {
    needs: Type.Array(NeedSchema, { maxItems: counts.planNeeds }),
    offers: Type.Array(PlannedOffer, { maxItems: counts.planOffers }),
    suppliers: Type.Array(
      Type.Object({ id: RowId, carriageMinor: Minor, freeFromMinor: Type.Optional(Minor), leastOrderMinor: Type.Optional(Minor) }, strict),
      { maxItems: counts.planSuppliers },
    ),
    withinDays: Type.Optional(Type.Integer({ minimum: 0, maximum: 10_000 })),
  },
  strict,
);
const OrderPlanSchema = Type.Object(
  {
    orders: Type.Array(
      Type.Object({
        supplier: Type.String(),
        lines: Type.Array(Type.Object({ offer: Type.String(), packs: Count, packMinor: Count, totalMinor: Count })),
        goodsMinor: Count,
        carriageMinor: Count,
        days: Count,
      }),
    ),
    totalMinor: Count,
    days: Count,
    proven: Type.Boolean(),
    notOffered: Type.Array(Type.String()),
    late: Type.Array(Type.String()),
    left: Type.Array(Type.Object({ part: Type.String(), quantity: Type.Number() })),
  },
  { title: 'OrderPlan' },
);
const SparesProblemSchema = Type.Object(
  {
    lines: Type.Array(Type.Object({ line: Words(letters.paperNumber), needs: Type.Array(NeedSchema, { maxItems: 200 }) }, strict), {
      maxItems: counts.linesOfJob,
    }),
    carried: Type.Array(
      Type.Object(
        {
          part: PartId,
          servesAs: Type.Array(PartId, { maxItems: 60 }),
          byLength: Type.Optional(Type.Boolean()),
          priceMinor: Type.Optional(Minor),
        },
        strict,
      ),
      { maxItems: 1000 },
    ),
  },
  strict,
);

/** What is worked out in a thread of its own, from what the asker sends: nothing is stored. */
export const planContracts = {
  planCuts: contract({
    method: 'POST',
    path: '/api/plans/cuts',
    summary: 'Which pieces come from which length, with the proof; worked out in a thread of its own',
    body: Type.Object(
      {
        groups: Type.Array(GroupProblemSchema, { minItems: 1, maxItems: counts.cutProblems }),
        rules: Type.Object({ kerfMm, endTrimMm, leastOffcutMm, offcutsFirst }, strict),
      },
      strict,
    ),
    answer: Type.Object({ plans: Type.Array(GroupPlanSchema) }, { title: 'CutPlans' }),
    status: 200,
    bodyLimit: bytes.change,
  }),
  planOrders: contract({
    method: 'POST',
    path: '/api/plans/orders',
    summary: 'Who is ordered what: for the least money, the soonest day, the fewest suppliers, and of each supplier alone',
    body: Type.Object({ problem: OrderProblemSchema }, strict),
    answer: Type.Object(
      {
        cost: OrderPlanSchema,
        soonest: OrderPlanSchema,
        fewest: OrderPlanSchema,
        singles: Type.Array(Type.Object({ supplier: Type.String(), plan: OrderPlanSchema })),
      },
      { title: 'OrderPlans' },
    ),
    status: 200,
    bodyLimit: bytes.change,
  }),
  planSpares: contract({
    method: 'POST',
    path: '/api/plans/spares',
    summary: 'The fewest parts from which any one line can be made anew',
    body: SparesProblemSchema,
    answer: Type.Object(
      {
        parts: Type.Array(Type.Object({ part: Type.String(), quantity: Count, lines: Type.Array(Type.String()) })),
        proven: Type.Boolean(),
      },
      { title: 'SparesSet' },
    ),
    status: 200,
    bodyLimit: bytes.change,
  }),
};
