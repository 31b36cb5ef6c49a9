import type { Command } from '../../commands/index.js';
import type { Remedy } from '../../findings/index.js';
import { leadsTo, type Fitting } from '../../fittings/index.js';
import type { AssembledLine, AssembledWay, PortTerminal } from '../../lines/index.js';
import { PRACTICE, rulesOf } from '../rule.js';

/** What lets pass one way only: valves in a line, ports of a plate or a thermostat, a cooler's own inlet. */
export const directionRules = rulesOf(
  'line',
  {
    'valve-against-flow': {
      title: 'A valve the wrong way round',
      area: 'direction',
      severity: 'leak',
      before: 'saw',
      why: 'It shuts against what should pass: nothing runs, or the pressure before it has no way out.',
      hint: 'Turn the valve: its arrow points the way that the flow goes.',
      source: PRACTICE,
    },
    'ports-swapped': {
      title: 'A port the wrong way round',
      area: 'direction',
      severity: 'leak',
      before: 'saw',
      why: 'Inside the part flow passes one way: into its outlet nothing runs, or what should hold it back does not.',
      hint: 'Swap the two lines at their ports.',
      source: PRACTICE,
    },
    'booster-without-valve': {
      title: 'A brake booster without a check valve',
      area: 'direction',
      severity: 'leak',
      before: 'order',
      why: 'Nothing keeps the vacuum in the booster when the engine stops, or is boosted: the pedal goes hard.',
      hint: 'Put a check valve in, its arrow from the booster to the engine; where it sits in the booster itself, log it as a component of the kind valve.',
      source: PRACTICE,
    },
  },
  ({ line: assembled }, say) => {
    const { line, ways, portA, portB } = assembled;
    const back = drawnFromEngine(assembled);
    for (const way of ways)
      for (const [i, { fitting, inEnd, outEnd }] of (way.fittings ?? []).entries()) {
        if (!fitting.oneWay || (back ? leadsTo(fitting, outEnd, inEnd) : leadsTo(fitting, inEnd, outEnd))) continue;
        const words = back
          ? `${fitting.name} lets air pass to the booster only: it must pass from the booster to the engine.`
          : `${fitting.name} lets pass from B to A only, and the line runs from A to B.`;
        say('valve-against-flow', { lineId: line.id, way: way.at }, words, { remedies: turned(assembled, way, i) });
      }
    const valves = ways.flatMap(({ fittings = [] }) => fittings.filter(({ fitting }) => fitting.oneWay));
    const whole = ways.every((way) => way.fittings);
    const another = [portA, portB].some(({ component }) => component.kind === 'valve');
    if (line.service === 'brake-booster' && whole && valves.length === 0 && !another)
      say('booster-without-valve', { lineId: line.id }, 'Nothing keeps the vacuum in the booster when the engine stops.');
    for (const end of [portA, portB]) {
      const words = swapped(end, back);
      if (words) say('ports-swapped', { lineId: line.id, portId: end.port.id }, words);
    }
  },
);

/** A line to a brake booster that was drawn from the engine: its air runs from the booster all the same. */
function drawnFromEngine({ line, portA, portB }: AssembledLine): boolean {
  if (line.service !== 'brake-booster') return false;
  const isBooster = ({ component }: PortTerminal): boolean => /booster|servo/i.test(component.name);
  if (isBooster(portA) !== isBooster(portB)) return isBooster(portB);
  return portA.component.kind === 'block' && portB.component.kind !== 'block';
}

/** The valve turned end for end, where the two ends that meet its neighbours are alike. */
function turned({ line }: AssembledLine, { at, kept: { chosen } }: AssembledWay, which: number): Remedy[] {
  if (!chosen) return [];
  const unkeyed = <L extends { id: string; inEnd: number; outEnd: number }>({ id, inEnd, outEnd }: L) => ({ id, inEnd, outEnd });
  const fittings = chosen.fittings.map((link, i) =>
    i === which ? { id: link.id, inEnd: link.outEnd, outEnd: link.inEnd } : unkeyed(link),
  );
  const branches = chosen.branches.map((b) => ({ ...b, fittings: b.fittings.map(unkeyed) }));
  const commands: Command[] = [{ do: 'take-way', id: line.id, version: line.version, at, fittings, branches }];
  return [{ label: 'Turn the valve', commands, certain: true }];
}

/** A line that enters a part where flow only comes out of it, or leaves where it only goes in. */
function swapped({ component, port, part, side }: PortTerminal, back: boolean): string | undefined {
  if (!part?.body || port.end === undefined) return undefined;
  const enters = (side === 'B') !== back;
  const [out, into] = [leadsOn(part, port.end), isLedTo(part, port.end)];
  if (out === into) return undefined;
  if (enters && !out) return `${component.name}, ${port.label}: flow only comes out of there, and the line runs into it.`;
  if (!enters && !into) return `${component.name}, ${port.label}: flow only goes in there, and the line runs out of it.`;
  return undefined;
}

function leadsOn(part: Fitting, end: number): boolean {
  return part.ends.some((_, other) => leadsTo(part, end, other));
}

function isLedTo(part: Fitting, end: number): boolean {
  return part.ends.some((_, other) => leadsTo(part, other, end));
}
