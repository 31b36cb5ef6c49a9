/** A notation that cannot be read: where it goes wrong, what to type instead. */
export class ConnectorSyntaxError extends Error {
  readonly code = 'connector-syntax';
  constructor(
    message: string,
    /** Offset of the mistake in the typed text. */
    readonly position: number,
    readonly length: number,
    /** What would read, in words. */
    readonly hint: string,
    /** A whole notation to put in its place, where one can be guessed. */
    readonly suggestion?: string,
  ) {
    super(message);
    this.name = 'ConnectorSyntaxError';
  }
}
