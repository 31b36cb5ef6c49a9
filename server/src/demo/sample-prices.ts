import {
  fittingKind,
  isPlain,
  kindOf,
  standardFittings,
  standardHoseEnds,
  standardHoses,
  standardSupplies,
  type Catalogue,
  type Fitting,
} from '@gewinde/core';
import { sampleBodies } from './sample-bodies.js';

const NOTE = 'sample data';

/** Invented suppliers, each with the letters its order codes begin with and the days its parts take. */
export const sampleSuppliers = [
  { name: 'Alderway Fittings (sample)', letters: 'AW', leadDays: [2, 3] },
  { name: 'Saltmarsh Hydraulic (sample)', letters: 'SM', leadDays: [5, 7] },
  { name: 'Ninefold Parts (sample)', letters: 'NF', leadDays: [10, 14] },
] as const;

/** What a piece costs about, minor units. Invented. */
const SUPPLY_BASE: Readonly<Record<string, number>> = {
  'o-ring': 60,
  washer: 45,
  gasket: 480,
  clamp: 190,
  sealant: 1450,
  lubricant: 900,
  cap: 35,
  sleeve: 1150,
  shrink: 620,
};

/** What a metre of hose costs before its size, minor units. Invented. */
const HOSE_BASE: Readonly<Record<string, number>> = {
  ptfe: 900,
  rubber: 1100,
  truck: 900,
  booster: 1200,
  pushon: 500,
  coolant: 320,
  fuel: 420,
  vacuum: 380,
  oil: 360,
  silicone: 780,
  charge: 950,
  crimped: 600,
  'crimped-ptfe': 950,
  'convoluted-ptfe': 1300,
  'steel-tube': 250,
  'aluminium-tube': 380,
  'copper-nickel-tube': 520,
};

/** What a metal costs beside aluminium. Invented. */
const METAL_TIMES: Readonly<Record<string, number>> = { steel: 1.25, stainless: 2.2, brass: 1.4 };

/** What a part with a body costs, minor units: by its mass, less where it is a shell. Invented. */
const bodyPrice = (f: Fitting): number => (f.body ? 600 + (f.massG ?? 0) * (fittingKind(kindOf(f)).hollow ? 3.5 : 12) : 0);

/**
 * The standard catalogue with invented prices, and invented parts with bodies, marked as sample data. A price grows with the metal of the part and a little with its
 * id, so that neighbouring parts differ; the same part always costs the same.
 */
export function sampleCatalogue(): Catalogue {
  const spread = (id: string): number => [...id].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 997, 7) / 997;
  const price = (id: string, base: number): number => Math.round((base * (0.9 + 0.25 * spread(id))) / 10) * 10;
  return {
    fittings: [
      ...standardFittings().map((f, i) => {
        const metal = (f.hexMm ?? 10) ** 1.35 * (f.lengthMm ?? 20) * 0.55 * (METAL_TIMES[f.material ?? ''] ?? 1);
        const draw = spread(`${f.id}/`);
        const supplier = sampleSuppliers[draw < 0.5 ? 0 : draw < 0.8 ? 1 : 2];
        const shelf = spread(`${f.id}.`) < 0.22 ? 1 + Math.round(spread(`${f.id}:`) * 6) : 0;
        const extra = bodyPrice(f) + (f.angleDeg ? 450 : 0) + (f.ends.length - 2) * 300 + (isPlain(f) ? 0 : 900);
        return {
          ...f,
          priceMinor: price(f.id, Math.max(260, 220 + metal + extra + (f.ends.some((e) => e.swivel) ? 380 : 0))),
          supplier: supplier.name,
          code: `${supplier.letters}-${String(1001 + i)}`,
          shelf: f.id === 'orb16m+an16m' ? 2 : shelf,
          leadDays: supplier.leadDays[i % 2]!,
          source: `${f.source}; price: ${NOTE}`,
        };
      }),
      ...sampleBodies(),
    ],
    hoses: standardHoses().map((h) => ({
      ...h,
      name: h.name,
      pricePerMetreMinor: price(h.id, HOSE_BASE[h.construction]! + h.outsideMm * 55),
      supplier: sampleSuppliers[1].name,
      leadDays: 6,
      source: `${h.source}; price: ${NOTE}`,
    })),
    supplies: standardSupplies().map((s) => {
      const shelf = spread(`${s.id}.`) < 0.4 ? 2 + Math.round(spread(`${s.id}:`) * 18) : 0;
      return {
        ...s,
        priceMinor: Math.max(10, price(s.id, SUPPLY_BASE[s.kind] ?? 300)),
        supplier: sampleSuppliers[spread(`${s.id}/`) < 0.6 ? 1 : 2].name,
        shelf,
        leadDays: 3,
        source: `${s.source}; price: ${NOTE}`,
      };
    }),
    hoseEnds: standardHoseEnds().map((e) => ({
      ...e,
      ...(e.socketLengthMm > 0
        ? {
            priceMinor: price(e.id, 480 + e.hexMm * 38 + (e.angleDeg ? 520 + e.angleDeg * 4 : 0)),
            supplier: sampleSuppliers[spread(`${e.id}/`) < 0.7 ? 0 : 1].name,
            leadDays: spread(`${e.id}/`) < 0.7 ? 2 : 6,
            shelf: spread(`${e.id}.`) < 0.3 ? 1 + Math.round(spread(`${e.id}:`) * 3) : 0,
          }
        : {}),
      source: `${e.source}; price: ${NOTE}`,
    })),
  };
}
