/** The same chances every time. */
function chances(seed) {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

/** Cut plans and order plans of a full shop, each proven or within a known distance of the best. */
export async function benchCutting(core, measure) {
  const chance = chances(7);
  const demand = [431, 557, 684, 812, 1043, 1390].map((lengthMm, i) => ({
    id: `f${i}`,
    lengthMm,
    quantity: [40, 36, 34, 32, 30, 28][i] ?? 1,
  }));
  const stock = [
    ...[3000, 6000, 10_000].map((lengthMm) => ({ id: `new${lengthMm}`, lengthMm, quantity: null })),
    ...Array.from({ length: 40 }, (_, i) => ({ id: `offcut${i}`, lengthMm: Math.round(400 + chance() * 1800), quantity: 1 })),
  ];
  const problem = { stock, kerfMm: 2, demand };
  await measure('first cut plan: 200 pieces, 3 lengths, 40 offcuts', 50, () => core.planCutsAtOnce(problem));
  let plan = await core.planCuts(problem);
  await measure('cut plan of the same', 5, async () => (plan = await core.planCuts(problem)));
  console.log(
    `  opened ${plan.usedMm} mm, bound ${plan.boundMm} mm: ${plan.provenOptimal ? 'proven' : `within ${((plan.usedMm / plan.boundMm - 1) * 100).toFixed(3)} %`}`,
  );
  // small ones are known to be the least: forty pieces on what a shop buys, sixty that fill their bars three by three
  const shop = [1000, 1500, 2000, 2500, 3000, 4000, 5000, 6000].map((lengthMm) => ({ id: `${lengthMm}`, lengthMm, quantity: null }));
  const forty = Array.from({ length: 40 }, (_, i) => ({ id: `p${i}`, lengthMm: 203 + ((i * 389) % 1697), quantity: 1 }));
  const full = Array.from({ length: 20 }, (_, i) => {
    const [a, b] = [260 + ((i * 37) % 140), 270 + ((i * 53) % 190)];
    return [a, b, 1000 - a - b];
  });
  const sixty = full.flat().map((lengthMm, i) => ({ id: `p${i}`, lengthMm, quantity: 1 }));
  for (const [name, small] of Object.entries({
    'cut plan: 40 pieces on 8 lengths': { stock: shop, kerfMm: 2, demand: forty },
    'cut plan: 60 pieces that fill 20 bars': { stock: [{ id: 'bar', lengthMm: 1004, quantity: null }], kerfMm: 2, demand: sixty },
  })) {
    await measure(name, 3, async () => (plan = await core.planCuts(small)));
    console.log(`  opened ${plan.usedMm} mm: ${plan.provenOptimal ? 'proven' : `bound ${plan.boundMm} mm`}`);
  }
  const suppliers = Array.from({ length: 6 }, (_, i) => ({
    id: `s${i}`,
    carriageMinor: 600 + i * 150,
    ...(i % 2 ? { freeFromMinor: 15_000 } : {}),
    ...(i === 3 ? { leastOrderMinor: 4000 } : {}),
  }));
  const needs = Array.from({ length: 150 }, (_, i) => ({ part: `p${i}`, quantity: 1 + Math.floor(chance() * 12) }));
  const offers = needs.flatMap(({ part }, i) =>
    suppliers
      .filter((_, s) => chance() < 0.5 || s === i % 6)
      .map((s, k) => {
        const one = 200 + Math.floor(chance() * 3000);
        return {
          id: `${part}-${s.id}`,
          supplier: s.id,
          holds: [{ part, quantity: chance() < 0.3 ? 5 : 1 }],
          prices: [1, 5, 10].map((fromPacks, at) => ({ fromPacks, packMinor: Math.round(one * (1 - at / 10)) })),
          leadDays: 2 + k,
        };
      }),
  );
  await measure(`order plan: 150 parts, ${offers.length} offers of 6 suppliers`, 5, () =>
    core.planOrder({ needs, offers, suppliers, goal: /** @type {const} */ ('cost') }),
  );
}
