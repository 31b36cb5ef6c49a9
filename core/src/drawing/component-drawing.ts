import { connectorThread, endForm, shapeOf, type EndShape } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import { formatPortThread, portCases, type Component, type Port } from '../job/index.js';
import { bodyUpright } from './draw-bodied.js';
import { drawPort } from './draw-port.js';
import { fitted } from './fitted.js';
import { advance, startFrame } from './frame.js';
import { placeShapes, type Drawing, type Shape } from './shape.js';

const CORE_MM = 18;
const GAP_MM = 7;
/** Ends that stand out of the face with their whole length. */
const PUSHED_OVER: readonly EndShape[] = ['ridged', 'beaded', 'spigot'];
/** Room for a label at either side, in sheet units. */
const LABEL = 98;

/**
 * A component as a plain block with its ports as numbered stubs along its two sides, each cut through; all ports at one scale. A port
 * that may be several is drawn as the first of them, one that is not known as the closed face; both with a question mark.
 */
export function componentDrawing(
  component: Component,
  ports: readonly Port[],
  size: { width: number; height: number },
  part?: Fitting,
): Drawing {
  if (part?.body) return partOfCatalogue(component, ports, part, size);
  const { width, height } = size;
  const right = ports.filter((_, i) => i % 2 === 0);
  const left = ports.filter((_, i) => i % 2 === 1);
  const column = (list: readonly Port[]): { port: Port; y: number }[] => {
    let y = GAP_MM;
    return list.map((port) => {
      const half = portHalfHeight(port);
      const at = y + half;
      y = at + half + GAP_MM;
      return { port, y: at };
    });
  };
  const columns = [
    { rows: column(right), side: 1 as const },
    { rows: column(left), side: -1 as const },
  ];
  const tall = Math.max(26, ...columns.flatMap(({ rows }) => rows.map(({ port, y }) => y + portHalfHeight(port) + GAP_MM)));
  const depth = Math.max(18, ...ports.map(portDepth));
  const halfWide = CORE_MM / 2 + depth;
  const stub = Math.max(4, ...ports.map(portStub));
  const scale = Math.min(3, (height - 24) / tall, (width - 2 * LABEL) / (2 * (halfWide + stub)));
  const shapes: Shape[] = [
    {
      kind: 'area',
      points: [
        [-CORE_MM / 2, 0],
        [CORE_MM / 2, 0],
        [CORE_MM / 2, tall],
        [-CORE_MM / 2, tall],
      ],
      fill: 'component',
      stroke: 'none',
      hatch: 45,
    },
  ];
  const labels: Shape[] = [];
  const dx = width / 2;
  const dy = (height - tall * scale) / 2;
  for (const { rows, side } of columns) {
    let at = 0;
    for (const { port, y } of rows) {
      const face = { ...startFrame(side === 1 ? -1 : 1), x: side * halfWide, y };
      // the frame heads into the block; a male stub stands out of it
      const [connector] = portCases(port);
      const half = portHalfHeight(port);
      shapes.push(filler(side, at, y - half, halfWide));
      if (connector) {
        const joint = connector.gender === 'male' && !PUSHED_OVER.includes(shapeOf(connector)) ? advance(face, -portStub(port)) : face;
        shapes.push(...drawPort(joint, connector, { hatch: 135, view: 'half' }, true, true));
      }
      shapes.push(filler(side, y - half, y + half, halfWide - (connector ? portDepth(port) : 0)));
      at = y + half;
      const number = ports.indexOf(port) + 1;
      const x = dx + side * ((halfWide + portStub(port)) * scale + 9);
      const anchor = side === 1 ? 'start' : 'end';
      labels.push(
        { kind: 'text', at: [x, dy + y * scale - 1], text: String(number), size: 19, anchor, role: 'title' },
        {
          kind: 'text',
          at: [x, dy + y * scale + 14],
          text: clipped(port.connector ? port.label : `? ${port.label}`),
          size: 14,
          anchor,
          role: 'figure',
        },
      );
    }
    shapes.push(filler(side, at, tall, halfWide));
    // the face between the ports, and the block's own edges
    let from = 0;
    for (const { port, y } of [...rows, undefined].map((row) => row ?? { port: undefined, y: tall })) {
      const to = port ? y - portHalfHeight(port) : tall;
      shapes.push({
        kind: 'line',
        points: [
          [side * halfWide, from],
          [side * halfWide, to],
        ],
        stroke: 'outline',
      });
      from = port ? y + portHalfHeight(port) : tall;
    }
  }
  for (const y of [0, tall])
    shapes.push({
      kind: 'line',
      points: [
        [-halfWide, y],
        [halfWide, y],
      ],
      stroke: 'outline',
    });
  return { width, height, shapes: [...placeShapes(shapes, scale, dx, dy), ...labels], title: inWords(component, ports) };
}

/** A component that is a part with a body: its section, the ends with the numbers of their ports. */
function partOfCatalogue(component: Component, ports: readonly Port[], part: Fitting, size: { width: number; height: number }): Drawing {
  const numberOf = (end: number): string => {
    const at = ports.findIndex((p) => p.end === end);
    return at < 0 ? '?' : String(at + 1);
  };
  const shapes = bodyUpright(part, { hatch: 135, view: 'half' }, numberOf);
  return fitted(shapes, size.width, size.height, inWords(component, ports), 3, 'middle');
}

function inWords({ name }: Component, ports: readonly Port[]): string {
  return `${name} with ${ports.length} ports: ${ports.map((p, i) => `${i + 1} ${p.label}, ${formatPortThread(p)}`).join('; ')}`;
}

/** A plain piece of the block between core and face. */
function filler(side: 1 | -1, from: number, to: number, reach: number): Shape {
  const x0 = (side * CORE_MM) / 2;
  return {
    kind: 'area',
    points: [
      [x0, from],
      [side * reach, from],
      [side * reach, to],
      [x0, to],
    ],
    fill: 'component',
    stroke: 'none',
    hatch: 45,
  };
}

/** Of a port that is not known, as tall as a small one. */
const UNKNOWN_HALF_MM = 12;

function portHalfHeight(port: Port): number {
  const [c] = portCases(port);
  if (!c) return UNKNOWN_HALF_MM;
  const form = endForm(c);
  const major = (connectorThread(c)?.majorMm ?? form.outsideMm) / 2;
  return Math.max(form.outsideMm, form.hexMm) / 2 + Math.max(6, major * 0.9);
}

function portDepth(port: Port): number {
  const [c] = portCases(port);
  if (!c) return 0;
  const form = endForm(c);
  const major = (connectorThread(c)?.majorMm ?? form.outsideMm) / 2;
  return c.gender === 'male' ? Math.max(14, major * 1.5) - 1.6 : form.lengthMm * 1.25 + Math.max(6, major * 0.5) - 1.6;
}

/** How far a male port stands out of the face. */
function portStub(port: Port): number {
  const [c] = portCases(port);
  if (!c || c.gender === 'female') return 0;
  const form = endForm(c);
  const shape = shapeOf(c);
  return PUSHED_OVER.includes(shape) ? form.lengthMm : shape === 'flare' || shape === 'taper' ? form.reachMm : 2.2;
}

function clipped(text: string): string {
  return text.length > 17 ? `${text.slice(0, 16)}…` : text;
}
