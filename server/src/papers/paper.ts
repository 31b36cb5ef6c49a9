import { inHouseUnits, type UnitSystem } from '@gewinde/core';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import PdfDocument from 'pdfkit';
import { printable } from './letters.js';

const require = createRequire(import.meta.url);
const font = (family: string, file: string): string => join(dirname(require.resolve(`@expo-google-fonts/${family}/package.json`)), file);

const fonts = {
  text: font('source-sans-3', '400Regular/SourceSans3_400Regular.ttf'),
  strong: font('source-sans-3', '600SemiBold/SourceSans3_600SemiBold.ttf'),
  head: font('barlow-condensed', '600SemiBold/BarlowCondensed_600SemiBold.ttf'),
  figure: font('barlow-condensed', '500Medium/BarlowCondensed_500Medium.ttf'),
  mono: font('ibm-plex-mono', '400Regular/IBMPlexMono_400Regular.ttf'),
} as const;
export type PaperFont = keyof typeof fonts;

export type Pdf = InstanceType<typeof PdfDocument>;
export type PaperSize = 'A4' | 'Letter' | readonly [number, number];
export const MM = 72 / 25.4;
/** Ink, and what is quiet beside it: black on white, so that a bad printer does it. */
export const INK = '#111111';
export const QUIET = '#555555';
const MARGIN = 15 * MM;

export interface PaperOptions {
  readonly size: PaperSize;
  readonly title: string;
  /** On every page: the job, the shop's paper number. */
  readonly head?: string;
  /** On every page at its foot, before the page's number. */
  readonly foot?: string;
  readonly margin?: number;
  /** In whose units quantities in sentences are said; metric where nobody says. */
  readonly system?: UnitSystem;
}

/** A PDF, drawn by `draw`; head and foot with the page of pages come on every one, once all are there. */
export async function paper(
  { size, title, head, foot, margin = MARGIN, system = 'metric' }: PaperOptions,
  draw: (pdf: Pdf) => void | Promise<void>,
): Promise<Buffer> {
  const pdf = new PdfDocument({
    size: typeof size === 'string' ? (size === 'Letter' ? 'LETTER' : 'A4') : [...size],
    margins: { top: head ? margin + 8 * MM : margin, bottom: foot ? margin + 6 * MM : margin, left: margin, right: margin },
    bufferPages: true,
    info: { Title: title, Producer: 'Gewinde', Creator: 'Gewinde' },
  });
  for (const [name, file] of Object.entries(fonts)) pdf.registerFont(name, file);
  const chunks: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
    pdf.on('end', () => resolve(Buffer.concat(chunks)));
    pdf.on('error', reject);
  });
  const write = pdf.text.bind(pdf) as (text: string, ...rest: unknown[]) => Pdf;
  const measure = pdf.heightOfString.bind(pdf);
  const turnTo = pdf.font.bind(pdf) as (face: PaperFont, ...rest: unknown[]) => Pdf;
  let wanted: PaperFont = 'text';
  pdf.font = (face: PaperFont, ...rest: unknown[]) => turnTo((wanted = face), ...rest);
  /** In a face that has its letters, for as long as it takes. */
  const inItsFace = <T>(text: string, use: (text: string) => T): T => {
    const before = wanted;
    const { face, text: printed } = printable(pdf, inHouseUnits(text, system), before);
    if (face !== before) turnTo(face);
    const used = use(printed);
    if (face !== before) turnTo(before);
    return used;
  };
  pdf.text = (text: string, ...rest: unknown[]) => inItsFace(text, (printed) => write(printed, ...rest));
  pdf.heightOfString = (text, options) => inItsFace(text, (printed) => measure(printed, options));
  pdf.font('text').fontSize(10).fillColor(INK);
  await draw(pdf);
  const { start, count } = pdf.bufferedPageRange();
  for (let page = start; page < start + count; page++) {
    pdf.switchToPage(page);
    const { width, height } = pdf.page;
    // else writing at the foot would make a page
    pdf.page.margins.bottom = 0;
    pdf.fillColor(QUIET).font('text').fontSize(9);
    if (head) {
      pdf.text(head, margin, margin - 2 * MM, { width: width - 2 * margin, lineBreak: false, ellipsis: true });
      pdf
        .moveTo(margin, margin + 3.5 * MM)
        .lineTo(width - margin, margin + 3.5 * MM)
        .lineWidth(0.5)
        .strokeColor(INK)
        .stroke();
    }
    if (foot) {
      pdf.text(foot, margin, height - margin, { width: width - 2 * margin - 30 * MM, lineBreak: false, ellipsis: true });
      pdf.text(`page ${page - start + 1} of ${count}`, width - margin - 30 * MM, height - margin, {
        width: 30 * MM,
        align: 'right',
        lineBreak: false,
      });
    }
  }
  pdf.end();
  return done;
}

export interface Column {
  readonly name: string;
  readonly width: number;
  readonly right?: boolean;
  readonly font?: PaperFont;
}

/** A table that breaks over pages between rows, its heading again on each; a row of one cell is a heading over those below. */
export function table(pdf: Pdf, columns: readonly Column[], rows: readonly (readonly string[])[]): void {
  const left = pdf.page.margins.left;
  const width = pdf.page.width - left - pdf.page.margins.right;
  const unit = width / columns.reduce((sum, c) => sum + c.width, 0);
  const heading = (): void => {
    row(
      columns.map((c) => c.name),
      QUIET,
      8.5,
    );
    rule(1);
  };
  const rule = (weight: number): void => {
    pdf
      .moveTo(left, pdf.y)
      .lineTo(left + width, pdf.y)
      .lineWidth(weight)
      .strokeColor(INK)
      .stroke();
    pdf.y += 2;
  };
  const room = (need: number): void => {
    if (pdf.y + need <= pdf.page.height - pdf.page.margins.bottom) return;
    pdf.addPage();
    pdf.y = pdf.page.margins.top;
    heading();
  };
  const row = (cells: readonly string[], colour: string, size: number): void => {
    const y = pdf.y;
    let x = left;
    let lowest = y;
    columns.forEach((column, i) => {
      const own = column.width * unit;
      pdf
        .font(column.font ?? 'text')
        .fontSize(size)
        .fillColor(colour);
      pdf.text(cells[i] ?? '', x + (column.right ? 1 : i > 0 ? 8 : 1), y, {
        width: own - (column.right ? 4 : 10),
        align: column.right ? 'right' : 'left',
      });
      lowest = Math.max(lowest, pdf.y);
      x += own;
    });
    pdf.y = lowest + 2;
    pdf.x = left;
  };
  const heightOf = (cells: readonly string[]): number =>
    Math.max(
      ...columns.map((c, i) =>
        pdf
          .font(c.font ?? 'text')
          .fontSize(9.5)
          .heightOfString(cells[i] ?? '', { width: c.width * unit - 4 }),
      ),
    ) + 4;
  heading();
  for (const cells of rows) {
    if (cells.length === 1) {
      room(34);
      pdf.y += 4;
      pdf
        .font('head')
        .fontSize(11)
        .fillColor(INK)
        .text(cells[0]!, left + 1, pdf.y, { width });
      pdf.y += 1;
      rule(0.5);
      continue;
    }
    room(heightOf(cells));
    row(cells, INK, 9.5);
  }
  rule(0.5);
}
