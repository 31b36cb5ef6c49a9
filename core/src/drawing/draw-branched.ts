import { endForm } from '../connectors/index.js';
import { openEnds, turnBetween } from '../fittings/index.js';
import type { PlacedFitting } from '../lines/index.js';
import { drawBody, type BodyStyle } from './body.js';
import type { DrawnPart } from './draw-adapter.js';
import { endSections } from './end-sections.js';
import { advance, turn, type Frame } from './frame.js';
import type { Shape } from './shape.js';

/**
 * A tee or a cross from its hose-side seat to its port-side seat. Branches leave the crossing of the axes square to the run: the first
 * towards the seen half, the next the other way.
 */
export function drawBranched(
  frame: Frame,
  { fitting, inEnd, outEnd }: PlacedFitting,
  style: BodyStyle,
  sense: 1 | -1,
  bore: number,
): DrawnPart {
  const legOf = (end: number): number => fitting.legsMm?.[end] ?? (fitting.lengthMm ?? 40) / 2;
  const centre = advance(frame, legOf(outEnd));
  const bends = turnBetween(fitting, inEnd, outEnd) > 0;
  const ahead = bends ? turn(centre, 90 * sense) : centre;
  const after = advance(ahead, legOf(inEnd));
  const block = Math.min((fitting.hexMm ?? 16) * 0.55, legOf(inEnd), legOf(outEnd));
  const branches = new Map<number, Frame>();
  const arms: { end: number; heading: Frame }[] = [
    { end: outEnd, heading: turn(centre, 180) },
    { end: inEnd, heading: ahead },
  ];
  openEnds(fitting, inEnd, outEnd).forEach((end, i) => {
    // where the run turns the corner, its straight leg goes on; the second branch of a cross lies opposite the first
    const heading = bends && i === 0 ? centre : turn(centre, bends || i === 1 ? -90 : 90);
    arms.push({ end, heading });
    branches.set(end, advance(heading, legOf(end)));
  });
  const hub = block * 0.86;
  const shapes: Shape[] = [...drawBody(centre, [{ from: -hub, to: hub, radius: hub, bore: bore / 2 }], style)];
  for (const { end, heading } of arms) {
    const made = endSections(fitting.ends[end]!, bore);
    const seat = advance(heading, legOf(end));
    const face = made.body.length > 0 ? -Math.min(0, made.body[0]!.from) : endForm(fitting.ends[end]!).reachMm;
    const neck = legOf(end) - face;
    if (neck > hub + 0.2) shapes.push(...drawBody(heading, [{ from: hub, to: neck, radius: hub * 0.9, bore: bore / 2 }], style));
    shapes.push(...drawBody(seat, made.body, style));
    if (made.nut) shapes.push(...drawBody(seat, made.nut, { ...style, hatch: style.hatch + 75 }));
  }
  return { shapes, after, branches };
}
