import { bareConnector, endForm, familyById, type Connector } from '../connectors/index.js';
import type { Fitting } from '../fittings/index.js';
import type { AssembledBranch, LineJoint } from '../lines/index.js';
import type { BodyStyle } from './body.js';
import { drawBody } from './body.js';
import { drawAdapter, encloses } from './draw-adapter.js';
import { drawSeal, sealThickness } from './draw-seal.js';
import { endSections } from './end-sections.js';
import { advance, pointAt, type Frame } from './frame.js';
import type { Section } from './section.js';
import type { Shape } from './shape.js';

export interface DrawnBranch {
  readonly shapes: readonly Shape[];
  readonly joints: readonly { readonly joint: LineJoint; readonly frame: Frame; readonly radius: number }[];
}

/** What stands on an open end: adapters, then a plug, a sensor with its wire, or the arrow to another line. The frame heads outwards. */
export function drawOnBranch(
  start: Frame,
  exposed: Connector,
  branch: AssembledBranch,
  joints: readonly LineJoint[],
  style: BodyStyle,
): DrawnBranch {
  const layers: { level: number; shapes: readonly Shape[] }[] = [];
  const seals: Shape[] = [];
  const places: DrawnBranch['joints'][number][] = [];
  const waiting = [...joints];
  let frame = start;
  let open = exposed;
  let level = 0;
  const meet = (partner: Connector): void => {
    const joint = waiting.shift();
    const male = open.gender === 'male' ? open : partner;
    const towards = open.gender === 'male' ? 1 : -1;
    level += encloses(open) ? -1 : 1;
    if (!joint) return;
    places.push({ joint, frame, radius: Math.max(endForm(open).outsideMm, endForm(partner).outsideMm) / 2 });
    if (joint.mating.outcome !== 'seals') return;
    const thickness = sealThickness(joint.mating, male);
    if (style.view === 'half')
      seals.push(...drawSeal(towards === 1 ? frame : advance(frame, thickness), joint.mating, male, towards, joint.number));
    frame = advance(frame, thickness);
  };
  for (const { fitting, inEnd, outEnd } of branch.fittings) {
    const inner = fitting.ends[inEnd]!;
    meet(inner);
    if (fitting.ends.length === 1) layers.push({ level, shapes: drawClosing(frame, fitting, style) });
    else {
      // drawn from its outer side as from a hose: the way in and the way out change places
      const drawn = drawAdapter(frame, { fitting, inEnd: outEnd, outEnd: inEnd }, style, 1);
      layers.push({ level, shapes: drawn.shapes });
      frame = drawn.after;
      open = fitting.ends[outEnd]!;
    }
  }
  if (branch.sensor) {
    meet(branch.sensor.connector);
    layers.push({ level, shapes: drawSensor(frame, branch.sensor.connector, style) });
  }
  if (branch.to === 'line') layers.push({ level: 50, shapes: arrow(frame, open) });
  return { shapes: [...layers.sort((a, b) => a.level - b.level).flatMap((l) => l.shapes), ...seals], joints: places };
}

/** A part with one end: what screws on, and its hex. A weld bung is its end alone, with its bore open. */
export function drawClosing(frame: Frame, fitting: Fitting, style: BodyStyle): Shape[] {
  const end = fitting.ends[0]!;
  if (fitting.body) return [...drawAdapter(frame, { fitting, inEnd: 0, outEnd: 0 }, style, 1).shapes];
  const form = endForm(bareConnector(end));
  if (familyById(end.family).carries) return bodyOf(frame, end, form.boreMm, style);
  const hex: Section = {
    from: form.reachMm,
    to: form.reachMm + form.hexMm * 0.35,
    radius: form.hexMm / Math.sqrt(3),
    bore: 0.01,
    surface: 'hex',
  };
  return [...bodyOf(frame, end, 0, style), ...drawBody(frame, [hex], style)];
}

/** A sensor: its thread, a hex, a round can and the beginning of its wire. */
function drawSensor(frame: Frame, end: Connector, style: BodyStyle): Shape[] {
  const form = endForm(end);
  const hex = Math.max(form.hexMm, 14);
  const from = form.reachMm;
  const can: Section[] = [
    { from, to: from + 5, radius: hex / Math.sqrt(3), bore: 0.01, surface: 'hex' },
    { from: from + 5, to: from + 19, radius: hex * 0.56, bore: hex * 0.4 },
    { from: from + 19, to: from + 23, radius: hex * 0.3, bore: 0.01 },
  ];
  const wire = [0, 1, 2, 3, 4, 5].map((i) => pointAt(frame, from + 23 + i * 2, Math.sin(i * 1.3) * 1.6));
  return [...bodyOf(frame, end, 2, style), ...drawBody(frame, can, style), { kind: 'line', points: wire, stroke: 'outline' }];
}

/** The end of what is screwed on: its thread points back into the branch. */
function bodyOf(frame: Frame, end: Connector, bore: number, style: BodyStyle): Shape[] {
  const back = { ...frame, heading: frame.heading + Math.PI, side: (frame.side * -1) as 1 | -1 };
  const made = endSections(end, bore || 0.02);
  return [...drawBody(back, made.body, style), ...(made.nut ? drawBody(back, made.nut, { ...style, hatch: style.hatch + 75 }) : [])];
}

/** On to another line. */
function arrow(frame: Frame, end: Connector): Shape[] {
  const from = Math.max(2, endForm(end).lengthMm - endForm(end).reachMm) + 3;
  const at = (u: number, r: number) => pointAt(frame, from + u, r);
  return [
    { kind: 'line', points: [at(0, 0), at(13, 0)], stroke: 'dimension' },
    { kind: 'area', points: [at(13, 0), at(9, 2.2), at(9, -2.2)], fill: 'accent', stroke: 'none' },
  ];
}
