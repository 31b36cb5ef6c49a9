import { lineTotal, type PurchaseOrder, type SupplierRow } from '@gewinde/core';
import { stringify } from 'csv-stringify/sync';
import { create } from 'xmlbuilder2';
import { written } from '../csv/written.js';

export const money = (minor: number): string => (minor / 100).toFixed(2);

export interface OrderOnPaper {
  readonly order: PurchaseOrder;
  readonly supplier: SupplierRow;
  /** Numbers of the jobs it is for. */
  readonly jobs: readonly string[];
}

/** An order as CSV. */
export function orderCsv({ order, supplier, jobs }: OrderOnPaper): string {
  const rows = order.lines.map((l, i) => ({
    order: order.number,
    supplier: supplier.name,
    line: String(i + 1),
    code: l.code ?? '',
    part: l.name,
    packs: String(l.packs),
    holds: l.holds.map((h) => `${h.quantity} x ${h.part}`).join('; '),
    each: money(l.confirmedMinor ?? l.packMinor),
    price: money(lineTotal(l)),
    received: String(l.receivedPacks),
    'given up': String(l.shortPacks ?? 0),
    due: l.due ?? '',
    jobs: jobs.join(' '),
  }));
  return stringify(rows, { ...written, header: true });
}

const UBL = 'urn:oasis:names:specification:ubl:schema:xsd';

/**
 * An order as an OASIS UBL 2.1 Order: its elements in the order of the schema. Codes of units from UNECE Recommendation 20: C62 a piece, MTR a metre.
 */
export function orderUbl({ order, supplier, jobs }: OrderOnPaper, shop: string, byLength: ReadonlySet<string>): string {
  const doc = create({ version: '1.0', encoding: 'UTF-8' }).ele(`${UBL}:Order-2`, 'Order', {
    'xmlns:cac': `${UBL}:CommonAggregateComponents-2`,
    'xmlns:cbc': `${UBL}:CommonBasicComponents-2`,
  });
  type Node = typeof doc;
  const basic = (to: Node, name: string, text: string, attributes: Record<string, string> = {}): void =>
    void to.ele(`${UBL}:CommonBasicComponents-2`, `cbc:${name}`, attributes).txt(plain(text));
  const aggregate = (to: Node, name: string): Node => to.ele(`${UBL}:CommonAggregateComponents-2`, `cac:${name}`);
  const amount = (to: Node, name: string, minor: number): void => basic(to, name, money(minor), { currencyID: 'EUR' });
  basic(doc, 'UBLVersionID', '2.1');
  basic(doc, 'ID', order.number);
  basic(doc, 'IssueDate', order.writtenOn);
  if (order.note) basic(doc, 'Note', order.note);
  basic(doc, 'DocumentCurrencyCode', 'EUR');
  if (jobs.length > 0) basic(doc, 'CustomerReference', jobs.join(' '));
  for (const [role, name] of [
    ['BuyerCustomerParty', shop],
    ['SellerSupplierParty', supplier.name],
  ] as const)
    basic(aggregate(aggregate(aggregate(doc, role), 'Party'), 'PartyName'), 'Name', name);
  if (order.neededBy) basic(aggregate(aggregate(doc, 'Delivery'), 'RequestedDeliveryPeriod'), 'EndDate', order.neededBy);
  if (order.carriageMinor > 0) {
    const carriage = aggregate(doc, 'AllowanceCharge');
    basic(carriage, 'ChargeIndicator', 'true');
    basic(carriage, 'AllowanceChargeReason', 'Carriage');
    amount(carriage, 'Amount', order.carriageMinor);
  }
  const goods = order.lines.reduce((sum, l) => sum + l.packMinor * l.packs, 0);
  const totals = aggregate(doc, 'AnticipatedMonetaryTotal');
  amount(totals, 'LineExtensionAmount', goods);
  if (order.carriageMinor > 0) amount(totals, 'ChargeTotalAmount', order.carriageMinor);
  amount(totals, 'PayableAmount', goods + order.carriageMinor);
  order.lines.forEach((line, i) => {
    const item = aggregate(aggregate(doc, 'OrderLine'), 'LineItem');
    basic(item, 'ID', String(i + 1));
    const { quantity, part } = line.holds[0]!;
    const metres = line.holds.length === 1 && byLength.has(part);
    basic(item, 'Quantity', metres ? String((line.packs * quantity) / 1000) : String(line.packs), { unitCode: metres ? 'MTR' : 'C62' });
    amount(item, 'LineExtensionAmount', line.packMinor * line.packs);
    const price = aggregate(item, 'Price');
    amount(price, 'PriceAmount', line.packMinor);
    basic(price, 'BaseQuantity', metres ? String(quantity / 1000) : '1', { unitCode: metres ? 'MTR' : 'C62' });
    const what = aggregate(item, 'Item');
    basic(what, 'Name', line.name);
    basic(aggregate(what, 'BuyersItemIdentification'), 'ID', part);
    if (line.code) basic(aggregate(what, 'SellersItemIdentification'), 'ID', line.code);
  });
  return doc.end({ prettyPrint: true });
}

/** XML has no signs below the blank but line ends and tabs. */
function plain(text: string): string {
  // eslint-disable-next-line no-control-regex
  return text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '');
}
