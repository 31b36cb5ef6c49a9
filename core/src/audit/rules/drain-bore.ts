import { boreLeads } from '../../lines/index.js';
import { quantity } from '../../units/index.js';
import type { FindingPlace } from '../../findings/index.js';
import { PRACTICE, rulesOf } from '../rule.js';

/** Hoses, hose ends and fittings of a drain that are narrower than it needs: oil and froth back up there. */
export const drainBoreRules = rulesOf(
  'line',
  {
    'drain-narrow': {
      title: 'Too narrow for a drain',
      area: 'drain',
      severity: 'leak',
      before: 'saw',
      why: 'Froth stands where it narrows, fills the centre of the turbo, and goes past its seals.',
      hint: 'Take a wider hose, end or fitting: nothing but the fall drives a drain.',
      source: PRACTICE,
    },
    'drain-under-usual': {
      title: 'Narrower than drains usually are',
      area: 'drain',
      severity: 'advice',
      before: 'saw',
      why: 'It goes, with less to spare for froth.',
      hint: 'A wider one carries froth more easily, where it can be had.',
      source: PRACTICE,
    },
  },
  ({ line: { line, portA, portB, ways, pieces }, schools }, say) => {
    const { drainBoreMm, drainFailsMm } = schools.flow;
    // a pump sucks or pushes what is as narrow as it likes
    const pumped = line.flow?.comesBack === 'pump' || [portA, portB].some(({ component }) => component.kind === 'pump');
    if (!boreLeads(line) || pumped) return;
    const look = (at: FindingPlace, { name, boreMm }: { readonly name: string; readonly boreMm?: number }): void => {
      if (boreMm === undefined || boreMm >= drainBoreMm) return;
      const passes = `${name} passes ${quantity(boreMm, 'mm')};`;
      if (boreMm < drainFailsMm)
        say('drain-narrow', at, `${passes} froth stands in a drain by gravity under ${quantity(drainFailsMm, 'mm')}.`);
      else say('drain-under-usual', at, `${passes} ${quantity(drainBoreMm, 'mm')} and up are usual in a drain by gravity.`);
    };
    for (const { at: way, fittings = [] } of ways) for (const { fitting } of fittings) look({ lineId: line.id, way }, fitting);
    for (const { piece, hose, endA, endB } of pieces)
      for (const part of new Set([hose, endA, endB])) if (part) look({ lineId: line.id, piece: piece.key }, part);
  },
);
