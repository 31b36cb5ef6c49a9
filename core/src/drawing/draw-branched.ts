import { endForm } from '../connectors/index.js';
import { hexOf, legOf, openEnds } from '../fittings/index.js';
import type { PlacedFitting } from '../lines/index.js';
import { drawBody, type BodyStyle } from './body.js';
import type { DrawnPart } from './draw-adapter.js';
import { endSections } from './end-sections.js';
import { advance, type Frame } from './frame.js';
import { projectEnds, projectPart } from './project-ends.js';
import type { Shape } from './shape.js';

/**
 * A tee or a cross from its hose-side seat to its port-side seat. Branches leave the crossing of the axes square to the run,
 * where the part has them.
 */
export function drawBranched(frame: Frame, placed: PlacedFitting, style: BodyStyle, sense: 1 | -1, bore: number): DrawnPart {
  const { fitting, inEnd, outEnd } = placed;
  const ends = projectEnds(projectPart(frame, placed, sense), fitting);
  const centre = advance(frame, legOf(fitting, outEnd));
  const block = Math.min(hexOf(fitting) * 0.55, legOf(fitting, inEnd), legOf(fitting, outEnd));
  const hub = block * 0.86;
  const shapes: Shape[] = [...drawBody(centre, [{ from: -hub, to: hub, radius: hub, bore: bore / 2 }], style)];
  for (const [end, seat] of ends) {
    const made = endSections(fitting.ends[end]!, bore);
    const heading = advance(seat, -legOf(fitting, end));
    const face = made.body.length > 0 ? -Math.min(0, made.body[0]!.from) : endForm(fitting.ends[end]!).reachMm;
    const neck = legOf(fitting, end) - face;
    if (neck > hub + 0.2) shapes.push(...drawBody(heading, [{ from: hub, to: neck, radius: hub * 0.9, bore: bore / 2 }], style));
    shapes.push(...drawBody(seat, made.body, style));
    if (made.nut) shapes.push(...drawBody(seat, made.nut, { ...style, hatch: style.hatch + 75 }));
  }
  const branches = new Map(openEnds(fitting, inEnd, outEnd).map((end) => [end, ends.get(end)!]));
  return { shapes, after: ends.get(inEnd)!, branches };
}
