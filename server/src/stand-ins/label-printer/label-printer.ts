import { randomUUID } from 'node:crypto';

/** A label: the text of its code, and the lines beside it. */
export interface Label {
  readonly code: string;
  readonly lines: readonly string[];
}

export interface Printed {
  readonly id: string;
  readonly at: string;
  readonly title: string;
  readonly labels: readonly Label[];
}

/** The label printer on the bench. */
export interface LabelPrinter {
  print(title: string, labels: readonly Label[]): Promise<Printed>;
  /** What came out of it last, the newest first. */
  tray(): Promise<readonly Printed[]>;
}

/** So many jobs lie in the tray before the oldest falls out. */
const TRAY = 20;

/** A printer that ships with the app: what it prints lies in its tray, to be looked at. */
export class SimulatedLabelPrinter implements LabelPrinter {
  private readonly lying: Printed[] = [];

  async print(title: string, labels: readonly Label[]): Promise<Printed> {
    const printed = { id: randomUUID(), at: new Date().toISOString(), title, labels };
    this.lying.unshift(printed);
    this.lying.splice(TRAY);
    return printed;
  }

  async tray(): Promise<readonly Printed[]> {
    return this.lying;
  }
}
