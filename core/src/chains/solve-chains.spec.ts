import fc from 'fast-check';
import { formatConnector, endForm, parseConnector } from '../connectors/index.js';
import { adapter, standardFittings, turnBetween, type Fitting } from '../fittings/index.js';
import { counterpart, solveChains, usualWeights, whyNone } from './index.js';
import { inHouseUnits } from '../units/index.js';

const catalogue: Fitting[] = standardFittings()
  .slice(0, 3500)
  .map((f, i) => ({ ...f, priceMinor: 300 + ((i * 37) % 900) }));
const byId = new Map(catalogue.map((f) => [f.id, f]));
const solve = (from: string, to: string, options = {}) =>
  solveChains({ from: parseConnector(from), to: parseConnector(to), fittings: catalogue, ...options });

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
    expect(solve('m20x1.5 f', 'an6 f swivel')).toEqual({ chains: [], missingLinks: [], complete: true }));

  it('gives the open end of a tee to the sensor that must go somewhere, and plugs what is left', () => {
    const takeOffs = [{ to: 'sensor' as const, connector: parseConnector('r 1/8 m') }];
    const { chains } = solve('rc 1/8 f', 'an4 f swivel', { takeOffs, limit: 3 });
    expect(chains[0]!.fittings).toEqual([{ id: 'r1/8m+an4m+rc1/8f', inEnd: 0, outEnd: 1 }]);
    expect(chains[0]!.branches).toMatchObject([{ at: 0, end: 2, to: 'sensor', takeOff: 0, fittings: [] }]);
    expect(chains[0]!.jointCount).toBe(3);
    const cross = solve('an6 m', 'an6 f swivel', { takeOffs, constraints: { use: ['an6m+an6m+an6m+an6m'] }, limit: 1 }).chains[0]!;
    expect(cross.branches.map((b) => b.to).sort()).toEqual(['plug', 'sensor']);
    expect(cross.branches.flatMap((b) => b.joints).every((j) => j.outcome === 'seals')).toBe(true);
  });

  it('takes a part with a function only when it is asked for, and only the right way round', () => {
    const valve = 'an6m+an6m#checkvalve';
    expect(
      solve('orb6 f', 'an6 f swivel', { limit: 60 })
        .chains.flatMap((c) => c.fittings)
        .some((l) => l.id === valve),
    ).toBe(false);
    for (const [flow, inEnd] of [
      ['from-to', 0],
      ['to-from', 1],
    ] as const) {
      const { chains } = solve('orb6 f', 'an6 f swivel', { constraints: { use: [valve] }, flow, limit: 1 });
      expect(chains[0]!.fittings.find((l) => l.id === valve)).toMatchObject({ inEnd });
    }
  });

  it('leaves out retired parts, and makes of one part unless every part is asked for', () => {
    const metric = catalogue.find((f) => f.id === 'm14x1.5mwasher+an6m')!;
    const fittings = [metric, { ...metric, id: 'dearer', priceMinor: 9000 }, { ...metric, id: 'gone', priceMinor: 1, retired: true }];
    const query = { from: parseConnector('m14x1.5 f washer'), to: parseConnector('an6 f swivel'), fittings, maxFittings: 1 };
    expect(solveChains(query).chains.map((c) => c.fittings[0]!.id)).toEqual([metric.id]);
    expect(solveChains({ ...query, distinct: 'every part' }).chains.map((c) => c.fittings[0]!.id)).toEqual([metric.id, 'dearer']);
  });

  it('prefers what is on the shelf when the shop says so', () => {
    const metric = catalogue.find((f) => f.id === 'm14x1.5mwasher+an6m')!;
    const fittings = [
      { ...metric, id: 'cheap', priceMinor: 500, leadDays: 10 },
      { ...metric, id: 'here', priceMinor: 900, shelf: 2 },
    ];
    const query = { from: parseConnector('m14x1.5 f washer'), to: parseConnector('an6 f swivel'), fittings };
    expect(solveChains(query).chains[0]).toMatchObject({ fittings: [{ id: 'cheap' }], toOrder: 1, leadDays: 10 });
    expect(solveChains({ ...query, weights: usualWeights }).chains[0]).toMatchObject({
      fittings: [{ id: 'here' }],
      toOrder: 0,
      leadDays: 0,
    });
  });
});

