/**
 * Every unit the app reads or shows, as data. Inside the core a quantity is held in the first unit of its kind
 * (mm, bar, N·m, °C, L, °, %, L/min, m/s, kW, 1/min, cSt, kg/m³); conversion happens only here.
 *
 * Factors are exact by definition: 1 in = 25.4 mm (international inch), 1 lbf = 4.4482216152605 N.
 */
export type QuantityKind =
  | 'length'
  | 'pressure'
  | 'torque'
  | 'temperature'
  | 'volume'
  | 'angle'
  | 'percent'
  | 'flow'
  | 'speed'
  | 'power'
  | 'revs'
  | 'viscosity'
  | 'density';

export type UnitSystem = 'metric' | 'inch';

export interface Unit {
  readonly symbol: string;
  readonly kind: QuantityKind;
  /** What people type for it, lower case. */
  readonly typed: readonly string[];
  /** value in base unit = value × factor + offset */
  readonly factor: number;
  readonly offset: number;
}

const POUND_FORCE_N = 4.4482216152605;
const INCH_MM = 25.4;

const unit = (symbol: string, kind: QuantityKind, typed: string[], factor = 1, offset = 0): Unit => ({
  symbol,
  kind,
  typed,
  factor,
  offset,
});

export const units: readonly Unit[] = [
  unit('mm', 'length', ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters']),
  unit('cm', 'length', ['cm'], 10),
  unit('m', 'length', ['m', 'metre', 'metres', 'meter', 'meters'], 1000),
  unit('in', 'length', ['in', 'inch', 'inches', '"', '″', '”'], INCH_MM),
  unit('ft', 'length', ['ft', 'foot', 'feet', "'", '′', '’'], 12 * INCH_MM),
  unit('bar', 'pressure', ['bar']),
  unit('mbar', 'pressure', ['mbar'], 0.001),
  unit('psi', 'pressure', ['psi', 'lbf/in2', 'lbf/in²'], (POUND_FORCE_N / (INCH_MM * INCH_MM)) * 10),
  unit('kPa', 'pressure', ['kpa'], 0.01),
  unit('MPa', 'pressure', ['mpa'], 10),
  unit('N·m', 'torque', ['n·m', 'nm', 'n.m', 'n m']),
  unit(
    'lbf·ft',
    'torque',
    ['lbf·ft', 'lbf.ft', 'lbfft', 'ft·lbf', 'ft-lb', 'ftlb', 'lb-ft', 'lbft', 'lb·ft'],
    (POUND_FORCE_N * 12 * INCH_MM) / 1000,
  ),
  unit('lbf·in', 'torque', ['lbf·in', 'lbf.in', 'in-lb', 'inlb', 'lb-in'], (POUND_FORCE_N * INCH_MM) / 1000),
  unit('°C', 'temperature', ['°c', 'c', 'degc']),
  unit('°F', 'temperature', ['°f', 'f', 'degf'], 5 / 9, -160 / 9),
  unit('L', 'volume', ['l', 'litre', 'litres', 'liter', 'liters']),
  unit('qt', 'volume', ['qt', 'quart', 'quarts'], 0.946352946),
  unit('L/min', 'flow', ['l/min', 'lpm', 'l']),
  unit('gal/min', 'flow', ['gal/min', 'gpm', 'gal'], 3.785411784),
  unit('m/s', 'speed', ['m/s']),
  unit('ft/s', 'speed', ['ft/s'], 0.3048),
  unit('kW', 'power', ['kw']),
  unit('hp', 'power', ['hp', 'bhp'], (550 * POUND_FORCE_N * 12 * INCH_MM) / 1e6),
  unit('1/min', 'revs', ['1/min', 'rpm', '/min', 'revs']),
  unit('cSt', 'viscosity', ['cst', 'mm²/s', 'mm2/s']),
  unit('kg/m³', 'density', ['kg/m³', 'kg/m3']),
  unit('g/cm³', 'density', ['g/cm³', 'g/cm3', 'kg/l'], 1000),
  unit('°', 'angle', ['°', 'deg', 'degree', 'degrees']),
  unit('%', 'percent', ['%', 'percent']),
];

/** The unit a kind is shown in by a shop that works in the given system. */
export const houseUnits: Readonly<Record<UnitSystem, Readonly<Record<QuantityKind, string>>>> = {
  metric: {
    length: 'mm',
    pressure: 'bar',
    torque: 'N·m',
    temperature: '°C',
    volume: 'L',
    angle: '°',
    percent: '%',
    flow: 'L/min',
    speed: 'm/s',
    power: 'kW',
    revs: '1/min',
    viscosity: 'cSt',
    density: 'kg/m³',
  },
  inch: {
    length: 'in',
    pressure: 'psi',
    torque: 'lbf·ft',
    temperature: '°F',
    volume: 'qt',
    angle: '°',
    percent: '%',
    flow: 'gal/min',
    speed: 'ft/s',
    power: 'hp',
    revs: '1/min',
    viscosity: 'cSt',
    density: 'kg/m³',
  },
};

/** The unit with this symbol. @throws {RangeError} for a symbol that is not in the table. */
export function unitBySymbol(symbol: string): Unit {
  const found = units.find((u) => u.symbol === symbol);
  if (!found) throw new RangeError(`No unit "${symbol}"`);
  return found;
}

/** Converts between two units of one kind, for example `convert(1, 'in', 'mm')` is 25.4. */
export function convert(value: number, from: string, to: string): number {
  const a = unitBySymbol(from);
  const b = unitBySymbol(to);
  if (a.kind !== b.kind) throw new RangeError(`${from} and ${to} do not measure the same thing`);
  return (value * a.factor + a.offset - b.offset) / b.factor;
}
