import { bareConnector, boreSizeMm, endForm, familyById, formatConnector, shapeOf, type Connector } from '../../connectors/index.js';
import { kindOf, type Fitting, type Material } from '../fitting.js';
import { lengthBetween } from '../end-frames.js';
import { fittingKind, type FittingKindId } from '../fitting-kinds.js';
import { partRating } from '../ratings.js';
import { spannerFor } from '../spanners.js';
import type { Body } from '../body-schema.js';
import { commonBody } from './common-body.js';
import { volumeCm3 } from './volume.js';

const SOURCE = 'standard ends, common proportions';

/** What a part is apart from its ends. */
export interface Make {
  readonly kind?: FittingKindId;
  readonly material?: Material;
  /** Narrower than its ends: a restrictor. */
  readonly boreMm?: number;
  /** Longer than its ends and hex alone: a filter's body. */
  readonly bodyMm?: number;
  readonly bodyHex?: number;
  readonly oneWay?: boolean;
  /** What sets it apart beyond its ends, as its id and its name have it: `18 mm`, `4 ply`. */
  readonly apart?: string;
  /** What it is called, where its ends alone would not say it. */
  readonly called?: string;
}

/** Density in kg/dm³. */
const DENSITY: Readonly<Record<Material, number>> = {
  aluminium: 2.7,
  steel: 7.85,
  stainless: 7.9,
  brass: 8.5,
  silicone: 1.25,
  rubber: 1.2,
};

/** The id the catalogue gives an adapter: its ends and its angle, `npt1/8m+an6m@90`. */
export function adapterId(a: Connector, b: Connector, angleDeg: number): string {
  return partId([a, b], angleDeg);
}

/** Ends, angle, then what sets it apart from its plain sister: `an4fswivel+an4m~1` is one with a bore of 1 mm. */
function partId(ends: readonly Connector[], angleDeg: number, { kind, material, boreMm, apart, called }: Make = {}): string {
  // what has a name of its own goes by it: faces and ports together would be too long
  if (called) return idOf(`${called} ${apart ?? ''}`);
  const words = ends.map((c) => formatConnector(c).replace(/\s+/g, '')).join('+');
  const functional = kind && fittingKind(kind).function ? `#${kind.replace(/\W/g, '')}` : '';
  return `${words}${angleDeg ? `@${angleDeg}` : ''}${boreMm ? `~${boreMm}` : functional}${material ? `#${material}` : ''}${apart ? `~${apart.replace(/\s+/g, '')}` : ''}`;
}

/** `Spacer m20x1.5 (62x71), 18 mm` is `spacer-m20x1.5-62x71-18mm`. */
function idOf(name: string): string {
  return name
    .toLowerCase()
    .replace(/\btwo\b|[,°()]/g, ' ')
    .replace(/\s*×\s*/g, 'x')
    .replace(/ mm\b/g, 'mm')
    .trim()
    .replace(/\s+/g, '-');
}

/** Families whose parts the trade makes of steel. Common practice. */
const STEEL: ReadonlySet<string> = new Set(['cone24', 'cone60', 'inverted']);

/** An adapter between two connectors with dimensions that follow from its ends. */
export function adapter(a: Connector, b: Connector, angleDeg: number, make: Make = {}): Fitting {
  const forms = [endForm(a), endForm(b)] as const;
  const banjo = shapeOf(a) === 'banjo';
  const hexMm = hexFor([a, b], Math.max(forms[0].hexMm, forms[1].hexMm, make.bodyHex ?? 0));
  const boreMm = make.boreMm ?? tenth(Math.min(forms[0].boreMm, forms[1].boreMm));
  const legsMm = angleDeg
    ? forms.map((form, i) => tenth(form.reachMm + (banjo ? (i === 0 ? 0 : forms[0].outsideMm * 0.75) : 0.62 * hexMm)))
    : undefined;
  const lengthMm = legsMm ? legsMm[0]! + legsMm[1]! : forms[0].reachMm + 3 + 0.3 * hexMm + forms[1].reachMm + (make.bodyMm ?? 0);
  return part(
    [a, b],
    { ...make, ...(!make.material && (banjo || [a, b].some(({ family }) => STEEL.has(family))) ? { material: 'steel' } : {}) },
    { hexMm, boreMm, lengthMm, ...(angleDeg ? { angleDeg } : {}), ...(legsMm ? { legsMm } : {}) },
    partId([a, b], angleDeg, make),
  );
}

