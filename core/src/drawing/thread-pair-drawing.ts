import { fit, threadData, type Thread, type ThreadFit } from '../threads/index.js';
import { formatQuantity, type UnitSystem } from '../units/index.js';
import { dimension } from './dimension.js';
import type { Drawing, Point, Shape } from './shape.js';
import { insideFlanks, outsideFlanks, radiusAt, type Flanks } from './thread-flanks.js';

const MOST_TURNS = 10;
const BELOW = 44;
/** A thread far too small is not slid further than this, in pitches. */
const MOST_SHIFT = 0.45;
/** Free length left of the mouth, in pitches of the coarser thread. */
const LEAD = 1.25;

/**
 * Two threads drawn over one another at one scale: the hole hatched above, the outside thread below, screwed in as far as it goes
 * and a turn further, so that the eye sees where they bind. What would have to give way is marked.
 */
export function threadPairDrawing(
  outside: Thread,
  inside: Thread,
  size: { width: number; height: number },
  system: UnitSystem = 'metric',
): Drawing {
  const found = fit(outside, inside);
  const pitch = Math.max(outside.pitchMm, inside.pitchMm);
  const turns = Math.min(MOST_TURNS, Math.max(3, (found.turnsToBind ?? 4) + 1.2));
  const length = turns * outside.pitchMm;
  const hole = insideFlanks(inside, length + 0.8 * pitch);
  const stud = seated(outsideFlanks(outside, length, -0.8 * pitch), outside, inside, found);
  const [int, ext] = [threadData(inside.designation), threadData(outside.designation)];
  const high = Math.max(int.majorMm, ext.majorMm) / 2 + 0.55 * pitch;
  const low = Math.min(int.minorInternalMm, ext.smallEnd ? ext.minorExternalMm - 0.5 : ext.minorExternalMm) / 2 - 0.5 * pitch;
  const span = length + (LEAD + 1.3) * pitch;
  const scale = Math.min((size.width - 20) / span, (size.height - BELOW - 24) / (high - low));
  const top = 20 + (size.height - BELOW - 24 - (high - low) * scale) / 2;
  const left = (size.width - span * scale) / 2;
  const x = (u: number): number => left + (u + LEAD * pitch) * scale;
  const y = (r: number): number => top + (high - r) * scale;
  const onSheet = (flanks: Flanks): Point[] => flanks.map(([u, r]): Point => [x(u), y(r)]);
  const holeLine = onSheet(hole);
  const studLine = onSheet(stud);
  const studEnd = studLine[studLine.length - 1]![0];
  const end = length + 0.8 * pitch;
  const mark = bindMark(found, outside, x, y(low), y(low) + 22);
  const shapes: Shape[] = [
    { kind: 'area', points: [[x(0), y(high)], ...holeLine, [x(end), y(high)]], fill: 'component', stroke: 'none', hatch: 45 },
    { kind: 'area', points: [[studLine[0]![0], y(low)], ...studLine, [studEnd, y(low)]], fill: 'section', stroke: 'none', hatch: 135 },
    ...clashes(hole, stud, length).map((points): Shape => ({
      kind: 'area',
      points: points.map(([u, r]): Point => [x(u), y(r)]),
      fill: 'clash',
      stroke: 'none',
    })),
    { kind: 'line', points: [[x(0), y(high)], ...holeLine], stroke: 'outline' },
    { kind: 'line', points: [...studLine, [studEnd, y(low)]], stroke: 'outline' },
    { kind: 'text', at: [x(0) + 6, y(high) - 6], text: inside.designation, size: 13, anchor: 'start', role: 'text' },
    {
      kind: 'text',
      at: [studLine[0]![0], y(low) + (mark.length > 0 ? 40 : 16)],
      text: outside.designation,
      size: 13,
      anchor: 'start',
      role: 'text',
    },
    ...mark,
  ];
  return {
    width: size.width,
    height: size.height,
    shapes,
    title: `${outside.designation} in ${inside.designation}, drawn over one another: ${inWords(found, system)}`,
  };
}

/**
 * The outside thread where it really lies: smaller by the tolerances, its first thread against one flank, so that the last one meets
 * the other flank just as the play is used up.
 */
function seated(flanks: Flanks, outside: Thread, inside: Thread, found: ThreadFit): Flanks {
  const [ext, int] = [threadData(outside.designation), threadData(inside.designation)];
  const basicPlay = int.pitchDiameterMm - (ext.smallEnd?.pitchDiameterMm ?? ext.pitchDiameterMm);
  const smaller = found.verdict === 'same' ? found.playMm / 2 : Math.max(0, found.playMm - basicPlay) / 2;
  const half = ((Math.min(outside.flankAngleDeg, inside.flankAngleDeg) / 2) * Math.PI) / 180;
  const drift = Math.abs(ext.pitchMm - int.pitchMm) < 1e-6 ? 0 : Math.sign(ext.pitchMm - int.pitchMm);
  const along = -drift * Math.min(Math.max(0, found.playMm / 2) * Math.tan(half), MOST_SHIFT * outside.pitchMm);
  return flanks.map(([u, r]) => [u + along, r - smaller] as const);
}

/** Where the outside thread would have to cut into the hole, as closed outlines. */
function clashes(hole: Flanks, stud: Flanks, length: number): [number, number][][] {
  const outlines: [number, number][][] = [];
  const step = length / 160;
  let upper: [number, number][] = [];
  let lower: [number, number][] = [];
  const close = (): void => {
    if (upper.length > 1) outlines.push([...upper, ...lower.reverse()]);
    upper = [];
    lower = [];
  };
  for (let u = 0; u <= length; u += step) {
    const [inner, outer] = [radiusAt(hole, u), radiusAt(stud, u)];
    if (outer > inner + 0.01) {
      upper.push([u, outer]);
      lower.push([u, inner]);
    } else close();
  }
  close();
  return outlines;
}

function bindMark(found: ThreadFit, outside: Thread, x: (u: number) => number, bottom: number, y: number): Shape[] {
  if (found.turnsToBind === undefined || found.turnsToBind > MOST_TURNS) return [];
  const turns = found.turnsToBind.toFixed(1);
  return dimension([x(0), bottom], [x(found.turnsToBind * outside.pitchMm), bottom], y, `${turns} turns`);
}

/** A fit in a few words: `play 0.52 mm on the diameter, binds after 3.4 turns`. */
export function inWords(found: ThreadFit, system: UnitSystem = 'metric'): string {
  const size = (mm: number): string => formatQuantity(mm, 'length', system, { decimals: 2, inchDecimals: 3 });
  const play = `play ${size(found.playMm)} on the diameter`;
  switch (found.verdict) {
    case 'same':
      return `made for each other, ${play}`;
    case 'binds':
      return `${play}, binds after ${found.turnsToBind!.toFixed(1)} turns`;
    case 'loose':
      return `${play}, ${Math.round(found.engagement * 100)} % of the thread depth touches`;
    case 'slides-in':
      return 'slides in without touching';
    case 'no-entry':
      return `does not start: ${found.playMm > 0 ? 'it binds within the first turn' : `${size(-found.playMm)} too large`}`;
  }
}
