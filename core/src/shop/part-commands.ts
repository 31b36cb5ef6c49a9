import { CommandError } from '../commands/index.js';
import { isKnownConnector, newPart, withListing } from '../fittings/index.js';
import { checkPart, soldByLength, type PartEntry } from '../job/index.js';
import type { CatalogueCommandOf } from './catalogue-command-schemas.js';
import type { ShopDraft } from './shop-draft.js';

/** A part of the shop's own. Of a fitting, what is not said follows from its ends. @throws {CommandError} part-unsound, part-taken, code-taken */
export function addPart(draft: ShopDraft, { entry: given }: CatalogueCommandOf<'add-part'>): string {
  const entry = given.kind === 'fitting' ? newFitting(given.part) : tidied(given);
  sound(entry);
  keptByLength(entry);
  const { id, name } = entry.part;
  if (draft.find('part', id))
    throw new CommandError('part-taken', `The catalogue has "${id}" already. Give this one a code of its own, or edit that one.`, 'id');
  codeIsFree(draft, entry);
  draft.put('part', { id, version: 1, origin: 'own', ...entry });
  return `Add ${name}`;
}

/** @throws {CommandError} not-found, conflict (with the part as it stands), part-unsound, code-taken */
export function editPart(draft: ShopDraft, { id, version, entry: given }: CatalogueCommandOf<'edit-part'>): string {
  const before = draft.find('part', id);
  if (!before) throw new CommandError('not-found', 'This part is not in the catalogue.');
  if (before.kind !== given.kind || given.part.id !== id) throw new CommandError('part-unsound', 'A part stays what it is.', 'kind');
  // a shelf that was counted is empty, not unknown
  const counted = before.part.shelf !== undefined && given.part.shelf === undefined ? { shelf: 0 } : {};
  // sent back as it was, it says nothing anew
  const { listed } = before.part;
  const relisted = listed && JSON.stringify(given.part.listed) === JSON.stringify(listed) ? { listed } : {};
  const entry = tidied({ ...given, part: withListing(before.part, { ...given.part, ...counted, ...relisted }) } as PartEntry);
  sound(entry);
  if (before.version === version) keptByLength(entry, before);
  draft.editable('part', id, version);
  codeIsFree(draft, entry);
  draft.put('part', { id, version, origin: 'own', ...entry });
  const retired = entry.part.retired ?? false;
  const label = retired === (before.part.retired ?? false) ? 'Edit' : retired ? 'Take out' : 'Put back';
  return `${label} ${before.part.name}`;
}

type NewFitting = Extract<CatalogueCommandOf<'add-part'>['entry'], { kind: 'fitting' }>['part'];

/** Proportions can only be worked out for ends that are known. */
function newFitting(given: NewFitting): PartEntry {
  const { code, ...rest } = given;
  const unknown = given.ends.find((end) => !isKnownConnector(end));
  if (unknown) sound({ kind: 'fitting', part: { ...given, id: given.id ?? 'new', name: given.name ?? 'new' } });
  const part = newPart({ ...rest, ...(code ? { code: code.trim() } : {}) });
  if (!part) throw new CommandError('part-unsound', 'A part needs its ends.', 'ends');
  return { kind: 'fitting', part };
}

function tidied(entry: PartEntry): PartEntry {
  const { code } = entry.part;
  return code === undefined ? entry : ({ ...entry, part: { ...entry.part, code: code.trim() } } as PartEntry);
}

/** Of what is cut, its lengths on the rack say how much there is. */
function keptByLength(entry: PartEntry, before?: PartEntry): void {
  if (!soldByLength(entry) || (entry.part.shelf ?? 0) === (before?.part.shelf ?? 0)) return;
  throw new CommandError('part-unsound', 'What is cut is kept by its lengths: put them on the rack in Store.', 'shelf');
}

function sound(entry: PartEntry): void {
  const problem = checkPart(entry)[0];
  if (problem) throw new CommandError('part-unsound', problem.message, problem.field);
}

function codeIsFree(draft: ShopDraft, { part: { id, code } }: PartEntry): void {
  if (!code) return;
  const here = draft.changes('part').find((c) => c.now?.part.code?.toLowerCase() === code.toLowerCase())?.now;
  const owner = here ? { id: here.id, name: here.part.name } : draft.ask.partOfCode(code);
  if (owner && owner.id !== id) throw new CommandError('code-taken', `The code "${code}" belongs to ${owner.name}.`, 'code');
}
