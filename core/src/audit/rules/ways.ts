import { shutsEnd, type ChainLink } from '../../chains/index.js';
import type { Command } from '../../commands/index.js';
import { connectorKey, formatConnector } from '../../connectors/index.js';
import type { FindingPlace, Remedy } from '../../findings/index.js';
import { endName, joinsInside, openEnds } from '../../fittings/index.js';
import type { ChosenWay, Line, LineBranch } from '../../job/index.js';
import { passes, placeLinks, terminalName, type AssembledWay, type Lookups, type PlacedFitting, type Terminal } from '../../lines/index.js';
import { PRACTICE, rulesOf, type Say } from '../rule.js';

/** What stands between ports and hoses, and what its open ends lead to. */
export const wayRules = rulesOf(
  'line',
  {
    'way-not-chosen': {
      title: 'No adapters chosen',
      area: 'stack',
      severity: 'open',
      before: 'saw',
      undecided: true,
      why: 'What seals there, and where the seats are, follows from the adapters.',
      hint: 'Choose one of the ways below the sheet.',
      source: PRACTICE,
    },
    'part-gone': {
      title: 'A part is not in the catalogue any more',
      area: 'parts and orders',
      severity: 'leak',
      before: 'order',
      why: 'Nobody has its figures: what it seals on cannot be told.',
      hint: 'Add the part in the store again, or choose another way there.',
      source: PRACTICE,
    },
    'no-passage': {
      title: 'Nothing leads through',
      area: 'direction',
      severity: 'leak',
      before: 'saw',
      why: 'The two ends belong to different circuits of the part, or are shut from one another.',
      hint: 'Choose another way, or say in the store how its ends are joined inside.',
      source: PRACTICE,
    },
    'branch-open': {
      title: 'An open end',
      area: 'loose ends',
      severity: 'leak',
      before: 'order',
      why: 'What runs in the line runs out there.',
      hint: 'Give it to a plug, a sensor or another line, or choose another way.',
      source: PRACTICE,
    },
    'branch-sensor-gone': {
      title: 'A branch without its sensor',
      area: 'sensor',
      severity: 'leak',
      before: 'order',
      why: 'The branch is kept for a sensor that is nowhere: it stays open.',
      hint: 'Choose another way, or log the sensor again.',
      source: PRACTICE,
    },
    'branch-port-changed': {
      title: 'The branch does not meet its line',
      area: 'loose ends',
      severity: 'leak',
      before: 'order',
      why: 'The line from there was planned for another thread.',
      hint: 'Choose the way again.',
      source: PRACTICE,
    },
    'branch-line-missing': {
      title: 'No line from the branch yet',
      area: 'loose ends',
      severity: 'open',
      before: 'order',
      undecided: true,
      why: 'An end that leads nowhere is open.',
      hint: 'Draw it from there, or close the branch with a plug or a valve.',
      source: PRACTICE,
    },
    'open-end-gone': {
      title: 'The tee is gone',
      area: 'loose ends',
      severity: 'leak',
      before: 'order',
      why: 'The line starts on the open end of a tee that is not there any more.',
      hint: 'Take the line to another port, or put the tee back.',
      source: PRACTICE,
    },
  },
  ({ line: { line, ways, portA, portB }, around }, say) => {
    for (const { port } of [portA, portB])
      if (port.openEnd && !around.isOpenEndOf(port.id))
        say(
          'open-end-gone',
          { lineId: line.id, portId: port.id },
          `${port.label} stood for the open end of a tee that is no longer there.`,
        );
    for (const way of ways) lookAt(line, way, around, say);
  },
);

type WaySay = Say<keyof typeof wayRules>;

function lookAt(line: Line, { at: way, kept: { chosen }, from, to }: AssembledWay, around: Lookups, say: WaySay): void {
  const at = { lineId: line.id, way };
  if (chosen === null) return say('way-not-chosen', at, openWay(from, to));
  const placed = standing(chosen.fittings, false, around, at, say);
  if (!placed) return;
  for (const [place, { fitting, inEnd, outEnd }] of placed.entries())
    for (const end of openEnds(fitting, inEnd, outEnd)) branchOf(line, way, { place, fitting, end }, chosen, around, say);
}

