import { parseConnector } from '../connectors/index.js';
import { commonFittings } from '../fittings/index.js';
import { fewestThrough, solveChains } from './index.js';

const fittings = commonFittings().slice(0, 400);

it('is never more than a chain through the part takes, and says so where none leads through it', () => {
  for (const [from, to] of [
    ['m14x1.5 f washer', 'an6 f swivel'],
    ['npt 1/8 f', 'an4 f swivel'],
    ['orb8 f', 'an10 f swivel'],
  ] as const) {
    const query = { from: parseConnector(from), to: parseConnector(to), fittings };
    const fewest = fewestThrough(query);
    for (const part of fittings.filter((f, i) => i % 9 === 0 && f.ends.length === 2)) {
      const { chains } = solveChains({ ...query, limit: 1, constraints: { use: [part.id] } });
      if (chains[0]) expect(fewest(part)).toBeLessThanOrEqual(chains[0].fittings.length);
      if (fewest(part) === Infinity) expect(chains).toEqual([]);
    }
  }
});
