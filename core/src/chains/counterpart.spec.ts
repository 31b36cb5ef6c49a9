import { everyConnector, familyById, formatConnector, parseConnector } from '../connectors/index.js';
import { mate } from '../seals/index.js';
import { counterpart } from './index.js';

const partner = (notation: string): string | undefined => {
  const found = counterpart(parseConnector(notation));
  return found && formatConnector(found);
};

describe('the counterpart of a connector', () => {
  it.each([
    ['an6 m', 'an6 f swivel'],
    ['an6 f swivel', 'an6 m'],
    ['orb10 f', 'orb10 m'],
    ['orb6 m adjustable', 'orb6 f'],
    ['npt 1/8 f', 'npt 1/8 m'],
    ['npt 1/4 m cone', 'npt 1/4 f'],
    ['rc 1/8 f', 'r 1/8 m'],
    ['rp 1/4 f', 'r 1/4 m'],
    ['g 1/4 f', 'g 1/4 m washer'],
    ['g 1/4 f swivel', 'g 1/4 m cone'],
    ['g 1/4 m cone', 'g 1/4 f cone swivel'],
    ['m14x1.5 f washer', 'm14x1.5 m washer'],
    ['m14x1.5 f oring', 'm14x1.5 m oring'],
    ['keg m10x1 m', 'm10x1 f'],
    ['banjo m12x1.5', 'm12x1.5 f washer'],
    ['banjo 7/16-20', '7/16-20 f washer'],
    ['cone24 m16x1.5 m 10l', 'cone24 m16x1.5 f 10l swivel'],
    ['cone24 m18x1.5 f 10s swivel', 'cone24 m18x1.5 m 10s'],
    ['g 1/2 f cone', 'g 1/2 m cone'],
    ['flange 2x47 bore 21', 'flange 2x47 bore21 m'],
    ['barb 19mm', 'hose 19mm'],
    ['post m20x1.5 m', 'post m20x1.5 f'],
    ['flange 2x44 bore 20', 'flange 2x44 bore20 m'],
    ['bead 1 1/4', 'hose 1 1/4'],
    ['bung orb10 f', 'orb10 m'],
    ['bulkhead an10 m', 'an10 f swivel'],
    ['bulkhead an10 f', 'bulkhead an10 m'],
  ])('of %s is %s', (notation, expected) => expect(partner(notation)).toBe(expected));

  it('seals wherever there is one, and is missing only where the seat is open or nothing of the size is made', () => {
    const without = everyConnector().filter((c) => {
      const found = counterpart(c);
      if (found) {
        expect(mate(c, found).outcome).toBe('seals');
        expect(familyById(found.family).sizes).toContain(found.size);
      }
      return !found;
    });
    // an O-ring port of a thread that has no standard ring, a swivel of another seat than a cone, an NPSM nut that does not swivel
    for (const c of without.filter((c) => c.seat !== 'bolt'))
      expect(['metric', 'g', 'banjo', 'keg', 'bung', 'un', 'bead', 'npsm']).toContain(c.family);
    expect(without.length).toBeLessThan(370);
  });
});
