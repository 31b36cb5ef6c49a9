import { parseConnector } from '../connectors/index.js';
import { standardFittings, type Fitting } from '../fittings/index.js';
import { leadStep, priceOnly, smallThreadShare, solveChains, usualWeights, type ChainWeights } from './index.js';

const all = new Map(standardFittings().map((f) => [f.id, f]));
const part = (id: string, change: Partial<Fitting> = {}): Fitting => ({ ...all.get(id)!, priceMinor: 1000, ...change });
/** The parts of the best way. */
const best = (fittings: Fitting[], weights: Partial<ChainWeights>, more: object = {}, from = 'npt 1/8 f', to = 'an6 f swivel'): string[] =>
  solveChains({
    from: parseConnector(from),
    to: parseConnector(to),
    fittings,
    distinct: 'every part',
    weights: { ...priceOnly, ...weights },
    ...more,
  }).chains[0]!.fittings.map((l) => l.id);
const plain = part('npt1/8m+an6m');
const dear = part('npt1/8m+an6m', { id: 'dear', priceMinor: 1400 });

describe('what the shop weighs', () => {
  it('is the price, where nothing else is said', () => {
    expect(best([dear, plain], {})).toEqual([plain.id]);
    const { priceMinor: _, ...free } = part('npt1/8m+an6m', { id: 'free' });
    expect(best([free, plain], {})).toEqual(['free']);
  });

  it.each<[string, Partial<Fitting>, Partial<ChainWeights>, object?]>([
    ['what is on the shelf', { shelf: 1 }, { toOrderMinor: 500 }],
    ['what comes sooner', { leadDays: 2 }, { leadDayMinor: 60 }],
    ['the shorter stack', { lengthMm: 10 }, { stackMmMinor: 40 }],
    ['the lighter part on a small thread', { massG: 2 }, { smallThreadGramMinor: 80 }],
    ['the wider bore', { boreMm: 7 }, { boreMmMinor: 600 }, { needBoreMm: 7 }],
    ['what the job uses already', {}, { furtherPartMinor: 500 }, { usedElsewhere: new Set(['dear']) }],
  ])('makes %s worth its price', (_, change, weights, more = {}) => {
    const slow = { ...plain, leadDays: 10 };
    const better = { ...dear, leadDays: 10, ...change };
    expect(best([slow, better], {}, more)).toEqual([slow.id]);
    expect(best([slow, better], weights, more)).toEqual(['dear']);
  });

  it('leaves the weight of a part alone on a large thread', () => {
    const shares = ['npt 1/8 f', 'm10x1 f washer', 'm14x1.5 f washer', 'npt 1/2 f', 'barb 3/8'].map((n) =>
      smallThreadShare(parseConnector(n)),
    );
    expect(shares[0]).toBe(1);
    expect(shares[1]).toBe(1);
    expect(shares[2]).toBeGreaterThan(0.4);
    expect(shares.slice(3)).toEqual([0, 0]);
  });

  it('turns elbows away, lets them be, or asks for one', () => {
    const elbow = part('npt1/8m+an6m@90', { priceMinor: 1100 });
    expect(best([plain, elbow], { elbows: 'either', elbowMinor: 500 })).toEqual([plain.id]);
    expect(best([plain, elbow], { elbows: 'wanted', elbowMinor: 500 })).toEqual([elbow.id]);
    expect(best([{ ...plain, priceMinor: 1500 }, elbow], { elbows: 'unwanted', elbowMinor: 500 })).toEqual([plain.id]);
  });

  it('would rather aim an elbow by a swivel than by how far a taper goes in', () => {
    const fixed = part('npt1/8m+an6m@90', { priceMinor: 900 });
    const banjo = part('banjom10x1+an4m@90');
    const keg = part('kegm10x1m+an4m');
    const swivelled = part('an4fswivel+an4m@90', { priceMinor: 500 });
    expect(best([keg, swivelled, banjo], { aimMinor: 800 }, { constraints: { turnDeg: 90 } }, 'm10x1 f washer', 'an4 f swivel')).toEqual([
      banjo.id,
    ]);
    const two = solveChains({
      from: parseConnector('npt 1/8 f'),
      to: parseConnector('an6 f swivel'),
      fittings: [fixed],
      weights: { ...priceOnly, aimMinor: 800 },
    });
    expect(two.chains[0]!.costMinor).toBe(1700);
  });

  it('would rather seal on a face than by sealant on threads', () => {
    const face = part('npt1/4mcone+npsm1/4fswivel', {
      priceMinor: 1200,
      ends: [parseConnector('npsm 1/4 f swivel'), parseConnector('an4 m')],
    });
    const sealant = part('npt1/4f+an4m');
    expect(best([face, sealant], {}, {}, 'npt 1/4 m cone', 'an4 f swivel')).toEqual([sealant.id]);
    expect(best([face, sealant], { sealantMinor: 300 }, {}, 'npt 1/4 m cone', 'an4 f swivel')).toEqual([face.id]);
  });

  it('takes a metric taper in a washer port only where nothing proper is to be had, however cheap it is', () => {
    const proper = [part('m10x1mwasher+an4m', { id: 'one' }), part('an4fswivel+an6m', { id: 'two' })];
    const keg = part('kegm10x1m+an4m', { priceMinor: 1, ends: [parseConnector('keg m10x1 m'), parseConnector('an6 m')] });
    expect(best([...proper, keg], {}, {}, 'm10x1 f washer')).toEqual(['one', 'two']);
    expect(best([keg], {}, {}, 'm10x1 f washer')).toEqual([keg.id]);
  });

  it('never outweighs a joint', () => {
    const cheap = { priceMinor: 1, shelf: 9 };
    const two = [part('npt1/8m+an4m', cheap), part('an4fswivel+an6m', cheap), part('npt1/8m+an6m', { id: 'b', priceMinor: 50_000 })];
    expect(best(two, { ...usualWeights, price: 10 })).toEqual(['b']);
  });

  it('counts waiting in steps', () => {
    const step = (leadDays: number, shelf = 0) => leadStep({ ...plain, leadDays, shelf });
    expect([step(0), step(1), step(3), step(4), step(14), step(90), step(90, 1)]).toEqual([0, 1, 1, 2, 3, 4, 0]);
  });
});