/** A piece of hose with its wall: as wide inside as its ends are said to be, no spanner on it. */
export function moulded(a: Connector, b: Connector, angleDeg: number, wallMm: number, make: Make): Fitting {
  const bores = [a, b].map(({ size }) => boreSizeMm(size));
  const [wide, narrow] = [Math.max(...bores), Math.min(...bores)];
  const legMm = angleDeg ? tenth(Math.max(60, 1.6 * wide)) : 0;
  const lengthMm = angleDeg ? 2 * legMm : tenth(Math.max(50, 1.2 * wide));
  const bare = part(
    [a, b],
    make,
    { boreMm: tenth(narrow), lengthMm, ...(angleDeg ? { angleDeg, legsMm: [legMm, legMm] } : {}) },
    partId([a, b], angleDeg, make),
  );
  const { hexMm: _, ...rest } = bare;
  const mean = (wide + narrow) / 2 + wallMm;
  return { ...rest, massG: Math.max(1, Math.round((Math.PI * mean * wallMm * lengthMm * DENSITY[make.material ?? 'silicone']) / 1000)) };
}

/** A tee or a cross: run, run, branch, branch; each leg from the crossing of the axes to its seat. */
export function branched(ends: readonly Connector[], make: Make = {}): Fitting {
  const forms = ends.map(endForm);
  // no smaller than what any of its ends needs round its thread
  const hexMm = hexFor(ends, Math.max(...forms.map((f) => f.hexMm)));
  const legsMm = forms.map((form) => tenth(form.reachMm + 0.62 * hexMm));
  const boreMm = tenth(Math.min(forms[0]!.boreMm, forms[1]!.boreMm));
  return part(ends, make, { hexMm, boreMm, legsMm, lengthMm: legsMm[0]! + legsMm[1]! }, partId(ends, 0, make));
}

/** Ends beside the main flow: they do not narrow it. */
const BESIDE = /gauge|drain$|feed/;

/** A part with a body of its own, by common proportions. */
export function withBody(ends: readonly Connector[], kind: FittingKindId, make: Make = {}, body: Body = commonBody(ends, kind)): Fitting {
  const bore = Math.min(...ends.filter((_, i) => i < 2 || !BESIDE.test(body.places[i]?.name ?? '')).map((end) => endForm(end).boreMm));
  const bare = part(
    ends,
    { ...make, kind },
    { hexMm: hexFor(ends, body.acrossMm), boreMm: tenth(bore), lengthMm: body.heightMm },
    partId(ends, 0, { ...make, kind }),
  );
  const { hexMm: _, ...rest } = bare;
  const whole = { ...rest, body };
  return { ...whole, lengthMm: ends.length === 1 ? body.heightMm : Math.round(lengthBetween(whole, 0, 1) * 100) / 100 };
}

/** Mass of parts with a body over the space they take, g/cm³, dry. Common practice. */
const APPARENT: Readonly<Partial<Record<FittingKindId, number>>> = {
  plate: 1.3,
  spacer: 1.2,
  thermostat: 1.5,
  'filter head': 1.3,
  'spin-on filter': 0.75,
  canister: 1,
  cooler: 1,
  'heat exchanger': 1.1,
  tank: 0.4,
  valve: 4.5,
};

/** Share of the space they take that coolers, filters and tanks fill with oil. Common practice. */
const HOLDS: Readonly<Partial<Record<FittingKindId, number>>> = {
  'spin-on filter': 0.5,
  canister: 0.6,
  cooler: 0.35,
  'heat exchanger': 0.25,
  'filter head': 0.05,
  tank: 0.9,
};

