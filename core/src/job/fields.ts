import { Type } from 'typebox';
import { letters, Text } from '../schema/index.js';

export { Words } from '../schema/index.js';

/** Fields that rows of every type have alike. */
export const Id = Type.String({ minLength: 1, maxLength: letters.rowId });
export const Note = Text(letters.note);
export const Version = Type.Integer({ minimum: 1 });
/** The place of a row in its list. */
export const Order = Type.Integer({ minimum: 0, maximum: 100_000 });
