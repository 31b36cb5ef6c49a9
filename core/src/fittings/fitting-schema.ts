import { Type } from 'typebox';
import { ConnectorSchema } from '../connectors/index.js';

const Millimetres = Type.Number({ minimum: 0, maximum: 5000 });

export const FittingSchema = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 80 }),
    name: Type.String({ minLength: 1, maxLength: 160 }),
    ends: Type.Array(ConnectorSchema, { minItems: 1, maxItems: 4 }),
    angleDeg: Type.Optional(Type.Number({ minimum: 0, maximum: 180 })),
    lengthMm: Type.Optional(Millimetres),
    legsMm: Type.Optional(Type.Array(Millimetres, { maxItems: 4 })),
    hexMm: Type.Optional(Millimetres),
    boreMm: Type.Optional(Millimetres),
    material: Type.Optional(Type.String({ maxLength: 60 })),
    priceMinor: Type.Optional(Type.Integer({ minimum: 0, maximum: 100_000_000 })),
    source: Type.Optional(Type.String({ maxLength: 160 })),
  },
  { additionalProperties: false, title: 'Fitting' },
);
