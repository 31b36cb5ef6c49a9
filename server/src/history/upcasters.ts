import { pathOfEnds, type EntityType, type OldLine } from '@gewinde/core';

/** The version of the rows' shape that events are written in. */
export const EVENT_SCHEMA = 3;

type Row = Record<string, unknown>;
/** Brings a row of an event from the version before to its own: the same as the migration of that time did to the tables. */
export type Upcaster = (type: EntityType, row: Row) => Row;

/** By the version they lead to. A migration that changes the shape of a row adds one here and raises {@link EVENT_SCHEMA}. */
const upcasters: Readonly<Record<number, Upcaster>> = {
  // the place in a list is its order, and a line is a path; hoses and ends had the ids of the standard ones
  2: (type, row) => {
    if (type !== 'component' && type !== 'port' && type !== 'line') return row;
    const { position, ...rest } = row;
    const ordered = { ...rest, ...(position === undefined ? {} : { order: position }) };
    return type === 'line' && 'endA' in row ? lineAsPath(ordered as unknown as OldLineRow) : ordered;
  },
  // parts of every kind are told alike; before, there were fittings alone
  3: (type, row) => {
    if (type !== 'part' || !('fitting' in row)) return row;
    const { fitting, ...rest } = row;
    return { ...rest, kind: 'fitting', part: fitting };
  },
};

type OldLineRow = Row & OldLine & { readonly endA: { readonly portId: string }; readonly endB: { readonly portId: string } };

function lineAsPath({ construction, dash, endA, endB, tapedLengthMm, slackPercent, checked, made, ...rest }: OldLineRow): Row {
  const old = { construction, dash, endA, endB, tapedLengthMm, slackPercent, checked, ...(made ? { made } : {}) };
  const path = pathOfEnds(old, { hose: (c, d) => `hose-${c}-${d}`, end: (c, d, angleDeg) => `end-${c}-${d}-${angleDeg}` });
  return { ...rest, portA: endA.portId, portB: endB.portId, ...path };
}

/**
 * A row of an event as it would be written today, so that what was done before the model grew can still be taken back.
 * @throws {RangeError} for an event of a newer app, or a step that is missing
 */
export function upcast(type: EntityType, row: Row, version: number, steps = upcasters, newest = EVENT_SCHEMA): Row {
  if (version > newest) throw new RangeError(`An event of version ${version}; this app knows ${newest}.`);
  let next = row;
  for (let at = version + 1; at <= newest; at++) {
    const step = steps[at];
    if (!step) throw new RangeError(`No step to version ${at} of events.`);
    next = step(type, next);
  }
  return next;
}
