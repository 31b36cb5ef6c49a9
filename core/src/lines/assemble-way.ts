import { shutsEnd, type ChainLink } from '../chains/index.js';
import type { Command } from '../commands/index.js';
import { connectorKey, formatConnector } from '../connectors/index.js';
import { endName, joinsInside, openEnds } from '../fittings/index.js';
import type { ChosenWay, Line, LineBranch } from '../job/index.js';
import {
  terminalName,
  type AssembledBranch,
  type AssembledWay,
  type KeyedFitting,
  type PlacedFitting,
  type Terminal,
} from './assembled-line.js';
import { finding, type Finding, type LineRule, type Remedy } from './findings.js';
import type { Lookups } from './lookups.js';

/**
 * One way of a line from what comes before it to what comes after. What is not as it must be goes to `findings`; a way with a part that
 * nobody knows is kept in the line, but not assembled.
 */
export function assembleWay(
  line: Line,
  at: number,
  [from, to]: readonly [Terminal, Terminal],
  around: Lookups,
  findings: Finding[],
): AssembledWay {
  const kept = line.ways[at]!;
  const say: Say = (rule, message, remedies = []) => void findings.push(finding(rule, { lineId: line.id, way: at }, message, { remedies }));
  const base = { at, kept, from, to };
  if (kept.chosen === null) {
    say('way-not-chosen', openWay(from, to));
    return { ...base, branches: [] };
  }
  const { chosen } = kept;
  const placed = place(chosen.fittings, false, around, say);
  if (!placed) return { ...base, branches: [] };
  const fittings = placed.map((p, i): KeyedFitting => ({ ...p, key: chosen.fittings[i]!.key }));
  return {
    ...base,
    fittings,
    branches: assembleBranches(fittings, chosen, around, say, (branch) => closeBranch(line, at, branch, around)),
  };
}

function openWay(from: Terminal, to: Terminal): string {
  if (from.kind === 'port' && to.kind === 'port') return `No way chosen from ${terminalName(from)} to ${terminalName(to)}.`;
  const place = from.kind === 'port' ? from : to;
  return place.kind === 'port' ? `No way chosen from ${terminalName(place)}.` : 'No way chosen between the two hoses.';
}

type Say = (rule: LineRule, message: string, remedies?: readonly Remedy[]) => void;

/** The fittings in their places; undefined where one of them is nowhere known, or has not the ends it should have. */
function place(links: readonly ChainLink[], plugged: boolean, around: Lookups, say: Say): PlacedFitting[] | undefined {
  const placed: PlacedFitting[] = [];
  for (const [i, link] of links.entries()) {
    const fitting = around.fitting(link.id);
    const passes = link.inEnd !== link.outEnd && fitting?.ends[link.outEnd] !== undefined;
    const closes = plugged && i === links.length - 1 && fitting?.ends.length === 1;
    if (!fitting?.ends[link.inEnd] || !(passes || closes)) {
      say(
        'part-gone',
        `"${link.id}" is no longer in the catalogue as this chain has it. The chain is kept: ${links.map((l) => l.id).join(', ')}.`,
      );
      return undefined;
    }
    if (fitting.retired) say('part-retired', `${fitting.name} has been taken out of the catalogue. The chain is kept as it was.`);
    if (passes && !joinsInside(fitting, link.inEnd, link.outEnd))
      say('no-passage', `Nothing leads through ${fitting.name} from ${endName(fitting, link.inEnd)} to ${endName(fitting, link.outEnd)}.`);
    placed.push({ fitting, inEnd: link.inEnd, outEnd: link.outEnd });
  }
  return placed;
}

function assembleBranches(
  fittings: readonly PlacedFitting[],
  { branches: given }: ChosenWay,
  around: Lookups,
  say: Say,
  close: (branch: LineBranch) => readonly Remedy[],
): AssembledBranch[] {
  const list: AssembledBranch[] = [];
  fittings.forEach(({ fitting, inEnd, outEnd }, at) => {
    for (const end of openEnds(fitting, inEnd, outEnd)) {
      const branch = given.find((b) => b.at === at && b.end === end);
      const standing = branch && place(branch.fittings, branch.to === 'plug', around, say);
      if (!branch || !standing || (branch.to === 'plug' && standing.length === 0)) {
        if (!branch || standing)
          say(
            'branch-open',
            `The end ${formatConnector(fitting.ends[end]!)} of ${fitting.name} is open${fitting.body ? ` (${endName(fitting, end)})` : ''}.`,
          );
        continue;
      }
      const last = standing[standing.length - 1];
      if (branch.to === 'plug' && !shutsEnd(last!.fitting)) {
        const open = formatConnector(last!.fitting.ends[last!.outEnd]!);
        say('branch-open', `The branch of ${fitting.name} ends in ${last!.fitting.name}, whose end ${open} is open.`);
        continue;
      }
      const exposed = last ? last.fitting.ends[last.outEnd]! : fitting.ends[end]!;
      const base = { at, end, to: branch.to, fittings: standing };
      if (branch.to === 'plug') list.push(base);
      else if (branch.to === 'sensor') {
        const sensor = around.port(branch.portId ?? '')?.sensor;
        if (sensor) list.push({ ...base, sensor: { name: sensor.name, connector: sensor.connector } });
        else say('branch-sensor-gone', `A branch of ${fitting.name} is kept for a sensor that is no longer in the survey.`);
      } else {
        const lineNumber = around.lineNumberOn(branch.portId ?? '');
        list.push({ ...base, ...(lineNumber === undefined ? {} : { lineNumber }) });
        checkBranchLine(branch, connectorKey(exposed), fitting.name, lineNumber, around, say, close);
      }
    }
  });
  return list;
}

function checkBranchLine(
  branch: LineBranch,
  exposed: string,
  name: string,
  lineNumber: number | undefined,
  around: Lookups,
  say: Say,
  close: (branch: LineBranch) => readonly Remedy[],
): void {
  const port = around.port(branch.portId ?? '');
  if (!port?.connector || connectorKey(port.connector) !== exposed)
    say('branch-port-changed', `The port that stands for the branch of ${name} is ${port ? 'another connector now' : 'gone'}.`);
  else if (lineNumber === undefined) say('branch-line-missing', `No line runs from "${port.label}" yet.`, close(branch));
}

/** Puts a plug or a valve on an open end that no line runs from; nothing where none fits. */
function closeBranch(line: Line, at: number, branch: LineBranch, around: Lookups): Remedy[] {
  const { fittings, branches } = line.ways[at]!.chosen!;
  const open = around.fitting(fittings[branch.at]!.id)?.ends[branch.end];
  const unkeyed = <L extends ChainLink>({ id, inEnd, outEnd }: L): ChainLink => ({ id, inEnd, outEnd });
  return (['plug', 'valve'] as const).flatMap((by): Remedy[] => {
    const closing = open && around.closing({ connector: open, by });
    if (!closing) return [];
    const closed = branches.map((b) => {
      const { portId: _, ...rest } = b;
      return b === branch ? { ...rest, to: 'plug' as const, fittings: [...closing.links] } : { ...b, fittings: b.fittings.map(unkeyed) };
    });
    const commands: Command[] = [
      { do: 'take-way', id: line.id, version: line.version, at, fittings: fittings.map(unkeyed), branches: closed },
    ];
    return [{ label: `${by === 'plug' ? 'Close it' : 'End it in a valve'}: ${closing.name}`, commands }];
  });
}
