import { Type } from 'typebox';

/** A day of the calendar, `2026-11-26`. */
export const Day = Type.String({ pattern: '^\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])$' });
