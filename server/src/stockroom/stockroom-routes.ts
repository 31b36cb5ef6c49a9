import { inHouseUnits, planContracts, stockContracts } from '@gewinde/core';
import type { FastifyReply } from 'fastify';
import { listRows } from '../database/entities.js';
import { AppError } from '../errors/app-error.js';
import { asShopChange } from '../history/change.js';
import { sentBy } from '../history/sent-by.js';
import { endLabels } from '../papers/end-labels.js';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import { serve } from '../plugins/serve.js';
import type { LabelPrinter } from '../stand-ins/label-printer/label-printer.js';
import type { SupplierDesk } from '../stand-ins/supplier/supplier-desk.js';
import { OutsideError, within } from '../stand-ins/within.js';
import { tellHosePlan } from './hose-plans.js';
import { ANSWER_MS } from './order-sendings.js';
import { judgedJob, fileName, orderOf, orderOnPaper, orderPaper, partsPaper, ticketsOf, ticketsPaper, type PaperOf } from './papers-of.js';
import { planCutsOf, planOrdersOf, planSparesOf } from './plans.js';
import { importOffers, previewOffers } from './price-lists.js';
import { sendToSupplier } from './send-order.js';
import { readMoves, readStockroom, readStoreRules } from './stockroom-store.js';

export interface Outside {
  readonly desk: SupplierDesk;
  readonly printer: LabelPrinter;
}

/** What is bought, kept and cut; plans of it; papers; and the two things outside: suppliers and the label printer. */
export async function stockroomRoutes(app: App, { db, heavy, desk, printer }: Feature & Outside): Promise<void> {
  serve(app, stockContracts.readStockroom, async ({ query }) => readStockroom(db, query.job));
  serve(app, stockContracts.tellHosePlan, async ({ params, body }) => tellHosePlan(db, params.id, body.lengths));
  serve(app, stockContracts.readMoves, async ({ query }) => readMoves(db, query.part));
  serve(app, planContracts.planCuts, async ({ body, asker }) => heavy.run(planCutsOf, asker, body));
  serve(app, planContracts.planOrders, async ({ body, asker }) => heavy.run(planOrdersOf, asker, body));
  serve(app, planContracts.planSpares, async ({ body, asker }) => heavy.run(planSparesOf, asker, body));
  serve(app, stockContracts.previewOffers, async ({ body, asker }) =>
    heavy.run(previewOffers, asker, body.supplierId, body.csv, body.mapping),
  );
  serve(app, stockContracts.importOffers, async ({ body, client, asker }) =>
    heavy.run(importOffers, asker, body.supplierId, body.csv, body.mapping, sentBy(client, 'offers', body)),
  );

  serve(app, stockContracts.sendOrder, async ({ params, body, client }) =>
    asShopChange(await sendToSupplier(db, desk, { id: params.id, version: body.version }, sentBy(client, `send ${params.id}`, body))),
  );
  serve(app, stockContracts.readShipments, async ({ params }) => {
    const order = await orderOf(db, params.id);
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

  const asPdf = ({ name, bytes }: PaperOf, reply: FastifyReply): FastifyReply =>
    reply.header('content-disposition', `inline; filename="${name}"`).send(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength));
  serve(app, stockContracts.orderPdf, async ({ params, query, reply, asker }) =>
    asPdf((await heavy.run(orderPaper, asker, params.id, query.units ?? 'metric')) as PaperOf, reply),
  );
  serve(app, stockContracts.partsPdf, async ({ params, query, reply, asker }) =>
    asPdf((await heavy.run(partsPaper, asker, params.id, query.units ?? 'metric')) as PaperOf, reply),
  );
  serve(app, stockContracts.ticketsPdf, async ({ params, query, reply, asker }) =>
    asPdf((await heavy.run(ticketsPaper, asker, params.id, query.as, query.ticket, query.units ?? 'metric')) as PaperOf, reply),
  );
  serve(app, stockContracts.orderCsv, async ({ params, reply }) => {
    const told = await orderOnPaper(db, params.id);
    void reply.header('content-disposition', `attachment; filename="${fileName(told.order.number)}.csv"`);
    return (await ofOrder()).orderCsv(told);
  });
  serve(app, stockContracts.orderXml, async ({ params, reply }) => {
    const told = await orderOnPaper(db, params.id);
    void reply.header('content-disposition', `attachment; filename="${fileName(told.order.number)}.xml"`);
    const { rules } = await readStoreRules(db);
    return (await ofOrder()).orderUbl(told, rules.shop || 'The shop', told.byLength);
  });
  serve(app, stockContracts.codeSvg, async ({ query, reply }) => {
    // a text has one code, today and tomorrow
    void reply.header('cache-control', 'public, max-age=31536000, immutable');
    return (await ofCodes()).codeSvg(query.text);
  });
  serve(app, stockContracts.printLabels, async ({ params, body }) => {
    const job = await judgedJob(db, params.id);
    const system = body.units ?? 'metric';
    const labels = ticketsOf(job, body.ticket).flatMap((t) =>
      endLabels(t, system).map(({ code, lines }) => ({ code, lines: lines.map((line) => inHouseUnits(line, system)) })),
    );
    if (labels.length === 0) throw new AppError('not-found', 'No hose of this job is ready: there is nothing to print.');
    return asTold(await printer.print(`${job.document.job.number} ${job.document.job.name}`, labels));
  });
  serve(app, stockContracts.readPrinter, async () => ({ printed: (await printer.tray()).map(asTold) }));
}

/** What writes files and draws codes is loaded with the first of them: no start waits for it. */
const ofOrder = () => import('../papers/order-files.js');
const ofCodes = () => import('../papers/code.js');

const asTold = ({ labels, ...rest }: Awaited<ReturnType<LabelPrinter['print']>>) => ({
  ...rest,
  labels: labels.map((l) => ({ code: l.code, lines: [...l.lines] })),
});
