/**
 * Ids for the rows that a change makes, counted on from the key of the change: whoever carries the change out, here or on the server,
 * gives the same rows the same ids.
 *
 * @param key an UUID
 */
export function rowIds(key: string): () => string {
  const last = 24;
  let next = BigInt(`0x${key.slice(last)}`);
  return () => {
    next = (next + 1n) % (1n << 48n);
    return key.slice(0, last) + next.toString(16).padStart(12, '0');
  };
}
