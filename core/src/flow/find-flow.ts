/** What rises with flow from nothing: a loss, bar at L/min. */
export type LossCurve = (flowLpm: number) => number;

/** Flows are known to this share of themselves. */
const CLOSE = 1e-8;
const MOST_ROUNDS = 100;

/**
 * The flow at which a loss comes to a pressure, L/min: by secants on the square roots, in which losses (between Q and Q²) are nearly straight,
 * never out of the bracket that is known; three to six looks at the loss.
 * @param near where it may lie, L/min
 */
export function flowAtLoss(loss: LossCurve, bar: number, near = 1): number {
  if (!(bar > 0)) return 0;
  const root = Math.sqrt(bar);
  let [low, high] = [0, Infinity];
  let [before, offBefore] = [0, -root];
  let at = Math.max(1e-9, near);
  for (let i = 0; i < MOST_ROUNDS; i++) {
    const off = Math.sqrt(loss(at)) - root;
    if (off > 0) high = at;
    else low = at;
    if (off === 0 || high - low < CLOSE * high) return at;
    const slope = (off - offBefore) / (at - before);
    const next = slope > 0 ? at - off / slope : NaN;
    [before, offBefore] = [at, off];
    if (Math.abs(next - at) < CLOSE * at) return next;
    at = next > low && next < high ? next : high === Infinity ? at * 4 : (low + high) / 2;
  }
  return at;
}
