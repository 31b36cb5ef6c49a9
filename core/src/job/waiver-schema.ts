import { Type, type Static } from 'typebox';
import { Day, letters, Words } from '../schema/index.js';

/** That a finding is accepted as it is. It counts as long as the finding says the same. */
export const WaiverSchema = Type.Object(
  {
    rule: Type.String({ pattern: '^[a-z0-9]+(-[a-z0-9]+)*$', maxLength: letters.placeKey }),
    /** The place of the finding, by one name. */
    at: Type.String({ maxLength: letters.findingPlace, pattern: '^[\\x20-\\x7e]*$' }),
    /** What it said, as one short word. */
    figures: Type.String({ pattern: '^[a-z0-9]{1,20}$' }),
    /** Initials. */
    by: Words(letters.initials),
    reason: Words(letters.jointWords),
    on: Day,
  },
  { additionalProperties: false, title: 'Waiver' },
);
/** That a job does something another way than the shop. */
export const DeviationSchema = Type.Object(
  {
    /** Of the shop rules: `flow.thermostat`. */
    rule: Type.String({ pattern: '^[a-z]+\\.[A-Za-z]+$', maxLength: letters.placeKey }),
    value: Type.Union([Type.Number(), Type.Boolean(), Words(letters.figure)]),
    by: Words(letters.initials),
    reason: Words(letters.jointWords),
  },
  { additionalProperties: false, title: 'Deviation' },
);
export type Deviation = Static<typeof DeviationSchema>;
export type Waiver = Static<typeof WaiverSchema>;
