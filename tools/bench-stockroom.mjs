import knex from 'knex';

/** The same chances every time. */
function chances(seed) {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

/** Plans as the screen asks for them, worked out in a thread of the server; then a store in which every part has a shelf. */
export async function benchStockroom(measure, call, { databaseUrl }) {
  const chance = chances(11);
  const lengths = [431, 557, 684, 812, 1043, 1390];
  const pieces = Array.from({ length: 200 }, (_, i) => ({ id: `p${i}`, lengthMm: lengths[i % 6] }));
  const group = {
    part: 'hose',
    pieces,
    lengths: Array.from({ length: 40 }, (_, i) => ({ id: `o${i}`, kind: 'offcut', mm: Math.round(400 + chance() * 1800) })),
    offers: [3000, 6000, 10_000].map((mm) => ({ id: `new${mm}`, mm })),
  };
  for (const offcutsFirst of [true, false]) {
    const body = { groups: [group], rules: { kerfMm: 2, endTrimMm: 10, leastOffcutMm: 250, offcutsFirst } };
    /** @type {{ bars: unknown[], openedMm: number, boundMm: number, proven: boolean }} */
    let plan = { bars: [], openedMm: 0, boundMm: 0, proven: false };
    await measure(`POST a cut plan, 200 pieces, ${offcutsFirst ? 'offcuts first' : 'all at once'}`, 3, async () => {
      plan = (await call('POST', '/api/plans/cuts', body)).plans[0];
    });
    const gap = plan.boundMm > 0 ? (plan.openedMm / plan.boundMm - 1) * 100 : 0;
    console.log(`  ${plan.bars.length} lengths, ${plan.openedMm} mm opened: ${plan.proven ? 'proven' : `within ${gap.toFixed(3)} %`}`);
  }
  const db = knex({ client: 'mysql2', connection: databaseUrl });
  try {
    const parts = await db('parts').where('kind', 'fitting').limit(20_000).pluck('id');
    for (let at = 0; at < parts.length; at += 500) {
      const rows = parts.slice(at, at + 500).map((part) => {
        const data = { id: `shelf ${part}`, part, reserved: [], least: 2, place: `drawer ${at}`, version: 1 };
        return { id: data.id, version: 1, part_id: part, data: JSON.stringify(data) };
      });
      await db('shelves').insert(rows).onConflict('id').ignore();
    }
    await measure(`GET the stockroom, ${parts.length} shelves`, 20, () => call('GET', '/api/stockroom'));
    await measure('GET the catalogue beside it, as it is kept', 20, () => call('GET', '/api/catalogue'));
  } finally {
    await db.destroy();
  }
}
