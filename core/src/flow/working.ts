import { kinematicViscosity } from './viscosity.js';
import { outcomeIn } from './held.js';
import type { SizeColumn } from './judge-sizes.js';
import type { StateId } from './duty.js';
import type { LineSizing } from './size-line.js';
import type { SizingRow } from './sizing-rows.js';
import { quantity } from '../units/index.js';

/** One step of how a figure was come by. */
export interface WorkingStep {
  readonly what: string;
  readonly formula: string;
  readonly result: string;
}

/** How a figure was come by: formula, values, source. */
export interface Working {
  readonly title: string;
  readonly steps: readonly WorkingStep[];
  readonly sources: readonly string[];
}

const n = (value: number, decimals: number): string => value.toFixed(decimals).replace('-', '−');

/** The working of a figure of a sizing: of a row, in a column. */
export function workingOf({ duty, brought }: LineSizing, row: SizingRow, column: SizeColumn): Working {
  const [what, state] = row.id.split(' ') as [string, StateId | undefined];
  const outcome = state && outcomeIn(column, state);
  const title = `${column.size}: ${row.label}`;
  if (!outcome)
    return { title, steps: still(what, column, duty.hottest.value), sources: [column.hose.source || 'the hose as it is in the store'] };
  const { flowLpm, loss, hoseMs, state: at } = outcome;
  const { viscosityCst, densityKgM3 } = at.fluid;
  const hose = loss.elements.find((e) => e.kind === 'hose') ?? loss.worst;
  const steps: WorkingStep[] = [
    { what: 'temperature', formula: at.name, result: `${quantity(at.tempC, '°C')}` },
    ...(duty.oil
      ? [
          {
            what: 'viscosity',
            formula: `${duty.oil.name}: log log (ν + 0.7) straight over log T, through ${duty.oil.v40} cSt at 40 °C and ${duty.oil.v100} at 100 °C`,
            result: `${n(kinematicViscosity(duty.oil, at.tempC), 1)} cSt`,
          },
          { what: 'density', formula: `${duty.oil.density15} − 0.65 · (${at.tempC} − 15)`, result: `${n(densityKgM3, 0)} kg/m³` },
        ]
      : [{ what: duty.fluid, formula: 'by its table', result: `${n(viscosityCst, 2)} cSt, ${n(densityKgM3, 1)} kg/m³` }]),
    flowStep(duty, brought, outcome.state.id, flowLpm, at.sourceBar),
    {
      what: 'speed in the hose',
      formula: `v = Q / (π/4 · d²), d = ${quantity(hose.boreMm, 'mm')}`,
      result: `${quantity(n(hoseMs, 2), 'm/s')}`,
    },
    {
      what: 'Reynolds number',
      formula: `v · d / ν = ${n(hose.velocityMs, 2)} · ${n(hose.boreMm, 1)} · 1000 / ${n(viscosityCst, 1)}`,
      result: `${n(hose.reynolds, 0)}, ${hose.regime}`,
    },
    ...loss.elements.map((e) => ({
      what: e.name,
      formula: `Ø ${quantity(n(e.boreMm, 1), 'mm')}${e.lengthMm > 0 ? `, ${quantity(n(e.lengthMm, 0), 'mm')}` : ''}, ${quantity(n(e.velocityMs, 1), 'm/s')}, Re ${n(e.reynolds, 0)}`,
      result: `${quantity(n(e.lossBar, 3), 'bar')}`,
    })),
    { what: 'the whole line', formula: 'sum', result: `${quantity(n(loss.lossBar, 3), 'bar')}` },
    ...(outcome.endBar === undefined
      ? []
      : [
          {
            what: 'at its end',
            formula: `${n(at.sourceBar ?? 0, 2)} − ${n(loss.lossBar, 3)}`,
            result: `${quantity(n(outcome.endBar, 2), 'bar')}`,
          },
        ]),
    ...(outcome.absBar === undefined
      ? []
      : [
          {
            what: 'at the pump',
            formula: `1.013 + ρ · g · ${quantity(duty.said.fallMm ?? 0, 'mm')} − ${n(loss.lossBar, 3)}`,
            result: `${quantity(n(outcome.absBar, 3), 'bar')} absolute`,
          },
        ]),
    ...(outcome.carries
      ? [
          {
            what: 'carries by its fall',
            formula: 'g · h = v²/2 · (f · L/D + ΣK), D four times area over wetted edge; without its froth',
            result: `${quantity(n(outcome.carries.filled, 2), 'L/min')} as it should run, ${quantity(n(outcome.carries.full, 2), 'L/min')} running full`,
          },
        ]
      : []),
  ];
  return {
    title,
    steps,
    sources: [
      'Friction: 64/Re, Colebrook, Churchill between; bends and mouths: Hooper, two-K; restrictors: orifice with its Reynolds number',
      `Limits of the service: ${duty.figures.source}`,
      ...duty.beyond,
    ],
  };
}

function flowStep(
  duty: LineSizing['duty'],
  brought: LineSizing['brought'],
  id: StateId,
  flowLpm: number,
  sourceBar: number | undefined,
): WorkingStep {
  const result = `${quantity(n(flowLpm, 2), 'L/min')}`;
  if (duty.figures.drive === 'pressure')
    return { what: 'flow', formula: `what ${quantity(n(sourceBar ?? 0, 2), 'bar')} drive through line, restrictor and bearings`, result };
  const from = brought.find((b) => b.state.id === id)?.from ?? duty.flow?.source ?? '';
  return { what: 'flow', formula: from, result };
}

function still(what: string, { hose, bearsBar, marginPercent, against }: SizeColumn, hottestC: number): WorkingStep[] {
  switch (what) {
    case 'bears':
      return [
        { what: 'working pressure', formula: 'cold, by its sheet', result: `${quantity(hose.workingBar, 'bar')}` },
        { what: `at ${quantity(hottestC, '°C')}`, formula: 'derated by its construction', result: `${quantity(n(bearsBar, 1), 'bar')}` },
        { what: 'proof', formula: '2 · working', result: `${quantity(n(hose.workingBar * 2, 0), 'bar')}` },
      ];
    case 'burst':
      return [
        {
          what: 'least burst',
          formula: hose.burstBar === undefined ? '4 · working (SAE J517)' : 'by its sheet',
          result: `${quantity(n(hose.burstBar ?? hose.workingBar * 4, 0), 'bar')}`,
        },
      ];
    case 'margin':
      return [
        { what: 'margin', formula: 'of the strictest limit', result: `${marginPercent ?? 0} %` },
        ...against.map((words) => ({ what: 'against it', formula: words, result: '' })),
      ];
    default:
      return [{ what: 'bore', formula: hose.name, result: `${quantity(hose.boreMm, 'mm')}` }];
  }
}
