import type { PartEntry } from './catalogue-part.js';

/** What a list does once the shelves of the parts that are there are left as they are. */
export interface ShelvesLeft {
  readonly changed: readonly PartEntry[];
  /** Parts of which the list says nothing else anew. */
  readonly unchanged: number;
  /** Parts of which the list says another shelf than there is. */
  readonly shelves: number;
}

/**
 * What a list says of the shelf of a part was true when the list was written: what was taken since is not put back by it. The shelves of
 * parts that are there are left as they are, unless somebody says that the list is a count.
 * @param changed parts that are there, as the list has them
 * @param counted the list is a count: its shelves are taken
 */
export function withShelves(changed: readonly PartEntry[], known: readonly PartEntry[], counted: boolean): ShelvesLeft {
  const before = new Map(known.map((entry) => [entry.part.id, entry]));
  const kept: PartEntry[] = [];
  let shelves = 0;
  for (const entry of changed) {
    const was = before.get(entry.part.id);
    if (!was || (was.part.shelf ?? 0) === (entry.part.shelf ?? 0)) {
      kept.push(entry);
      continue;
    }
    shelves += 1;
    if (counted) {
      kept.push(entry);
      continue;
    }
    const { shelf: _, ...rest } = entry.part;
    const left = { ...entry, part: { ...rest, ...(was.part.shelf === undefined ? {} : { shelf: was.part.shelf }) } } as PartEntry;
    if (said(left) !== said(was)) kept.push(left);
  }
  return { changed: kept, unchanged: changed.length - kept.length, shelves };
}

/** What a part says, in an order of its own. */
function said({ part }: PartEntry): string {
  return JSON.stringify(part, (_, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
}
