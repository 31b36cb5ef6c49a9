import { fluidById } from '../fluids/index.js';
import { fluidOf, branchesIn, type Component, type ComponentKind, type Port } from '../job/index.js';
import type { Fitting } from '../fittings/index.js';
import type { AssembledLine, GraphNode } from '../lines/index.js';
import { takenBarAt } from './cooler-circuit.js';
import { COLD_SHARE, dutyOf, type DutyState, type FlowQuestion, type LineDuty, type StateId } from './duty.js';
import { pathOf, type Passed } from './flow-path.js';
import { oilOf, timesAsThick, WARM_C } from './fluid-properties.js';
import { lossBarAlong } from './line-loss.js';
import type { FlowEdge, FlowNode } from './network.js';
import { headBar } from './run-path.js';
import { figuresOf } from './service-figures.js';
import { broughtTo, consumerOf, isBrought, withSaidRestrictor } from './what-feeds.js';

/** Kinds of component that flow passes through; at all others it begins or ends. */
const PASSING: readonly ComponentKind[] = ['cooler', 'filter head', 'filter', 'plate', 'thermostat', 'valve'];

/** A line in the network: one edge, or one on each side of every tee that another line starts from. */
export interface NetworkLine {
  readonly line: AssembledLine;
  readonly duty: LineDuty;
  readonly state: DutyState | undefined;
  /** In their order from A to B; empty where nothing can be reckoned. */
  readonly edges: readonly string[];
  /** A face on a face: oil passes both ways through it. */
  readonly face?: true;
  /** Not all of it is chosen: its loss is taken as nothing. */
  readonly unknown: boolean;
}

export interface SystemNetwork {
  readonly nodes: readonly FlowNode[];
  readonly edges: readonly FlowEdge[];
  readonly lines: readonly NetworkLine[];
  /** The node of each port, by its id. */
  readonly nodeOf: (portId: string) => string;
  /** Nodes at which flow begins or ends. */
  readonly terminals: ReadonlySet<string>;
  /** Passages of components, by the id of their edge. */
  readonly inside: ReadonlyMap<string, Component>;
}

const AIR = 'air';
/** What is not known takes this, bar a L/min: next to nothing, yet enough to reckon with. */
const NEXT_TO_NOTHING = 1e-5;

/** What stands for nothing but a way through: places that are one. */
class Merged {
  private readonly up = new Map<string, string>();
  find(id: string): string {
    const parent = this.up.get(id);
    if (parent === undefined) return id;
    const root = this.find(parent);
    this.up.set(id, root);
    return root;
  }
  join(a: string, b: string): void {
    const [from, to] = [this.find(a), this.find(b)];
    if (from !== to) this.up.set(from, to);
  }
}

/**
 * The network of a job in one state, its valves and thermostats in one position. Lines that fall or stand still are told, and are no part of it.
 * @param position of every part that has one, such as `hot`
 */
export function networkOf(question: FlowQuestion, stateId: StateId, position: string): SystemNetwork {
  const { job } = question;
  const merged = new Merged();
  const edges: FlowEdge[] = [];
  const fed = new Map<string, number>();
  const held = new Map<string, number>([[AIR, 0]]);
  const inside = new Map<string, Component>();
  const terminals = new Set<string>();
  const thicker = thickerIn(question, stateId);
  for (const node of job.graph.nodes.values()) insideOf(node, job.lines, position, merged, edges, inside, thicker);
  const lines = job.lines.map((line): NetworkLine => {
    const duty = dutyOf(line, question.running);
    const state = duty.states.find((s) => s.id === stateId) ?? duty.states.find((s) => s.id === 'warm') ?? duty.states[0];
    const faces = bothFaces(line);
    if (faces) {
      for (const by of ['rim', 'core']) merged.join(`${line.portA.port.id}:${by}`, `${line.portB.port.id}:${by}`);
      galleryAt(line, question, stateId, { fed, held, terminals, merged });
      return { line, duty, state, edges: [], unknown: false, face: true };
    }
    if (!state || duty.figures.drive === 'still' || duty.figures.drive === 'fall') return { line, duty, state, edges: [], unknown: false };
    const path = pathOf(line);
    // between two pressures that are held, a line of which nothing is known would let everything through
    if (!path && duty.figures.drive === 'pressure' && consumerOf(line).length === 0) return { line, duty, state, edges: [], unknown: true };
    const passed = path ? withSaidRestrictor(path, line).passed : undefined;
    const places = placesAlong(line, passed);
    const made = places.slice(1).map((to, i): FlowEdge => {
      const from = places[i]!;
      const part = passed?.slice(from.after, to.after);
      const head = i === 0 ? headBar(duty.said.fallMm ?? 0, state.fluid.densityKgM3) : 0;
      return {
        id: `${line.line.id}:${i}`,
        from: from.id,
        to: to.id,
        loss:
          part && part.length > 0 ? (flowLpm) => lossBarAlong(part, { ...state.fluid, flowLpm }) : (flowLpm) => NEXT_TO_NOTHING * flowLpm,
        ...(head === 0 ? {} : { headBar: head }),
        ...(part?.length && hasCheckValve(line) ? { oneWay: true } : {}),
      };
    });
    edges.push(...made);
    return { line, duty, state, edges: made.map((e) => e.id), unknown: !path || path.unknown.length > 0 };
  });
  for (const one of lines) drive(one, question, { fed, held, edges, terminals, merged });
  const ids = new Set<string>([AIR]);
  const joined = edges.map((e) => ({ ...e, from: merged.find(e.from), to: merged.find(e.to) }));
  const running = joined.filter((e) => e.from !== e.to);
  for (const { from, to } of running) ids.add(from).add(to);
  const fedAt = atNodes(fed, merged, (a, b) => a + b);
  const heldAt = atNodes(held, merged, Math.max);
  const nodes = [...ids].map((id): FlowNode => {
    const [heldBar, fedLpm] = [heldAt.get(id), fedAt.get(id)];
    return { id, ...(heldBar === undefined ? {} : { heldBar }), ...(fedLpm === undefined || heldBar !== undefined ? {} : { fedLpm }) };
  });
  return { nodes, edges: running, lines, nodeOf: (portId) => merged.find(portId), terminals, inside };
}

