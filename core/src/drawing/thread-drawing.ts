import { pitchWords, threadData, type Side, type Thread } from '../threads/index.js';
import { formatQuantity, type UnitSystem } from '../units/index.js';
import { dimension } from './dimension.js';
import type { Drawing, Point, Shape } from './shape.js';
import { insideFlanks, outsideFlanks } from './thread-flanks.js';

const LABELS = 118;
const BELOW = 30;

/**
 * The profile of a thread to scale, some pitches of it, with pitch, flank angle and its three diameters. The side that was measured
 * is drawn in metal, its partner hatched above or left away.
 */
export function threadDrawing(thread: Thread, side: Side, size: { width: number; height: number }, system: UnitSystem): Drawing {
  const data = threadData(thread.designation);
  const pitch = thread.pitchMm;
  const length = 2.6 * pitch;
  const [low, high] = [data.minorExternalMm / 2 - 0.35 * pitch, data.majorMm / 2 + 0.3 * pitch];
  const scale = Math.min((size.width - LABELS - 10) / length, (size.height - BELOW - 16) / (high - low));
  const top = (size.height - BELOW - (high - low) * scale) / 2;
  const left = 8;
  const x = (u: number): number => left + u * scale;
  const y = (r: number): number => top + (high - r) * scale;
  const flanks =
    side === 'external'
      ? outsideFlanks(thread, length, 0).map(([u, r]): Point => [x(u), y(r - taperLift(thread, length))])
      : insideFlanks(thread, length).map(([u, r]): Point => [x(u), y(r)]);
  const edge = side === 'external' ? low : high;
  const body: Shape = {
    kind: 'area',
    points: [[x(0), y(edge)], ...flanks, [x(length), y(edge)]],
    fill: 'component',
    stroke: 'none',
    hatch: 45,
  };
  const levels: readonly (readonly [string, number])[] = [
    ['major', data.majorMm],
    ['pitch dia.', data.pitchDiameterMm],
    side === 'external' ? ['root', data.minorExternalMm] : ['minor', data.minorInternalMm],
  ];
  const crest = side === 'external' ? pitch / 2 : pitch;
  return {
    width: size.width,
    height: size.height,
    title: `Profile of ${thread.designation}, ${side === 'external' ? 'outside' : 'inside'}, pitch ${pitchWords(pitch)}, flanks ${data.flankAngleDeg}°`,
    shapes: [
      body,
      { kind: 'line', points: flanks, stroke: 'outline' },
      ...levels.flatMap(([name, diameter], i) => level(name, diameter, [x(0), x(length)], y(diameter / 2), labelY(i, levels, y), system)),
      ...dimension(
        [x(crest), y(low)],
        [x(crest + pitch), y(low)],
        y(low) + 20,
        pitchWords(pitch).endsWith('mm') ? `pitch ${pitchWords(pitch)}` : pitchWords(pitch),
      ),
      {
        kind: 'text',
        at: [x(crest + pitch / 2), y(data.pitchDiameterMm / 2) + (side === 'external' ? -6 : 14)],
        text: `${data.flankAngleDeg}°`,
        size: 13,
        anchor: 'middle',
        role: 'dimension',
      },
    ],
  };
}

/** The card shows a taper thread about its gauge plane, not from its small end. */
function taperLift(thread: Thread, length: number): number {
  if (thread.gaugeLengthMm === undefined) return 0;
  return (thread.taperPerMm * (length / 2 - thread.gaugeLengthMm)) / 2;
}

function labelY(i: number, levels: readonly (readonly [string, number])[], y: (r: number) => number): number {
  const at = levels.map(([, diameter]) => y(diameter / 2));
  const middle = at[1]!;
  return i === 1 ? middle : i === 0 ? Math.min(at[0]!, middle - 17) : Math.max(at[2]!, middle + 17);
}

function level(name: string, diameter: number, [from, to]: [number, number], y: number, textY: number, system: UnitSystem): Shape[] {
  const figure = formatQuantity(diameter, 'length', system, { decimals: 2, inchDecimals: 4 });
  return [
    {
      kind: 'line',
      points: [
        [from, y],
        [to + 6, y],
        [to + 16, textY],
      ],
      stroke: name === 'pitch dia.' ? 'centre' : 'dimension',
    },
    { kind: 'text', at: [to + 20, textY + 4], text: `${name} ${figure}`, size: 13, anchor: 'start', role: 'dimension' },
  ];
}
