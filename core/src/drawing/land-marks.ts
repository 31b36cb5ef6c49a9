import { landOf, shapeOf, type Connector } from '../connectors/index.js';
import { pointAt, type Frame } from './frame.js';
import type { Shape } from './shape.js';

const GROOVE_MM = 2.4;

/** The groove or gasket is this part's; its partner has the plain land. */
export function bringsGasket(c: Connector): boolean {
  return landOf(c) !== undefined && c.gender === (shapeOf(c) === 'face' ? 'male' : 'female');
}

/** Where a gasket lies on a face: a groove on both sides of the axis, or the plain land as a heavy line. The frame looks outwards. */
export function landMarks(at: Frame, c: Connector): Shape[] {
  const land = landOf(c);
  if (!land) return [];
  const deep = land.depthMm ?? GROOVE_MM;
  return [1, -1].map((sign): Shape => {
    const [inner, outer] = [(sign * land.insideMm) / 2, (sign * land.outsideMm) / 2];
    return bringsGasket(c)
      ? {
          kind: 'area',
          points: [pointAt(at, 0, inner), pointAt(at, -deep, inner), pointAt(at, -deep, outer), pointAt(at, 0, outer)],
          fill: 'paper',
          stroke: 'outline',
        }
      : { kind: 'line', points: [pointAt(at, 0, inner), pointAt(at, 0, outer)], stroke: 'dimension' };
  });
}
