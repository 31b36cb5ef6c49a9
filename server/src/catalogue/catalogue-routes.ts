import { FittingSchema, HoseEndSchema, HoseSchema } from '@gewinde/core';
import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { answers, clientOf, VersionField, type App } from '../plugins/typed.js';
import { undoCatalogue } from './catalogue-changes.js';
import { catalogueRevision, readCatalogue } from './catalogue-store.js';
import { addPart, editPart, readPart } from './part-store.js';

const CatalogueSchema = Type.Object(
  { fittings: Type.Array(FittingSchema), hoses: Type.Array(HoseSchema), hoseEnds: Type.Array(HoseEndSchema) },
  { title: 'Catalogue' },
);
const PartParams = Type.Object({ part: Type.String({ minLength: 1, maxLength: 80 }) }, { additionalProperties: false });
const { id, ...fields } = FittingSchema.properties;
const PartFields = Type.Object(fields, { additionalProperties: false });
const { retired: _retired, name, ...ofNew } = fields;
const NewPart = Type.Object({ id: Type.Optional(id), name: Type.Optional(name), ...ofNew }, { additionalProperties: false });
const PartRowSchema = Type.Object({ fitting: FittingSchema, version: Type.Integer(), origin: Type.String() });
const PartCardSchema = Type.Object({
  ...PartRowSchema.properties,
  usedBy: Type.Array(Type.Object({ job: Type.String(), line: Type.Integer(), lineName: Type.String() })),
});

/** The catalogue as a whole, and its parts one by one. */
export async function catalogueRoutes(app: App, { db }: Feature): Promise<void> {
  app.get(
    '/api/catalogue',
    { schema: { summary: 'All fittings, hoses and hose ends', response: { ...answers(CatalogueSchema), 304: Type.Null() } } },
    async (request, reply) => {
      const tag = `"${await catalogueRevision(db)}"`;
      void reply.header('etag', tag).header('cache-control', 'no-cache');
      if (request.headers['if-none-match'] === tag) return reply.status(304).send(null);
      const { fittings, hoses, hoseEnds } = await readCatalogue(db);
      return { fittings: [...fittings], hoses: [...hoses], hoseEnds: [...hoseEnds] } as never;
    },
  );
  app.get(
    '/api/catalogue/fittings/:part',
    { schema: { summary: 'One fitting, and the lines that use it', params: PartParams, response: answers(PartCardSchema) } },
    async ({ params }) => (await readPart(db, params.part)) as never,
  );
  app.post(
    '/api/catalogue/fittings',
    { schema: { summary: "A fitting of the shop's own", body: NewPart, response: answers(PartRowSchema, 201) } },
    async (request, reply) => reply.status(201).send((await addPart(db, request.body as never, clientOf(request))) as never),
  );
  app.put(
    '/api/catalogue/fittings/:part',
    {
      schema: {
        summary: 'Edit a fitting, take it out or put it back',
        params: PartParams,
        body: Type.Object({ version: VersionField, fitting: PartFields }, { additionalProperties: false }),
        response: answers(PartRowSchema),
      },
    },
    async (request) =>
      (await editPart(db, request.params.part, request.body.version, request.body.fitting as never, clientOf(request))) as never,
  );
  app.post(
    '/api/catalogue/undo',
    {
      schema: {
        summary: 'Take back the newest change of the catalogue',
        body: Type.Object({}, { additionalProperties: false }),
        response: answers(Type.Object({ label: Type.String() })),
      },
    },
    async () => ({ label: await undoCatalogue(db) }),
  );
}
