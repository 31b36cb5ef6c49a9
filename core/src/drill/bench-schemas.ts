import { type Static, Type } from 'typebox';

/** A fitting of the tray as the eye sees it; its thread stays with the calliper. */
export const FittingSeenSchema = Type.Object(
  { id: Type.String(), seen: Type.String(), side: Type.Union([Type.Literal('external'), Type.Literal('internal')]) },
  { title: 'FittingSeen' },
);
export const JawsSchema = Type.Union([Type.Literal('outside'), Type.Literal('inside')]);
/**
 * Where the jaws are set: on the thread somewhere (`crest`), at its front or further back (two places along a taper), or from crest to
 * crest along it (`span`, for the pitch).
 */
export const PlaceSchema = Type.Union([Type.Literal('crest'), Type.Literal('front'), Type.Literal('back'), Type.Literal('span')]);
/** One figure off the calliper, mm: `apartMm` between front and back, `pitches` between the crests of a span. */
export const ReadingSchema = Type.Object(
  { mm: Type.Number(), place: PlaceSchema, apartMm: Type.Optional(Type.Number()), pitches: Type.Optional(Type.Integer()) },
  { title: 'Reading' },
);
export const DrillResultsSchema = Type.Object(
  {
    asked: Type.Integer(),
    right: Type.Integer(),
    weak: Type.Array(Type.Object({ truth: Type.String(), answer: Type.String(), times: Type.Integer(), rightSince: Type.Integer() })),
  },
  { title: 'DrillResults' },
);
/** What an answer was worth; `lookAlike` where the mistake is an honest one. */
export const DrillVerdictSchema = Type.Object(
  {
    right: Type.Boolean(),
    truth: Type.String(),
    answer: Type.String(),
    lookAlike: Type.Boolean(),
    howToTell: Type.Optional(Type.String()),
  },
  { title: 'DrillVerdict' },
);

export type FittingSeen = Static<typeof FittingSeenSchema>;
export type Jaws = Static<typeof JawsSchema>;
export type Place = Static<typeof PlaceSchema>;
export type Reading = Static<typeof ReadingSchema>;
export type DrillResults = Static<typeof DrillResultsSchema>;
export type DrillVerdict = Static<typeof DrillVerdictSchema>;
