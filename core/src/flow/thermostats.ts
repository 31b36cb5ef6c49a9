import type { AssembledJob, AssembledLine } from '../lines/index.js';
import { findFitting, type Component } from '../job/index.js';
import type { Fitting } from '../fittings/index.js';
import type { Thermostat } from './cooler-circuit.js';

/** A thermostat of a job: a component that is one, or a part that stands in a line. */
export interface ThermostatPlace extends Thermostat {
  readonly part: Fitting;
  readonly component?: Component;
  readonly line?: AssembledLine;
}

/** Every part that opens with heat, with the figures of its sheet. */
export function thermostatsOf({ document, catalogue, lines }: AssembledJob): ThermostatPlace[] {
  const found = (part: Fitting | undefined, place: Pick<ThermostatPlace, 'component' | 'line'>): ThermostatPlace[] => {
    const { opensC, fullOpenC } = part?.body ?? {};
    return part && opensC !== undefined ? [{ part, opensC, fullOpenC: fullOpenC ?? opensC, ...place }] : [];
  };
  return [
    ...document.components.flatMap((component) =>
      found(component.part ? findFitting(catalogue, component.part.id) : undefined, { component }),
    ),
    ...lines.flatMap((line) => line.ways.flatMap((way) => (way.fittings ?? []).flatMap(({ fitting }) => found(fitting, { line })))),
  ];
}
