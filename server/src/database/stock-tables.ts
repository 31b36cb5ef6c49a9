import type { StockEntities } from '@gewinde/core';
import { fromJson } from './from-json.js';

type Columns = Record<string, unknown>;
type Row<T extends keyof StockEntities> = StockEntities[T];

/** A table whose rows are read whole: what is searched by stands in columns of its own beside them. */
function whole<T extends { readonly id: string; readonly version: number }>(table: string, order: string, beside: (row: T) => Columns) {
  return {
    table,
    key: 'id',
    order,
    toColumns: (row: T): Columns => ({ id: row.id, version: row.version, ...beside(row), data: JSON.stringify(row) }),
    fromColumns: (c: Columns): T => ({ ...fromJson<T>(c['data']), version: c['version'] as number }),
  };
}

/** What is bought, kept and cut. */
export const stockTables = {
  supplier: whole<Row<'supplier'>>('suppliers', 'name', ({ name }) => ({ name })),
  offer: whole<Row<'offer'>>('supplier_offers', 'supplier_id', ({ supplierId, code }) => ({ supplier_id: supplierId, code: code ?? null })),
  stock: whole<Row<'stock'>>('shelves', 'id', ({ part }) => ({ part_id: part })),
  length: whole<Row<'length'>>('hose_lengths', 'id', ({ part, mm, state, kind }) => ({ part_id: part, mm, state, kind })),
  cut: whole<Row<'cut'>>('cuts_made', 'at', ({ jobId, at, lengthId }) => ({ job_id: jobId, at: new Date(at), length_id: lengthId })),
  order: whole<Row<'order'>>('purchase_orders', 'number', ({ number, supplierId, state }) => ({ number, supplier_id: supplierId, state })),
};
