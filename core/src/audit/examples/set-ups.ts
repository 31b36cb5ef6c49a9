import { ordinary, type SetUp, type SetUpLine } from './set-up.js';

const feed: SetUpLine = {
  service: 'turbo-feed',
  from: 'block an4 m',
  to: 'turbo an4 m',
  hose: 'ptfe-4',
  mm: 800,
  flow: { bearing: 'journal' },
};
const drain: SetUpLine = {
  service: 'turbo-drain',
  from: 'turbo an10 m',
  to: 'pan an10 m',
  hose: 'ptfe-10',
  mm: 320,
  angles: [0, 45],
  flow: { fallMm: 200 },
};
const there: SetUpLine = {
  service: 'cooler',
  from: 'block an10 m',
  to: 'cooler an10 m',
  hose: 'ptfe-10',
  mm: 500,
  angles: [90, 90],
  flow: { flowLpm: 30 },
};
const back: SetUpLine = { ...there, service: 'cooler-back', from: 'cooler an10 m', to: 'block an10 m' };
const alone = (...lines: SetUpLine[]): SetUp => ({
  name: '',
  why: '',
  lines,
  running: { ...ordinary, sumpL: 5, canL: 5, airC: 30, boostBar: 1 },
});

/** Jobs that are sound: what the examples of the rules begin with, and what nothing may be said against. */
export const soundSetUps = {
  feed: alone(feed),
  taper: alone({ ...feed, from: 'block npt 1/4 f' }),
  british: alone({ ...feed, from: 'block rc 1/4 f' }),
  parallel: alone({ ...feed, from: 'block g 1/4 f washer' }),
  keg: alone({ ...feed, from: 'block m10x1 f' }),
  boss: alone({ ...feed, from: 'block orb6 f', to: 'turbo an6 m', hose: 'ptfe-6' }),
  drain: alone(feed, drain),
  cooler: { ...alone(back, there), beside: { thermostat: 'inline-thermostat-four-orb10-f-opens-80-to-92-c' } },
  heater: alone({ service: 'heater', from: 'engine bead 5/8', to: 'other bead 5/8', hose: 'coolant-10', mm: 1200, flow: { flowLpm: 10 } }),
  fuel: alone({ service: 'fuel', from: 'tank an6 m', to: 'rail an6 m', hose: 'ptfe-fuel-6', mm: 3000 }),
  booster: {
    ...alone({ service: 'brake-booster', from: 'booster barb 3/8', to: 'valve barb 3/8', hose: 'booster-6', mm: 900 }),
    kinds: { valve: 'valve' as const },
  },
  boost: alone({ service: 'charge-air', from: 'turbo bead 2 1/2', to: 'other bead 2 1/2', hose: 'charge-40', mm: 200 }),
  bridge: {
    ...alone(
      { ...there, to: 'near an10 m' },
      { ...there, service: 'cooler-back', from: 'near an10 m', to: 'pan an10 m' },
      { ...there, service: 'cooler-back', from: 'far an10 m', to: 'pan an10 m' },
      { ...there, service: 'cooler-back', from: 'near an10 m', to: 'far an10 m' },
    ),
    kinds: { near: 'filter head' as const, far: 'filter head' as const },
  },
  bypassFeed: alone({ service: 'bypass-feed', from: 'block an4 m', to: 'filter an4 m', hose: 'ptfe-4', mm: 1200 }),
  bypass: {
    ...alone(
      { service: 'bypass-feed', from: 'block an4 m', to: 'filter an4 m', hose: 'ptfe-4', mm: 1200 },
      { service: 'bypass-return', from: 'filter an6 m', to: 'pan an6 m', hose: 'ptfe-6', mm: 800, flow: { fallMm: 200 } },
    ),
  },
  bought: alone({ service: 'pressure', from: 'block an10 m', to: 'filter an10 m', hose: 'ptfe-10', mm: 800, flow: { flowLpm: 30 } }),
} as const satisfies Readonly<Record<string, SetUp>>;
export type SoundName = keyof typeof soundSetUps;
