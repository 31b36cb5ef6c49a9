/** Rows that go into one statement: bounded, so that no change outgrows what the database takes at once. */
const AT_ONCE = 200;

export function* lots<T>(list: readonly T[], size = AT_ONCE): Generator<T[]> {
  for (let at = 0; at < list.length; at += size) yield list.slice(at, at + size);
}
