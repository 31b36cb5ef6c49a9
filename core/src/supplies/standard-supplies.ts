import { boreSizeMm, familyById } from '../connectors/index.js';
import {
  bondedWashers,
  bossRings,
  captiveRings,
  clampSize,
  compounds,
  faceRings,
  flatWashers,
  linedClamps,
  metricPortRings,
  studRings,
  tBoltBands,
  type ClampChoice,
  type ClampSpan,
} from '../seals/index.js';
import { postFaces } from '../fittings/index.js';
import { formatDash } from '../units/index.js';
import type { Supply } from './supply-schema.js';

/** Compounds that rings are kept in. */
const RING_COMPOUNDS = ['fkm', 'nbr', 'hnbr', 'epdm', 'fvmq'] as const;
/** Those of faces, which meet oil: EPDM never does. */
const FACE_COMPOUNDS = ['fkm', 'nbr'] as const;
const DASHES = [3, 4, 5, 6, 8, 10, 12, 16];
/** Heat sleeves as they are woven, by the bore, mm. Common sizes, from memory. */
/** What a clip holds, mm. */
const CLIPS = [5, 6, 8, 10, 12, 13, 14, 15, 16, 18, 19, 20, 22, 24, 25, 26, 28, 30, 32, 34, 36, 38, 40, 42, 45, 48, 50, 53, 56, 60];
const SLEEVES = [10, 13, 16, 19, 22, 25, 29, 32, 38, 44, 51];
/** Heat shrink at three to one: as it comes and shrunk, mm. Common sizes, from memory. */
const SHRINKS = [
  [12, 4],
  [19, 6],
  [26, 9],
  [39, 13],
  [52, 17],
] as const;
const FLANGES = familyById('flange').sizes;
/** Every size of hose that goes over a barb or a bead. */
const CLAMPED = [...new Set(['barb', 'bead'].flatMap((family) => familyById(family).sizes))];
const BULKHEADS = familyById('bulkhead').sizes;

/** The seals and consumables that the joints of the standard fittings ask for, without prices. */
export function standardSupplies(): Supply[] {
  return [
    ...rings(),
    ...washers(),
    ...gaskets(),
    ...flangeBolts(),
    ...clamps(),
    ...bands(),
    ...clips(),
    ...sleeves(),
    ...sealantsAndSuch(),
  ];
}

function rings(): Supply[] {
  const sizes = [
    ...Object.values(bossRings).map((r) => ({ size: r.id, ...r, source: 'AS568, from memory' })),
    ...Object.values(metricPortRings).map((r) => ({ size: `${r.insideMm} × ${r.sectionMm}`, ...r, source: 'ISO 6149-1, from memory' })),
    ...Object.entries(studRings).map(([g, r]) => ({ size: `stud G ${g}`, ...r, source: 'common practice; measure the stud' })),
    ...Object.entries(captiveRings).map(([thread, r]) => ({ size: `captive ${thread}`, ...r, source: 'DIN 3869, from memory' })),
  ];
  const made = (id: string): string => compounds.find((c) => c.id === id)!.id.toUpperCase();
  const faces = faceRings.map((r) => ({ size: r.id, ...r, source: 'AS568, from memory' }));
  return [
    ...faces.flatMap((ring) => FACE_COMPOUNDS.map((compound) => ({ ...ring, compound }))),
    ...sizes.flatMap((ring) => RING_COMPOUNDS.map((compound) => ({ ...ring, compound }))),
  ].map(({ size, insideMm, sectionMm, source, compound }): Supply => ({
    id: `o-ring ${compound} ${size}`,
    kind: 'o-ring',
    name: `O-ring ${made(compound)} ${size}`,
    figures: { size, insideMm: hundredth(insideMm), sectionMm: hundredth(sectionMm), compound },
    source,
  }));
}

function washers(): Supply[] {
  const flat = (style: 'copper' | 'aluminium') =>
    flatWashers.map(({ size, insideMm, outsideMm, thicknessMm }): Supply => ({
      id: `washer ${style} ${size}`,
      kind: 'washer',
      name: `${capital(style)} washer ${size}`,
      figures: { style, size, insideMm, outsideMm, thicknessMm },
      source: 'DIN 7603 form A, from memory',
    }));
  const bonded = (['nbr', 'fkm', 'epdm'] as const).flatMap((compound) =>
    bondedWashers.map(({ size, insideMm, outsideMm, thicknessMm }): Supply => ({
      // nitrile is what is meant where nothing is said
      id: `washer bonded ${compound === 'nbr' ? '' : `${compound} `}${size}`,
      kind: 'washer',
      name: `Bonded washer ${compound.toUpperCase()} ${size}`,
      figures: { style: 'bonded', size, insideMm, outsideMm, thicknessMm, compound },
      source: 'common sizes, from memory',
    })),
  );
  const bulkhead = BULKHEADS.map((dash): Supply => ({
    id: `washer bulkhead ${dash}`,
    kind: 'washer',
    name: `Bulkhead sealing washer ${formatDash(Number(dash))}`,
    figures: { style: 'bulkhead', size: formatDash(Number(dash)) },
    source: 'common practice',
  }));
  return [...flat('copper'), ...flat('aluminium'), ...bonded, ...bulkhead];
}

