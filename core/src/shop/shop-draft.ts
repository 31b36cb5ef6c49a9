import { CommandError } from '../commands/index.js';
import type { CataloguePart } from '../job/index.js';
import type { CutMade, HoseLength, Move, OfferRow, PurchaseOrder } from '../stock/index.js';
import { shopEntityWords } from './shop-words.js';
import type { ShopRow, ShopRows, ShopRowType } from './shop-rows.js';

/** What a command may ask beside the rows that it names: each answer as the database has it, under the lock of the shop. */
export interface ShopQuestions {
  readonly row: <T extends ShopRowType>(type: T, id: string) => ShopRows[T] | undefined;
  readonly jobNumber: (jobId: string) => string | undefined;
  /** The job of a line. */
  readonly jobOfLine: (lineId: string) => string | undefined;
  readonly cutsOfLine: (lineId: string) => readonly CutMade[];
  readonly cutsOfLength: (lengthId: string) => readonly CutMade[];
  /** Lengths of which something is reserved for a job. */
  readonly lengthsReservedFor: (jobId: string) => readonly HoseLength[];
  readonly ordersOfJob: (jobId: string) => readonly PurchaseOrder[];
  readonly offersOf: (supplierId: string) => readonly OfferRow[];
  readonly supplierCalled: (name: string) => string | undefined;
  /** The part that has a code in the catalogue. */
  readonly partOfCode: (code: string) => { readonly id: string; readonly name: string } | undefined;
  /** Of what is cut, all that hangs on the rack and is not made up, mm. */
  readonly rackedMm: (part: string) => number;
  /** The first number that is free: `H-0031` is 31. */
  readonly firstFree: (of: NumberedRow) => number;
}
/** Rows that are called by a number of their own. */
export type NumberedRow = 'length' | 'order';
export const numberedRows = { length: 'H', order: 'PO' } as const satisfies Record<NumberedRow, string>;

/** The row's number as it is called. */
export function rowNumber(of: NumberedRow, n: number): string {
  return `${numberedRows[of]}-${String(n).padStart(4, '0')}`;
}

export interface ShopContext {
  readonly newId: () => string;
  /** ISO. */
  readonly now: string;
  /** The day it is where the shop is, `2026-11-26`. */
  readonly today: string;
}

/** What came to a shelf or went from it. */
export interface StockMovement extends Move {
  readonly part: string;
  /** What the shelf has more, or less, after it. */
  readonly by: number;
  readonly who?: string;
  readonly note?: string;
}

/** All that some commands did: to be written as it stands. */
export interface ShopOutcome {
  readonly label: string;
  readonly before: readonly ShopRow[];
  readonly made: readonly ShopRow[];
  readonly changed: readonly ShopRow[];
  readonly gone: readonly ShopRow[];
  /** Parts of which only the shelf is another. */
  readonly told: readonly CataloguePart[];
  /** Those of them whose version is one higher. */
  readonly counted: readonly string[];
  readonly movements: readonly StockMovement[];
  /** The last number that was given out, of each kind of row. */
  readonly numbers: ReadonlyMap<NumberedRow, number>;
}

/** Rows that all jobs share, while commands are carried out on them. */
export class ShopDraft {
  private readonly before = new Map<string, ShopRow>();
  private readonly now = new Map<string, ShopRow | null>();
  private readonly told = new Map<string, CataloguePart>();
  private readonly racked = new Set<string>();
  private readonly numbers = new Map<NumberedRow, number>();
  readonly movements: StockMovement[] = [];

  constructor(
    readonly ask: ShopQuestions,
    readonly context: ShopContext,
  ) {}

  find<T extends ShopRowType>(type: T, id: string): ShopRows[T] | undefined {
    const key = `${type} ${id}`;
    if (!this.now.has(key)) {
      const row = this.ask.row(type, id);
      const entity = row ? ({ type, row } as unknown as ShopRow) : null;
      if (entity) this.before.set(key, entity);
      this.now.set(key, entity);
    }
    return (this.now.get(key)?.row ?? undefined) as ShopRows[T] | undefined;
  }

