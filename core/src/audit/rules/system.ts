import { coolerOfJob, oilVolume, type SystemProblem } from '../../flow/index.js';
import { quantity } from '../../units/index.js';
import { PRACTICE, rulesOf } from '../rule.js';
import { notSaid } from '../words.js';

/** The job as one circuit: what drives it, what has no way back, whether its coolers are enough. */
export const systemRules = rulesOf(
  'job',
  {
    'ring-without-drive': {
      title: 'A ring that nothing drives',
      area: 'system',
      severity: 'risk',
      before: 'saw',
      why: 'Lines that only lead to one another carry nothing.',
      hint: 'Take it to a pump, to a gallery, or put its plate on the post of the block.',
      source: PRACTICE,
    },
    'no-way-out': {
      title: 'What goes in has no way out',
      area: 'system',
      severity: 'risk',
      before: 'saw',
      why: 'A line that ends blind carries nothing, or fills what it leads to until something gives.',
      hint: 'Draw the line that takes it on, or away.',
      source: PRACTICE,
    },
    'runs-against-its-line': {
      title: 'It runs the other way',
      area: 'direction',
      severity: 'risk',
      before: 'saw',
      why: 'Filters, valves and coolers on it were set for the way that it is drawn.',
      hint: 'Draw the line from where it comes, or look at what drives it.',
      source: 'Balance of the whole network: see System',
    },
    'cooler-too-small': {
      title: 'The cooler is too small',
      area: 'system',
      severity: 'risk',
      before: 'order',
      why: 'The oil gets hotter than it was said that it may.',
      hint: 'Take a larger cooler, or more air through it.',
      source: 'Heat of the oil against what the cooler passes on: see System',
    },
    'cooler-takes-much': {
      title: 'The cooler circuit takes much pressure',
      area: 'system',
      severity: 'advice',
      before: 'order',
      why: 'What it takes, the gallery does not have.',
      hint: 'Wider lines, fewer bends, a cooler with wider ports.',
      source: PRACTICE,
    },
    'job-not-judged': {
      title: 'Cannot be judged: a figure of the engine is missing',
      area: 'system',
      severity: 'open',
      before: 'saw',
      why: 'Nothing is taken for granted: what nobody said is not judged.',
      hint: 'Say it under what flows in the job.',
      source: PRACTICE,
    },
    'oil-not-counted': {
      title: 'The oil to fill is not known',
      area: 'system',
      severity: 'open',
      before: 'start',
      why: 'New lines and coolers swallow oil: the level is low after the first minute.',
      hint: 'Say what the engine takes, and what coolers, filters and tanks hold.',
      source: PRACTICE,
    },
  },
  ({ system, sizings, job, question }, say) => {
    for (const { kind, lineIds, words } of system.problems)
      say(ruleOf[kind], lineIds[0] === undefined ? {} : { lineId: lineIds[0] }, words);
    for (const component of job.document.components) {
      if (component.kind !== 'cooler') continue;
      const { enough, need, lossBar, spareBar } = coolerOfJob(component, question, system);
      const at = { componentId: component.id };
      if (enough === false && need)
        say('cooler-too-small', at, `${component.name} must pass on ${quantity(need.needsWPerK.toFixed(0), 'W/K')}, and passes on less.`);
      if (lossBar !== undefined && lossBar > spareBar)
        say(
          'cooler-takes-much',
          at,
          `${component.name} and its lines take ${quantity(lossBar.toFixed(1), 'bar')} when hot; ${quantity(spareBar, 'bar')} are usual at most.`,
        );
    }
    const missing = sizings.flatMap((s) => s.missing.filter((m) => m.of === 'job'));
    for (const [, words] of new Map(missing.map((m) => [m.field, m.words] as const))) say('job-not-judged', {}, notSaid(words));
    const oil = oilVolume(job, question.running);
    const unknown = oil.missing.filter((words) => words !== 'the can it is sold in');
    if (oil.lines.length > 0 && unknown.length > 0) say('oil-not-counted', {}, `Not known: ${unknown.join('; ')}.`);
  },
);

const ruleOf: { readonly [K in SystemProblem['kind']]: keyof typeof systemRules } = {
  loop: 'ring-without-drive',
  'dead-end': 'no-way-out',
  against: 'runs-against-its-line',
  'does-not-balance': 'job-not-judged',
};
