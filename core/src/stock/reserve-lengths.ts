import { CommandError } from '../commands/index.js';
import { counts } from '../schema/index.js';
import { freeMm, type CutMade, type HoseLength } from './length-schema.js';
import { taped } from '../units/index.js';

/** A length of which so much, and no more, is kept for a job; nothing for 0. @throws {CommandError} not-enough */
export function reserveLengths(length: HoseLength, jobId: string, mm: number): HoseLength {
  const { reserved = [], ...rest } = length;
  const free = freeMm(length, jobId);
  if (mm > 0 && (length.state !== 'there' || length.kind === 'made' || (length.jobId !== undefined && length.jobId !== jobId)))
    throw new CommandError('not-enough', `${length.id} is not there to be cut from any more.`, 'lengths');
  if (mm > free + 0.5)
    throw new CommandError(
      'not-enough',
      `Of ${length.id} ${taped(Math.floor(free))} are free by now, the rest is reserved for another job: plan again.`,
      'lengths',
    );
  const next = [...reserved.filter((r) => r.jobId !== jobId), ...(mm > 0 ? [{ jobId, mm }] : [])];
  if (next.length > counts.jobsOnStock)
    throw new CommandError(
      'too-many',
      `${counts.jobsOnStock} jobs have some of ${length.id} already: settle one of them first.`,
      'lengths',
    );
  return next.length > 0 ? { ...rest, reserved: next } : rest;
}

/** A length that gets back what was booked off it and not sawn. */
export function wholeAgain(length: HoseLength, cut: Pick<CutMade, 'tookMm' | 'measuredMm'>, others: number): HoseLength {
  const mm = Math.round((length.mm + (cut.tookMm ?? cut.measuredMm)) * 10) / 10;
  // bought at a length, and nothing else was cut off it
  const kind = length.kind === 'offcut' && length.from === undefined && others === 0 ? 'length' : length.kind;
  return { ...length, mm, kind, state: 'there' };
}
