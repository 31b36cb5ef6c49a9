import { formatPackLength, lineTotal, orderTotal, type PurchaseOrder, type UnitSystem } from '@gewinde/core';
import { money, type OrderOnPaper } from './order-files.js';
import { paper, table, type PaperSize } from './paper.js';

/** What a pack of a line is: `1`, `10 pieces`, `1 m`, `kit of 5`. */
function packWords({ holds, oneLength }: PurchaseOrder['lines'][number], byLength: boolean, system: UnitSystem): string {
  if (holds.length > 1) return `kit of ${holds.length}`;
  const { quantity } = holds[0]!;
  if (byLength) return `${formatPackLength(quantity, system)}${oneLength ? ', in one length' : ''}`;
  return quantity === 1 ? 'piece' : `${quantity} pieces`;
}

/** An order as a PDF. */
export async function orderPdf(
  { order, supplier, jobs }: OrderOnPaper,
  size: PaperSize,
  byLength: ReadonlySet<string>,
  system: UnitSystem,
): Promise<Buffer> {
  const head = `Order ${order.number} to ${supplier.name} · ${order.writtenOn}`;
  return paper({ size, title: head, head, foot: jobs.length > 0 ? `for ${jobs.join(', ')}` : 'for the shelf', system }, (pdf) => {
    pdf.font('head').fontSize(22).text(`Order ${order.number}`);
    pdf.font('text').fontSize(11).text(supplier.name);
    pdf.text(
      `Written ${order.writtenOn}${order.neededBy ? ` · needed by ${order.neededBy}` : ''}${order.sentOn ? ` · sent ${order.sentOn}` : ''}`,
    );
    if (order.reference) pdf.text(`Your reference ${order.reference}`);
    if (order.note) pdf.text(order.note);
    pdf.moveDown(0.8);
    table(
      pdf,
      [
        { name: 'line', width: 5, right: true },
        { name: 'code', width: 14, font: 'mono' },
        { name: 'part', width: 42 },
        { name: 'packs', width: 8, right: true, font: 'figure' },
        { name: 'of', width: 14 },
        { name: 'each €', width: 9, right: true, font: 'figure' },
        { name: 'price €', width: 10, right: true, font: 'figure' },
      ],
      order.lines.map((l, i) => [
        String(i + 1),
        l.code ?? '',
        l.name,
        String(l.packs - (l.shortPacks ?? 0)),
        packWords(l, byLength.has(l.holds[0]!.part), system),
        money(l.confirmedMinor ?? l.packMinor),
        money(lineTotal(l)),
      ]),
    );
    const { left, right } = pdf.page.margins;
    const sums = { width: pdf.page.width - left - right, align: 'right' } as const;
    pdf
      .font('text')
      .fontSize(10)
      .text(`Carriage € ${money(order.carriageMinor)}`, left, pdf.y + 4, sums);
    pdf
      .font('head')
      .fontSize(13)
      .text(`Total € ${money(orderTotal(order))}`, left, pdf.y, sums);
    pdf
      .font('text')
      .fontSize(9)
      .text('Prices as listed when this was written; where they have changed, answer before you send.', left, pdf.y + 6);
  });
}
