import type { PartEntry } from './catalogue-part.js';
import { withShelves } from './list-shelves.js';

const ring = (change: object = {}): PartEntry =>
  ({
    kind: 'supply',
    part: { id: 'ring', name: 'Ring', kind: 'o-ring', figures: { size: '906', insideMm: 12 }, shelf: 8, ...change },
  }) as PartEntry;

describe('the shelves of a list', () => {
  it('are left as they are where the list is no count: what was taken since it was written is not put back', () => {
    // exported with 10, two taken, and a new price
    const { changed, unchanged, shelves } = withShelves([ring({ shelf: 10, priceMinor: 90 })], [ring()], false);
    expect([changed, unchanged, shelves]).toEqual([[ring({ priceMinor: 90 })], 0, 1]);
  });

  it('say nothing by themselves: a part of which only the shelf is another stays as it is, in whatever order it is told', () => {
    const told = ring({ shelf: 10, figures: { insideMm: 12, size: '906' } });
    expect(withShelves([told], [ring()], false)).toEqual({ changed: [], unchanged: 1, shelves: 1 });
    expect(withShelves([ring({ shelf: 3 })], [ring({ shelf: undefined })], false)).toEqual({ changed: [], unchanged: 1, shelves: 1 });
  });

  it('are taken where it is a count, and told how many', () => {
    expect(withShelves([ring({ shelf: 10 })], [ring()], true)).toEqual({ changed: [ring({ shelf: 10 })], unchanged: 0, shelves: 1 });
    expect(withShelves([ring({ priceMinor: 90 })], [ring()], true)).toMatchObject({ unchanged: 0, shelves: 0 });
  });

  it('of a part that was never counted is empty', () => {
    const never = ring({ shelf: undefined });
    expect(withShelves([ring({ shelf: 0, priceMinor: 90 })], [never], false)).toMatchObject({ shelves: 0, unchanged: 0 });
  });
});
