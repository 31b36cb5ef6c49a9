import { Type } from 'typebox';

/** One of a list of values, as JSON Schema's `enum`, with the union as its static type. */
export const OneOf = <const T extends readonly (string | number)[]>(values: T) => Type.Unsafe<T[number]>({ enum: [...values] });
