import { fractionToNumber } from '../units/index.js';
import type { Connector } from './connector.js';
import { familyById } from './family.js';
import { FLANGE_SIZE } from './families/flange-size.js';

/** Hose and barb are the same within this share, inch or metric: 19 mm and 3/4, 16 and 5/8. Common practice. */
const SAME_BORE = 0.04;
/** Sizes that are further apart and joined all the same, mm. Common practice. */
const BY_PRACTICE: readonly (readonly [number, number])[] = [[9.525, 10]];

/** Whether two connectors are of sizes that can meet: the same, or bores of a hose that are the same to it. */
export function meetInSize(a: Connector, b: Connector): boolean {
  if (a.size === b.size) return true;
  if (!isHoseBore(a) || !isHoseBore(b)) return false;
  const [small, large] = [boreSizeMm(a.size), boreSizeMm(b.size)].sort((x, y) => x - y) as [number, number];
  return large - small <= SAME_BORE * large || BY_PRACTICE.some(([s, l]) => Math.abs(s - small) < 0.01 && Math.abs(l - large) < 0.01);
}

/**
 * What two connectors must have in common to seal, to look one up by: their size; of hoses and what they go over, of flanges and of
 * faces no more than that they are such.
 */
export function sizeGroup(c: Connector): string {
  if (isHoseBore(c)) return 'hose';
  const family = familyById(c.family);
  return family.flat ? family.id : c.size;
}

/** A hose, or what it is pushed over. */
function isHoseBore({ family }: Connector): boolean {
  return ['ridged', 'beaded'].includes(familyById(family).shape);
}

/** Bore of a hose or barb size, mm: `3/8` or `10mm`. */
export function boreSizeMm(size: string): number {
  return size.endsWith('mm') ? Number(size.slice(0, -2)) : fractionToNumber(size) * 25.4;
}

export interface FlangeFigures {
  /** Between the bolts, mm. */
  readonly apartMm: number;
  /** `M6` or `M8`; undefined where it was not said. */
  readonly bolt?: string;
  readonly boreMm: number;
}

/** Bolts and bore of a flange size: `2x44 bore20`, `2x38 m6 bore14`. @throws {RangeError} */
export function flangeFigures(size: string): FlangeFigures {
  const figures = FLANGE_SIZE.exec(size);
  if (!figures) throw new RangeError(`No flange "${size}"`);
  const [, apart, bolt, bore] = figures;
  return { apartMm: Number(apart), ...(bolt ? { bolt: bolt.toUpperCase() } : {}), boreMm: Number(bore) };
}
