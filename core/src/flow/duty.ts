import { fluidById, type FluidId } from '../fluids/index.js';
import { fluidOf, type FlowRules, type LineFlow, type Running } from '../job/index.js';
import type { AssembledJob, AssembledLine } from '../lines/index.js';
import { airPressure, fluidProperties, oilOf, WARM_C, type ReckonedOil } from './fluid-properties.js';
import type { Stream } from './line-loss.js';
import { figuresOf, type ServiceFigures } from './service-figures.js';
import { noted } from './noted.js';
import { waterFlow } from './water-flow.js';
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
  /** Of the air around, bar absolute. */
  readonly airBar: number;
  /** What stands in the crankcase against a drain, bar; nothing where it is not said. */
  readonly againstBar: number;
  readonly said: LineFlow;
  readonly states: readonly DutyState[];
  readonly missing: readonly Missing[];
  /** Where a figure reaches beyond what its source holds for. */
  readonly beyond: readonly string[];
  /** The fluid at a temperature; undefined for an oil that is not said. */
  readonly at: (tempC: number) => Omit<Stream, 'flowLpm'> | undefined;
}

/** Flow at a cold start, as a share of that at most revs, where the revs are not said: a fast idle. Common practice. */
export const COLD_SHARE = 0.25;
/** What a fuel pump gives beside what full power burns. Common practice. */
const PUMP_GIVES = 2;
/** Of petrol, from which the air of an engine is reckoned: every fuel of this trade asks for about as much air a kilowatt. */
const PETROL = fluidById('petrol').burnt!;
/** Common practice: 0.5 where nothing is boosted, 1 to 2 for boosted or worn engines. */
const BLOW_BY_LPM_PER_KW = { unboosted: 0.5, boosted: 1 };

/** What is asked of a line by its service, the job, and what was said of it. */
export const dutyOf = noted(reckonDuty);

function reckonDuty(assembled: Pick<AssembledLine, 'line' | 'portA' | 'portB'>, running: Running): LineDuty {
  const { line } = assembled;
  const figures = drivenFigures(assembled);
  // what a breather carries is air, whatever its hose must bear
  const fluid: FluidId = line.service === 'breather' ? 'air' : fluidOf(line);
  const { group, refused } = fluidById(fluid);
  const said = line.flow ?? {};
  const oil = group === 'oil' && running.oil ? oilOf(running.oil) : undefined;
  const missing: Missing[] = [];
  const miss = (of: Missing['of'], field: Missing['field'], words: string): void => void missing.push({ of, field, words });
  const boost = figures.service === 'charge-air' || figures.service === 'boost' ? running.boostBar : undefined;
  const pressure = figureOf(said.pressureBar, boost, figures.pressureBar, figures.source);
  const hottest = figureOf(said.hottestC, group === 'oil' ? running.hottestC : undefined, figures.hottestC, figures.source);
  const at = (tempC: number): Omit<Stream, 'flowLpm'> | undefined =>
    refused !== undefined || (group === 'oil' && !oil)
      ? undefined
      : foamed(
          fluidProperties(fluid, { tempC, ...(oil ? { oil } : {}), pressureBar: standing(figures, pressure), airBar: airAt(running) }),
          figures.airTimes,
        );
  if (group === 'oil' && !oil && figures.drive !== 'still') miss('job', 'oil', 'Which oil it is');
  const flow = flowOf(assembled, figures, fluid, running, at(Math.min(WARM_C, hottest.value))?.densityKgM3);
  if (!flow && (figures.drive === 'flow' || figures.drive === 'suction'))
    if (figures.flowFrom === 'port') miss('line', 'flowLpm', 'How much runs: neither port says how wide it is');
    else miss('job', 'powerKw', 'The power: what runs here follows from it');
  if (figures.service === 'charge-air' && said.pressureBar === undefined && running.boostBar === undefined)
    miss('job', 'boostBar', `The boost; until then ${quantity(figures.pressureBar, 'bar')} are taken, a guess`);
  if (line.service === 'turbo-feed' && said.bearing === undefined)
    miss('line', 'bearing', 'Ball or journal bearings; until then it is reckoned with journals, which take more');
  if (figures.drive === 'pressure' && running.fullBar === undefined) miss('job', 'fullBar', 'The pressure in the gallery at most revs');
  if (figures.drive === 'suction' && group === 'fuel' && said.fallMm === undefined)
    miss('line', 'fallMm', 'How far the pump lies under the tank; until then it is reckoned level with it');
  if (figures.drive === 'fall' && said.fallMm === undefined) miss('line', 'fallMm', 'How far it falls from its outlet to where it enters');
  if (group !== 'air' && figures.drive !== 'still' && running.coldC === undefined) miss('job', 'coldC', 'How cold it is started');
  const states =
    figures.drive === 'still' || refused !== undefined ? [] : statesOf(figures, running, flow, hottest.value, at, group === 'air');
  const { vague } = fluidById(fluid);
  const beyond = [
    ...(vague ? [vague] : []),
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
    airBar: airAt(running),
    againstBar: figures.service === 'turbo-drain' ? Math.max(0, running.crankcaseBar ?? 0) : 0,
    said,
    states,
    missing,
    beyond,
    at,
  };
}

/**
 * By what a return comes back: a drain that leads to a pump is sucked, what leaves a scavenge pump is pushed, a return by gravity or through the
 * filler cap falls; that of a sealed canister is pushed unless gravity is said.
 */
