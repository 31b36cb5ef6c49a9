import type { FluidId } from '../fluids/index.js';
import { fluidProblem, type Hose } from '../hose/index.js';
import { quantity, roundedDown, roundedUp } from '../units/index.js';

/** What a hose must bear at its place. */
export interface HoseDuty {
  readonly fluid: FluidId;
  readonly pressureBar: number;
  readonly hottestC: number;
  /** Not judged where nobody says it. */
  readonly coldestC?: number;
  readonly suckedBar?: number;
  /** The tightest bend of its route, to the centreline, mm. */
  readonly bendMm?: number;
  readonly leastBoreMm?: number;
  /** Constructions that will not do here, with the reason. */
  readonly never?: Readonly<Record<string, string>>;
  /** Constructions in the order the house takes them; those it does not name come last. */
  readonly preferred?: readonly string[];
}

export interface HoseVerdict {
  readonly hose: Hose;
  /** Why it will not do; empty where it will. */
  readonly refusals: readonly string[];
  /** What it bears at the hottest, bar. */
  readonly bearsBar: number;
  /** Proof and least burst pressure, bar: twice and four times what it works at (SAE J517, J343), or what its sheet says. */
  readonly proofBar: number;
  readonly burstBar: number;
}

/** From where in its span a hose bears less, and how much is left at its hottest, by how it is built. Common practice, on the safe side: the maker's curve goes first. */
const DERATING: Readonly<Record<string, readonly [fromShare: number, left: number]>> = {
  ptfe: [0.5, 0.7],
  'crimped-ptfe': [0.5, 0.7],
  'convoluted-ptfe': [0.5, 0.7],
  'steel-tube': [0.8, 0.9],
  'aluminium-tube': [0.65, 0.7],
  'copper-nickel-tube': [0.7, 0.8],
};
const RUBBER: readonly [number, number] = [0.8, 0.8];

/** Working pressure at a temperature, bar: whole to a share of its highest temperature, and falling from there; nothing beyond. */
export function deratedBar({ construction, workingBar, maxTempC }: Hose, tempC: number): number {
  if (tempC > maxTempC) return 0;
  const [fromShare, left] = DERATING[construction] ?? RUBBER;
  const from = fromShare * maxTempC;
  if (tempC <= from) return workingBar;
  return workingBar * (1 - (1 - left) * ((tempC - from) / (maxTempC - from)));
}

/**
 * Every hose of a catalogue against what it must bear: those that will do first, as the house prefers them, the narrowest that pass what is
 * asked first; then those that are refused, with all their reasons.
 */
export function selectHose(duty: HoseDuty, hoses: readonly Hose[]): HoseVerdict[] {
  const order = duty.preferred ?? [];
  const rank = ({ construction }: Hose): number => (order.includes(construction) ? order.indexOf(construction) : order.length);
  return hoses
    .filter((hose) => !hose.retired)
    .map((hose): HoseVerdict => {
      const bearsBar = deratedBar(hose, duty.hottestC);
      return {
        hose,
        refusals: refusalsOf(hose, bearsBar, duty),
        bearsBar,
        proofBar: hose.workingBar * 2,
        burstBar: hose.burstBar ?? hose.workingBar * 4,
      };
    })
    .sort(
      (a, b) =>
        Number(a.refusals.length > 0) - Number(b.refusals.length > 0) ||
        rank(a.hose) - rank(b.hose) ||
        a.refusals.length - b.refusals.length ||
        a.hose.boreMm - b.hose.boreMm,
    );
}

function refusalsOf(
  hose: Hose,
  bearsBar: number,
  { fluid, pressureBar, hottestC, coldestC, suckedBar, bendMm, leastBoreMm, never }: HoseDuty,
): string[] {
  const unfit = fluidProblem(hose, fluid);
  const round = (bar: number): number => Math.floor(bar * 10) / 10;
  return [
    ...(unfit ? [unfit] : []),
    ...(never?.[hose.construction] ? [never[hose.construction]!] : []),
    ...(hottestC <= hose.maxTempC ? [] : [`it bears ${roundedDown(hose.maxTempC, '°C')}, and it gets to ${roundedUp(hottestC, '°C')}`]),
    ...(coldestC === undefined || coldestC >= hose.minTempC
      ? []
      : [`it is good to ${roundedUp(hose.minTempC, '°C')}, and it gets to ${roundedDown(coldestC, '°C')}`]),
    ...(hottestC > hose.maxTempC || bearsBar >= pressureBar
      ? []
      : [
          `at ${quantity(hottestC, '°C')} it bears ${roundedDown(round(bearsBar), 'bar')}, and ${roundedUp(pressureBar, 'bar')} may stand in it`,
        ]),
    ...(suckedBar === undefined || hose.vacuumBar === undefined || hose.vacuumBar >= suckedBar
      ? []
      : [`it collapses: sucked by ${roundedUp(suckedBar, 'bar')}, and it bears ${roundedDown(hose.vacuumBar, 'bar')}`]),
    ...(bendMm === undefined || hose.bendRadiusMm <= bendMm
      ? []
      : [`it bends at ${roundedUp(hose.bendRadiusMm, 'mm')}, and the route asks for ${roundedDown(bendMm, 'mm')}`]),
    ...(leastBoreMm === undefined || hose.boreMm >= leastBoreMm
      ? []
      : [`its bore is ${roundedDown(hose.boreMm, 'mm')}, and ${roundedUp(leastBoreMm, 'mm')} are asked for`]),
  ];
}
