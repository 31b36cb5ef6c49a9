import type { Stream } from './line-loss.js';
import { flowThroughHoles } from './turbo.js';
import { FlowFigureError } from './viscosity.js';

export interface BypassFilter {
  /** What holds its flow, mm. */
  readonly orificeMm: number;
  readonly idleBar: number;
  readonly fullBar: number;
  readonly fluid: Omit<Stream, 'flowLpm'>;
  readonly sumpL?: number;
  /** Of the oil pump, at idle and at most revs, L/min. */
  readonly pumpIdleLpm?: number;
  readonly pumpLpm?: number;
}

export interface BypassFlow {
  readonly idleLpm: number;
  readonly fullLpm: number;
  /** Until the sump has passed it once, min: at idle and at most revs. */
  readonly onceMin?: readonly [idle: number, full: number];
  /** Share of what the pump gives that it takes. */
  readonly shareIdle?: number;
  readonly shareFull?: number;
  /** It takes more than is usual. */
  readonly much: boolean;
  /** It takes more than an engine can miss. */
  readonly tooMuch: boolean;
}

/** Share of the pump that a bypass filter usually takes, and what the bearings miss, at hot idle and at most revs. Common practice. */
export const BYPASS_SHARES = { idle: { usual: 0.3, most: 0.45 }, full: { usual: 0.1, most: 0.2 } };

/** What a bypass filter takes of the gallery and how soon it has cleaned the sump. @throws {FlowFigureError} */
export function bypassFilter({ orificeMm, idleBar, fullBar, fluid, sumpL, pumpIdleLpm, pumpLpm }: BypassFilter): BypassFlow {
  if (!(orificeMm > 0)) throw new FlowFigureError('A bypass filter needs its orifice.', 'Measure it, or read it off the maker’s sheet.');
  const [idleLpm, fullLpm] = [idleBar, fullBar].map((bar) => flowThroughHoles([orificeMm], bar, fluid)) as [number, number];
  const shareIdle = pumpIdleLpm ? idleLpm / pumpIdleLpm : undefined;
  const shareFull = pumpLpm ? fullLpm / pumpLpm : undefined;
  return {
    idleLpm,
    fullLpm,
    ...(sumpL === undefined || idleLpm === 0 ? {} : { onceMin: [sumpL / idleLpm, sumpL / fullLpm] as const }),
    ...(shareIdle === undefined ? {} : { shareIdle }),
    ...(shareFull === undefined ? {} : { shareFull }),
    much: (shareIdle ?? 0) > BYPASS_SHARES.idle.usual || (shareFull ?? 0) > BYPASS_SHARES.full.usual,
    tooMuch: (shareIdle ?? 0) > BYPASS_SHARES.idle.most || (shareFull ?? 0) > BYPASS_SHARES.full.most,
  };
}
