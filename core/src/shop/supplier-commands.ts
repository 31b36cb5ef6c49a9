import { CommandError } from '../commands/index.js';
import { offerProblem, supplierProblem, type OfferRow, type StockCommandOf } from '../stock/index.js';
import type { ShopDraft } from './shop-draft.js';

function sound(problem: { readonly field: string; readonly message: string } | undefined): void {
  if (problem) throw new CommandError('bad-value', problem.message, problem.field);
}

function nameIsFree(draft: ShopDraft, name: string, id: string): void {
  const called = name.trim().toLowerCase();
  const here = draft.changes('supplier').find((c) => c.now?.name.toLowerCase() === called)?.now?.id;
  const owner = here ?? draft.ask.supplierCalled(name.trim());
  if (owner !== undefined && owner !== id) throw new CommandError('bad-value', `There is a supplier ${name.trim()} already.`, 'name');
}

export function addSupplier(draft: ShopDraft, { id = draft.context.newId(), supplier }: StockCommandOf<'add-supplier'>): string {
  sound(supplierProblem(supplier));
  nameIsFree(draft, supplier.name, id);
  draft.add('supplier', { id, ...supplier, name: supplier.name.trim(), version: 1 });
  return `Add supplier ${supplier.name}`;
}

export function editSupplier(draft: ShopDraft, { id, version, supplier }: StockCommandOf<'edit-supplier'>): string {
  sound(supplierProblem(supplier));
  draft.editable('supplier', id, version);
  nameIsFree(draft, supplier.name, id);
  draft.put('supplier', { id, ...supplier, name: supplier.name.trim(), version });
  return `Edit supplier ${supplier.name}`;
}

type Fields = Omit<OfferRow, 'id' | 'version'>;

/** What holds for an offer by whatever door: it is sound, its supplier and its parts are there, its code is its supplier's only one. @throws {CommandError} */
function checkOffer(draft: ShopDraft, id: string, offer: Fields): void {
  sound(offerProblem(offer));
  const supplier = draft.row('supplier', offer.supplierId);
  const unknown = offer.holds.map((h) => h.part).find((part) => !draft.find('part', part));
  if (unknown !== undefined) throw new CommandError('bad-value', `"${unknown}" is not in the catalogue.`, 'holds');
  if (offer.code === undefined) return;
  const same = (code: string | undefined): boolean => code?.toLowerCase() === offer.code!.toLowerCase();
  const stored = draft.ask.offersOf(supplier.id).flatMap((o) => draft.find('offer', o.id) ?? []);
  const here = draft.changes('offer').flatMap(({ now }) => (now?.supplierId === supplier.id ? [now] : []));
  if ([...stored, ...here].some((other) => other.id !== id && same(other.code)))
    throw new CommandError('bad-value', `${supplier.name} has the code "${offer.code}" already, on another offer.`, 'code');
}

export function addOffer(draft: ShopDraft, { id = draft.context.newId(), offer }: StockCommandOf<'add-offer'>): string {
  checkOffer(draft, id, offer);
  draft.add('offer', { id, ...offer, version: 1 });
  return `Add an offer of ${draft.row('supplier', offer.supplierId).name}`;
}

export function editOffer(draft: ShopDraft, { id, version, offer }: StockCommandOf<'edit-offer'>): string {
  draft.editable('offer', id, version);
  checkOffer(draft, id, offer);
  draft.put('offer', { id, ...offer, version });
  return `Edit an offer of ${draft.row('supplier', offer.supplierId).name}`;
}

export function deleteOffer(draft: ShopDraft, { id, version }: StockCommandOf<'delete-offer'>): string {
  const before = draft.editable('offer', id, version);
  draft.remove('offer', id);
  return `Take out an offer of ${draft.row('supplier', before.supplierId).name}`;
}
