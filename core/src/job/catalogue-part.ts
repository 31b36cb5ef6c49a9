import { Type, type Static } from 'typebox';
import { checkFitting, FittingSchema, isKnownConnector } from '../fittings/index.js';
import { constructions, HoseEndSchema, HoseSchema, type Hose, type HoseEnd } from '../hose/index.js';
import { OneKindOf, OneOf, type Frozen } from '../schema/index.js';
import { SupplySchema, type Supply } from '../supplies/index.js';
import { quantity } from '../units/index.js';

/** Where a part of the catalogue came from. */
export const origins = ['standard', 'sample', 'import', 'own'] as const;

const Id = Type.String({ minLength: 1, maxLength: 80 });
const Head = { id: Id, version: Type.Integer({ minimum: 1 }), origin: OneOf(origins) };
const strict = { additionalProperties: false } as const;

/** A part with its kind. */
export const PartEntrySchemas = {
  fitting: Type.Object({ kind: Type.Literal('fitting'), part: FittingSchema }, strict),
  hose: Type.Object({ kind: Type.Literal('hose'), part: HoseSchema }, strict),
  'hose end': Type.Object({ kind: Type.Literal('hose end'), part: HoseEndSchema }, strict),
  supply: Type.Object({ kind: Type.Literal('supply'), part: SupplySchema }, strict),
};
export type PartEntry = Frozen<Static<(typeof PartEntrySchemas)[keyof typeof PartEntrySchemas]>>;
export type PartKind = PartEntry['kind'];

/** A part as the catalogue keeps it, of whatever kind. */
export const CataloguePartSchema = OneKindOf(
  'kind',
  Object.values(PartEntrySchemas).map(({ properties }) => Type.Object({ ...Head, ...properties }, strict)),
  'CataloguePart',
);
export type Origin = (typeof origins)[number];
export type CataloguePart = { readonly id: string; readonly version: number; readonly origin: Origin } & PartEntry;

/** What does not hold together in a part. */
export interface PartProblem {
  readonly field: string;
  readonly message: string;
}

/** Checks what a schema cannot, for a part of any kind; by whatever door it comes. Empty where all is well. */
export function checkPart(entry: PartEntry): PartProblem[] {
  switch (entry.kind) {
    case 'fitting':
      return checkFitting(entry.part);
    case 'hose':
      return checkHose(entry.part);
    case 'hose end':
      return checkHoseEnd(entry.part);
    case 'supply':
      return checkSupply(entry.part);
  }
}

/** A hose is called by a bore that it has, within this share. */
const CALLED_WITHIN = 0.1;

function checkHose({ construction, boreMm, metricMm, outsideMm, minTempC, maxTempC }: Hose): PartProblem[] {
  return [
    ...knownConstruction(construction),
    ...(boreMm > 0 ? [] : [{ field: 'boreMm', message: 'A hose has a bore.' }]),
    ...(outsideMm > boreMm
      ? []
      : [{ field: 'outsideMm', message: `A hose of ${quantity(boreMm, 'mm')} bore is wider outside than ${quantity(outsideMm, 'mm')}.` }]),
    ...(metricMm === undefined || Math.abs(metricMm - boreMm) <= CALLED_WITHIN * metricMm
      ? []
      : [{ field: 'metricMm', message: `A hose of ${quantity(boreMm, 'mm')} bore is not called ${metricMm} mm.` }]),
    ...(maxTempC > minTempC ? [] : [{ field: 'maxTempC', message: 'The highest temperature is not above the lowest.' }]),
  ];
}

function checkHoseEnd({ construction, connector, boreMm }: HoseEnd): PartProblem[] {
  return [
    ...knownConstruction(construction),
    ...(isKnownConnector(connector)
      ? []
      : [{ field: 'connector', message: `No connector "${connector.family} ${connector.size} ${connector.gender}" is known here.` }]),
    ...(boreMm > 0 ? [] : [{ field: 'boreMm', message: 'A hose end has a bore.' }]),
  ];
}

function checkSupply({ figures }: Supply): PartProblem[] {
  const [inside, outside, min, max] = ['insideMm', 'outsideMm', 'minC', 'maxC'].map((name) => figures[name]);
  return [
    ...(typeof inside === 'number' && typeof outside === 'number' && outside <= inside
      ? [{ field: 'outsideMm', message: `It is wider outside than its ${quantity(inside, 'mm')} inside.` }]
      : []),
    ...(typeof min === 'number' && typeof max === 'number' && max <= min
      ? [{ field: 'maxC', message: 'The highest temperature is not above the lowest.' }]
      : []),
  ];
}

function knownConstruction(id: string): PartProblem[] {
  return constructions.some((c) => c.id === id) ? [] : [{ field: 'construction', message: `There is no hose construction "${id}".` }];
}
