import { fluidById, type FluidId } from '../fluids/index.js';
import { LONGEST_LINE_MM } from '../hose/index.js';
import { fluidOfPort, serviceById, services, type JobDocument, type PieceLength, type ServiceId } from '../job/index.js';
import { letters } from '../schema/index.js';
import { parseQuantity, quantity, QuantitySyntaxError, type UnitSystem } from '../units/index.js';
import { matchingPorts, wordsIn, type PortChoice } from './port-choices.js';
import { callOfService, serviceCalled } from './said-of-service.js';
import { hoseCalled, sizeCalled, type SizeSaid } from './said-of-hose.js';

/** What is not clear, with what it may be: each as the whole text with that in it. */
export interface LineAsk {
  readonly about: 'service' | 'from' | 'to' | 'hose' | 'rest';
  readonly words: string;
  readonly choices: readonly { readonly words: string; readonly text: string }[];
}

/** A line as it was typed: `turbo feed: block pressure > turbo inlet, ptfe 4, 620`. */
export interface LineRead {
  readonly text: string;
  readonly service?: ServiceId;
  /** Where it is called more than its service. */
  readonly name?: string;
  readonly from?: PortChoice;
  readonly to?: PortChoice;
  /** Fittings alone, no hose. */
  readonly bare: boolean;
  readonly construction?: string;
  readonly size?: SizeSaid;
  readonly length?: Pick<PieceLength, 'mm' | 'as'>;
  readonly angles?: readonly [a: number, b: number];
  /** Empty where all is clear. */
  readonly asks: readonly LineAsk[];
}

export interface ReadingPlace {
  readonly document: JobDocument;
  /** In the order of the survey, free ones first. */
  readonly ports: readonly PortChoice[];
  readonly system: UnitSystem;
}

/** Most that is offered for what is not clear. */
const OFFERED = 6;
/** Shorter is no length of a hose, mm: a slip of the finger. */
const SHORTEST_MM = 1;
const ARROW = /\s*(?:->|→|>)\s*/;

/** Every line of a text; those that are empty are left out. A port that one of them takes is not free for the next. */
export function readLines(text: string, place: ReadingPlace): LineRead[] {
  const taken = new Set<string>();
  return text
    .split(/\r?\n/)
    .filter((line) => line.trim() !== '')
    .map((line) => {
      const read = readLine(line, { ...place, ports: place.ports.filter((p) => !taken.has(p.id)) });
      for (const port of [read.from, read.to]) if (port) taken.add(port.id);
      return read;
    });
}

/** One line of text. Nothing is guessed in silence: what may be two things is asked. */
export function readLine(text: string, place: ReadingPlace): LineRead {
  const [head, ...tail] = text.split(':');
  const [said, run] = tail.length > 0 ? [head!.trim(), tail.join(':').trim()] : ['', text.trim()];
  const [before = '', ...behind] = run.split(ARROW);
  const called = said === '' ? undefined : serviceCalled(said);
  const asks: LineAsk[] = [];
  const from = portSaid('from', before, place, called?.service);
  const parts = behind
    .join(' > ')
    .split(',')
    .map((part) => part.trim());
  const details = detailsOf(parts.slice(1), place.system);
  // what is no hose and no length may belong to the port: "turbo, inlet"
  const target = [parts[0] ?? '', ...details.unknown].join(' ').trim();
  const rest = { ...place, ports: place.ports.filter((p) => p.id !== from.port?.id) };
  const whole = portSaid('to', target, rest, called?.service);
  const alone =
    details.unknown.length > 0 && !whole.port && whole.found === 0 ? portSaid('to', parts[0] ?? '', rest, called?.service) : whole;
  const service = called?.service;
  if (!service) asks.push(askService(text, said, [from.port, alone.port], place.document));
  const begin = tail.length > 0 ? `${head!.trim()}: ` : '';
  const more = parts.slice(1).filter((part) => part !== '' && !(alone === whole && details.unknown.includes(part)));
  const withPort = (choice: string, side: 'from' | 'to'): string =>
    side === 'from' ? `${begin}${choice} > ${behind.join(' > ')}` : [`${begin}${before.trim()} > ${choice}`, ...more].join(', ');
  if (!ARROW.test(run)) asks.push({ about: 'rest', words: 'Say from where to where, with > between the two.', choices: [] });
  else
    for (const { ask } of [from, alone])
      if (ask) asks.push({ ...ask, choices: ask.choices.map((c) => ({ ...c, text: withPort(c.text, ask.about as 'from' | 'to') })) });
  if (alone !== whole)
    asks.push({ about: 'rest', words: `Not understood: "${details.unknown.join(', ')}". Say a hose, a size or a length.`, choices: [] });
  asks.push(...details.asks);
  const name = called?.more ? nameOf(called.service, called.more) : undefined;
  if (name && [...name].length > letters.name)
    asks.push({ about: 'rest', words: `The name of a line has at most ${letters.name} characters.`, choices: [] });
  const { bare, construction, size, length, angles } = details;
  return {
    text,
    bare,
    asks,
    ...(service ? { service } : {}),
    ...(name ? { name } : {}),
    ...(from.port ? { from: from.port } : {}),
    ...(alone.port ? { to: alone.port } : {}),
    ...(construction ? { construction } : {}),
    ...(size ? { size } : {}),
    ...(length ? { length } : {}),
    ...(angles ? { angles } : {}),
  };
}

