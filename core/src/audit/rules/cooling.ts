import { coolantBoilsC, couplersOfLine, thermostatsOf } from '../../flow/index.js';
import { quantity, roundedDown, roundedUp } from '../../units/index.js';
import { PRACTICE, rulesOf } from '../rule.js';

/** What carries heat, and what is pushed by boost. */
export const coolingRules = rulesOf(
  'flow',
  {
    'coolant-boils': {
      title: 'The coolant boils',
      area: 'flow',
      severity: 'leak',
      before: 'start',
      why: 'Steam carries no heat away, and pushes the water out.',
      hint: 'Fit a cap that holds more, or keep it cooler.',
      source: 'Boiling of water and glycol by pressure: see the sizing',
    },
    'no-thermostat': {
      title: 'No thermostat before the cooler',
      area: 'flow',
      severity: 'advice',
      before: 'order',
      why: 'Oil that goes through the cooler while it is cold stays cold, and thick.',
      hint: 'A road car and cold places want one; a pure track car may go without, and warms up longer.',
      source: PRACTICE,
    },
    'coupler-without-bead': {
      title: 'A coupler that boost pushes off',
      area: 'make-up',
      severity: 'leak',
      before: 'start',
      why: 'The band alone does not hold it: it comes off at full boost.',
      hint: 'Roll a bead on the pipe, or take another end.',
      source: 'Boost on the area of the pipe against the friction of the band: see the sizing',
    },
  },
  ({ line: { line, portB }, sizing, question: { job, rules } }, say) => {
    const at = { lineId: line.id };
    const { duty } = sizing;
    const boilsC = duty.fluid === 'coolant' ? coolantBoilsC(duty.airBar + duty.pressure.value) : Infinity;
    if (duty.hottest.value > boilsC)
      say(
        'coolant-boils',
        at,
        `At ${quantity(duty.pressure.value, 'bar')} half glycol boils at ${roundedDown(boilsC.toFixed(0), '°C')} and plain water sooner; it gets to ${roundedUp(duty.hottest.value, '°C')}.`,
      );
    const toCooler = (line.service === 'cooler' || line.service === 'cooler-back') && portB.component.kind === 'cooler';
    if (toCooler && rules.thermostat !== 'none' && thermostatsOf(job).length === 0)
      say('no-thermostat', at, 'Nothing keeps the oil from the cooler while it is cold.');
    for (const { holds, where, words } of couplersOfLine(sizing)) if (!holds) say('coupler-without-bead', at, `${where}: ${words}`);
  },
);
