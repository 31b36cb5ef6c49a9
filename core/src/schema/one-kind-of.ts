import { Type, type Static, type TSchema } from 'typebox';

/**
 * One of several shapes, told apart by the literal that each has under `tag`: a wrong field is then named in the shape that was meant,
 * not in all of them.
 */
export const OneKindOf = <const T extends readonly TSchema[]>(tag: string, shapes: T, title: string) =>
  Type.Unsafe<Static<T[number]>>({
    type: 'object',
    title,
    discriminator: { propertyName: tag },
    required: [tag],
    oneOf: shapes as unknown as TSchema[],
  });
