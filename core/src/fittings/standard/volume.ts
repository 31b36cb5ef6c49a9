import { bareConnector, endForm, flangeFigures, shapeOf, type Connector } from '../../connectors/index.js';
import type { Fitting } from '../fitting.js';

/** What a thread's grooves leave of the cylinder over its crests, on the diameter. Common practice. */
const THREADED = 0.93;

/**
 * The metal of a part in common proportions, cm³: each of its ends whole, what is inside the joint as well, and the body between them, less
 * its bore.
 */
export function volumeCm3(
  ends: readonly Connector[],
  { hexMm = 10, boreMm = 0, legsMm }: Pick<Fitting, 'hexMm' | 'boreMm' | 'legsMm'>,
  bodyMm = 0,
): number {
  const hex = 0.866 * hexMm ** 2;
  const bore = (Math.PI / 4) * boreMm ** 2;
  const ofEnds = ends.reduce((sum, end) => sum + endVolume(end, boreMm, ends.length === 1), 0);
  // an elbow or tee is a forging: its arms are rounder than a bar
  const body = legsMm
    ? ends.length * 0.62 * hexMm * (0.7 * hex - bore)
    : (ends.length === 1 ? 0.35 * hexMm : 3 + 0.3 * hexMm + bodyMm) * (hex - bore);
  return (ofEnds + body) / 1000;
}

function endVolume(given: Connector, throughMm: number, blind: boolean): number {
  const end = bareConnector(given);
  const form = endForm(end);
  const bore = (Math.PI / 4) * (blind ? 0 : Math.min(form.boreMm, throughMm || form.boreMm)) ** 2;
  const shape = shapeOf(end);
  if (shape === 'flange') {
    const { apartMm, boreMm } = flangeFigures(end.size);
    return ((apartMm + 16) * (boreMm + 14) * 0.75 - bore) * 10;
  }
  if (shape === 'face') return 0;
  if (end.gender === 'female') {
    // metal round the hole
    const hole = (Math.PI / 4) * (form.outsideMm / 1.3) ** 2;
    return Math.max(0, 0.866 * form.hexMm ** 2 - hole) * form.lengthMm * (end.swivel ? 0.9 : 1);
  }
  const outside = (Math.PI / 4) * (form.outsideMm * THREADED) ** 2;
  // a shoulder is wider than its stud
  const stud = shape === 'stud' || shape === 'boss' ? 0.75 : 1;
  return Math.max(0, outside * stud - bore) * form.lengthMm;
}