describe('wishes', () => {
  const refused = (constraints: object, from = 'npt 1/4 f'): Error & { field?: string } => {
    try {
      solve(from, 'an6 f swivel', { constraints });
    } catch (error) {
      return error as Error;
    }
    throw new Error('not refused');
  };

  it.each([
    [{ use: ['npt1/4m+an6m'], avoid: ['npt1/4m+an6m'] }, 'avoid', 'both to be used and to be avoided'],
    [{ use: ['no-such-part'] }, 'use', 'not in the catalogue'],
    [{ use: ['npt1/8m'] }, 'use', 'one end only'],
    [{ use: ['npt1/4m+an6m'], leastBoreMm: 7.3 }, 'leastBoreMm', 'passes 7.1 mm'],
    [{ use: ['npt1/4m+an6m'], materials: ['brass'] }, 'materials', 'is of aluminium'],
    [{ use: ['npt1/4m+an6m'], mostStackMm: 10 }, 'mostStackMm', 'the stack may be 10 mm'],
    [{ use: ['npt1/4m+an6m@90'], turnDeg: 45 }, 'turnDeg', 'turn 90° already'],
    [{ leastBoreMm: 12 }, 'leastBoreMm', 'The port itself passes about 7.1 mm'],
    [{ use: ['npt1/4m+an6m', 'npt1/4m+an4m', 'npt1/4m+an3m', 'npt1/8m+an4m'] }, 'use', '4 parts are to be used'],
  ])('that contradict are refused in words: %j', (constraints, field, words) => {
    const error = refused(constraints);
    expect(inHouseUnits(error.message, 'metric')).toContain(words);
    expect(error.field).toBe(field);
  });

  it('find the other half of a coupling and what goes through a wall only where one is there', () => {
    const first = (from: string, to: string) => solve(from, to, { limit: 3 }).chains.map((c) => c.fittings.map((l) => l.id).join(' '));
    expect(first('drybreak an10 f', 'an10 f swivel')[0]).toBe('drybreakan10m+an10m#drybreak');
    expect(first('qc 3/8 m', 'an6 f swivel')[0]).toBe('qc3/8f+an6m');
    expect(first('bulkhead an6 f', 'an6 f swivel')[0]).toMatch(/^bulkheadan6m\+an6m/);
    for (const ids of [...first('an6 f swivel', 'an6 f swivel'), ...first('orb10 f', 'an10 f swivel')])
      expect(ids).not.toMatch(/bulkhead|drybreak|qc/);
  });

  it('are kept', () => {
    const turned = solve('m14x1.5 f washer', 'an6 f swivel', { constraints: { turnDeg: 90 }, limit: 4 }).chains;
    for (const chain of turned)
      expect(chain.fittings.reduce((sum, l) => sum + turnBetween(byId.get(l.id)!, l.inEnd, l.outEnd), 0)).toBe(90);
    const steel = solve('npt 1/4 f', 'an6 f swivel', { constraints: { materials: ['steel'] }, limit: 4 }).chains;
    expect(steel[0]!.fittings).toEqual([{ id: 'npt1/4m+an6m#steel', inEnd: 0, outEnd: 1 }]);
  });

  it('that nothing meets are told one by one', () => {
    const query = { from: parseConnector('m14x1.5 f washer'), to: parseConnector('an6 f swivel'), fittings: catalogue };
    const constraints = { mostStackMm: 12, materials: ['aluminium'] };
    expect(solveChains({ ...query, constraints }).chains).toEqual([]);
    const told = whyNone({ ...query, constraints });
    expect(told.map((t) => t.constraint)).toEqual(['mostStackMm']);
    expect(inHouseUnits(told[0]!.words, 'metric')).toMatch(
      /^Without the limit of 12 mm on the stack there is a way of 2 joints; its stack is [\d.]+ mm\.$/,
    );
    expect(
      whyNone({ ...query, maxFittings: 1, takeOffs: [{ to: 'sensor', connector: parseConnector('m27x2 m washer') }] })[0]!.constraint,
    ).toBe('takeOffs');
  });
});

