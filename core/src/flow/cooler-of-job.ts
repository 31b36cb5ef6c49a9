import type { Component } from '../job/index.js';
import { coolerNeed, takenBarAt, warmUpMinutes, WARMING_SHARE, type CoolerNeed, type Thermostat } from './cooler-circuit.js';
import type { FlowQuestion } from './duty.js';
import { fluidProperties, oilOf } from './fluid-properties.js';
import { oilVolume } from './oil-volume.js';
import { systemOf, type JobSystem } from './system.js';
import { thermostatsOf } from './thermostats.js';

/** A cooler of a job, by heat. */
export interface CoolerOfJob {
  readonly need?: CoolerNeed;
  /** L/min through it, hottest. */
  readonly flowLpm?: number;
  /** What it passes on is enough; undefined where nobody has said what that is. */
  readonly enough?: boolean;
  /** Of its lines and itself, hottest, bar; and what is usual at most. */
  readonly lossBar?: number;
  readonly spareBar: number;
  /** Minutes until the oil is warm, without a thermostat and with one. */
  readonly warmUp?: { readonly withoutMin: number; readonly withMin: number; readonly thermostat: Thermostat; readonly inJob: boolean };
  readonly missing: readonly string[];
}

/** Where oil is warm enough to be driven, °C. Common practice. */
export const WARM_ENOUGH_C = 80;
const USUAL_THERMOSTAT: Thermostat = { opensC: 80, fullOpenC: 92 };

/** The heat of a cooler's oil, what it must pass on, what its circuit takes, and how long the oil takes to get warm. */
export function coolerOfJob(
  component: Component,
  question: FlowQuestion,
  system: JobSystem = systemOf(question, 'hottest', 'hot'),
): CoolerOfJob {
  const { running, rules, job } = question;
  const { oil, powerKw, hottestC, airC, coldC } = running;
  const { coolsWPerK, takesBar, atLpm } = component.flow ?? {};
  const lines = system.lines.filter(({ line }) => [line.portA, line.portB].some((end) => end.component.id === component.id));
  const flowLpm = Math.max(0, ...lines.map((l) => Math.abs(l.flowLpm ?? 0)));
  const missing = [
    ...(oil ? [] : ['which oil it is']),
    ...(powerKw === undefined ? ['the power of the engine'] : []),
    ...(hottestC === undefined ? ['how hot the oil may get'] : []),
    ...(airC === undefined ? ['how warm the air is at the cooler'] : []),
    ...(flowLpm > 0 ? [] : ['what runs through it']),
    ...(coolsWPerK === undefined ? ['what the cooler passes on for each K'] : []),
    ...(takesBar === undefined ? ['what the cooler itself takes of the pressure'] : []),
  ];
  const own = takesBar !== undefined && atLpm !== undefined && flowLpm > 0 ? takenBarAt({ takesBar, atLpm }, flowLpm) : 0;
  const lossBar = flowLpm > 0 ? lines.reduce((sum, l) => sum + (l.lossBar ?? 0), 0) + own : undefined;
  const base = { spareBar: rules.coolerSpareBar, missing, ...(lossBar === undefined ? {} : { lossBar }) };
  if (!oil || powerKw === undefined || hottestC === undefined || airC === undefined || flowLpm === 0 || hottestC <= airC) return base;
  const fluid = fluidProperties('engine oil', { tempC: hottestC, oil: oilOf(oil) });
  const need = coolerNeed({
    powerKw,
    heatToOilPercent: rules.heatToOilPercent,
    flowLpm,
    ...fluid,
    oilC: hottestC,
    airC,
    ...(coolsWPerK === undefined ? {} : { coolsWPerK }),
  });
  const [inJob] = thermostatsOf(job);
  const thermostat = inJob ?? USUAL_THERMOSTAT;
  const litres = oilVolume(job, running).totalL;
  const warming =
    litres === undefined || coldC === undefined
      ? undefined
      : {
          litres,
          ...fluid,
          fromC: Math.max(coldC, -60),
          toC: WARM_ENOUGH_C,
          heatKw: need.heatKw * WARMING_SHARE,
          coolsWPerK: coolsWPerK ?? need.needsWPerK,
          airC: Math.min(airC, coldC),
        };
  return {
    ...base,
    need,
    flowLpm,
    ...(coolsWPerK === undefined ? {} : { enough: coolsWPerK >= need.needsWPerK }),
    ...(warming
      ? {
          warmUp: {
            withoutMin: warmUpMinutes(warming),
            withMin: warmUpMinutes({ ...warming, thermostat }),
            thermostat,
            inJob: inJob !== undefined,
          },
        }
      : {}),
  };
}
