import { formatDash } from '../units/index.js';
import { parseThread, threadData, type ThreadData, type Thread } from '../threads/index.js';
import type { Connector } from './connector.js';
import { bareConnector } from './bare-connector.js';
import { familyById } from './family.js';
import { landOf } from './land.js';
import { flangeFigures } from './sizes-that-meet.js';

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
    sealsOn: `seals on ${family.sealsOn(c.gender, c.seat, c.swivel ?? false)}`,
    standard: family.standard,
  };
}

/** `37° flare -6, female swivel`, `metric parallel M14×1.5, female, washer`, `hose barb 3/8 in`. */
export function connectorName(c: Connector): string {
  const family = familyById(c.family);
  const size = sizeInWords(c);
  if (family.carries) return `${family.name}, ${connectorName(bareConnector(c))}`;
  if (family.inWords) return family.inWords(size, c.gender);
  const gender = family.genders.length === 1 ? undefined : c.swivel ? `${c.gender} swivel` : c.gender;
  return [`${family.name} ${size}`, gender, c.seat && seatInWords(c)].filter(Boolean).join(', ');
}

function sizeInWords({ family: id, size }: Connector): string {
  const { sizeKind } = familyById(id);
  if (sizeKind === 'dash') return formatDash(Number(size));
  if (sizeKind === 'bore') return size.endsWith('mm') ? size.replace('mm', ' mm') : `${size} in`;
  if (sizeKind === 'flange') {
    const { apartMm, bolt, boreMm } = flangeFigures(size);
    return `${bolt ?? ''} bolts ${apartMm} mm apart, bore ${boreMm} mm`.trim();
  }
  return sizeKind === 'land' ? size : size.replace('x', '×');
}

function seatInWords(c: Connector): string {
  const seat = c.seat!;
  const land = landOf(c);
  if (land)
    return `${c.gender === 'male' ? 'land' : 'gasket'} ${land.insideMm} to ${land.outsideMm} mm${land.depthMm ? `, groove ${land.depthMm} mm deep` : ''}`;
  const tube = /^(\d+)([ls])$/.exec(seat);
  if (tube) return `tube ${tube[1]} mm ${tube[2] === 'l' ? 'light' : 'heavy'}`;
  return { oring: 'O-ring', cone: 'cone seat', captive: 'captive ring' }[seat] ?? seat;
}

const seen = new WeakMap<Connector, Thread | null>();
const threads = new Map<string, Thread | null>();

/** The thread of a connector; undefined for what has none. Connectors with the same thread share one object. */
export function connectorThread(c: Connector): Thread | undefined {
  let thread = seen.get(c);
  if (thread === undefined) {
    const key = `${c.family}|${c.size}|${c.gender}`;
    thread = threads.get(key);
    if (thread === undefined) threads.set(key, (thread = threadOf(c)));
    seen.set(c, thread);
  }
  return thread ?? undefined;
}

function threadOf(c: Connector): Thread | null {
  const bare = bareConnector(c);
  const thread = familyById(bare.family).thread(bare.size, bare.gender);
  return thread ? parseThread(thread.designation) : null;
}
