import type { Grained } from './cut-problem.js';
import type { Plan } from './plan.js';

/**
 * A plan at once: the longest piece first, each into the opened bar that it fills best, else into the shortest new one that holds it. Good
 * enough to show while a better one is worked out.
 */
export function firstPlan({ sizes, bars, kerf }: Grained): Plan {
  const left = bars.map((b) => b.count);
  const opened: { bar: number; counts: number[]; room: number }[] = [];
  const unmet = sizes.map(() => 0);
  sizes.forEach(({ weight, wanted, length }, i) => {
    for (let n = 0; n < wanted; n++) {
      const fits = opened.filter((o) => o.room >= weight);
      const into = fits.reduce<(typeof opened)[number] | undefined>((best, o) => (!best || o.room < best.room ? o : best), undefined);
      if (into) {
        into.room -= weight;
        into.counts[i]! += 1;
        continue;
      }
      // bars stand longest first
      const bar = bars.findLastIndex((b, at) => left[at]! > 0 && b.length >= length);
      if (bar < 0) {
        unmet[i]! += 1;
        continue;
      }
      left[bar]! -= 1;
      const counts = sizes.map(() => 0);
      counts[i] = 1;
      opened.push({ bar, counts, room: bars[bar]!.length + kerf - weight });
    }
  });
  return { patterns: opened.map(({ bar, counts }) => ({ bar, counts })), unmet };
}
