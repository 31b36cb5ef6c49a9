import { ChainLinkSchema, LineBranchSchema, LineFields, LineSchema } from '@gewinde/core';
import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { answers, clientOf, IdParams, VersionField, type App } from '../plugins/typed.js';
import { addLine, deleteLine, editLine } from './line-store.js';
import { takeWays } from './take-ways.js';

const { name, service } = LineFields.properties;
const PortId = Type.String({ minLength: 1, maxLength: 64 });

const WayTakenSchema = Type.Object(
  {
    lineId: Type.String({ minLength: 1, maxLength: 64 }),
    version: VersionField,
    side: Type.Unsafe<'A' | 'B'>({ enum: ['A', 'B'] }),
    fittings: Type.Array(ChainLinkSchema, { maxItems: 6 }),
    branches: Type.Array(LineBranchSchema, { maxItems: 12 }),
  },
  { additionalProperties: false },
);

export async function lineRoutes(app: App, { db }: Feature): Promise<void> {
  app.post(
    '/api/jobs/:id/lines',
    {
      schema: {
        summary: 'A new line between two ports',
        params: IdParams,
        body: Type.Object({ name: Type.Optional(name), service, fromPortId: PortId, toPortId: PortId }, { additionalProperties: false }),
        response: answers(LineSchema, 201),
      },
    },
    async (request, reply) => reply.status(201).send(await addLine(db, request.params.id, request.body, clientOf(request))),
  );
  app.patch(
    '/api/lines/:id',
    {
      schema: {
        summary: 'Edit a line: service, hose, ends, ways, lengths',
        params: IdParams,
        body: Type.Object({ version: VersionField, ...Type.Partial(LineFields).properties }, { additionalProperties: false }),
        response: answers(LineSchema),
      },
    },
    async (request) => {
      const { version, ...patch } = request.body;
      return editLine(db, request.params.id, version, patch, clientOf(request));
    },
  );
  app.post(
    '/api/jobs/:id/ways',
    {
      schema: {
        summary: 'Take the ways of many ends at once',
        params: IdParams,
        body: Type.Object({ ways: Type.Array(WayTakenSchema, { minItems: 1, maxItems: 1000 }) }, { additionalProperties: false }),
        response: answers(Type.Array(LineSchema)),
      },
    },
    async (request) => takeWays(db, request.params.id, request.body.ways, clientOf(request)),
  );
  app.delete(
    '/api/lines/:id',
    {
      schema: {
        summary: 'Delete a line',
        params: IdParams,
        body: Type.Object({ version: VersionField }, { additionalProperties: false }),
        response: answers(Type.Null(), 204),
      },
    },
    async (request, reply) => {
      await deleteLine(db, request.params.id, request.body.version, clientOf(request));
      return reply.status(204).send(null);
    },
  );
}
