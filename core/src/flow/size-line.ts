import { connectorName, type Connector } from '../connectors/index.js';
import type { FluidId } from '../fluids/index.js';
import { constructionById, fluidProblem, hoseSize, type Hose } from '../hose/index.js';
import { mate } from '../seals/index.js';
import { dashToFraction } from '../units/index.js';
import { endOfAngle, type Catalogue, type FlowRules } from '../job/index.js';
import type { AssembledLine, AssembledPiece } from '../lines/index.js';
import { dutyOf, type DutyState, type FlowQuestion, type LineDuty, type Missing } from './duty.js';
import { pathOf, pathWith, type FlowPath, type Instead } from './flow-path.js';
import { judgeSizes, type SizeColumn } from './judge-sizes.js';
import { runPath, type RunOutcome } from './run-path.js';
import { deratedBar, selectHose, type HoseDuty, type HoseVerdict } from './select-hose.js';
import { broughtTo, consumerOf, isBrought, withSaidRestrictor } from './what-feeds.js';

/** One size, reckoned. */
export interface SizeRun {
  readonly hose: Hose;
  readonly size: string;
  /** Its ends at the angles of the line; null where none is made. */
  readonly endA: string | null;
  readonly endB: string | null;
  readonly taken: boolean;
  readonly path: FlowPath;
  readonly outcomes: readonly RunOutcome[];
  /** Why the hose itself will not do. */
  readonly refusals: readonly string[];
  readonly bearsBar: number;
}

/** A line with its sizes side by side. */
export interface LineSizing {
  readonly line: AssembledLine;
  readonly duty: LineDuty;
  readonly columns: readonly SizeColumn[];
  /** Index of the size that is taken, and of the one that is recommended. */
  readonly taken?: number;
  readonly recommended?: number;
  /** Why it is recommended, what the next would buy, and what is usual where that differs. */
  readonly reason: string;
  readonly practice?: string;
  readonly missing: readonly Missing[];
  /** Every construction in the recommended size, those that will do first. */
  readonly hoses: readonly HoseVerdict[];
  /** What speaks against every size of this construction. */
  readonly refusals: readonly string[];
  /** What is brought to a drain, by state; empty elsewhere. */
  readonly brought: readonly { readonly state: DutyState; readonly lpm: number; readonly from: string }[];
}

/** Most sizes side by side. */
const MOST_COLUMNS = 6;

/**
 * Every usual size of a line's hose in every state it runs in: flow, loss, speed, what is left, with the verdict of each and the one to take.
 * What cannot be reckoned is told as missing.
 * @param construction to look at instead of that of the line
 */
export function sizeLine(line: AssembledLine, question: FlowQuestion, construction?: string): LineSizing {
  return sizeAmong(line, question, 'all', construction);
}

/** The same of the size that is taken alone, beside the widest it is measured by: what is enough to judge it. */
export function sizeTaken(line: AssembledLine, question: FlowQuestion): LineSizing {
  return sizeAmong(line, question, 'taken');
}

