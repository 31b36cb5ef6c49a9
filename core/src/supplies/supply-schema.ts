import { Type, type Static, type TObject, type TSchema } from 'typebox';
import { BuyingFields, PriceMinor } from '../fittings/index.js';
import { fluidIds } from '../fluids/index.js';
import { type Frozen, letters, OneKindOf, OneOf, Words, WordsOrNone } from '../schema/index.js';
import type { PartField } from './part-field.js';
import { supplyKinds, type SupplyKindId } from './supply-kinds.js';

/** The schema of one field. */
export function fieldSchema(field: PartField): TSchema {
  const { min, max, whole } = field;
  const bounds = { ...(min === undefined ? {} : { minimum: min }), ...(max === undefined ? {} : { maximum: max }) };
  switch (field.type) {
    case 'choice':
      return OneOf(field.choices as readonly [string, ...string[]]);
    case 'fluids':
      return Type.Array(OneOf(fluidIds), { maxItems: fluidIds.length });
    case 'text':
      return Words(letters.figure);
    case 'mm':
    case 'bar':
    case 'celsius':
    case 'number':
      return whole ? Type.Integer(bounds) : Type.Number(bounds);
  }
}

type Figure = string | number | readonly string[];

const shape = {
  id: Type.String({ minLength: 1, maxLength: letters.partId }),
  name: Words(letters.partName),
  priceMinor: PriceMinor,
  ...BuyingFields,
  /** Where its dimensions come from, in words. */
  source: Type.Optional(WordsOrNone(letters.partSource)),
};
type Shape = { [K in keyof typeof shape]: (typeof shape)[K] };

/** One supply; what else it says is by the fields of its kind. */
export type Supply = Frozen<Static<TObject<Shape>>> & { readonly kind: SupplyKindId; readonly figures: Readonly<Record<string, Figure>> };

/** A schema a kind, told apart by `kind`. */
export const SupplySchema = Type.Unsafe<Supply>(
  OneKindOf(
    'kind',
    supplyKinds.map(({ id, fields }) =>
      Type.Object(
        {
          ...shape,
          kind: Type.Literal(id),
          figures: Type.Object(
            Object.fromEntries(fields.map((f) => [f.name, f.required ? fieldSchema(f) : Type.Optional(fieldSchema(f))])),
            { additionalProperties: false },
          ),
        },
        { additionalProperties: false },
      ),
    ),
    'Supply',
  ),
);

/** A text or number of a supply; undefined where it says nothing. */
export function figureOf({ figures }: Supply, name: string): string | number | undefined {
  const value = figures[name];
  return typeof value === 'object' ? undefined : value;
}

/** The fluids a supply is made for; all, where it does not say. */
export function madeFor({ figures }: Supply, fluid: string): boolean {
  const said = figures['fluids'];
  return !Array.isArray(said) || said.length === 0 || said.includes(fluid);
}
