import type { Connector } from './connector.js';
import { familyById } from './family.js';

/**
 * The canonical notation: `an6 m`, `an6 f swivel`, `orb6 f`, `npt 1/8 f`, `rc 1/8 f`, `m14x1.5 f washer`, `cone24 m16x1.5 m 10l`,
 * `banjo m12x1.5`, `barb 3/8`, `hose 3/8`, `flange 2x44 bore20 f`, `groove 62x71`, `post 3/4-16 m 58x82`, `bung orb10 f`. Reading it back gives the same connector.
 */
export function formatConnector(c: Connector): string {
  let notation = written.get(c);
  if (notation === undefined) written.set(c, (notation = write(c)));
  return notation;
}

/** A connector is the same as long as it is, and is written often. */
const written = new WeakMap<Connector, string>();

function write(c: Connector): string {
  const family = familyById(c.family);
  const size = c.size.toLowerCase();
  if (family.genderWords) return `${family.genderWords[c.gender]} ${size}`;
  const word = (c.gender === 'female' ? family.femaleWord : undefined) ?? family.words[0]!;
  const gender = c.gender === 'male' ? 'm' : 'f';
  const rest = [c.seat, c.swivel ? 'swivel' : undefined].filter(Boolean).map((said) => ` ${said}`);
  const end = ` ${gender}${rest.join('')}`;
  switch (family.sizeKind) {
    case 'dash':
      return `${family.dashHead}${size}${end}`;
    case 'metric':
    case 'inch':
      return family.namedBySize ? `${size}${end}` : `${word} ${size}${end}`;
    case 'bolt':
    case 'bore':
      return family.genders.length === 1 ? `${word} ${size}` : `${word} ${size}${end}`;
    case 'pipe':
    case 'flange':
    case 'inner':
    case 'land':
      return `${word} ${size}${end}`;
  }
}
