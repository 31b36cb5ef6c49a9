import { endForm, type Connector } from '../connectors/index.js';
import { dashToFraction, dashToMm, formatDash } from '../units/index.js';
import { constructionById, type HoseEnd } from './hose.js';
import { standardHoses } from './standard-hoses.js';

/** Angles hose ends are made in, degrees. */
export const hoseEndAngles = [0, 30, 45, 60, 90, 120, 150, 180] as const;

/** Radius of a bent tube end over its tube diameter. Common practice. */
const BEND_RATIO = 1.75;
const SOURCE = 'common proportions; measure the ends in hand';

/**
 * Hose ends for every standard hose: straight and bent 37° swivels, and for clamped hose the cut end itself.
 * A bent end's A and B follow from its own shape: straight s, bend of radius r through θ, tail t to the seat:
 * A = s + r·sin θ + t·cos θ, B = r·(1 − cos θ) + t·sin θ.
 */
export function standardHoseEnds(): HoseEnd[] {
  return standardHoses().flatMap((hose) => {
    const style = constructionById(hose.construction).endStyle;
    if (style === 'clamp') return [cutEnd(hose.construction, hose.dash, hose.outsideMm)];
    const angles = style === 'push-on' ? hoseEndAngles.filter((a) => [0, 45, 90].includes(a)) : hoseEndAngles;
    return angles.map((angle) => swivelEnd(hose.construction, hose.dash, hose.outsideMm, angle));
  });
}

function swivelEnd(construction: string, dash: number, outsideMm: number, angleDeg: number): HoseEnd {
  const connector: Connector = { family: 'flare37', size: String(dash), gender: 'female', swivel: true };
  const nut = endForm(connector);
  const style = constructionById(construction).endStyle;
  const shank = 5 + 0.3 * nut.hexMm;
  const tail = nut.reachMm + 4;
  const radius = angleDeg === 0 ? 0 : BEND_RATIO * dashToMm(dash);
  const angle = (angleDeg * Math.PI) / 180;
  // a straight nipple has its hex and the length to hold it by; a bent tube begins nearer the socket
  const aMm = angleDeg === 0 ? 7 + 0.5 * nut.hexMm + nut.reachMm : shank + radius * Math.sin(angle) + tail * Math.cos(angle);
  const bMm = angleDeg === 0 ? 0 : radius * (1 - Math.cos(angle)) + tail * Math.sin(angle);
  return {
    id: `end-${construction}-${dash}-${angleDeg}`,
    name: `${capital(style)} end ${formatDash(dash)}, ${angleDeg === 0 ? 'straight' : `${angleDeg}°`}, 37° swivel`,
    construction,
    dash,
    angleDeg,
    connector,
    aMm: tenth(aMm),
    bMm: tenth(bMm),
    hexMm: Math.round(nut.hexMm * 1000) / 1000,
    boreMm: tenth(nut.boreMm * (style === 'push-on' ? 0.95 : 0.9)),
    socketMm: tenth(style === 'push-on' ? outsideMm * 0.98 : outsideMm * 1.28 + 2),
    socketLengthMm: tenth(style === 'push-on' ? 4 : 12 + 1.6 * dash),
    bendRadiusMm: tenth(radius),
    source: SOURCE,
  };
}

/** The cut hose itself, pushed over a barb to its shoulder: it takes nothing off the length. */
function cutEnd(construction: string, dash: number, outsideMm: number): HoseEnd {
  const connector: Connector = { family: 'barb', size: dashToFraction(dash), gender: 'female' };
  return {
    id: `end-${construction}-${dash}-0`,
    name: `Cut end ${dashToFraction(dash)} in, clamped over a barb`,
    construction,
    dash,
    angleDeg: 0,
    connector,
    aMm: 0,
    bMm: 0,
    hexMm: 0,
    boreMm: tenth(dashToMm(dash)),
    socketMm: outsideMm,
    socketLengthMm: 0,
    bendRadiusMm: 0,
    source: 'common practice',
  };
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function tenth(mm: number): number {
  return Math.round(mm * 10) / 10;
}
