import { formatConnector } from '../connectors/index.js';
import { constructionById } from '../hose/index.js';
import { serviceById, type Catalogue, type JobDocument } from '../job/index.js';
import { assembleLine, type AssembledLine } from '../lines/index.js';
import { formatDash } from '../units/index.js';

/** What the bench needs to make one hose. */
export interface CutTicket {
  /** `2403-L4`: on the ticket and on both end labels. */
  readonly number: string;
  readonly lineName: string;
  readonly service: string;
  readonly hose: string;
  readonly cutMm: number;
  readonly assemblyMm: number;
  readonly ends: readonly [TicketEnd, TicketEnd];
  /** Angle between two bent ends; open until the line is routed. Undefined where an end is straight and nothing is to be set. */
  readonly clocking: 'open' | 'none';
  readonly caution?: string;
  readonly assembled: AssembledLine;
}

export interface TicketEnd {
  readonly side: 'A' | 'B';
  readonly hoseEnd: string;
  readonly angleDeg: number;
  /** `Turbo, oil inlet`. */
  readonly goesTo: string;
  readonly port: string;
}

/** A line that cannot be cut yet, and why. */
export interface NotReady {
  readonly number: string;
  readonly lineId: string;
  readonly lineName: string;
  readonly reasons: readonly string[];
}

/**
 * The cut tickets of a job, one a hose, in the order of the lines. A line gives a ticket when its hose, both ends and the cut length are known and
 * every joint seals, and the hose suits the fluid; the others are listed with what is missing.
 */
export function cutTickets(document: JobDocument, catalogue: Catalogue): { tickets: CutTicket[]; notReady: NotReady[] } {
  const tickets: CutTicket[] = [];
  const notReady: NotReady[] = [];
  for (const line of [...document.lines].sort((a, b) => a.position - b.position)) {
    const assembled = assembleLine(line, document, catalogue);
    const { hose, cut, ends } = assembled;
    const number = `${document.job.number}-L${line.number}`;
    const holding = assembled.problems;
    if (!hose || !cut || !ends[0].hoseEnd || !ends[1].hoseEnd || holding.length > 0) {
      notReady.push({ number, lineId: line.id, lineName: line.name, reasons: holding.map((p) => p.message) });
      continue;
    }
    const service = serviceById(line.service);
    const ticketEnd = (i: 0 | 1): TicketEnd => ({
      side: ends[i].side,
      hoseEnd: ends[i].hoseEnd!.name,
      angleDeg: ends[i].hoseEnd!.angleDeg,
      goesTo: `${ends[i].component.name}, ${ends[i].port.label}`,
      port: formatConnector(ends[i].port.connector),
    });
    tickets.push({
      number,
      lineName: line.name,
      service: service.name,
      hose: `${formatDash(hose.dash)} ${constructionById(hose.construction).name}`,
      cutMm: cut.cutMm,
      assemblyMm: cut.assemblyMm,
      ends: [ticketEnd(0), ticketEnd(1)],
      clocking: ends[0].hoseEnd.angleDeg > 0 && ends[1].hoseEnd.angleDeg > 0 ? 'open' : 'none',
      ...(service.caution ? { caution: service.caution } : {}),
      assembled,
    });
  }
  return { tickets, notReady };
}
