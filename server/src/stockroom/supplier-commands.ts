import { CommandError, offerProblem, supplierProblem, type OfferRow, type StockCommandOf } from '@gewinde/core';
import { randomUUID } from 'node:crypto';
import type { StockDraft } from './stock-draft.js';

function sound(problem: { readonly field: string; readonly message: string } | undefined): void {
  if (problem) throw new CommandError('bad-value', problem.message, problem.field);
}

async function nameIsFree({ trx }: StockDraft, name: string, id: string): Promise<void> {
  if (await trx('suppliers').where({ name: name.trim() }).whereNot({ id }).first('id'))
    throw new CommandError('bad-value', `There is a supplier ${name.trim()} already.`, 'name');
}

export async function addSupplier(draft: StockDraft, { id = randomUUID(), supplier }: StockCommandOf<'add-supplier'>): Promise<string> {
  sound(supplierProblem(supplier));
  if (await draft.find('supplier', id)) throw new CommandError('id-taken', 'There is a row with this id already.', 'id');
  await nameIsFree(draft, supplier.name, id);
  draft.put('supplier', { id, ...supplier, name: supplier.name.trim(), version: 1 });
  return `Add supplier ${supplier.name}`;
}

export async function editSupplier(draft: StockDraft, { id, version, supplier }: StockCommandOf<'edit-supplier'>): Promise<string> {
  sound(supplierProblem(supplier));
  const before = await draft.editable('supplier', id, version);
  await nameIsFree(draft, supplier.name, id);
  draft.put('supplier', { id, ...supplier, name: supplier.name.trim(), version: before.version });
  return `Edit supplier ${supplier.name}`;
}

type Fields = Omit<OfferRow, 'id' | 'version'>;

/** What holds for an offer by whatever door: it is sound, its supplier and its parts are there, its code is its supplier's only one. @throws {CommandError} */
export async function checkOffer(draft: StockDraft, id: string, offer: Fields): Promise<void> {
  sound(offerProblem(offer));
  const supplier = await draft.row('supplier', offer.supplierId);
  const parts = offer.holds.map((h) => h.part);
  const known = new Set(await draft.trx('parts').whereIn('id', parts).pluck<string[]>('id'));
  const unknown = parts.find((part) => !known.has(part));
  if (unknown !== undefined) throw new CommandError('bad-value', `"${unknown}" is not in the catalogue.`, 'holds');
  if (offer.code === undefined) return;
  const other: { id: string } | undefined = await draft
    .trx('supplier_offers')
    .where({ supplier_id: supplier.id, code: offer.code })
    .whereNot({ id })
    .first('id');
  if (other) throw new CommandError('bad-value', `${supplier.name} has the code "${offer.code}" already, on another offer.`, 'code');
}

export async function addOffer(draft: StockDraft, { id = randomUUID(), offer }: StockCommandOf<'add-offer'>): Promise<string> {
  if (await draft.find('offer', id)) throw new CommandError('id-taken', 'There is a row with this id already.', 'id');
  await checkOffer(draft, id, offer);
  draft.put('offer', { id, ...offer, version: 1 });
  return `Add an offer of ${(await draft.row('supplier', offer.supplierId)).name}`;
}

export async function editOffer(draft: StockDraft, { id, version, offer }: StockCommandOf<'edit-offer'>): Promise<string> {
  const before = await draft.editable('offer', id, version);
  await checkOffer(draft, id, offer);
  draft.put('offer', { id, ...offer, version: before.version });
  return `Edit an offer of ${(await draft.row('supplier', offer.supplierId)).name}`;
}

export async function deleteOffer(draft: StockDraft, { id, version }: StockCommandOf<'delete-offer'>): Promise<string> {
  const before = await draft.editable('offer', id, version);
  draft.remove('offer', id);
  return `Take out an offer of ${(await draft.row('supplier', before.supplierId)).name}`;
}
