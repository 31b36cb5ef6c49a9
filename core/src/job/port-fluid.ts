import { fluidById } from '../fluids/index.js';
import type { JobDocument, Port } from './job-schema.js';
import { endsOn } from './line-path.js';
import { fluidOf } from './services.js';

type Group = ReturnType<typeof fluidById>['group'];

/** Words by which a port or its component says what is in it; a guess, for nobody logs the fluid of a port. */
const words: readonly (readonly [Group, RegExp])[] = [
  ['coolant', /\b(water|coolant|radiator|heater|thermostat housing|expansion)\b/i],
  ['fuel', /\b(fuel|petrol|injector|carburettor|rail)\b/i],
  ['air', /\b(breather|vent|vacuum|boost|manifold|intake|charge|catch)\b/i],
  ['oil', /\b(oil|gallery|sump|drain|scavenge)\b/i],
];

/** What is in a port, as far as its line or its name tells; what its name says goes before that of its component. */
export function fluidOfPort(port: Port, { lines, components }: Pick<JobDocument, 'lines' | 'components'>): Group | undefined {
  const line = lines.find((l) => endsOn(l, port.id));
  if (line) return line.service === 'breather' ? 'air' : fluidById(fluidOf(line)).group;
  const component = components.find((c) => c.id === port.componentId);
  return fluidNamed(port.label) ?? fluidNamed(component?.name ?? '');
}

/** What a name says that something is for. */
export function fluidNamed(name: string): Group | undefined {
  return words.find(([, pattern]) => pattern.test(name))?.[0];
}
