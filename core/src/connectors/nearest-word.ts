/** Number of single-letter edits between two words, with neighbouring letters swapped counted as one. */
export function editDistance(a: string, b: string): number {
  const rows = Array.from({ length: a.length + 1 }, (_, i) => [i, ...Array<number>(b.length).fill(0)]);
  for (let j = 0; j <= b.length; j++) rows[0]![j] = j;
  for (let i = 1; i <= a.length; i++) {
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1];
      let best = Math.min(rows[i - 1]![j]! + 1, rows[i]![j - 1]! + 1, rows[i - 1]![j - 1]! + (same ? 0 : 1));
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) best = Math.min(best, rows[i - 2]![j - 2]! + 1);
      rows[i]![j] = best;
    }
  }
  return rows[a.length]![b.length]!;
}

const LONGEST = 24;

/** The known word closest to what was typed, if it is close enough to be meant. */
export function nearestWord(typed: string, known: readonly string[]): string | undefined {
  // no word of the notation is that long: nothing is near it
  if (typed.length > LONGEST) return undefined;
  const limit = typed.length <= 3 ? 1 : 2;
  return known
    .map((word) => ({ word, distance: editDistance(typed, word) }))
    .filter((entry) => entry.distance <= limit)
    .sort((a, b) => a.distance - b.distance)[0]?.word;
}
