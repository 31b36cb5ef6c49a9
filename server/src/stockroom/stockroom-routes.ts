import {
  assembleJob,
  cutTickets,
  inHouseUnits,
  soldByLength,
  planContracts,
  stockContracts,
  type AssembledJob,
  type PurchaseOrder,
} from '@gewinde/core';
import { partsFor } from '../catalogue/catalogue-lookup.js';
import { readSealRules } from '../catalogue/catalogue-store.js';
import { listRows } from '../database/entities.js';
import { listPartRows } from '../database/part-rows.js';
import { AppError } from '../errors/app-error.js';
import { asShopChange } from '../history/change.js';
import { readDocument } from '../jobs/read-document.js';
import { codeSvg } from '../papers/code.js';
import { endLabels, labelsPdf, partsPdf, ticketsPdf } from '../papers/job-papers.js';
import { orderCsv, orderPdf, orderUbl, type OrderOnPaper } from '../papers/order-papers.js';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import { serve } from '../plugins/serve.js';
import type { LabelPrinter } from '../stand-ins/label-printer/label-printer.js';
import type { SupplierDesk } from '../stand-ins/supplier/supplier-desk.js';
import { OutsideError, within } from '../stand-ins/within.js';
import { tellHosePlan } from './hose-plans.js';
import { ANSWER_MS } from './order-sendings.js';
import { sendToSupplier } from './send-order.js';
import { readMoves, readStockroom, readStoreRules } from './stockroom-store.js';
import { today } from '../shop/today.js';
import { planCutsOf, planOrdersOf, planSparesOf } from './plans.js';
import { importOffers, previewOffers } from './price-lists.js';

export interface Outside {
  readonly desk: SupplierDesk;
  readonly printer: LabelPrinter;
}

