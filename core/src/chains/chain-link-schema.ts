import { Type, type Static } from 'typebox';
import { EndIndex } from '../fittings/index.js';
import type { Frozen } from '../schema/index.js';

/** A fitting in its place: `inEnd` is the index of the end that faces the port. */
export const ChainLinkSchema = Type.Object(
  { id: Type.String({ minLength: 1, maxLength: 80 }), inEnd: EndIndex, outEnd: EndIndex },
  { additionalProperties: false, title: 'ChainLink' },
);
export type ChainLink = Frozen<Static<typeof ChainLinkSchema>>;
