import { CommandError } from '../commands/index.js';
import type { HoseLength } from './length-schema.js';
import type { StoreRules } from './store-rules.js';
import { taped } from '../units/index.js';

/** What was done at the saw. */
export interface Sawn {
  /** As it was measured after the cut. */
  readonly measuredMm: number;
  /** What is left of the length, where it was measured: it goes before what is reckoned. */
  readonly leftMm?: number;
  /** The first piece off this end: it was trimmed square before. */
  readonly trimmedMm: number;
}

/** What a piece takes off a length, mm: itself, a kerf, and the end that was trimmed before it. */
export function takenOff({ measuredMm, trimmedMm }: Sawn, { kerfMm }: Pick<StoreRules, 'kerfMm'>): number {
  return measuredMm + kerfMm + trimmedMm;
}

/**
 * A length after a piece was sawn off: shorter, an offcut once it is no reel any more, used up where what is left is too short to keep.
 * @throws {CommandError} not-enough
 */
export function cutOff(length: HoseLength, sawn: Sawn, rules: Pick<StoreRules, 'kerfMm' | 'leastOffcutMm'>): HoseLength {
  if (length.state !== 'there') throw new CommandError('not-enough', `${length.id} is not on the rack any more.`, 'lengthId');
  if (sawn.measuredMm + sawn.trimmedMm > length.mm + 0.5)
    throw new CommandError(
      'not-enough',
      `${length.id} is ${taped(round(length.mm))} long: no piece of ${taped(round(sawn.measuredMm))} comes off it. Measure it, or cut from another.`,
      'measuredMm',
    );
  const reckoned = Math.max(0, length.mm - takenOff(sawn, rules));
  if (sawn.leftMm !== undefined && sawn.leftMm > length.mm - sawn.measuredMm + 0.5)
    throw new CommandError('bad-value', `${length.id} cannot be longer than what the piece left of it.`, 'leftMm');
  return leftAs(length, sawn.leftMm ?? reckoned, rules);
}

/** A length at another length than was thought: kept, or thrown away. */
export function leftAs(length: HoseLength, mm: number, { leastOffcutMm }: Pick<StoreRules, 'leastOffcutMm'>): HoseLength {
  const left = Math.round(mm * 10) / 10;
  if (left < leastOffcutMm || left === 0) return { ...length, mm: left, state: 'used' };
  return { ...length, mm: left, kind: length.kind === 'length' ? 'offcut' : length.kind };
}

const round = (mm: number): number => Math.round(mm * 10) / 10;
