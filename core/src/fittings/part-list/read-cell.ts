import { otherCurrencies, otherCurrencyCodes, type ListedPrice, type OtherCurrency } from '../listed-price.js';
import { ConnectorSyntaxError, parseConnector, type Connector } from '../../connectors/index.js';
import { holdsUnseen } from '../../schema/index.js';
import { MOST_ENDS } from '../body-schema.js';
import { parseQuantity, QuantitySyntaxError, type QuantityKind } from '../../units/index.js';

/** A cell of a part list that cannot be read, in words. */
export class CellError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'CellError';
  }
}

/** A quantity in the units of the core, rounded; bare numbers are in the base unit of their kind. */
export function readQuantity(kind: QuantityKind, least = 0, decimals = 3): (text: string) => number {
  return (text) => {
    try {
      const { value } = parseQuantity(text, kind, { system: 'metric' });
      if (value < least) throw new CellError(`"${text}" is less than ${least}.`);
      return Number(value.toFixed(decimals));
    } catch (error) {
      if (error instanceof QuantitySyntaxError) throw new CellError(`${error.message} ${error.hint}`);
      throw error;
    }
  };
}

export function readWhole(text: string): number {
  const digits = text.replace(/\s/g, '');
  if (!/^\d{1,9}$/.test(digits)) throw new CellError(`"${text}" is not a whole number.`);
  return Number(digits);
}

/** A mass in grams: `12`, `12.5 g`, `0.4 kg`. */
export function readMass(text: string): number {
  const found = /^(\d+(?:[.,]\d+)?)\s*(g|kg|oz|lb)?$/i.exec(text.trim());
  if (!found) throw new CellError(`"${text}" is not a mass. Type it as 12 g or 0.4 kg.`);
  const factor = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 }[(found[2] ?? 'g').toLowerCase()]!;
  return Math.round(Number(found[1]!.replace(',', '.')) * factor * 10) / 10;
}

/** Signs and codes of money. */
const MONEY =
  /\p{Sc}|(?<!\p{L})(?:EUR|USD|GBP|CHF|SEK|NOK|DKK|ISK|PLN|CZK|HUF|RON|BGN|TRY|JPY|CNY|INR|CAD|AUD|NZD|US\$|CA\$|AU\$|S?Fr\.|kr|zł|kč|dollars?|pounds? sterling|francs?)(?!\p{L})/giu;

/** How the money of a list may be written. */
function writtenAs(currency: OtherCurrency | 'EUR'): readonly string[] {
  return [currency, ...(currency === 'EUR' ? ['€'] : otherCurrencies[currency])].map((word) => word.toLowerCase());
}

/** What to say of a price, or of the heading over prices, that is in other money than the list; undefined where none is named. */
export function otherMoney(text: string, currency: OtherCurrency | 'EUR' = 'EUR'): string | undefined {
  const own = writtenAs(currency);
  const found = (text.match(MONEY) ?? []).find((word) => !own.includes(word.toLowerCase()));
  if (found === undefined) return undefined;
  return currency === 'EUR'
    ? `"${text.trim()}" is not in euros. Say which money the list is in, or leave the column out.`
    : `"${text.trim()}" is not in ${currency}, and the list is said to be.`;
}

/**
 * Money in hundredths of the euro, or of the currency that a list is in, with or without its sign: `12.40`, `12,40 €`, `1.234,50`,
 * `1,234.50`. One separator with three digits after it could be either and is refused.
 */
export function readMoney(text: string, currency: OtherCurrency | 'EUR' = 'EUR'): number {
  const other = otherMoney(text, currency);
  if (other) throw new CellError(other);
  const bare = text.replace(MONEY, '').replace(/[\s\u00a0\u2009'’]/g, '');
  if (!/^\d+(?:[.,]\d+)*$/.test(bare)) throw new CellError(`"${text}" is not a price.`);
  const last = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','));
  if (last === -1) return Number(bare) * 100;
  const decimals = bare.length - last - 1;
  const single =
    bare.indexOf('.') === bare.lastIndexOf('.') && bare.indexOf(',') === bare.lastIndexOf(',') && /[.,]/g.exec(bare)!.index === last;
  if (decimals === 3 && single) throw new CellError(`"${text}" could be thousands or a fraction. Write it with two decimals.`);
  const whole = bare.slice(0, decimals === 3 ? undefined : last).replace(/[.,]/g, '');
  const fraction = decimals === 3 ? '00' : bare.slice(last + 1).padEnd(2, '0');
  if (decimals > 2 && decimals !== 3) return Math.round(Number(`${whole}.${bare.slice(last + 1)}`) * 100);
  return Number(whole) * 100 + Number(fraction);
}

/** A price as a supplier's list in other money says it: `USD 12.40`. */
export function readListed(text: string): ListedPrice {
  const found = /^([A-Z]{3})\s*(.+)$/.exec(text.trim());
  const currency = otherCurrencyCodes.find((code) => code === found?.[1]);
  if (!currency) throw new CellError(`"${text}" is not a price with its currency before it, such as USD 12.40.`);
  return { currency, minor: readMoney(found![2]!, currency) };
}

export function readYes(text: string): boolean {
  const word = text.trim().toLowerCase();
  if (['yes', 'y', 'true', '1', 'x', 'one way'].includes(word)) return true;
  if (['no', 'n', 'false', '0', '-', ''].includes(word)) return false;
  throw new CellError(`"${text}" is neither yes nor no.`);
}

export function readWords(most: number): (text: string) => string {
  return (text) => {
    const words = text.trim().replace(/\s+/g, ' ');
    if (holdsUnseen(words))
      throw new CellError('It holds a sign that does not show, such as one that turns the writing round; type it anew.');
    if (words.length > most) throw new CellError(`Too long: ${words.length} characters, and ${most} are the most.`);
    return words;
  };
}

export function readOneOf<T extends string>(values: readonly T[]): (text: string) => T {
  return (text) => {
    const word = text.trim().toLowerCase();
    const found = values.find((value) => value === word) ?? values.find((value) => word.startsWith(value));
    if (!found) throw new CellError(`"${text}" is none of ${values.join(', ')}.`);
    return found;
  };
}

/** Most letters of one end in notation. */
const LONGEST_NOTATION = 120;

export function readEnd(text: string): Connector {
  if (text.length > LONGEST_NOTATION) throw new CellError(`${text.length} letters are not a connector.`);
  try {
    return parseConnector(text);
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) throw new CellError(`"${text.trim()}": ${error.message} ${error.advice}`);
    throw error;
  }
}

/** `npt 1/8 m + an6 m`; also with `;` or `|` between. */
export function readEnds(text: string): Connector[] {
  const ends = text.split(/[+;|]/).filter((part) => part.trim() !== '');
  if (ends.length === 0 || ends.length > MOST_ENDS) throw new CellError(`${ends.length} ends, and a part has one to twelve.`);
  return ends.map(readEnd);
}

export function readLegs(text: string): number[] {
  const legs = text.split(/[;|+]/).filter((part) => part.trim() !== '');
  if (legs.length > MOST_ENDS) throw new CellError('More than twelve legs.');
  return legs.map(readQuantity('length'));
}
