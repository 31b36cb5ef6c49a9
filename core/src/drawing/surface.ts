import type { Section } from './section.js';
import { pointAt, type Frame } from './frame.js';
import type { LineShape, Point } from './shape.js';

const THREAD_DEPTH = 0.6134; // of the pitch, external 60° thread (ISO 68-1: 17/24 of H)

/** @throws {RangeError} for a stretch without a thread */
function pitchOf({ pitch }: Pick<Section, 'pitch'>): number {
  if (!pitch) throw new RangeError('No pitch is said of this thread');
  return pitch;
}

/** The zigzag of a thread's profile along its section as (u, r) pairs; `radius` is over the crests. */
export function threadProfile(s: Pick<Section, 'from' | 'to' | 'radius' | 'radiusTo' | 'pitch'>): (readonly [number, number])[] {
  const pitch = pitchOf(s);
  const length = s.to - s.from;
  const end = s.radiusTo ?? s.radius;
  const turns = Math.max(1, Math.round(length / pitch));
  const depth = THREAD_DEPTH * pitch;
  const crest = (u: number): number => s.radius + ((end - s.radius) * (u - s.from)) / length;
  const points: (readonly [number, number])[] = [[s.from, crest(s.from) - depth]];
  for (let i = 0; i < turns; i++) {
    const step = length / turns;
    const u = s.from + i * step;
    points.push([u + step * 0.44, crest(u) - 0], [u + step * 0.56, crest(u)], [u + step, crest(u + step) - depth]);
  }
  return points;
}

/** The slanted crest lines of a thread as the eye sees them. */
export function threadLines(frame: Frame, s: Section, sign: 1 | -1): LineShape[] {
  const pitch = pitchOf(s);
  const length = s.to - s.from;
  const end = s.radiusTo ?? s.radius;
  const turns = Math.max(1, Math.round(length / pitch));
  const step = length / turns;
  return Array.from({ length: turns }, (_, i): LineShape => {
    const u = s.from + (i + 0.5) * step;
    const r = s.radius + ((end - s.radius) * (u - s.from)) / length;
    const lean = Math.min(step * 0.25, 0.5);
    return { kind: 'line', points: [pointAt(frame, u, r * sign), pointAt(frame, Math.min(s.to, u + lean), 0)], stroke: 'thread' };
  });
}

/** The edge of a hex seen over its corners: one line at half its height, with the chamfer's arcs at both ends. */
export function hexLines(frame: Frame, s: Section, sign: 1 | -1): LineShape[] {
  const half = s.radius / 2;
  const length = s.to - s.from;
  const sag = Math.min(0.8, length * 0.16);
  const arc = (u: number, inward: 1 | -1, low: number, high: number): Point[] =>
    Array.from({ length: 7 }, (_, i) => {
      const t = i / 6;
      return pointAt(frame, u + inward * sag * 4 * (t - 0.5) ** 2, (low + (high - low) * t) * sign);
    });
  return [
    { kind: 'line', points: [pointAt(frame, s.from, half * sign), pointAt(frame, s.to, half * sign)], stroke: 'fine' },
    { kind: 'line', points: arc(s.from, 1, half, s.radius), stroke: 'fine' },
    { kind: 'line', points: arc(s.to, -1, half, s.radius), stroke: 'fine' },
  ];
}

/** Crossed lines of a knurl or a braid between two radii. */
export function crossLines(frame: Frame, from: number, to: number, low: number, high: number, spacing: number): LineShape[] {
  const lines: LineShape[] = [];
  const height = high - low;
  for (let start = from - height; start < to; start += spacing) {
    for (const rising of [true, false]) {
      const clip = (u: number): number => (rising ? low + (u - start) : high - (u - start));
      const a = Math.max(from, start);
      const b = Math.min(to, start + height);
      if (b > a) lines.push({ kind: 'line', points: [pointAt(frame, a, clip(a)), pointAt(frame, b, clip(b))], stroke: 'thread' });
    }
  }
  return lines;
}

export function knurlLines(frame: Frame, s: Section, sign: 1 | -1): LineShape[] {
  const spacing = Math.max(1.2, s.radius * 0.22);
  return sign === 1 ? crossLines(frame, s.from, s.to, 0, s.radius, spacing) : crossLines(frame, s.from, s.to, -s.radius, 0, spacing);
}
