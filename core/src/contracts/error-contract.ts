import { Type, type Static } from 'typebox';

/** The one shape of every error answer. */
export const ErrorBodySchema = Type.Object(
  {
    code: Type.String(),
    message: Type.String(),
    /** Path of the value it is about. */
    field: Type.Optional(Type.String()),
    /** The row as it stands now, with a conflict. */
    current: Type.Optional(Type.Unknown()),
    position: Type.Optional(Type.Integer()),
    length: Type.Optional(Type.Integer()),
    hint: Type.Optional(Type.String()),
    suggestion: Type.Optional(Type.String()),
  },
  { title: 'Error' },
);
export type ErrorBody = Static<typeof ErrorBodySchema>;
