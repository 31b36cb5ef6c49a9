import type { TakeOff } from '../chains/index.js';
import type { Connector } from '../connectors/index.js';
import type { HoseEnd } from '../hose/index.js';
import type { Port, Wishes } from '../job/index.js';
import type { AssembledWay, HoseTerminal, Terminal } from './assembled-line.js';
import type { EndOnHose } from './other-ends.js';

/** One side of what a way bridges: a port with what sits in it, or the end of a hose. */
export interface GapSide {
  readonly connector: Connector;
  /** Of a port. */
  readonly portId?: string;
  readonly sensor?: Port['sensor'];
  /** Of a hose end, mm. */
  readonly boreMm?: number;
  /** Of a hose end that may be exchanged for another. */
  readonly end?: EndOnHose;
}

/** What a way bridges, from the side of port A to that of port B. */
export interface Gap {
  readonly from: GapSide;
  readonly to: GapSide;
}

/** The gap that a way of a line bridges; undefined while one of its sides is not chosen or not certain. */
export function gapOf({ from, to }: Pick<AssembledWay, 'from' | 'to'>): Gap | undefined {
  const side = (t: Terminal): GapSide | undefined =>
    t.kind === 'port'
      ? t.port.connector
        ? { connector: t.port.connector, portId: t.port.id, ...(t.port.sensor ? { sensor: t.port.sensor } : {}) }
        : undefined
      : t.hoseEnd && { connector: t.hoseEnd.connector, boreMm: t.hoseEnd.boreMm, ...(t.hose ? { end: endOf(t, t.hose.id) } : {}) };
  const [a, b] = [side(from), side(to)];
  return a && b && { from: a, to: b };
}

function endOf({ piece, side, hoseEnd }: HoseTerminal, hose: string): EndOnHose {
  return { id: hoseEnd!.id, hose, far: side === 'A' ? piece.endB : piece.endA };
}

/** The gap from a port to a hose end. */
export function gapToHoseEnd(
  port: Pick<Port, 'sensor'> & { readonly connector: Connector; readonly id?: string },
  hoseEnd: Pick<HoseEnd, 'connector' | 'boreMm'>,
): Gap {
  const { id, connector, sensor } = port;
  return {
    from: { connector, ...(id ? { portId: id } : {}), ...(sensor ? { sensor } : {}) },
    to: { connector: hoseEnd.connector, boreMm: hoseEnd.boreMm },
  };
}

/** What a way must serve beside the two it joins: sensors that stay, another line. */
export function takeOffsOf({ from, to }: Gap, wishes: Wishes = {}): (TakeOff & { readonly portId?: string })[] {
  const sensors = wishes.keepSensor ? [from, to].filter((side) => side.sensor) : [];
  return [
    ...sensors.map(({ sensor, portId }) => ({ to: 'sensor' as const, connector: sensor!.connector, ...(portId ? { portId } : {}) })),
    ...(wishes.branchFor ? [{ to: 'line' as const, connector: wishes.branchFor }] : []),
  ];
}
