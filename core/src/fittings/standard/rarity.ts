import type { Fitting } from '../fitting.js';
import type { Rarity } from '../fitting-schema.js';

/** Sizes that few shops keep. Common practice. */
const ODD_DASHES: ReadonlySet<string> = new Set(['5', '14', '20', '24', '32']);
const ODD_METRIC = /^M(8x1\.25|10x1\.25|12x1|12x1\.25|12x1\.75|14x1\.25|20x1|24x|26x|28x|30x|36x|38x|40x|42x|45x|48x)/;
const DASHED: ReadonlySet<string> = new Set(['flare37', 'orb', 'bulkhead', 'drybreak']);

/**
 * How easily a part is had, by what it is made of and what it joins: what every shop keeps, what is ordered, what is seldom made.
 * @param kept it is among the most usual parts
 */
export function rarityOf(fitting: Fitting, kept: boolean): Rarity {
  const { ends, material, kind, angleDeg = 0 } = fitting;
  const odd = ends.some(({ family, size }) => (DASHED.has(family) && ODD_DASHES.has(size)) || ODD_METRIC.test(size));
  if (isSeldom(fitting)) return 'rarely';
  if (odd || material === 'stainless')
    return kept || kind === 'plug' || kind === 'cap' ? 'by order' : stepsOf(fitting) > 1 ? 'rarely' : 'by order';
  if (kept || fitting.body) return 'common';
  return stepsOf(fitting) > 2 || (angleDeg > 0 && stepsOf(fitting) > 1) ? 'rarely' : 'by order';
}

/** A rigid female flare, a banjo with a port on each arm. */
function isSeldom({ ends, kind }: Fitting): boolean {
  if (kind === 'banjo' && ends.length > 2) return true;
  return ends.length > 1 && ends.some(({ family, gender, swivel }) => family === 'flare37' && gender === 'female' && !swivel);
}

/** How far apart two dash sizes of a part are, in eighths of the larger: 0 where they are one size, or not both dash sizes. */
function stepsOf({ ends }: Fitting): number {
  const sizes = ends.filter(({ family }) => DASHED.has(family)).map(({ size }) => Number(size));
  if (sizes.length < 2) return 0;
  const [least, most] = [Math.min(...sizes), Math.max(...sizes)];
  return Math.round((most - least) / 2);
}