function openWay(from: Terminal, to: Terminal): string {
  if (from.kind === 'port' && to.kind === 'port') return `No way chosen from ${terminalName(from)} to ${terminalName(to)}.`;
  const place = from.kind === 'port' ? from : to;
  return place.kind === 'port' ? `No way chosen from ${terminalName(place)}.` : 'No way chosen between the two hoses.';
}

/** The fittings of a chain, where all of them are known; what leads nowhere inside is told. */
function standing(
  links: readonly ChainLink[],
  plugged: boolean,
  around: Lookups,
  at: FindingPlace,
  say: WaySay,
): readonly PlacedFitting[] | undefined {
  const placed = placeLinks(links, plugged, around);
  if ('gone' in placed) {
    const chain = links.map((l) => l.id).join(', ');
    say('part-gone', at, `"${placed.gone.id}" is no longer in the catalogue as this chain has it. The chain is kept: ${chain}.`);
    return undefined;
  }
  for (const { fitting, inEnd, outEnd } of placed.fittings)
    if (passes({ inEnd, outEnd }, fitting.ends) && !joinsInside(fitting, inEnd, outEnd))
      say('no-passage', at, `Nothing leads through ${fitting.name} from ${endName(fitting, inEnd)} to ${endName(fitting, outEnd)}.`);
  return placed.fittings;
}

function branchOf(
  line: Line,
  way: number,
  { place, fitting, end }: { readonly place: number; readonly fitting: PlacedFitting['fitting']; readonly end: number },
  { branches }: ChosenWay,
  around: Lookups,
  say: WaySay,
): void {
  const at = { lineId: line.id, way };
  const branch = branches.find((b) => b.at === place && b.end === end);
  const on = branch && standing(branch.fittings, branch.to === 'plug', around, at, say);
  if (!branch || (on && branch.to === 'plug' && on.length === 0))
    return say(
      'branch-open',
      at,
      `The end ${formatConnector(fitting.ends[end]!)} of ${fitting.name} is open${fitting.body ? ` (${endName(fitting, end)})` : ''}.`,
    );
  if (!on) return;
  const last = on[on.length - 1];
  if (branch.to === 'plug') {
    if (shutsEnd(last!.fitting)) return;
    const open = formatConnector(last!.fitting.ends[last!.outEnd]!);
    return say('branch-open', at, `The branch of ${fitting.name} ends in ${last!.fitting.name}, whose end ${open} is open.`);
  }
  const port = around.port(branch.portId ?? '');
  if (branch.to === 'sensor') {
    if (!port?.sensor) say('branch-sensor-gone', at, `A branch of ${fitting.name} is kept for a sensor that is no longer in the survey.`);
    return;
  }
  const exposed = connectorKey(last ? last.fitting.ends[last.outEnd]! : fitting.ends[end]!);
  if (!port?.connector || connectorKey(port.connector) !== exposed)
    say('branch-port-changed', at, `The port that stands for the branch of ${fitting.name} is ${port ? 'another connector now' : 'gone'}.`);
  else if (around.lineNumberOn(port.id) === undefined)
    say('branch-line-missing', at, `No line runs from "${port.label}" yet.`, { remedies: closing(line, way, branch, around) });
}

/** Puts a plug or a valve on an open end that no line runs from; nothing where none fits. */
function closing(line: Line, at: number, branch: LineBranch, around: Lookups): Remedy[] {
  const { fittings, branches } = line.ways[at]!.chosen!;
  const open = around.fitting(fittings[branch.at]!.id)?.ends[branch.end];
  const unkeyed = <L extends ChainLink>({ id, inEnd, outEnd }: L): ChainLink => ({ id, inEnd, outEnd });
  return (['plug', 'valve'] as const).flatMap((by): Remedy[] => {
    const found = open && around.closing({ connector: open, by });
    if (!found) return [];
    const closed = branches.map((b) => {
      const { portId: _, ...rest } = b;
      return b === branch ? { ...rest, to: 'plug' as const, fittings: [...found.links] } : { ...b, fittings: b.fittings.map(unkeyed) };
    });
    const commands: Command[] = [
      { do: 'take-way', id: line.id, version: line.version, at, fittings: fittings.map(unkeyed), branches: closed },
    ];
    return [{ label: `${by === 'plug' ? 'Close it' : 'End it in a valve'}: ${found.name}`, commands }];
  });
}
