import { headBar, stepDown } from '../../flow/index.js';
import { quantity } from '../../units/index.js';
import { PRACTICE, rulesOf } from '../rule.js';

/** What runs back by its fall alone. */
export const drainRules = rulesOf(
  'flow',
  {
    'drain-rises': {
      title: 'A drain that does not fall',
      area: 'drain',
      severity: 'leak',
      before: 'saw',
      why: 'Oil stands in what it should empty, and goes past its seals.',
      hint: 'Lead it down all the way, or pump it.',
      source: PRACTICE,
    },
    'drain-steps-down': {
      title: 'A drain that narrows on its way',
      area: 'drain',
      severity: 'advice',
      before: 'saw',
      why: 'Froth stands where it narrows.',
      hint: 'Keep the bore, or let it grow on its way.',
      source: PRACTICE,
    },
    'valve-in-drain': {
      title: 'A check valve in a drain',
      area: 'drain',
      severity: 'leak',
      before: 'saw',
      why: 'What it asks for before it opens is more than a drain has.',
      hint: 'Take it out.',
      source: PRACTICE,
    },
    'cap-must-turn': {
      title: 'A filler cap that cannot turn',
      area: 'make-up',
      severity: 'risk',
      before: 'saw',
      why: 'The cap must still turn and lift: a hose that holds it is torn at the first top-up.',
      hint: 'Take an end with a swivel at the cap and give the hose slack.',
      source: PRACTICE,
    },
  },
  ({ line, sizing: { columns, taken, duty }, schools }, say) => {
    const at = { lineId: line.line.id };
    const { fallMm, comesBack } = duty.said;
    const last = line.pieces[line.pieces.length - 1];
    if (comesBack === 'filler cap' && last && (!last.endB?.connector.swivel || last.piece.slackPercent < schools.limits.capSlackPercent))
      say(
        'cap-must-turn',
        at,
        `It comes back through the filler cap: ${last.endB?.connector.swivel ? `${last.piece.slackPercent} % of slack are too little to lift it` : 'its end there does not turn'}.`,
      );
    if (duty.figures.drive !== 'fall') return;
    const head =
      fallMm === undefined
        ? ''
        : `, and a fall of ${quantity(fallMm, 'mm')} gives ${quantity((headBar(fallMm, 830) * 1000).toFixed(0), 'mbar')}`;
    const valve = line.ways.flatMap(({ fittings = [] }) => fittings.filter(({ fitting }) => fitting.oneWay))[0]?.fitting;
    if (valve) say('valve-in-drain', at, `${valve.name} opens at ${quantity(20, 'mbar')} to some hundreds${head}.`);
    if (fallMm !== undefined && fallMm <= 0)
      say(
        'drain-rises',
        at,
        `It ${fallMm === 0 ? 'lies flat' : `rises by ${quantity(-fallMm, 'mm')}`}, and nothing but its fall drives it.`,
      );
    const step = taken === undefined ? undefined : stepDown(columns[taken]!);
    if (step) say('drain-steps-down', at, `On its way ${step}.`);
  },
);
