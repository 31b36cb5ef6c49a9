/** What a bend, a branch or a mouth takes of the flow, as two constants: K = K1/Re + K∞·(1 + 1/d), d in inches. */
export interface TwoK {
  readonly k1: number;
  readonly kInf: number;
  /** The second constant does not hang on the size: entrances and exits. */
  readonly whateverSize?: true;
}

/** Source: Hooper, "The two-K method predicts head losses in pipe fittings", 1981, from memory. */
export const twoK = {
  'elbow 90, screwed': { k1: 800, kInf: 0.4 },
  'elbow 90, bent 1.5 d': { k1: 800, kInf: 0.2 },
  'elbow 45, screwed': { k1: 500, kInf: 0.2 },
  'elbow 45, bent 1.5 d': { k1: 500, kInf: 0.15 },
  'elbow 180, screwed': { k1: 1000, kInf: 0.6 },
  'elbow 180, bent 1.5 d': { k1: 1000, kInf: 0.3 },
  'tee, into the branch': { k1: 500, kInf: 0.7 },
  'tee, along the run': { k1: 200, kInf: 0.1 },
  'ball valve': { k1: 500, kInf: 0.15 },
  'check valve, swing': { k1: 1500, kInf: 1.5 },
  // what stands in a hose line: a ball or poppet on its spring
  'check valve, lift': { k1: 2000, kInf: 10 },
  entrance: { k1: 160, kInf: 0.5, whateverSize: true },
  exit: { k1: 0, kInf: 1, whateverSize: true },
} as const satisfies Readonly<Record<string, TwoK>>;
export type TwoKName = keyof typeof twoK;

const INCH_MM = 25.4;

/** K of an element at a Reynolds number in its own bore. */
export function lossCoefficient({ k1, kInf, whateverSize }: TwoK, reynolds: number, boreMm: number): number {
  return k1 / reynolds + (whateverSize ? kInf : kInf * (1 + INCH_MM / boreMm));
}

/**
 * The two constants of a bend of any angle: between those of 45°, 90° and 180° by the angle. Common practice.
 * @param screwed a sharp turn in a block, or a bent tube
 */
export function bendTwoK(angleDeg: number, screwed: boolean): TwoK {
  const kind = screwed ? 'screwed' : 'bent 1.5 d';
  const at = [
    [0, { k1: 0, kInf: 0 }],
    [45, twoK[`elbow 45, ${kind}`]],
    [90, twoK[`elbow 90, ${kind}`]],
    [180, twoK[`elbow 180, ${kind}`]],
  ] as const;
  const angle = Math.min(180, Math.max(0, angleDeg));
  const above = at.findIndex(([deg]) => deg >= angle);
  if (above <= 0) return at[0][1];
  const [low, high] = [at[above - 1]!, at[above]!];
  const share = (angle - low[0]) / (high[0] - low[0]);
  return { k1: low[1].k1 + share * (high[1].k1 - low[1].k1), kInf: low[1].kInf + share * (high[1].kInf - low[1].kInf) };
}

/** Sudden change of bore, on the velocity in the narrower: Borda and Carnot outwards, half of what is lost inwards. */
export function stepCoefficient(fromMm: number, toMm: number): number {
  const beta2 = (Math.min(fromMm, toMm) / Math.max(fromMm, toMm)) ** 2;
  return toMm > fromMm ? (1 - beta2) ** 2 : 0.5 * (1 - beta2);
}
