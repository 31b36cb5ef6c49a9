import type { Running } from '../job/index.js';
import { quantity, roundedUp } from '../units/index.js';
import type { LineDuty } from './duty.js';
import { FAR_BEYOND, type Held } from './held.js';
import { doesNotPump } from './pumpable.js';
import type { RunOutcome } from './run-path.js';
import type { ServiceFigures } from './service-figures.js';
import type { SizeRun } from './size-line.js';
import { fuelBoilsUnderBar } from './vapour.js';

/** What a line on the oil pump may take of the pressure in the gallery, warm, before the bearings miss it. Common practice. */
const CAN_SPARE = 0.4;
/** A relief valve opens about so far above what the gauge shows warm. Common practice. */
const RELIEF = 1.5;
/** In the gallery at most revs where nobody says it, bar. Common practice. */
const USUAL_FULL_BAR = 4;

/** A line through which a pump pushes: what it takes, and how fast it runs. */
export function heldByPump(run: SizeRun, { figures }: LineDuty, { fullBar }: Running): Held[] {
  return run.outcomes.flatMap((o): Held[] => {
    const cold = o.state.id === 'cold';
    const maxBar = cold ? figures.maxColdBar : figures.maxLossBar;
    const fast = o.loss.fastestMs;
    // beyond the rule of thumb it is amber; red is what the pump cannot give, or what is far beyond it
    const mostBar = maxBar === undefined ? Infinity : mostLossBar(figures, maxBar, cold, fullBar);
    return [
      ...(maxBar === undefined
        ? []
        : [
            {
              left: 1 - o.loss.lossBar / maxBar,
              ...(o.loss.lossBar > maxBar && o.loss.lossBar <= mostBar ? { soft: true as const } : {}),
              row: `loss ${o.state.id}` as const,
              short: cold ? 'thick when cold' : 'takes too much',
              words: `${o.state.name} it takes ${quantity(o.loss.lossBar.toFixed(o.loss.lossBar < 10 ? 2 : 0), 'bar')}; ${quantity(maxBar, 'bar')} are usual at most${o.loss.lossBar > mostBar ? `, and ${quantity(mostBar.toFixed(1), 'bar')} are more than can be spared` : ''}`,
            },
          ]),
      ...(figures.maxMs === undefined || cold
        ? []
        : [
            {
              left: 1 - o.hoseMs / figures.maxMs,
              ...(o.hoseMs > figures.maxMs && o.hoseMs <= FAR_BEYOND.speed * figures.maxMs ? { soft: true as const } : {}),
              row: `speed ${o.state.id}` as const,
              short: 'too fast',
              words: `${quantity(o.hoseMs.toFixed(1), 'm/s')} in the hose; ${quantity(figures.maxMs, 'm/s')} are usual at most`,
            },
            ...(o.hoseMs <= figures.maxMs && fast > FAR_BEYOND.fitting * figures.maxMs
              ? [
                  {
                    left: -1,
                    soft: true as const,
                    row: 'narrowest' as const,
                    short: 'narrow fittings',
                    words: `${quantity(fast.toFixed(1), 'm/s')} in its narrowest, ${narrowest(o)}`,
                  },
                ]
              : []),
          ]),
    ];
  });
}

/** From where on a loss is more than can be spared: of a line on the oil pump by the pressure there is, of others by the rule of thumb. */
function mostLossBar({ flowFrom }: ServiceFigures, maxBar: number, cold: boolean, fullBar = USUAL_FULL_BAR): number {
  if (flowFrom !== 'oil pump') return maxBar * FAR_BEYOND.loss;
  // cold, the relief valve holds what is held, and what takes all of it lets nothing through; warm, the bearings come first
  return Math.max(maxBar, cold ? fullBar * RELIEF : fullBar * CAN_SPARE);
}

/** What a fuel pump must have over the pressure at which its fuel boils, bar, before it is sure of it. Common practice: a metre and more of fuel. */
const OVER_BOILING = 0.1;

/** A line from which a pump sucks: what is left of the air's pressure, and how fast it runs. */
export function heldBySuction(run: SizeRun, duty: LineDuty): Held[] {
  const { figures, oil } = duty;
  const [minWarm, minCold] = figures.minAbsBar ?? [0.8, 0.6];
  const stiff = oil && duty.coldestC !== undefined ? doesNotPump(oil, duty.coldestC) : undefined;
  return [
    ...(stiff ? [{ left: -1, short: 'does not pump', words: stiff }] : []),
    ...run.outcomes.flatMap((o): Held[] => {
      const boils = fuelBoilsUnderBar(duty.fluid, o.state.tempC);
      const least = o.state.id === 'cold' ? minCold : minWarm;
      const fast = figures.maxMs === undefined || o.state.id === 'cold' ? 0 : 1 - o.hoseMs / figures.maxMs;
      return [
        boils !== undefined
          ? heldByVapour(o, boils)
          : {
              left: (o.absBar! - least) / least,
              row: `abs ${o.state.id}` as const,
              short: o.state.id === 'cold' ? 'too little when cold' : 'starves the pump',
              words: `${o.state.name} ${quantity(o.absBar!.toFixed(2), 'bar')} absolute at the pump; ${roundedUp(least, 'bar')} are the least`,
            },
        ...(fast < 0
          ? [
              {
                left: fast,
                soft: true as const,
                row: `speed ${o.state.id}` as const,
                short: 'fast for suction',
                words: `${quantity(o.hoseMs.toFixed(1), 'm/s')}; under ${quantity(figures.maxMs!, 'm/s')} is usual`,
              },
            ]
          : []),
      ];
    }),
  ];
}

/** Fuel that is sucked boils, and a pump full of vapour gives none. */
function heldByVapour(o: RunOutcome, boils: number): Held {
  const { name, tempC, id } = o.state;
  const over = o.absBar! - boils;
  return {
    left: (over - OVER_BOILING) / (boils + OVER_BOILING),
    ...(over >= 0 && over < OVER_BOILING ? { soft: true as const } : {}),
    row: `abs ${id}` as const,
    short: over < 0 ? 'boils before the pump' : 'near boiling at the pump',
    words: `${name} ${quantity(o.absBar!.toFixed(2), 'bar')} absolute at the pump; summer fuel boils under ${roundedUp(Number(boils.toFixed(2)), 'bar')} at ${quantity(tempC, '°C')}, winter fuel sooner: set the pump under the tank, or in it`,
  };
}

function narrowest(o: RunOutcome): string {
  const fits = o.loss.elements.filter((e) => e.kind !== 'restrictor');
  return fits.reduce((a, b) => (b.boreMm < a.boreMm ? b : a)).name;
}
