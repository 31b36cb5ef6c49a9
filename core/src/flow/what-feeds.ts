import { kindOf } from '../fittings/index.js';
import type { Component, Running, ServiceId } from '../job/index.js';
import type { AssembledJob, AssembledLine } from '../lines/index.js';
import { dutyOf, type DutyState, type FlowQuestion, type LineDuty } from './duty.js';
import { flowAtLoss } from './find-flow.js';
import { pathOf, type FlowPath, type Passed } from './flow-path.js';
import { lossBarAlong } from './line-loss.js';
import { flowIn } from './run-path.js';
import { flowThroughHoles, turboNeeds, type Bearing } from './turbo.js';
import { quantity } from '../units/index.js';

/** A drilled hole on the way. */
export function hole(name: string, boreMm: number): Passed {
  return { name, kind: 'restrictor', boreMm, lengthMm: 0, turns: [] };
}

/** With the restrictor that was said of the line, where it ends. */
export function withSaidRestrictor({ passed, unknown }: FlowPath, { line }: Pick<AssembledLine, 'line'>): FlowPath {
  const bore = line.flow?.restrictorMm;
  if (bore === undefined || passed.length === 0) return { passed, unknown };
  return { passed: [...passed.slice(0, -1), hole(`restrictor ${quantity(bore, 'mm')}`, bore), passed[passed.length - 1]!], unknown };
}

/** The bearings that a feed is reckoned with: journals where nothing is said, which take more. */
export function bearingOf({ line }: Pick<AssembledLine, 'line'>): Bearing {
  return line.flow?.bearing ?? 'journal';
}

/** What a bypass filter's canister comes with, mm, where its orifice is not known. Common practice: 1.5 to 1.6. */
export const USUAL_ORIFICE_MM = 1.5;

/**
 * What uses up the pressure behind a line: the bearings of a turbo, the orifice of a bypass filter, the usual one where it is not known and
 * nothing else in the line holds the flow. Empty where nothing does.
 */
export function consumerOf(assembled: AssembledLine): readonly Passed[] {
  const { line, portB, ways } = assembled;
  if (line.service === 'turbo-feed') return turboNeeds[bearingOf(assembled)].bearings;
  if (line.service !== 'bypass-feed') return [];
  const orifice = orificeOf(assembled);
  if (orifice !== undefined) return [hole(`orifice of ${portB.part!.name}`, orifice)];
  const held =
    line.flow?.restrictorMm !== undefined || ways.some((w) => w.fittings?.some(({ fitting }) => kindOf(fitting) === 'restrictor'));
  return held
    ? []
    : [hole(`orifice of ${portB.component.name}, taken to be the usual ${quantity(USUAL_ORIFICE_MM, 'mm')}`, USUAL_ORIFICE_MM)];
}

/** The orifice of the canister that a bypass feed leads to, where its part says it, mm. */
export function orificeOf({ portB }: Pick<AssembledLine, 'portB'>): number | undefined {
  const bores =
    portB.part?.body?.passages.flatMap(({ boreMm, from }) => (boreMm !== undefined && from === portB.port.end ? [boreMm] : [])) ?? [];
  return bores.length > 0 ? Math.min(...bores) : undefined;
}

/** That orifice as a hole on the way. */
export function orificeHole(line: Pick<AssembledLine, 'portB'>): Passed | undefined {
  const bore = orificeOf(line);
  return bore === undefined ? undefined : hole(`the orifice of ${line.portB.component.name}`, bore);
}

/** Services whose lines carry what the feed of a turbo brings, once it has run through. */
const EMPTIES_TURBO: readonly ServiceId[] = ['turbo-drain', 'scavenge', 'return', 'tank'];

/**
 * The lines that feed what a drain empties: those of a turbo or bypass filter that come to the component it starts on; behind a scavenge pump
 * those of what the pump sucks from.
 */
export function feedsOf(line: AssembledLine, job: Pick<AssembledJob, 'lines'>): AssembledLine[] {
  const { service } = line.line;
  const wanted = EMPTIES_TURBO.includes(service) ? 'turbo-feed' : service === 'bypass-return' ? 'bypass-feed' : undefined;
  if (!wanted) return [];
  const pump = line.portA.component;
  const emptied =
    pump.kind === 'pump'
      ? job.lines.filter((l) => l !== line && l.portB.component.id === pump.id && ['turbo-drain', 'scavenge'].includes(l.line.service))
      : [line];
  const drained = new Set(
    emptied
      .flatMap(({ portA, portB }) => [portA.component, portB.component])
      .filter(isDrained)
      .map((c) => c.id),
  );
  return job.lines.filter((l) => l.line.service === wanted && [l.portA, l.portB].some(({ component }) => drained.has(component.id)));
}

