import { Check } from 'typebox/value';
import { AcknowledgementSchema, type Acknowledgement } from './order-schema.js';

/** What comes from outside may be anything. In a file of its own: no page looks at it, nor loads what checks it. */
export function isAcknowledgement(value: unknown): value is Acknowledgement {
  return Check(AcknowledgementSchema, value);
}
