import { pointAt, type Frame } from './frame.js';
import type { Section } from './section.js';
import type { Fill, Point, Shape } from './shape.js';
import { hexLines, knurlLines, threadLines, threadProfile } from './surface.js';

export interface BodyStyle {
  /** Angle of the section hatching, degrees. */
  readonly hatch: number;
  /** `half`: seen above, cut below. `whole`: seen on both sides (miniatures). `upper`: the seen half alone. */
  readonly view: 'half' | 'whole' | 'upper';
  readonly fill?: Fill;
}

/**
 * Draws a body of revolution: above the axis what the hand sees, below it the cut wall with its bore open. Sections are given in
 * the order of the axis and touch one another.
 */
export function drawBody(frame: Frame, sections: readonly Section[], style: BodyStyle): Shape[] {
  const shapes: Shape[] = [];
  const fill = style.fill ?? 'metal';
  const half = (sign: 1 | -1): void => {
    for (const s of seenStretches(sections)) {
      const end = s.radiusTo ?? s.radius;
      const at = (u: number, r: number): Point => pointAt(frame, u, r * sign);
      shapes.push({ kind: 'area', points: [at(s.from, 0), at(s.from, s.radius), at(s.to, end), at(s.to, 0)], fill, stroke: 'none' });
      const outline = s.surface === 'thread' ? threadProfile(s).map(([u, r]) => at(u, r)) : [at(s.from, s.radius), at(s.to, end)];
      shapes.push({ kind: 'line', points: [at(s.from, 0), ...outline, at(s.to, 0)], stroke: 'outline' });
      if (s.surface === 'thread') shapes.push(...threadLines(frame, s, sign));
      if (s.surface === 'hex') shapes.push(...hexLines(frame, s, sign));
      if (s.surface === 'knurl') shapes.push(...knurlLines(frame, s, sign));
    }
  };
  if (style.view === 'whole') {
    half(1);
    half(-1);
    return shapes;
  }
  half(1);
  if (style.view === 'upper') return shapes;
  const outer: Point[] = [];
  const inner: Point[] = [];
  for (const s of sections) {
    const profile = s.surface === 'thread' ? threadProfile(s) : [[s.from, s.radius] as const, [s.to, s.radiusTo ?? s.radius] as const];
    outer.push(...profile.map(([u, r]) => pointAt(frame, u, -r)));
    const bores =
      s.surface === 'inner-thread'
        ? threadProfile({ ...s, radius: s.bore, radiusTo: s.boreTo ?? s.bore })
        : [[s.from, s.bore] as const, [s.to, s.boreTo ?? s.bore] as const];
    inner.push(...bores.map(([u, r]) => pointAt(frame, u, -r)));
  }
  shapes.push({ kind: 'area', points: [...outer, ...[...inner].reverse()], fill: 'section', stroke: 'outline', hatch: style.hatch });
  return shapes;
}

/** Neighbouring stretches that look alike from outside (a nut whose bore has a step) are one to the eye. */
function seenStretches(sections: readonly Section[]): Section[] {
  const seen: Section[] = [];
  for (const s of sections) {
    const last = seen[seen.length - 1];
    const alike = last && s.surface === 'hex' && last.surface === 'hex' && last.radius === s.radius;
    if (alike) seen[seen.length - 1] = { ...last, to: s.to };
    else seen.push(s);
  }
  return seen;
}
