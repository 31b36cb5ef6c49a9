import { bareConnector, endForm, formatConnector, parseConnector } from '../../connectors/index.js';
import { letters } from '../../schema/index.js';
import {
  adapter,
  adapterId,
  checkFitting,
  fittingKind,
  fittingKinds,
  isPlain,
  kindOf,
  lengthBetween,
  openEnds,
  standardFittings,
  turnBetween,
} from '../index.js';

const all = standardFittings();
const byId = new Map(all.map((f) => [f.id, f]));
const c = parseConnector;

describe('the standard adapters', () => {
  it('are written by their ends, which read back', () => {
    const misnamed = all.filter(isPlain).filter(({ id, name, ends, angleDeg = 0 }) => {
      const first = formatConnector(bareConnector(ends[0]!)).split(' ')[0]!;
      return !name.includes(first) || (ends.length === 2 && !id.startsWith(adapterId(ends[0]!, ends[1]!, angleDeg)));
    });
    expect(misnamed.map((f) => f.id)).toEqual([]);
    for (const end of new Set(all.flatMap((f) => f.ends))) expect(parseConnector(formatConnector(end))).toEqual(end);
  });

  it('are no wider inside than the narrower of their ends', () => {
    for (const f of all)
      if (f.ends.length > 1) expect(f.boreMm!).toBeLessThanOrEqual(Math.min(...f.ends.slice(0, 2).map((e) => endForm(e).boreMm)) + 0.06);
  });

  it('carry no price and say where their dimensions come from', () => {
    expect(all.filter((f) => f.priceMinor !== undefined || !f.source!.includes('common proportions'))).toEqual([]);
  });

  it('elbows are as long as their legs together', () => {
    const elbows = all.filter((f) => f.angleDeg);
    expect(elbows.length).toBeGreaterThan(80);
    for (const f of elbows) expect(f.lengthMm!).toBeCloseTo(f.legsMm![0]! + f.legsMm![1]!, 1);
  });

  it.each([
    ['npt 1/8 m', 'an6 m', 0, 'Adapter, npt 1/8 m to an6 m'],
    ['npt 1/4 m', 'an6 m', 90, 'Elbow 90°, npt 1/4 m to an6 m'],
    ['an8 m', 'an8 m', 0, 'Union, an8 m to an8 m'],
    ['an8 m', 'an6 m', 0, 'Reducer, an8 m to an6 m'],
    ['banjo m12x1.5', 'an6 m', 90, 'Banjo, banjo m12x1.5 to an6 m'],
  ])('%s to %s at %d° is called %s', (a, b, angle, name) => expect(adapter(c(a), c(b), angle).name).toBe(name));

  it('hold the sizes the trade makes, -3 to -16', () => {
    const ids = new Set(all.map((f) => f.id));
    for (const id of [
      'npt1/8m+an4m',
      'orb10m+an10m',
      'm14x1.5mwasher+an6m',
      'm18x1.5moring+an8m',
      'banjom10x1+an3m@90',
      'an16m+an16m',
      'an6fswivel+an8m',
      'barb3/8+npt1/4m',
      'orb8madjustable+an8m@45',
    ])
      expect(ids).toContain(id);
  });
});

describe('the kinds', () => {
  it('are all made, each with as many ends as it has', () => {
    // how a manifold shares out is its maker's own
    for (const kind of fittingKinds.filter((k) => k.id !== 'manifold')) {
      const made = all.filter((f) => kindOf(f) === kind.id);
      expect(made.length).toBeGreaterThan(4);
      expect(made.filter((f) => f.ends.length < kind.ends[0] || f.ends.length > kind.ends[1]).map((f) => f.id)).toEqual([]);
    }
    expect(() => fittingKind('gizmo')).toThrow(RangeError);
  });

  it('are several thousand parts in all, each with its own id, a mass, limits and whole dimensions', () => {
    expect(all.length).toBeGreaterThan(8000);
    expect(all.flatMap((f) => checkFitting(f).map(({ message }) => `${f.id}: ${message}`))).toEqual([]);
    expect(byId.size).toBe(all.length);
    const odd = all.filter(
      ({ id, name, massG = 0, maxBar = 0, lengthMm = 0, minTempC = 0, maxTempC = 0, angleDeg, legsMm, ends, body }) =>
        id.length > letters.partId ||
        name.length > letters.partName ||
        !(massG > 0 && maxBar > 0 && lengthMm > 1 && minTempC < maxTempC) ||
        ((angleDeg || (ends.length > 2 && !body)) && legsMm?.length !== ends.length),
    );
    expect(odd.map((f) => f.id)).toEqual([]);
  });

  it('weigh what metal of their size weighs', () => {
    const [light, heavy] = ['npt1/4m+an6m', 'npt1/4m+an6m#steel'].map((id) => byId.get(id)!);
    expect(heavy!.massG! / light!.massG!).toBeCloseTo(7.85 / 2.7, 0);
    expect(light!.massG!).toBeGreaterThan(8);
    expect(light!.massG!).toBeLessThan(40);
  });

  it('are read off the ends where they are not said', () => {
    const bare = (id: string) => kindOf({ id: 'x', name: 'x', ends: byId.get(id)!.ends, ...(id.includes('@') ? { angleDeg: 90 } : {}) });
    expect(
      ['an6m+an6m', 'an8m+an6m', 'npt1/4m+an6m', 'npt1/4m+an6m@90', 'banjom12x1.5+an6m@90', 'an6m+an6m+an6m', 'npt1/8m', 'an6f'].map(bare),
    ).toEqual(['union', 'reducer', 'adapter', 'elbow', 'banjo', 'tee', 'plug', 'cap']);
  });
});

describe('a way through a tee', () => {
  const tee = byId.get('an6fswivel+an6m+npt1/8f')!;
  it('runs straight, or turns square off into the branch', () => {
    expect([turnBetween(tee, 0, 1), turnBetween(tee, 0, 2), turnBetween(byId.get('an6m+an6m+an6m+an6m')!, 2, 3)]).toEqual([0, 90, 0]);
    expect(lengthBetween(tee, 0, 2)).toBeCloseTo(tee.legsMm![0]! + tee.legsMm![2]!, 5);
    expect(openEnds(tee, 0, 2)).toEqual([1]);
  });
});
