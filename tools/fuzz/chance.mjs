/**
 * Numbers by chance that come again with the same seed (mulberry32, public domain).
 *
 * @param {number} seed
 */
export function chanceFrom(seed) {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    /** @param {number} share of all asked */
    in: (share) => next() < share,
    /** @param {number} from @param {number} to both may come */
    whole: (from, to) => from + Math.floor(next() * (to - from + 1)),
    /** @template T @param {readonly T[]} of @returns {T} */
    one: (of) => of[Math.floor(next() * of.length)],
  };
}
