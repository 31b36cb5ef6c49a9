import { Type, type Static } from 'typebox';
import type { Frozen } from '../schema/index.js';

const PartIds = Type.Array(Type.String({ minLength: 1, maxLength: 80 }), { maxItems: 20 });

/** What a chain must keep to, as the fabricator sets it for one end of a line. */
export const ChainConstraintsSchema = Type.Object(
  {
    /** The elbows of the run add up to this, degrees; 0 means straight. */
    turnDeg: Type.Optional(Type.Number({ minimum: 0, maximum: 360 })),
    /** Every fitting passes at least this, mm. */
    leastBoreMm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 500 })),
    /** Seat to seat, mm. */
    mostStackMm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 2000 })),
    /** Only these metals; empty or absent means any. A part that does not name its metal is left out. */
    materials: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 60 }), { maxItems: 10 })),
    /** Parts that must be in the run. */
    use: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 80 }), { maxItems: 3 })),
    /** Parts that must not be used anywhere. */
    avoid: Type.Optional(PartIds),
  },
  { additionalProperties: false, title: 'ChainConstraints' },
);
export type ChainConstraints = Frozen<Static<typeof ChainConstraintsSchema>>;

/** The names of the constraints that are set. */
export function constraintsSet(constraints: ChainConstraints): (keyof ChainConstraints)[] {
  return (Object.keys(constraints) as (keyof ChainConstraints)[]).filter((key) => {
    const value = constraints[key];
    return Array.isArray(value) ? value.length > 0 : value !== undefined;
  });
}
