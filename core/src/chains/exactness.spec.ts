import fc from 'fast-check';
import { connectorKey, connectorThread, parseConnector, type Connector } from '../connectors/index.js';
import { isClosing, isPlain, kindOf, lengthBetween, openEnds, commonFittings, turnBetween, type Fitting } from '../fittings/index.js';
import { mate, type Mating } from '../seals/index.js';
import { leadSteps, priceOnly, solveChains, type ChainQuery, type ChainWeights } from './index.js';

/** A chain as the plain search finds it: its figures, worked out from the whole chain at once. */
interface PlainChain {
  readonly ids: readonly string[];
  readonly joints: number;
  /** Joints: one that seals at a risk, and a tee with nothing on its leg, count as five; an elbow that cannot be aimed as one more. */
  readonly weighed: number;
  readonly cost: number;
  readonly lengthMm: number;
  readonly substance: string;
  readonly parts: string;
}

interface Placed {
  readonly fitting: Fitting;
  readonly inEnd: number;
  readonly outEnd: number;
  /** What each open end is given to: the index of a take-off, or a plug. */
  readonly closings: readonly { takeOff?: number; fittings: readonly Fitting[]; joints: number; cost: number }[];
}

/**
 * Every chain of a small catalogue, by trying all of them: no estimate, no pruning, no sharing. Slow and plain, so that it can be
 * believed; the solver is checked against it. Best first, one of each substance.
 */
