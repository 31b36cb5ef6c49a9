import { FLANGE_SIZE } from './flange-size.js';
import type { Family } from './family-entry.js';

const bores = ['1/8', '5/32', '3/16', '1/4', '5/16', '3/8', '1/2', '5/8', '3/4', '7/8', '1', '1 1/8', '1 1/4', '1 3/8', '1 1/2', '2'];
const wide = ['1 3/4', '2 1/4', '2 1/2', '2 3/4', '3', '3 1/2', '4'];
const metricBores = ['3mm', '4mm', '5mm', '6mm', '8mm', '10mm', '12mm', '13mm', '16mm', '19mm', '22mm', '25mm', '28mm', '32mm', '35mm'];
const wideMetric = ['38mm', '45mm', '51mm', '57mm', '63mm', '70mm', '76mm'];

/** What a hose or a gasket holds without a thread. */
export const hoseFamilies: readonly Family[] = [
  {
    id: 'barb',
    name: 'hose barb',
    sizeKind: 'bore',
    sizes: [...bores, ...wide, ...metricBores, ...wideMetric],
    words: ['barb', 'hose'],
    genderWords: { male: 'barb', female: 'hose' },
    inWords: (size, gender) => `${gender === 'male' ? 'hose barb' : 'hose bore'} ${size}`,
    seats: [],
    genders: ['male', 'female'],
    maySwivel: false,
    shape: 'ridged',
    femaleShape: 'spigot',
    thread: () => undefined,
    sealsOn: (gender) => (gender === 'male' ? 'its ridges inside the hose, with a clamp' : 'the barb or bead inside it, with a clamp'),
    standard: 'SAE J1231 (clamps)',
    usedFor: 'coolant, breather, vacuum and low-pressure fuel hose',
  },
  {
    id: 'bead',
    name: 'beaded tube',
    sizeKind: 'bore',
    sizes: [...bores.slice(3), ...wide, ...metricBores.slice(2), ...wideMetric],
    words: ['bead'],
    seats: [],
    genders: ['male'],
    maySwivel: false,
    shape: 'beaded',
    partners: [{ family: 'barb' }],
    thread: () => undefined,
    sealsOn: () => 'the hose over its bead, with a clamp behind it',
    standard: 'SAE J1231, DIN 3016, DIN 3017 (clamps)',
    usedFor: 'coolant and charge-air tubes',
  },
  {
    id: 'qc',
    name: 'push-in quick connector',
    sizeKind: 'bore',
    sizes: ['1/4', '5/16', '3/8', '1/2', '5/8'],
    words: ['qc'],
    seats: [],
    genders: ['male', 'female'],
    maySwivel: false,
    shape: 'spigot',
    thread: () => undefined,
    sealsOn: (gender) => (gender === 'male' ? 'its smooth spigot' : 'the O-rings inside it'),
    standard: 'SAE J2044',
    usedFor: 'fuel and vapour lines',
  },
  {
    id: 'flange',
    name: 'two-bolt flange',
    sizeKind: 'flange',
    makes: (size) => FLANGE_SIZE.test(size),
    inWords: (size) => `two-bolt flange, ${size}`,
    flat: true,
    sizes: ['2x32 bore12', '2x38 bore16', '2x40 bore14', '2x44 bore16', '2x44 bore20', '2x50 bore20', '2x52 bore25'],
    words: ['flange'],
    seats: [],
    genders: ['male', 'female'],
    plainGender: 'female',
    maySwivel: false,
    shape: 'flange',
    thread: () => undefined,
    sealsOn: () => 'a gasket between two flat faces',
    standard: "the maker's",
    usedFor: 'turbo feeds and drains, oil pickups',
  },
];
