import { connectorKey, formatConnector } from '../connectors/index.js';
import { openEnds } from '../fittings/index.js';
import { findFitting, findHoseEnd, type Catalogue, type JobDocument, type Line, type LineBranch } from '../job/index.js';
import type { ChainLink } from '../chains/index.js';
import type { AssembledBranch, AssembledEnd, LineProblem, PlacedFitting } from './assembled-line.js';

type Side = 'A' | 'B';

/**
 * One end of a line from its port to its hose end. What is not as it must be goes to `problems`; a chain with a part that nobody
 * knows is kept in the line, but not assembled.
 *
 * @throws {RangeError} if the line names a port or component that is not in the document
 */
export function assembleEnd(line: Line, side: Side, document: JobDocument, catalogue: Catalogue, problems: LineProblem[]): AssembledEnd {
  const { portId, angleDeg, fittings, branches = [] } = side === 'A' ? line.endA : line.endB;
  const port = document.ports.find((p) => p.id === portId);
  const component = document.components.find((c) => c.id === port?.componentId);
  if (!port || !component) throw new RangeError(`Line L${line.number} names a port that is not in the job`);
  const say = (problem: Omit<LineProblem, 'side'>): void => void problems.push({ ...problem, side });
  const hoseEnd =
    line.construction !== null && line.dash !== null ? findHoseEnd(catalogue, line.construction, line.dash, angleDeg) : undefined;
  if (line.construction !== null && line.dash !== null && !hoseEnd)
    say({
      code: 'end-not-made',
      severity: 'open',
      message: `No ${angleDeg}° end in the catalogue for this hose (end ${side}).`,
      hint: 'Choose another angle.',
    });
  if (port.openEnd && !document.lines.some((l) => [l.endA, l.endB].some((e) => e.branches?.some((b) => b.portId === port.id))))
    say({
      code: 'branch',
      severity: 'leak',
      message: `${port.label} stood for the open end of a tee that is no longer there.`,
      hint: 'Take the line to another port, or put the tee back.',
    });
  const base = { side, component, port, ...(hoseEnd ? { hoseEnd } : {}) };
  if (fittings === null) {
    say({
      code: 'way-open',
      severity: 'open',
      message: `No way chosen from ${component.name}, ${port.label}.`,
      hint: 'Choose one of the ways below the sheet.',
    });
    return { ...base, branches: [] };
  }
  const chain = place(fittings, false, catalogue, say);
  if (!chain) return { ...base, branches: [] };
  return { ...base, chain, branches: assembleBranches(chain, branches, document, catalogue, say) };
}

/** The fittings in their places; undefined where one of them is nowhere known, or has not the ends it should have. */
function place(
  links: readonly ChainLink[],
  plugged: boolean,
  catalogue: Catalogue,
  say: (p: Omit<LineProblem, 'side'>) => void,
): PlacedFitting[] | undefined {
  const placed: PlacedFitting[] = [];
  for (const [i, link] of links.entries()) {
    const fitting = findFitting(catalogue, link.id);
    const passes = link.inEnd !== link.outEnd && fitting?.ends[link.outEnd] !== undefined;
    const closes = plugged && i === links.length - 1 && fitting?.ends.length === 1;
    if (!fitting?.ends[link.inEnd] || !(passes || closes)) {
      say({
        code: 'part-missing',
        severity: 'leak',
        message: `"${link.id}" is no longer in the catalogue as this chain has it. The chain is kept: ${links.map((l) => l.id).join(', ')}.`,
        hint: 'Add the part in the store again, or choose another way at this end.',
      });
      return undefined;
    }
    if (fitting.retired)
      say({
        code: 'part-missing',
        severity: 'attention',
        message: `${fitting.name} has been taken out of the catalogue. The chain is kept as it was.`,
        hint: 'Choose another way, or put the part back in the store.',
      });
    placed.push({ fitting, inEnd: link.inEnd, outEnd: link.outEnd });
  }
  return placed;
}

function assembleBranches(
  chain: readonly PlacedFitting[],
  given: readonly LineBranch[],
  document: JobDocument,
  catalogue: Catalogue,
  say: (p: Omit<LineProblem, 'side'>) => void,
): AssembledBranch[] {
  const list: AssembledBranch[] = [];
  chain.forEach(({ fitting, inEnd, outEnd }, at) => {
    for (const end of openEnds(fitting, inEnd, outEnd)) {
      const branch = given.find((b) => b.at === at && b.end === end);
      const fittings = branch && place(branch.fittings, branch.to === 'plug', catalogue, say);
      if (!branch || !fittings || (branch.to === 'plug' && fittings.length === 0)) {
        if (!branch || fittings)
          say({
            code: 'branch',
            severity: 'leak',
            message: `The end ${formatConnector(fitting.ends[end]!)} of ${fitting.name} is open.`,
            hint: 'Give it to a plug, a sensor or another line, or choose another way.',
          });
        continue;
      }
      const port = document.ports.find((p) => p.id === branch.portId);
      const last = fittings[fittings.length - 1];
      const exposed = last ? last.fitting.ends[last.outEnd]! : fitting.ends[end]!;
      const base = { at, end, to: branch.to, fittings };
      if (branch.to === 'sensor') {
        if (port?.sensor) list.push({ ...base, sensor: { name: port.sensor.name, connector: port.sensor.connector } });
        else
          say({
            code: 'branch',
            severity: 'attention',
            message: `A branch of ${fitting.name} is kept for a sensor that is no longer in the survey.`,
            hint: 'Choose another way, or log the sensor again.',
          });
      } else if (branch.to === 'line') {
        const user = document.lines.find((l) => l.endA.portId === branch.portId || l.endB.portId === branch.portId);
        list.push({ ...base, ...(user ? { lineNumber: user.number } : {}) });
        if (!port || connectorKey(port.connector) !== connectorKey(exposed))
          say({
            code: 'branch',
            severity: 'leak',
            message: `The port that stands for the branch of ${fitting.name} is ${port ? 'another connector now' : 'gone'}.`,
            hint: 'Choose the way again.',
          });
        else if (!user)
          say({
            code: 'branch',
            severity: 'open',
            message: `No line runs from ${port.label} yet.`,
            hint: 'Draw it from there, or close the branch with a plug.',
          });
      } else list.push(base);
    }
  });
  return list;
}