function sizeAmong(line: AssembledLine, question: FlowQuestion, which: 'all' | 'taken', construction?: string): LineSizing {
  const { job, running, rules } = question;
  const duty = dutyOf(line, running);
  const lengths = line.pieces.map(lengthOf(line));
  const missing = [...duty.missing];
  const noLength = lengths.some((mm) => mm === undefined);
  if (line.pieces.length === 0) missing.push({ of: 'line', field: 'hose', words: 'There is no hose in this line: nothing to size' });
  else if (noLength) missing.push({ of: 'line', field: 'reckonMm', words: 'The length: tape it, or say one to reckon with' });
  const drained = isBrought(line, duty, job);
  const times = duty.figures.airTimes ?? 1;
  const brought = drained ? duty.states.map((state) => ({ state, ...broughtTo(line, question, state) })) : [];
  const states = duty.states.map((state, i) =>
    drained && state.flowLpm !== undefined ? { ...state, flowLpm: brought[i]!.lpm * times } : state,
  );
  if (line.pieces.length === 0) return { line, duty, columns: [], reason: '', missing, hoses: [], refusals: [], brought };
  const built = construction ?? line.pieces[0]!.hose?.construction ?? schoolOrder(duty, rules)[0]!;
  const all = hosesToLookAt(line, duty, built, job.catalogue);
  const inHand = line.pieces[0]!.hose?.id;
  const hoses = which === 'all' ? all : all.filter((h, i) => h.id === inHand || i === all.length - 1);
  const hoseDuty = hoseDutyOf(duty, rules);
  const consumer = consumerOf(line);
  const runs = hoses.map((hose): SizeRun => {
    const instead = insteadOf(line, hose, job.catalogue);
    const taken = line.pieces[0]!.hose?.id === hose.id;
    const path = noLength ? { passed: [], unknown: [] } : pathFor(line, instead, lengths as number[], taken);
    const [verdict] = selectHose(hoseDuty, [hose]);
    const off = offPorts(line, hose);
    return {
      hose,
      size: hoseSize(hose),
      endA: instead.endA?.id ?? null,
      endB: instead.endB?.id ?? null,
      taken,
      path,
      outcomes:
        path.passed.length === 0 ? [] : states.map((state, i) => runPath(path.passed, duty, state, rules, consumer, brought[i]?.lpm)),
      refusals: [...off, ...(verdict?.refusals ?? [])],
      bearsBar: deratedBar(hose, duty.hottest.value),
    };
  });
  const judged = judgeSizes(runs, duty, running, line, rules);
  const at = judged.recommended ?? judged.taken;
  const dash = at === undefined ? line.pieces[0]!.hose?.dash : runs[at]!.hose.dash;
  const bearing = which === 'all' ? hosesOfDash(hoseDuty, dash, job.catalogue) : [];
  return { line, duty, ...judged, missing, hoses: bearing, brought };
}

/** A hose that is clamped goes on the barbs and beads of its own bore, and on no other. */
function offPorts({ portA, portB, ways }: AssembledLine, hose: Hose): string[] {
  if (constructionById(hose.construction).endStyle !== 'clamp') return [];
  const cut = cutEndOf(hose);
  return [portA, portB].flatMap(({ port, side }) => {
    const { connector } = port;
    const way = ways[side === 'A' ? 0 : ways.length - 1]!;
    // an adapter between them may step
    if ((way.fittings?.length ?? 0) > 0 || !connector || connector.gender !== 'male' || !['barb', 'bead'].includes(connector.family))
      return [];
    return mate(connector, cut).outcome === 'seals' ? [] : [`it does not go on ${connectorName(connector)}`];
  });
}

function cutEndOf({ dash, metricMm }: Hose): Connector {
  return { family: 'barb', size: metricMm === undefined ? dashToFraction(dash) : `${metricMm}mm`, gender: 'female' };
}

function pathFor(line: AssembledLine, instead: Instead, lengths: readonly number[], taken: boolean): FlowPath {
  const path = (taken ? pathOf(line) : undefined) ?? pathWith(line, instead, (i) => lengths[i]!);
  return withSaidRestrictor(path, line);
}

/** Of the hose itself: as it is cut, or as it was said to be reckoned with. */
function lengthOf({ line }: AssembledLine): (piece: AssembledPiece) => number | undefined {
  return ({ cut, piece }) => cut?.cutMm ?? piece.length?.mm ?? line.flow?.reckonMm;
}

function insteadOf({ pieces }: AssembledLine, hose: Hose, catalogue: Catalogue): Instead {
  const [first, last] = [pieces[0]!, pieces[pieces.length - 1]!];
  const end = (piece: AssembledPiece, side: 'A' | 'B') => {
    const was = side === 'A' ? piece.endA : piece.endB;
    const angle = was?.angleDeg ?? piece.piece.wanted?.[`angle${side}`] ?? 0;
    return endOfAngle(catalogue, hose, angle, was) ?? endOfAngle(catalogue, hose, 0, was);
  };
  const [endA, endB] = [end(first, 'A'), end(last, 'B')];
  return { hose, ...(endA ? { endA } : {}), ...(endB ? { endB } : {}) };
}

