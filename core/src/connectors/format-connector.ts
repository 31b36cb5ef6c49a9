import { familyById } from './family.js';
import type { Connector } from './connector.js';

/**
 * The canonical notation: `an6 m`, `an6 f swivel`, `orb6 f`, `npt 1/8 f`, `m14x1.5 f washer`, `banjo m12x1.5`, `barb 3/8`, `hose 3/8`.
 * Reading it back gives the same connector.
 */
export function formatConnector(c: Connector): string {
  const family = familyById(c.family);
  const gender = c.gender === 'male' ? 'm' : 'f';
  const size = c.size.toLowerCase();
  const rest = [c.seat, c.swivel ? 'swivel' : undefined]
    .filter(Boolean)
    .map((word) => ` ${word}`)
    .join('');
  switch (family.sizeKind) {
    case 'dash':
      return `${family.words[0]}${size} ${gender}${rest}`;
    case 'metric':
      return `${size} ${gender}${rest}`;
    case 'bolt':
      return `${family.words[0]} ${size}`;
    case 'bore':
      return `${c.gender === 'male' ? 'barb' : 'hose'} ${size}`;
    case 'pipe':
      return `${family.words[0]} ${size} ${gender}${rest}`;
  }
}