/** A part with a body that is said: where its ends are on it, and how they are joined inside. */
export function bodied(ends: readonly Connector[], kind: FittingKindId, body: Body, make: Make = {}): Fitting {
  const whole = withBody(ends, kind, make, body);
  const across = body.acrossMm ** 2 * (body.shape === 'round' ? Math.PI / 4 : kind === 'cooler' ? 50 / body.acrossMm : 1);
  const apparent = APPARENT[kind];
  const spaceL = (across * body.heightMm) / 1e6;
  const holds = HOLDS[kind];
  const filled =
    holds === undefined ? whole : { ...whole, body: { ...body, holdsL: Math.max(0.01, Math.round(spaceL * holds * 100) / 100) } };
  return apparent === undefined ? filled : { ...filled, massG: Math.max(1, Math.round(spaceL * 1000 * apparent)) };
}

/** A plug, a cap or a weld bung: one end, and what stands out of the joint. */
export function single(end: Connector, make: Make = {}): Fitting {
  const form = endForm(bareConnector(end));
  const hexMm = hexFor([end], form.hexMm);
  const bung = familyById(end.family).carries === true;
  return part(
    [end],
    make,
    { hexMm, lengthMm: bung ? form.reachMm + 4 : form.reachMm + 0.35 * hexMm, ...(bung ? { boreMm: tenth(form.boreMm) } : {}) },
    partId([end], 0, make),
  );
}

function part(
  ends: readonly Connector[],
  make: Make,
  figures: Pick<Fitting, 'hexMm' | 'boreMm' | 'lengthMm' | 'legsMm' | 'angleDeg'>,
  id: string,
): Fitting {
  const material = make.material ?? 'aluminium';
  const { maxBar, minTempC, maxTempC } = partRating({ ends, material, ...(make.kind ? { kind: make.kind } : {}) });
  const bare: Fitting = {
    id,
    name: '',
    ends,
    ...(make.kind ? { kind: make.kind } : {}),
    ...figures,
    hexMm: tenth(figures.hexMm ?? 10),
    lengthMm: tenth(figures.lengthMm ?? 10),
    massG: Math.max(1, Math.round(volumeCm3(ends, figures, make.bodyMm) * DENSITY[material])),
    material,
    maxBar,
    minTempC,
    maxTempC,
    ...(make.oneWay ? { oneWay: true } : {}),
    source: SOURCE,
  };
  const kind = kindOf(bare);
  return { ...bare, kind, name: nameOf(bare, kind, make) };
}

/** The spanner of the row that its threads belong to: inch ones an inch spanner, all others a metric one. */
function hexFor(ends: readonly Connector[], acrossMm: number): number {
  const inch = ends.some(
    (end) =>
      ['dash', 'inch'].includes(familyById(bareConnector(end).family).sizeKind) || familyById(bareConnector(end).family).americanEnds,
  );
  return spannerFor(acrossMm, inch ? 'inch' : 'metric');
}

function nameOf(fitting: Fitting, kind: FittingKindId, make: Make): string {
  const words = fitting.ends.map(formatConnector);
  const metal = make.material && kind !== 'banjo' ? `, ${make.material}` : '';
  const bore = make.boreMm ? ` ${make.boreMm.toFixed(1)} mm` : '';
  const head =
    kind === 'filter' ? 'Inline filter' : kind === 'bung' ? 'Weld bung' : kind === 'elbow' ? `Elbow ${fitting.angleDeg}°` : capital(kind);
  const turned = kind !== 'elbow' && kind !== 'banjo' && fitting.angleDeg ? ` ${fitting.angleDeg}°` : '';
  const apart = make.apart ? `, ${make.apart}` : '';
  if (make.called) return `${make.called}${apart}`;
  if (words.length === 1) return `${head}, ${words[0]!.replace(/^bung /, '')}${metal}${apart}`;
  const tail = words.length > 2 ? `, branch ${words.slice(2).join(' and ')}` : '';
  return `${head}${bore}${turned}, ${words[0]} to ${words[1]}${tail}${metal}${apart}`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function tenth(mm: number): number {
  return Math.round(mm * 10) / 10;
}
