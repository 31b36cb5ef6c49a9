import type { Connector } from './connector.js';
import { familyById } from './family.js';

/** How a dash size follows its family's word; what carries a flare names it besides (`bulkhead an10`). */
const DASH_HEADS: Readonly<Record<string, string>> = { flare37: 'an', orb: 'orb', flare45: 'sae45-' };

/**
 * The canonical notation: `an6 m`, `an6 f swivel`, `orb6 f`, `npt 1/8 f`, `rc 1/8 f`, `m14x1.5 f washer`, `cone24 m16x1.5 m 10l`,
 * `banjo m12x1.5`, `barb 3/8`, `hose 3/8`, `flange 2x44 bore20 f`, `bung orb10 f`. Reading it back gives the same connector.
 */
export function formatConnector(c: Connector): string {
  const family = familyById(c.family);
  const word = (c.gender === 'female' ? family.femaleWord : undefined) ?? family.words[0]!;
  const size = c.size.toLowerCase();
  const gender = c.gender === 'male' ? 'm' : 'f';
  const rest = [c.seat, c.swivel ? 'swivel' : undefined].filter(Boolean).map((said) => ` ${said}`);
  const end = ` ${gender}${rest.join('')}`;
  switch (family.sizeKind) {
    case 'dash':
      return `${DASH_HEADS[family.id] ?? `${word} an`}${size}${end}`;
    case 'metric':
    case 'inch':
      return family.id === 'metric' || family.id === 'un' ? `${size}${end}` : `${word} ${size}${end}`;
    case 'bolt':
      return family.genders.length === 1 ? `${word} ${size}` : `${word} ${size}${end}`;
    case 'bore':
      if (family.id === 'barb') return `${c.gender === 'male' ? 'barb' : 'hose'} ${size}`;
      return family.genders.length === 1 ? `${word} ${size}` : `${word} ${size}${end}`;
    case 'pipe':
    case 'flange':
    case 'inner':
      return `${word} ${size}${end}`;
  }
}
