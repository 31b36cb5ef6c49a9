import { Type, type Static } from 'typebox';
import { OneOf, type Frozen } from '../schema/index.js';
import { compounds } from '../seals/index.js';

/** What the shop takes where several would do; each is a school. */
export const SealRulesSchema = Type.Object(
  {
    /** Ring compounds, the first that bears the fluid and its heat. */
    rings: Type.Array(OneOf(compounds.map((c) => c.id)), { minItems: 1, maxItems: compounds.length, uniqueItems: true }),
    /** Flat washers on a spot face or banjo. */
    flatWasher: OneOf(['copper', 'aluminium']),
    sealant: OneOf(['liquid', 'tape']),
  },
  { additionalProperties: false, title: 'SealRules' },
);
export type SealRules = Frozen<Static<typeof SealRulesSchema>>;

/** FKM bears oil and heat; EPDM stands last, since oil takes it apart. Copper anneals and seals again; liquid shreds into nothing. */
export const usualSealRules: SealRules = { rings: ['fkm', 'hnbr', 'nbr', 'epdm', 'fvmq', 'vmq'], flatWasher: 'copper', sealant: 'liquid' };