describe('several goals', () => {
  const c = parseConnector;
  const ends = ['an6 f swivel', 'an4 f swivel', 'orb6 m', 'm14x1.5 m washer', 'npt 1/4 m', 'g 1/4 f swivel', 'barb 3/8'];
  const ports = ['m14x1.5 f washer', 'orb6 f', 'npt 1/4 f', 'rc 1/8 f', 'g 1/4 f', 'an6 m'];

  it('are the same as each of them asked for alone, the best of all first', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ports),
        fc.uniqueArray(fc.record({ end: fc.constantFrom(...ends), costMinor: fc.integer({ min: 0, max: 3000 }) }), {
          selector: (g) => g.end,
          minLength: 1,
          maxLength: 4,
        }),
        (port, asked) => {
          const query = {
            from: c(port),
            to: c(asked[0]!.end),
            fittings: catalogue,
            maxFittings: 2,
            weights: { ...usualWeights, aimMinor: 0 },
          };
          const goals = asked.map(({ end, costMinor }) => ({ connector: c(end), costMinor }));
          const together = solveChains({ ...query, goals, limit: 4 }).chains;
          const alone = asked.flatMap(({ end, costMinor }) =>
            solveChains({ ...query, to: c(end), limit: 4 }).chains.map((chain) => [chain.jointCount, chain.costMinor + costMinor] as const),
          );
          const best = alone.sort((a, b) => a[0] - b[0] || a[1] - b[1]).slice(0, 4);
          expect(together.map((chain) => [chain.jointCount, chain.costMinor])).toEqual(best);
          for (const chain of together) expect(chain.joints.every((j) => j.outcome === 'seals')).toBe(true);
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('missing links', () => {
  const links = (from: string, to: string, fittings = catalogue, best?: number) =>
    solveChains({ from: parseConnector(from), to: parseConnector(to), fittings, maxFittings: best ?? 3 }).missingLinks;

  it('are asked for nowhere where one fitting is enough', () => expect(links('npt 1/8 f', 'an6 f swivel')).toEqual([]));

  it('name the shop-made way with its risk', () => {
    const [link] = links('npt 1/8 f', 'an12 f swivel');
    expect(link).toMatchObject({ notation: 'npt 1/8 m to an12 m', saves: 'saves 1 part and one joint', before: [], after: [] });
    expect(link!.shopMade!.parts.every((id) => byId.has(id))).toBe(true);
    expect(link!.shopMade!.risk).toContain('Pressure-test');
  });

  it('are never made of a half that is narrower inside than the end it gives', () => {
    for (const [from, to] of [
      ['npt 1/8 f', 'an12 f swivel'],
      ['m22x1.5 f washer', 'an16 f swivel'],
      ['m10x1 f washer', 'npt 3/4 m'],
    ] as const)
      for (const { shopMade, from: a, to: b } of links(from, to))
        for (const id of shopMade?.parts ?? []) {
          const half = byId.get(id)!;
          const end = half.ends.find((e) => [a, b].some((c) => formatConnector(c) === formatConnector(e)))!;
          expect(half.boreMm!).toBeGreaterThanOrEqual(0.95 * endForm(end).boreMm);
        }
  });

  it('of a hose over a bead and a barb into another hose is a step joiner with a short hose, whether or not the catalogue has it', () => {
    const [joiner] = links('bead 5/16', 'hose 1/2', []);
    expect(joiner).toMatchObject({ notation: 'barb 5/16 to barb 1/2', saves: expect.stringMatching(/a short hose 5\/16 over/) as string });
    expect(joiner!.known).toBeUndefined();
    expect(links('bead 5/16', 'hose 3/8', standardFittings())[0]).toMatchObject({ notation: 'barb 5/16 to barb 3/8', known: true });
  });

  it('close a gap together with a part that is there, where the part alone exists but does not do', () => {
    const fittings = [
      adapter(parseConnector('npt 1/4 m'), parseConnector('an8 m'), 0),
      adapter(parseConnector('npt 1/8 m'), parseConnector('an6 m'), 0),
    ];
    const found = links('npt 1/8 f', 'an10 f swivel', fittings);
    expect(found.map((l) => l.notation)).toContain('npt 1/8 m to an10 m');
  });

  it('would each make a chain of the fewest joints, if they were to be had', () => {
    const cases = [
      ['npt 1/8 f', 'an12 f swivel'],
      ['npt 1/16 f', 'cone24 m22x1.5 f'],
      ['banjo m10x1', 'an10 f swivel'],
      ['keg m16x1.5 m', 'barb 3/8'],
    ] as const;
    for (const [from, to] of cases) {
      const query = { from: parseConnector(from), to: parseConnector(to), fittings: catalogue };
      const { chains, missingLinks } = solveChains(query);
      for (const link of missingLinks) {
        const made = adapter(link.from, link.to, 0);
        const after = solveChains({ ...query, fittings: [...catalogue, { ...made, id: 'made' }] }).chains[0]!;
        expect(after.fittings.length).toBeLessThan(chains[0]?.fittings.length ?? 99);
        expect(after.fittings.map((l) => l.id)).toContain('made');
      }
    }
  });
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
