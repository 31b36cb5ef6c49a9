import {
  formatCut,
  formatMakeUp,
  formatQuantity,
  hoseLimits,
  labelCode,
  partGroups,
  partsList,
  pieceDrawing,
  type JudgedJob,
  type CutTicket,
  type UnitSystem,
  drawingToSvg,
} from '@gewinde/core';
import svgToPdf from 'svg-to-pdfkit';
import { codePng } from './code.js';
import { endLabels } from './end-labels.js';
import { printable } from './letters.js';
import { INK, MM, paper, QUIET, table, type PaperSize, type Pdf } from './paper.js';

const jobLine = ({ document: { job } }: JudgedJob, day: string): string => `${job.number} ${job.name} · ${day}`;

/** The parts list with job, date and pages; the total once, at its end. */
export async function partsPdf(job: JudgedJob, size: PaperSize, system: UnitSystem, day: string): Promise<Buffer> {
  const list = partsList(job);
  const money = (minor: number | undefined): string => (minor === undefined ? '—' : (minor / 100).toFixed(2));
  const quantity = (row: (typeof list.rows)[number]): string => {
    if (row.unit === 'joint') return `${row.quantity} ${row.quantity === 1 ? 'joint' : 'joints'}`;
    if (row.unit === 'pc') return String(row.quantity);
    return system === 'metric' ? `${(row.quantity / 1000).toFixed(3)} m` : formatQuantity(row.quantity, 'length', 'inch');
  };
  const head = `Parts list · ${jobLine(job, day)}`;
  return paper({ size, title: head, head, foot: 'Gewinde · seals, sealant and clamps included', system }, (pdf) => {
    pdf.font('head').fontSize(20).text(`Parts list, ${job.document.job.number} ${job.document.job.name}`);
    if (list.incomplete.length > 0)
      pdf
        .font('text')
        .fontSize(10)
        .text(`${list.incomplete.map((n) => `L${n}`).join(', ')} still open: only what is chosen so far is counted.`);
    pdf.moveDown(0.6);
    const rows = partGroups.flatMap((group) => {
      const own = list.rows.filter((r) => r.group === group);
      if (own.length === 0) return [];
      return [
        [group.charAt(0).toUpperCase() + group.slice(1)],
        ...own.map((r) => [
          r.name,
          quantity(r),
          r.shelf ? String(r.shelf) : '',
          r.leadDays === undefined ? '' : String(r.leadDays),
          money(r.unitPriceMinor),
          money(r.priceMinor),
          [...r.lines.map((n) => `L${n}`), ...r.components].join(' '),
        ]),
      ];
    });
    table(
      pdf,
      [
        { name: 'part', width: 44 },
        { name: 'quantity', width: 10, right: true, font: 'figure' },
        { name: 'shelf', width: 6, right: true, font: 'figure' },
        { name: 'days', width: 6, right: true, font: 'figure' },
        { name: 'each €', width: 9, right: true, font: 'figure' },
        { name: 'price €', width: 10, right: true, font: 'figure' },
        { name: 'for', width: 19 },
      ],
      rows,
    );
    const { left, right } = pdf.page.margins;
    const unpriced = list.unpriced > 0 ? ` (${list.unpriced} without a price)` : '';
    pdf
      .font('head')
      .fontSize(13)
      .text(`Total of what is priced${unpriced} € ${money(list.totalMinor)}`, left, pdf.y + 4, {
        width: pdf.page.width - left - right,
        align: 'right',
      });
  });
}

/** A ticket is as high as this, or higher where its joints say more. */
const TICKET_HEIGHT = 118 * MM;
/** Where the words of a ticket's ends begin, and what stands beside their codes. */
const ENDS_AT = 73 * MM;
const BESIDE_CODE = 15 * MM;

/** Cut tickets, two a page, each with what the bench needs to make the hose and to fit it. */
export async function ticketsPdf(
  job: JudgedJob,
  tickets: readonly CutTicket[],
  size: PaperSize,
  system: UnitSystem,
  day: string,
): Promise<Buffer> {
  const head = `Cut tickets · ${jobLine(job, day)}`;
  return paper(
    {
      size,
      title: head,
      head,
      foot: 'Check each end against the hose before the saw. Sleeve and nuts go on before the second end.',
      system,
    },
    async (pdf) => {
      for (const [i, ticket] of tickets.entries()) {
        if (i > 0 && pdf.y + heightOf(pdf, ticket, system) > pdf.page.height - pdf.page.margins.bottom) {
          pdf.addPage();
          pdf.y = pdf.page.margins.top;
        }
        await drawTicket(pdf, ticket, job, system, day);
      }
      if (tickets.length === 0) pdf.text('No hose can be cut yet.');
    },
  );
}

