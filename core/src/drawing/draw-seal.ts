import { bareConnector, connectorThread, endForm, landOf, type Connector, type Land } from '../connectors/index.js';
import { portRing, washerFor, type Mating } from '../seals/index.js';
import { bringsGasket } from './land-marks.js';
import { coneOf } from './end-sections.js';
import { pointAt, type Frame } from './frame.js';
import type { Point, Shape } from './shape.js';

const GASKET_MM = 1;

/** Thickness a seal puts between the two planes of a joint, mm. */
export function sealThickness(mating: Mating, male: Connector): number {
  const thread = connectorThread(male);
  if (mating.kind === 'gasket') return GASKET_MM;
  return (mating.kind === 'washer' || mating.kind === 'two-washers') && thread ? washerFor(thread.majorMm).thicknessMm : 0;
}

/**
 * What seals a joint, where it really sits. The frame lies in the plane of the male part's shoulder or nose; `towards` is +1 if the
 * male points along the frame's heading, −1 if against it.
 */
export function drawSeal(frame: Frame, mating: Mating, given: Connector, towards: 1 | -1, joint: number): Shape[] {
  const male = bareConnector(given);
  const thread = connectorThread(male);
  const at = (u: number, r: number): Point => pointAt(frame, u * towards, r);
  switch (mating.kind) {
    case 'washer':
    case 'two-washers': {
      const w = washerFor(thread!.majorMm);
      return [1, -1].map((sign): Shape => ({
        kind: 'area',
        points: [
          at(0, (sign * w.insideMm) / 2),
          at(0, (sign * w.outsideMm) / 2),
          at(w.thicknessMm, (sign * w.outsideMm) / 2),
          at(w.thicknessMm, (sign * w.insideMm) / 2),
        ],
        fill: 'copper',
        stroke: 'fine',
      }));
    }
    case 'o-ring': {
      const land = landOf(male);
      if (land) return ringInFace(at, land, joint);
      // a stud of which the ring is not known is drawn with one of 2 mm
      const section = portRing(male)?.sectionMm ?? 2;
      // under the shoulder of a stud; round a stub without a thread, in the middle of what goes in
      const { boreMm, lengthMm } = endForm(male);
      const [u, r] = thread ? [section * 0.5, thread.majorMm / 2 + section * 0.2] : [lengthMm * 0.6, boreMm / 2 + section];
      // what goes in hides its ring where it is seen from outside
      return (thread ? [1, -1] : [-1]).map((sign): Shape => ({
        kind: 'dot',
        at: at(u, sign * r),
        radius: section * 0.46,
        fill: 'ring',
        joint,
      }));
    }
    case 'cone': {
      const cone = coneOf(male);
      return [{ kind: 'line', points: [at(0, -cone.nose), at(-cone.length, -cone.base)], stroke: 'seal', joint }];
    }
    case 'taper': {
      const form = endForm(male);
      const inside = form.lengthMm - form.reachMm;
      const r = thread!.majorMm / 2;
      return [1, -1].map((sign): Shape => ({
        kind: 'line',
        points: [at(inside * 0.15, sign * (r - 0.1)), at(inside * 0.85, sign * (r - inside / 38))],
        stroke: 'seal',
        joint,
      }));
    }
    case 'gasket': {
      const form = endForm(male);
      const land = landOf(male);
      if (land) return flatRing(at, land);
      const inner = Math.max(form.boreMm, thread?.majorMm ?? 0) / 2 + 1;
      return [1, -1].map((sign): Shape => ({
        kind: 'area',
        points: [
          at(0, sign * inner),
          at(0, (sign * form.outsideMm) / 2),
          at(GASKET_MM, (sign * form.outsideMm) / 2),
          at(GASKET_MM, sign * inner),
        ],
        fill: 'ring',
        stroke: 'fine',
      }));
    }
    // what holds these is drawn with the hose end, sits out of sight, or there is nothing
    case 'push':
    case 'clamp':
    case 'olive':
    case 'socket':
    case 'none':
      return [];
  }
}

/** Of two faces, the one that says where the gasket or ring lies: a groove, or what is screwed on a post. */
export function gasketOn(a: Connector, b: Connector): Connector | undefined {
  return [a, b].find(bringsGasket) ?? [a, b].find((c) => landOf(c) !== undefined);
}

type At = (u: number, r: number) => Point;

/** A ring in the groove of a face, on both sides of the axis. */
function ringInFace(at: At, { insideMm, outsideMm, depthMm = Infinity }: Land, joint: number): Shape[] {
  const radius = Math.min((outsideMm - insideMm) / 4.6, depthMm * 0.65);
  return [1, -1].map((sign): Shape => ({ kind: 'dot', at: at(0, (sign * (insideMm + outsideMm)) / 4), radius, fill: 'ring', joint }));
}

/** A flat gasket on its land. */
function flatRing(at: At, { insideMm, outsideMm }: Land): Shape[] {
  return [1, -1].map((sign): Shape => ({
    kind: 'area',
    points: [
      at(0, (sign * insideMm) / 2),
      at(0, (sign * outsideMm) / 2),
      at(GASKET_MM, (sign * outsideMm) / 2),
      at(GASKET_MM, (sign * insideMm) / 2),
    ],
    fill: 'ring',
    stroke: 'fine',
  }));
}
