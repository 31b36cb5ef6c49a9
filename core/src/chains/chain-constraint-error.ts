/** Two wishes that exclude each other, or one that nothing could meet. `field` names the constraint to change. */
export class ChainConstraintError extends Error {
  readonly code = 'chain-constraints';

  constructor(
    message: string,
    readonly field: string,
    readonly hint: string,
  ) {
    super(message);
    this.name = 'ChainConstraintError';
  }
}
