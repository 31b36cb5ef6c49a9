import { parseThread, unThread, type Thread } from '../../threads/index.js';
import type { Family } from './family-entry.js';
import { TUBE_FLARE } from './tube-flare.js';
import { faceSealThreads, flare45Threads, inchStraightThreads, invertedFlareThreads } from './flare-sizes.js';

const from =
  (table: typeof inchStraightThreads) =>
  (size: string): Thread | undefined => {
    const row = table[size];
    return row && unThread(row.diameter, row.tpi);
  };

/** Threads of inch ports and plugs with a washer. Source: ASME B1.1; which of them the trade meets is common practice. */
const inchPorts = (
  '1/4-20 1/4-28 5/16-18 5/16-24 3/8-16 3/8-24 7/16-20 7/16-24 1/2-13 1/2-20 9/16-18 5/8-11 5/8-18 11/16-16 3/4-16 13/16-16 7/8-14 1-12 1_1/16-12 ' +
  '1_1/8-12 1_3/16-12 1_1/4-12 1_5/16-12 1_1/2-12 1_5/8-12 1_7/8-12 2_1/2-12'
)
  .split(' ')
  .map((size) => size.replace('_', ' '));

const flare = (half: number) => (gender: 'male' | 'female') =>
  gender === 'male' ? `its ${half}° nose, metal to metal` : `its ${half}° seat, metal to metal`;

/** Connectors with straight inch threads. */
export const inchFamilies: readonly Family[] = [
  {
    id: 'flare37',
    name: '37° flare',
    sizeKind: 'dash',
    sizes: Object.keys(inchStraightThreads),
    words: ['an', 'jic', 'flare', 'flare37'],
    dashHead: 'an',
    onBungs: true,
    usuallySwivels: true,
    seats: [],
    genders: ['male', 'female'],
    maySwivel: true,
    shape: 'flare',
    coneHalfAngleDeg: 37,
    thread: from(inchStraightThreads),
    sealsOn: flare(37),
    standard: 'SAE J514, ISO 8434-2',
    usedFor: 'hose ends and adapters',
  },
  {
    id: 'flare45',
    name: '45° flare',
    sizeKind: 'dash',
    sizes: Object.keys(flare45Threads),
    words: ['sae45', 'flare45'],
    dashHead: 'sae45-',
    seats: [],
    genders: ['male', 'female'],
    maySwivel: true,
    shape: 'flare',
    coneHalfAngleDeg: 45,
    thread: from(flare45Threads),
    sealsOn: flare(45),
    standard: 'SAE J512',
    usedFor: 'copper and steel fuel and coolant tube',
  },
  {
    id: 'inverted',
    name: 'inverted flare',
    sizeKind: 'bore',
    sizes: Object.keys(invertedFlareThreads),
    words: ['inverted', 'inv'],
    recognisedOnly: true,
    threadAlone: TUBE_FLARE,
    seats: [],
    genders: ['male', 'female'],
    maySwivel: false,
    shape: 'stud',
    // the seat in the port stands out at 42 to 45°: SAE J512, from memory
    coneHalfAngleDeg: 45,
    thread: from(invertedFlareThreads),
    sealsOn: (gender) =>
      gender === 'male' ? 'the double flare of its tube, pressed by the nut' : 'the inverted seat at the bottom of the port',
    standard: 'SAE J512',
    usedFor: 'brake, fuel and transmission lines; known here so that it is not taken for something else',
  },
  {
    id: 'orb',
    name: 'O-ring boss',
    sizeKind: 'dash',
    sizes: Object.keys(inchStraightThreads),
    words: ['orb'],
    dashHead: 'orb',
    onBungs: true,
    chamfered: true,
    seats: ['fixed', 'adjustable'],
    seatsOf: (_, gender) => (gender === 'male' ? ['fixed', 'adjustable'] : ['fixed']),
    plainSeat: 'fixed',
    genders: ['male', 'female'],
    maySwivel: false,
    maleTurns: true,
    shape: 'boss',
    thread: from(inchStraightThreads),
    sealsOn: (gender) => (gender === 'male' ? 'an O-ring under the hex' : 'an O-ring in the chamfer of its spot face'),
    standard: 'SAE J1926, ISO 11926',
    usedFor: 'pumps, tanks, filter heads, coolers, machined housings',
  },
  {
    id: 'orfs',
    name: 'O-ring face seal',
    sizeKind: 'dash',
    sizes: Object.keys(faceSealThreads),
    words: ['orfs'],
    dashHead: 'orfs',
    recognisedOnly: true,
    usuallySwivels: true,
    threadAlone: 'A face seal closes on the ring in its flat face, and its thread only holds.',
    seats: [],
    genders: ['male', 'female'],
    maySwivel: true,
    shape: 'flare',
    // flat
    coneHalfAngleDeg: 90,
    thread: from(faceSealThreads),
    sealsOn: (gender) => (gender === 'male' ? 'the ring in its flat face' : 'its flat sleeve, on the ring of the male'),
    standard: 'SAE J1453, ISO 8434-3',
    usedFor: 'hydraulics of machines; known here so that it is not taken for a flare or a boss',
  },
  {
    id: 'un',
    name: 'inch parallel',
    sizeKind: 'inch',
    sizes: inchPorts,
    words: ['inch'],
    namedBySize: true,
    seats: ['washer'],
    genders: ['male', 'female'],
    maySwivel: false,
    shape: 'stud',
    thread: (size) => parseThread(size),
    sealsOn: (gender, seat) => {
      if (seat !== 'washer') return 'nothing yet: its seat is not stated';
      return gender === 'male' ? 'a washer under its shoulder' : 'a washer on its flat spot face';
    },
    standard: 'ASME B1.1; washer faces by common practice',
    usedFor: 'drain plugs, carburettor and regulator ports, inch banjo bolts',
  },
];
