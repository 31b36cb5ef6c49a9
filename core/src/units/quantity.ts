import { formatInches, formatQuantity, type FormatOptions } from './format-quantity.js';
import { convert, houseUnits, unitBySymbol, units, type UnitSystem } from './unit.js';

/** Stands before and after each quantity of a sentence; nothing is seen of it. U+2063, the invisible separator. */
const MARK = '\u2063';
/** Stands behind a quantity that is read off a tape. U+2064, the invisible plus. */
const TAPE = '\u2064';
/** Stand behind a quantity that is rounded to one side. U+2061 and U+2062, the invisible function application and times. */
const DOWN = '\u2061';
const UP = '\u2062';
/** Finest fraction of an inch on a tape. */
const TAPE_INCH = 16;

/** A figure as it is said: with as many places as are known. Two of them are a range. */
type Figure = number | string;

/**
 * A quantity in a sentence. It reads as it stands, in the unit given, and stays a quantity: whoever shows the sentence says it in the units
 * of the house with `inHouseUnits`.
 * @param symbol of the table of units, such as `bar`
 * @param to the other end of a range
 * @example `it opens at ${quantity(7, 'bar')}`
 */
export function quantity(figure: Figure, symbol: string, to?: Figure): string {
  return `${MARK}${to === undefined ? figure : `${figure} to ${to}`} ${symbol}${MARK}`;
}

/** A length as a tape has it, mm: in inches it is a fraction, where `quantity` has a decimal. */
export function taped(mm: Figure): string {
  return `${MARK}${mm} mm${TAPE}${MARK}`;
}

/**
 * A quantity that must not be said higher than it is: what a part bears. `quantity` rounds to the nearest.
 * @example inHouseUnits(`it bears ${roundedDown(7, 'bar')}`, 'inch') // 'it bears 101 psi'; 7 bar are 101.53
 */
export function roundedDown(figure: Figure, symbol: string): string {
  return `${MARK}${figure} ${symbol}${DOWN}${MARK}`;
}

/** A quantity that must not be said lower than it is: what a part has to bear, and what is needed at least. */
export function roundedUp(figure: Figure, symbol: string): string {
  return `${MARK}${figure} ${symbol}${UP}${MARK}`;
}

/**
 * A sentence of the core with its quantities in the units of the house, each as exact as it was said. What is no marked quantity stays as it
 * is: names, notations and sizes are not figures.
 * @example inHouseUnits(`it opens at ${quantity(7, 'bar')}`, 'inch') // 'it opens at 102 psi'
 */
export function inHouseUnits(text: string, system: UnitSystem): string {
  if (!hasQuantities(text)) return text;
  const parts = text.split(MARK);
  return (
    parts
      // one that nothing closes was cut off: what it was nobody knows
      .map((part, i) => (i % 2 === 1 && i < parts.length - 1 ? inHouse(part, system) : part))
      .join('')
  );
}

/** Whether a text has quantities that are still to be said. */
export function hasQuantities(text: string): boolean {
  return text.includes(MARK);
}

function inHouse(marked: string, system: UnitSystem): string {
  const way = [TAPE, DOWN, UP].find((mark) => marked.endsWith(mark));
  const said = way ? marked.slice(0, -1) : marked;
  const gap = said.lastIndexOf(' ');
  const symbol = said.slice(gap + 1);
  const unit = units.find((u) => u.symbol === symbol);
  const shown = unit && houseUnits[system][unit.kind];
  // no unit of the table, or one that both houses say
  if (gap < 0 || !unit || system === 'metric' || houseUnits.metric[unit.kind] === shown) return said;
  const figures = said.slice(0, gap).split(' to ');
  const values = figures.map((figure) => Number(figure.replace('−', '-')));
  if (values.some(Number.isNaN)) return said;
  const inches = (mm: number): string => formatInches(mm / unitBySymbol('in').factor, TAPE_INCH);
  return `${figures.map((figure, i) => (way === TAPE ? inches(values[i]!) : asExact(figure, values[i]!, symbol, system, way))).join(' to ')} ${shown}`;
}

/** The figure in the unit of the house, with as many places as it has in its own. */
function asExact(figure: string, value: number, symbol: string, system: UnitSystem, way?: string): string {
  const { kind, factor } = unitBySymbol(symbol);
  const step = factor / unitBySymbol(houseUnits[system][kind]).factor;
  const places = Math.ceil((figure.split('.')[1]?.length ?? 0) - Math.log10(step) - 0.3);
  const decimals = Math.min(3, Math.max(0, places));
  const toward: FormatOptions['toward'] = way === DOWN ? 'down' : way === UP ? 'up' : undefined;
  const options = kind === 'length' ? { inchDecimals: decimals, toward } : { decimals, toward };
  return formatQuantity(convert(value, symbol, houseUnits.metric[kind]), kind, system, { ...options, bare: true });
}
