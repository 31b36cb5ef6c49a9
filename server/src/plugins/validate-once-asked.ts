import { Ajv, type ValidateFunction } from 'ajv';
import type { FastifySchema, FastifySchemaCompiler } from 'fastify';
import type { FastifySchemaValidationError } from 'fastify/types/schema.js';

/** As strict as the contracts are written: nothing is bent into shape, nothing is left out. */
const ajv = new Ajv({
  useDefaults: true,
  removeAdditional: false,
  coerceTypes: false,
  allErrors: false,
  discriminator: true,
  addUsedSchema: false,
});

/** Makes the check of a route when it is asked the first time: of a hundred routes few are, and their checks take longer to make than the server to start. */
export const validateOnceAsked: FastifySchemaCompiler<FastifySchema> = ({ schema }) => {
  let made: ValidateFunction | undefined;
  const validate = Object.assign(
    (data: unknown): boolean => {
      made ??= ajv.compile(schema);
      const sound = made(data);
      validate.errors = (made.errors ?? null) as FastifySchemaValidationError[] | null;
      return sound;
    },
    { errors: null as FastifySchemaValidationError[] | null },
  );
  return validate;
};
