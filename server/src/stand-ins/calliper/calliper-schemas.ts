import { JawsSchema, PlaceSchema } from '@gewinde/core';
import { Type } from 'typebox';

export const FittingId = Type.String({ minLength: 1, maxLength: 20 });
export const ReadingRequest = Type.Object({ fitting: FittingId, jaws: JawsSchema, place: PlaceSchema }, { additionalProperties: false });
