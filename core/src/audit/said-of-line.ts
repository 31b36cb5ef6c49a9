import { formatConnector } from '../connectors/index.js';
import { leadsTo, type Fitting } from '../fittings/index.js';
import { oils } from '../fluids/index.js';
import { fluidOf, portThreadName, serviceById, type JobDocument, type LineFlow, type Piece, type Running } from '../job/index.js';
import { terminalName, wayName, type AssembledWay, type KeyedFitting, type PortTerminal } from '../lines/index.js';
import { quantity, taped } from '../units/index.js';
import type { JudgedJob, JudgedLine } from './judged.js';

/** What it is about, and what is known of that; quantities are marked. */
export type SaidOfLine = readonly [about: string, said: string];

/** All that is known of a line beside its drawing, with nothing of what is found: enough for a good hand to find its faults. */
export function saidOfLine(judged: JudgedLine, { document, catalogue }: JudgedJob): SaidOfLine[] {
  const { line, portA, portB, ways, pieces } = judged;
  const oil = document.job.running?.oil;
  return [
    ['Carries', `${fluidOf(line)}, ${serviceById(line.service).name.toLowerCase()}`],
    ...portSaid('From', portA),
    ...ways.flatMap((way, i): SaidOfLine[] => [
      [i === 0 ? 'On port A' : i === ways.length - 1 ? 'On port B' : `Between hose ${i} and ${i + 1}`, waySaid(way, catalogue.fittings)],
      ...pieces.slice(i, i + 1).flatMap(({ piece, hose, endA, endB }): SaidOfLine[] => [
        [
          pieces.length > 1 ? `Hose ${i + 1}` : 'Hose',
          `${hose?.name ?? 'none'}; ends: ${endA?.name ?? 'none'} and ${endB?.name ?? 'none'}`,
        ],
        ['Length', lengthSaid(piece)],
      ]),
    ]),
    ...portSaid('To', portB),
    ...flowSaid(line.flow ?? {}),
    ...(oil ? [['Oil', 'grade' in oil ? (oils.find((o) => o.id === oil.grade)?.name ?? oil.grade) : oil.name] as const] : []),
    ...engineSaid(document.job.running ?? {}),
    ...besideIt(judged, document),
  ];
}

function portSaid(about: string, terminal: PortTerminal): SaidOfLine[] {
  const { component, port, part } = terminal;
  const { sensor } = port;
  const place = sensor?.movedTo ? 'moves to another port' : 'has no other place yet';
  return [
    [about, `${terminalName(terminal)}: ${port.maybe ? 'may be ' : ''}${portThreadName(port)}`],
    ...(part ? [[`What ${component.name} is`, arrowOf(part, 0, 1, ['its first port', 'its second'])] as const] : []),
    ...(sensor ? [['Sat there', `${sensor.name}, ${formatConnector(sensor.connector)}; ${place}`] as const] : []),
  ];
}

function waySaid({ kept, fittings, branches, from, to }: AssembledWay, known: readonly Fitting[]): string {
  if (!kept.chosen) return 'not chosen';
  if (!fittings) return `${kept.chosen.fittings.map(({ id }) => known.find((f) => f.id === id)?.name ?? 'a part nobody knows').join(', ')}`;
  const bore = (end: AssembledWay['from']) => (end.kind === 'hose end' ? { boreMm: end.hoseEnd?.boreMm ?? 0 } : {});
  const parts = fittings.map((placed) => placed.fitting);
  const open = branches.map(({ to: given, sensor, lineNumber }) =>
    given === 'plug'
      ? 'its open end plugged'
      : given === 'sensor'
        ? `its open end for ${sensor?.name ?? 'a sensor'}`
        : `L${lineNumber ?? '?'} from its open end`,
  );
  const arrows = fittings.flatMap((placed) => arrowSaid(placed));
  return [
    wayName(
      fittings.map(({ fitting, inEnd, outEnd }) => ({ id: fitting.id, inEnd, outEnd })),
      parts,
      { from: bore(from), to: bore(to) },
    ),
    ...open,
    ...arrows,
  ].join('; ');
}

