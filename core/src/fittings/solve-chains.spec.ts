import fc from 'fast-check';
import { connectorKey, formatConnector, parseConnector, type Connector } from '../connectors/index.js';
import { mate } from '../seals/index.js';
import { adapter, counterpart, solveChains, standardAdapters, type Fitting } from './index.js';

const catalogue: Fitting[] = standardAdapters().map((f, i) => ({ ...f, priceMinor: 300 + ((i * 37) % 900) }));
const byId = new Map(catalogue.map((f) => [f.id, f]));
const solve = (from: string, to: string, options = {}) =>
  solveChains({ from: parseConnector(from), to: parseConnector(to), fittings: catalogue, ...options });

describe('the standard adapters', () => {
  it('are several hundred, each with its own id and whole dimensions', () => {
    expect(catalogue.length).toBeGreaterThan(350);
    expect(byId.size).toBe(catalogue.length);
    for (const f of catalogue) {
      expect(f.lengthMm).toBeGreaterThan(3);
      expect(f.boreMm).toBeGreaterThan(1);
      if (f.angleDeg) expect(f.legsMm).toHaveLength(2);
    }
  });
});

describe('solveChains', () => {
  it('needs no adapter where the two seal already', () => {
    const { chains, missingLinks } = solve('an6 m', 'an6 f swivel', { limit: 1 });
    expect(chains[0]).toMatchObject({ fittings: [], priceMinor: 0, lengthMm: 0 });
    expect(chains[0]!.joints).toHaveLength(1);
    expect(missingLinks).toEqual([]);
  });

  it('finds the one adapter from a metric port to a hose end, and puts it first', () => {
    const { chains } = solve('m14x1.5 f washer', 'an6 f swivel');
    expect(chains[0]!.fittings).toEqual([{ id: 'm14x1.5mwasher+an6m', inEnd: 0, outEnd: 1 }]);
    expect(chains[0]!.joints.map((j) => j.kind)).toEqual(['washer', 'cone']);
    expect(chains.length).toBeGreaterThan(3);
  });

  it('says which single part would do it where no chain exists', () => {
    const fittings = [adapter(parseConnector('npt 1/8 m'), parseConnector('an4 m'), 0)];
    const { chains, missingLinks } = solveChains({ from: parseConnector('npt 1/8 f'), to: parseConnector('an6 f swivel'), fittings });
    expect(chains).toEqual([]);
    expect(missingLinks.map((l) => [formatConnector(l.from), formatConnector(l.to), l.saves])).toEqual([
      ['npt 1/8 m', 'an6 m', 'closes the gap with one part and two joints'],
    ]);
  });

  it('names the part that would save a joint', () => {
    const { chains, missingLinks } = solve('npt 1/8 f', 'an12 f swivel');
    expect(chains[0]!.fittings.length).toBeGreaterThan(1);
    expect(missingLinks[0]!.saves).toMatch(/^saves/);
  });

  it('keeps to the limits it is given and refuses absurd ones', () => {
    expect(solve('npt 1/4 f', 'an6 f swivel', { limit: 2 }).chains).toHaveLength(2);
    expect(solve('npt 1/8 f', 'an16 f swivel', { maxFittings: 1 }).chains).toEqual([]);
    expect(() => solve('an6 m', 'an6 f', { limit: 0 })).toThrow(RangeError);
    expect(() => solve('an6 m', 'an6 f', { maxFittings: 99 })).toThrow(RangeError);
  });

  it('finds nothing for a seat that is not stated', () =>
    expect(solve('m14x1.5 f', 'an6 f swivel')).toEqual({ chains: [], missingLinks: [] }));

  const anyEnd: fc.Arbitrary<Connector> = fc.constantFrom(
    ...new Map(catalogue.flatMap((f) => f.ends).map((c) => [connectorKey(c), c])).values(),
  );

  it('returns only chains whose every joint seals, in order, and as good as a plain search finds', () => {
    fc.assert(
      fc.property(anyEnd, anyEnd, (from, to) => {
        const { chains } = solveChains({ from, to, fittings: catalogue, limit: 6, maxFittings: 2 });
        let last = [-1, -1];
        for (const chain of chains) {
          let exposed = from;
          let price = 0;
          for (const link of chain.fittings) {
            const f = byId.get(link.id)!;
            expect(mate(exposed, f.ends[link.inEnd]!).outcome).toBe('seals');
            exposed = f.ends[link.outEnd]!;
            price += f.priceMinor!;
          }
          expect(mate(exposed, to).outcome).toBe('seals');
          expect(chain.joints).toHaveLength(chain.fittings.length + 1);
          expect(chain.priceMinor).toBe(price);
          const cost = [chain.fittings.length, price];
          expect(cost[0]! - last[0]! || cost[1]! - last[1]!).toBeGreaterThanOrEqual(0);
          last = cost;
        }
        expect(chains[0]?.fittings.length).toBe(plainSearch(from, to));
      }),
      { numRuns: 25 },
    );
  });

  /** Fewest fittings by trying all of up to two. */
  function plainSearch(from: Connector, to: Connector): number | undefined {
    const step = (c: Connector): Connector[] =>
      catalogue.flatMap((f) => f.ends.flatMap((end, i) => (mate(c, end).outcome === 'seals' ? f.ends.filter((_, j) => j !== i) : [])));
    const unique = (list: Connector[]): Connector[] => [...new Map(list.map((c) => [connectorKey(c), c])).values()];
    let front = [from];
    for (let count = 0; count <= 2; count++) {
      if (front.some((c) => mate(c, to).outcome === 'seals')) return count;
      front = unique(front.flatMap(step));
    }
    return undefined;
  }
});

describe('counterpart', () => {
  it.each([
    ['an6 m', 'an6 f swivel'],
    ['m14x1.5 f washer', 'm14x1.5 m washer'],
    ['orb6 m adjustable', 'orb6 f'],
    ['banjo m12x1.5', 'm12x1.5 f washer'],
    ['barb 3/8', 'hose 3/8'],
  ])('of %s is %s', (a, b) => expect(formatConnector(counterpart(parseConnector(a))!)).toBe(b));
});
