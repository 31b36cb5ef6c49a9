import { Type, type Static } from 'typebox';
import { counts, Day, letters, OneOf, Text, Words, type Frozen } from '../schema/index.js';
import { HeldSchema, RowId } from './supplier-schema.js';

const strict = { additionalProperties: false } as const;
const Minor = Type.Integer({ minimum: 0, maximum: 100_000_000 });
const Packs = Type.Integer({ minimum: 0, maximum: 1_000_000 });
const Key = Type.String({ minLength: 1, maxLength: letters.rowId });

/** `open`: not sent. `sent`: no answer yet. `confirmed`: the supplier has answered. `part`: some of it is there. */
export const orderStates = ['open', 'sent', 'confirmed', 'part', 'complete', 'cancelled'] as const;

const ClaimSchema = Type.Object(
  {
    jobId: RowId,
    part: Type.String({ minLength: 1, maxLength: letters.partId }),
    quantity: Type.Integer({ minimum: 1, maximum: 100_000_000 }),
  },
  strict,
);

/** One line of an order, prices in euros as they were when it was written. */
export const OrderLineSchema = Type.Object(
  {
    key: Key,
    /** The offer it was written from; absent for what the catalogue lists. */
    offerId: Type.Optional(RowId),
    code: Type.Optional(Words(letters.code)),
    name: Words(letters.partName),
    holds: Type.Array(HeldSchema, { minItems: 1, maxItems: counts.partsOfOffer }),
    oneLength: Type.Optional(Type.Literal(true)),
    packs: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
    packMinor: Minor,
    /** What of it is for which job, in pieces or millimetres: the rest is for whoever comes first. */
    claims: Type.Optional(Type.Array(ClaimSchema, { maxItems: counts.jobsOfOrder * 4 })),
    /** As the supplier answered: how many, at what price, when. */
    confirmedPacks: Type.Optional(Packs),
    confirmedMinor: Type.Optional(Minor),
    due: Type.Optional(Day),
    receivedPacks: Packs,
    /** Packs that will not come: short at the supplier, or given up. */
    shortPacks: Type.Optional(Packs),
  },
  strict,
);

/** What was looked at when a part came in. */
export const CheckDoneSchema = Type.Object(
  { check: Words(letters.figure), ok: Type.Boolean(), note: Type.Optional(Text(letters.jointWords)) },
  strict,
);

/** What came at once. */
export const DeliverySchema = Type.Object(
  {
    on: Day,
    by: Type.Optional(Words(letters.initials)),
    note: Type.Optional(Text(letters.jointWords)),
    lines: Type.Array(
      Type.Object(
        {
          key: Key,
          packs: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
          checks: Type.Array(CheckDoneSchema, { maxItems: counts.checksOfLine }),
        },
        strict,
      ),
      { minItems: 1, maxItems: counts.linesOfOrder },
    ),
  },
  strict,
);

/** A moment as ISO 8601 tells it, in UTC. */
const Moment = Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}(\\.\\d{3})?Z$' });

/** Sent, and no answer came that can be taken: why, how often it was asked, and when it is asked again by itself. */
export const UnansweredSchema = Type.Object(
  {
    tries: Type.Integer({ minimum: 1, maximum: 100_000 }),
    at: Moment,
    why: Words(letters.jointWords),
    /** Absent where it is not asked again by itself. */
    next: Type.Optional(Moment),
  },
  strict,
);

export const PurchaseOrderSchema = Type.Object(
  {
    id: RowId,
    /** `PO-0012`: on the papers, and in what the supplier answers. */
    number: Words(letters.paperNumber),
    supplierId: RowId,
    jobIds: Type.Array(RowId, { maxItems: counts.jobsOfOrder }),
    state: OneOf(orderStates),
    neededBy: Type.Optional(Day),
    carriageMinor: Minor,
    lines: Type.Array(OrderLineSchema, { minItems: 1, maxItems: counts.linesOfOrder }),
    writtenOn: Day,
    sentOn: Type.Optional(Day),
    unanswered: Type.Optional(UnansweredSchema),
    /** The supplier's own number for it. */
    reference: Type.Optional(Words(letters.paperNumber)),
    deliveries: Type.Array(DeliverySchema, { maxItems: counts.deliveriesOfOrder }),
    note: Type.Optional(Text(letters.note)),
    version: Type.Integer({ minimum: 1 }),
  },
  { ...strict, title: 'PurchaseOrder' },
);

/** What a supplier answers to an order. */
export const AcknowledgementSchema = Type.Object(
  {
    /** The order it is about. */
    order: Words(letters.paperNumber),
    reference: Words(letters.paperNumber),
    lines: Type.Array(
      Type.Object(
        { key: Key, packs: Packs, packMinor: Minor, due: Type.Optional(Day), words: Type.Optional(Text(letters.jointWords)) },
        strict,
      ),
      { maxItems: counts.linesOfOrder },
    ),
  },
  { ...strict, title: 'Acknowledgement' },
);

export type PurchaseOrder = Frozen<Static<typeof PurchaseOrderSchema>>;
export type Claim = Frozen<Static<typeof ClaimSchema>>;
export type PurchaseLine = PurchaseOrder['lines'][number];
export type Delivery = PurchaseOrder['deliveries'][number];
export type Acknowledgement = Frozen<Static<typeof AcknowledgementSchema>>;
export type Unanswered = Frozen<Static<typeof UnansweredSchema>>;
