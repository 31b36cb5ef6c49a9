import { kegSizes, kegThread, metricThread, parseThread, type Thread } from '../../threads/index.js';
import type { Family } from './family-entry.js';
import { TUBE_FLARE } from './tube-flare.js';

/** Metric threads of ports, studs and senders. Which pitches the trade meets is common practice. */
const metricPlumbing = (
  'M5x0.8 M6x1 M8x1 M8x1.25 M10x1 M10x1.25 M10x1.5 M11x1 M12x1 M12x1.25 M12x1.5 M12x1.75 M14x1 M14x1.25 M14x1.5 M14x2 M16x1 M16x1.5 M16x2 M18x1.5 M18x2 ' +
  'M20x1 M20x1.5 M20x2 M22x1.5 M22x2 M24x1.5 M24x2 M26x1.5 M27x1.5 M27x2 M28x1.5 M30x1.5 M30x2 M33x1.5 M33x2 M36x1.5 M36x2 M38x1.5 M40x1.5 M42x1.5 ' +
  'M42x2 M45x1.5 M45x2 M48x1.5 M48x2'
).split(' ');
/** Coarse threads of fillers and their caps. Which the trade meets is common practice. */
const fillers = new Set('M28x3 M30x3 M33x3 M35x3 M36x3 M38x3 M40x3 M42x3 M42x4 M45x3 M45x4 M48x3 M48x4 M52x4'.split(' '));
const banjoSizes = (
  'M8x1 M8x1.25 M10x1 M10x1.25 M10x1.5 M12x1 M12x1.25 M12x1.5 M14x1.25 M14x1.5 M16x1.5 M18x1.5 M20x1.5 M22x1.5 M24x1.5 M26x1.5 3/8-24 7/16-20 ' +
  '1/2-20 9/16-18 3/4-16'
).split(' ');
const postSizes =
  'M16x1.5 M18x1.5 M20x1.5 M22x1.5 M24x1.5 M26x1.5 M27x2 M30x2 5/8-18 11/16-16 3/4-16 13/16-16 1-12 1-16 1_1/8-16 1_1/2-12 1_1/2-16'
    .split(' ')
    .map((size) => size.replace('_', ' '));

/** 24° cone: tube size and series (L light, S heavy) by thread. Source: ISO 8434-1, from memory. */
export const cone24Sizes: Readonly<Record<string, readonly string[]>> = {
  'M12x1.5': ['6l'],
  'M14x1.5': ['8l', '6s'],
  'M16x1.5': ['10l', '8s'],
  'M18x1.5': ['12l', '10s'],
  'M20x1.5': ['12s'],
  'M22x1.5': ['15l', '14s'],
  'M24x1.5': ['16s'],
  'M26x1.5': ['18l'],
  M30x2: ['22l', '20s'],
  M36x2: ['28l', '25s'],
  M42x2: ['30s'],
  M45x2: ['35l'],
  M52x2: ['42l', '38s'],
};

const numbers = (size: string): [number, number] => size.slice(1).split('x').map(Number) as [number, number];
const metricSize = (size: string): Thread => metricThread(...numbers(size));
const boltSize = (size: string): Thread => (size.startsWith('M') ? metricSize(size) : parseThread(size));

