import { Type } from 'typebox';
import { FittingSchema } from '../fittings/index.js';
import { HoseEndSchema, HoseSchema } from '../hose/index.js';
import { JobDocumentSchema } from '../job/index.js';

/** A made job with the parts that it is drawn with. */
export const ShownJobSchema = Type.Object(
  { document: JobDocumentSchema, fittings: Type.Array(FittingSchema), hoses: Type.Array(HoseSchema), hoseEnds: Type.Array(HoseEndSchema) },
  { title: 'ShownJob' },
);
