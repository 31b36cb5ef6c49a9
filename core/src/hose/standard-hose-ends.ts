import { endForm, familyById, formatConnector, parseConnector, shapeOf, type Connector } from '../connectors/index.js';
import { series, spannerFor, type Series } from '../fittings/index.js';
import { dashToFraction, dashToMm, formatDash } from '../units/index.js';
import { formedEnds } from './formed-ends.js';
import { constructionById, sameSize, type Hose, type HoseEnd } from './hose.js';
import { standardHoses } from './standard-hoses.js';

/** Angles hose ends are made in, degrees. */
export const hoseEndAngles = [0, 30, 45, 60, 90, 120, 150, 180] as const;

/** Radius of a bent tube end over its tube diameter. Common practice. */
const BEND_RATIO = 1.75;
const SOURCE = 'common proportions; measure the ends in hand';
const STYLE_NAMES = { olive: 'Olive', cutter: 'Cutter', 'push-on': 'Push-on', crimp: 'Crimped', clamp: 'Cut', formed: 'Formed' } as const;

/**
 * Hose ends for every standard hose: straight and bent 37° swivels, ends that go straight on a port, and for clamped hose the cut end itself.
 * A bent end's A and B follow from its own shape: straight s, bend of radius r through θ, tail t to the seat:
 * A = s + r·sin θ + t·cos θ, B = r·(1 − cos θ) + t·sin θ.
 */
export function standardHoseEnds(): HoseEnd[] {
  // one row of ends a construction and size, however many hoses of it there are
  const hoses = standardHoses().filter(
    (hose, i, all) => all.findIndex((h) => h.construction === hose.construction && sameSize(h, hose)) === i,
  );
  const plain = hoses.flatMap((hose) => {
    const style = constructionById(hose.construction).endStyle;
    if (style === 'clamp') return [cutEnd(hose)];
    if (style === 'formed') return formedEnds(hose);
    const angles = style === 'push-on' || hose.construction === 'truck' ? FEWER_ANGLES : hoseEndAngles;
    const swivels = angles.map((angle) => swivelEnd(hose.construction, hose.dash, hose.outsideMm, angle));
    // a school clamps it over a barb as any other rubber hose
    return style === 'push-on' ? [...swivels, cutEnd(hose)] : swivels;
  });
  return [...plain, ...hoses.flatMap(furtherEnds)];
}

/**
 * Ends that go straight on a port, by the kind of connector and the angles they are made at: what has a nut that turns at all of them, what is
 * screwed in rigid straight, or bent where it can be aimed. Common practice.
 */
const FURTHER: readonly (readonly [ends: Series, angles: readonly number[]])[] = [
  ['orb m', [0]],
  ['orb adjustable', [45, 90]],
  ['orb swivel', [0, 45, 90]],
  ['npt m', [0]],
  ['npsm swivel', [0, 45, 90]],
  ['r m', [0]],
  ['metric m', [0]],
  ['metric ring m', [0]],
  ['g swivel', hoseEndAngles],
  ['cone24 light swivel', [0, 45, 90]],
  ['cone24 heavy swivel', [0, 45, 90]],
  ['banjo', [90]],
  ['qc f', [0, 45, 90]],
];
/** Push-on hose is made up with fewer; those of crimped hose that go straight on a port are fewer too. */
const FEWER_ANGLES: readonly number[] = [0, 45, 90];

/** Whose few ends have AN nuts alone. Common practice. */
const OWN_ENDS_ONLY: readonly string[] = ['truck', 'convoluted-ptfe'];

/** The same hose with an end that needs no adapter, and with a nut one size smaller or larger. */
function furtherEnds({ construction, dash, outsideMm }: Hose): HoseEnd[] {
  const { endStyle } = constructionById(construction);
  if (endStyle === 'clamp' || endStyle === 'formed' || OWN_ENDS_ONLY.includes(construction)) return [];
  const row = series['an swivel'];
  const at = row.findIndex((end) => end.dash === dash);
  const stepped = [row[at - 1], row[at + 1]].flatMap((end) => (end && at >= 0 ? [{ end, angles: hoseEndAngles }] : []));
  // metric cones are pressed on: no reusable end is made with them
  const others = FURTHER.filter(([name]) => endStyle === 'crimp' || !name.startsWith('cone24')).flatMap(([name, angles]) =>
    series[name].filter((end) => end.dash === dash).map((end) => ({ end, angles })),
  );
  const made = endStyle === 'push-on' || endStyle === 'crimp' ? FEWER_ANGLES : hoseEndAngles;
  return [...stepped, ...others].flatMap(({ end: { notation }, angles }) =>
    angles.filter((a) => made.includes(a)).map((angle) => swivelEnd(construction, dash, outsideMm, angle, parseConnector(notation))),
  );
}

