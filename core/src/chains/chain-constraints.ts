import { Type } from 'typebox';

/** What a chain must keep to, as the fabricator sets it for one end of a line. */
export interface ChainConstraints {
  /** The elbows of the run add up to this, degrees; 0 means straight. */
  readonly turnDeg?: number;
  /** Every fitting passes at least this, mm. */
  readonly leastBoreMm?: number;
  /** Seat to seat, mm. */
  readonly mostStackMm?: number;
  /** Only these metals; empty or absent means any. A part that does not name its metal is left out. */
  readonly materials?: readonly string[];
  /** Parts that must be in the run. */
  readonly use?: readonly string[];
  /** Parts that must not be used anywhere. */
  readonly avoid?: readonly string[];
}

const PartIds = Type.Array(Type.String({ minLength: 1, maxLength: 80 }), { maxItems: 20 });

export const ChainConstraintsSchema = Type.Object(
  {
    turnDeg: Type.Optional(Type.Number({ minimum: 0, maximum: 360 })),
    leastBoreMm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 500 })),
    mostStackMm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 2000 })),
    materials: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 60 }), { maxItems: 10 })),
    use: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 80 }), { maxItems: 3 })),
    avoid: Type.Optional(PartIds),
  },
  { additionalProperties: false, title: 'ChainConstraints' },
);

/** The names of the constraints that are set. */
export function constraintsSet(constraints: ChainConstraints): (keyof ChainConstraints)[] {
  return (Object.keys(constraints) as (keyof ChainConstraints)[]).filter((key) => {
    const value = constraints[key];
    return Array.isArray(value) ? value.length > 0 : value !== undefined;
  });
}
