import { metricThread, nptSizes, nptThread, parseThread, unThread, type Thread } from '../threads/index.js';
import { inchStraightThreads } from './flare-sizes.js';

export type SizeKind = 'dash' | 'pipe' | 'metric' | 'bore' | 'bolt';

/** Everything the app knows about a connector family in one entry; notation, words, mating and the guide all read it. */
export interface Family {
  readonly id: string;
  /** As it reads in a sentence: `37° flare`. */
  readonly name: string;
  readonly sizeKind: SizeKind;
  readonly sizes: readonly string[];
  /** Words that name the family when typed; the first is the canonical one. */
  readonly words: readonly string[];
  /** Seats it may have, the canonical word first; empty where there is only one way to seal. */
  readonly seats: readonly string[];
  readonly genders: readonly ('male' | 'female')[];
  readonly maySwivel: boolean;
  readonly thread: (size: string) => Thread | undefined;
  /** What it seals on, in a few words, for each seat (or '' where there is none). */
  readonly sealsOn: (gender: 'male' | 'female', seat: string | undefined) => string;
  readonly standard: string;
}

const metricPlumbing = [
  'M8x1',
  'M8x1.25',
  'M10x1',
  'M10x1.25',
  'M10x1.5',
  'M12x1',
  'M12x1.25',
  'M12x1.5',
  'M14x1.25',
  'M14x1.5',
  'M16x1.5',
  'M18x1.5',
  'M20x1.5',
  'M22x1.5',
  'M24x1.5',
  'M26x1.5',
  'M27x2',
  'M30x1.5',
  'M30x2',
  'M33x2',
  'M36x2',
  'M42x2',
  'M48x2',
];
const banjoInch = ['3/8-24', '7/16-20', '1/2-20', '9/16-18', '3/4-16'];
const bores = ['1/8', '5/32', '3/16', '1/4', '5/16', '3/8', '1/2', '5/8', '3/4', '7/8', '1', '1 1/8', '1 1/4', '1 3/8', '1 1/2', '2'];

const dashThread = (size: string): Thread | undefined => {
  const row = inchStraightThreads[size];
  return row && unThread(row.diameter, row.tpi);
};
const metricSize = (size: string): Thread => {
  const [diameter, pitch] = size.slice(1).split('x').map(Number);
  return metricThread(diameter!, pitch!);
};

export const families: readonly Family[] = [
  {
    id: 'flare37',
    name: '37° flare',
    sizeKind: 'dash',
    sizes: Object.keys(inchStraightThreads),
    words: ['an', 'jic', 'flare', 'flare37'],
    seats: [],
    genders: ['male', 'female'],
    maySwivel: true,
    thread: dashThread,
    sealsOn: (gender) => (gender === 'male' ? 'its 37° nose, metal to metal' : 'its 37° seat, metal to metal'),
    standard: 'SAE J514, ISO 8434-2',
  },
  {
    id: 'orb',
    name: 'O-ring boss',
    sizeKind: 'dash',
    sizes: Object.keys(inchStraightThreads),
    words: ['orb'],
    seats: ['fixed', 'adjustable'],
    genders: ['male', 'female'],
    maySwivel: false,
    thread: dashThread,
    sealsOn: (gender) => (gender === 'male' ? 'an O-ring under the hex' : 'an O-ring in the chamfer of its spot face'),
    standard: 'SAE J1926, ISO 11926',
  },
  {
    id: 'npt',
    name: 'American taper pipe',
    sizeKind: 'pipe',
    sizes: nptSizes.map((row) => row.size),
    words: ['npt'],
    seats: [],
    genders: ['male', 'female'],
    maySwivel: false,
    thread: nptThread,
    sealsOn: () => 'the thread itself, with sealant on the male',
    standard: 'ASME B1.20.1',
  },
  {
    id: 'metric',
    name: 'metric parallel',
    sizeKind: 'metric',
    sizes: metricPlumbing,
    words: ['metric'],
    seats: ['washer', 'oring'],
    genders: ['male', 'female'],
    maySwivel: false,
    thread: metricSize,
    sealsOn: (gender, seat) => {
      if (seat === 'washer') return gender === 'male' ? 'a washer under its shoulder' : 'a washer on its flat spot face';
      if (seat === 'oring') return gender === 'male' ? 'an O-ring under its shoulder' : 'an O-ring in the chamfer of its spot face';
      return 'nothing yet: its seat is not stated';
    },
    standard: 'ISO 9974 (washer), ISO 6149 (O-ring)',
  },
  {
    id: 'banjo',
    name: 'banjo',
    sizeKind: 'bolt',
    sizes: [...metricPlumbing.slice(0, 16), ...banjoInch],
    words: ['banjo'],
    seats: [],
    genders: ['male'],
    maySwivel: false,
    thread: (size) => (size.startsWith('M') ? metricSize(size) : parseThread(size)),
    sealsOn: () => 'two washers, one each side of the eye',
    standard: 'ISO 7642, DIN 7643',
  },
  {
    id: 'barb',
    name: 'hose barb',
    sizeKind: 'bore',
    sizes: [...bores, '4mm', '6mm', '8mm', '10mm', '12mm', '13mm', '16mm', '19mm', '25mm', '32mm'],
    words: ['barb', 'hose'],
    seats: [],
    genders: ['male', 'female'],
    maySwivel: false,
    thread: () => undefined,
    sealsOn: (gender) => (gender === 'male' ? 'its ridges inside the hose, with a clamp' : 'the barb inside it, with a clamp'),
    standard: 'SAE J1231 (clamps)',
  },
];

/** The family with this id. @throws {RangeError} */
export function familyById(id: string): Family {
  const found = families.find((f) => f.id === id);
  if (!found) throw new RangeError(`No connector family "${id}"`);
  return found;
}
