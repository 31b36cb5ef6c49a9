/** From where to where a clamp closes, mm. */
export type ClampSpan = readonly [fromMm: number, toMm: number];

/** Worm-drive clamps by what they close on, mm. Source: DIN 3017-1, from memory. */
export const wormClamps: readonly ClampSpan[] = [
  [8, 12],
  [10, 16],
  [12, 22],
  [16, 27],
  [20, 32],
  [25, 40],
  [32, 50],
  [40, 60],
  [50, 70],
  [60, 80],
  [70, 90],
  [80, 100],
  [90, 110],
  [100, 120],
];

/** Those that are made with a lining under the slots of the band, for silicone, mm. Common sizes, from memory. */
export const linedClamps: readonly ClampSpan[] = wormClamps.filter(([from]) => from >= 12 && from <= 60);

/** T-bolt bands, mm. Common sizes, from memory. */
export const tBoltBands: readonly ClampSpan[] = [40, 45, 50, 55, 60, 65, 70, 75, 80, 85, 90, 95, 100, 105, 110].map((from) => [
  from,
  from + 6,
]);

export interface ClampChoice {
  readonly kind: 'screw band' | 'worm drive' | 'worm drive, lined' | 'T-bolt';
  /** What it closes on, mm. */
  readonly fromMm: number;
  readonly toMm: number;
  /** How tight, N·m; the clamp's own figure goes first. */
  readonly torqueNm: readonly [low: number, high: number];
  readonly why: string;
}

/** By kind, N·m; a worm drive of a narrow band takes less. Common practice, from memory. */
const TORQUES = {
  'screw band': [1, 1.5],
  'narrow worm drive': [2, 3],
  'worm drive': [4, 5],
  'worm drive, lined': [3, 4],
  'T-bolt': [7, 9],
} as const;
/** Up to this span a worm drive has a band of 9 mm. DIN 3017-1, from memory. */
const NARROW_TO_MM = 27;
/** Boost hose that is thinner outside than this is held by a lined worm drive: no T-bolt closes on it. */
const SMALLEST_T_BOLT_MM = tBoltBands[0]![0];
const SMALLEST_WORM_MM = 12;
/** Constructions that the slots of a bare band cut. */
const SOFT = ['silicone', 'charge', 'vacuum'];

/** What is known of a hose that is clamped. */
export interface ClampedHose {
  readonly boreMm: number;
  readonly outsideMm: number;
  readonly construction: string;
}

/**
 * The clamp for a hose on its barb or bead: by the outside of the hose once it is pushed on, which is the barb and twice the wall.
 * @param hose bore and outside as it is sold, mm
 * @param overMm outside of the barb or bead; the bore where nothing is said
 * @returns undefined where none that is made closes on it, or the hose has no wall
 */
export function clampFor({ boreMm, outsideMm, construction }: ClampedHose, overMm = boreMm): ClampChoice | undefined {
  const outside = overMm + outsideMm - boreMm;
  if (!(outsideMm > boreMm)) return undefined;
  if (construction === 'charge' && outside >= SMALLEST_T_BOLT_MM)
    return chosen(
      'T-bolt',
      TORQUES['T-bolt'],
      nearest(tBoltBands, outside),
      'boost: a band pressed evenly all round, tightened again after the first heat',
    );
  if (outside < SMALLEST_WORM_MM)
    return chosen(
      'screw band',
      TORQUES['screw band'],
      [Math.floor(outside - 1), Math.ceil(outside + 1)],
      'too small for a worm drive to close round',
    );
  const soft = SOFT.includes(construction);
  const span = nearest(soft ? linedClamps : wormClamps, outside);
  const kind = soft ? 'worm drive, lined' : 'worm drive';
  const torque = TORQUES[span && span[1] <= NARROW_TO_MM ? 'narrow worm drive' : kind];
  return chosen(
    kind,
    torque,
    span,
    soft ? 'silicone is cut by the slots of a bare band' : 'the span whose middle is nearest to the hose on its barb',
  );
}

function chosen(
  kind: ClampChoice['kind'],
  torqueNm: ClampChoice['torqueNm'],
  span: ClampSpan | undefined,
  why: string,
): ClampChoice | undefined {
  return span && { kind, fromMm: span[0], toMm: span[1], torqueNm, why };
}

/** In the middle of its span, so that it can be opened far enough to go on, and closed further once the hose settles. */
function nearest(spans: readonly ClampSpan[], outside: number): ClampSpan | undefined {
  const off = ([from, to]: ClampSpan): number => Math.abs((from + to) / 2 - outside);
  return spans.filter(([from, to]) => outside >= from && outside <= to).sort((a, b) => off(a) - off(b))[0];
}

/** By what name a kind of clamp is sold, where the hose alone does not say it. */
const SOLD_AS: Partial<Record<ClampChoice['kind'], string>> = { 'T-bolt': 'T-bolt band', 'worm drive, lined': 'Lined worm clamp' };

/** What to ask for, where a hose clamp of any kind will not do: `T-bolt band 70 to 76 mm`; undefined for the usual one of that hose. */
export function clampSize({ kind, fromMm, toMm }: Pick<ClampChoice, 'kind' | 'fromMm' | 'toMm'>): string | undefined {
  const name = SOLD_AS[kind];
  return name && `${name} ${fromMm} to ${toMm} mm`;
}
