import { endForm, formatConnector, parseConnector } from '../connectors/index.js';
import { adapter, adapterId, standardAdapters } from './index.js';
import { findMissingLinks } from './missing-links.js';

const all = standardAdapters();
const c = parseConnector;

describe('the standard adapters', () => {
  it('are written by their ends, which read back', () => {
    for (const f of all) {
      expect(f.id).toBe(adapterId(f.ends[0]!, f.ends[1]!, f.angleDeg ?? 0));
      for (const end of f.ends) expect(parseConnector(formatConnector(end))).toEqual(end);
      expect(f.name).toContain(formatConnector(f.ends[0]!));
    }
  });

  it('are no wider inside than the narrower of their ends', () => {
    for (const f of all) expect(f.boreMm!).toBeLessThanOrEqual(Math.min(...f.ends.map((e) => endForm(e).boreMm)) + 0.05);
  });

  it('carry no price and say where their dimensions come from', () => {
    for (const f of all) {
      expect(f.priceMinor).toBeUndefined();
      expect(f.source).toContain('common proportions');
    }
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

describe('findMissingLinks', () => {
  it('asks for nothing where one fitting or none is enough', () => {
    expect(findMissingLinks(c('npt 1/8 f'), c('an6 f swivel'), all, 1)).toEqual([]);
    expect(findMissingLinks(c('an6 m'), c('an6 f swivel'), all, 0)).toEqual([]);
  });

  it('does not ask for a part the catalogue has', () => expect(findMissingLinks(c('npt 1/8 f'), c('an6 f swivel'), all, 2)).toEqual([]));

  it('counts what the part would save', () => {
    expect(findMissingLinks(c('npt 1/8 f'), c('an16 f swivel'), all, 3)[0]!.saves).toBe('saves 2 parts and 2 joints');
    expect(findMissingLinks(c('npt 1/8 f'), c('an16 f swivel'), all, undefined)[0]!.saves).toMatch(/closes the gap/);
  });
});
