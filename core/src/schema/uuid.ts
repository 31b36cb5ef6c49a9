import { Type } from 'typebox';

/** A UUID in lower case (RFC 9562, the usual text form). */
export const Uuid = Type.String({
  pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$',
  description: 'an UUID in lower case',
});
