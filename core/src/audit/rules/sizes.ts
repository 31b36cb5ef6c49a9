import { isMetal } from '../../fittings/index.js';
import { hoseDutyOf } from '../../flow/index.js';
import { roundedDown, roundedUp } from '../../units/index.js';
import type { FlowFacts } from '../facts.js';
import { PRACTICE, rulesOf, type Say } from '../rule.js';
import { notSaid } from '../words.js';

/** Whether hose, size and fittings do for what runs: pressure, heat, cold, flow and loss. */
export const sizeRules = rulesOf(
  'flow',
  {
    'size-fails': {
      title: 'The size will not do',
      area: 'flow',
      severity: 'leak',
      before: 'saw',
      why: 'What it must carry does not get through, or takes more pressure than there is: something starves, floods or collapses.',
      hint: 'Take the size that is recommended, or look at the figures it is reckoned with.',
      source: 'Darcy and Colebrook, ASTM D341; limits by common practice',
    },
    'size-tight': {
      title: 'The size is tight',
      area: 'flow',
      severity: 'advice',
      before: 'saw',
      why: 'It goes by a rule of thumb that is overstepped a little.',
      hint: 'It goes; a wider one has more to spare.',
      source: 'Darcy and Colebrook, ASTM D341; limits by common practice',
    },
    'hose-refused': {
      title: 'The hose does not bear its place',
      area: 'hose',
      severity: 'leak',
      before: 'saw',
      why: 'Beyond what its maker gives it bursts, collapses or hardens.',
      hint: 'Take a construction that bears it: see the list of hoses.',
      source: 'SAE J517, SAE J343; derating by common practice',
    },
    'fitting-refused': {
      title: 'A fitting does not bear its place',
      area: 'fluid',
      severity: 'leak',
      before: 'order',
      why: 'Beyond its pressure it lets go, beyond its heat or cold what seals in it lets by.',
      hint: 'Take another way there, or look at the figures it is held against.',
      source: PRACTICE,
    },
    'flow-not-judged': {
      title: 'Cannot be judged: a figure is missing',
      area: 'flow',
      severity: 'open',
      before: 'saw',
      why: 'Nothing is taken for granted: what nobody said is not judged.',
      hint: 'Say it in the sizing of the line.',
      source: PRACTICE,
    },
  },
  (facts, say) => {
    const { line, sizing } = facts;
    const at = { lineId: line.line.id };
    const { columns, taken, refusals, missing } = sizing;
    const column = taken === undefined ? undefined : columns[taken];
    if (column && refusals.length > 0) say('hose-refused', at, `${line.pieces[0]?.hose?.name ?? ''}: ${refusals.join('; ')}.`);
    if (column?.verdict === 'fails') say('size-fails', at, `${column.size}: ${column.against.join('; ')}.`);
    if (column?.verdict === 'tight') say('size-tight', at, `${column.size}: ${column.against.join('; ')}.`);
    ofFittings(facts, say);
    // that it has no hose or no length yet is told of the line itself
    for (const { of, field, words } of missing)
      if (of === 'line' && field !== 'hose' && field !== 'reckonMm') say('flow-not-judged', at, notSaid(words));
  },
);

/** Pressure, heat and cold of what is beside the hose, held against the line as they are for the hose itself. */
function ofFittings({ line, sizing: { duty }, question: { rules } }: FlowFacts, say: Say<keyof typeof sizeRules>): void {
  const { pressureBar, hottestC, coldestC } = hoseDutyOf(duty, rules);
  const told = new Set<string>();
  for (const { at: way, fittings = [] } of line.ways)
    for (const { fitting } of fittings) {
      if (told.has(fitting.id)) continue;
      told.add(fitting.id);
      const { name, maxBar, minTempC, maxTempC, ends } = fitting;
      // rings go by the cold start by themselves, and the hose over a barb is judged as a hose
      const soft = !isMetal(fitting);
      const over = ends.some(({ family }) => family === 'barb' || family === 'bead');
      const sealed = ends.some(({ family }) => family === 'qc' || family === 'drybreak' || family === 'stub');
      const why = [
        ...(maxBar !== undefined && maxBar < pressureBar
          ? [`it bears ${roundedDown(maxBar, 'bar')}, and ${roundedUp(pressureBar, 'bar')} may stand in it`]
          : []),
        ...((soft || !over) && maxTempC !== undefined && maxTempC < hottestC
          ? [`it bears ${roundedDown(maxTempC, '°C')}, and it gets to ${roundedUp(hottestC, '°C')}`]
          : []),
        ...((soft || sealed) && coldestC !== undefined && minTempC !== undefined && coldestC < minTempC
          ? [`it is good to ${roundedUp(minTempC, '°C')}, and it gets to ${roundedDown(coldestC, '°C')}`]
          : []),
      ];
      if (why.length > 0) say('fitting-refused', { lineId: line.line.id, way }, `${name}: ${why.join('; ')}.`);
    }
}