/** Connectors with metric threads, and those bolts and posts that come in both. */
export const metricFamilies: readonly Family[] = [
  {
    id: 'metric',
    name: 'metric parallel',
    sizeKind: 'metric',
    sizes: metricPlumbing,
    makes: (size) => fillers.has(size),
    words: ['metric'],
    onBungs: true,
    chamfered: true,
    namedBySize: true,
    seats: ['washer', 'oring', 'captive', 'adjustable'],
    seatsOf: (_, gender) => (gender === 'male' ? ['washer', 'oring', 'captive', 'adjustable'] : ['washer', 'oring']),
    genders: ['male', 'female'],
    maySwivel: false,
    shape: 'stud',
    thread: metricSize,
    sealsOn: (gender, seat) => {
      if (seat === 'washer') return gender === 'male' ? 'a washer under its shoulder' : 'a washer on its flat spot face';
      if (seat === 'oring') return gender === 'male' ? 'an O-ring under its shoulder' : 'an O-ring in the chamfer of its spot face';
      if (seat === 'captive') return 'the ring captive in its shoulder';
      if (seat === 'adjustable') return 'an O-ring under its retaining washer, held by a locknut';
      return 'nothing yet: its seat is not stated';
    },
    standard: 'ISO 9974 (washer, captive ring), ISO 6149 (O-ring)',
    usedFor: 'blocks, heads, pans, housings, senders',
  },
  {
    id: 'keg',
    name: 'metric taper',
    sizeKind: 'metric',
    sizes: kegSizes.map((size) => `M${size}`),
    words: ['keg'],
    partners: [{ family: 'metric' }],
    seats: [],
    genders: ['male'],
    maySwivel: false,
    shape: 'taper',
    thread: (size) => kegThread(...numbers(size)),
    sealsOn: () => 'its taper thread, with sealant, in a parallel metric hole',
    standard: 'DIN 158',
    usedFor: 'plugs and senders of older European engines',
  },
  {
    id: 'cone24',
    name: '24° cone',
    sizeKind: 'metric',
    sizes: Object.keys(cone24Sizes),
    words: ['cone24'],
    seats: [...new Set(Object.values(cone24Sizes).flat())],
    seatsOf: (size) => cone24Sizes[size] ?? [],
    genders: ['male', 'female'],
    maySwivel: true,
    shape: 'flare',
    coneHalfAngleDeg: 12,
    thread: metricSize,
    sealsOn: (gender) => (gender === 'male' ? 'the 24° cone in its mouth' : 'a cutting ring or O-ring nose, drawn in by the nut'),
    standard: 'ISO 8434-1',
    usedFor: 'tube and hose of European hydraulics and coolers',
  },
  {
    id: 'bubble',
    name: 'bubble flare',
    sizeKind: 'metric',
    sizes: ['M10x1', 'M12x1', 'M14x1.5', 'M16x1.5'],
    words: ['bubble'],
    recognisedOnly: true,
    threadAlone: TUBE_FLARE,
    seats: [],
    genders: ['male', 'female'],
    maySwivel: false,
    shape: 'stud',
    // 115° over the flare: ISO 4038, from memory
    coneHalfAngleDeg: 57.5,
    thread: metricSize,
    sealsOn: (gender) => (gender === 'male' ? 'the bubble of its tube, pressed by the nut' : 'the seat at the bottom of the port'),
    standard: 'ISO 4038',
    usedFor: 'brake and fuel lines; known here so that it is not taken for something else',
  },
  {
    id: 'banjo',
    name: 'banjo',
    sizeKind: 'bolt',
    sizes: banjoSizes,
    words: ['banjo'],
    inWords: (size) => `banjo bolt ${size} with its eye`,
    otherGender: () => 'Leave it away; type the port it goes into as m12x1.5 f washer.',
    aims: true,
    partners: [
      { family: 'metric', seat: 'washer' },
      { family: 'un', seat: 'washer' },
    ],
    seats: [],
    genders: ['male'],
    maySwivel: false,
    shape: 'banjo',
    thread: boltSize,
    sealsOn: () => 'two washers, one each side of the eye',
    standard: 'ISO 7642, DIN 7643',
    usedFor: 'turbo feeds, drains with no room, fuel pumps',
  },
  {
    id: 'post',
    name: 'filter post',
    sizeKind: 'bolt',
    sizes: postSizes,
    words: ['post'],
    // the end of a bolt that carries the post on: thread alone, no face round it
    seats: ['bolt'],
    genders: ['male', 'female'],
    maySwivel: false,
    shape: 'post',
    land: 'seat',
    threadAlone:
      'A filter post has no seat of its own: only the gasket round it seals. A bolt has no face: what is bolted on lies on the block itself.',
    thread: boltSize,
    sealsOn: (gender, seat) =>
      seat === 'bolt'
        ? 'nothing: a bolt holds, and has no face'
        : gender === 'male'
          ? 'the machined face round it, for a gasket'
          : 'its own gasket',
    standard: "the filter maker's",
    usedFor: 'spin-on filters, sandwich plates and their post bolts',
  },
];
