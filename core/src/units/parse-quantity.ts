import { QuantitySyntaxError } from './quantity-syntax-error.js';
import { houseUnits, unitBySymbol, units, type QuantityKind, type Unit, type UnitSystem } from './unit.js';

export interface ParsedQuantity {
  /** In the base unit of the kind: the first of its kind in the table of units. */
  readonly value: number;
  /** The unit it was typed in, or the house unit where none was typed. */
  readonly unit: string;
}

export interface QuantityOptions {
  readonly system?: UnitSystem;
  /** Read `-10` as the dash size 10/16 in. Off by default: elsewhere `-10` is a negative number. */
  readonly dash?: boolean;
}

const NUMBER = /(?:(\d+)[ -]+(\d+)\s*\/\s*(\d+)|(\d+)\s*\/\s*(\d+)|(\d*[.,]\d+|\d+[.,]?))/y;
const EXAMPLES: Record<QuantityKind, string> = {
  length: '664, 664 mm, 26 1/8 in or 5/16',
  pressure: '4 bar or 58 psi',
  torque: '25 N·m or 18 lbf·ft',
  temperature: '110 °C or 230 °F',
  volume: '5.5 L or 6 qt',
  angle: '45 or 45°',
  percent: '2 or 2 %',
  flow: '3.5 L/min or 0.9 gal/min',
  speed: '3 m/s or 10 ft/s',
  power: '230 kW or 310 hp',
  revs: '7800',
  viscosity: '14.5 cSt',
  density: '860 kg/m³ or 0.86 g/cm³',
};

/**
 * Reads a quantity as people type it: `5/16`, `1 1/16`, `0.3125 in`, `7,94`, `7.94 mm`, `2 ft 3 in`, `-10` (dash size, if asked for).
 * A bare fraction of a length is in inches; a bare number is in the house unit. A comma is a decimal comma.
 *
 * @throws {QuantitySyntaxError} with the place and a hint
 * @example parseQuantity('5/16', 'length').value // 7.9375
 */
export function parseQuantity(text: string, kind: QuantityKind, options: QuantityOptions = {}): ParsedQuantity {
  const house = unitBySymbol(houseUnits[options.system ?? 'metric'][kind]);
  const hint = `Type it as ${EXAMPLES[kind]}.`;
  const fail = (message: string, position: number, length = 1): never => {
    throw new QuantitySyntaxError(message, position, Math.max(1, length), hint);
  };
  if (FRACTION_SIGN.test(text)) return parseQuantity(plainFractions(text), kind, options);
  const trimmed = text.trim();
  if (trimmed === '') fail('Nothing typed.', 0);
  if (kind === 'length' && options.dash) {
    const dash = /^-\s*(\d{1,2})$/.exec(trimmed);
    if (dash) return { value: (Number(dash[1]) / 16) * 25.4, unit: 'in' };
  }

  let at = text.length - text.trimStart().length;
  let sign = 1;
  if (/[-−]/.test(text.charAt(at))) {
    sign = -1;
    at += 1;
  } else if (text.charAt(at) === '+') at += 1;

  let total = 0;
  let typedUnit: Unit | undefined;
  const end = text.trimEnd().length;
  let parts = 0;
  while (at < end) {
    while (text.charAt(at) === ' ' || text.charAt(at) === '\u2009' || text.charAt(at) === '\u00a0') at += 1;
    NUMBER.lastIndex = at;
    const match = NUMBER.exec(text);
    if (!match) fail(`"${text.slice(at, end)}" is not a number.`, at, end - at);
    const { value, fraction } = readNumber(match!, (message) => fail(message, at, match![0].length));
    at += match![0].length;
    const { unit, length } = readUnit(text, at, end, kind);
    if (length === 0 && at < end && !/\s/.test(text.charAt(at)))
      fail(`"${text.slice(at, end)}" is not ${article(kind)} unit.`, at, end - at);
    // `5 ft 3`: what follows feet is inches
    const inches = parts > 0 && unit === undefined && typedUnit?.symbol === 'ft' ? unitBySymbol('in') : undefined;
    const actual = unit ?? inches ?? (fraction && kind === 'length' ? unitBySymbol('in') : house);
    if (parts > 0 && ((unit === undefined && !inches) || typedUnit === undefined || actual.factor >= typedUnit.factor))
      fail('Two numbers, and no telling how they belong together.', at - match![0].length, match![0].length);
    total += value * actual.factor + actual.offset;
    typedUnit = unit ?? actual;
    at += length;
    parts += 1;
  }
  if (parts === 0) fail('A sign with no number after it.', 0, end);
  if (sign < 0 && kind === 'temperature') {
    // −40 °F is not the negative of 40 °F
    total = (total - typedUnit!.offset) * -1 + typedUnit!.offset;
    sign = 1;
  }
  return { value: sign * total, unit: typedUnit!.symbol };
}

const FRACTION_SIGN = /[½¼¾⅛⅜⅝⅞]/;
const SIGNS: Readonly<Record<string, string>> = { '½': '1/2', '¼': '1/4', '¾': '3/4', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8' };

/** `26⅛` as `26 1/8`. */
function plainFractions(text: string): string {
  return text.replace(/(\d?)\s*([½¼¾⅛⅜⅝⅞])/g, (_, before: string, sign: string) => `${before}${before ? ' ' : ''}${SIGNS[sign]!}`);
}

function article(kind: QuantityKind): string {
  return kind === 'angle' ? 'an angle' : `a ${kind}`;
}

function readNumber(match: RegExpExecArray, fail: (message: string) => never): { value: number; fraction: boolean } {
  const [, whole, mixedTop, mixedBottom, top, bottom, decimal] = match;
  if (decimal !== undefined) return { value: Number(decimal.replace(',', '.')), fraction: false };
  const below = Number(mixedBottom ?? bottom);
  if (below === 0) fail('A fraction cannot have 0 below the line.');
  return { value: Number(whole ?? 0) + Number(mixedTop ?? top) / below, fraction: true };
}

function readUnit(text: string, at: number, end: number, kind: QuantityKind): { unit?: Unit; length: number } {
  const rest = text.slice(at, end);
  const blanks = rest.length - rest.trimStart().length;
  const word = rest.trimStart().toLowerCase();
  let best: { unit: Unit; typed: string } | undefined;
  for (const unit of units) {
    if (unit.kind !== kind) continue;
    for (const typed of unit.typed) {
      const next = word.charAt(typed.length);
      const stands = word.startsWith(typed) && !(/[a-z]$/.test(typed) && /[a-z]/.test(next));
      if (stands && (!best || typed.length > best.typed.length)) best = { unit, typed };
    }
  }
  return best ? { unit: best.unit, length: blanks + best.typed.length } : { length: 0 };
}
