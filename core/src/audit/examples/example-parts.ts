import { parseConnector } from '../../connectors/index.js';
import type { Fitting } from '../../fittings/index.js';
import type { Catalogue } from '../../job/index.js';
import { parts, type Change } from './change.js';

export const AN4_TEE = 'an4m+an4m+an4fswivel';
export const sensor = (notation: string, movedTo: { readonly portId: string; readonly fittings: [] } | null = null) => ({
  name: 'pressure sender',
  connector: parseConnector(notation),
  movedTo,
});
export const withFitting = (fitting: Fitting): Change => parts((c) => ({ ...c, fittings: [...c.fittings, fitting] }));
export const everyPart = (change: (part: { readonly id: string }) => object): Change =>
  parts((c): Catalogue => ({
    ...c,
    fittings: c.fittings.map((f) => ({ ...f, ...change(f) })),
    hoses: c.hoses.map((h) => ({ ...h, ...change(h) })),
  }));
/** The first part of a catalogue that will do for an example. */
export const partWhere =
  (is: (fitting: Fitting) => boolean, use: (fitting: Fitting) => Change): Change =>
  (shown) =>
    use(shown.catalogue.fittings.find(is)!)(shown);

/** A plate with one way through it, as an end of the line. */
export const plate: Fitting = {
  id: 'one-way-plate',
  name: 'Thermostat plate',
  ends: [parseConnector('an4 m'), parseConnector('an4 m')],
  body: {
    shape: 'round',
    acrossMm: 90,
    heightMm: 30,
    places: [
      { faces: 'out', clockDeg: 0, heightMm: 15 },
      { faces: 'out', clockDeg: 90, heightMm: 15 },
    ],
    passages: [{ from: 0, to: 1, oneWay: true }],
  },
};
export const twoCircuits: Fitting = {
  id: 'two-circuits',
  name: 'Oil-to-water cooler',
  ends: ['an4 m', 'an4 f swivel'].map(parseConnector),
  body: { shape: 'square', acrossMm: 90, heightMm: 60, places: [{ faces: 'down' }, { faces: 'up' }], passages: [] },
};
export const toLine = (end: number) => ({ at: 0, end, to: 'line' as const, portId: 'spare' });
