import { formatDash } from '../units/index.js';
import { threadData, type ThreadData, type Thread } from '../threads/index.js';
import type { Connector } from './connector.js';
import { familyById } from './family.js';

export interface ConnectorDescription {
  /** `O-ring boss -10, female`. */
  readonly name: string;
  /** `7/8-14 UNF`; absent for a barb. */
  readonly designation?: string;
  readonly thread?: ThreadData;
  /** `seals on an O-ring in the chamfer of its spot face`. */
  readonly sealsOn: string;
  readonly standard: string;
}

/** The connector in full words, with its thread's dimensions in mm. */
export function describeConnector(c: Connector): ConnectorDescription {
  const family = familyById(c.family);
  const thread = connectorThread(c);
  return {
    name: connectorName(c),
    ...(thread ? { designation: thread.designation, thread: threadData(thread.designation) } : {}),
    sealsOn: `seals on ${family.sealsOn(c.gender, c.seat)}`,
    standard: family.standard,
  };
}

/** `37° flare -6, female swivel`, `metric parallel M14×1.5, female, washer`, `hose barb 3/8 in`. */
export function connectorName(c: Connector): string {
  const family = familyById(c.family);
  if (c.family === 'barb')
    return `${c.gender === 'male' ? 'hose barb' : 'hose bore'} ${/mm$/.test(c.size) ? c.size.replace('mm', ' mm') : `${c.size} in`}`;
  const size = family.sizeKind === 'dash' ? formatDash(Number(c.size)) : c.size.replace('x', '×');
  if (c.family === 'banjo') return `banjo bolt ${size} with its eye`;
  const seat = c.seat === 'oring' ? 'O-ring' : c.seat;
  return [`${family.name} ${size}`, c.swivel ? `${c.gender} swivel` : c.gender, seat].filter(Boolean).join(', ');
}

/** The thread of a connector; undefined for a barb or hose. */
export function connectorThread(c: Connector): Thread | undefined {
  return familyById(c.family).thread(c.size);
}