/** What is bought, kept and cut; plans of it; papers; and the two things outside: suppliers and the label printer. */
export async function stockroomRoutes(app: App, { db, heavy, desk, printer }: Feature & Outside): Promise<void> {
  serve(app, stockContracts.readStockroom, async ({ query }) => readStockroom(db, query.job));
  serve(app, stockContracts.tellHosePlan, async ({ params, body }) => tellHosePlan(db, params.id, body.lengths));
  serve(app, stockContracts.readMoves, async ({ query }) => readMoves(db, query.part));
  serve(app, planContracts.planCuts, async ({ body }) => heavy.run(planCutsOf, body));
  serve(app, planContracts.planOrders, async ({ body }) => heavy.run(planOrdersOf, body));
  serve(app, planContracts.planSpares, async ({ body }) => heavy.run(planSparesOf, body));
  serve(app, stockContracts.previewOffers, async ({ body }) => heavy.run(previewOffers, body.supplierId, body.csv, body.mapping));
  serve(app, stockContracts.importOffers, async ({ body, client }) =>
    heavy.run(importOffers, body.supplierId, body.csv, body.mapping, { client, key: body.key }),
  );

  const orderOf = async (id: string): Promise<PurchaseOrder> => {
    const [order] = await listRows(db, 'order', { id });
    if (!order) throw new AppError('not-found', 'This order is not there, or no longer.');
    return order;
  };
  serve(app, stockContracts.sendOrder, async ({ params, body, client }) =>
    asShopChange(await sendToSupplier(db, desk, { id: params.id, version: body.version }, { client, key: body.key })),
  );
  serve(app, stockContracts.readShipments, async ({ params }) => {
    const order = await orderOf(params.id);
    const [supplier] = await listRows(db, 'supplier', { id: order.supplierId });
    if (!supplier || order.state === 'open' || order.state === 'cancelled')
      return { shipments: [], words: 'It was not sent: nothing is on its way.' };
    try {
      const shipments = await within(ANSWER_MS, () => desk.shipments(order, supplier));
      return { shipments: shipments.map((s) => ({ ...s, lines: [...s.lines] })) };
    } catch (error) {
      if (!(error instanceof OutsideError)) throw error;
      return { shipments: [], words: `${supplier.name} does not say what is on its way: ${error.message}.` };
    }
  });

  const onPaper = async (id: string): Promise<OrderOnPaper & { byLength: Set<string> }> => {
    const order = await orderOf(id);
    const [supplier] = await listRows(db, 'supplier', { id: order.supplierId });
    if (!supplier) throw new AppError('not-found', 'The supplier of this order is not there any more.');
    const jobs = await db('jobs').whereIn('id', order.jobIds).orderBy('number').pluck<string[]>('number');
    const parts = await listPartRows(
      db,
      (q) =>
        void q.whereIn(
          'id',
          order.lines.flatMap((l) => l.holds.map((h) => h.part)),
        ),
    );
    return { order, supplier, jobs, byLength: new Set(parts.filter(soldByLength).map((p) => p.id)) };
  };
  const named = (name: string): string => name.replace(/[^\w.-]+/g, '_');
  serve(app, stockContracts.orderPdf, async ({ params, query, reply }) => {
    const told = await onPaper(params.id);
    const { rules } = await readStoreRules(db);
    return reply
      .header('content-disposition', `inline; filename="${named(told.order.number)}.pdf"`)
      .send(await orderPdf(told, rules.paper, told.byLength, query.units ?? 'metric'));
  });
  serve(app, stockContracts.orderCsv, async ({ params, reply }) => {
    const told = await onPaper(params.id);
    void reply.header('content-disposition', `attachment; filename="${named(told.order.number)}.csv"`);
    return orderCsv(told);
  });
  serve(app, stockContracts.orderXml, async ({ params, reply }) => {
    const told = await onPaper(params.id);
    void reply.header('content-disposition', `attachment; filename="${named(told.order.number)}.xml"`);
    const { rules } = await readStoreRules(db);
    return orderUbl(told, rules.shop || 'The shop', told.byLength);
  });

  const assembled = async (id: string): Promise<AssembledJob> => {
    const document = await readDocument(db, id);
    const { rules: seals } = await readSealRules(db);
    return assembleJob(document, await partsFor(db, document), undefined, { seals });
  };
  serve(app, stockContracts.partsPdf, async ({ params, query, reply }) => {
    const job = await assembled(params.id);
    const { rules } = await readStoreRules(db);
    return reply
      .header('content-disposition', `inline; filename="${named(job.document.job.number)}-parts.pdf"`)
      .send(await partsPdf(job, rules.paper, query.units ?? 'metric', today()));
  });
  serve(app, stockContracts.ticketsPdf, async ({ params, query, reply }) => {
    const job = await assembled(params.id);
    const { rules } = await readStoreRules(db);
    const tickets = ticketsOf(job, query.ticket);
    const system = query.units ?? 'metric';
    const bytes =
      query.as === 'tickets'
        ? await ticketsPdf(job, tickets, rules.paper, system, today())
        : await labelsPdf(tickets, rules.paper, query.as === 'single', system);
    return reply.header('content-disposition', `inline; filename="${named(job.document.job.number)}-${query.as}.pdf"`).send(bytes);
  });
  serve(app, stockContracts.codeSvg, async ({ query, reply }) => {
    // a text has one code, today and tomorrow
    void reply.header('cache-control', 'public, max-age=31536000, immutable');
    return codeSvg(query.text);
  });
  serve(app, stockContracts.printLabels, async ({ params, body }) => {
    const job = await assembled(params.id);
    const system = body.units ?? 'metric';
    const labels = ticketsOf(job, body.ticket).flatMap((t) =>
      endLabels(t, system).map(({ code, lines }) => ({ code, lines: lines.map((line) => inHouseUnits(line, system)) })),
    );
    if (labels.length === 0) throw new AppError('not-found', 'No hose of this job is ready: there is nothing to print.');
    return asTold(await printer.print(`${job.document.job.number} ${job.document.job.name}`, labels));
  });
  serve(app, stockContracts.readPrinter, async () => ({ printed: (await printer.tray()).map(asTold) }));
}

const asTold = ({ labels, ...rest }: Awaited<ReturnType<LabelPrinter['print']>>) => ({
  ...rest,
  labels: labels.map((l) => ({ code: l.code, lines: [...l.lines] })),
});

function ticketsOf(job: AssembledJob, one?: string) {
  const { tickets } = cutTickets(job);
  if (one === undefined) return tickets;
  const own = tickets.filter((t) => t.number === one);
  if (own.length === 0) throw new AppError('not-found', `There is no ticket ${one} in this job, or it is not ready.`);
  return own;
}
