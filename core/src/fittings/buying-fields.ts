import { Type } from 'typebox';
import { ListedPriceSchema } from './listed-price.js';
import { letters, Words, WordsOrNone } from '../schema/index.js';

/** What a part of any kind says of buying and keeping it. Money in minor units: for one piece, of hose for a metre. */
export const BuyingFields = {
  supplier: Type.Optional(WordsOrNone(letters.supplier)),
  /** The supplier's order code; no two parts of a catalogue share one. */
  code: Type.Optional(Words(letters.code)),
  /** What the supplier's list says, in its own money. */
  listed: Type.Optional(ListedPriceSchema),
  /** Pieces, or full metres of hose, on the shelf. */
  shelf: Type.Optional(Type.Integer({ minimum: 0, maximum: 1_000_000 })),
  /** Days until it arrives when ordered. */
  leadDays: Type.Optional(Type.Integer({ minimum: 0, maximum: 1000 })),
  /** Taken out of the catalogue: kept so that what uses it can still be drawn, never offered again. */
  retired: Type.Optional(Type.Boolean()),
};
export const PriceMinor = Type.Optional(Type.Integer({ minimum: 0, maximum: 100_000_000 }));