/** What an end is made up with, joint by joint: the figure first, and whole. */
function jointWords({ joints }: CutTicket['ends'][number], system: UnitSystem): string[] {
  return joints.map((j) => `${j.number}: ${j.makeUp ? formatMakeUp(j.makeUp, system) : 'no figure: by its maker'} · ${j.words}`);
}

function overWords({ adapters }: CutTicket['ends'][number]): string {
  return `over: ${adapters.length > 0 ? adapters.join(' · ') : 'straight on'}`;
}

function heightOf(pdf: Pdf, ticket: CutTicket, system: UnitSystem): number {
  const width = (pdf.page.width - pdf.page.margins.left - pdf.page.margins.right) / 2 - 6 * MM;
  pdf.font('text').fontSize(8.5);
  const ends = ticket.ends.map((end) =>
    [overWords(end), ...jointWords(end, system)].reduce((sum, words) => sum + pdf.heightOfString(words, { width }), 0),
  );
  const accepted = ticket.accepted.reduce((sum, words) => sum + pdf.heightOfString(words, { width: 2 * width }), 0);
  return Math.max(TICKET_HEIGHT, ENDS_AT + BESIDE_CODE + Math.max(...ends) + accepted + 9 * MM);
}

async function drawTicket(pdf: Pdf, ticket: CutTicket, job: JudgedJob, system: UnitSystem, day: string): Promise<void> {
  const { left, right } = pdf.page.margins;
  const width = pdf.page.width - left - right;
  const top = pdf.y;
  const height = heightOf(pdf, ticket, system);
  pdf
    .rect(left, top, width, height - 6 * MM)
    .lineWidth(1)
    .strokeColor(INK)
    .stroke();
  pdf.circle(left + 6 * MM, top + 6 * MM, 2 * MM).stroke();
  pdf
    .font('head')
    .fontSize(24)
    .fillColor(INK)
    .text(ticket.number, left + 11 * MM, top + 2 * MM, { lineBreak: false });
  const { hose } = ticket.piece;
  pdf
    .font('strong')
    .fontSize(11)
    .text(ticket.lineName, left + 62 * MM, top + 2.5 * MM, { width: 60 * MM, height: 14, ellipsis: true });
  pdf
    .font('text')
    .fontSize(9)
    .fillColor(QUIET)
    .text(`${ticket.service}${ticket.provisional ? ' · provisional' : ''}`, left + 62 * MM, top + 8 * MM, {
      width: 60 * MM,
      height: 12,
      ellipsis: true,
    });
  pdf
    .fillColor(INK)
    .text(`${job.document.job.name} · ${day}`, left + 122 * MM, top + 3 * MM, {
      width: width - 124 * MM,
      align: 'right',
      height: 24,
      ellipsis: true,
    });
  pdf
    .moveTo(left, top + 14 * MM)
    .lineTo(left + width, top + 14 * MM)
    .lineWidth(0.5)
    .stroke();
  pdf
    .font('text')
    .fontSize(9)
    .fillColor(QUIET)
    .text(ticket.shortenMm === undefined ? 'cut' : 'cut off', left + 3 * MM, top + 16 * MM);
  pdf
    .font('head')
    .fontSize(34)
    .fillColor(INK)
    .text(formatCut(ticket.shortenMm ?? ticket.cutMm, system), left + 3 * MM, top + 19 * MM, { lineBreak: false });
  const other = formatCut(ticket.cutMm, system === 'metric' ? 'inch' : 'metric');
  const taped = ticket.tapedMm === undefined ? '' : ` · taped ${formatQuantity(ticket.tapedMm, 'length', system)}`;
  pdf
    .font('text')
    .fontSize(10)
    .text(
      `${other}${taped} · assembled ${formatQuantity(ticket.assemblyMm, 'length', system)} seat to seat`,
      left + 62 * MM,
      top + 18 * MM,
      { width: width - 64 * MM },
    );
  pdf.text(`${ticket.hose}${hose ? ` · ${hoseLimits(hose, system)}` : ''}`, left + 62 * MM, pdf.y + 2, { width: width - 64 * MM });
  const drawing = pieceDrawing(ticket.assembled, ticket.piece, { width: 430, height: 118, system });
  const drawn = { width: 118 * MM, height: (118 * MM * 118) / 430 };
  const { face, text: svg } = printable(pdf, drawingToSvg(drawing), 'figure');
  svgToPdf(pdf, svg, left + 3 * MM, top + 34 * MM, {
    ...drawn,
    preserveAspectRatio: 'xMinYMin meet',
    fontCallback: (_family: string, bold: boolean) => (face !== 'figure' ? face : bold ? 'head' : 'figure'),
  });
  if (ticket.clocking === 'open') {
    pdf
      .circle(left + 140 * MM, top + 50 * MM, 13 * MM)
      .lineWidth(0.7)
      .stroke();
    pdf
      .font('text')
      .fontSize(8)
      .fillColor(QUIET)
      .text('clocking: set on the mock-up', left + 124 * MM, top + 65 * MM, { width: 34 * MM, align: 'center' });
  }
  let y = top + 70 * MM;
  let lowest = y;
  if (ticket.caution) {
    pdf
      .font('strong')
      .fontSize(9)
      .fillColor(INK)
      .text(ticket.caution, left + 3 * MM, y - 3 * MM, { width: width - 6 * MM, height: 12, ellipsis: true });
    y += 3 * MM;
  }
  for (const [i, end] of ticket.ends.entries()) {
    const x = left + 3 * MM + i * (width / 2);
    const own = width / 2 - 6 * MM;
    pdf.image(await codePng(labelCode(ticket.number, end.side)), x + own - 15 * MM, y, { width: 14 * MM });
    pdf
      .font('head')
      .fontSize(13)
      .fillColor(INK)
      .text(`${ticket.number} ${end.side}`, x, y, { width: own - 18 * MM });
    pdf
      .font('strong')
      .fontSize(9.5)
      .text(end.goesTo, x, pdf.y, { width: own - 18 * MM });
    pdf
      .font('text')
      .fontSize(8.5)
      .text(`${end.hoseEnd} · ${end.port}`, x, pdf.y, { width: own - 18 * MM });
    pdf.text(overWords(end), x, Math.max(pdf.y, y + BESIDE_CODE), { width: own });
    for (const words of jointWords(end, system)) pdf.text(words, x, pdf.y, { width: own });
    lowest = Math.max(lowest, pdf.y);
  }
  // what is accepted as it is, under both ends
  pdf.y = lowest;
  for (const words of ticket.accepted)
    pdf
      .font('strong')
      .fontSize(8.5)
      .text(words, left + 3 * MM, pdf.y, { width: width - 6 * MM });
  pdf.x = left;
  pdf.y = top + height;
}