  /** @throws {CommandError} not-found */
  row<T extends ShopRowType>(type: T, id: string): ShopRows[T] {
    const found = this.find(type, id);
    if (!found) throw new CommandError('not-found', `This ${shopEntityWords[type]} is not there, or no longer.`);
    return found;
  }

  /** The row, if it still has the version the sender saw before this change. @throws {CommandError} not-found, conflict with the row as it stands */
  editable<T extends ShopRowType>(type: T, id: string, version: number, taken?: (row: ShopRows[T]) => string): ShopRows[T] {
    const row = this.row(type, id);
    const was = (this.before.get(`${type} ${id}`)?.row ?? row) as ShopRows[T];
    if (was.version !== version)
      throw new CommandError('conflict', taken?.(was) ?? 'Somebody else has changed this in the meantime.', undefined, was);
    return row;
  }

  put<T extends ShopRowType>(type: T, row: ShopRows[T]): void {
    this.find(type, row.id);
    const was = this.before.get(`${type} ${row.id}`);
    const version = was ? was.row.version + 1 : 1;
    this.now.set(`${type} ${row.id}`, { type, row: { ...row, version } } as unknown as ShopRow);
  }

  /** @throws {CommandError} id-taken */
  add<T extends ShopRowType>(type: T, row: ShopRows[T]): void {
    if (this.find(type, row.id)) throw new CommandError('id-taken', `There is a ${shopEntityWords[type]} with this id already.`, 'id');
    this.put(type, row);
  }

  remove(type: ShopRowType, id: string): void {
    this.now.set(`${type} ${id}`, null);
  }

  /** A part of the catalogue, its shelf as it is by now. @throws {CommandError} not-found */
  part(id: string): CataloguePart {
    const part = this.told.get(id) ?? this.find('part', id);
    if (!part) throw new CommandError('not-found', `"${id}" is not in the catalogue.`, 'part');
    return part;
  }

  /** A part of which only the shelf is another now. */
  tellShelf(id: string, shelf: number): CataloguePart {
    const part = this.part(id);
    const version = (this.before.get(`part ${id}`)?.row.version ?? part.version) + 1;
    const next = { ...part, version, part: { ...part.part, shelf } } as CataloguePart;
    this.told.set(id, next);
    return next;
  }

  /** Of what is cut, the rack says how much there is: nothing of the part's own row is another. */
  tellRacked(id: string, metres: number): void {
    const part = this.part(id);
    this.told.set(id, { ...part, part: { ...part.part, shelf: metres } } as CataloguePart);
    this.racked.add(id);
  }

  /** Rows of a type as they were and as they are put. */
  changes<T extends ShopRowType>(type: T): { readonly before?: ShopRows[T]; readonly now?: ShopRows[T] }[] {
    return [...this.now]
      .filter(([key]) => key.startsWith(`${type} `))
      .map(([key, now]) => ({ before: this.before.get(key)?.row, now: now?.row }) as { before?: ShopRows[T]; now?: ShopRows[T] });
  }

  /** The next number of a row that is called by one. */
  nextNumber(of: NumberedRow): string {
    const n = (this.numbers.get(of) ?? this.ask.firstFree(of) - 1) + 1;
    this.numbers.set(of, n);
    return rowNumber(of, n);
  }

  /** @throws {CommandError} not-found */
  jobIsThere(id: string): void {
    if (this.ask.jobNumber(id) === undefined) throw new CommandError('not-found', 'This job is not there, or no longer.', 'jobId');
  }

  outcome(label: string): ShopOutcome {
    const [made, changed, gone, before]: [ShopRow[], ShopRow[], ShopRow[], ShopRow[]] = [[], [], [], []];
    for (const [key, entity] of this.now) {
      const was = this.before.get(key);
      if (entity === (was ?? null)) continue;
      if (was) before.push(was);
      if (!entity && was) gone.push(was);
      if (entity) (was ? changed : made).push(entity);
    }
    const put = new Set([...made, ...changed].flatMap((e) => (e.type === 'part' ? [e.row.id] : [])));
    const told = [...this.told.values()].filter((part) => !put.has(part.id));
    const counted = told.flatMap((part) => (this.racked.has(part.id) ? [] : [part.id]));
    return { label, before, made, changed, gone, told, counted, movements: this.movements, numbers: this.numbers };
  }
}
