import { fluidById, type FluidId } from '../fluids/index.js';
import { fluidOf, type FlowRules, type LineFlow, type Running } from '../job/index.js';
import type { AssembledJob, AssembledLine } from '../lines/index.js';
import { AIR_BAR, fluidProperties, oilOf, type ReckonedOil } from './fluid-properties.js';
import type { Stream } from './line-loss.js';
import { figuresOf, type ServiceFigures } from './service-figures.js';
import { quantity } from '../units/index.js';

/** A job with what runs in it, and what the shop reckons with. */
export interface FlowQuestion {
  readonly job: AssembledJob;
  readonly running: Running;
  readonly rules: FlowRules;
}

/** A figure with where it is from: said of the line, of the job, or usual for the service. */
export interface Figure {
  readonly value: number;
  readonly from: 'line' | 'job' | 'usual';
  readonly source: string;
}

/** Something that must be said before it can be reckoned. */
export interface Missing {
  readonly of: 'job' | 'line';
  readonly field: keyof Running | keyof LineFlow | 'length' | 'hose';
  readonly words: string;
}

export type StateId = 'cold' | 'warm' | 'idle' | 'hottest';

/** One state that a line runs in. */
export interface DutyState {
  readonly id: StateId;
  readonly name: string;
  readonly tempC: number;
  /** Where the flow is driven by a pressure: what is held, bar. */
  readonly sourceBar?: number;
  /** Where a pump gives it, L/min. */
  readonly flowLpm?: number;
  readonly fluid: Omit<Stream, 'flowLpm'>;
}

/** What a line must do, as far as it is known. */
export interface LineDuty {
  readonly figures: ServiceFigures;
  readonly fluid: FluidId;
  readonly oil?: ReckonedOil;
  readonly flow?: Figure;
  readonly pressure: Figure;
  readonly hottest: Figure;
  /** At a cold start, °C, where that is said. */
  readonly coldestC?: number;
  readonly said: LineFlow;
  readonly states: readonly DutyState[];
  readonly missing: readonly Missing[];
  /** Where a figure reaches beyond what its source holds for. */
  readonly beyond: readonly string[];
  /** The fluid at a temperature; undefined for an oil that is not said. */
  readonly at: (tempC: number) => Omit<Stream, 'flowLpm'> | undefined;
}

/** Flow at a cold start, as a share of that at most revs, where the revs are not said: a fast idle. Common practice. */
const COLD_SHARE = 0.25;
/** Warm, °C: where engines run. */
const WARM_C = 90;
/** Petrol burnt at full power, kg/kWh; what the pump gives beside it; air for it, kg/kg. Common practice, rich under boost. */
const BURNT = { kgPerKwh: 0.32, pumpGives: 2, airKgPerKg: 12 };
const BLOW_BY_LPM_PER_KW = 0.5;

/** What is asked of a line by its service, the job, and what was said of it. */
export function dutyOf(assembled: Pick<AssembledLine, 'line' | 'portB'>, running: Running): LineDuty {
  const { line } = assembled;
  const figures = drivenFigures(assembled);
  // what a breather carries is air, whatever its hose must bear
  const fluid: FluidId = line.service === 'breather' ? 'air' : fluidOf(line);
  const { group } = fluidById(fluid);
  const said = line.flow ?? {};
  const oil = group === 'oil' && running.oil ? oilOf(running.oil) : undefined;
  const missing: Missing[] = [];
  const miss = (of: Missing['of'], field: Missing['field'], words: string): void => void missing.push({ of, field, words });
  const pressure = figureOf(said.pressureBar, undefined, figures.pressureBar, figures.source);
  const hottest = figureOf(said.hottestC, group === 'oil' ? running.hottestC : undefined, figures.hottestC, figures.source);
  const at = (tempC: number): Omit<Stream, 'flowLpm'> | undefined =>
    group === 'oil' && !oil
      ? undefined
      : fluidProperties(fluid, { tempC, ...(oil ? { oil } : {}), pressureBar: standing(figures, pressure) });
  if (group === 'oil' && !oil && figures.drive !== 'still') miss('job', 'oil', 'Which oil it is');
  const flow = flowOf(figures, said, running, at(Math.min(WARM_C, hottest.value))?.densityKgM3);
  if (!flow && (figures.drive === 'flow' || figures.drive === 'suction'))
    miss('job', 'powerKw', 'The power: what runs here follows from it');
  if (line.service === 'turbo-feed' && said.bearing === undefined)
    miss('line', 'bearing', 'Ball or journal bearings; until then it is reckoned with journals, which take more');
  if (figures.drive === 'pressure' && running.fullBar === undefined) miss('job', 'fullBar', 'The pressure in the gallery at most revs');
  if (figures.drive === 'fall' && said.fallMm === undefined) miss('line', 'fallMm', 'How far it falls from its outlet to where it enters');
  if (group !== 'air' && figures.drive !== 'still' && running.coldC === undefined) miss('job', 'coldC', 'How cold it is started');
  const states = figures.drive === 'still' ? [] : statesOf(figures, running, flow, hottest.value, at, group === 'air');
  const beyond = [
    ...new Set(
      states.flatMap(({ tempC }) => {
        const found = group === 'oil' && !oil ? undefined : fluidProperties(fluid, { tempC, ...(oil ? { oil } : {}) }).beyond;
        return found ? [found] : [];
      }),
    ),
  ];
  return {
    figures,
    fluid,
    ...(oil ? { oil } : {}),
    ...(flow ? { flow } : {}),
    pressure,
    hottest,
    ...(running.coldC === undefined ? {} : { coldestC: running.coldC }),
    said,
    states,
    missing,
    beyond,
    at,
  };
}

