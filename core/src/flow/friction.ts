/** Reynolds numbers between which a flow is neither laminar nor turbulent for certain. */
export const LAMINAR_TO = 2000;
export const TURBULENT_FROM = 4000;

export type Regime = 'laminar' | 'between' | 'turbulent';

export function regimeOf(reynolds: number): Regime {
  return reynolds < LAMINAR_TO ? 'laminar' : reynolds > TURBULENT_FROM ? 'turbulent' : 'between';
}

/**
 * Darcy friction factor: 64/Re where the flow is laminar, Colebrook where it is turbulent, and Churchill's formula across the gap, fitted to
 * both. Sources: Hagen and Poiseuille; Colebrook 1939; Churchill 1977.
 * @param relativeRoughness height of the roughness over the bore, 0…0.1
 * @throws {RangeError}
 */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
  if (!(reynolds > 0 && Number.isFinite(reynolds))) throw new RangeError(`A Reynolds number of ${reynolds} has no friction factor`);
  if (!(relativeRoughness >= 0 && relativeRoughness <= 0.1))
    throw new RangeError(`A relative roughness of ${relativeRoughness} is no pipe's`);
  if (reynolds <= LAMINAR_TO) return 64 / reynolds;
  if (reynolds >= TURBULENT_FROM) return colebrook(reynolds, relativeRoughness);
  const share = (reynolds - LAMINAR_TO) / (TURBULENT_FROM - LAMINAR_TO);
  const [below, above] = fitted(relativeRoughness);
  return churchill(reynolds, relativeRoughness) * (below + (above - below) * share);
}

/** What Churchill's formula is off by at both ends of the gap; the same bores are asked for thousands of times. */
function fitted(roughness: number): readonly [below: number, above: number] {
  const known = fits.get(roughness);
  if (known) return known;
  if (fits.size > MOST_KEPT) fits.clear();
  const found = [
    64 / LAMINAR_TO / churchill(LAMINAR_TO, roughness),
    colebrook(TURBULENT_FROM, roughness) / churchill(TURBULENT_FROM, roughness),
  ] as const;
  fits.set(roughness, found);
  return found;
}
const fits = new Map<number, readonly [number, number]>();
const MOST_KEPT = 500;

/** 1/√f = −2·log(ε/3.7 + 2.51/(Re·√f)), by fixed points: each halves the error many times over. */
function colebrook(reynolds: number, roughness: number): number {
  let root = -1.8 * Math.log10((roughness / 3.7) ** 1.11 + 6.9 / reynolds);
  for (let i = 0; i < 30; i++) {
    const next = -2 * Math.log10(roughness / 3.7 + (2.51 * root) / reynolds);
    if (Math.abs(next - root) < 1e-12) break;
    root = next;
  }
  return 1 / root ** 2;
}

function churchill(reynolds: number, roughness: number): number {
  const a = (2.457 * Math.log(1 / ((7 / reynolds) ** 0.9 + 0.27 * roughness))) ** 16;
  const b = (37_530 / reynolds) ** 16;
  return 8 * ((8 / reynolds) ** 12 + (a + b) ** -1.5) ** (1 / 12);
}
