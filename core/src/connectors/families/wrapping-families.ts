import { unThread } from '../../threads/index.js';
import type { Family } from './family-entry.js';
import { inchStraightThreads } from './flare-sizes.js';

const dashes = Object.keys(inchStraightThreads);
const flareThread: Family['thread'] = (size) => {
  const row = inchStraightThreads[size];
  return row && unThread(row.diameter, row.tpi);
};

/** What goes through a wall, is welded on, or shuts itself when parted: each carries another connector. */
export const wrappingFamilies: readonly Family[] = [
  {
    id: 'bulkhead',
    name: 'bulkhead',
    sizeKind: 'dash',
    sizes: dashes.filter((dash) => Number(dash) >= 3),
    words: ['bulkhead'],
    wraps: true,
    metAsAnother: true,
    dashHead: 'bulkhead an',
    inWords: (size, gender) => (gender === 'male' ? `bulkhead ${size}, male` : `drilled hole for bulkhead ${size}`),
    seats: [],
    genders: ['male', 'female'],
    maySwivel: false,
    shape: 'flare',
    femaleShape: 'hole',
    partners: [{ family: 'flare37', swivel: true }],
    coneHalfAngleDeg: 37,
    thread: (size, gender) => (gender === 'male' ? flareThread(size, gender) : undefined),
    sealsOn: (gender) =>
      gender === 'male' ? 'its 37° nose; through the sheet on a washer each side' : 'a sealing washer on each side of the flat sheet',
    standard: 'SAE J514',
    usedFor: 'through firewalls, tanks and catch cans',
  },
  {
    id: 'drybreak',
    name: 'dry-break coupling',
    sizeKind: 'dash',
    sizes: ['4', '6', '8', '10', '12', '16'],
    words: ['drybreak'],
    wraps: true,
    dashHead: 'drybreak an',
    comesApart: true,
    seats: [],
    genders: ['male', 'female'],
    plainGender: 'female',
    maySwivel: false,
    shape: 'coupling',
    thread: () => undefined,
    sealsOn: () => 'its own valves and rings',
    standard: "the maker's; both halves of one make and size",
    usedFor: 'engines that come out often',
  },
  {
    id: 'bung',
    name: 'weld bung',
    sizeKind: 'inner',
    sizes: [
      ...['3', '4', '6', '8', '10', '12', '16', '20'].map((dash) => `orb${dash}`),
      ...['4', '6', '8', '10', '12', '16', '20'].map((dash) => `an${dash}`),
      ...['1/16', '1/8', '1/4', '3/8', '1/2', '3/4', '1'].map((size) => `npt ${size}`),
      ...['m10x1', 'm12x1.5', 'm14x1.5', 'm16x1.5', 'm18x1.5', 'm20x1.5', 'm22x1.5'],
      ...['1/4', '3/8', '1/2', '3/4'].map((size) => `g ${size}`),
    ],
    words: ['bung'],
    wraps: true,
    carries: true,
    seats: ['washer', 'oring'],
    seatsOf: (size) => (size.startsWith('m') ? ['washer', 'oring'] : []),
    genders: ['male', 'female'],
    maySwivel: false,
    shape: 'inner',
    thread: () => undefined,
    sealsOn: () => 'its weld, and then as the connector it carries',
    standard: 'weld by common practice; then as the connector it carries',
    usedFor: 'tanks, pans, pipes and catch cans',
  },
];
