import { entriesOf, folded, formatConnector, headOf, type Catalogue, type PartEntry } from '@gewinde/core';

/** What is looked through of each part, worked out once a catalogue. */
const known = new WeakMap<Catalogue, readonly { readonly entry: PartEntry; readonly words: string }[]>();

function wordsOf(entry: PartEntry): string {
  const { id, name, code = '', supplier = '' } = headOf(entry);
  const ends = entry.kind === 'fitting' ? entry.part.ends.map(formatConnector).join(' ') : '';
  return folded(`${id} ${name} ${code} ${supplier} ${ends}`);
}

function listed(catalogue: Catalogue) {
  let list = known.get(catalogue);
  if (!list) known.set(catalogue, (list = entriesOf(catalogue).map((entry) => ({ entry, words: wordsOf(entry) }))));
  return list;
}

/** Parts of any kind whose name, code, id, supplier or ends have all the words; retired ones are left out. */
export function findEntries(
  catalogue: Catalogue,
  words: string,
  most = Infinity,
  wanted: (entry: PartEntry) => boolean = () => true,
): PartEntry[] {
  const asked = folded(words).split(/\s+/).filter(Boolean);
  const found: PartEntry[] = [];
  for (const { entry, words: own } of listed(catalogue)) {
    if (found.length >= most) break;
    if (!entry.part.retired && asked.every((word) => own.includes(word)) && wanted(entry)) found.push(entry);
  }
  return found;
}

/** The one part that a scanned or typed code, id or name is; undefined where it is none, or several. */
export function partByCode(catalogue: Catalogue, text: string): PartEntry | undefined {
  const wanted = folded(text.trim());
  const same = listed(catalogue).filter(({ entry: { part } }) =>
    [part.code, part.id, part.name].some((t) => t !== undefined && folded(t) === wanted),
  );
  return same.length === 1 ? same[0]!.entry : undefined;
}
