import { Type, type Static } from 'typebox';
import { ChainWeightsSchema } from '../chains/index.js';
import { FittingSchema } from '../fittings/index.js';
import { FlowRulesSchema, PartEntrySchemas, type PartEntry } from '../job/index.js';
import { letters, OneKindOf, without, type Frozen } from '../schema/index.js';
import { SealRulesSchema } from '../supplies/index.js';

const strict = { additionalProperties: false } as const;
const PartId = FittingSchema.properties.id;
const Version = Type.Integer({ minimum: 0 });

const NewPart = Type.Object(
  {
    ...without(FittingSchema.properties, 'id', 'name', 'retired'),
    id: Type.Optional(PartId),
    name: Type.Optional(FittingSchema.properties.name),
  },
  strict,
);
/** A new part of any kind. Of a fitting, what is not said follows from its ends. */
const NewEntry = OneKindOf(
  'kind',
  [
    Type.Object({ kind: Type.Literal('fitting'), part: NewPart }, strict),
    PartEntrySchemas.hose,
    PartEntrySchemas['hose end'],
    PartEntrySchemas.supply,
  ],
  'NewPartEntry',
);

/** A rule of the shop by its name: `flow.thermostat`. */
export const RuleName = Type.String({ pattern: '^[a-z]+\\.[A-Za-z]+$', maxLength: letters.placeKey });
/** What a rule is set to; its own schema has the last word. */
export const RuleValueSchema = Type.Union([
  Type.Number(),
  Type.Boolean(),
  Type.String({ maxLength: letters.name }),
  Type.Array(Type.String({ maxLength: letters.figure }), { maxItems: 20 }),
]);

export const catalogueCommandSchemas = {
  'add-part': Type.Object({ do: Type.Literal('add-part'), entry: NewEntry }, strict),
  'edit-part': Type.Object(
    {
      do: Type.Literal('edit-part'),
      id: PartId,
      version: Type.Integer({ minimum: 1 }),
      entry: Type.Unsafe<PartEntry>(OneKindOf('kind', Object.values(PartEntrySchemas), 'EditedPart')),
    },
    strict,
  ),
  'set-weights': Type.Object({ do: Type.Literal('set-weights'), version: Version, weights: ChainWeightsSchema }, strict),
  'set-seal-rules': Type.Object({ do: Type.Literal('set-seal-rules'), version: Version, rules: SealRulesSchema }, strict),
  /** Any rule of the shop, by its name: the one door of the view that is made from their table. */
  'set-shop-rule': Type.Object(
    {
      do: Type.Literal('set-shop-rule'),
      rule: RuleName,
      /** Of the row that the rule is kept in. */
      version: Version,
      value: RuleValueSchema,
    },
    strict,
  ),
  'set-flow-rules': Type.Object({ do: Type.Literal('set-flow-rules'), version: Version, rules: FlowRulesSchema }, strict),
};
export type CatalogueCommandName = keyof typeof catalogueCommandSchemas;
export type CatalogueCommandOf<N extends CatalogueCommandName> = Frozen<Static<(typeof catalogueCommandSchemas)[N]>>;
export type CatalogueCommand = { [N in CatalogueCommandName]: CatalogueCommandOf<N> }[CatalogueCommandName];
