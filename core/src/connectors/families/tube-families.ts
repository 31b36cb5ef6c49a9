import { metricThread } from '../../threads/index.js';
import type { Family } from './family-entry.js';

/** Metric nuts over a 60° cone. Which the trade meets is common practice. */
const CONES = 'M10x1 M12x1.5 M14x1.5 M16x1.5 M18x1.5 M20x1.5 M22x1.5 M26x1.5 M30x1.5'.split(' ');
const TUBES = ['1/8', '3/16', '1/4', '5/16', '3/8', '1/2', '5/8', '3/4', ...'4mm 5mm 6mm 8mm 10mm 12mm 15mm 18mm 22mm'.split(' ')];
const HOLES = '8mm 10mm 12mm 14mm 15mm 16mm 18mm 20mm 22mm 25mm 28mm 30mm 32mm 35mm 38mm 40mm'.split(' ');

/** What tube is joined by: a cone under a nut, an olive on the plain tube, a ring or grommet round a stub in a drilled hole. */
export const tubeFamilies: readonly Family[] = [
  {
    id: 'cone60',
    name: 'metric 60° cone',
    sizeKind: 'metric',
    sizes: CONES,
    words: ['cone60'],
    usuallySwivels: true,
    seats: [],
    genders: ['male', 'female'],
    maySwivel: true,
    shape: 'flare',
    coneHalfAngleDeg: 30,
    thread: (size) => metricThread(...(size.slice(1).split('x').map(Number) as [number, number])),
    sealsOn: (gender) => (gender === 'male' ? 'the 60° cone in its mouth' : 'its 60° nose, metal to metal'),
    standard: 'DIN 3863',
    usedFor: 'fuel and oil pipes of diesels and tractors; the thread of a 24° cone, and another cone',
  },
  {
    id: 'compression',
    name: 'compression fitting',
    sizeKind: 'bore',
    sizes: TUBES,
    words: ['compression'],
    inWords: (size, gender) => (gender === 'male' ? `plain tube, ${size} outside` : `compression fitting for tube of ${size}`),
    genderQuestion: ['The tube or what goes over it?', 'Add m for the plain tube, f for body, nut and olive.'],
    seats: [],
    genders: ['male', 'female'],
    maySwivel: false,
    shape: 'spigot',
    thread: () => undefined,
    sealsOn: (gender) => (gender === 'male' ? 'its plain outside, gripped by the olive' : 'the olive that its nut presses on the tube'),
    standard: "SAE J512 (inch); the maker's",
    usedFor: 'gauge, vacuum and low-pressure lines of hard tube',
  },
  {
    id: 'stub',
    name: 'stub in a drilled hole',
    sizeKind: 'bore',
    sizes: HOLES,
    words: ['stub'],
    inWords: (size, gender) => (gender === 'male' ? `stub of ${size} for a drilled hole` : `drilled hole of ${size}`),
    genderQuestion: ['The stub or the hole it goes into?', 'Add m for the stub, f for the drilled hole.'],
    seats: ['grommet'],
    seatsOf: (_, gender) => (gender === 'male' ? ['grommet'] : []),
    genders: ['male', 'female'],
    maySwivel: false,
    aims: true,
    shape: 'spigot',
    thread: () => undefined,
    sealsOn: (gender, seat) =>
      gender === 'female'
        ? 'the ring or grommet of the stub in it'
        : seat === 'grommet'
          ? 'the rubber grommet round it'
          : 'the O-ring in its groove',
    standard: 'common practice',
    usedFor: 'breathers in covers, water and dipstick pipes in blocks, drains pushed into a pan',
  },
];
