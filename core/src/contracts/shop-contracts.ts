import { Type, type Static } from 'typebox';
import { FittingSchema, LineErrorSchema, ListMoneySchema } from '../fittings/index.js';
import { HoseEndSchema, HoseSchema } from '../hose/index.js';
import { CataloguePartSchema, ChangeHead, partSections, type CataloguePart, type PartSection } from '../job/index.js';
import { bytes, counts, type Frozen, listLimits, OneKindOf, OneOf } from '../schema/index.js';
import {
  FlowRulesRowSchema,
  JudgingRulesRowSchema,
  SealRulesRowSchema,
  RuleName,
  RuleValueSchema,
  ShopCommandSchema,
  WeightsRowSchema,
} from '../shop/index.js';
import { stockEntityNames, stockEntitySchemas } from '../stock/index.js';
import { SupplySchema } from '../supplies/index.js';
import { contract } from './contract.js';
import { ShownJobSchema } from './shown-job.js';
import { ChangeKey, StepBody } from './job-contracts.js';

const strict = { additionalProperties: false } as const;
const Count = Type.Integer({ minimum: 0 });
const PartId = FittingSchema.properties.id;

const ShopEntitySchema = OneKindOf(
  'type',
  [
    Type.Object({ type: Type.Literal('part'), row: Type.Unsafe<CataloguePart>(CataloguePartSchema) }),
    Type.Object({ type: Type.Literal('weights'), row: WeightsRowSchema }),
    Type.Object({ type: Type.Literal('sealRules'), row: SealRulesRowSchema }),
    Type.Object({ type: Type.Literal('flowRules'), row: FlowRulesRowSchema }),
    Type.Object({ type: Type.Literal('judgingRules'), row: JudgingRulesRowSchema }),
    ...stockEntitySchemas,
  ],
  'ShopEntity',
);
/** The whole of what a command did to what all jobs share: catalogue and shop rules. */
export const ShopChangeSchema = Type.Object(
  {
    ...ChangeHead,
    put: Type.Array(ShopEntitySchema),
    removed: Type.Array(
      Type.Object({ type: OneOf(['part', 'weights', 'sealRules', 'flowRules', 'judgingRules', ...stockEntityNames]), id: Type.String() }),
    ),
  },
  { title: 'ShopChange' },
);
export type ShopChange = Frozen<Static<typeof ShopChangeSchema>>;

/** A part with the lines that use it, and the components that are one: these have no line, and their name for its name. */
export const PartCardSchema = Type.Object(
  {
    row: Type.Unsafe<CataloguePart>(CataloguePartSchema),
    usedBy: Type.Array(Type.Object({ job: Type.String(), line: Type.Optional(Type.Integer()), lineName: Type.String() })),
  },
  { title: 'PartCard' },
);
export type PartCard = Frozen<Static<typeof PartCardSchema>>;

/**
 * Largest list taken in, letters. It is held against the limit where the list is read, beside everybody else's requests: a schema would
 * count every letter of it while they wait.
 */
export const LIST_LIMIT = listLimits.letters;
const Csv = Type.String({ description: `A list as CSV, ${LIST_LIMIT} letters at most` });
const Section = OneOf(partSections.map((s): PartSection => s.id));
/** Which column of the file is which, by the ids of the columns of its section. */
const MappingSchema = Type.Record(Type.String({ maxLength: 40 }), Type.Integer({ minimum: 0, maximum: 200 }), { maxProperties: 60 });
/** A part of a list, as a preview shows it. */
const ListedPart = Type.Object(
  { name: Type.String(), code: Type.Optional(Type.String()), says: Type.String(), priceMinor: Type.Optional(Type.Integer()) },
  { title: 'ListedPart' },
);
/** What a list would do to the catalogue; parts and errors only the first of many. */
export const ListPreviewSchema = Type.Object(
  {
    headings: Type.Array(Type.String()),
    sample: Type.Array(Type.Array(Type.String())),
    lines: Count,
    mapping: MappingSchema,
    added: Type.Array(ListedPart),
    changed: Type.Array(ListedPart),
    /** `shelves`: parts of which the list says another shelf than there is. */
    counts: Type.Object({ added: Count, changed: Count, unchanged: Count, shelves: Count, errors: Count }),
    errors: Type.Array(LineErrorSchema),
  },
  { title: 'ListPreview' },
);
export type ListPreview = Frozen<Static<typeof ListPreviewSchema>>;

/** The list is a count: the shelves of parts that are there are set by it; else they are left as they are. */
const Counted = Type.Optional(Type.Boolean());

