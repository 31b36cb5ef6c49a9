import type { Component } from '../job/index.js';
import type { AssembledLine } from '../lines/index.js';
import { coolerNeed } from './cooler-circuit.js';
import type { FlowQuestion, LineDuty, Missing, StateId } from './duty.js';
import { fluidProperties } from './fluid-properties.js';
import { balance, type BalancedFlow, type FlowEdge, type FlowNode } from './network.js';
import { networkOf, type NetworkLine, type SystemNetwork } from './system-network.js';
import { FlowFigureError } from './viscosity.js';
import { broughtTo } from './what-feeds.js';
import { quantity } from '../units/index.js';

/** What runs in a line of the whole. */
export interface SystemLine {
  readonly line: AssembledLine;
  readonly duty: LineDuty;
  /** From A to B, L/min; negative where it runs back. Undefined where it cannot be told. */
  readonly flowLpm?: number;
  readonly lossBar?: number;
  /** At A and at B, bar above the air around. */
  readonly bars?: readonly [number, number];
  readonly tempC?: number;
  /** `balanced` in the network, `brought` by what feeds it, nothing runs (`still`), one `face` on another. */
  readonly how: 'balanced' | 'brought' | 'still' | 'open' | 'face';
  /** What is not all chosen takes nothing here. */
  readonly unknown: boolean;
}

export interface SystemProblem {
  readonly kind: 'dead-end' | 'loop' | 'against' | 'does-not-balance';
  readonly lineIds: readonly string[];
  readonly componentId?: string;
  readonly words: string;
}

export interface JobSystem {
  readonly components: readonly Component[];
  readonly lines: readonly SystemLine[];
  readonly problems: readonly SystemProblem[];
  readonly missing: readonly Missing[];
}

/** Less than this is nothing, L/min. */
const NOTHING = 1e-3;

/** A job's flow as one: what runs in each line, where it ends blind, runs round or against its line. */
export function systemOf(question: FlowQuestion, stateId: StateId, position: 'cold' | 'hot'): JobSystem {
  const network = networkOf(question, stateId, position);
  const { job, running, rules } = question;
  const { components, ports } = job.document;
  const { flows, pressures, problems } = balanceParts(network, [running, rules, components, ports, job.catalogue, stateId, position]);
  const cooled = cooledLines(question, network, flows);
  const edgeById = new Map(network.edges.map((e) => [e.id, e]));
  const lines = network.lines.map((one) => lineOf(one, question, flows, pressures, { edgeById, nodeOf: network.nodeOf }, cooled));
  const missing = [...new Map(network.lines.flatMap((l) => l.duty.missing).map((m) => [`${m.of}.${m.field}`, m])).values()];
  return {
    components: question.job.document.components,
    lines,
    problems: [...problems, ...against(lines), ...(position === 'hot' ? deadEnds(lines, problems) : [])],
    missing,
  };
}

interface Balanced {
  readonly flows: Map<string, number>;
  readonly pressures: Map<string, number>;
  readonly problems: SystemProblem[];
}

/** Each part of the network by itself: what does not balance leaves the rest as it is. */
function balanceParts({ nodes, edges, lines, terminals }: SystemNetwork, all: readonly unknown[]): Balanced {
  const flows = new Map<string, number>();
  const pressures = new Map<string, number>();
  const problems: SystemProblem[] = [];
  for (const part of partsOf(edges)) {
    const ids = new Set(part.flatMap(({ from, to }) => [from, to]));
    const own = nodes.filter((n) => ids.has(n.id));
    const edgeIds = new Set(part.map((e) => e.id));
    const touched = lines.filter((l) => l.edges.some((id) => edgeIds.has(id)));
    const lineIds = touched.map((l) => l.line.line.id);
    const names = touched.map((l) => `L${l.line.line.number}`).join(', ');
    if (lineIds.length === 0) continue;
    if (!own.some((n) => n.heldBar !== undefined)) {
      const ring = !own.some((n) => terminals.has(n.id));
      problems.push(
        ring
          ? {
              kind: 'loop',
              lineIds,
              words: `${names}: a ring that nothing drives. Take it to a pump, to a gallery, or put its plate on the post of the block.`,
            }
          : { kind: 'dead-end', lineIds, words: `${names}: what goes in has no way out.` },
      );
      continue;
    }
    try {
      const from = [...all, ...touched.map((l) => l.line), JSON.stringify([own, part.map((e) => e.id)])];
      const found = balanceOnce(own, part, touched[0]!.line, from);
      for (const [id, lpm] of Object.entries(found.flowLpm)) flows.set(id, lpm);
      for (const [id, bar] of Object.entries(found.pressureBar)) pressures.set(id, bar);
    } catch (error) {
      if (!(error instanceof FlowFigureError)) throw error;
      problems.push({ kind: 'does-not-balance', lineIds, words: `${names}: ${error.message} ${error.hint}` });
    }
  }
  return { flows, pressures, problems };
}

/** The last answer for a part, by its first line: as long as all that it hangs on is the same, it is not solved again. */
const solved = new WeakMap<AssembledLine, { readonly from: readonly unknown[]; readonly found: BalancedFlow }>();

/** @throws {FlowFigureError} */
function balanceOnce(nodes: readonly FlowNode[], edges: readonly FlowEdge[], first: AssembledLine, from: readonly unknown[]): BalancedFlow {
  const before = solved.get(first);
  if (before?.from.length === from.length && before.from.every((one, i) => one === from[i])) return before.found;
  const found = balance(nodes, edges);
  solved.set(first, { from, found });
  return found;
}

