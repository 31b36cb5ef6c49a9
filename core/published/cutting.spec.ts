import { planCuts, type CutProblem } from '../src/index.js';

/** The same chances every time. */
function chances(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

/**
 * Filled by construction: each bar is cut into three pieces without waste, so that the least number of bars is known. The manner of the triplet
 * instances of Falkenauer 1996, with kerfs; invented figures.
 */
function triplets(bars: number, lengthMm: number, kerfMm: number, seed: number): CutProblem {
  const chance = chances(seed);
  const demand = Array.from({ length: bars }, (_, i) => {
    const room = lengthMm - 2 * kerfMm;
    const first = Math.round(room * (0.38 + 0.1 * chance()));
    const second = Math.round((room - first) * (0.42 + 0.12 * chance()));
    return [first, second, room - first - second].map((mm, j) => ({ id: `p${i}.${j}`, lengthMm: mm, quantity: 1 }));
  }).flat();
  return { stock: [{ id: 'bar', lengthMm, quantity: null }], kerfMm, demand: demand.sort((a, b) => a.id.localeCompare(b.id)) };
}

describe('cutting stock with a known optimum: bars filled by construction', () => {
  it.each([
    [4, 1000, 0, 7],
    [5, 2000, 3, 11],
    [6, 1500, 2, 23],
  ])('%d bars of %d mm with a kerf of %d mm', async (bars, lengthMm, kerfMm, seed) => {
    const plan = await planCuts(triplets(bars, lengthMm, kerfMm, seed));
    expect(plan.unmet).toEqual([]);
    expect(plan.usedMm).toBe(bars * lengthMm);
    expect(plan.boundMm).toBeLessThanOrEqual(plan.usedMm);
    expect(plan.provenOptimal).toBe(true);
  });

  it('a textbook order: 97 of 45, 610 of 36, 395 of 31, 211 of 14 from bars of 100 take 453 (Chvátal 1983, from memory)', async () => {
    const demand = [
      [45, 97],
      [36, 610],
      [31, 395],
      [14, 211],
    ].map(([lengthMm, quantity]) => ({ id: `w${lengthMm}`, lengthMm: lengthMm!, quantity: quantity! }));
    const plan = await planCuts({ stock: [{ id: 'roll', lengthMm: 100, quantity: null }], kerfMm: 0, demand });
    expect(plan.cuts).toHaveLength(453);
    expect(plan.provenOptimal).toBe(true);
  });
});
