import { partsIn, takeThreads, portOffPart } from '../../lines/index.js';
import { PRACTICE, rulesOf } from '../rule.js';

/** Parts of a line, and those that its components are, as the catalogue has them now. */
export const partRules = rulesOf(
  'line',
  {
    'part-retired': {
      title: 'A part that is not kept any more',
      area: 'parts and orders',
      severity: 'risk',
      before: 'order',
      why: 'It was taken out of the catalogue, mostly because it cannot be had, or did not hold.',
      hint: 'Choose another way, or put the part back in the store.',
      source: PRACTICE,
    },
    'component-part-gone': {
      title: 'The part that a component is has gone',
      area: 'parts and orders',
      severity: 'risk',
      before: 'order',
      why: 'Its ports were taken from that part: nobody can say any more whether they are right.',
      hint: 'Add the part in the store again, or take it off the component in the survey.',
      source: PRACTICE,
    },
    'port-off-part': {
      title: 'A port is not as its part has it',
      area: 'parts and orders',
      severity: 'risk',
      before: 'order',
      why: 'The store has another thread there now: one of the two is wrong.',
      hint: 'Take the threads of the part, or take the part off the component in the survey.',
      source: PRACTICE,
    },
  },
  ({ line: { line, portA, portB, ways, pieces }, schools }, say) => {
    const severity = schools.limits.retiredHolds ? 'risk' : 'advice';
    const kept = 'has been taken out of the catalogue. The line keeps it as it was.';
    for (const part of new Set(partsIn({ ways, pieces })))
      if (part.retired) say('part-retired', { lineId: line.id, partId: part.id }, `${part.name} ${kept}`, { severity });
    for (const { component, port, part } of [portA, portB]) {
      if (!component.part) continue;
      const at = { lineId: line.id, portId: port.id };
      if (!part) say('component-part-gone', at, `${component.name} is a part "${component.part.id}" that the catalogue no longer has.`);
      else if (part.retired)
        say('part-retired', at, `${part.name} has been taken out of the catalogue. ${component.name} is one.`, { severity });
      const off = part && portOffPart(port, part);
      const commands = [takeThreads(component)];
      if (off)
        say('port-off-part', at, `${component.name}, ${off}`, {
          remedies: part.ends[port.end!] ? [{ label: 'Take the threads of the part', commands }] : [],
        });
    }
  },
);
