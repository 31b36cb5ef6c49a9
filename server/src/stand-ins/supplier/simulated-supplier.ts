import type { Acknowledgement, PurchaseLine, PurchaseOrder, SupplierRow } from '@gewinde/core';
import type { Shipment, SupplierDesk } from './supplier-desk.js';

/** One line in so many is short, one in so many costs more, one in so many comes in a second parcel. */
const SHORT_IN = 7;
const DEARER_IN = 6;
const LATER_IN = 3;
/** How much more, of the price. */
const DEARER_BY = 1.04;

/**
 * A supplier that ships with the app: it answers at once, has not everything, has raised a price now and then, and sends in parts. What it says hangs on
 * the order alone, so that it says the same however often it is asked.
 */
export class SimulatedSupplier implements SupplierDesk {
  async order(order: PurchaseOrder, supplier: SupplierRow): Promise<Acknowledgement> {
    const sent = order.sentOn ?? order.writtenOn;
    return {
      order: order.number,
      reference: `${letters(supplier.name)}-${1000 + (drawn(order.number) % 9000)}`,
      lines: order.lines.map((line) => {
        const short = drawn(`${order.number} ${line.key} short`) % SHORT_IN === 0;
        const packs = short ? Math.floor(line.packs / 2) : line.packs;
        const dearer = drawn(`${order.number} ${line.key} price`) % DEARER_IN === 0;
        return {
          key: line.key,
          packs,
          packMinor: dearer ? Math.ceil(line.packMinor * DEARER_BY) : line.packMinor,
          due: dayAfter(sent, supplier.leadDays + (isLater(order, line) ? 4 : 0)),
          ...(short ? { words: packs === 0 ? 'out of stock, on back order' : `${packs} now, the rest on back order` } : {}),
        };
      }),
    };
  }

  /** A first parcel with what is there, a second with the rest; what is short comes in none until it is made. */
  async shipments(order: PurchaseOrder, supplier: SupplierRow): Promise<readonly Shipment[]> {
    const sent = order.sentOn ?? order.writtenOn;
    const parcel = (later: boolean, n: number): Shipment => ({
      reference: `${letters(supplier.name)}-${order.number}-${n}`,
      on: dayAfter(sent, supplier.leadDays + (later ? 4 : 0)),
      lines: order.lines
        .filter((line) => isLater(order, line) === later && (line.confirmedPacks ?? line.packs) > 0)
        .map((line) => ({ key: line.key, packs: line.confirmedPacks ?? line.packs })),
    });
    return [parcel(false, 1), parcel(true, 2)].filter((s) => s.lines.length > 0);
  }
}

function isLater({ number, lines }: PurchaseOrder, { key }: PurchaseLine): boolean {
  return lines.length > 1 && lines[0]!.key !== key && drawn(`${number} ${key} later`) % LATER_IN === 0;
}

/** A number out of a text, the same each time. */
function drawn(text: string): number {
  let sum = 7;
  for (const c of text) sum = (sum * 31 + c.codePointAt(0)!) % 1_000_003;
  return sum;
}

function letters(name: string): string {
  return name
    .replace(/[^A-Za-z ]/g, '')
    .split(' ')
    .filter(Boolean)
    .slice(0, 2)
    .map((w) => w[0]!.toUpperCase())
    .join('');
}

function dayAfter(day: string, days: number): string {
  const [y, m, d] = day.split('-').map(Number) as [number, number, number];
  return new Date(Date.UTC(y, m - 1, d + days)).toISOString().slice(0, 10);
}
