import { formatCut, labelCode, type CutTicket, type UnitSystem } from '@gewinde/core';
import type { Label } from '../stand-ins/label-printer/label-printer.js';

/** The two end labels of a ticket: what is on them, whatever prints it. */
export function endLabels(ticket: CutTicket, system: UnitSystem): (Label & { readonly side: 'A' | 'B' })[] {
  return ticket.ends.map((end) => ({
    side: end.side,
    code: labelCode(ticket.number, end.side),
    lines: [`${ticket.number} ${end.side}`, end.goesTo, end.hoseEnd, `cut ${formatCut(ticket.cutMm, system)} · ${end.port}`],
  }));
}