/** What feeds lead to and drains leave: not what they come from and go to. */
function isDrained({ kind }: Component): boolean {
  return kind !== 'block' && kind !== 'pan' && kind !== 'pump' && kind !== 'tank';
}

/** The flow of a line is what is brought to it, by its fall or pushed or sucked: that of its feeds, and not of the engine's pump. */
export function isBrought(line: AssembledLine, { figures }: Pick<LineDuty, 'figures'>, job: Pick<AssembledJob, 'lines'>): boolean {
  if (line.line.flow?.flowLpm !== undefined && figures.drive !== 'fall') return false;
  if (figures.drive === 'fall' || line.line.service === 'turbo-drain' || line.line.service === 'bypass-return') return true;
  return feedsOf(line, job).length > 0;
}

/**
 * What comes to a drain in a state, L/min of oil, and from where. Where no feed of it is whole: what the bearings of a turbo let through at the
 * pressure of the engine, or the usual flow of its service.
 */
export function broughtTo(
  assembled: AssembledLine,
  question: FlowQuestion,
  state: DutyState,
): { readonly lpm: number; readonly from: string } {
  const said = assembled.line.flow?.flowLpm;
  if (said !== undefined) return { lpm: said, from: 'said of this line' };
  const feeding = feedsOf(assembled, question.job).flatMap((feed) => {
    const lpm = feedFlow(feed, question, state);
    return lpm === undefined ? [] : [{ number: feed.line.number, lpm }];
  });
  if (feeding.length > 0)
    return { lpm: feeding.reduce((sum, f) => sum + f.lpm, 0), from: `what ${feeding.map((f) => `L${f.number}`).join(' and ')} brings` };
  return unfed(assembled, question, state);
}

/** Without a feed that can be reckoned: bearings, or the usual orifice, straight on the gallery. */
function unfed(assembled: AssembledLine, { running }: FlowQuestion, state: DutyState): { readonly lpm: number; readonly from: string } {
  const { figures, at } = dutyOf(assembled, running);
  const bar = sourceOf(running, state);
  const fluid = at(state.tempC);
  const bearing = assembled.line.flow?.bearing ?? 'journal';
  if (bar === undefined || !fluid) return { lpm: figures.flowLpm ?? 0, from: `${figures.source}, a guess` };
  if (assembled.line.service === 'turbo-drain')
    return {
      lpm: flowAtLoss((flowLpm) => lossBarAlong(turboNeeds[bearing].bearings, { ...fluid, flowLpm }), bar),
      from: `no feed of it is whole: what ${turboNeeds[bearing].name} let through at ${quantity(bar, 'bar')}, a guess`,
    };
  if (assembled.line.service === 'bypass-return')
    return {
      lpm: flowThroughHoles([USUAL_ORIFICE_MM], bar, fluid),
      from: `no feed of it is whole: the usual orifice of ${quantity(USUAL_ORIFICE_MM, 'mm')} at ${quantity(bar, 'bar')}, a guess`,
    };
  return { lpm: figures.flowLpm ?? 0, from: `${figures.source}, a guess` };
}

function sourceOf(running: Running, { id }: DutyState): number | undefined {
  return id === 'idle' ? running.idleBar : running.fullBar;
}

/** What a feed brings at the temperature of a state and the pressure of the engine, L/min; undefined while it is not whole. */
function feedFlow(feed: AssembledLine, { running }: FlowQuestion, state: DutyState): number | undefined {
  const { tempC, id } = state;
  const duty = dutyOf(feed, running);
  if (duty.flow?.from === 'line') return duty.flow.value;
  const path = pathOf(feed);
  const fluid = duty.at(tempC);
  const sourceBar = sourceOf(running, state);
  if (!path || !fluid || sourceBar === undefined) return undefined;
  const { passed } = withSaidRestrictor(path, feed);
  return flowIn(passed, duty, { id, name: '', tempC, fluid, sourceBar }, consumerOf(feed), 0);
}
