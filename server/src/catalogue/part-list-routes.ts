import { endColumns, FittingSchema, partColumns, type ColumnMapping } from '@gewinde/core';
import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { answers, clientOf, type App } from '../plugins/typed.js';
import { exportList, importList, previewList } from './part-list.js';

/** Largest list taken in. */
const LIST_LIMIT = 8 * 1024 * 1024;

const Column = Type.Integer({ minimum: 0, maximum: 200 });
const Mapping = Type.Unsafe<ColumnMapping>(
  Type.Object(Object.fromEntries([...partColumns.map((c) => c.id), ...endColumns].map((key) => [key, Type.Optional(Column)])), {
    additionalProperties: false,
  }),
);
const Csv = Type.String({ minLength: 1, maxLength: LIST_LIMIT });
const Count = Type.Integer();
const Preview = Type.Object({
  headings: Type.Array(Type.String()),
  sample: Type.Array(Type.Array(Type.String())),
  lines: Count,
  mapping: Mapping,
  added: Type.Array(FittingSchema),
  changed: Type.Array(FittingSchema),
  counts: Type.Object({ added: Count, changed: Count, unchanged: Count, errors: Count }),
  errors: Type.Array(Type.Object({ line: Count, column: Type.Optional(Type.String()), message: Type.String() })),
});

/** Suppliers' lists in, the catalogue out. */
export async function partListRoutes(app: App, { db }: Feature): Promise<void> {
  app.post(
    '/api/catalogue/import/preview',
    {
      bodyLimit: LIST_LIMIT + 64 * 1024,
      schema: {
        summary: 'What a list would change',
        body: Type.Object({ csv: Csv, mapping: Type.Optional(Mapping) }, { additionalProperties: false }),
        response: answers(Preview),
      },
    },
    async ({ body }) => (await previewList(db, body.csv, body.mapping)) as never,
  );
  app.post(
    '/api/catalogue/import',
    {
      bodyLimit: LIST_LIMIT + 64 * 1024,
      schema: {
        summary: 'Take a list in, all of it or nothing',
        body: Type.Object({ csv: Csv, mapping: Mapping }, { additionalProperties: false }),
        response: answers(Type.Object({ added: Count, changed: Count, unchanged: Count })),
      },
    },
    async (request) => importList(db, request.body.csv, request.body.mapping, clientOf(request)),
  );
  app.get(
    '/api/catalogue/fittings.csv',
    { schema: { summary: 'The fittings as CSV', response: answers(Type.String()) } },
    async (_, reply) =>
      reply
        .type('text/csv; charset=utf-8')
        .header('content-disposition', 'attachment; filename="catalogue.csv"')
        .send(await exportList(db)),
  );
}
