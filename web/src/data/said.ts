import type { Command } from '@gewinde/core';
import { rowOf, type PendingChange } from './outbox';

/** What a command sets, by where it stands in its row: `name`, `pieces.p1.length`, `ways.0.chosen`. */
function saidBy(command: Command): Record<string, unknown> {
  const under = (path: string, set: object) => Object.fromEntries(Object.entries(set).map(([field, value]) => [`${path}.${field}`, value]));
  if (command.do === 'edit-piece') return under(`pieces.${command.piece}`, command.set);
  if (command.do === 'edit-way') return under(`ways.${command.at}`, command.set);
  if (command.do === 'take-way') return { [`ways.${command.at}.chosen`]: { fittings: command.fittings } };
  if (command.do === 'check-line') return { checked: command.checked };
  return 'set' in command ? command.set : {};
}

/** What a change sets on a row, field by field. */
export function saidOf(change: PendingChange | undefined, rowId: string): Record<string, unknown> {
  const commands = change && 'commands' in change ? change.commands : [];
  const about = commands.filter((c) => rowOf(c) === rowId);
  return Object.assign({}, ...about.map(saidBy)) as Record<string, unknown>;
}
