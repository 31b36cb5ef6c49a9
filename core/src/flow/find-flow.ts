/** What rises with flow from nothing: a loss, bar at L/min. */
export type LossCurve = (flowLpm: number) => number;

/** Flows are known to this share of themselves. */
const CLOSE = 1e-7;

/**
 * The flow at which a loss comes to a pressure, L/min: bracketed, then by regula falsi on the square roots (losses lie between Q and Q²), which
 * closes in within some ten rounds.
 * @param near where it may lie, L/min
 */
export function flowAtLoss(loss: LossCurve, bar: number, near = 1): number {
  if (!(bar > 0)) return 0;
  const off = (q: number): number => Math.sqrt(loss(q)) - Math.sqrt(bar);
  let [low, high] = [0, Math.max(1e-6, near)];
  let atLow = -Math.sqrt(bar);
  let atHigh = off(high);
  for (let i = 0; atHigh < 0 && i < 80; i++) {
    [low, atLow] = [high, atHigh];
    high *= 4;
    atHigh = off(high);
  }
  let side = 0;
  for (let i = 0; i < 100 && high - low > CLOSE * high; i++) {
    const between = (low * atHigh - high * atLow) / (atHigh - atLow);
    const next = between > low && between < high ? between : (low + high) / 2;
    const at = off(next);
    if (Math.abs(at) < 1e-9) return next;
    if (at > 0) {
      [high, atHigh] = [next, at];
      if (side === 1) atLow /= 2;
      side = 1;
    } else {
      [low, atLow] = [next, at];
      if (side === -1) atHigh /= 2;
      side = -1;
    }
  }
  return (low + high) / 2;
}
