import {
  bareConnector,
  boreSizeMm,
  connectorName,
  connectorThread,
  endForm,
  familyById,
  shapeOf,
  type Connector,
} from '../connectors/index.js';
import { mate, type Mating } from '../seals/index.js';
import { fit, type ThreadFit } from '../threads/index.js';
import { drawBody } from './body.js';
import { mirrored } from './draw-adapter.js';
import { drawPort } from './draw-port.js';
import { drawSeal, gasketOn, sealThickness } from './draw-seal.js';
import { endSections } from './end-sections.js';
import { fitted } from './fitted.js';
import { advance, startFrame, type Frame } from './frame.js';
import type { Section } from './section.js';
import type { Drawing, Shape } from './shape.js';

const LARGEST_SCALE = 6.5;
const STUB_MM = 9;
const APART_MM = 3;
const WASHER_MM = 1.5;
const SHEET_MM = 2.5;
/** Share of a flare's thread that goes into a port before its hex meets the face. */
const FLARE_IN = 0.8;

/** Two connectors as far together as they go, half in section: made up where they join, stopped where they bind, apart where they do not. */
export function jointDrawing(a: Connector, b: Connector, size: { width: number; height: number }): Drawing {
  const mating = mate(a, b);
  const [left, right] = a.gender === 'female' && b.gender === 'male' ? [b, a] : [a, b];
  const gap = gapBetween(left, right, mating);
  const plane = startFrame(1);
  const thickness = mating.outcome === 'seals' ? sealThickness(mating, left) : 0;
  const partner = advance(plane, gap + thickness);
  if (shapeOf(right) === 'hole' && left.gender === 'male') return throughSheet(left, size, title(a, b));
  const nut = right.gender === 'male' || shapeOf(right) === 'flare';
  const male = stub(plane, left, false);
  const hose = shapeOf(right) === 'spigot' && right.gender === 'female';
  const other = hose
    ? sleeve(partner, right)
    : nut
      ? stub(partner, right, true)
      : drawPort(partner, bareConnector(right), { hatch: 135, view: 'half' }, gap > 0);
  const seal = mating.outcome === 'seals' ? drawSeal(plane, mating, gasketOn(left, right) ?? left, 1, 1) : [];
  const parts = nut || hose ? [...male, ...other, ...seal] : [...other, ...male, ...seal];
  return fitted(parts, size.width, size.height, title(a, b), LARGEST_SCALE, 'on axis');
}

function title(a: Connector, b: Connector): string {
  return `${connectorName(a)} and ${connectorName(b)} in section`;
}

/** A bulkhead fitting through a sheet: hex, washer, sheet, washer, locknut. */
function throughSheet(male: Connector, size: { width: number; height: number }, words: string): Drawing {
  const form = endForm(male);
  const major = (connectorThread(male)?.majorMm ?? form.outsideMm) / 2;
  const frame = startFrame(1);
  const face = -form.reachMm;
  const ring = (from: number, to: number, radius: number): Section[] => [{ from, to, radius, bore: major }];
  const wide = form.hexMm / Math.sqrt(3);
  const parts: Shape[] = [
    ...drawBody(frame, ring(face + WASHER_MM, face + WASHER_MM + SHEET_MM, wide * 1.9), { hatch: 45, view: 'half', fill: 'component' }),
    ...stub(frame, male, false),
    ...[face, face + WASHER_MM + SHEET_MM].flatMap((at) =>
      drawBody(frame, ring(at, at + WASHER_MM, wide * 1.05), { hatch: 135, view: 'half', fill: 'copper' }),
    ),
    ...drawBody(
      frame,
      [{ from: face + 2 * WASHER_MM + SHEET_MM, to: face + 2 * WASHER_MM + SHEET_MM + 6, radius: wide, bore: major, surface: 'hex' }],
      { hatch: 30, view: 'half' },
    ),
  ];
  return fitted(parts, size.width, size.height, words, LARGEST_SCALE, 'on axis');
}

/** A hose end or the sleeve of a quick connector, open to the left. */
function sleeve(frame: Frame, c: Connector): Shape[] {
  const bore = boreSizeMm(c.size);
  // the sleeve of a quick connector is thicker than a hose
  const wall = familyById(c.family).femaleShape === 'spigot' ? 3.2 : 4.5;
  const length = endForm(c).lengthMm + 10;
  return drawBody(frame, [{ from: 2.2, to: length, radius: bore / 2 + wall, bore: bore / 2 }], { hatch: 120, view: 'half' });
}

/** An end on a short piece of its own body; `turned` looks to the left. */
function stub(frame: Frame, given: Connector, turned: boolean): Shape[] {
  const c = bareConnector(given);
  const form = endForm(c);
  const { body, nut } = endSections(c, form.boreMm);
  const back = body[0]?.from ?? 0;
  const handle: Section = { from: back - STUB_MM, to: back, radius: form.hexMm / Math.sqrt(3), bore: form.boreMm / 2, surface: 'hex' };
  const sections = shapeOf(c) === 'flare' && c.gender === 'female' ? body : [handle, ...body];
  const look = (list: readonly Section[]): readonly Section[] => (turned ? mirrored(list) : list);
  return [
    ...drawBody(frame, look(sections), { hatch: turned ? 135 : 60, view: 'half' }),
    ...(nut ? drawBody(frame, look(nut), { hatch: turned ? 30 : 150, view: 'half' }) : []),
  ];
}

/** How far the planes that should meet stay apart, mm; negative where a nose goes into a port that has no seat for it. */
function gapBetween(male: Connector, female: Connector, mating: Mating): number {
  if (mating.outcome === 'seals') return 0;
  const form = endForm(male);
  const flareInPort = shapeOf(male) === 'flare' && male.gender === 'male' && shapeOf(female) !== 'flare';
  const tip = flareInPort || male.gender === 'female' ? 0 : form.lengthMm - form.reachMm;
  const reach = shapeOf(female) === 'flare' || female.gender === 'male' ? endForm(female).lengthMm - endForm(female).reachMm : 0;
  const most = flareInPort ? form.reachMm * FLARE_IN : tip + reach;
  const [outside, inside] = [connectorThread(male), connectorThread(female)];
  const engaged = male.gender === female.gender || !outside || !inside ? -1 : engagedMm(fit(outside, inside), outside.pitchMm);
  if (engaged < 0) return tip + reach + APART_MM;
  const gap = tip + reach - Math.min(engaged, most);
  return flareInPort ? gap : Math.max(0, gap);
}

/** How far the thread goes in by hand, mm; −1 where it does not start. */
function engagedMm({ verdict, turnsToBind = Infinity }: ThreadFit, pitchMm: number): number {
  return verdict === 'no-entry' ? -1 : turnsToBind * pitchMm;
}
