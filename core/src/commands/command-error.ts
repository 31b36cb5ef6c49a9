export type CommandErrorCode =
  | 'not-found'
  | 'conflict'
  | 'not-enough'
  | 'wrong-order'
  | 'price-changed'
  | 'same-port'
  | 'port-in-use'
  | 'component-in-use'
  | 'bad-value'
  | 'held'
  | 'too-many'
  | 'part-unsound'
  | 'part-taken'
  | 'code-taken'
  | 'id-taken';

/** A command that cannot be carried out: why, in plain words, and which field it is about. */
export class CommandError extends Error {
  constructor(
    readonly code: CommandErrorCode,
    message: string,
    readonly field?: string,
    /** The row as it stands now, with a conflict. */
    readonly current?: unknown,
  ) {
    super(message);
    this.name = 'CommandError';
  }
}
