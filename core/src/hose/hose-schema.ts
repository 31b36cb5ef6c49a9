import { Type } from 'typebox';
import { ConnectorSchema } from '../connectors/index.js';

const Id = Type.String({ minLength: 1, maxLength: 80 });
const Name = Type.String({ minLength: 1, maxLength: 160 });
const Millimetres = Type.Number({ minimum: 0, maximum: 5000 });
const Dash = Type.Integer({ minimum: 1, maximum: 64 });
const Price = Type.Optional(Type.Integer({ minimum: 0, maximum: 100_000_000 }));

export const HoseSchema = Type.Object(
  {
    id: Id,
    name: Name,
    construction: Type.String({ minLength: 1, maxLength: 20 }),
    dash: Dash,
    boreMm: Millimetres,
    outsideMm: Millimetres,
    bendRadiusMm: Millimetres,
    workingBar: Type.Number({ minimum: 0, maximum: 2000 }),
    minTempC: Type.Number({ minimum: -100, maximum: 500 }),
    maxTempC: Type.Number({ minimum: -100, maximum: 500 }),
    source: Type.String({ maxLength: 160 }),
    pricePerMetreMinor: Price,
  },
  { additionalProperties: false, title: 'Hose' },
);

export const HoseEndSchema = Type.Object(
  {
    id: Id,
    name: Name,
    construction: Type.String({ minLength: 1, maxLength: 20 }),
    dash: Dash,
    angleDeg: Type.Number({ minimum: 0, maximum: 180 }),
    connector: ConnectorSchema,
    aMm: Type.Number({ minimum: -500, maximum: 1000 }),
    bMm: Millimetres,
    hexMm: Millimetres,
    boreMm: Millimetres,
    socketMm: Millimetres,
    socketLengthMm: Millimetres,
    bendRadiusMm: Millimetres,
    source: Type.String({ maxLength: 160 }),
    priceMinor: Price,
  },
  { additionalProperties: false, title: 'HoseEnd' },
);
