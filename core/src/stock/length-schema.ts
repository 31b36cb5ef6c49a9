import { Type, type Static } from 'typebox';
import { PlaceKeySchema } from '../job/index.js';
import { counts, Day, letters, OneOf, Text, Words, type Frozen } from '../schema/index.js';
import { RowId } from './supplier-schema.js';

const strict = { additionalProperties: false } as const;
const Millimetres = Type.Number({ minimum: 0, maximum: 1_000_000 });
const PartId = Type.String({ minLength: 1, maxLength: letters.partId });
const Version = Type.Integer({ minimum: 1 });

/** `reel`: long, cut from its free end. `length`: bought at a length. `offcut`: left over. `made`: a hose with its ends on. */
export const lengthKinds = ['reel', 'length', 'offcut', 'made'] as const;

/** Something of what is cut, as it hangs on the rack: each has its number, its length and its age. */
export const LengthFields = Type.Object(
  {
    part: PartId,
    kind: OneOf(lengthKinds),
    /** Left of it; of a made hose seat to seat. */
    mm: Millimetres,
    place: Type.Optional(Words(letters.place)),
    /** When it was made, as its print or its label says. */
    madeOn: Type.Optional(Day),
    /** Only for this job. */
    jobId: Type.Optional(RowId),
    /** So much of it is kept for pieces of these jobs. */
    reserved: Type.Optional(
      Type.Array(Type.Object({ jobId: RowId, mm: Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000 }) }, strict), {
        maxItems: counts.jobsOnStock,
      }),
    ),
    /** Of a made hose: its ends, as the catalogue has them. */
    ends: Type.Optional(Type.Array(PartId, { minItems: 2, maxItems: 2 })),
    /** Taken off a car: used again only after it was looked over. */
    salvaged: Type.Optional(Type.Literal(true)),
    /** Who looked it over and found it sound, and what was seen. */
    inspected: Type.Optional(Type.Object({ by: Words(letters.initials), on: Day, note: Type.Optional(Text(letters.jointWords)) }, strict)),
  },
  strict,
);
export const LengthSchema = Type.Object(
  {
    id: RowId,
    ...LengthFields.properties,
    /** On the rack since. */
    since: Day,
    /** What it was cut from. */
    from: Type.Optional(RowId),
    /** When a piece was last sawn off: its end is square that day. */
    sawnOn: Type.Optional(Day),
    state: OneOf(['there', 'used', 'scrapped']),
    version: Version,
  },
  { ...strict, title: 'HoseLength' },
);

/** A piece that was sawn: a record, countered by saying that it was spoiled. */
export const CutMadeSchema = Type.Object(
  {
    id: RowId,
    jobId: RowId,
    lineId: RowId,
    /** Which hose of the line. */
    piece: PlaceKeySchema,
    /** `hose`, what goes over it, or a hose that was made already and is used. */
    of: OneOf(['hose', 'sleeve', 'made']),
    /** `2403-L4/2`. */
    ticket: Words(letters.paperNumber),
    part: PartId,
    lengthId: RowId,
    /** As the plan had it, with what it is longer for the trim. */
    plannedMm: Millimetres,
    trimMm: Millimetres,
    measuredMm: Millimetres,
    /** What it took off its length: itself, the kerf, and the end that was trimmed before it. */
    tookMm: Type.Optional(Millimetres),
    /** Once trimmed. */
    finalMm: Type.Optional(Millimetres),
    /** `back`: taken back, nothing of it counts any more. */
    state: OneOf(['cut', 'spoiled', 'back']),
    at: Type.String(),
    by: Type.Optional(Words(letters.initials)),
    version: Version,
  },
  { ...strict, title: 'CutMade' },
);

export type HoseLength = Frozen<Static<typeof LengthSchema>>;
export type CutMade = Frozen<Static<typeof CutMadeSchema>>;

/** What is told of a length's age: how old it may be, what day it is, and whether it is of what ages at all (metal and sleeve do not). */
export interface Ageing {
  readonly oldYears: number;
  readonly today: string;
  readonly ages: boolean;
}

/** Why a length is to be looked over before anything is cut or used of it; undefined where it is not, or was. */
export function toLookOver(length: HoseLength, { oldYears, today, ages }: Ageing): string | undefined {
  if (length.inspected) return undefined;
  if (length.salvaged) return `${length.id} is off a car and was not looked over: look it over first.`;
  const years = ageInYears(length, today);
  if (!ages || years < oldYears) return undefined;
  return `${length.id} is ${years} years old and was not looked over: bend it and look at its core first.`;
}

/** What of a length other jobs have reserved, mm. */
export function reservedByOthers({ reserved = [] }: Pick<HoseLength, 'reserved'>, forJob: string): number {
  return reserved.reduce((sum, r) => sum + (r.jobId === forJob ? 0 : r.mm), 0);
}

/** What a job may cut off a length, mm: what is not reserved for another. */
export function freeMm(length: Pick<HoseLength, 'mm' | 'reserved'>, forJob: string): number {
  return Math.max(0, length.mm - reservedByOthers(length, forJob));
}

/** May a job cut from it: it is there, not kept for another job, something of it is free, and it was looked over where it has to be. */
export function isFree(length: HoseLength, forJob: string, ageing: Ageing): boolean {
  const { state, kind, jobId } = length;
  if (state !== 'there' || kind === 'made' || (jobId !== undefined && jobId !== forJob)) return false;
  return freeMm(length, forJob) > 0 && toLookOver(length, ageing) === undefined;
}

/** Whole years since it was made; since it hangs there, where that is not known. */
export function ageInYears({ madeOn, since }: Pick<HoseLength, 'madeOn' | 'since'>, today: string): number {
  const made = madeOn ?? since;
  const years = Number(today.slice(0, 4)) - Number(made.slice(0, 4));
  return Math.max(0, today.slice(5) < made.slice(5) ? years - 1 : years);
}

type WhichCut = Pick<CutMade, 'lineId' | 'piece' | 'part' | 'of' | 'ticket'>;

/** Whether two cuts are of one piece, however job, line and ticket are called by now: a hose, the sleeve over it, one of the sleeve's shrinks. */
export function sameCut(a: WhichCut, b: WhichCut): boolean {
  const which = ({ ticket }: WhichCut): string => / shrink [AB]$/.exec(ticket)?.[0] ?? '';
  const sleeve = ({ of }: WhichCut): boolean => of === 'sleeve';
  return a.lineId === b.lineId && a.piece === b.piece && a.part === b.part && sleeve(a) === sleeve(b) && which(a) === which(b);
}
