import { SLEEVE_WALLS_MM } from '../cutting/index.js';
import type { Catalogue } from '../job/index.js';
import type { AssembledJob } from '../lines/index.js';
import type { StoreRules } from '../stock/index.js';
import { figureOf, type Supply } from '../supplies/index.js';

/** Clips of one size that a job asks for; `unknown` where the catalogue has none that holds. */
export interface ClipsNeeded {
  readonly part: string;
  readonly name: string;
  readonly quantity: number;
  readonly lines: readonly number[];
  readonly unknown?: true;
}

/** A clip lined with rubber gives so much, mm, and no more: a wider one lets the hose rub. Common practice. */
const GIVES_MM = 3;

/**
 * Clips for the hoses of a job, one for each full spacing of a hose's length: an estimate for what is bought, until it is known where each sits. A hose
 * shorter than the spacing is held by its ends; one that stays on the car has its own.
 */
export function clipsFor(
  { lines, catalogue }: Pick<AssembledJob, 'lines' | 'catalogue'>,
  { clipEveryMm }: Pick<StoreRules, 'clipEveryMm'>,
): ClipsNeeded[] {
  const sums = new Map<string, ClipsNeeded>();
  if (!(clipEveryMm > 0)) return [];
  for (const { line, pieces } of lines)
    for (const { piece, hose, cut } of pieces) {
      const quantity = hose && cut && piece.source !== 'kept' ? Math.floor(cut.cutMm / clipEveryMm) : 0;
      if (!hose || quantity === 0) continue;
      const mm = hose.outsideMm + (line.flow?.sleeved ? SLEEVE_WALLS_MM : 0);
      const clip = clipOver(catalogue, mm);
      const size = Math.round(mm * 10) / 10;
      const row = clip ? { part: clip.id, name: clip.name } : { part: `clip ${size}`, name: `Clip for ${size} mm`, unknown: true as const };
      const known = sums.get(row.part);
      sums.set(row.part, {
        ...row,
        quantity: quantity + (known?.quantity ?? 0),
        lines: [...new Set([...(known?.lines ?? []), line.number])],
      });
    }
  return [...sums.values()];
}

/** The narrowest clip that goes round so much and still holds it. */
export function clipOver({ supplies }: Pick<Catalogue, 'supplies'>, mm: number): Supply | undefined {
  const holds = (s: Supply): number => Number(figureOf(s, 'holdsMm'));
  return supplies
    .filter((s) => s.kind === 'clip' && !s.retired && holds(s) >= mm && holds(s) - mm <= GIVES_MM)
    .sort((a, b) => holds(a) - holds(b))[0];
}
