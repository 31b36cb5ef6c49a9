import {
  entriesOf,
  findEntry,
  folded,
  guessPriceColumns,
  readPriceList,
  soldByLength,
  type OfferPreview,
  type PartEntry,
  type ReadPrices,
  type ShopChange,
  type SupplierRow,
} from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { readCatalogue } from '../catalogue/catalogue-store.js';
import { readCsv, type List } from '../csv/read-csv.js';
import { listRows, type Entity } from '../database/entities.js';
import { writeRows } from '../database/write-rows.js';
import { AppError } from '../errors/app-error.js';
import { changeRows } from '../history/change-rows.js';
import { asShopChange, type Sender } from '../history/change.js';

type Mapping = Readonly<Record<string, number>>;
/** Lines and errors shown in a preview. */
const SHOWN = 50;

async function read(
  db: Knex,
  supplierId: string,
  list: List,
  mapping: Mapping,
): Promise<ReadPrices & { names: (part: string) => string; byLength: (part: string) => boolean }> {
  const [supplier]: SupplierRow[] = await listRows(db, 'supplier', { id: supplierId });
  if (!supplier) throw new AppError('not-found', 'This supplier is not there, or no longer.', { field: 'supplierId' });
  const catalogue = await readCatalogue(db);
  const byCode = new Map(
    entriesOf(catalogue).flatMap((entry): [string, PartEntry][] =>
      entry.part.code && !entry.part.retired ? [[folded(entry.part.code), entry]] : [],
    ),
  );
  const offers = await listRows(db, 'offer', { supplier_id: supplierId });
  return {
    ...readPriceList(list.rows, mapping, supplier, offers, catalogue, byCode),
    names: (part) => findEntry(catalogue, part)?.part.name ?? part,
    byLength: (part) => {
      const entry = findEntry(catalogue, part);
      return entry !== undefined && soldByLength(entry);
    },
  };
}

/** What a supplier's price list would change, without changing it. @throws {AppError} list-unreadable, not-found */
export async function previewOffers(db: Knex, supplierId: string, csv: string, given?: Mapping): Promise<OfferPreview> {
  const list = readCsv(csv);
  const mapping = given ?? guessPriceColumns(list.headings);
  const { added, changed, unchanged, errors, names, byLength } = await read(db, supplierId, list, mapping);
  const told = [...changed.map(({ before, offer }) => ({ offer, before })), ...added.map((offer) => ({ offer, before: undefined }))];
  return {
    headings: list.headings,
    sample: list.rows.slice(0, 5),
    lines: list.rows.length,
    mapping,
    counts: { added: added.length, changed: changed.length, unchanged, errors: errors.length },
    changes: told
      .slice(0, SHOWN)
      .map(({ offer, before }) => ({
        name: names(offer.holds[0]!.part),
        ...(offer.code ? { code: offer.code } : {}),
        packMinor: offer.prices[0]!.packMinor,
        holds: offer.holds[0]!.quantity,
        ...(byLength(offer.holds[0]!.part) ? { byLength: true as const } : {}),
        breaks: offer.prices.length - 1,
        ...(before ? { wasMinor: before.prices[0]!.packMinor, held: before.holds[0]!.quantity, breaksWere: before.prices.length - 1 } : {}),
      })),
    errors: errors.slice(0, SHOWN),
  };
}

/** Takes a price list in, all of it or nothing. @throws {AppError} list-unreadable, list-errors, not-found */
export async function importOffers(db: Knex, supplierId: string, csv: string, mapping: Mapping, sender: Sender): Promise<ShopChange> {
  const list = readCsv(csv);
  return asShopChange(
    await changeRows(db, 'shop', sender, async (trx) => {
      const { added, changed, errors } = await read(trx, supplierId, list, mapping);
      const [first] = errors;
      if (first)
        throw new AppError('list-errors', `Line ${first.line}: ${first.message} Nothing was taken in.`, { field: first.column ?? 'csv' });
      const made = added.map((offer): Entity => ({ type: 'offer', row: { id: randomUUID(), ...offer, version: 1 } }));
      const put = changed.map(({ before, offer }): Entity => ({
        type: 'offer',
        row: { ...offer, id: before.id, version: before.version + 1 },
      }));
      await writeRows(trx, { made, changed: put, gone: [] });
      return {
        label: `Take in a price list: ${made.length} new, ${put.length} changed`,
        before: changed.map(({ before }): Entity => ({ type: 'offer', row: before })),
        after: [...made, ...put],
      };
    }),
  );
}