/** What is said of ports, by the nodes that they are joined to. */
function atNodes(said: ReadonlyMap<string, number>, merged: Merged, both: (a: number, b: number) => number): Map<string, number> {
  const at = new Map<string, number>();
  for (const [key, value] of said) {
    const id = merged.find(key);
    const before = at.get(id);
    at.set(id, before === undefined ? value : both(before, value));
  }
  return at;
}

/** How many times as thick as warm the oil is in a state: what coolers, filters and elements take scales with it. */
function thickerIn({ running }: FlowQuestion, stateId: StateId): number {
  const tempC = stateId === 'cold' ? running.coldC : stateId === 'warm' ? WARM_C : running.hottestC;
  return running.oil && tempC !== undefined ? timesAsThick(oilOf(running.oil), tempC) : 1;
}

interface Driven {
  readonly fed: Map<string, number>;
  readonly held: Map<string, number>;
  readonly edges: FlowEdge[];
  readonly terminals: Set<string>;
  readonly merged: Merged;
}

/**
 * The face round the post of an engine is the gallery's way out and in: the pump gives into what lies round the post, and what comes back through
 * it is held at the pressure of the gallery.
 */
function galleryAt(
  { portA, portB }: AssembledLine,
  { job, running }: FlowQuestion,
  stateId: StateId,
  { fed, held, terminals, merged }: Omit<Driven, 'edges'>,
): void {
  const engine = [portA, portB].find(({ component }) => !job.graph.nodes.get(component.id)?.part && !PASSING.includes(component.kind));
  if (!engine) return;
  const { id } = engine.port;
  const { pumpLpm = figuresOf('cooler').flowLpm!, idleRevs, mostRevs, idleBar, fullBar } = running;
  const share =
    stateId === 'cold' || stateId === 'idle' ? (idleRevs !== undefined && mostRevs !== undefined ? idleRevs / mostRevs : COLD_SHARE) : 1;
  fed.set(`${id}:rim`, pumpLpm * share);
  held.set(`${id}:core`, (stateId === 'idle' ? idleBar : fullBar) ?? 0);
  terminals.add(merged.find(`${id}:rim`)).add(merged.find(`${id}:core`));
}

/** What a line begins and ends on: a pump that gives or sucks, a pressure that is held, bearings that use it up. */
function drive(
  { line, duty, state, edges }: NetworkLine,
  question: FlowQuestion,
  { fed, held, edges: all, terminals, merged }: Driven,
): void {
  if (!state || edges.length === 0) return;
  const [a, b] = [line.portA, line.portB].map(({ port }) => port.id) as [string, string];
  const begins = isTerminal(question, line.portA.component, line.portA.port, line);
  const ends = isTerminal(question, line.portB.component, line.portB.port, line);
  if (begins) terminals.add(merged.find(a));
  if (ends) terminals.add(merged.find(b));
  const drained = isBrought(line, duty, question.job) ? broughtTo(line, question, state).lpm * (duty.figures.airTimes ?? 1) : undefined;
  switch (duty.figures.drive) {
    case 'pressure': {
      if (begins && state.sourceBar !== undefined) held.set(a, state.sourceBar);
      const holes = consumerOf(line);
      if (holes.length === 0) {
        if (ends) held.set(b, 0);
      } else
        all.push({ id: `${line.line.id}:used`, from: b, to: AIR, loss: (flowLpm) => lossBarAlong(holes, { ...state.fluid, flowLpm }) });
      return;
    }
    case 'suction':
      if (begins) held.set(a, 0);
      if (ends) fed.set(b, -(drained ?? state.flowLpm ?? 0));
      return;
    case 'flow':
    case 'fall':
    case 'still':
      if (begins) fed.set(a, drained ?? state.flowLpm ?? 0);
      if (ends) held.set(b, 0);
  }
}

