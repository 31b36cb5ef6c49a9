import fc from 'fast-check';
import { everyChain } from '../../testing/every-chain.js';
import { parseConnector } from '../connectors/index.js';
import { standardFittings, type Fitting } from '../fittings/index.js';
import { priceOnly, solveChains, type ChainQuery, type ChainWeights } from './index.js';

/** Small parts round -4 to -8, 1/8 to 1/4 and M10 to M14, so that chains, tees and dead ends all come up. */
const near = standardFittings().filter((f) =>
  f.ends.every((e) => ['4', '6', '1/8', 'M14x1.5'].includes(e.size) && e.family !== 'barb' && e.family !== 'drybreak'),
);
const ends = ['npt 1/8 f', 'rc 1/8 f', 'm14x1.5 f washer', 'orb6 f', 'an6 m', 'an4 m', 'an4 f swivel', 'an6 f swivel'];

const part = fc
  .record({
    fitting: fc.constantFrom(...near),
    priceMinor: fc.option(fc.integer({ min: 0, max: 3000 }), { nil: undefined }),
    shelf: fc.constantFrom(0, 0, 3),
    leadDays: fc.constantFrom(0, 2, 7, 10),
    material: fc.constantFrom('aluminium', 'steel'),
  })
  .map(({ fitting, priceMinor, ...stock }): Fitting => ({ ...fitting, ...(priceMinor === undefined ? {} : { priceMinor }), ...stock }));
/** Ids must differ, so that a part can be named. */
const catalogueOf = (parts: Fitting[]): Fitting[] => parts.map((f, i) => ({ ...f, id: `${i}:${f.id}` }));

const weights: fc.Arbitrary<ChainWeights> = fc.record({
  price: fc.constantFrom(1, 1, 0.5),
  unpricedMinor: fc.constantFrom(0, 900),
  toOrderMinor: fc.constantFrom(0, 300),
  leadDayMinor: fc.constantFrom(0, 60),
  stackMmMinor: fc.constantFrom(0, 7),
  smallThreadGramMinor: fc.constantFrom(0, 5),
  boreMmMinor: fc.constantFrom(0, 250),
  elbowMinor: fc.constantFrom(0, 400),
  elbows: fc.constantFrom('unwanted', 'either', 'wanted'),
  aimMinor: fc.constantFrom(0, 700),
  sealantMinor: fc.constantFrom(0, 350),
  furtherPartMinor: fc.constantFrom(0, 200),
});
const sometimes = <T>(value: fc.Arbitrary<T>): fc.Arbitrary<T | undefined> =>
  fc.oneof({ arbitrary: value, weight: 1 }, { arbitrary: fc.constant(undefined), weight: 4 });

const query: fc.Arbitrary<ChainQuery> = fc
  .record({
    parts: fc.array(part, { minLength: 16, maxLength: 30 }),
    from: fc.constantFrom(...ends),
    to: fc.constantFrom(...ends),
    weights,
    turnDeg: sometimes(fc.constantFrom(0, 45, 90)),
    leastBoreMm: sometimes(fc.constantFrom(3, 4.2)),
    mostStackMm: sometimes(fc.constantFrom(40, 75)),
    steelOnly: sometimes(fc.constant(true)),
    use: sometimes(fc.nat(3)),
    avoid: sometimes(fc.nat(3)),
    sensor: sometimes(fc.constantFrom('r 1/8 m', 'npt 1/8 m', 'm14x1.5 m washer')),
    needBoreMm: fc.constantFrom(0, 7.5),
  })
  .map(({ parts, from, to, turnDeg, leastBoreMm, mostStackMm, steelOnly, use, avoid, sensor, ...rest }) => {
    const fittings = catalogueOf(parts);
    return {
      ...rest,
      fittings,
      from: parseConnector(from),
      to: parseConnector(to),
      limit: 6,
      maxFittings: 3,
      takeOffs: sensor ? [{ to: 'sensor' as const, connector: parseConnector(sensor) }] : [],
      constraints: {
        ...(turnDeg === undefined ? {} : { turnDeg }),
        ...(leastBoreMm === undefined ? {} : { leastBoreMm }),
        ...(mostStackMm === undefined ? {} : { mostStackMm }),
        ...(steelOnly ? { materials: ['steel'] } : {}),
        ...(use === undefined ? {} : { use: [fittings[use]!.id] }),
        ...(avoid === undefined ? {} : { avoid: [fittings[avoid]!.id] }),
      },
    };
  });

describe('the chain solver against trying every chain', () => {
  it('finds the same best chains in the same order, whatever is weighed and wished', () => {
    let withChains = 0;
    let refused = 0;
    fc.assert(
      fc.property(query, (q) => {
        let answer;
        try {
          answer = solveChains(q);
        } catch (error) {
          // wishes that contradict one another: then no chain may meet them
          expect((error as { code: string }).code).toBe('chain-constraints');
          expect(everyChain(q)).toEqual([]);
          refused += 1;
          return;
        }
        const expected = everyChain(q).slice(0, 6);
        if (expected.length > 0) withChains += 1;
        expect(answer.complete).toBe(true);
        expect(answer.chains.map((c) => [c.jointCount, c.costMinor])).toEqual(expected.map((c) => [c.joints, c.cost]));
      }),
      { numRuns: 300, seed: 4711 },
    );
    expect(withChains).toBeGreaterThan(40);
    expect(refused).toBeGreaterThan(10);
  });

  it('finds the same when only the price counts', () => {
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 10, maxLength: 22 }),
        fc.constantFrom(...ends),
        fc.constantFrom(...ends),
        (parts, from, to) => {
          const q = { fittings: catalogueOf(parts), from: parseConnector(from), to: parseConnector(to), limit: 5, weights: priceOnly };
          const { chains } = solveChains(q);
          expect(chains.map((c) => [c.jointCount, c.priceMinor])).toEqual(
            everyChain(q)
              .slice(0, 5)
              .map((c) => [c.joints, c.cost]),
          );
        },
      ),
      { numRuns: 80 },
    );
  });
});
