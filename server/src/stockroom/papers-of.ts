import { cutTickets, soldByLength, type CutTicket, type JudgedJob, type PurchaseOrder, type UnitSystem } from '@gewinde/core';
import type { Knex } from 'knex';
import { judgedFor } from '../catalogue/parts-to-judge.js';
import { listRows } from '../database/entities.js';
import { listPartRows } from '../database/part-rows.js';
import { AppError } from '../errors/app-error.js';
import { readDocument } from '../jobs/read-document.js';
import type { OrderOnPaper } from '../papers/order-files.js';
import { today } from '../shop/today.js';
import { readStoreRules } from './stockroom-store.js';

/** What draws papers is loaded with the first of them: no start waits for it. */
const ofJobs = () => import('../papers/job-papers.js');
const ofOrders = () => import('../papers/order-papers.js');

/** A paper with the name of its file. */
export interface PaperOf {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** The parts list of a job. @throws {AppError} not-found */
export async function partsPaper(db: Knex, jobId: string, system: UnitSystem): Promise<PaperOf> {
  const job = await judgedJob(db, jobId);
  const [{ rules }, { partsPdf }] = await Promise.all([readStoreRules(db), ofJobs()]);
  return { name: `${fileName(job.document.job.number)}-parts.pdf`, bytes: await partsPdf(job, rules.paper, system, today()) };
}

export type TicketPaper = 'tickets' | 'sheet' | 'single';

/** The cut tickets of a job, or the labels of their ends; of all its hoses, or of one. @throws {AppError} not-found */
export async function ticketsPaper(
  db: Knex,
  jobId: string,
  as: TicketPaper,
  ticket: string | undefined,
  system: UnitSystem,
): Promise<PaperOf> {
  const job = await judgedJob(db, jobId);
  const [{ rules }, { ticketsPdf, labelsPdf }] = await Promise.all([readStoreRules(db), ofJobs()]);
  const tickets = ticketsOf(job, ticket);
  const bytes =
    as === 'tickets'
      ? await ticketsPdf(job, tickets, rules.paper, system, today())
      : await labelsPdf(tickets, rules.paper, as === 'single', system);
  return { name: `${fileName(job.document.job.number)}-${as}.pdf`, bytes };
}

/** An order for its supplier. @throws {AppError} not-found */
export async function orderPaper(db: Knex, orderId: string, system: UnitSystem): Promise<PaperOf> {
  const told = await orderOnPaper(db, orderId);
  const [{ rules }, { orderPdf }] = await Promise.all([readStoreRules(db), ofOrders()]);
  return { name: `${fileName(told.order.number)}.pdf`, bytes: await orderPdf(told, rules.paper, told.byLength, system) };
}

/** A job with its joints, as papers tell it. @throws {AppError} not-found */
export async function judgedJob(db: Knex, id: string): Promise<JudgedJob> {
  return judgedFor(db, await readDocument(db, id));
}

/** Tickets of what is ready; of one hose where it is asked for. @throws {AppError} not-found */
export function ticketsOf(job: JudgedJob, one?: string): readonly CutTicket[] {
  const { tickets } = cutTickets(job);
  if (one === undefined) return tickets;
  const own = tickets.filter((t) => t.number === one);
  if (own.length === 0) throw new AppError('not-found', `There is no ticket ${one} in this job, or it is not ready.`);
  return own;
}

/** @throws {AppError} not-found */
export async function orderOf(db: Knex, id: string): Promise<PurchaseOrder> {
  const [order] = await listRows(db, 'order', { id });
  if (!order) throw new AppError('not-found', 'This order is not there, or no longer.');
  return order;
}

/** An order with what stands on its paper beside it. @throws {AppError} not-found */
export async function orderOnPaper(db: Knex, id: string): Promise<OrderOnPaper & { readonly byLength: ReadonlySet<string> }> {
  const order = await orderOf(db, id);
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
}

/** A number as a part of a file's name: nothing but letters, digits, dots and hyphens. */
export function fileName(number: string): string {
  return number.replace(/[^\w.-]+/g, '_');
}
