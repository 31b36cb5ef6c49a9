import { bareConnector, endForm, familyById, landOf, type Connector } from '../../connectors/index.js';
import type { Body, EndPlace, Passage } from '../body-schema.js';
import type { FittingKindId } from '../fitting-kinds.js';

/**
 * The body of a part of which only the ends are known, by common proportions: faces and posts below and above, all other ends round it at
 * equal angles. All ends are joined inside; those of a heat exchanger in pairs.
 */
export function commonBody(ends: readonly Connector[], kind: FittingKindId): Body {
  const forms = ends.map((end) => endForm(bareConnector(end)));
  const flat = ends.map((end) => familyById(end.family).flat === true || familyById(end.family).land !== undefined);
  const inLine = kind === 'valve';
  const onAxis = [...ends.keys()].filter((i) => flat[i] || (inLine && i < 2)).slice(0, 2);
  const around = [...ends.keys()].filter((i) => !onAxis.includes(i));
  const places = ends.map((_, i): EndPlace => {
    if (onAxis.includes(i)) return { faces: onAxis.indexOf(i) === 0 ? 'down' : 'up' };
    return { faces: 'out', clockDeg: Math.round((around.indexOf(i) * 360) / around.length) };
  });
  const widest = Math.max(...ends.map((end, i) => landOf(end)?.outsideMm ?? forms[i]!.outsideMm));
  const deepest = Math.max(0, ...around.map((i) => forms[i]!.lengthMm));
  const acrossMm = Math.ceil(Math.max(widest + 8, around.length > 1 ? 2.6 * deepest : 0));
  const tallest = Math.max(0, ...around.map((i) => forms[i]!.outsideMm));
  // a valve in line is as long as both its ends go in, with its ball between them
  const long = inLine ? forms[0]!.lengthMm + forms[1]!.lengthMm + 0.8 * widest : 0;
  const heightMm = kind === 'spin-on filter' ? Math.ceil(acrossMm * 1.1) : Math.ceil(Math.max(12, tallest * 1.4, long));
  return { shape: flat.some(Boolean) ? 'round' : 'square', acrossMm, heightMm, places, passages: passagesOf(ends.length, kind) };
}

function passagesOf(count: number, kind: FittingKindId): Passage[] {
  if (kind === 'heat exchanger') return Array.from({ length: Math.floor(count / 2) }, (_, i): Passage => ({ from: 2 * i, to: 2 * i + 1 }));
  return Array.from({ length: count - 1 }, (_, i): Passage => ({ from: 0, to: i + 1 }));
}
