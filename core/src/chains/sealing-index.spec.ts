import fc from 'fast-check';
import { connectorKey, everyConnector, parseConnector, type Connector } from '../connectors/index.js';
import { standardFittings, type Fitting } from '../fittings/index.js';
import { mate } from '../seals/index.js';
import { ClosingEnds } from './closing-ends.js';
import { counterpart } from './counterpart.js';
import { SealingIndex, sealingIndex } from './sealing-index.js';

// what has a body is admitted where it is asked for
const catalogue: Fitting[] = standardFittings()
  .filter((f) => !f.body)
  .slice(0, 1500)
  .map((f, i) => ({ ...f, priceMinor: 200 + ((i * 53) % 700) }));
const index = new SealingIndex(catalogue);
const c = parseConnector;
const node = (notation: string): number => index.node(c(notation));

describe('the index of a catalogue', () => {
  it('offers on a connector exactly the ways through that seal there', () => {
    fc.assert(
      fc.property(fc.constantFrom(...everyConnector()), (connector) => {
        const offered = index
          .bundlesFrom(index.node(connector))
          .flatMap((b) => b.passages.map((p) => `${p.fitting.id} ${p.inEnd}`))
          .sort();
        const sealing = catalogue.flatMap((f) =>
          f.ends.flatMap((end, i) => (f.ends.length > 1 && mate(connector, end).outcome === 'seals' ? [`${f.id} ${i}`] : [])),
        );
        expect([...new Set(offered)]).toEqual([...new Set(sealing)].filter((way) => offered.includes(way)).sort());
        // what is left out is only the mirror of what is there
        // and what only carries a thread on: it leads back to what it was screwed into
        const carriesOn = new Set(
          catalogue
            .filter((f) => f.ends.length === 2 && connectorKey(counterpart(f.ends[0]!) ?? f.ends[0]!) === connectorKey(f.ends[1]!))
            .map((f) => f.id),
        );
        for (const way of sealing.filter((w) => !carriesOn.has(w.split(' ')[0]!)))
          expect(offered.some((o) => o.split(' ')[0] === way.split(' ')[0])).toBe(true);
      }),
      { numRuns: 30 },
    );
  });

  it('bundles what is the same in substance: ends, angle, function', () => {
    const flare = index
      .bundlesFrom(node('npt 1/4 f'))
      .filter((b) => connectorKey(index.connectors[b.outNode]!) === connectorKey(c('an6 m')));
    expect(new Set(flare.map((b) => b.turn))).toEqual(new Set([0, 450, 900]));
    expect(new Set(flare.map((b) => `${b.turn} ${b.simple}`)).size).toBe(flare.length);
    const straight = flare.find((b) => b.turn === 0 && b.simple)!;
    expect(straight.passages.map((p) => p.fitting.material).sort()).toEqual(['aluminium', 'stainless', 'steel']);
    expect(straight.shortestMm).toBe(Math.min(...straight.passages.map((p) => p.fitting.lengthMm!)));
  });

  it('leaves retired parts out, and keeps one index for one catalogue', () => {
    const gone = new SealingIndex(catalogue.map((f) => ({ ...f, retired: true })));
    expect(gone.bundlesFrom(gone.node(c('an6 m')))).toEqual([]);
    expect(sealingIndex(catalogue)).toBe(sealingIndex(catalogue));
    expect(sealingIndex([...catalogue])).not.toBe(sealingIndex(catalogue));
  });

  it('knows which parts there are, and the cheapest of each metal with an end', () => {
    expect(index.hasPart(c('an6 m'), c('npt 1/4 m'))).toBe(true);
    expect(index.hasPart(c('npt 1/8 m'), c('an12 m'))).toBe(false);
    const metals = index.cheapestWith(node('npt 1/4 m'));
    expect([...metals.keys()].sort()).toEqual(['aluminium', 'brass', 'stainless', 'steel']);
    expect(index.cheapestWith(node('bubble m10x1 m')).size).toBe(0);
  });

  it('bounds the way to a goal by the fewest fittings, as going forward finds it', () => {
    const forward = (from: number, goal: number, most: number): number | undefined => {
      let front = new Set([from]);
      for (let count = 0; count <= most; count++) {
        if ([...front].some((at) => index.seals(at, goal))) return count;
        front = new Set([...front].flatMap((at) => index.bundlesFrom(at).map((b) => b.outNode)));
      }
      return undefined;
    };
    const ends = catalogue.flatMap((f) => f.ends);
    fc.assert(
      fc.property(fc.constantFrom(...ends), fc.constantFrom(...ends), (a, b) => {
        const [from, goal] = [index.node(a), index.node(b)];
        expect(index.distancesTo(goal, from, 3).get(from)).toBe(forward(from, goal, 3));
      }),
      { numRuns: 40 },
    );
  });
});

describe('an open end', () => {
  const closings = (notation: string, goals: Connector[] = [], allowed: (f: Fitting) => boolean = () => true) =>
    new ClosingEnds(
      index,
      goals.map((connector) => ({ to: 'sensor', connector })),
      (f) => allowed(f) && f.ends.length < 3,
      (f) => f.priceMinor!,
    ).of(node(notation));

  it('gets the cheapest plug that seals', () => {
    const [plug] = closings('orb6 f');
    expect(plug).toMatchObject({ joints: 1, fittings: [{ link: { id: 'orb6m', inEnd: 0, outEnd: 0 } }] });
    expect(plug!.takeOff).toBeUndefined();
    expect(closings('orb6 f', [], (f) => f.id !== 'orb6m')).toEqual([]);
  });

  it('takes a sensor straight where it seals, else with as few adapters as will do', () => {
    const served = (notation: string, sensor: string) => closings(notation, [c(sensor)]).find((x) => x.takeOff === 0);
    expect(served('npt 1/8 f', 'npt 1/8 m')).toMatchObject({ joints: 1, fittings: [], cost: 0 });
    const adapted = served('npt 1/8 f', 'r 1/8 m')!;
    expect(adapted.joints).toBe(2);
    expect(adapted.fittings.map((f) => f.link.id)).toEqual(['npt1/8m+rc1/8f']);
    expect(served('an4 m', 'm10x1 m washer')!.joints).toBe(2);
    expect(served('npt 1/8 f', 'bubble m10x1 m')).toBeUndefined();
  });
});

describe('parts with a body', () => {
  const plate = standardFittings().find((f) => f.id === 'sandwich-plate-m20x1.5-62x71-orb10-f')!;

  it('lead nowhere until they are asked for, and then wherever they are joined inside', () => {
    const own = new SealingIndex([plate]);
    const block = own.node(c('post m20x1.5 m 56x84'));
    expect(own.bundlesFrom(block)).toEqual([]);
    own.admit([plate.id, 'ghost']);
    const ways = own.bundlesFrom(block);
    expect(ways.length).toBeGreaterThan(0);
    expect(ways.every((way) => way.passages.every(({ fitting }) => fitting === plate))).toBe(true);
    // asked for again, they are not there twice
    own.admit([plate.id]);
    expect(own.bundlesFrom(block)).toHaveLength(ways.length);
  });
});
