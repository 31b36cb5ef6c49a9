/** One figure or word of a part, as it is typed, listed and drawn up: forms, cards and lists are made from these. */
export interface PartField {
  readonly name: string;
  readonly label: string;
  readonly type: 'text' | 'mm' | 'bar' | 'celsius' | 'number' | 'choice' | 'fluids';
  readonly required?: true;
  /** Of a choice. */
  readonly choices?: readonly string[];
  /** Of a figure. */
  readonly min?: number;
  readonly max?: number;
  readonly whole?: true;
}