/** `Turbo feed, left`. */
function nameOf(service: ServiceId, more: string): string {
  return `${serviceById(service).name}, ${more}`;
}

interface PortSaid {
  readonly port?: PortChoice;
  readonly found: number;
  readonly ask?: LineAsk;
}

function portSaid(about: 'from' | 'to', said: string, { ports, document }: ReadingPlace, service: ServiceId | undefined): PortSaid {
  const where = about === 'from' ? 'it comes from' : 'it goes to';
  if (wordsIn(said).length === 0)
    return { found: 0, ask: { about, words: `Say where ${where}: a few letters of the component and of its port.`, choices: [] } };
  const found = matchingPorts(ports, said);
  const free = found.filter((p) => !p.usedBy);
  const exact = free.filter((p) => wordsIn(p.name).join(' ') === wordsIn(said).join(' '));
  const group = service && (service === 'breather' ? 'air' : fluidById(serviceById(service).fluid as FluidId).group);
  const ofFluid = free.filter((p) => fluidOfPort(p.port, document) === group);
  const best = [exact, free, ofFluid].find((some) => some.length === 1);
  if (best) return { port: best[0]!, found: found.length };
  if (free.length === 0) {
    const words = found.length > 0 ? allUsed(found) : `No port has "${said.trim()}" in its name or its thread.`;
    return { found: found.length, ask: { about, words, choices: [] } };
  }
  const offered = [...ofFluid, ...free.filter((p) => !ofFluid.includes(p))].slice(0, OFFERED);
  return {
    found: found.length,
    ask: {
      about,
      words: `Where ${where} may be several.`,
      choices: offered.map((p) => ({ words: `${p.name} · ${p.notation}`, text: p.name.replaceAll(', ', ' · ') })),
    },
  };
}

function allUsed(found: readonly PortChoice[]): string {
  const [first, ...more] = found.map((p) => `${p.name} is already used by ${p.usedBy}`);
  return more.length === 0
    ? `${first}.`
    : `All ${found.length} are used: ${[first, ...more].slice(0, 3).join('; ').replaceAll(' is already used', '')}${found.length > 3 ? ' …' : '.'}`;
}

