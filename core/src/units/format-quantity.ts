import { convert, houseUnits, unitBySymbol, type QuantityKind, type UnitSystem } from './unit.js';

const THIN_SPACE = '\u2009';
const MINUS = '−';

/** Decimals shown for a unit when the caller does not say. */
const DECIMALS: Record<string, number> = {
  mm: 1,
  bar: 1,
  'N·m': 0,
  '°C': 0,
  L: 2,
  psi: 0,
  'lbf·ft': 0,
  '°F': 0,
  qt: 2,
  '°': 0,
  '%': 1,
  'gal/min': 2,
  kW: 0,
  hp: 0,
  '1/min': 0,
  'kg/m³': 0,
};

export interface FormatOptions {
  readonly decimals?: number;
  /** Finest fraction of an inch shown, 2…64; a length in inches that is no such fraction within a tenth of it is shown rounded to it. */
  readonly denominator?: number;
  /** Show inches as a decimal with so many places, as threads are measured. */
  readonly inchDecimals?: number;
  /** Inches as a fraction are rounded up: what is cut to it is never short. */
  readonly up?: boolean;
  /** Rounded to one side, where the nearest might hurt: what is borne `down`, what has to be borne `up`. Decimals only. */
  readonly toward?: 'down' | 'up' | undefined;
  /** Leave the unit away (it stands in the column's head). */
  readonly bare?: boolean;
}

/**
 * A base-unit value in words of the house: `664 mm`, `26 1/8 in`, `4.0 bar`. A true minus sign, a thin space before the unit.
 * @example formatQuantity(664, 'length', 'inch') // '26 1/8 in'
 */
export function formatQuantity(value: number, kind: QuantityKind, system: UnitSystem = 'metric', options: FormatOptions = {}): string {
  const symbol = houseUnits[system][kind];
  const number =
    symbol === 'in'
      ? options.inchDecimals === undefined
        ? formatInches(value / unitBySymbol('in').factor, options.denominator ?? 16, options.up)
        : formatDecimal(value / unitBySymbol('in').factor, options.inchDecimals, options.toward)
      : formatDecimal(convert(value, baseSymbol(kind), symbol), options.decimals ?? DECIMALS[symbol] ?? 1, options.toward);
  if (options.bare) return number;
  return symbol === '°' ? `${number}°` : `${number}${THIN_SPACE}${symbol}`;
}

/** Both systems at once, the house's first: `664 mm (26 1/8 in)`; what hover and print show. */
export function formatBoth(value: number, kind: QuantityKind, system: UnitSystem = 'metric', options: FormatOptions = {}): string {
  const other: UnitSystem = system === 'metric' ? 'inch' : 'metric';
  return `${formatQuantity(value, kind, system, options)} (${formatQuantity(value, kind, other, options)})`;
}

/** A run of hose as it hangs on the rack or is bought: `12.34 m`, `40.5 ft`. @param mm its length */
export function formatRun(mm: number, system: UnitSystem = 'metric'): string {
  const [unit, decimals] = system === 'metric' ? (['m', 2] as const) : (['ft', 1] as const);
  return `${(mm / unitBySymbol(unit).factor).toFixed(decimals)}${THIN_SPACE}${unit}`;
}

/** What a pack of hose holds, exactly: `1 m`, `10 ft`. @param mm its length */
export function formatPackLength(mm: number, system: UnitSystem = 'metric'): string {
  const unit = PACK_UNITS[system];
  return `${formatDecimal(mm / unitBySymbol(unit).factor, 3)}${THIN_SPACE}${unit}`;
}

/** In what hose is sold. */
export const PACK_UNITS: Readonly<Record<UnitSystem, string>> = { metric: 'm', inch: 'ft' };

/** A plain decimal, trailing zeros dropped, with a true minus sign: `−12.5`. */
export function formatDecimal(value: number, decimals: number, toward?: FormatOptions['toward']): string {
  const text = Math.abs(toward ? toSide(value, 10 ** decimals, toward) : value).toFixed(decimals);
  const shown = text.includes('.') ? text.replace(/\.?0+$/, '') : text;
  return value < 0 && Number(shown) !== 0 ? `${MINUS}${shown}` : shown;
}

/** Rounded to its side in steps of 1 / `steps`; a hair beyond a step is the reckoning's, not the figure's. */
function toSide(value: number, steps: number, toward: 'down' | 'up'): number {
  return (toward === 'down' ? Math.floor(value * steps + 1e-6) : Math.ceil(value * steps - 1e-6)) / steps;
}

/** Inches as a shop says them: `26 1/8`, `5/16`, rounded to the denominator, or up to it. */
export function formatInches(inches: number, denominator = 16, up = false): string {
  const exact = Math.abs(inches) * denominator;
  // a thousandth of a step is no step
  const count = up && inches > 0 ? Math.ceil(exact - 1e-3) : Math.round(exact);
  const whole = Math.floor(count / denominator);
  let top = count % denominator;
  let bottom = denominator;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  const sign = inches < 0 && count > 0 ? MINUS : '';
  if (top === 0) return `${sign}${whole}`;
  return `${sign}${whole > 0 ? `${whole} ` : ''}${top}/${bottom}`;
}

function baseSymbol(kind: QuantityKind): string {
  return houseUnits.metric[kind];
}
