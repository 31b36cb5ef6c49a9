import { Type, type Static } from 'typebox';
import { LineErrorSchema } from '../fittings/index.js';
import {
  CutMadeSchema,
  LengthSchema,
  OfferSchema,
  PurchaseOrderSchema,
  StockSchema,
  StoreRulesRowSchema,
  SupplierSchema,
} from '../stock/index.js';
import { bytes, counts, letters, OneOf, Words, type Frozen } from '../schema/index.js';
import { contract } from './contract.js';
import { ChangeKey } from './job-contracts.js';
import { LIST_LIMIT, ShopChangeSchema } from './shop-contracts.js';

const strict = { additionalProperties: false } as const;
const RowId = Type.String({ minLength: 1, maxLength: letters.rowId });
const PartId = Type.String({ minLength: 1, maxLength: letters.partId });
const Count = Type.Integer({ minimum: 0 });
const OrderParams = Type.Object({ id: RowId }, strict);
const JobParams = Type.Object({ id: RowId }, strict);

/** One movement of a part, as the history shows it. */
const MoveSchema = Type.Object(
  {
    at: Type.String(),
    kind: Type.String(),
    quantity: Type.Integer(),
    job: Type.Optional(Type.String()),
    by: Type.Optional(Type.String()),
    note: Type.Optional(Type.String()),
  },
  { title: 'StockMove' },
);
/** What a list of prices would do to a supplier's offers. */
export const OfferPreviewSchema = Type.Object(
  {
    headings: Type.Array(Type.String()),
    sample: Type.Array(Type.Array(Type.String())),
    lines: Count,
    mapping: Type.Record(Type.String({ maxLength: 40 }), Type.Integer({ minimum: 0, maximum: 200 }), { maxProperties: 60 }),
    counts: Type.Object({ added: Count, changed: Count, unchanged: Count, errors: Count }),
    changes: Type.Array(
      Type.Object({
        name: Type.String(),
        code: Type.Optional(Type.String()),
        wasMinor: Type.Optional(Type.Integer()),
        packMinor: Type.Integer(),
        /** In a pack: pieces, or millimetres of what is cut. */
        holds: Count,
        held: Type.Optional(Count),
        byLength: Type.Optional(Type.Literal(true)),
        /** Prices that fall with their number, beside the first. */
        breaks: Count,
        breaksWere: Type.Optional(Count),
      }),
    ),
    errors: Type.Array(LineErrorSchema),
  },
  { title: 'OfferPreview' },
);
export type OfferPreview = Frozen<Static<typeof OfferPreviewSchema>>;
const Csv = Type.String({ description: `A list as CSV, ${LIST_LIMIT} letters at most` });
const Mapping = OfferPreviewSchema.properties.mapping;

/** What a printer was given. */
const PrintedSchema = Type.Object(
  {
    id: Type.String(),
    at: Type.String(),
    title: Type.String(),
    labels: Type.Array(Type.Object({ code: Type.String(), lines: Type.Array(Type.String()) })),
  },
  { title: 'Printed' },
);

/** What of which length a job plans to cut, mm. */
const PlannedLength = Type.Object({ id: RowId, mm: Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000 }) }, strict);

