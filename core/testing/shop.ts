import {
  entriesOf,
  runShopCommands,
  type CataloguePart,
  type CutMade,
  type HoseLength,
  type OfferRow,
  type PurchaseOrder,
  type ShopCommand,
  type ShopOutcome,
  type ShopQuestions,
  type ShopRow,
  type ShopRows,
  type ShopRowType,
  type StockRow,
  type SupplierRow,
} from '@gewinde/core';
import { catalogue } from './sample-job.js';

const parts = entriesOf(catalogue).map((entry): [string, CataloguePart] => [
  entry.part.id,
  { id: entry.part.id, version: 1, origin: 'standard', ...entry },
]);

export const TODAY = '2026-11-26';

/** A shop in memory, of two jobs with a line each: commands are carried out on it as the server does, all of them or none. */
export class ShopInMemory {
  private readonly rows = new Map<ShopRowType, Map<string, ShopRow['row']>>([['part', new Map(parts)]]);
  private readonly given = { length: 0, order: 0 };
  private ids = 0;
  readonly jobs = new Map([
    ['a', '2403'],
    ['b', '2404'],
  ]);

  /** @throws {CommandError} and nothing is changed */
  run(...commands: readonly (ShopCommand | object)[]): ShopOutcome {
    const context = { newId: () => `id${++this.ids}`, now: `${TODAY}T10:00:00.000Z`, today: TODAY };
    const outcome = runShopCommands(commands as readonly ShopCommand[], this.asked, context);
    for (const { type, row } of outcome.gone) this.rows.get(type)?.delete(row.id);
    for (const row of [...outcome.made, ...outcome.changed]) this.keep(row);
    for (const part of outcome.told) this.keep({ type: 'part', row: part });
    for (const [of, n] of outcome.numbers) this.given[of] = n;
    return outcome;
  }

  get<T extends ShopRowType>(type: T, id: string): ShopRows[T] {
    return this.rows.get(type)?.get(id) as ShopRows[T];
  }
  all<T extends ShopRowType>(type: T): ShopRows[T][] {
    return [...(this.rows.get(type)?.values() ?? [])] as ShopRows[T][];
  }
  part(id: string): CataloguePart {
    return this.get('part', id);
  }
  shelf(part: string): StockRow | undefined {
    return this.all('stock').find((row) => row.part === part);
  }
  /** The newest of its kind. */
  length(): HoseLength {
    return this.all('length').at(-1)!;
  }
  order(): PurchaseOrder {
    return this.all('order').at(-1)!;
  }
  cut(): CutMade {
    return this.all('cut').at(-1)!;
  }

  private keep({ type, row }: ShopRow): void {
    this.rows.set(type, (this.rows.get(type) ?? new Map<string, ShopRow['row']>()).set(row.id, row));
  }

  private readonly asked: ShopQuestions = {
    row: (type, id) => this.get(type, id),
    jobNumber: (id) => this.jobs.get(id),
    jobOfLine: (id) => ({ lineA: 'a', lineB: 'b' })[id],
    cutsOfLine: (id) => this.all('cut').filter((c) => c.lineId === id),
    cutsOfLength: (id) => this.all('cut').filter((c) => c.lengthId === id),
    lengthsReservedFor: (id) => this.all('length').filter((l) => l.reserved?.some((r) => r.jobId === id)),
    ordersOfJob: (id) => this.all('order').filter((o) => o.jobIds.includes(id)),
    offersOf: (id) => this.all('offer').filter((o) => o.supplierId === id),
    supplierCalled: (name) => this.all('supplier').find((s) => s.name.toLowerCase() === name.toLowerCase())?.id,
    partOfCode: (code) => {
      const owner = this.all('part').find((p) => p.part.code?.toLowerCase() === code.toLowerCase());
      return owner && { id: owner.id, name: owner.part.name };
    },
    rackedMm: (part) =>
      this.all('length').reduce((sum, l) => sum + (l.part === part && l.state === 'there' && l.kind !== 'made' ? l.mm : 0), 0),
    firstFree: (of) => this.given[of] + 1,
  };
}

export const sampleSupplier: Omit<SupplierRow, 'id' | 'version'> = {
  name: 'North (sample)',
  currency: 'EUR',
  euros: 1,
  carriageMinor: 900,
  freeFromMinor: 20_000,
  leadDays: 4,
};
export const sampleOffer = (part: string, quantity = 10, packMinor = 500): Omit<OfferRow, 'id' | 'version'> => ({
  supplierId: 's',
  holds: [{ part, quantity }],
  prices: [
    { fromPacks: 1, packMinor },
    { fromPacks: 4, packMinor: packMinor - 100 },
  ],
});

/** What a command is refused with: its code, the field it is about, and its words. */
export function refusal(act: () => unknown): {
  readonly code: string;
  readonly field?: string;
  readonly message: string;
  readonly current?: unknown;
} {
  try {
    act();
  } catch (error) {
    const { code, field, message, current } = error as { code: string; field?: string; message: string; current?: unknown };
    return { code, message, ...(field === undefined ? {} : { field }), ...(current === undefined ? {} : { current }) };
  }
  throw new Error('It was carried out.');
}