/** The sizes of a construction round those that are usual and the one that is taken. */
function hosesToLookAt({ pieces }: AssembledLine, { figures, fluid }: LineDuty, construction: string, catalogue: Catalogue): Hose[] {
  const taken = pieces[0]!.hose;
  const metric = taken?.construction === construction ? taken.metricMm !== undefined : false;
  const made = catalogue.hoses
    .filter((h) => h.construction === construction && (!h.retired || h.id === taken?.id) && (h.metricMm !== undefined) === metric)
    // of one size the one that bears what runs
    .sort((a, b) => a.boreMm - b.boreMm || unfit(a, fluid) - unfit(b, fluid));
  // several makers' hoses of one size: the one that is taken, or the first; both where the one that is taken does not bear what runs
  const covered = taken?.construction === construction && unfit(taken, fluid) === 0 ? taken.boreMm : undefined;
  const one = made.filter((h, i) => h.id === taken?.id || (made.findIndex((o) => o.boreMm === h.boreMm) === i && h.boreMm !== covered));
  const [least, most] = figures.dashes;
  // the size in hand stays in sight, whichever construction is looked at
  const inHand = (h: Hose): boolean => h.id === taken?.id || (taken?.construction !== construction && h.dash === taken?.dash);
  const usual = one.filter((h) => (h.dash >= least && h.dash <= most) || inHand(h));
  if (usual.length === 0) return one.slice(0, MOST_COLUMNS);
  const from = Math.max(0, one.indexOf(usual[0]!) - (usual.length < MOST_COLUMNS - 1 ? 1 : 0));
  const list = one.slice(from, one.indexOf(usual[usual.length - 1]!) + 2);
  if (list.length <= MOST_COLUMNS) return list;
  const at = Math.max(0, list.findIndex(inHand));
  const start = Math.min(Math.max(0, at - Math.floor(MOST_COLUMNS / 2)), list.length - MOST_COLUMNS);
  return list.slice(start, start + MOST_COLUMNS);
}

/** 1 for a hose that does not bear what runs. */
function unfit(hose: Hose, fluid: FluidId): number {
  return Number(fluidProblem(hose, fluid) !== undefined);
}

/** What the hose must bear, by its service, with what its surroundings add. */
export function hoseDutyOf(duty: LineDuty, rules: FlowRules): HoseDuty {
  const { fluid, figures, pressure, hottest, said } = duty;
  const around = said.aroundC === undefined ? -Infinity : said.aroundC - (said.sleeved ? rules.sleeveK : 0);
  return {
    fluid,
    pressureBar: pressure.value,
    hottestC: Math.max(hottest.value, around),
    ...(duty.coldestC === undefined ? {} : { coldestC: duty.coldestC }),
    ...(figures.suckedBar === undefined ? {} : { suckedBar: figures.suckedBar }),
    ...(said.bendMm === undefined ? {} : { bendMm: said.bendMm }),
    ...(figures.never ? { never: figures.never } : {}),
    preferred: schoolOrder(duty, rules),
  };
}

/** Constructions of a service in the order of the house. */
function schoolOrder({ figures }: LineDuty, { hoseSchool }: FlowRules): string[] {
  const usual = [...figures.usual];
  return usual.includes(hoseSchool) ? [hoseSchool, ...usual.filter((c) => c !== hoseSchool)] : usual;
}

function hosesOfDash(duty: HoseDuty, dash: number | undefined, catalogue: Catalogue): HoseVerdict[] {
  const ofDash = catalogue.hoses
    .filter((h) => h.dash === dash && h.metricMm === undefined && !h.retired)
    .sort((a, b) => unfit(a, duty.fluid) - unfit(b, duty.fluid));
  const first = ofDash.filter((h, i) => ofDash.findIndex((o) => o.construction === h.construction) === i);
  return selectHose(duty, first);
}