/** Services that run between such ports first. */
function askService(text: string, said: string, ends: readonly (PortChoice | undefined)[], document: JobDocument): LineAsk {
  const groups = ends.flatMap((p) => (p ? [fluidOfPort(p.port, document)] : [])).filter(Boolean);
  const fits = (fluid: FluidId): boolean => groups.length === 0 || groups.includes(fluidById(fluid).group);
  const offered = services.filter((s) => fits(s.fluid)).slice(0, OFFERED);
  const run = said === '' ? text : text.slice(text.indexOf(':') + 1);
  return {
    about: 'service',
    words: said === '' ? 'What is it for? Begin with it: "turbo feed: …".' : `"${said}" is no service that is known here.`,
    choices: offered.map((s) => ({ words: s.name, text: `${callOfService(s.id)}: ${run.trim()}` })),
  };
}

interface Details extends Pick<LineRead, 'bare' | 'construction' | 'size' | 'length' | 'angles'> {
  readonly unknown: readonly string[];
  readonly asks: readonly LineAsk[];
}

const AS: readonly (readonly [RegExp, PieceLength['as']])[] = [
  [/\b(?:taped|tape)\b/i, 'taped'],
  [/\b(?:cut length|cut)\b/i, 'cut'],
  [/\b(?:assembled|assembly|seat to seat)\b/i, 'assembly'],
];
const ANGLES = /^(?:ends?\s+)?(straight|\d{1,3}°?)(?:\s+(?:and\s+)?(straight|\d{1,3}°?))?(?:\s+ends?)?$/i;

/** What is said after the ports: hose, size, length, angles of the ends, in whatever order. */
function detailsOf(parts: readonly string[], system: UnitSystem): Details {
  let details: Details = { bare: false, unknown: [], asks: [] };
  for (const part of parts.filter(Boolean)) details = withDetail(details, part, system);
  return details;
}

function withDetail(before: Details, part: string, system: UnitSystem): Details {
  if (/^(?:no hose|bare|fittings (?:alone|only))$/i.test(part)) return { ...before, bare: true };
  const hose = hoseCalled(part);
  const sized = hose?.rest ? sizeCalled(hose.rest) : undefined;
  if (hose && (!hose.rest || sized)) {
    const next: Details = { ...before, construction: hose.construction, ...(sized ? { size: sized.size } : {}) };
    return sized?.rest ? withDetail(next, sized.rest, system) : next;
  }
  const angles = ANGLES.exec(part);
  if (angles && /end|straight|°/i.test(part)) {
    const degrees = angles.slice(1).map((a) => (a === undefined ? undefined : /straight/i.test(a) ? 0 : Number.parseInt(a, 10)));
    return { ...before, angles: [degrees[0]!, degrees[1] ?? degrees[0]!] };
  }
  // a fraction alone is the bore of a hose, not its length
  const own = /^(?:-|an\s*-?\s*|dash\s*)\d{1,2}$|^\d{1,2}\s*an$|^(?:\d[ -])?\d{1,2}\/\d{1,2}$/i.test(part) ? sizeCalled(part) : undefined;
  if (own && !before.size) return { ...before, size: own.size };
  const length = lengthSaid(part, system);
  if (!length) return { ...before, unknown: [...before.unknown, part] };
  if (length.mm >= SHORTEST_MM && length.mm <= LONGEST_LINE_MM) return { ...before, length };
  const words = `A length is from ${quantity(SHORTEST_MM, 'mm')} to ${quantity(LONGEST_LINE_MM / 1000, 'm')}: "${part}" is not. Look at its unit.`;
  return { ...before, asks: [...before.asks, { about: 'rest', words, choices: [] }] };
}

/** `620`, `26 1/8 in taped`, `cut 587`. */
function lengthSaid(part: string, system: UnitSystem): LineRead['length'] {
  const how = AS.find(([pattern]) => pattern.test(part));
  const figure = how ? part.replace(how[0], '').trim() : part;
  if (!/\d/.test(figure)) return undefined;
  try {
    // what an inch leaves behind the millionth is of the sum, not of the tape
    const mm = Math.round(parseQuantity(figure, 'length', { system }).value * 1e6) / 1e6;
    return mm > 0 ? { mm, as: how?.[1] ?? 'taped' } : undefined;
  } catch (error) {
    if (error instanceof QuantitySyntaxError) return undefined;
    throw error;
  }
}