function partsOf(edges: readonly FlowEdge[]): FlowEdge[][] {
  const left = new Set(edges);
  const parts: FlowEdge[][] = [];
  for (const first of left) {
    left.delete(first);
    const part = [first];
    // the air is everywhere: what meets there only is not joined
    const ids = new Set([first.from, first.to].filter((id) => id !== 'air'));
    for (let grown = true; grown;) {
      grown = false;
      for (const e of left) {
        if (!ids.has(e.from) && !ids.has(e.to)) continue;
        left.delete(e);
        part.push(e);
        for (const id of [e.from, e.to]) if (id !== 'air') ids.add(id);
        grown = true;
      }
    }
    parts.push(part);
  }
  return parts;
}

function lineOf(
  { line, duty, state, edges, unknown, face }: NetworkLine,
  question: FlowQuestion,
  flows: ReadonlyMap<string, number>,
  pressures: ReadonlyMap<string, number>,
  { edgeById, nodeOf }: Pick<SystemNetwork, 'nodeOf'> & { readonly edgeById: ReadonlyMap<string, FlowEdge> },
  cooled: ReadonlyMap<string, number>,
): SystemLine {
  const temp = state ? { tempC: cooled.get(line.line.id) ?? state.tempC } : {};
  const { drive } = duty.figures;
  if (face) return { line, duty, how: 'face', unknown };
  if (!state || drive === 'still') return { line, duty, how: drive === 'still' ? 'still' : 'open', unknown };
  if (drive === 'fall') return { line, duty, flowLpm: broughtTo(line, question, state).lpm, ...temp, how: 'brought', unknown };
  const known = edges.flatMap((id) => (flows.has(id) ? [{ id, lpm: flows.get(id)! }] : []));
  if (known.length === 0) return { line, duty, how: 'open', unknown };
  const loss = known.reduce((sum, { id, lpm }) => sum + Math.abs(lossOf(edgeById.get(id), lpm)), 0);
  const flowLpm = Math.max(...known.map((k) => Math.abs(k.lpm))) * Math.sign(known[0]!.lpm || 1);
  const [a, b] = [line.portA, line.portB].map(({ port }) => pressures.get(nodeOf(port.id)));
  const bars = a === undefined || b === undefined ? {} : { bars: [a, b] as const };
  return { line, duty, ...bars, flowLpm: Math.abs(flowLpm) < NOTHING ? 0 : flowLpm, lossBar: loss, ...temp, how: 'balanced', unknown };
}

function lossOf(edge: FlowEdge | undefined, lpm: number): number {
  return edge ? edge.loss(Math.abs(lpm)) : 0;
}

/** Lines that run the other way than they are drawn. */
function against(lines: readonly SystemLine[]): SystemProblem[] {
  return lines
    .filter(({ flowLpm }) => flowLpm !== undefined && flowLpm < -NOTHING)
    .map(({ line, flowLpm }) => ({
      kind: 'against',
      lineIds: [line.line.id],
      words: `L${line.line.number} ${line.line.name}: ${quantity(Math.abs(flowLpm!).toFixed(1), 'L/min')} run from B to A, against the line.`,
    }));
}

/** Lines that should carry something and do not, with everything open. */
function deadEnds(lines: readonly SystemLine[], told: readonly SystemProblem[]): SystemProblem[] {
  const known = new Set(told.flatMap((p) => p.lineIds));
  return lines
    .filter(({ line, flowLpm, how }) => how === 'balanced' && flowLpm === 0 && !known.has(line.line.id))
    .map(({ line }) => ({
      kind: 'dead-end',
      lineIds: [line.line.id],
      words: `L${line.line.number} ${line.line.name}: nothing runs through it, it leads nowhere.`,
    }));
}

/** Lines behind a cooler, with what the oil has left, °C. */
function cooledLines(
  { job, running, rules }: FlowQuestion,
  network: SystemNetwork,
  flows: ReadonlyMap<string, number>,
): ReadonlyMap<string, number> {
  const cooled = new Map<string, number>();
  const { powerKw, airC } = running;
  if (powerKw === undefined || airC === undefined) return cooled;
  const coolers = new Set(job.document.components.filter((c) => c.kind === 'cooler').map((c) => c.id));
  const leads = (one: NetworkLine): boolean => one.edges.some((id) => Math.abs(flows.get(id) ?? 0) > NOTHING);
  let front = network.lines.filter((one) => coolers.has(one.line.portA.component.id) && one.state && leads(one));
  for (const one of front) {
    const { oil } = one.duty;
    const lpm = Math.abs(flows.get(one.edges[0]!) ?? 0);
    if (!oil || !one.state || one.state.tempC <= airC) continue;
    const { densityKgM3, heatJKgK } = fluidProperties(one.duty.fluid, { tempC: one.state.tempC, oil });
    const { backC } = coolerNeed({
      powerKw,
      heatToOilPercent: rules.heatToOilPercent,
      flowLpm: lpm,
      densityKgM3,
      heatJKgK,
      oilC: one.state.tempC,
      airC,
    });
    cooled.set(one.line.line.id, Math.max(airC, backC));
  }
  // on through whatever it passes, as long as nothing else comes in
  while (front.length > 0) {
    const next = network.lines.filter(
      (one) => !cooled.has(one.line.line.id) && front.some((f) => cooled.has(f.line.line.id) && joins(f, one, network)),
    );
    for (const one of next) cooled.set(one.line.line.id, cooled.get(front.find((f) => joins(f, one, network))!.line.line.id)!);
    front = next;
  }
  return cooled;
}

function joins(from: NetworkLine, to: NetworkLine, { nodeOf, terminals }: SystemNetwork): boolean {
  const end = nodeOf(from.line.portB.port.id);
  return !terminals.has(end) && to.edges.length > 0 && nodeOf(to.line.portA.port.id) === end;
}
