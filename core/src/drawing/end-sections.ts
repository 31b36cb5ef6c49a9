import { bareConnector, connectorThread, endForm, familyById, flangeFigures, shapeOf, type Connector } from '../connectors/index.js';
import type { Section } from './section.js';

/**
 * The metal of one connector end as sections along `s`: 0 is the plane where it meets its partner, positive s points at the partner,
 * the body's hex face lies at −reach. Bodies inside one another (a nut over its sleeve) are lists of their own.
 */
export interface EndSections {
  /** What belongs to the part itself, in the order of s. */
  readonly body: readonly Section[];
  /** A nut that turns on the part. */
  readonly nut?: readonly Section[];
}

/** The sections of a connector end that hangs on a part of the given bore (mm, diameter). */
export function endSections(given: Connector, boreMm: number): EndSections {
  const c = bareConnector(given);
  const form = endForm(c);
  const thread = connectorThread(c);
  // what has no thread asks for neither
  const [major, pitch] = thread ? [thread.majorMm / 2, thread.pitchMm] : [NaN, NaN];
  const bore = Math.min(boreMm, form.boreMm) / 2;
  switch (shapeOf(c)) {
    case 'flare': {
      const cone = coneOf(c);
      if (c.gender === 'male') {
        const relief = Math.min(1.2, form.reachMm * 0.1);
        return {
          body: [
            { from: -form.reachMm, to: -form.reachMm + relief, radius: major - 0.7 * pitch, bore },
            { from: -form.reachMm + relief, to: -cone.length, radius: major, bore, surface: 'thread', pitch },
            { from: -cone.length, to: 0, radius: cone.base, radiusTo: cone.nose, bore },
          ],
        };
      }
      const shank = bore + Math.max(0.9, (major - bore) * 0.34);
      const back = form.reachMm;
      const front = form.lengthMm - form.reachMm;
      return {
        body: [
          { from: -back - 1.5, to: 0, radius: shank, bore },
          {
            from: 0,
            to: cone.length * 0.8,
            radius: Math.max(shank, cone.nose) + 0.6,
            radiusTo: major - 0.75 * pitch,
            bore: cone.nose,
            boreTo: cone.base - (cone.base - cone.nose) * 0.2,
          },
        ],
        nut: [
          { from: -back, to: -1, radius: form.hexMm / Math.sqrt(3), bore: shank + 0.2, surface: 'hex' },
          { from: -1, to: front, radius: form.hexMm / Math.sqrt(3), bore: major, surface: 'hex' },
        ],
      };
    }
    case 'taper': {
      if (c.gender === 'male') {
        const inside = form.lengthMm - form.reachMm;
        return {
          body: [
            {
              from: -form.reachMm,
              to: inside,
              radius: major + form.reachMm / 32,
              radiusTo: major - inside / 32,
              bore,
              surface: 'thread',
              pitch,
            },
          ],
        };
      }
      return { body: femaleBody(form.lengthMm, form.hexMm, major, pitch, bore, (thread?.taperPerMm ?? 0) / 2) };
    }
    case 'boss':
    case 'post':
    case 'stud': {
      if (c.gender === 'female') return { body: femaleBody(form.lengthMm, form.hexMm, major, pitch, bore, 0) };
      const neck = shapeOf(c) === 'boss' || c.seat === 'oring' ? 2 : 1;
      return {
        body: [
          // a post stands in its face; a stud has a shoulder that lies on it
          ...(shapeOf(c) === 'post' ? [] : [{ from: -2.2, to: 0, radius: form.outsideMm / 2, bore }]),
          { from: 0, to: neck, radius: major - 0.75 * pitch, bore },
          { from: neck, to: form.lengthMm, radius: major, bore, surface: 'thread', pitch },
        ],
      };
    }
    case 'flange': {
      const apart = flangeFigures(c.size).apartMm;
      return { body: [{ from: -form.lengthMm, to: 0, radius: apart / 2 + 7, bore: form.boreMm / 2 }] };
    }
    case 'coupling':
      return {
        body: [
          { from: -form.reachMm, to: 0, radius: form.outsideMm / 2, bore },
          ...(c.gender === 'male' ? [{ from: 0, to: form.lengthMm - form.reachMm, radius: form.outsideMm * 0.36, bore }] : []),
        ],
      };
    case 'face':
      return { body: [{ from: -form.lengthMm, to: 0, radius: form.outsideMm / 2, bore: form.boreMm / 2 }] };
    case 'spigot':
      return { body: c.gender === 'female' ? [] : spigot(form.lengthMm, form.outsideMm / 2 / 1.12, bore, 0.6) };
    case 'beaded':
      return { body: spigot(form.lengthMm, form.outsideMm / 2 / 1.12, bore, 0.25) };
    case 'ridged': {
      const ridges = 3;
      const step = (form.lengthMm - 2) / ridges;
      const body: Section[] = [{ from: 0, to: 2, radius: form.outsideMm * 0.46, bore }];
      for (let i = 0; i < ridges; i++)
        body.push({ from: 2 + i * step, to: 2 + (i + 1) * step, radius: form.outsideMm / 2, radiusTo: form.outsideMm * 0.44, bore });
      return { body };
    }
    case 'banjo':
    case 'hole':
    case 'inner':
      return { body: [] };
  }
}

/** A smooth tube with one bead, `at` a share of its length from the tip. */
function spigot(length: number, radius: number, bore: number, at: number): Section[] {
  const bead = length * (1 - at);
  return [
    { from: 0, to: bead - 2, radius, bore },
    { from: bead - 2, to: bead, radius, radiusTo: radius * 1.12, bore },
    { from: bead, to: bead + 2, radius: radius * 1.12, radiusTo: radius, bore },
    { from: bead + 2, to: length, radius, bore },
  ];
}

/** The cone a flare or swivel seals on: radius at nose and base, and its length along the axis. */
export function coneOf(given: Connector): { nose: number; base: number; length: number } {
  const c = bareConnector(given);
  const { swivel: _, ...still } = c;
  const form = endForm({ ...still, gender: 'male' });
  const thread = connectorThread(c)!;
  const half = (coneAngle(c) * Math.PI) / 180;
  const base = thread.majorMm / 2 - 0.75 * thread.pitchMm;
  const nose = form.boreMm / 2 + Math.max(0.5, (base - form.boreMm / 2) * 0.25);
  return { nose, base, length: Math.min((base - nose) / Math.tan(half), form.lengthMm * 0.5) };
}

/** @throws {RangeError} for what seals on no cone */
function coneAngle(c: Connector): number {
  const { coneHalfAngleDeg, name } = familyById(c.family);
  if (coneHalfAngleDeg === undefined) throw new RangeError(`${name} has no cone`);
  return coneHalfAngleDeg;
}

function femaleBody(length: number, hexMm: number, major: number, pitch: number, bore: number, taper: number): Section[] {
  return [
    {
      from: -length,
      to: 0,
      radius: hexMm / Math.sqrt(3),
      bore: Math.max(bore, major - length * taper),
      boreTo: major,
      surface: 'hex',
      pitch,
    },
  ];
}
