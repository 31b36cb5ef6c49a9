import type { StateId } from './duty.js';
import type { RunOutcome } from './run-path.js';
import type { SizeRun } from './size-line.js';
import type { SizingRowId } from './sizing-rows.js';

/** One thing that speaks against a size: how short it is called, and how far its limit is kept. */
export interface Held {
  readonly left: number;
  readonly short: string;
  readonly words: string;
  /** It goes all the same. */
  readonly soft?: true;
  /** The row whose figure says it. */
  readonly row?: SizingRowId;
}

/** From a rule of thumb to what will not do: of speed, of loss, of the speed in a fitting that is narrower than its hose. Common practice. */
export const FAR_BEYOND = { speed: 1.6, loss: 2, fitting: 1.3 };

export function outcomeIn({ outcomes }: Pick<SizeRun, 'outcomes'>, id: StateId): RunOutcome | undefined {
  return outcomes.find((o) => o.state.id === id);
}