function drivenFigures({ line, portA, portB }: Pick<AssembledLine, 'line' | 'portA' | 'portB'>): ServiceFigures {
  const figures = figuresOf(line.service);
  if (line.service === 'fuel' && portA.component.kind === 'tank' && portB.component.kind === 'pump') return { ...figures, ...SUCKED_FUEL };
  const drained = line.service === 'turbo-drain' || line.service === 'scavenge';
  if (drained && portA.component.kind === 'pump' && portB.component.kind !== 'pump') return { ...figures, ...PUSHED };
  const by = line.flow?.comesBack ?? (figures.drive === 'fall' && portB.component.kind === 'pump' ? 'pump' : undefined);
  if (figures.drive === 'fall' && by === 'pump') {
    const { suckedBar, minAbsBar, maxMs, airTimes, usual, source } = figuresOf('scavenge');
    return {
      ...figures,
      drive: 'suction',
      suckedBar: suckedBar!,
      minAbsBar: minAbsBar!,
      maxMs: maxMs!,
      airTimes: airTimes!,
      usual,
      dashes: [8, 12],
      source,
    };
  }
  const returns = line.service === 'return' || line.service === 'tank';
  if (line.service === 'bypass-return' && by === 'gravity') return { ...figures, drive: 'fall', dashes: [8, 12] };
  return returns && (by === 'gravity' || by === 'filler cap') ? { ...figures, drive: 'fall' } : figures;
}

/** Behind a scavenge pump: oil and air, pushed. Common practice. */
const PUSHED = {
  drive: 'flow',
  pressureBar: 2,
  airTimes: 1.6,
  maxMs: 8,
  maxLossBar: 0.7,
  maxColdBar: 2,
  dashes: [6, 12],
  source: 'common practice: the pump pushes oil and air to the pan or the tank',
} as const satisfies Partial<ServiceFigures>;

/** From a tank to a pump outside it: wide, short and falling, or the fuel boils. Warmed by what comes back from the rail. Common practice. */
const SUCKED_FUEL = {
  drive: 'suction',
  pressureBar: 0.5,
  suckedBar: 0.3,
  hottestC: 45,
  maxMs: 1,
  dashes: [8, 10],
  source: `common practice: ${quantity(1, 'm/s')} at most before a fuel pump, which pushes well and sucks badly; ${quantity(45, '°C')} in the tank on a hot day`,
} as const satisfies Partial<ServiceFigures>;

/** With so many times its own volume, the rest of it air: lighter, and as thick as its oil. */
function foamed<F extends Omit<Stream, 'flowLpm'>>(fluid: F, times = 1): F {
  return times === 1 ? fluid : { ...fluid, densityKgM3: fluid.densityKgM3 / times, viscosityCst: fluid.viscosityCst * times };
}

/** The air around where it is driven, bar. */
export function airAt({ altitudeM = 0 }: Running): number {
  return airPressure(altitudeM);
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

function flowOf(
  assembled: Pick<AssembledLine, 'line' | 'portA' | 'portB'>,
  figures: ServiceFigures,
  fluid: FluidId,
  running: Running,
  densityKgM3 = 1.2,
): Figure | undefined {
  const said = assembled.line.flow?.flowLpm;
  if (said !== undefined) return { value: said, from: 'line', source: 'said of this line' };
  const { powerKw, pumpLpm } = running;
  const times = figures.airTimes ?? 1;
  if (figures.flowFrom === 'oil pump' && pumpLpm !== undefined)
    return {
      value: pumpLpm * times,
      from: 'job',
      source: times === 1 ? 'what the oil pump gives at most revs' : `${times} × what the pressure pump gives at most revs, oil and air`,
    };
  const power = figures.flowFrom?.startsWith('power') ? powerKw : undefined;
  if (power !== undefined) return fromPower(figures.flowFrom!, power, fluid, densityKgM3, running);
  if (figures.flowFrom === 'port') return waterFlow(assembled);
  return figures.flowLpm === undefined ? undefined : { value: figures.flowLpm * times, from: 'usual', source: figures.source };
}

function fromPower(
  what: NonNullable<ServiceFigures['flowFrom']>,
  kw: number,
  fluid: FluidId,
  densityKgM3: number,
  { boostBar }: Running,
): Figure {
  const { kgPerKwh, airKgPerKg } = fluidById(fluid).burnt ?? PETROL;
  const figure = (value: number, source: string): Figure => ({ value, from: 'job', source: `common practice: ${source}` });
  if (what === 'power, fuel')
    return figure(
      (kw * kgPerKwh * PUMP_GIVES * 1000) / 60 / densityKgM3,
      `${quantity(kw, 'kW')} burn ${kgPerKwh} kg/kWh of ${fluid}, the pump gives twice as much`,
    );
  if (what === 'power, air')
    return figure(
      (kw * kgPerKwh * airKgPerKg * 1000) / 60 / densityKgM3,
      `${quantity(kw, 'kW')} burn ${kgPerKwh} kg/kWh with ${airKgPerKg} times as much air`,
    );
  const lpmPerKw = (boostBar ?? 0) > 0 ? BLOW_BY_LPM_PER_KW.boosted : BLOW_BY_LPM_PER_KW.unboosted;
  return figure(
    kw * lpmPerKw,
    `${quantity(lpmPerKw, 'L/min')} of blow-by for each kW${boostBar ? ', boosted' : ''}; worn engines give twice that`,
  );
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