export const stockContracts = {
  tellHosePlan: contract({
    method: 'POST',
    path: '/api/jobs/:id/hose-plan',
    summary: 'What a job plans to cut from which length, told so that others hear of it; answers what others plan on the same lengths',
    params: JobParams,
    body: Type.Object({ lengths: Type.Array(PlannedLength, { maxItems: counts.lengthsReserved }) }, strict),
    answer: Type.Object(
      { others: Type.Array(Type.Object({ job: Type.String(), id: Type.String(), mm: Type.Number() })) },
      { title: 'HosePlansOfOthers' },
    ),
    status: 200,
  }),
  readStockroom: contract({
    method: 'GET',
    path: '/api/stockroom',
    summary: 'Suppliers, offers, shelves, lengths on the rack, orders and rules; of a job the pieces that were cut',
    query: Type.Object({ job: Type.Optional(RowId) }, strict),
    answer: Type.Object(
      {
        suppliers: Type.Array(SupplierSchema),
        offers: Type.Array(OfferSchema),
        stock: Type.Array(StockSchema),
        lengths: Type.Array(LengthSchema),
        cuts: Type.Array(CutMadeSchema),
        orders: Type.Array(PurchaseOrderSchema),
        rules: StoreRulesRowSchema,
        at: Type.Integer({ minimum: 0 }),
      },
      { title: 'Stockroom' },
    ),
    status: 200,
  }),
  readMoves: contract({
    method: 'GET',
    path: '/api/stockroom/moves',
    summary: 'The latest movements of a part, the newest first',
    query: Type.Object({ part: PartId }, strict),
    answer: Type.Object({ moves: Type.Array(MoveSchema) }, { title: 'StockMoves' }),
    status: 200,
  }),
  sendOrder: contract({
    method: 'POST',
    path: '/api/orders/:id/send',
    summary: 'Send an order to its supplier, and take in what it answers; sent again, the answer is asked for again',
    params: OrderParams,
    body: Type.Object({ key: ChangeKey, version: Type.Integer({ minimum: 1 }) }, strict),
    answer: ShopChangeSchema,
    status: 200,
  }),
  readShipments: contract({
    method: 'GET',
    path: '/api/orders/:id/shipments',
    summary: 'What the supplier says is on its way or has come',
    params: OrderParams,
    answer: Type.Object(
      {
        shipments: Type.Array(
          Type.Object({
            reference: Type.String(),
            on: Type.String(),
            lines: Type.Array(Type.Object({ key: Type.String(), packs: Count })),
          }),
        ),
        words: Type.Optional(Type.String()),
      },
      { title: 'Shipments' },
    ),
    status: 200,
  }),
  orderPdf: contract({
    method: 'GET',
    path: '/api/orders/:id/order.pdf',
    summary: 'An order on paper',
    params: OrderParams,
    query: Type.Object({ units: Type.Optional(OneOf(['metric', 'inch'])) }, strict),
    answer: Type.String(),
    status: 200,
    type: 'application/pdf',
  }),
  orderCsv: contract({
    method: 'GET',
    path: '/api/orders/:id/order.csv',
    summary: 'An order as CSV',
    params: OrderParams,
    answer: Type.String(),
    status: 200,
    type: 'text/csv; charset=utf-8',
  }),
  orderXml: contract({
    method: 'GET',
    path: '/api/orders/:id/order.xml',
    summary: 'An order as OASIS UBL 2.1',
    params: OrderParams,
    answer: Type.String(),
    status: 200,
    type: 'application/xml; charset=utf-8',
  }),
  partsPdf: contract({
    method: 'GET',
    path: '/api/jobs/:id/parts.pdf',
    summary: 'The parts list of a job on paper, with job, date and pages',
    params: JobParams,
    query: Type.Object({ units: Type.Optional(OneOf(['metric', 'inch'])) }, strict),
    answer: Type.String(),
    status: 200,
    type: 'application/pdf',
  }),
  ticketsPdf: contract({
    method: 'GET',
    path: '/api/jobs/:id/tickets.pdf',
    summary: 'Cut tickets on paper, or end labels: on sheets, or one a page for a label printer',
    params: JobParams,
    query: Type.Object(
      {
        as: OneOf(['tickets', 'sheet', 'single']),
        ticket: Type.Optional(Words(letters.paperNumber)),
        units: Type.Optional(OneOf(['metric', 'inch'])),
      },
      strict,
    ),
    answer: Type.String(),
    status: 200,
    type: 'application/pdf',
  }),
  codeSvg: contract({
    method: 'GET',
    path: '/api/codes.svg',
    summary: 'A text as a Data Matrix code (ISO/IEC 16022)',
    query: Type.Object({ text: Words(letters.paperNumber * 2) }, strict),
    answer: Type.String(),
    status: 200,
    type: 'image/svg+xml',
  }),
  printLabels: contract({
    method: 'POST',
    path: '/api/jobs/:id/labels',
    summary: 'End labels to the label printer: of all tickets, or of one',
    params: JobParams,
    body: Type.Object({ ticket: Type.Optional(Words(letters.paperNumber)), units: Type.Optional(OneOf(['metric', 'inch'])) }, strict),
    answer: PrintedSchema,
    status: 200,
  }),
  readPrinter: contract({
    method: 'GET',
    path: '/api/printer',
    summary: 'What the label printer was given last',
    answer: Type.Object({ printed: Type.Array(PrintedSchema) }, { title: 'Printer' }),
    status: 200,
  }),
  previewOffers: contract({
    method: 'POST',
    path: '/api/stockroom/prices/preview',
    summary: "What a supplier's price list would change",
    body: Type.Object({ supplierId: RowId, csv: Csv, mapping: Type.Optional(Mapping) }, strict),
    answer: OfferPreviewSchema,
    status: 200,
    bodyLimit: bytes.list,
  }),
  importOffers: contract({
    method: 'POST',
    path: '/api/stockroom/prices',
    summary: "Take a supplier's price list in, all of it or nothing",
    body: Type.Object({ key: ChangeKey, supplierId: RowId, csv: Csv, mapping: Mapping }, strict),
    answer: ShopChangeSchema,
    status: 200,
    bodyLimit: bytes.list,
  }),
};
