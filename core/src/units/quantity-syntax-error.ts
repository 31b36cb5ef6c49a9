/** A typed quantity that cannot be read. `position` and `length` say where, `hint` says what to type instead. */
export class QuantitySyntaxError extends Error {
  readonly code = 'quantity-syntax';
  constructor(
    message: string,
    readonly position: number,
    readonly length: number,
    readonly hint: string,
  ) {
    super(message);
    this.name = 'QuantitySyntaxError';
  }
}
