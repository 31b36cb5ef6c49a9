import type { Family } from './family-entry.js';

const SIZE = /^\d+(?:\.\d+)?x\d+(?:\.\d+)?(?:x\d+(?:\.\d+)?)?(?: bolts\d+x\d+(?:\.\d+)?)?$/;

/**
 * A flat face that a ring seals: one side has the groove for it, the other a plain land. Any size can be made; those listed are common
 * between filter, plate and block, by common practice.
 */
export const faceFamily: Family = {
  id: 'face',
  name: 'gasket face',
  sizeKind: 'land',
  sizes: ['18x26', '30x38', '52x60', '55x80', '62x71', '64x72', '90x100'],
  makes: (size) => SIZE.test(size),
  words: ['groove', 'land', 'face'],
  genderWords: { male: 'groove', female: 'land' },
  genderQuestion: ['Groove or land?', 'Say groove where the ring lies in it, land where the face is plain.'],
  inWords: (size, gender) => {
    const [land, bolts] = size.split(' bolts');
    const [inside, outside, depth] = land!.split('x');
    const held = bolts ? `, ${bolts.replace('x', ' bolts on ')} mm` : '';
    return `gasket face ${inside} to ${outside} mm, ${gender === 'male' ? `groove${depth ? ` ${depth} mm deep` : ''}` : 'plain'}${held}`;
  },
  seats: [],
  genders: ['male', 'female'],
  maySwivel: false,
  shape: 'face',
  land: 'size',
  flat: true,
  thread: () => undefined,
  sealsOn: (gender) => (gender === 'male' ? 'the ring in its groove' : 'its plain land, for the ring of its partner'),
  standard: "the maker's",
  usedFor: 'plates, spacers, thermostat housings, filter heads and coolers bolted to a block',
};
