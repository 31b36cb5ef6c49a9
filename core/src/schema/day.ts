import { Type } from 'typebox';

/** Days of each month; the last of February by the leap years. */
const DAYS = '(0[13578]|1[02])-(0[1-9]|[12]\\d|3[01])|(0[469]|11)-(0[1-9]|[12]\\d|30)|02-(0[1-9]|1\\d|2[0-8])';
const LEAP = '(\\d\\d(0[48]|[2468][048]|[13579][26])|([02468][048]|[13579][26])00)-02-29';

/** A day of the calendar, `2026-11-26`: one that is in it. */
export const Day = Type.String({ pattern: `^(\\d{4}-(${DAYS})|${LEAP})$` });
