import { PortFields, PortSchema, SensorSchema } from '@gewinde/core';
import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { answers, clientOf, IdParams, VersionField, type App } from '../plugins/typed.js';
import { addPort, deletePort, duplicatePort, editPort } from './port-store.js';

const { label, note, position } = PortFields.properties;
/** One line of notation, such as `npt 1/8 f`; the server reads it into a connector. */
const Notation = Type.String({ maxLength: 80 });

/** A sensor with its connector in notation. */
const SensorFieldsSchema = Type.Object(
  { name: SensorSchema.properties.name, notation: Notation, movedTo: SensorSchema.properties.movedTo },
  { additionalProperties: false },
);

export async function portRoutes(app: App, { db }: Feature): Promise<void> {
  app.post(
    '/api/components/:id/ports',
    {
      schema: {
        summary: 'A new port of a component',
        params: IdParams,
        body: Type.Object(
          { label, notation: Notation, note: Type.Optional(note), sensor: Type.Optional(Type.Union([SensorFieldsSchema, Type.Null()])) },
          { additionalProperties: false },
        ),
        response: answers(PortSchema, 201),
      },
    },
    async (request, reply) =>
      reply.status(201).send(await addPort(db, request.params.id, { note: '', ...request.body }, clientOf(request))),
  );
  app.patch(
    '/api/ports/:id',
    {
      schema: {
        summary: 'Edit a port',
        params: IdParams,
        body: Type.Object(
          {
            version: VersionField,
            label: Type.Optional(label),
            notation: Type.Optional(Notation),
            note: Type.Optional(note),
            position: Type.Optional(position),
            sensor: Type.Optional(Type.Union([SensorFieldsSchema, Type.Null()])),
          },
          { additionalProperties: false },
        ),
        response: answers(PortSchema),
      },
    },
    async (request) => {
      const { version, ...patch } = request.body;
      return editPort(db, request.params.id, version, patch, clientOf(request));
    },
  );
  app.post(
    '/api/ports/:id/duplicate',
    { schema: { summary: 'The same port again', params: IdParams, response: answers(PortSchema, 201) } },
    async (request, reply) => reply.status(201).send(await duplicatePort(db, request.params.id, clientOf(request))),
  );
  app.delete(
    '/api/ports/:id',
    {
      schema: {
        summary: 'Delete a port',
        params: IdParams,
        body: Type.Object({ version: VersionField }, { additionalProperties: false }),
        response: answers(Type.Null(), 204),
      },
    },
    async (request, reply) => {
      await deletePort(db, request.params.id, request.body.version, clientOf(request));
      return reply.status(204).send(null);
    },
  );
}
