import type { ChainLink } from '../chains/index.js';
import { connectorKey, formatConnector } from '../connectors/index.js';
import { openEnds } from '../fittings/index.js';
import { endsOn, findFitting, type Catalogue, type ChosenWay, type JobDocument, type Line, type LineBranch } from '../job/index.js';
import {
  terminalName,
  type AssembledBranch,
  type AssembledWay,
  type KeyedFitting,
  type PlacedFitting,
  type Terminal,
} from './assembled-line.js';
import { finding, type Finding, type LineRule } from './findings.js';

/** What a line is put together with. */
export interface Surroundings {
  readonly document: JobDocument;
  readonly catalogue: Catalogue;
}

/**
 * One way of a line from what comes before it to what comes after. What is not as it must be goes to `findings`; a way with a part that
 * nobody knows is kept in the line, but not assembled.
 */
export function assembleWay(
  line: Line,
  at: number,
  [from, to]: readonly [Terminal, Terminal],
  around: Surroundings,
  findings: Finding[],
): AssembledWay {
  const kept = line.ways[at]!;
  const say: Say = (rule, message) => void findings.push(finding(rule, { lineId: line.id, way: at }, message));
  const base = { at, kept, from, to };
  if (kept.chosen === null) {
    say('way-not-chosen', openWay(from, to));
    return { ...base, branches: [] };
  }
  const { chosen } = kept;
  const placed = place(chosen.fittings, false, around.catalogue, say);
  if (!placed) return { ...base, branches: [] };
  const fittings = placed.map((p, i): KeyedFitting => ({ ...p, key: chosen.fittings[i]!.key }));
  return { ...base, fittings, branches: assembleBranches(fittings, chosen, around, say) };
}

function openWay(from: Terminal, to: Terminal): string {
  if (from.kind === 'port' && to.kind === 'port') return `No way chosen from ${terminalName(from)} to ${terminalName(to)}.`;
  const place = from.kind === 'port' ? from : to;
  return place.kind === 'port' ? `No way chosen from ${terminalName(place)}.` : 'No way chosen between the two hoses.';
}

type Say = (rule: LineRule, message: string) => void;

/** The fittings in their places; undefined where one of them is nowhere known, or has not the ends it should have. */
function place(links: readonly ChainLink[], plugged: boolean, catalogue: Catalogue, say: Say): PlacedFitting[] | undefined {
  const placed: PlacedFitting[] = [];
  for (const [i, link] of links.entries()) {
    const fitting = findFitting(catalogue, link.id);
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
    placed.push({ fitting, inEnd: link.inEnd, outEnd: link.outEnd });
  }
  return placed;
}

function assembleBranches(
  fittings: readonly PlacedFitting[],
  { branches: given }: ChosenWay,
  { document, catalogue }: Surroundings,
  say: Say,
): AssembledBranch[] {
  const list: AssembledBranch[] = [];
  fittings.forEach(({ fitting, inEnd, outEnd }, at) => {
    for (const end of openEnds(fitting, inEnd, outEnd)) {
      const branch = given.find((b) => b.at === at && b.end === end);
      const standing = branch && place(branch.fittings, branch.to === 'plug', catalogue, say);
      if (!branch || !standing || (branch.to === 'plug' && standing.length === 0)) {
        if (!branch || standing) say('branch-open', `The end ${formatConnector(fitting.ends[end]!)} of ${fitting.name} is open.`);
        continue;
      }
      const last = standing[standing.length - 1];
      const exposed = last ? last.fitting.ends[last.outEnd]! : fitting.ends[end]!;
      const base = { at, end, to: branch.to, fittings: standing };
      if (branch.to === 'plug') list.push(base);
      else if (branch.to === 'sensor') {
        const sensor = document.ports.find((p) => p.id === branch.portId)?.sensor;
        if (sensor) list.push({ ...base, sensor: { name: sensor.name, connector: sensor.connector } });
        else say('branch-sensor-gone', `A branch of ${fitting.name} is kept for a sensor that is no longer in the survey.`);
      } else {
        const user = document.lines.find((l) => endsOn(l, branch.portId ?? ''));
        list.push({ ...base, ...(user ? { lineNumber: user.number } : {}) });
        checkBranchLine(branch, connectorKey(exposed), fitting.name, user, document, say);
      }
    }
  });
  return list;
}

function checkBranchLine(
  { portId }: LineBranch,
  exposed: string,
  name: string,
  user: Line | undefined,
  { ports }: JobDocument,
  say: Say,
): void {
  const port = ports.find((p) => p.id === portId);
  if (!port?.connector || connectorKey(port.connector) !== exposed)
    say('branch-port-changed', `The port that stands for the branch of ${name} is ${port ? 'another connector now' : 'gone'}.`);
  else if (!user) say('branch-line-missing', `No line runs from ${port.label} yet.`);
}
