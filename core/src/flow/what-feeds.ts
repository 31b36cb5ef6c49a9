import type { Component } from '../job/index.js';
import type { AssembledJob, AssembledLine } from '../lines/index.js';
import { dutyOf, type DutyState, type FlowQuestion } from './duty.js';
import { pathOf, type FlowPath, type Passed } from './flow-path.js';
import { flowIn } from './run-path.js';
import { turboNeeds, type Bearing } from './turbo.js';
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

/**
 * What uses up the pressure behind a line: the bearings of a turbo, the orifice of a bypass filter. Empty where nothing does that is known.
 */
export function consumerOf(assembled: AssembledLine): readonly Passed[] {
  const { line, portB } = assembled;
  if (line.service === 'turbo-feed') return turboNeeds[bearingOf(assembled)].bearings;
  if (line.service !== 'bypass-feed') return [];
  const bores =
    portB.part?.body?.passages.flatMap(({ boreMm, from }) => (boreMm !== undefined && from === portB.port.end ? [boreMm] : [])) ?? [];
  return bores.length > 0 ? [hole(`orifice of ${portB.part!.name}`, Math.min(...bores))] : [];
}

/** The lines that feed what a drain empties: those of a turbo or bypass filter that come to the component it starts on. */
export function feedsOf({ line, portA, portB }: AssembledLine, { lines }: Pick<AssembledJob, 'lines'>): AssembledLine[] {
  const wanted = line.service === 'turbo-drain' ? 'turbo-feed' : line.service === 'bypass-return' ? 'bypass-feed' : undefined;
  const drained = new Set([portA.component.id, portB.component.id]);
  return lines.filter((l) => l.line.service === wanted && [l.portA, l.portB].some(({ component }) => feeds(component, drained)));
}

function feeds({ id, kind }: Component, drained: ReadonlySet<string>): boolean {
  return drained.has(id) && kind !== 'block' && kind !== 'pan' && kind !== 'pump';
}

/** What comes to a drain in a state, L/min, and from where; the usual flow of its service where no feed of it is whole. */
export function broughtTo(
  assembled: AssembledLine,
  question: FlowQuestion,
  state: DutyState,
): { readonly lpm: number; readonly from: string } {
  const { flowLpm, source } = dutyOf(assembled, question.running).figures;
  const said = assembled.line.flow?.flowLpm;
  if (said !== undefined) return { lpm: said, from: 'said of this line' };
  const feeding = feedsOf(assembled, question.job).flatMap((feed) => {
    const lpm = feedFlow(feed, question, state);
    return lpm === undefined ? [] : [{ number: feed.line.number, lpm }];
  });
  if (feeding.length === 0) return { lpm: flowLpm ?? 0, from: source };
  return { lpm: feeding.reduce((sum, f) => sum + f.lpm, 0), from: `what ${feeding.map((f) => `L${f.number}`).join(' and ')} brings` };
}

/** What a feed brings at the temperature of a state and the pressure of the engine, L/min; undefined while it is not whole. */
function feedFlow(feed: AssembledLine, { running }: FlowQuestion, { tempC, id }: DutyState): number | undefined {
  const duty = dutyOf(feed, running);
  if (duty.flow?.from === 'line') return duty.flow.value;
  const path = pathOf(feed);
  const fluid = duty.at(tempC);
  const sourceBar = id === 'idle' ? running.idleBar : running.fullBar;
  if (!path || !fluid || sourceBar === undefined) return undefined;
  const { passed } = withSaidRestrictor(path, feed);
  return flowIn(passed, duty, { id, name: '', tempC, fluid, sourceBar }, consumerOf(feed), 0);
}
