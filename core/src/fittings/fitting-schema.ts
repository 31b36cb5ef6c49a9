import { Type } from 'typebox';
import { ConnectorSchema } from '../connectors/index.js';
import { fittingKinds, type FittingKindId } from './fitting-kinds.js';

const Millimetres = Type.Number({ minimum: 0, maximum: 5000 });
const Celsius = Type.Number({ minimum: -100, maximum: 1000 });

export const FittingSchema = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 80 }),
    name: Type.String({ minLength: 1, maxLength: 160, pattern: '\\S' }),
    ends: Type.Array(ConnectorSchema, { minItems: 1, maxItems: 4 }),
    kind: Type.Optional(Type.Unsafe<FittingKindId>({ enum: fittingKinds.map((kind) => kind.id) })),
    angleDeg: Type.Optional(Type.Number({ minimum: 0, maximum: 180 })),
    lengthMm: Type.Optional(Millimetres),
    legsMm: Type.Optional(Type.Array(Millimetres, { maxItems: 4 })),
    hexMm: Type.Optional(Millimetres),
    boreMm: Type.Optional(Millimetres),
    massG: Type.Optional(Type.Number({ minimum: 0, maximum: 100_000 })),
    material: Type.Optional(Type.String({ maxLength: 60 })),
    maxBar: Type.Optional(Type.Number({ minimum: 0, maximum: 5000 })),
    minTempC: Type.Optional(Celsius),
    maxTempC: Type.Optional(Celsius),
    oneWay: Type.Optional(Type.Boolean()),
    priceMinor: Type.Optional(Type.Integer({ minimum: 0, maximum: 100_000_000 })),
    supplier: Type.Optional(Type.String({ maxLength: 80 })),
    code: Type.Optional(Type.String({ minLength: 1, maxLength: 60, pattern: '\\S' })),
    shelf: Type.Optional(Type.Integer({ minimum: 0, maximum: 1_000_000 })),
    leadDays: Type.Optional(Type.Integer({ minimum: 0, maximum: 1000 })),
    retired: Type.Optional(Type.Boolean()),
    source: Type.Optional(Type.String({ maxLength: 160 })),
  },
  { additionalProperties: false, title: 'Fitting' },
);
