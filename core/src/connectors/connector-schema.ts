import { Type, type Static } from 'typebox';
import type { Frozen } from '../schema/index.js';

/**
 * One end of a port, fitting or hose end. `family` is an id of {@link families}; `size` is written as that family writes it:
 * a dash number (`6`), a pipe size (`1/8`), a metric thread (`M14x1.5`), an inch thread (`7/16-20`), a bore
 * (`3/8`, `10mm`) or a land (`62x71x2.6 bolts4x88`).
 */
export const ConnectorSchema = Type.Object(
  {
    family: Type.String({ minLength: 1, maxLength: 20 }),
    size: Type.String({ minLength: 1, maxLength: 40 }),
    gender: Type.Union([Type.Literal('male'), Type.Literal('female')]),
    swivel: Type.Optional(Type.Boolean()),
    seat: Type.Optional(Type.String({ minLength: 1, maxLength: 20 })),
  },
  { additionalProperties: false, title: 'Connector' },
);
export type Connector = Frozen<Static<typeof ConnectorSchema>>;
export type Gender = Connector['gender'];
