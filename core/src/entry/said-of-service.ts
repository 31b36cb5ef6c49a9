import { serviceById, services, type ServiceId } from '../job/index.js';

/** What shops say beside the names that stand in the form. */
const ALSO: readonly (readonly [said: string, service: ServiceId])[] = [
  ['turbo oil feed', 'turbo-feed'],
  ['turbo supply', 'turbo-feed'],
  ['turbo return', 'turbo-drain'],
  ['turbo oil drain', 'turbo-drain'],
  ['turbo water', 'coolant'],
  ['turbo coolant', 'coolant'],
  ['cooler feed', 'cooler'],
  ['to the cooler', 'cooler'],
  ['to cooler', 'cooler'],
  ['cooler out', 'cooler'],
  ['cooler return', 'cooler-back'],
  ['cooler back', 'cooler-back'],
  ['from the cooler', 'cooler-back'],
  ['from cooler', 'cooler-back'],
  ['filter', 'filter'],
  ['to filter', 'filter'],
  ['bypass feed', 'bypass-feed'],
  ['bypass return', 'bypass-return'],
  ['pump suction', 'suction'],
  ['pickup', 'suction'],
  ['oil pressure', 'pressure'],
  ['pressure', 'pressure'],
  ['gauge', 'gauge'],
  ['sender', 'gauge'],
  ['sample', 'sample'],
  ['water', 'coolant'],
  ['vent', 'breather'],
  ['crankcase vent', 'breather'],
  ['fuel feed', 'fuel'],
  ['boost', 'boost'],
  ['intercooler', 'charge-air'],
  ['charge air', 'charge-air'],
];

const SAID: readonly (readonly [said: string, service: ServiceId])[] = [
  ...services.map(({ id, name }) => [name.toLowerCase().replaceAll(',', ''), id] as const),
  ...ALSO,
].toSorted(([a], [b]) => b.length - a.length);

/** What a line is for, and what else is said of it: its name; undefined where no service begins it. */
export function serviceCalled(text: string): { readonly service: ServiceId; readonly more: string } | undefined {
  const said = text.trim().toLowerCase().replaceAll(',', ' ').replace(/\s+/g, ' ');
  const found = SAID.find(([name]) => said === name || said.startsWith(`${name} `));
  if (found) return { service: found[1], more: said.slice(found[0].length).trim() };
  // a few letters of a name, where they are those of one
  const begun = new Set(SAID.filter(([name]) => said.length > 2 && name.startsWith(said)).map(([, id]) => id));
  return begun.size === 1 ? { service: [...begun][0]!, more: '' } : undefined;
}

/** How a service is said in a line of text. */
export const callOfService = (service: ServiceId): string => serviceById(service).name.toLowerCase().replaceAll(',', '');
