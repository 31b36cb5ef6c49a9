import { bareConnector, connectorThread, endForm, familyById, landOf, shapeOf, type Connector } from '../connectors/index.js';
import { portRing } from '../seals/index.js';
import { drawBody, type BodyStyle } from './body.js';
import { mirrored } from './draw-adapter.js';
import { endSections } from './end-sections.js';
import { advance, pointAt, turn, type Frame } from './frame.js';
import { landMarks } from './land-marks.js';
import type { Point, Shape } from './shape.js';
import { threadProfile } from './surface.js';

/**
 * A port as a cut piece of its component. The frame lies in the plane of the joint and heads into the component.
 * @param empty nothing is screwed in: show the port's own thread
 * @param embedded part of a larger block: no break line, no edges of its own
 */
export function drawPort(frame: Frame, given: Connector, style: BodyStyle, empty = false, embedded = false): Shape[] {
  const c = bareConnector(given);
  const form = endForm(c);
  const major = holeDiameter(c) / 2;
  const land = landOf(c);
  const reach = Math.max(Math.max(form.outsideMm, form.hexMm) / 2 + Math.max(6, major * 0.9), land ? land.outsideMm / 2 + 4 : 0);
  const marks = landMarks(turn(frame, 180), c);
  if (c.gender === 'male') {
    const stub = endSections(c, form.boreMm);
    const face = stub.body.length > 0 ? -stub.body[0]!.from : 0;
    const block = advance(frame, face);
    return [
      ...drawBlock(block, reach, form.boreMm / 2, [[0, form.boreMm / 2]], Math.max(14, major * 1.5), embedded),
      ...marks,
      ...drawBody(frame, mirrored(stub.body), style),
    ];
  }
  const depth = form.lengthMm * 1.25;
  const block = drawBlock(
    frame,
    reach,
    form.boreMm / 2,
    empty ? threaded(c, holeProfile(c, major, depth)) : holeProfile(c, major, depth),
    depth + Math.max(6, major * 0.5),
    embedded,
  );
  return [...block, ...marks];
}

/** A port of which the thread is not known: a dashed piece of its component, with no hole. */
export function drawUnknownPort(frame: Frame): Shape {
  const [reach, depth] = [13, 18];
  const corners = [
    [0, reach],
    [depth, reach],
    [depth, -reach],
    [0, -reach],
  ] as const;
  return { kind: 'area', points: corners.map(([u, r]) => pointAt(frame, u, r)), fill: 'component', stroke: 'hidden' };
}

/** Diameter of the hole at its mouth, mm. */
function holeDiameter(c: Connector): number {
  const form = endForm(c);
  const thread = connectorThread(c);
  if (thread) return thread.majorMm;
  const shape = shapeOf(c);
  if (shape === 'flange' || shape === 'face') return form.boreMm;
  return shape === 'coupling' ? form.outsideMm * 0.73 : form.outsideMm;
}

/** Radius of the hole against depth, from the face inwards. */
function holeProfile(c: Connector, major: number, depth: number): (readonly [number, number])[] {
  if (shapeOf(c) === 'taper')
    return [
      [0, major],
      [depth, major - (depth * (connectorThread(c)?.taperPerMm ?? 0)) / 2],
    ];
  // the ring of a stud lies on the flat face: only bosses and metric ports are chamfered for it
  const ring = familyById(c.family).chamfered ? portRing(c) : undefined;
  if (ring)
    return [
      [0, major + ring.sectionMm * 0.72],
      [ring.sectionMm * 1.25, major],
      [depth, major],
    ];
  return [
    [0, major],
    [depth, major],
  ];
}

/** The last stretch of a hole with its thread cut into the wall. */
function threaded(c: Connector, hole: (readonly [number, number])[]): (readonly [number, number])[] {
  const thread = connectorThread(c);
  if (!thread) return hole;
  const [from, radius] = hole[hole.length - 2]!;
  const [to, radiusTo] = hole[hole.length - 1]!;
  return [
    ...hole.slice(0, -2),
    ...threadProfile({ from, to, radius, radiusTo, pitch: thread.pitchMm }),
    [to, radiusTo - 0.61 * thread.pitchMm],
  ];
}

function drawBlock(
  frame: Frame,
  reach: number,
  bore: number,
  hole: readonly (readonly [number, number])[],
  depth: number,
  embedded: boolean,
): Shape[] {
  const last = hole[hole.length - 1]!;
  const wave = (from: number, to: number): Point[] =>
    Array.from({ length: 9 }, (_, i) => {
      const r = from + ((to - from) * i) / 8;
      return pointAt(frame, depth + (embedded ? 0 : Math.sin((r / reach) * Math.PI * 1.5) * 1.6), r);
    });
  const half = (sign: 1 | -1): Shape => ({
    kind: 'area',
    points: [
      pointAt(frame, 0, reach * sign),
      ...hole.map(([u, r]) => pointAt(frame, u, r * sign)),
      ...(last[1] > bore ? [pointAt(frame, last[0], bore * sign)] : []),
      ...wave(bore * sign, reach * sign),
    ],
    fill: 'component',
    stroke: 'none',
    hatch: 45,
  });
  const inside = (sign: 1 | -1): Point[] => [...hole.map(([u, r]) => pointAt(frame, u, r * sign)), pointAt(frame, last[0], bore * sign)];
  if (embedded)
    return [
      half(1),
      half(-1),
      ...([1, -1] as const).map((sign): Shape => ({
        kind: 'line',
        points: [pointAt(frame, 0, reach * sign), ...inside(sign), pointAt(frame, depth, bore * sign)],
        stroke: 'outline',
      })),
    ];
  const edge = (sign: 1 | -1): Shape[] => [
    {
      kind: 'line',
      points: [
        pointAt(frame, depth, reach * sign),
        pointAt(frame, 0, reach * sign),
        ...inside(sign),
        ...wave(bore * sign, bore * sign).slice(0, 1),
      ],
      stroke: 'outline',
    },
    { kind: 'line', points: wave(bore * sign, reach * sign), stroke: 'fine' },
  ];
  return [half(1), half(-1), ...edge(1), ...edge(-1)];
}
