import type { CommandOf } from '../commands/index.js';
import type { AssembledWay } from './assembled-line.js';
import { asKept, type Way } from './ways.js';

/** A command on the line as it stands when it is sent. */
type Unversioned<C> = C extends unknown ? Omit<C, 'version'> : never;
export type TakeWayCommand = Unversioned<CommandOf<'take-way'> | CommandOf<'edit-piece'>>;

/** What takes a way at its place: where it goes to another end than the one on the hose, that end is put on in the same change. */
export function takeWayCommands(lineId: string, { at, from, to }: Pick<AssembledWay, 'at' | 'from' | 'to'>, way: Way): TakeWayCommand[] {
  const take: TakeWayCommand = { do: 'take-way', id: lineId, at, ...asKept(way) };
  const end = from.kind === 'hose end' ? from : to;
  if (way.otherEnd === undefined || end.kind !== 'hose end') return [take];
  const set = end.side === 'A' ? { endA: way.otherEnd } : { endB: way.otherEnd };
  return [{ do: 'edit-piece', id: lineId, piece: end.piece.key, set }, take];
}