function gaskets(): Supply[] {
  const flange = FLANGES.map((size): Supply => ({
    id: `gasket flange ${size}`,
    kind: 'gasket',
    name: `Flange gasket ${size}`,
    figures: { style: 'flange', size },
    source: 'common practice',
  }));
  return [
    ...flange,
    ...[...new Set(postFaces.map(({ gasket }) => gasket))].map((size): Supply => ({
      id: `gasket filter or plate ${size}`,
      kind: 'gasket',
      name: `Filter or plate gasket ${size}`,
      figures: { style: 'filter or plate', size },
      source: 'common practice; a filter brings its own',
    })),
    {
      id: 'gasket filter or plate',
      kind: 'gasket',
      name: 'Filter or plate gasket',
      figures: { style: 'filter or plate' },
      source: 'common practice',
    },
  ];
}

/** Through a flange of 10 mm and its gasket, and one and a half times their diameter into aluminium. Common practice. */
const FLANGE_BOLTS = [
  ['M6', 20],
  ['M8', 25],
] as const;

function flangeBolts(): Supply[] {
  return FLANGE_BOLTS.map(([thread, lengthMm]) => ({
    id: `bolt flange ${thread}x${lengthMm}`,
    kind: 'bolt',
    name: `Flange bolt ${thread} × ${lengthMm}`,
    figures: { thread, lengthMm, material: 'steel 8.8' },
    source: 'common practice, for a flange of 10 mm: measure yours',
  }));
}

function clamps(): Supply[] {
  return CLAMPED.map((size): Supply => {
    const bore = boreSizeMm(size);
    const hose = size.endsWith('mm') ? `${size.replace('mm', ' mm')} hose` : `${size} in hose`;
    return {
      id: `clamp ${size}`,
      kind: 'clamp',
      name: `Hose clamp for ${hose}`,
      figures: { size: `for ${hose}`, fromMm: Math.round(bore + 4), toMm: Math.round(bore + 14), material: 'stainless' },
      source: 'SAE J1508, from memory',
    };
  });
}

/** T-bolt bands for boost, and worm drives with a lining under the slots for silicone. */
function bands(): Supply[] {
  const band = (kind: ClampChoice['kind'], [fromMm, toMm]: ClampSpan, torque: string): Supply => {
    const name = clampSize({ kind, fromMm, toMm })!;
    return {
      id: `clamp ${kind === 'T-bolt' ? 't-bolt-band' : 'lined-worm-clamp'} ${fromMm}-${toMm}`,
      kind: 'clamp',
      name,
      figures: { size: name, fromMm, toMm, material: 'stainless' },
      source: `common sizes, from memory; about ${torque}, the clamp's own figure goes first`,
    };
  };
  return [
    ...tBoltBands.map((span) => band('T-bolt', span, '8 N·m')),
    ...linedClamps.map((span) => band('worm drive, lined', span, '4 N·m')),
  ];
}

function clips(): Supply[] {
  return CLIPS.map((holdsMm): Supply => ({
    id: `clip ${holdsMm}`,
    kind: 'clip',
    name: `Clip lined with rubber, ${holdsMm} mm`,
    figures: { holdsMm, material: 'stainless, lined with rubber' },
    source: 'common sizes, from memory; the maker goes first',
  }));
}

function sleeves(): Supply[] {
  const woven = SLEEVES.map((insideMm): Supply => ({
    id: `sleeve ${insideMm}`,
    kind: 'sleeve',
    name: `Heat sleeve ${insideMm} mm, glass with silicone`,
    figures: { insideMm, material: 'glass with silicone', minC: -50, maxC: 250 },
    source: 'common sizes, from memory; the maker goes first',
  }));
  const shrinks = SHRINKS.map(([insideMm, shrunkMm]): Supply => ({
    id: `shrink ${insideMm}`,
    kind: 'shrink',
    name: `Heat shrink ${insideMm} to ${shrunkMm} mm, with adhesive`,
    figures: { insideMm, shrunkMm, material: 'polyolefin', minC: -55, maxC: 125 },
    source: 'common sizes, from memory; the maker goes first',
  }));
  return [...woven, ...shrinks];
}

function sealantsAndSuch(): Supply[] {
  const oils = ['engine oil', 'hot synthetic oil', 'diesel', 'coolant', 'air', 'vacuum'];
  return [
    {
      id: 'sealant liquid',
      kind: 'sealant',
      name: 'Liquid thread sealant with PTFE',
      figures: { style: 'liquid', fluids: oils, minC: -50, maxC: 150, cureHours: 24, joints: 60 },
      source: 'common practice; the maker goes first',
    },
    {
      id: 'sealant liquid fuel',
      kind: 'sealant',
      name: 'Liquid thread sealant for fuel',
      figures: {
        style: 'liquid',
        fluids: ['petrol', 'petrol with alcohol', 'E85', 'ethanol', 'methanol', 'alcohol fuel', 'diesel'],
        minC: -50,
        maxC: 150,
        cureHours: 24,
        joints: 60,
      },
      source: 'common practice; the maker goes first',
    },
    {
      id: 'sealant tape',
      kind: 'sealant',
      name: 'PTFE thread tape',
      figures: { style: 'tape', fluids: oils, minC: -200, maxC: 260, joints: 100 },
      source: 'common practice; the maker goes first',
    },
    { id: 'lubricant oil', kind: 'lubricant', name: 'Assembly oil', figures: { fluids: oils }, source: 'common practice' },
    ...DASHES.map((dash): Supply => ({
      id: `cap ${dash}`,
      kind: 'cap',
      name: `Protective cap ${formatDash(dash)}`,
      figures: { size: formatDash(dash) },
      source: 'common practice',
    })),
  ];
}

function hundredth(mm: number): number {
  return Math.round(mm * 100) / 100;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
