import { Type } from 'typebox';

export const FittingSeen = Type.Object(
  { id: Type.String(), seen: Type.String(), side: Type.Union([Type.Literal('external'), Type.Literal('internal')]) },
  { title: 'FittingSeen' },
);
export const FittingId = Type.String({ minLength: 1, maxLength: 20 });
export const JawsSchema = Type.Union([Type.Literal('outside'), Type.Literal('inside')]);
export const PlaceSchema = Type.Union([Type.Literal('crest'), Type.Literal('front'), Type.Literal('back'), Type.Literal('span')]);
export const ReadingSchema = Type.Object(
  { mm: Type.Number(), place: PlaceSchema, apartMm: Type.Optional(Type.Number()), pitches: Type.Optional(Type.Integer()) },
  { title: 'Reading' },
);
export const ReadingRequest = Type.Object({ fitting: FittingId, jaws: JawsSchema, place: PlaceSchema }, { additionalProperties: false });
