import { Type } from 'typebox';

export const ConnectorSchema = Type.Object(
  {
    family: Type.String({ minLength: 1, maxLength: 20 }),
    size: Type.String({ minLength: 1, maxLength: 20 }),
    gender: Type.Union([Type.Literal('male'), Type.Literal('female')]),
    swivel: Type.Optional(Type.Boolean()),
    seat: Type.Optional(Type.String({ minLength: 1, maxLength: 20 })),
  },
  { additionalProperties: false, title: 'Connector' },
);
