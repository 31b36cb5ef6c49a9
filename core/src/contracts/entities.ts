import { CataloguePartSchema, jobEntities, type EntityEntry } from '../job/index.js';
import { FlowRulesRowSchema, SealRulesRowSchema, WeightsRowSchema } from './shop-contracts.js';

/** Every type of row the app keeps and changes: those of a job, and those that all jobs share. */
export const entities = {
  ...jobEntities,
  part: { schema: CataloguePartSchema, parent: null, one: 'part', many: 'parts', undo: 'taken back', fields: {} },
  weights: {
    schema: WeightsRowSchema,
    parent: null,
    one: 'set of weights',
    many: 'sets of weights',
    undo: 'taken back',
    fields: { weights: 'what counts' },
  },
  sealRules: {
    schema: SealRulesRowSchema,
    parent: null,
    one: 'set of seal rules',
    many: 'sets of seal rules',
    undo: 'taken back',
    fields: { rules: 'seals taken' },
  },
  flowRules: {
    schema: FlowRulesRowSchema,
    parent: null,
    one: 'set of flow rules',
    many: 'sets of flow rules',
    undo: 'taken back',
    fields: { rules: 'what flow is reckoned with' },
  },
} as const satisfies Record<string, EntityEntry>;

export type EntityType = keyof typeof entities;
