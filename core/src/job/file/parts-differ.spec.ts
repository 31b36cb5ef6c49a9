import type { CataloguePart, PartEntry } from '../catalogue-part.js';
import { differsFrom, joinsInWords, withPartsNamed } from './parts-differ.js';

const npt = (size: string) => ({ family: 'npt' as const, size, gender: 'male' as const });
const fitting = (change: object = {}): PartEntry => ({
  kind: 'fitting',
  part: { id: 'a', name: 'Adapter', ends: [npt('1/8'), npt('1/4')], ...change },
});
const ours = (origin: CataloguePart['origin'], change: object = {}) =>
  ({ id: 'a', version: 1, origin, ...fitting(change) }) as CataloguePart;

describe('a part of a file beside ours of the same name', () => {
  it.each<[string, object, boolean, boolean]>([
    ['the same', {}, false, false],
    ['with another name, code and price', { name: 'Other', code: 'X', priceMinor: 5, supplier: 'Y' }, false, false],
    ['with another end', { ends: [npt('1/8'), npt('3/8')] }, true, true],
    ['with its ends the other way round', { ends: [npt('1/4'), npt('1/8')] }, true, true],
    ['bent', { angleDeg: 90 }, true, true],
    // of a standard part one version tells more than another; what the shop made itself has no versions
    ['that bears less', { maxBar: 10 }, true, false],
  ])('%s', (_, change, own, standard) => {
    expect(differsFrom(ours('own'), fitting(change))).toBe(own);
    expect(differsFrom(ours('standard'), fitting(change))).toBe(standard);
  });

  it('of another kind is another, and is told by what it joins', () => {
    const hose = { kind: 'hose', part: { id: 'a', construction: 'ptfe', dash: 6, workingBar: 100 } } as PartEntry;
    expect(differsFrom(ours('standard'), hose)).toBe(true);
    expect([joinsInWords(fitting()), joinsInWords(hose)]).toEqual(['npt 1/8 m to npt 1/4 m', 'ptfe -6, to 100 bar']);
  });

  it('gets another name wherever it is named, and nothing else does', () => {
    const file = { parts: [{ id: 'a', note: 'a part' }], ways: [{ id: 'a', at: ['a', 1, null, true] }] };
    expect(withPartsNamed(file, new Map([['a', 'a-2']]))).toEqual({
      parts: [{ id: 'a-2', note: 'a part' }],
      ways: [{ id: 'a-2', at: ['a-2', 1, null, true] }],
    });
  });
});
