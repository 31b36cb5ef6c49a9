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
    /** Where what was typed has several meanings: each as a whole notation. */
    readonly choices: readonly string[] = [],
    /** It is the name of a part, not of an end: what to look for in the store. */
    readonly part?: string,
  ) {
    super(message);
    this.name = 'ConnectorSyntaxError';
  }

  /** What to do about it, in a sentence. */
  get advice(): string {
    if (this.suggestion) return `Did you mean "${this.suggestion}"?`;
    if (this.choices.length === 0) return this.hint;
    return `${this.hint} Type ${this.choices.map((choice) => `"${choice}"`).join(' or ')}.`;
  }
}
