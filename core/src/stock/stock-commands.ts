import { Type, type Static } from 'typebox';
import { PlaceKeySchema } from '../job/index.js';
import { counts, Day, letters, OneOf, Text, Uuid, Words, without, type Frozen } from '../schema/index.js';
import { CutMadeSchema, LengthFields } from './length-schema.js';
import { MoveKindSchema, StockSchema } from './move-stock.js';
import { AcknowledgementSchema, CheckDoneSchema, DeliverySchema, OrderLineSchema, UnansweredSchema } from './order-schema.js';
import { StoreRulesSchema } from './store-rules.js';
import { OfferFields, RowId, SupplierFields } from './supplier-schema.js';

const strict = { additionalProperties: false } as const;
const PartId = Type.String({ minLength: 1, maxLength: letters.partId });
/** The version the sender saw; another one on the server is a conflict. */
const row = { id: RowId, version: Type.Integer({ minimum: 1 }) };
const NewId = Type.Optional(Uuid);
const By = Type.Optional(Words(letters.initials));
const Why = Type.Optional(Text(letters.jointWords));
const Millimetres = Type.Number({ minimum: 0, maximum: 1_000_000 });
const length = LengthFields.properties;
const cut = CutMadeSchema.properties;

export const stockCommandSchemas = {
  'set-store-rules': Type.Object(
    { do: Type.Literal('set-store-rules'), version: Type.Integer({ minimum: 0 }), rules: StoreRulesSchema },
    strict,
  ),

  'add-supplier': Type.Object({ do: Type.Literal('add-supplier'), id: NewId, supplier: SupplierFields }, strict),
  'edit-supplier': Type.Object({ do: Type.Literal('edit-supplier'), ...row, supplier: SupplierFields }, strict),
  'add-offer': Type.Object({ do: Type.Literal('add-offer'), id: NewId, offer: OfferFields }, strict),
  'edit-offer': Type.Object({ do: Type.Literal('edit-offer'), ...row, offer: OfferFields }, strict),
  'delete-offer': Type.Object({ do: Type.Literal('delete-offer'), ...row }, strict),

  /** How a part is kept; null takes a figure away. Version 0 where nothing was said yet. */
  'keep-stock': Type.Object(
    {
      do: Type.Literal('keep-stock'),
      part: PartId,
      version: Type.Integer({ minimum: 0 }),
      least: Type.Optional(Type.Union([StockSchema.properties.least, Type.Null()])),
      place: Type.Optional(Type.Union([Words(letters.place), Type.Null()])),
    },
    strict,
  ),
  'move-stock': Type.Object(
    {
      do: Type.Literal('move-stock'),
      part: PartId,
      kind: MoveKindSchema,
      quantity: Type.Integer({ minimum: 0, maximum: 1_000_000 }),
      /** How many the sender saw on the shelf: another count is told, not gone over. */
      seen: Type.Optional(Type.Integer({ minimum: 0, maximum: 1_000_000 })),
      jobId: Type.Optional(RowId),
      by: By,
      note: Why,
      /** Of what is off a car: what was looked at before it lies beside new parts. */
      checks: Type.Optional(Type.Array(CheckDoneSchema, { maxItems: counts.checksOfLine })),
    },
    strict,
  ),

  'add-length': Type.Object(
    { do: Type.Literal('add-length'), length: Type.Object(without(LengthFields.properties, 'reserved'), strict), by: By },
    strict,
  ),
  'edit-length': Type.Object(
    {
      do: Type.Literal('edit-length'),
      ...row,
      set: Type.Partial(
        Type.Object(
          {
            mm: length.mm,
            place: Type.Union([Words(letters.place), Type.Null()]),
            madeOn: Type.Union([Day, Type.Null()]),
            jobId: Type.Union([RowId, Type.Null()]),
            inspected: Type.Union([Type.Object({ by: Words(letters.initials), on: Day, note: Why }, strict), Type.Null()]),
          },
          strict,
        ),
        strict,
      ),
      by: By,
    },
    strict,
  ),
  /** What a job plans to cut is kept for it: on these lengths so much, on no others. None gives all of it free. */
  'reserve-lengths': Type.Object(
    {
      do: Type.Literal('reserve-lengths'),
      jobId: RowId,
      lengths: Type.Array(Type.Object({ id: RowId, mm: Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000 }) }, strict), {
        maxItems: counts.lengthsReserved,
      }),
    },
    strict,
  ),
  'scrap-length': Type.Object({ do: Type.Literal('scrap-length'), ...row, note: Why, by: By }, strict),

  'cut-piece': Type.Object(
    {
      do: Type.Literal('cut-piece'),
      id: NewId,
      jobId: RowId,
      lineId: RowId,
      piece: PlaceKeySchema,
      of: cut.of,
      ticket: cut.ticket,
      lengthId: RowId,
      /** The length as the sender saw it: cut by somebody else meanwhile, it is refused. */
      lengthVersion: Type.Integer({ minimum: 1 }),
      plannedMm: cut.plannedMm,
      trimMm: cut.trimMm,
      measuredMm: cut.measuredMm,
      /** What was cut off the end before it. */
      trimmedMm: Millimetres,
      leftMm: Type.Optional(Millimetres),
      by: By,
    },
    strict,
  ),
  /** A piece that cannot be used; what of it is long enough goes back to the rack. */
  'spoil-cut': Type.Object({ do: Type.Literal('spoil-cut'), ...row, keepMm: Type.Optional(Millimetres), note: Why, by: By }, strict),
  /** A cut that was booked and not sawn: the length is whole again. Sawn, the piece goes to the rack as it is. */
  'take-back-cut': Type.Object({ do: Type.Literal('take-back-cut'), ...row, sawn: Type.Boolean(), by: By }, strict),
  'trim-cut': Type.Object({ do: Type.Literal('trim-cut'), ...row, finalMm: Millimetres, by: By }, strict),
  /** A made hose, or one that is kept, is used for a job: shortened, it gives the rest back. */
  'use-made': Type.Object(
    {
      do: Type.Literal('use-made'),
      ...row,
      jobId: RowId,
      lineId: RowId,
      piece: PlaceKeySchema,
      ticket: cut.ticket,
      /** What the ticket asks to be cut, mm. */
      cutMm: Millimetres,
      restMm: Type.Optional(Millimetres),
      by: By,
    },
    strict,
  ),

  'write-order': Type.Object(
    {
      do: Type.Literal('write-order'),
      id: NewId,
      supplierId: RowId,
      jobIds: Type.Array(RowId, { maxItems: counts.jobsOfOrder }),
      neededBy: Type.Optional(Day),
      lines: Type.Array(
        Type.Object(without(OrderLineSchema.properties, 'confirmedPacks', 'confirmedMinor', 'due', 'receivedPacks', 'shortPacks'), strict),
        { minItems: 1, maxItems: counts.linesOfOrder },
      ),
      note: Type.Optional(Text(letters.note)),
      /** The newest order of its jobs that the sender knows of, empty where there is none: one written meanwhile is told first. */
      after: Type.Optional(Type.String({ maxLength: letters.paperNumber })),
    },
    strict,
  ),
  'edit-order': Type.Object(
    {
      do: Type.Literal('edit-order'),
      ...row,
      set: Type.Partial(
        Type.Object(
          {
            neededBy: Type.Union([Day, Type.Null()]),
            note: Text(letters.note),
            /** Packs by line; a line of none goes. */
            packs: Type.Array(
              Type.Object({ key: OrderLineSchema.properties.key, packs: Type.Integer({ minimum: 0, maximum: 1_000_000 }) }, strict),
              { maxItems: counts.linesOfOrder },
            ),
          },
          strict,
        ),
        strict,
      ),
    },
    strict,
  ),
  'cancel-order': Type.Object({ do: Type.Literal('cancel-order'), ...row }, strict),
  'send-order': Type.Object({ do: Type.Literal('send-order'), ...row }, strict),
  'acknowledge-order': Type.Object({ do: Type.Literal('acknowledge-order'), ...row, answer: AcknowledgementSchema }, strict),
  'order-unanswered': Type.Object({ do: Type.Literal('order-unanswered'), ...row, unanswered: UnansweredSchema }, strict),
  'receive-order': Type.Object(
    { do: Type.Literal('receive-order'), ...row, delivery: DeliverySchema, place: Type.Optional(Words(letters.place)) },
    strict,
  ),
  'claim-order': Type.Object(
    {
      do: Type.Literal('claim-order'),
      ...row,
      key: OrderLineSchema.properties.key,
      part: PartId,
      jobId: RowId,
      quantity: Type.Integer({ minimum: 1, maximum: 100_000_000 }),
    },
    strict,
  ),
  'give-up-line': Type.Object({ do: Type.Literal('give-up-line'), ...row, key: OrderLineSchema.properties.key }, strict),
};

export type StockCommandName = keyof typeof stockCommandSchemas;
export type StockCommandOf<N extends StockCommandName> = Frozen<Static<(typeof stockCommandSchemas)[N]>>;
export type StockCommand = { [N in StockCommandName]: StockCommandOf<N> }[StockCommandName];

export const stockEntityNames = ['supplier', 'offer', 'stock', 'length', 'cut', 'order', 'storeRules'] as const;
export type StockEntityName = (typeof stockEntityNames)[number];
export const StockEntityNameSchema = OneOf(stockEntityNames);
