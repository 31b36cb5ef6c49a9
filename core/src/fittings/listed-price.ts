import { Type, type Static } from 'typebox';
import { OneOf, without } from '../schema/index.js';

/** Money that lists are in, beside the euro, with the signs it is written with. Amounts are in hundredths, whatever coins there are. */
export const otherCurrencies = {
  USD: ['$', 'US$'],
  GBP: ['£'],
  CHF: ['Fr.', 'SFr.'],
  SEK: ['kr', 'SEK kr'],
  NOK: ['kr'],
  DKK: ['kr'],
  PLN: ['zł'],
  CZK: ['Kč'],
  JPY: ['¥'],
  CAD: ['$', 'CA$'],
  AUD: ['$', 'AU$'],
} as const;
export type OtherCurrency = keyof typeof otherCurrencies;
export const otherCurrencyCodes = Object.keys(otherCurrencies) as OtherCurrency[];

/** Headings over prices that say their money: `price usd`. */
export const pricesIn = ['EUR', ...otherCurrencyCodes].map((code) => `price ${code.toLowerCase()}`);

/** The money of a supplier's list, and what one unit of it is in euros. */
export const ListMoneySchema = Type.Object(
  { currency: OneOf(otherCurrencyCodes), euros: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }) },
  { additionalProperties: false, title: 'ListMoney' },
);
export type ListMoney = Static<typeof ListMoneySchema>;

/** What a supplier's list says, where it is not in euros: the price beside it was worked out from this when the list was taken in. */
export const ListedPriceSchema = Type.Object(
  { currency: OneOf(otherCurrencyCodes), minor: Type.Integer({ minimum: 0, maximum: 1_000_000_000 }) },
  { additionalProperties: false, title: 'ListedPrice' },
);
export type ListedPrice = Static<typeof ListedPriceSchema>;

interface Priced {
  readonly priceMinor?: number | undefined;
  readonly pricePerMetreMinor?: number | undefined;
  readonly listed?: ListedPrice | undefined;
}

/** A part as it is to be now: what a list said of its price goes when another price is said without it, and stays otherwise. */
export function withListing<P extends Priced>(before: Priced, next: P): P {
  if (next.listed && next.listed !== before.listed) return next;
  const same = before.priceMinor === next.priceMinor && before.pricePerMetreMinor === next.pricePerMetreMinor;
  if (same && before.listed) return { ...next, listed: before.listed };
  return next.listed ? (without(next, 'listed') as P) : next;
}

/** `USD 12.40`. */
export function formatListed({ currency, minor }: ListedPrice): string {
  return `${currency} ${(minor / 100).toFixed(2)}`;
}
