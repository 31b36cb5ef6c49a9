import { Type, type Static } from 'typebox';
import { ConnectorSchema } from '../connectors/index.js';
import { BuyingFields, PriceMinor } from '../fittings/index.js';
import { type Frozen, letters, OneOf, Words, WordsOrNone } from '../schema/index.js';

const Id = Type.String({ minLength: 1, maxLength: letters.partId });
const Name = Words(letters.partName);
const Millimetres = Type.Number({ minimum: 0, maximum: 5000 });
const Dash = Type.Integer({ minimum: 1, maximum: 64 });
/** Where it is made to a metric bore and called by it; its dash is then the nearest. */
const MetricBore = Type.Optional(Type.Number({ minimum: 1, maximum: 120 }));

/** One hose by the metre. Lengths in mm, pressure in bar, temperature in °C. */
export const HoseSchema = Type.Object(
  {
    id: Id,
    name: Name,
    construction: Type.String({ minLength: 1, maxLength: 20 }),
    dash: Dash,
    metricMm: MetricBore,
    boreMm: Millimetres,
    outsideMm: Millimetres,
    /** Of a PTFE hose: whether its core carries off the charge that moving fuel builds up; plain where it is not said. */
    core: Type.Optional(OneOf(['plain', 'conductive'])),
    /** Least bend radius to the centreline. */
    bendRadiusMm: Millimetres,
    workingBar: Type.Number({ minimum: 0, maximum: 2000 }),
    /** Least pressure at which it may burst; four times the working pressure where it is not said (SAE J517). */
    burstBar: Type.Optional(Type.Number({ minimum: 0, maximum: 8000 })),
    /** How far below the pressure around it may be sucked empty without collapsing, bar: 1 is a whole vacuum. */
    vacuumBar: Type.Optional(Type.Number({ minimum: 0, maximum: 1 })),
    massGPerM: Type.Optional(Type.Number({ minimum: 0, maximum: 50_000 })),
    minTempC: Type.Number({ minimum: -100, maximum: 500 }),
    maxTempC: Type.Number({ minimum: -100, maximum: 500 }),
    source: WordsOrNone(letters.partSource),
    pricePerMetreMinor: PriceMinor,
    ...BuyingFields,
  },
  { additionalProperties: false, title: 'Hose' },
);
export type Hose = Frozen<Static<typeof HoseSchema>>;

/** A reusable end for one construction and dash size. */
export const HoseEndSchema = Type.Object(
  {
    id: Id,
    name: Name,
    construction: Type.String({ minLength: 1, maxLength: 20 }),
    dash: Dash,
    metricMm: MetricBore,
    angleDeg: Type.Number({ minimum: 0, maximum: 180 }),
    connector: ConnectorSchema,
    /** Along the hose from where the hose bottoms to the seat centre: what the end takes off the cut length; negative for some beyond 120°. */
    aMm: Type.Number({ minimum: -500, maximum: 1000 }),
    /** From the hose axis to the seat. */
    bMm: Millimetres,
    hexMm: Millimetres,
    boreMm: Millimetres,
    socketMm: Millimetres,
    socketLengthMm: Millimetres,
    /** Radius of the bent tube to its centreline; 0 for a straight end. */
    bendRadiusMm: Millimetres,
    /** What its nut is made of; aluminium where it is not said. */
    material: Type.Optional(WordsOrNone(letters.material)),
    source: WordsOrNone(letters.partSource),
    priceMinor: PriceMinor,
    ...BuyingFields,
  },
  { additionalProperties: false, title: 'HoseEnd' },
);
export type HoseEnd = Frozen<Static<typeof HoseEndSchema>>;