/** A job with the parts that it names: enough to draw it. */
export const shopContracts = {
  readCatalogue: contract({
    method: 'GET',
    path: '/api/catalogue',
    summary: 'All parts by kind, what the shop weighs, and up to which change of the shop this is told',
    answer: Type.Object(
      {
        fittings: Type.Array(FittingSchema),
        hoses: Type.Array(HoseSchema),
        hoseEnds: Type.Array(HoseEndSchema),
        supplies: Type.Array(SupplySchema),
        /** Rows of the database that do not hold together, and why: they are left out of the rest. */
        unsound: Type.Optional(Type.Array(Type.Object({ id: Type.String(), problem: Type.String() }))),
        weights: WeightsRowSchema,
        sealRules: SealRulesRowSchema,
        flowRules: FlowRulesRowSchema,
        judgingRules: JudgingRulesRowSchema,
        at: Type.Integer({ minimum: 0 }),
      },
      { title: 'Shop' },
    ),
    status: 200,
  }),
  readPart: contract({
    method: 'GET',
    path: '/api/catalogue/parts/:part',
    summary: 'One part of any kind, and the lines that use it',
    params: Type.Object({ part: PartId }, strict),
    answer: PartCardSchema,
    status: 200,
  }),
  changeShop: contract({
    method: 'POST',
    path: '/api/shop/changes',
    summary: 'Some commands on catalogue and shop rules as one change',
    body: Type.Object(
      { key: ChangeKey, commands: Type.Array(ShopCommandSchema, { minItems: 1, maxItems: counts.shopCommandsOfChange }) },
      strict,
    ),
    answer: ShopChangeSchema,
    status: 200,
  }),
  previewRule: contract({
    method: 'POST',
    path: '/api/shop/rules/preview',
    summary: 'What a rule of the shop would change in the findings of the open jobs, before it is set',
    body: Type.Object({ rule: RuleName, value: RuleValueSchema }, strict),
    answer: Type.Object(
      {
        /** Open jobs that were looked at. */
        jobs: Count,
        changed: Type.Array(
          Type.Object({
            id: Type.String(),
            number: Type.String(),
            name: Type.String(),
            gone: Count,
            new: Count,
            holdsBefore: Count,
            holdsAfter: Count,
          }),
        ),
      },
      { title: 'RulePreview' },
    ),
    status: 200,
  }),
  readExample: contract({
    method: 'GET',
    path: '/api/rules/:rule/example',
    summary: 'How a rule looks: a job that it has nothing against, and the same with the one thing wrong',
    params: Type.Object({ rule: Type.String({ minLength: 1, maxLength: 60 }) }, strict),
    answer: Type.Object(
      {
        /** What is made wrong, in a few words, and what is found of it. */
        words: Type.String(),
        message: Type.String(),
        sound: ShownJobSchema,
        broken: ShownJobSchema,
      },
      { title: 'RuleExample' },
    ),
    status: 200,
  }),
  undoShop: contract({
    method: 'POST',
    path: '/api/shop/undo',
    summary: "Take back the sender's own newest change of catalogue or shop rules",
    body: StepBody,
    answer: ShopChangeSchema,
    status: 200,
  }),
  previewList: contract({
    method: 'POST',
    path: '/api/catalogue/import/preview',
    summary: 'What a list would change',
    body: Type.Object(
      {
        csv: Csv,
        section: Type.Optional(Section),
        mapping: Type.Optional(MappingSchema),
        money: Type.Optional(ListMoneySchema),
        counted: Counted,
      },
      strict,
    ),
    answer: ListPreviewSchema,
    status: 200,
    bodyLimit: bytes.list,
  }),
  importList: contract({
    method: 'POST',
    path: '/api/catalogue/import',
    summary: 'Take a list in, all of it or nothing',
    body: Type.Object(
      {
        key: ChangeKey,
        csv: Csv,
        section: Type.Optional(Section),
        mapping: MappingSchema,
        money: Type.Optional(ListMoneySchema),
        counted: Counted,
      },
      strict,
    ),
    answer: ShopChangeSchema,
    status: 200,
    bodyLimit: bytes.list,
  }),
  exportList: contract({
    method: 'GET',
    path: '/api/catalogue/parts.csv',
    summary: 'The parts of a section as CSV; fittings, where none is named',
    query: Type.Object({ section: Type.Optional(Section) }, strict),
    answer: Type.String(),
    status: 200,
    type: 'text/csv; charset=utf-8',
  }),
};
