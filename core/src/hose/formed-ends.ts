import { boreSizeMm, endForm, familyById, parseConnector, type Connector } from '../connectors/index.js';
import { series, type Series } from '../fittings/index.js';
import { dashToMm, formatDash } from '../units/index.js';
import type { Hose, HoseEnd } from './hose.js';

/** How the end of a tube is formed, and by how much the tube runs on beyond its seat for it, mm. Common practice. */
const FORMED: readonly {
  readonly ends: Series;
  readonly name: string;
  readonly id: string;
  readonly takesMm: number;
  readonly most: number;
}[] = [
  { ends: 'an swivel', name: '37° flare with sleeve and nut', id: '', takesMm: 1, most: 16 },
  { ends: 'sae45 swivel', name: '45° flare with nut', id: 'sae45', takesMm: 1, most: 12 },
  { ends: 'inverted m', name: 'inverted flare with nut', id: 'inverted', takesMm: 3, most: 8 },
];
const SOURCE = 'common practice: make up a trial piece first';

/** The ends of a tube: flares with their nuts, a bead for a hose over it, or plain for an olive. What the flare takes is added to the cut. */
export function formedEnds({ construction, dash, boreMm, outsideMm }: Hose): HoseEnd[] {
  const base = {
    construction,
    dash,
    angleDeg: 0,
    bMm: 0,
    bendRadiusMm: 0,
    material: construction === 'aluminium-tube' ? 'aluminium' : 'steel',
    source: SOURCE,
  };
  // aluminium is flared once, to 37°: folded over or steeper it cracks
  const made = construction === 'aluminium-tube' ? FORMED.slice(0, 1) : FORMED;
  const flares = made.flatMap(({ ends, name, id, takesMm, most }) =>
    series[ends]
      .filter((end) => end.dash === dash && dash <= most)
      .map(({ notation }): HoseEnd => {
        const connector = parseConnector(notation);
        return {
          ...base,
          id: `end-${construction}-${dash}-0${id ? `-${id}` : ''}`,
          name: `Tube end ${formatDash(dash)}, ${name}`,
          connector,
          boreMm: through(connector, boreMm),
          aMm: -takesMm,
          hexMm: Math.round(endForm(connector).hexMm * 1000) / 1000,
          socketMm: tenth(outsideMm * 1.4),
          socketLengthMm: tenth(10 + 1.6 * dash),
        };
      }),
  );
  const beads = series.bead
    .filter((end) => end.dash === dash)
    .map(({ notation }): HoseEnd => {
      const connector = parseConnector(notation);
      return {
        ...base,
        id: `end-${construction}-${dash}-0-bead`,
        name: `Tube end ${formatDash(dash)}, beaded for a hose`,
        connector,
        boreMm: through(connector, boreMm),
        // the seat is where the cut hose comes to lie; the tube runs on into it
        aMm: -tenth(endForm(connector).lengthMm),
        hexMm: 0,
        socketMm: tenth(outsideMm * 1.1),
        socketLengthMm: 10,
      };
    });
  // soft aluminium collapses under an olive
  const olived =
    construction === 'aluminium-tube' ? [] : familyById('compression').sizes.filter((size) => boreSizeMm(size) === dashToMm(dash));
  const plain = olived.map((size): HoseEnd => {
    const connector = parseConnector(`compression ${size} m`);
    return {
      ...base,
      id: `end-${construction}-${dash}-0-plain`,
      name: `Tube end ${formatDash(dash)}, plain for an olive`,
      connector,
      boreMm: through(connector, boreMm),
      // pushed on to the stop in the body
      aMm: -tenth(4 + 0.5 * outsideMm),
      hexMm: 0,
      socketMm: outsideMm,
      socketLengthMm: 0,
    };
  });
  return [...flares, ...beads, ...plain];
}

/** What a tube passes in an end of its own. */
function through(connector: Connector, boreMm: number): number {
  return Math.min(boreMm, Math.floor(endForm(connector).boreMm * 10) / 10);
}

function tenth(mm: number): number {
  return Math.round(mm * 10) / 10;
}
