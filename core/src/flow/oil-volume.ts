import { fluidById } from '../fluids/index.js';
import { findFitting, fluidOf, type Component, type Running } from '../job/index.js';
import type { AssembledJob, AssembledLine } from '../lines/index.js';
import { pathOf, type Passed } from './flow-path.js';
import { litresIn } from './run-path.js';
import { figuresOf } from './service-figures.js';
import { thermostatsOf } from './thermostats.js';

export interface LineVolume {
  readonly line: AssembledLine;
  /** Undefined while its hose or its length is open. */
  readonly litres?: number;
}
export interface ComponentVolume {
  readonly component: Component;
  /** Undefined while nobody has said it. */
  readonly litres?: number;
}

export interface OilVolume {
  readonly lines: readonly LineVolume[];
  readonly components: readonly ComponentVolume[];
  /** Of lines and components, as far as it is known, L. */
  readonly addedL: number;
  /** With the sump, where that is known. */
  readonly totalL?: number;
  /** Cans to buy for one filling, where their size is known. */
  readonly cans?: { readonly number: number; readonly litres: number };
  /** Litres of each filling: before the start, after the first run, after the thermostat has opened. */
  readonly rounds: readonly { readonly when: string; readonly litres: number }[];
  /** What is not known, in words. */
  readonly missing: readonly string[];
}

/** Kinds of component that hold oil of their own. */
const HOLDING: readonly Component['kind'][] = ['cooler', 'filter', 'tank'];
/** A drain and a breather hold nothing that the level would miss once the engine stands; while it runs a drain is half full. Common practice. */
const DRAIN_SHARE = 0.5;

/** The oil that a job swallows: each line, each component, what to fill and when, what to buy. */
export function oilVolume(job: AssembledJob, running: Running): OilVolume {
  const oily = job.lines.filter(
    ({ line, pieces }) => fluidById(fluidOf(line)).group === 'oil' && line.service !== 'breather' && pieces.length > 0,
  );
  const lines = oily.map((line): LineVolume => {
    const path = pathOf(line);
    const passed: readonly Passed[] | undefined = path?.passed;
    const share = figuresOf(line.line.service).drive === 'fall' ? DRAIN_SHARE : 1;
    return { line, ...(passed ? { litres: litresIn(passed) * share } : {}) };
  });
  // what was said of it goes before what its part is made to hold
  const holdsOf = ({ part, flow }: Component): number | undefined =>
    flow?.holdsL ?? (part ? findFitting(job.catalogue, part.id)?.body?.holdsL : undefined);
  const touched = new Set(oily.flatMap(({ portA, portB }) => [portA.component.id, portB.component.id]));
  const components = job.document.components
    .filter((c) => holdsOf(c) !== undefined || (HOLDING.includes(c.kind) && (touched.has(c.id) || c.part)))
    .map((component): ComponentVolume => {
      const litres = holdsOf(component);
      return { component, ...(litres === undefined ? {} : { litres }) };
    });
  const behind = behindThermostat(job);
  const sum = (list: readonly { litres?: number }[]): number => list.reduce((all, one) => all + (one.litres ?? 0), 0);
  const later = sum(lines.filter((l) => behind.has(l.line.line.id))) + sum(components.filter((c) => behind.has(c.component.id)));
  const addedL = sum(lines) + sum(components);
  // a tank is filled before anything turns: its pump sucks from it
  const tanks = sum(components.filter((c) => c.component.kind === 'tank'));
  const { sumpL, canL } = running;
  const missing = [
    ...lines.flatMap((l) =>
      l.litres === undefined ? [`L${l.line.line.number} ${l.line.line.name}: not all of it is chosen and taped`] : [],
    ),
    ...components.flatMap((c) => (c.litres === undefined ? [`${c.component.name}: how much it holds`] : [])),
    ...(sumpL === undefined ? ['what the engine itself takes'] : []),
    ...(canL === undefined ? ['the can it is sold in'] : []),
  ];
  const totalL = sumpL === undefined ? undefined : sumpL + addedL;
  return {
    lines,
    components,
    addedL,
    ...(totalL === undefined ? {} : { totalL }),
    ...(totalL === undefined || canL === undefined ? {} : { cans: { number: Math.ceil(totalL / canL - 1e-9), litres: canL } }),
    rounds: [
      ...(sumpL === undefined ? [] : [{ when: 'before the first start', litres: sumpL + tanks }]),
      { when: 'after the first run, stopped and level', litres: addedL - later - (sumpL === undefined ? 0 : tanks) },
      ...(later > 0 ? [{ when: 'after the thermostat has opened', litres: later }] : []),
    ],
    missing,
  };
}

/** Lines and components that fill only once a thermostat opens: the cooler's, where there is one. */
function behindThermostat(job: AssembledJob): ReadonlySet<string> {
  if (thermostatsOf(job).length === 0) return new Set();
  const coolers = new Set(job.document.components.filter((c) => c.kind === 'cooler').map((c) => c.id));
  const lines = job.lines.filter(({ portA, portB }) => [portA, portB].some(({ component }) => coolers.has(component.id)));
  return new Set([...coolers, ...lines.map((l) => l.line.id)]);
}
