import { Type, type Static } from 'typebox';
import { OneOf, type Frozen } from '../schema/index.js';
import { FittingSchema } from './fitting-schema.js';

/** Where a part of the catalogue came from. */
export const origins = ['standard', 'sample', 'import', 'own'] as const;

/** A part as the catalogue keeps it. */
export const CataloguePartSchema = Type.Object(
  { id: FittingSchema.properties.id, fitting: FittingSchema, version: Type.Integer({ minimum: 1 }), origin: OneOf(origins) },
  { additionalProperties: false, title: 'CataloguePart' },
);
export type CataloguePart = Frozen<Static<typeof CataloguePartSchema>>;
export type Origin = CataloguePart['origin'];
