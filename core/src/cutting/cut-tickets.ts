import { formatConnector } from '../connectors/index.js';
import type { MakeUp } from '../seals/index.js';
import { constructionById, hoseSize, type Hose, type HoseEnd } from '../hose/index.js';
import { formatPortThread, serviceById } from '../job/index.js';
import { holdsLine, type JudgedJob, type JudgedLine } from '../audit/index.js';
import { terminalName, type AssembledLine, type AssembledPiece, type CutArithmetic, type Terminal } from '../lines/index.js';

/** What the bench needs to make one hose. */
export interface CutTicket {
  /** `2403-L4`, or `2403-L4/2` where the line has several hoses: on the ticket and on both end labels. */
  readonly number: string;
  readonly lineName: string;
  readonly service: string;
  readonly hose: string;
  readonly cutMm: number;
  readonly assemblyMm: number;
  /** As it was taped, seat to seat over the mock-up. */
  readonly tapedMm?: number;
  /** A hose that is on the car already: how much comes off it. */
  readonly shortenMm?: number;
  readonly provisional: boolean;
  readonly ends: readonly [TicketEnd, TicketEnd];
  /** Angle between two bent ends; open until the line is routed. `none` where an end is straight and nothing is to be set. */
  readonly clocking: 'open' | 'none';
  readonly caution?: string;
  /** What is accepted as it is, with whom and why. */
  readonly accepted: readonly string[];
  readonly assembled: JudgedLine;
  readonly piece: AssembledPiece;
}

export interface TicketEnd {
  readonly side: 'A' | 'B';
  readonly hoseEnd: string;
  readonly angleDeg: number;
  /** `Turbo, oil inlet`, or the part in the middle of the line. */
  readonly goesTo: string;
  /** What it goes on, in notation. */
  readonly port: string;
  /** The adapters between the two, from the hose on. */
  readonly adapters: readonly string[];
  /** The joints from the hose end to the port, with what each is made up to. */
  readonly joints: readonly { readonly number: number; readonly words: string; readonly makeUp?: MakeUp }[];
}

/** A line that cannot be cut yet, and why. */
export interface NotReady {
  readonly number: string;
  readonly lineId: string;
  readonly lineName: string;
  readonly reasons: readonly string[];
}

/**
 * The cut tickets of a job, one a hose that is cut or shortened, in the order of the lines. A line gives its tickets when hoses, ends and
 * cut lengths are known and nothing holds it back: what leaks or is a risk is put right, or accepted with a reason; the others are listed
 * with what is missing. What is bought made up needs no ticket, and a line of fittings alone has none.
 */
export function cutTickets(job: JudgedJob): { tickets: CutTicket[]; notReady: NotReady[] } {
  const tickets: CutTicket[] = [];
  const notReady: NotReady[] = [];
  for (const assembled of job.lines) {
    const { line, pieces } = assembled;
    if (pieces.length === 0) continue;
    const number = `${job.document.job.number}-L${line.number}`;
    const holding = assembled.findings.filter(holdsLine);
    const ready = pieces.map(made);
    if (holding.length > 0 || ready.includes(undefined)) {
      notReady.push({ number, lineId: line.id, lineName: line.name, reasons: holding.map((p) => p.message) });
      continue;
    }
    ready.forEach((piece, i) => {
      if (!piece || pieces[i]!.piece.source === 'bought' || (pieces[i]!.piece.source === 'kept' && piece.cut.shortenMm === undefined))
        return;
      tickets.push(ticketOf(assembled, i, piece, pieces.length > 1 ? `${number}/${i + 1}` : number));
    });
  }
  return { tickets, notReady };
}

interface Made {
  readonly hose: Hose;
  readonly endA: HoseEnd;
  readonly endB: HoseEnd;
  readonly cut: CutArithmetic;
}

function made({ hose, endA, endB, cut }: AssembledPiece): Made | undefined {
  return hose && endA && endB && cut ? { hose, endA, endB, cut } : undefined;
}

function ticketOf(assembled: JudgedLine, at: number, { hose, endA, endB, cut }: Made, number: string): CutTicket {
  const { line, pieces } = assembled;
  const service = serviceById(line.service);
  const piece = pieces[at]!;
  const ticketEnd = (side: 'A' | 'B', end: HoseEnd): TicketEnd => ({
    side,
    hoseEnd: end.name,
    angleDeg: end.angleDeg,
    ...destination(assembled, at, side),
    ...between(assembled, at, side),
  });
  return {
    number,
    lineName: line.name,
    service: service.name,
    hose: `${hoseSize(hose)} ${constructionById(hose.construction).name}`,
    cutMm: cut.cutMm,
    assemblyMm: cut.assemblyMm,
    ...(cut.as === 'taped' ? { tapedMm: cut.givenMm } : {}),
    ...(cut.shortenMm === undefined ? {} : { shortenMm: cut.shortenMm }),
    provisional: piece.piece.provisional ?? false,
    ends: [ticketEnd('A', endA), ticketEnd('B', endB)],
    clocking: endA.angleDeg > 0 && endB.angleDeg > 0 ? 'open' : 'none',
    ...(service.caution ? { caution: service.caution } : {}),
    accepted: assembled.findings.flatMap(({ title, accepted }) =>
      accepted ? [`${title}: accepted by ${accepted.by}, ${accepted.reason}`] : [],
    ),
    assembled,
    piece,
  };
}

/** Where an end of a hose goes: to the port at that side of the line, or to what stands between two hoses. */
function destination({ ways }: AssembledLine, at: number, side: 'A' | 'B'): Pick<TicketEnd, 'goesTo' | 'port'> {
  const way = ways[side === 'A' ? at : at + 1]!;
  const there: Terminal = side === 'A' ? way.from : way.to;
  if (there.kind === 'port') return { goesTo: terminalName(there), port: formatPortThread(there.port) };
  const fittings = way.fittings ?? [];
  const next = side === 'A' ? fittings[fittings.length - 1] : fittings[0];
  if (!next)
    return {
      goesTo: `${there.hoseEnd?.name ?? 'the other hose'}, hose ${side === 'A' ? at : at + 2}`,
      port: there.hoseEnd ? formatConnector(there.hoseEnd.connector) : '',
    };
  return { goesTo: next.fitting.name, port: formatConnector(next.fitting.ends[side === 'A' ? next.outEnd : next.inEnd]!) };
}

/** What stands between an end of a hose and what it goes to, from the hose on. */
function between({ ways, joints }: AssembledLine, at: number, side: 'A' | 'B'): Pick<TicketEnd, 'adapters' | 'joints'> {
  const way = side === 'A' ? at : at + 1;
  const fromPort = (ways[way]!.fittings ?? []).map((p) => p.fitting.name);
  const own = joints
    .filter((j) => j.way === way && !j.branch)
    .map(({ number, parts, mating: { makeUp } }) => ({ number, words: parts.join(' on '), ...(makeUp ? { makeUp } : {}) }));
  return side === 'A' ? { adapters: fromPort.reverse(), joints: own.reverse() } : { adapters: fromPort, joints: own };
}