/** Two columns of labels on a sheet, or one a page of label stock, 62 × 29 mm. */
export async function labelsPdf(tickets: readonly CutTicket[], size: PaperSize, single: boolean, system: UnitSystem): Promise<Buffer> {
  const labels = tickets.flatMap((t) => endLabels(t, system));
  const [w, h] = [62 * MM, 29 * MM];
  return paper({ size: single ? [w, h] : size, title: 'End labels', margin: single ? 0 : 12 * MM, system }, async (pdf) => {
    const columns = single ? 1 : Math.floor((pdf.page.width - 24 * MM) / (w + 3 * MM));
    const rows = single ? 1 : Math.floor((pdf.page.height - 24 * MM) / (h + 2 * MM));
    for (const [i, label] of labels.entries()) {
      const at = i % (columns * rows);
      if (i > 0 && at === 0) pdf.addPage();
      const x = single ? 0 : 12 * MM + (at % columns) * (w + 3 * MM);
      const y = single ? 0 : 12 * MM + Math.floor(at / columns) * (h + 2 * MM);
      if (!single) pdf.rect(x, y, w, h).lineWidth(0.3).strokeColor(QUIET).stroke();
      pdf.image(await codePng(label.code), x + 2 * MM, y + 5 * MM, { width: 18 * MM });
      const [title = '', ...rest] = label.lines;
      pdf
        .font('head')
        .fontSize(15)
        .fillColor(INK)
        .text(title, x + 23 * MM, y + 2 * MM, { width: 38 * MM, height: 17, lineBreak: false });
      // where it goes and what is on it may need two rows each; the last has its own
      const [row, foot] = [10, y + 27.5 * MM];
      pdf.y = y + 9 * MM;
      rest.forEach((line, n) => {
        pdf.font(n === 0 ? 'strong' : 'text').fontSize(8);
        const left = Math.floor((foot - pdf.y) / row) - (rest.length - 1 - n);
        const rows = Math.min(2, left, Math.ceil(pdf.heightOfString(line, { width: 38 * MM }) / row - 0.1));
        if (rows > 0) pdf.text(line, x + 23 * MM, pdf.y, { width: 38 * MM, height: rows * row, ellipsis: true });
      });
    }
    if (labels.length === 0) pdf.fontSize(8).text('No hose is ready.', 4, 4);
  });
}