function everyChain(query: ChainQuery): PlainChain[] {
  const { constraints = {}, takeOffs = [], maxFittings = 3 } = query;
  const seals = (a: Connector, b: Connector): boolean => mate(a, b).outcome === 'seals';
  const allowed = (f: Fitting): boolean =>
    !(constraints.avoid ?? []).includes(f.id) &&
    (!constraints.materials?.length || constraints.materials.includes(f.material ?? '') || (constraints.use ?? []).includes(f.id));
  const inRun = (f: Fitting): boolean =>
    allowed(f) &&
    (isPlain(f) || (constraints.use ?? []).includes(f.id)) &&
    (constraints.leastBoreMm === undefined || (f.boreMm ?? Infinity) >= constraints.leastBoreMm);
  const found: PlainChain[] = [];

  const own = (f: Fitting, i: number, o: number): number => {
    const w = query.weights!;
    const major = connectorThread(query.from)?.majorMm;
    const share = major === undefined ? 0 : Math.min(1, Math.max(0, (18 - major) / 7.6));
    const rare = { common: 0, 'by order': 1, rarely: 3 }[f.rarity ?? 'common'] * w.rareMinor!;
    const metal = f.material !== w.metal && !f.ends.some((e) => e.family === 'banjo') ? w.otherMetalMinor! : 0;
    const bore = Math.max(0, (query.needBoreMm ?? 0) - (f.boreMm ?? Infinity));
    const order = (f.shelf ?? 0) > 0 ? 0 : w.toOrderMinor;
    const further = query.usedElsewhere?.has(f.id) ? 0 : w.furtherPartMinor;
    const money = w.price * (f.priceMinor ?? w.unpricedMinor) + order + further + w.stackMmMinor * lengthBetween(f, i, o);
    return Math.round(money + rare + metal + w.smallThreadGramMinor * (f.massG ?? 0) * share + w.boreMmMinor * bore);
  };

  const closingsOf = (end: Connector): Placed['closings'] => {
    const plugs = query.fittings
      .filter((f) => f.ends.length === 1 && isClosing(f) && allowed(f) && seals(end, f.ends[0]!))
      .map((f) => ({ fittings: [f], joints: 1, cost: own(f, 0, 0) }));
    const served = takeOffs.flatMap((t, takeOff) => {
      const ways: { takeOff: number; fittings: Fitting[]; joints: number; cost: number }[] = [];
      const go = (at: Connector, fittings: Fitting[], cost: number): void => {
        if (seals(at, t.connector)) ways.push({ takeOff, fittings, joints: fittings.length + 1, cost });
        if (fittings.length === 2) return;
        for (const f of query.fittings)
          if (f.ends.length === 2 && allowed(f) && isPlain(f))
            for (const [i, o] of [
              [0, 1],
              [1, 0],
            ] as const)
              if (seals(at, f.ends[i]!)) go(f.ends[o]!, [...fittings, f], cost + own(f, i, o));
      };
      go(end, [], 0);
      return best(ways);
    });
    return [...best(plugs), ...served];
  };
  const best = <T extends { joints: number; cost: number }>(list: T[]): T[] =>
    [...list].sort((a, b) => a.joints - b.joints || a.cost - b.cost).slice(0, 1);

  const visit = (exposed: Connector, placed: Placed[], places: string[]): void => {
    if (seals(exposed, query.to)) finish(placed);
    if (placed.length === maxFittings) return;
    for (const fitting of query.fittings) {
      if (fitting.ends.length < 2 || !inRun(fitting)) continue;
      for (const [inEnd, inner] of fitting.ends.entries())
        for (const [outEnd, outer] of fitting.ends.entries()) {
          if (inEnd === outEnd || !seals(exposed, inner)) continue;
          let ways: Placed['closings'][] = [[]];
          for (const end of openEnds(fitting, inEnd, outEnd))
            ways = ways.flatMap((way) => closingsOf(fitting.ends[end]!).map((closing) => [...way, closing]));
          for (const closings of ways) {
            const next = [...placed, { fitting, inEnd, outEnd, closings }];
            const place = `${connectorKey(outer)} ${stateOf(next)}`;
            if (!places.includes(place)) visit(outer, next, [...places, place]);
          }
        }
    }
  };

  /** What has been met so far: a chain that comes back to the same end with no more of it goes in circles. */
  const stateOf = (placed: readonly Placed[]): string => {
    const turned = placed.reduce((sum, p) => sum + turnBetween(p.fitting, p.inEnd, p.outEnd), 0);
    const w = query.weights!;
    const taken = placed.flatMap((p) => p.closings.flatMap((c) => (c.takeOff === undefined ? [] : [c.takeOff]))).sort();
    const uses = (constraints.use ?? []).filter((id) => placed.some((p) => p.fitting.id === id));
    return JSON.stringify([
      constraints.turnDeg === undefined ? 0 : turned,
      taken,
      uses,
      w.elbows === 'wanted' && w.elbowMinor > 0 && turned > 0,
      w.aimMinor > 0 && aimedAfter(placed)[placed.length - 1] === true,
    ]);
  };
  const isIdleTee = ({ fitting, closings }: Placed): boolean =>
    closings.length > 0 && !(constraints.use ?? []).includes(fitting.id) && closings.every((c) => c.takeOff === undefined);
  const free = (c: Connector): boolean => c.swivel === true || c.seat === 'adjustable' || c.family === 'banjo';
  /** After each fitting: whether some joint up to its inner one can be turned. */
  const aimedAfter = (placed: readonly Placed[]): boolean[] => {
    let exposed = query.from;
    let aimed = false;
    return placed.map((p) => {
      aimed ||= free(exposed) || free(p.fitting.ends[p.inEnd]!);
      exposed = p.fitting.ends[p.outEnd]!;
      return aimed;
    });
  };

  const matings = (placed: readonly Placed[]): Mating[] => {
    let exposed = query.from;
    const list = placed.map((p) => {
      const joint = mate(exposed, p.fitting.ends[p.inEnd]!);
      exposed = p.fitting.ends[p.outEnd]!;
      return joint;
    });
    return [...list, mate(exposed, query.to)];
  };

  const finish = (placed: readonly Placed[]): void => {
    const turns = placed.map((p) => turnBetween(p.fitting, p.inEnd, p.outEnd));
    const lengthMm = placed.reduce((sum, p) => sum + lengthBetween(p.fitting, p.inEnd, p.outEnd), 0);
    const closings = placed.flatMap((p) => p.closings);
    const taken = closings.flatMap((c) => (c.takeOff === undefined ? [] : [c.takeOff]));
    const uses = (constraints.use ?? []).map((id) => placed.filter((p) => p.fitting.id === id).length);
    if (constraints.turnDeg !== undefined && turns.reduce((a, b) => a + b, 0) !== constraints.turnDeg) return;
    if (lengthMm > (constraints.mostStackMm ?? Infinity) + 1e-9) return;
    if (new Set(taken).size !== takeOffs.length || taken.length !== takeOffs.length || uses.some((n) => n !== 1)) return;
    const w = query.weights!;
    const aimed = aimedAfter(placed);
    const waits = Math.max(0, ...placed.map(({ fitting: f }) => ((f.shelf ?? 0) > 0 ? 0 : leadSteps.find((d) => d >= (f.leadDays ?? 0))!)));
    const cost =
      placed.reduce((sum, p) => sum + own(p.fitting, p.inEnd, p.outEnd), 0) +
      closings.reduce((sum, c) => sum + c.cost, 0) +
      turns.reduce((sum, t, i) => sum + (t > 0 ? (w.elbows === 'unwanted' ? w.elbowMinor : 0) + (aimed[i] ? 0 : w.aimMinor) : 0), 0) +
      (w.elbows === 'wanted' && turns.every((t) => t === 0) ? w.elbowMinor : 0) +
      w.leadDayMinor * waits +
      w.sealantMinor * matings(placed).filter((m) => m.kind === 'taper').length;
    const joints = placed.length + 1 + closings.reduce((sum, c) => sum + c.joints, 0);
    found.push({
      ids: placed.map((p) => p.fitting.id),
      joints,
      weighed:
        joints +
        4 * matings(placed).filter((m) => m.risk || m.kind === 'push').length +
        4 * placed.filter(isIdleTee).length +
        (w.aimMinor > 0 ? turns.filter((t, i) => t > 0 && !aimed[i]).length : 0),
      cost,
      lengthMm,
      // turned round it is the same way
      parts: placed
        .map(
          ({ fitting: f, inEnd, outEnd, closings: given }) =>
            `${f.id}${f.ends.length > 2 || f.oneWay ? `${inEnd}>${outEnd}` : ''} ${given.map((g) => g.takeOff ?? 'plug').join()}`,
        )
        .join(' / '),
      substance: placed
        .map((p) => [
          connectorKey(p.fitting.ends[p.inEnd]!),
          connectorKey(p.fitting.ends[p.outEnd]!),
          turnBetween(p.fitting, p.inEnd, p.outEnd),
          isPlain(p.fitting) ? p.fitting.ends.length : kindOf(p.fitting),
          p.closings.map((c) => c.takeOff ?? 'plug'),
        ])
        .join(' / '),
    });
  };

  visit(query.from, [], [`${connectorKey(query.from)} ${stateOf([])}`]);
  const seen = new Set<string>();
  return found
    .sort((a, b) => a.weighed - b.weighed || a.cost - b.cost)
    .filter(({ substance, parts }) => {
      const known = seen.has(substance) || seen.has(parts);
      seen.add(substance).add(parts);
      return !known;
    });
}

/** Small parts round -4 to -8, 1/8 to 1/4 and M10 to M14, so that chains, tees and dead ends all come up. */
const near = commonFittings().filter((f) =>
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
    rarity: fc.constantFrom('common', 'by order', 'rarely'),
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
  rareMinor: fc.constantFrom(0, 500),
  metal: fc.constantFrom('aluminium', 'steel'),
  otherMetalMinor: fc.constantFrom(0, 300),
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
      { numRuns: 40 },
    );
  });
});
