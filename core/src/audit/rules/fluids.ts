import { fluidById } from '../../fluids/index.js';
import { fittingFluidProblem } from '../../fittings/index.js';
import { fluidProblem } from '../../hose/index.js';
import { fluidOf } from '../../job/index.js';
import { roundedDown } from '../../units/index.js';
import { PRACTICE, rulesOf } from '../rule.js';
import { capital } from '../words.js';

/** What an engine draws at idle and a brake booster keeps, bar below the air around. Common practice. */
const LEAST_VACUUM_BAR = 0.8;

/** Whether hoses and fittings bear what runs in the line. */
export const fluidRules = rulesOf(
  'line',
  {
    'fluid-refused': {
      title: 'Not planned here',
      area: 'fluid',
      severity: 'leak',
      before: 'saw',
      why: 'Lives hang on it: it is specified, made and tested by those who are licensed for it.',
      hint: 'Take it out of the job.',
      source: PRACTICE,
    },
    'hose-not-for-fluid': {
      title: 'The hose does not bear what runs in it',
      area: 'fluid',
      severity: 'leak',
      before: 'saw',
      why: 'It swells, hardens, pinholes or collapses, and leaks when nobody looks.',
      hint: 'Choose a construction rated for the fluid.',
      source: PRACTICE,
    },
    'fitting-not-for-fluid': {
      title: 'A fitting does not bear what runs in it',
      area: 'fluid',
      severity: 'leak',
      before: 'order',
      why: 'It softens, swells or corrodes, and lets go.',
      hint: 'Choose another way at this end.',
      source: PRACTICE,
    },
    'service-not-said': {
      title: 'Cannot be judged: what runs in it is not said',
      area: 'fluid',
      severity: 'open',
      before: 'order',
      why: 'Hose, seals, size and pressure are judged by what runs in the line.',
      hint: 'Give the line its service, or say what it carries.',
      source: PRACTICE,
    },
  },
  ({ line: { line, ways, pieces }, around }, say) => {
    const at = { lineId: line.id };
    const fluid = fluidOf(line);
    const { refused } = fluidById(fluid);
    if (refused) say('fluid-refused', at, refused);
    // a service that may be anything has no fluid until the line says it
    if (line.service === 'other' && line.fluid === undefined)
      return say('service-not-said', at, 'Its service is "other", and what it carries is not said.');
    for (const { piece, hose } of pieces) {
      const unfit = hose && fluidProblem(hose, fluid);
      const there = { ...at, piece: piece.key };
      // a hose that is kept is what it is
      const alike = unfit === undefined || piece.source === 'kept' ? undefined : around.alikeFor({ hose: hose!, fluid });
      const commands = alike && [
        { do: 'edit-piece' as const, id: line.id, version: line.version, piece: piece.key, set: { hose: alike.id } },
      ];
      if (unfit)
        say(
          'hose-not-for-fluid',
          there,
          `${capital(unfit)}.`,
          commands && { remedies: [{ label: `Take ${alike!.name}`, commands, certain: true }] },
        );
      else if (hose && fluid === 'vacuum' && hose.vacuumBar !== undefined && hose.vacuumBar < LEAST_VACUUM_BAR)
        say(
          'hose-not-for-fluid',
          there,
          `${hose.name} collapses under vacuum: it bears ${roundedDown(hose.vacuumBar, 'bar')} below the air around it.`,
        );
    }
    for (const { at: way, fittings = [] } of ways)
      for (const { fitting } of fittings) {
        const problem = fittingFluidProblem(fitting, fluid);
        if (problem) say('fitting-not-for-fluid', { ...at, way }, `${problem}.`);
      }
  },
);