/** By what a return comes back: a drain that leads to a pump is sucked, a return by gravity or through the filler cap falls. */
function drivenFigures({ line, portB }: Pick<AssembledLine, 'line' | 'portB'>): ServiceFigures {
  const figures = figuresOf(line.service);
  const by = line.flow?.comesBack ?? (figures.drive === 'fall' && portB.component.kind === 'pump' ? 'pump' : undefined);
  if (figures.drive === 'fall' && by === 'pump') {
    const { suckedBar, minAbsBar, maxMs, source } = figuresOf('scavenge');
    return { ...figures, drive: 'suction', suckedBar: suckedBar!, minAbsBar: minAbsBar!, maxMs: maxMs!, source };
  }
  const returns = line.service === 'return' || line.service === 'tank';
  return returns && (by === 'gravity' || by === 'filler cap') ? { ...figures, drive: 'fall' } : figures;
}

/** Boost stands in a charge pipe; a breather is at the air. */
function standing({ service }: ServiceFigures, { value }: Figure): number {
  return service === 'charge-air' ? value : 0;
}

function figureOf(ofLine: number | undefined, ofJob: number | undefined, usual: number, source: string): Figure {
  if (ofLine !== undefined) return { value: ofLine, from: 'line', source: 'said of this line' };
  if (ofJob !== undefined) return { value: ofJob, from: 'job', source: 'said of the engine' };
  return { value: usual, from: 'usual', source };
}

function flowOf(figures: ServiceFigures, said: LineFlow, running: Running, densityKgM3 = 1.2): Figure | undefined {
  if (said.flowLpm !== undefined) return { value: said.flowLpm, from: 'line', source: 'said of this line' };
  const { powerKw, pumpLpm } = running;
  if (figures.flowFrom === 'oil pump' && pumpLpm !== undefined)
    return { value: pumpLpm, from: 'job', source: 'what the oil pump gives at most revs' };
  const power = figures.flowFrom?.startsWith('power') ? powerKw : undefined;
  if (power !== undefined) return fromPower(figures.flowFrom!, power, densityKgM3);
  return figures.flowLpm === undefined ? undefined : { value: figures.flowLpm, from: 'usual', source: figures.source };
}

function fromPower(what: NonNullable<ServiceFigures['flowFrom']>, kw: number, densityKgM3: number): Figure {
  const { kgPerKwh, pumpGives, airKgPerKg } = BURNT;
  const figure = (value: number, source: string): Figure => ({ value, from: 'job', source: `common practice: ${source}` });
  if (what === 'power, fuel')
    return figure(
      (kw * kgPerKwh * pumpGives * 1000) / 60 / densityKgM3,
      `${quantity(kw, 'kW')} burn ${kgPerKwh} kg/kWh, the pump gives twice as much`,
    );
  if (what === 'power, air')
    return figure(
      (kw * kgPerKwh * airKgPerKg * 1000) / 60 / densityKgM3,
      `${quantity(kw, 'kW')} burn ${kgPerKwh} kg/kWh with ${airKgPerKg} times as much air`,
    );
  return figure(kw * BLOW_BY_LPM_PER_KW, `${quantity(BLOW_BY_LPM_PER_KW, 'L/min')} of blow-by for each kW`);
}

function statesOf(
  { drive, flowFrom }: ServiceFigures,
  running: Running,
  flow: Figure | undefined,
  hottestC: number,
  at: LineDuty['at'],
  air: boolean,
): DutyState[] {
  const { coldC, idleBar, fullBar, idleRevs, mostRevs } = running;
  const coldShare = flowFrom === 'power, fuel' ? 1 : idleRevs !== undefined && mostRevs !== undefined ? idleRevs / mostRevs : COLD_SHARE;
  const state = (id: StateId, name: string, tempC: number | undefined, sourceBar: number | undefined, share: number): DutyState[] => {
    const fluid = tempC === undefined ? undefined : at(tempC);
    if (tempC === undefined || !fluid || (drive === 'pressure' && sourceBar === undefined)) return [];
    const gives = drive === 'flow' || drive === 'suction' ? flow && { flowLpm: flow.value * share } : {};
    if (!gives) return [];
    return [{ id, name, tempC, fluid, ...gives, ...(drive === 'pressure' ? { sourceBar: sourceBar! } : {}) }];
  };
  return [
    // the relief valve holds the pressure at a cold start, whatever the revs
    ...(air ? [] : state('cold', 'cold start', coldC, fullBar, coldShare)),
    ...state('warm', 'warm', Math.min(WARM_C, hottestC), fullBar, 1),
    ...(drive === 'pressure' ? state('idle', 'hot idle', hottestC, idleBar, 1) : []),
    ...state('hottest', 'hottest', hottestC, fullBar, 1),
  ];
}

/** Absolute, bar. */
export function absolute(bar: number): number {
  return AIR_BAR + bar;
}
