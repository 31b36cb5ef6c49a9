import { bareConnector, endForm, familyById, shapeOf } from '../connectors/index.js';
import { fittingKind, type FittingKindId } from './fitting-kinds.js';
import type { Fitting } from './fitting-schema.js';

export type { Fitting } from './fitting-schema.js';

export const materials = ['aluminium', 'steel', 'stainless', 'brass', 'silicone', 'rubber'] as const;
export type Material = (typeof materials)[number];
/** Of those, what is not moulded. */
export const metalNames: readonly Material[] = materials.filter((m) => m !== 'silicone' && m !== 'rubber');

/** The kind of a fitting, read off its ends where it is not said. */
export function kindOf(fitting: Fitting): FittingKindId {
  if (fitting.kind) return fitting.kind;
  const [a, b] = fitting.ends;
  if (fitting.ends.length === 1) return familyById(a!.family).carries ? 'bung' : a!.gender === 'male' ? 'plug' : 'cap';
  if (fitting.ends.length > 4) return 'manifold';
  if (fitting.ends.length > 2) return fitting.ends.length === 3 ? 'tee' : 'cross';
  if (fitting.ends.some((e) => shapeOf(e) === 'banjo')) return 'banjo';
  if (fitting.angleDeg) return 'elbow';
  if (a!.family !== b!.family) return 'adapter';
  return a!.size === b!.size ? (a!.swivel && b!.swivel ? 'swivel' : 'union') : 'reducer';
}

/** Ends that a way through the fitting leaves open. */
export function openEnds(fitting: Fitting, inEnd: number, outEnd: number): number[] {
  return fitting.ends.map((_, i) => i).filter((i) => i !== inEnd && i !== outEnd);
}

/** May stand in a chain without having been asked for. */
export function isPlain(fitting: Fitting): boolean {
  const kind = fittingKind(kindOf(fitting));
  return !kind.function && !kind.welded && !kind.throughWall;
}

/** Closes an open end: a plug, a cap, a spin-on filter on its post. */
export function isClosing(fitting: Fitting): boolean {
  return fittingKind(kindOf(fitting)).closes === true;
}

/** Across the flats of its body, mm; where that is not said, as its ends by their standards have it. */
export function hexOf({ hexMm, ends }: Pick<Fitting, 'hexMm' | 'ends'>): number {
  return hexMm ?? Math.max(...ends.map((end) => endForm(bareConnector(end)).hexMm));
}

/** What an end is called on its part: `to cooler`, or `end 3` where it has no name. */
export function endName({ body }: Fitting, end: number): string {
  return body?.places[end]?.name ?? `end ${end + 1}`;
}
