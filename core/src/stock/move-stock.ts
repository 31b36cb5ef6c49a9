import { Type, type Static } from 'typebox';
import { CommandError } from '../commands/index.js';
import { counts, letters, OneOf, Words, type Frozen } from '../schema/index.js';
import { RowId } from './supplier-schema.js';

const strict = { additionalProperties: false } as const;
const PartId = Type.String({ minLength: 1, maxLength: letters.partId });
const Pieces = Type.Integer({ minimum: 0, maximum: 1_000_000 });

/** How a part is kept, beside how many there are: the shelf itself is the sum of its movements. */
export const StockSchema = Type.Object(
  {
    /** {@link shelfId}: another than its part's, for both are told in one change. */
    id: Type.String({ minLength: 1, maxLength: letters.partId + 10 }),
    part: PartId,
    /** Kept back for jobs. */
    reserved: Type.Array(Type.Object({ jobId: RowId, quantity: Type.Integer({ minimum: 1, maximum: 1_000_000 }) }, strict), {
      maxItems: counts.jobsOnStock,
    }),
    /** Taken off the shelf for jobs, less what came back. */
    issued: Type.Optional(
      Type.Array(Type.Object({ jobId: RowId, quantity: Type.Integer({ minimum: 1, maximum: 1_000_000 }) }, strict), {
        maxItems: counts.jobsOnStock,
      }),
    ),
    /** Fewer, and it is on the list of what to order. */
    least: Type.Optional(Pieces),
    place: Type.Optional(Words(letters.place)),
    version: Type.Integer({ minimum: 1 }),
  },
  { ...strict, title: 'Stock' },
);
export type StockRow = Frozen<Static<typeof StockSchema>>;

/** What the shelf of a part is called. */
export const shelfId = (part: string): string => `shelf ${part}`;

/**
 * `reserve` and `release` keep back for a job and give free again; `issue` takes off the shelf, for a job out of what is reserved for it first; `return` puts
 * back; `count` says how many there are; `scrap` throws away; `receive` is what a supplier
 * brought; `salvage` is off a car, looked over.
 */
export const moveKinds = ['reserve', 'release', 'issue', 'return', 'count', 'scrap', 'receive', 'salvage'] as const;
export type MoveKind = (typeof moveKinds)[number];
export const MoveKindSchema = OneOf(moveKinds);

export interface Move {
  readonly kind: MoveKind;
  readonly quantity: number;
  readonly jobId?: string;
}

/** What lies on the shelf of a part, and for whom. */
export interface Shelf {
  readonly onHand: number;
  readonly reserved: StockRow['reserved'];
  readonly issued?: StockRow['reserved'];
}

/** Kept back for all jobs, or for all but one. */
export function reservedFor({ reserved }: Pick<Shelf, 'reserved'>, butFor?: string): number {
  return reserved.reduce((sum, r) => sum + (r.jobId === butFor ? 0 : r.quantity), 0);
}

/** What a job may take: the shelf less what is kept for others. */
export function freeFor(shelf: Shelf, jobId?: string): number {
  return Math.max(0, shelf.onHand - reservedFor(shelf, jobId));
}

/**
 * The shelf after a movement; it never goes below nothing, and never below what is kept for another job.
 * @throws {CommandError} not-enough, bad-value
 */
export function moved(shelf: Shelf, { kind, quantity, jobId }: Move, name = 'this part'): Shelf {
  const none = (what: string): never => {
    throw new CommandError('not-enough', what, 'quantity');
  };
  if (kind !== 'count' && quantity === 0) throw new CommandError('bad-value', 'None is no movement.', 'quantity');
  if ((kind === 'reserve' || kind === 'release') && jobId === undefined)
    throw new CommandError('bad-value', 'Say which job it is kept for.', 'jobId');
  const mine = shelf.reserved.find((r) => r.jobId === jobId)?.quantity ?? 0;
  const others = reservedFor(shelf, jobId ?? '');
  const taken = shelf.issued?.find((i) => i.jobId === jobId)?.quantity ?? 0;
  switch (kind) {
    case 'reserve': {
      const free = shelf.onHand - others - mine;
      if (quantity > free) none(`Of ${name} ${free} ${free === 1 ? 'is' : 'are'} free: ${quantity} cannot be kept back.`);
      return { ...shelf, reserved: withReserved(shelf.reserved, jobId!, mine + quantity) };
    }
    case 'release':
      if (quantity > mine) none(`Of ${name} ${mine} ${mine === 1 ? 'is' : 'are'} kept for this job: ${quantity} cannot be given free.`);
      return { ...shelf, reserved: withReserved(shelf.reserved, jobId!, mine - quantity) };
    case 'issue': {
      const free = Math.max(0, shelf.onHand - others);
      if (quantity > free)
        none(
          others > 0
            ? `Of ${name} ${shelf.onHand} ${shelf.onHand === 1 ? 'lies' : 'lie'} on the shelf, ${others} of them kept for other jobs: ${quantity} cannot be taken.`
            : `Of ${name} ${shelf.onHand} ${shelf.onHand === 1 ? 'lies' : 'lie'} on the shelf: ${quantity} cannot be taken.`,
        );
      if (jobId === undefined) return { ...shelf, onHand: shelf.onHand - quantity };
      return {
        onHand: shelf.onHand - quantity,
        reserved: withReserved(shelf.reserved, jobId, Math.max(0, mine - quantity)),
        issued: withReserved(shelf.issued ?? [], jobId, taken + quantity),
      };
    }
    case 'scrap':
      if (quantity > shelf.onHand)
        none(`Of ${name} ${shelf.onHand} ${shelf.onHand === 1 ? 'lies' : 'lie'} on the shelf: ${quantity} cannot be thrown away.`);
      return trimmed({ ...shelf, onHand: shelf.onHand - quantity });
    case 'count':
      return trimmed({ ...shelf, onHand: quantity });
    case 'return':
      if (jobId === undefined) return { ...shelf, onHand: shelf.onHand + quantity };
      if (quantity > taken)
        none(`Of ${name} ${taken} ${taken === 1 ? 'was' : 'were'} taken for this job: ${quantity} cannot come back. Count the shelf.`);
      return { ...shelf, onHand: shelf.onHand + quantity, issued: withReserved(shelf.issued ?? [], jobId, taken - quantity) };
    case 'receive':
    case 'salvage':
      return { ...shelf, onHand: shelf.onHand + quantity };
  }
}

/** No more is kept back than there is: whoever kept back last goes without first. */
function trimmed({ onHand, reserved, ...rest }: Shelf): Shelf {
  let left = onHand;
  const kept = reserved.flatMap((r) => {
    const quantity = Math.min(r.quantity, left);
    left -= quantity;
    return quantity > 0 ? [{ ...r, quantity }] : [];
  });
  return { ...rest, onHand, reserved: kept };
}

function withReserved(reserved: StockRow['reserved'], jobId: string, quantity: number): StockRow['reserved'] {
  const there = reserved.some((r) => r.jobId === jobId);
  if (quantity === 0) return reserved.filter((r) => r.jobId !== jobId);
  if (!there && reserved.length >= counts.jobsOnStock)
    throw new CommandError('too-many', `${counts.jobsOnStock} jobs have some of it already: settle one of them first.`, 'jobId');
  return there ? reserved.map((r) => (r.jobId === jobId ? { jobId, quantity } : r)) : [...reserved, { jobId, quantity }];
}