/**
 * Flow begins or ends at a component that it does not pass, and at one that it leaves by its fall alone; the open end of a tee is a place on the
 * way. What goes into a cooler with nothing behind it has no end: that is told.
 */
function isTerminal({ job, running }: FlowQuestion, component: Component, port: Port, line: AssembledLine): boolean {
  if (port.openEnd) return false;
  const part = job.graph.nodes.get(component.id)?.part;
  if (part ? !part.body || part.body.passages.length === 0 : !PASSING.includes(component.kind)) return true;
  return job.lines.some(
    (other) =>
      other !== line &&
      fluidGroup(other) === fluidGroup(line) &&
      [other.portA, other.portB].some((end) => end.component.id === component.id) &&
      dutyOf(other, running).figures.drive === 'fall',
  );
}

function fluidGroup({ line }: Pick<AssembledLine, 'line'>): string {
  return fluidById(fluidOf(line)).group;
}

function portsInUse({ ports }: GraphNode, lines: readonly AssembledLine[], group: string): string[] {
  const used = new Set(lines.filter((l) => fluidGroup(l) === group).flatMap(({ portA, portB }) => [portA.port.id, portB.port.id]));
  return ports.filter((p) => used.has(p.id)).map((p) => p.id);
}

/** What leads to what inside a component in a position: by the passages of its part, or all of one fluid where nothing is known of it. */
function insideOf(
  node: GraphNode,
  lines: readonly AssembledLine[],
  position: string,
  merged: Merged,
  edges: FlowEdge[],
  inside: Map<string, Component>,
  thicker: number,
): void {
  const { component, part, ports } = node;
  const { takesBar, atLpm } = component.flow ?? {};
  const takes = takesBar !== undefined && takesBar > 0 && atLpm !== undefined ? { takesBar, atLpm } : undefined;
  const add = (from: string, to: string, oneWay?: true): void => {
    if (!takes && !oneWay) return merged.join(from, to);
    const id = `${component.id}:${edges.length}`;
    inside.set(id, component);
    edges.push({
      id,
      from,
      to,
      loss: takes ? (flowLpm) => takenBarAt(takes, flowLpm, thicker) : (flowLpm) => NEXT_TO_NOTHING * flowLpm,
      ...(oneWay ? { oneWay } : {}),
    });
  };
  if (part) return insidePart(part, ports, position, add);
  if (!PASSING.includes(component.kind)) return;
  for (const group of new Set(lines.map(fluidGroup))) {
    const used = portsInUse(node, lines, group);
    used.slice(1).forEach((id, i) => add(used[i]!, id));
  }
}

function insidePart(part: Fitting, ports: readonly Port[], position: string, add: (from: string, to: string, oneWay?: true) => void): void {
  const place = (end: number, by: string | undefined): string | undefined => {
    const port = ports.find((p) => p.end === end);
    return port && (by ? `${port.id}:${by}` : port.id);
  };
  // what is screwed over a post takes from round it and gives into it
  if (part.body && part.body.passages.length === 0 && part.ends.length === 1) {
    const [rim, core] = [place(0, 'rim'), place(0, 'core')];
    if (rim && core) add(rim, core);
    return;
  }
  for (const { from, fromBy, to, toBy, when, oneWay } of part.body?.passages ?? []) {
    if (when && when !== position && when !== 'open') continue;
    const [a, b] = [place(from, fromBy), place(to, toBy)];
    if (a && b) add(a, b, oneWay);
  }
}

/** A face on a face: oil passes round the post and through it. */
function bothFaces({ portA, portB, pieces }: AssembledLine): boolean {
  return pieces.length === 0 && [portA, portB].every(({ port }) => port.connector?.family === 'post');
}

function hasCheckValve({ ways }: AssembledLine): boolean {
  return ways.some((way) => way.fittings?.some(({ fitting }) => fitting.oneWay));
}

/** The places along a line where another starts from it, with how much of the path lies before each. */
function placesAlong({ line, portA, portB, ways }: AssembledLine, passed: readonly Passed[] | undefined): { id: string; after: number }[] {
  const end = passed?.length ?? 0;
  const tees = branchesIn(line).flatMap(({ to, portId, at }, i) => {
    if (to !== 'line' || !portId) return [];
    const way = ways.find((w) => w.kept.chosen?.branches.includes(branchesIn(line)[i]!));
    const key = way?.fittings?.[at]?.key;
    const index = passed?.findIndex((p) => p.key !== undefined && p.key === key) ?? -1;
    return [{ id: portId, after: index < 0 ? end : index + 1 }];
  });
  return [{ id: portA.port.id, after: 0 }, ...tees.sort((a, b) => a.after - b.after), { id: portB.port.id, after: end }];
}
