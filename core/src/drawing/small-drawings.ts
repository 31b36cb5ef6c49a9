import { connectorName, formatConnector, type Connector } from '../connectors/index.js';
import { endName, type Fitting } from '../fittings/index.js';
import type { Hose, HoseEnd } from '../hose/index.js';
import type { AssembledBranch, PlacedFitting } from '../lines/index.js';
import { drawAdapter } from './draw-adapter.js';
import { bodyUpright } from './draw-bodied.js';
import { drawClosing } from './draw-on-branch.js';
import { drawHose, drawHoseEnd } from './draw-hose-end.js';
import { drawPort } from './draw-port.js';
import { fitted } from './fitted.js';
import { startFrame, type Frame } from './frame.js';
import type { Drawing } from './shape.js';
import { drawStretch } from './stretch.js';
import { onWalk } from './stretches-of-line.js';

const HOSE_STUB_MM = 16;
/** Below this height the ends of a body are not numbered. */
const LEAST_FOR_NUMBERS = 90;

/** What a way in miniature is drawn with: hoses only, ports are left away. */
export interface StripEnd {
  readonly hoseEnd?: HoseEnd;
  readonly hose?: Hose;
}

/** A way in miniature, in the order of the line: from port A at the left, or the hose before it, to what comes after. */
export function wayStrip(
  way: { readonly fittings: readonly PlacedFitting[]; readonly branches?: readonly AssembledBranch[] },
  [before, after]: readonly [StripEnd, StripEnd],
  size: { width: number; height: number },
  title: string,
): Drawing {
  const backwards = !before.hoseEnd && after.hoseEnd !== undefined;
  const [start, finish] = backwards ? [after, before] : [before, after];
  const walk = onWalk({ fittings: way.fittings, branches: way.branches ?? [] }, backwards);
  const first = walk.fittings![0];
  // without a hose it starts on the part itself
  const from = start.hoseEnd ? start : first ? { port: first.fitting.ends[first.outEnd]! } : {};
  const drawn = drawStretch({ ...walk, start: from, finish, joints: [] }, backwards ? -1 : 1, 'whole', false);
  const stub = (frame: Frame, { hose, hoseEnd }: StripEnd) =>
    hose && hoseEnd ? drawHose(frame, -HOSE_STUB_MM - hoseEnd.socketLengthMm, hose, { hatch: 45, view: 'whole' }) : [];
  const stubs = [...stub(startFrame(backwards ? -1 : 1), start), ...(drawn.exit ? stub(drawn.exit, finish) : [])];
  return fitted([...stubs, ...drawn.shapes], size.width, size.height, title, 1.25, 'left');
}

/** One adapter, half in section; a part with a body cut open, its ends numbered. */
export function fittingDrawing(fitting: Fitting, size: { width: number; height: number }): Drawing {
  const style = { hatch: 135, view: 'half' } as const;
  if (fitting.body)
    return fitted(
      bodyUpright(fitting, style, size.height < LEAST_FOR_NUMBERS ? () => '' : undefined),
      size.width,
      size.height,
      bodyInWords(fitting),
      2.4,
      'middle',
    );
  const shapes =
    fitting.ends.length > 1
      ? drawAdapter(startFrame(-1), { fitting, inEnd: 0, outEnd: 1 }, style, 1).shapes
      : drawClosing(startFrame(-1), fitting, style);
  return fitted(shapes, size.width, size.height, fitting.name, 3.4, 'on axis');
}

function bodyInWords(fitting: Fitting): string {
  const ends = fitting.ends.map((end, i) => `${i + 1} ${endName(fitting, i)}, ${formatConnector(end)}`);
  return `${fitting.name} in section: ${ends.join('; ')}`;
}

/** One hose end on a stub of its hose, half in section. */
export function hoseEndDrawing(end: HoseEnd, hose: Hose | undefined, size: { width: number; height: number }): Drawing {
  const frame = startFrame(1);
  const stub = hose ? drawHose(frame, -HOSE_STUB_MM - end.socketLengthMm, hose, { hatch: 45, view: 'half' }) : [];
  return fitted(
    [...stub, ...drawHoseEnd(frame, end, hose, { hatch: 60, view: 'half' }).shapes],
    size.width,
    size.height,
    end.name,
    2,
    'on axis',
  );
}

/** A piece of hose, half in section. */
export function hoseDrawing(hose: Hose, size: { width: number; height: number }): Drawing {
  return fitted(
    drawHose(startFrame(1), -hose.outsideMm * 2.6, hose, { hatch: 45, view: 'half' }),
    size.width,
    size.height,
    hose.name,
    2,
    'on axis',
  );
}

/** A port as a cut piece of its component. */
export function portDrawing(connector: Connector, size: { width: number; height: number }): Drawing {
  return fitted(
    drawPort(startFrame(-1), connector, { hatch: 135, view: 'half' }, true),
    size.width,
    size.height,
    `${connectorName(connector)} (${formatConnector(connector)})`,
    3.2,
    'on axis',
  );
}