/** Spanner of nuts that a standard prints: 24° cones by thread (ISO 8434-1), 60° cones by pipe size (ISO 8434-6); mm, from memory. */
const NUTS: Readonly<Record<string, number>> = {
  'cone24 M12x1.5': 14,
  'cone24 M14x1.5': 17,
  'cone24 M16x1.5': 19,
  'cone24 M18x1.5': 22,
  'cone24 M20x1.5': 24,
  'cone24 M22x1.5': 27,
  'cone24 M24x1.5': 30,
  'cone24 M26x1.5': 32,
  'cone24 M30x2': 36,
  'cone24 M36x2': 41,
  'cone24 M42x2': 50,
  'cone24 M45x2': 50,
  'cone24 M52x2': 60,
  'g 1/8': 14,
  'g 1/4': 19,
  'g 3/8': 22,
  'g 1/2': 27,
  'g 5/8': 30,
  'g 3/4': 32,
  'g 1': 41,
  'g 1 1/4': 50,
  'g 1 1/2': 55,
};

/** Across the flats of an end: what its standard prints, else the spanner next to its proportion. */
function flatsOf({ family, size }: Connector, acrossMm: number): number {
  const { sizeKind, americanEnds } = familyById(family);
  if (acrossMm === 0) return 0;
  if (sizeKind === 'dash') return Math.round(acrossMm * 1000) / 1000;
  return NUTS[`${family} ${size}`] ?? spannerFor(acrossMm, sizeKind === 'inch' || americanEnds ? 'inch' : 'metric');
}

function swivelEnd(construction: string, dash: number, outsideMm: number, angleDeg: number, other?: Connector): HoseEnd {
  const connector: Connector = other ?? { family: 'flare37', size: String(dash), gender: 'female', swivel: true };
  const nut = endForm(connector);
  const style = constructionById(construction).endStyle;
  const shank = 5 + 0.3 * nut.hexMm;
  const tail = nut.reachMm + 4;
  // the eye of a banjo stands across the hose, without a bend
  const eye = shapeOf(connector) === 'banjo';
  const radius = angleDeg === 0 || eye ? 0 : BEND_RATIO * dashToMm(dash);
  const angle = (angleDeg * Math.PI) / 180;
  // a straight nipple has its hex and the length to hold it by; a bent tube begins nearer the socket
  const aMm = eye
    ? shank + nut.outsideMm / 2
    : angleDeg === 0
      ? 7 + 0.5 * nut.hexMm + nut.reachMm
      : shank + radius * Math.sin(angle) + tail * Math.cos(angle);
  const bMm = eye ? nut.reachMm : angleDeg === 0 ? 0 : radius * (1 - Math.cos(angle)) + tail * Math.sin(angle);
  return {
    id: `end-${construction}-${dash}-${angleDeg}${other ? `-${formatConnector(other).replace(/\s+/g, '')}` : ''}`,
    name: `${STYLE_NAMES[style]} end ${formatDash(dash)}, ${angleDeg === 0 ? 'straight' : `${angleDeg}°`}, ${other ? formatConnector(other) : '37° swivel'}`,
    construction,
    dash,
    angleDeg,
    connector,
    aMm: tenth(aMm),
    bMm: tenth(bMm),
    hexMm: flatsOf(connector, nut.hexMm),
    boreMm: tenth(Math.min(nut.boreMm, dashToMm(dash)) * (style === 'push-on' ? 0.95 : 0.9)),
    socketMm: tenth(style === 'push-on' ? outsideMm * 0.98 : outsideMm * 1.28 + 2),
    socketLengthMm: tenth(style === 'push-on' ? 4 : 12 + 1.6 * dash),
    bendRadiusMm: tenth(radius),
    ...(style === 'crimp' ? { material: 'steel' } : {}),
    source: SOURCE,
  };
}

/** The cut hose itself, pushed over a barb to its shoulder: it takes nothing off the length. */
function cutEnd({ construction, dash, metricMm, outsideMm }: Hose): HoseEnd {
  const size = metricMm === undefined ? dashToFraction(dash) : `${metricMm}mm`;
  const bore = metricMm === undefined ? `${size} in` : `${metricMm} mm`;
  return {
    id: `end-${construction}-${metricMm === undefined ? dash : size}-0${constructionById(construction).endStyle === 'clamp' ? '' : '-cut'}`,
    name: `Cut end ${bore}, clamped over a barb`,
    construction,
    dash,
    ...(metricMm === undefined ? {} : { metricMm }),
    angleDeg: 0,
    connector: { family: 'barb', size, gender: 'female' },
    aMm: 0,
    bMm: 0,
    hexMm: 0,
    boreMm: metricMm ?? tenth(dashToMm(dash)),
    socketMm: outsideMm,
    socketLengthMm: 0,
    bendRadiusMm: 0,
    source: 'common practice',
  };
}

function tenth(mm: number): number {
  return Math.round(mm * 10) / 10;
}