/** Where a valve lets through, towards which port of the line. */
function arrowSaid({ fitting, inEnd, outEnd }: KeyedFitting): string[] {
  const [on, back] = [leadsTo(fitting, inEnd, outEnd), leadsTo(fitting, outEnd, inEnd)];
  if (on === back) return on ? [] : ['its two ends are two circuits'];
  return [`its arrow points to port ${on ? 'B' : 'A'}`];
}

function arrowOf(part: Fitting, a: number, b: number, [first, second]: readonly [string, string]): string {
  const [on, back] = part.ends.length > b ? [leadsTo(part, a, b), leadsTo(part, b, a)] : [true, true];
  return on === back ? part.name : `${part.name}: lets through from ${on ? first : second} to ${on ? second : first} only`;
}

function lengthSaid({ length, slackPercent, source, hasMm, provisional }: Piece): string {
  const how = { taped: 'taped', assembly: 'to be seat to seat', cut: 'to be cut' } as const;
  return [
    length ? `${taped(length.mm)} ${how[length.as]}` : 'not taken yet',
    ...(length?.over ? [`taped over ${quantity(length.over.stackMm, 'mm')} of fittings`] : []),
    `${slackPercent} % slack`,
    ...(source === 'cut' ? [] : [`${source === 'bought' ? 'bought made up' : 'on the car already'}${hasMm ? `, ${taped(hasMm)}` : ''}`]),
    ...(provisional ? ['for the mock-up only'] : []),
  ].join('; ');
}

function flowSaid({ flowLpm, pressureBar, hottestC, aroundC, sleeved, fallMm, restrictorMm, bearing, comesBack }: LineFlow): SaidOfLine[] {
  return told([
    ['Turbo', bearing && `${bearing} bearings`],
    ['Flow', flowLpm && quantity(flowLpm, 'L/min')],
    ['Pressure at most', pressureBar && quantity(pressureBar, 'bar')],
    ['Hottest', hottestC && quantity(hottestC, '°C')],
    ['Around it', aroundC && `${quantity(aroundC, '°C')}${sleeved ? ', in a heat sleeve' : ', bare'}`],
    ['Fall', fallMm && (fallMm > 0 ? quantity(fallMm, 'mm') : `none: it rises ${quantity(-fallMm, 'mm')}`)],
    ['Restrictor', restrictorMm && `bore ${restrictorMm} mm`],
    ['Comes back', comesBack && (comesBack === 'pump' ? 'by a pump' : comesBack === 'gravity' ? 'by its fall' : 'through the filler cap')],
  ]);
}

function engineSaid({ hottestC, fullBar, powerKw, boostBar }: Running): SaidOfLine[] {
  return told([
    ['Engine oil, hottest', hottestC && quantity(hottestC, '°C')],
    ['Gallery, most revs', fullBar && quantity(fullBar, 'bar')],
    ['Power', powerKw && quantity(powerKw, 'kW')],
    ['Boost', boostBar && quantity(boostBar, 'bar')],
  ]);
}

const told = (rows: readonly (readonly [string, string | 0 | undefined])[]): SaidOfLine[] =>
  rows.flatMap(([about, said]) => (said ? [[about, said] as const] : []));

/** Ports of what the line is on that no line runs from, and what closes them. */
function besideIt({ portA, portB }: JudgedLine, { ports, lines }: JobDocument): SaidOfLine[] {
  const used = new Set(lines.flatMap((line) => [line.portA, line.portB]));
  const on = [portA.component.id, portB.component.id];
  return ports
    .filter(({ id, componentId, openEnd }) => on.includes(componentId) && !used.has(id) && !openEnd)
    .map((port) => {
      const closed = port.closed ? (port.closed.by === 'plug' ? 'closed with a plug' : 'stays as it is') : 'open';
      return ['Beside it', `${port.label}, ${portThreadName(port)}: ${closed}`] as const;
    });
}
