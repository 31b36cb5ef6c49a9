/** An answer that is JSON already: from a worker it goes to the wire as it is. */
export class JsonText<T = unknown> {
  declare readonly says?: T;
  constructor(readonly text: string) {}
}
