import { ComponentFields, ComponentSchema, PortSchema } from '@gewinde/core';
import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { answers, clientOf, IdParams, VersionField, type App } from '../plugins/typed.js';
import { addComponent, deleteComponent, duplicateComponent, editComponent } from './component-store.js';

const { kind, name, note, position } = ComponentFields.properties;

export async function componentRoutes(app: App, { db }: Feature): Promise<void> {
  app.post(
    '/api/jobs/:id/components',
    {
      schema: {
        summary: 'A new component of a job',
        params: IdParams,
        body: Type.Object({ kind, name, note: Type.Optional(note) }, { additionalProperties: false }),
        response: answers(ComponentSchema, 201),
      },
    },
    async (request, reply) =>
      reply.status(201).send(await addComponent(db, request.params.id, { note: '', ...request.body }, clientOf(request))),
  );
  app.patch(
    '/api/components/:id',
    {
      schema: {
        summary: 'Edit a component',
        params: IdParams,
        body: Type.Object(
          {
            version: VersionField,
            kind: Type.Optional(kind),
            name: Type.Optional(name),
            note: Type.Optional(note),
            position: Type.Optional(position),
          },
          { additionalProperties: false },
        ),
        response: answers(ComponentSchema),
      },
    },
    async (request) => {
      const { version, ...patch } = request.body;
      return editComponent(db, request.params.id, version, patch, clientOf(request));
    },
  );
  app.post(
    '/api/components/:id/duplicate',
    {
      schema: {
        summary: 'The same component with its ports again',
        params: IdParams,
        response: answers(Type.Object({ component: ComponentSchema, ports: Type.Array(PortSchema) }), 201),
      },
    },
    async (request, reply) => reply.status(201).send(await duplicateComponent(db, request.params.id, clientOf(request))),
  );
  app.delete(
    '/api/components/:id',
    {
      schema: {
        summary: 'Delete a component and its ports',
        params: IdParams,
        body: Type.Object({ version: VersionField }, { additionalProperties: false }),
        response: answers(Type.Null(), 204),
      },
    },
    async (request, reply) => {
      await deleteComponent(db, request.params.id, request.body.version, clientOf(request));
      return reply.status(204).send(null);
    },
  );
}
