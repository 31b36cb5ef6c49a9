import type { Body } from '../body-schema.js';
import { readBody, readPassages, readPlaces } from '../part-list/body-notation.js';
import type { Fitting } from '../fitting.js';
import type { FittingKindId } from '../fitting-kinds.js';
import { adapter, bodied, single } from './adapter.js';
import { commonBody } from './common-body.js';
import { series } from './series.js';
import { readEnd } from './read-end.js';

/** Air coolers by width and height of the core with its tanks, mm. Common practice. */
const AIR_COOLERS = [235, 330].flatMap((wide) => [75, 100, 125, 150, 200, 260].map((high) => `square ${wide} x ${high}`));
const COOLER_PORTS = ['orb8 f', 'orb10 f', 'orb12 f', 'an8 m', 'an10 m', 'an12 m', 'm22x1.5 f washer', 'npt 1/2 f', 'g 1/2 f'];
const WATER_COOLERS = ['round 90 x 150', 'round 90 x 210', 'round 110 x 280'];
const WATER = ['barb 5/8', 'barb 3/4', 'barb 1', 'an12 m'];
const CANISTERS = ['round 90 x 160', 'round 110 x 190', 'round 130 x 240'];
const CANISTER_PORTS = ['npt 1/4 f', 'npt 3/8 f', 'an4 m', 'an6 m', 'orb6 f', 'orb8 f', 'orb10 f', 'orb12 f'];
const CATCH_TANKS = ['round 90 x 200', 'round 115 x 230', 'square 100 x 200'];
/** Where the ring of a filler cap lies, mm. Common practice: measure the neck. */
const NECKS = ['30x38', '36x44', '42x50', '48x57'];
const CAP_PORTS = ['an6 m', 'an8 m', 'an10 m', 'an12 m', 'orb10 f', 'npt 1/2 f', 'barb 1/2', 'barb 5/8', 'barb 3/4'];
/** Covers of drains on pans and blocks: land and bolts, mm. Common practice: measure the one in hand. */
const COVERS = ['24x44 bolts2x58', '30x50 bolts2x64', '40x60 bolts4x74', '50x72 bolts4x88'];
const COVER_PORTS = ['an8 m', 'an10 m', 'an12 m', 'orb8 f', 'orb10 f', 'orb12 f', 'npt 1/2 f', 'npt 3/4 f', 'barb 5/8', 'barb 3/4'];

const REGULATED = [
  ...['an6 m', 'an8 m', 'an10 m', 'orb6 f', 'orb8 f', 'orb10 f'],
  ...['npt 1/4 f', 'npt 3/8 f', 'npt 1/2 f', 'm14x1.5 f washer', 'm18x1.5 f washer'],
];

/** Coolers, canisters, tanks, drain covers, filler caps, drain plugs and regulating valves. */
export function vesselFittings(): Fitting[] {
  return [...coolers(), ...canistersAndTanks(), ...covers(), ...drainPlugs(), ...regulators()];
}

function coolers(): Fitting[] {
  const air = AIR_COOLERS.flatMap((body) =>
    COOLER_PORTS.flatMap((port) => {
      const tall = Number(body.split(' x ')[1]);
      const high = Math.round(tall * 0.8);
      // stacked plates have both ports on one side; tube and fin at either end
      return [
        make(
          [port, port],
          'cooler',
          body,
          `in: out 0° h${Math.round(tall * 0.2)}; out: out 0° h${high}`,
          '1 - 2',
          `Stacked oil cooler, two ${port} on one side`,
        ),
        make([port, port], 'cooler', body, `in: out 0° h${high}; out: out 180° h${high}`, '1 - 2', `Oil cooler, two ${port}`),
      ];
    }),
  );
  const water = WATER_COOLERS.flatMap((body) =>
    ['orb8 f', 'orb10 f', 'an10 m', 'npt 1/2 f'].flatMap((oil) =>
      WATER.map((wet) => {
        const high = Math.round(Number(body.split(' x ')[1]) * 0.82);
        const places = `oil in: out 0° h35; oil out: out 0° h${high}; water in: down; water out: up`;
        const called = `Oil-to-water cooler, oil ${oil}, water ${wet}`;
        return make([oil, oil, wet, wet], 'heat exchanger', body, places, '1 - 2; 3 - 4', called);
      }),
    ),
  );
  return [...air, ...water];
}

function canistersAndTanks(): Fitting[] {
  const canisters = CANISTERS.flatMap((body) =>
    CANISTER_PORTS.map((port) =>
      make(
        [port, port, 'npt 1/8 f'],
        'canister',
        body,
        'in: out 0° h30; out: out 180° h30; drain: down',
        '1 > 2; 1 - 3',
        `Filter canister, two ${port}, drain npt 1/8 f`,
      ),
    ),
  );
  const tanks = CATCH_TANKS.flatMap((body) =>
    ['an8 m', 'an10 m', 'an12 m', 'orb10 f', 'barb 3/4'].map((port) =>
      make(
        [port, port, 'npt 1/4 f'],
        'tank',
        body,
        'in: out 0° h150; out: out 180° h150; drain: down',
        '1 - 2; 1 - 3',
        `Catch tank, two ${port}, drain npt 1/4 f`,
      ),
    ),
  );
  return [...canisters, ...tanks];
}

/** Covers with a port in place of a drain's or filler's own. */
function covers(): Fitting[] {
  const drains = COVERS.flatMap((land) =>
    COVER_PORTS.map((port) => {
      const ends = [`land ${land}`, port];
      const { acrossMm } = commonBody(ends.map(readEnd), 'plate');
      return make(ends, 'plate', `round ${acrossMm} x 10`, 'pan face: down; drain: up', '1 - 2', `Drain cover, ${ends.join(', ')}`);
    }),
  );
  const caps = NECKS.flatMap((neck) =>
    CAP_PORTS.map((port) =>
      adapter(readEnd(`land ${neck}`), readEnd(port), 0, { kind: 'filler cap', called: `Filler cap, neck ${neck}, ${port}` }),
    ),
  );
  return [...drains, ...caps];
}

function drainPlugs(): Fitting[] {
  return [...series['metric m'], ...series['npt m'], ...series['g m'], ...series['metric ring m']]
    .filter(({ dash }) => dash >= 5 && dash <= 14)
    .map(({ notation }) => single(readEnd(notation), { kind: 'drain plug', material: 'steel', apart: 'with magnet' }));
}

/** Held by a spring that is set: in, on, and back to the tank; and those of a bypass, which open at a pressure. */
function regulators(): Fitting[] {
  const valve = (port: string, back: string): Fitting => {
    const ends = [port, back, 'npt 1/8 f'].map(readEnd);
    const body: Body = { ...commonBody(ends, 'valve'), passages: readPassages('1 > 2 when open; 1 - 3') };
    return bodied(ends, 'valve', body, { called: `Regulating valve, ${port} to ${back}, gauge npt 1/8 f` });
  };
  return REGULATED.flatMap((port) => [valve(port, port), ...(port.startsWith('orb') ? [valve(port, 'an6 m')] : [])]);
}

function make(ends: readonly string[], kind: FittingKindId, body: string, places: string, passages: string, called: string): Fitting {
  const figures = { ...readBody(body), places: readPlaces(places), passages: readPassages(passages) };
  // the ends alone do not tell two sizes of one cooler apart
  return bodied(ends.map(readEnd), kind, figures, { called, apart: `${figures.acrossMm} × ${figures.heightMm} mm` });
}
