import { Type, type TSchema } from 'typebox';
import { OneKindOf } from '../schema/index.js';
import { stockCommandSchemas, type StockCommand, type StockCommandName, type StockCommandOf } from '../stock/index.js';
import {
  catalogueCommandSchemas,
  type CatalogueCommand,
  type CatalogueCommandName,
  type CatalogueCommandOf,
} from './catalogue-command-schemas.js';

export type ShopCommandName = CatalogueCommandName | StockCommandName;
export type ShopCommandOf<N extends ShopCommandName> = N extends StockCommandName
  ? StockCommandOf<N>
  : N extends CatalogueCommandName
    ? CatalogueCommandOf<N>
    : never;
/** On what all jobs share: catalogue, shop rules, and what is bought, kept and cut. */
export type ShopCommand = CatalogueCommand | StockCommand;

/** What is said of a command on what all jobs share; what it does stands in `runShopCommands`, which no page has to load. */
export interface ShopCommandEntry {
  readonly schema: TSchema;
  /** As it stands in a list of what waits to be sent. */
  readonly words: string;
  /** Who did it is kept with it, where that is known. */
  readonly signed?: true;
  /** Only the server gives it: no page and no program asks for it. */
  readonly inner?: true;
}

const c = catalogueCommandSchemas;
const s = stockCommandSchemas;

export const shopCommands: Readonly<Record<ShopCommandName, ShopCommandEntry>> = {
  'add-part': { schema: c['add-part'], words: 'Add a part' },
  'edit-part': { schema: c['edit-part'], words: 'Edit a part' },
  'set-weights': { schema: c['set-weights'], words: 'Set what counts when ways are ranked' },
  'set-seal-rules': { schema: c['set-seal-rules'], words: 'Set which seals are taken' },
  'set-flow-rules': { schema: c['set-flow-rules'], words: 'Set the figures for flow' },
  'set-shop-rule': { schema: c['set-shop-rule'], words: 'Set a rule of the shop' },
  'set-store-rules': { schema: s['set-store-rules'], words: 'Set how it is cut, kept and bought' },
  'add-supplier': { schema: s['add-supplier'], words: 'Add a supplier' },
  'edit-supplier': { schema: s['edit-supplier'], words: 'Edit a supplier' },
  'add-offer': { schema: s['add-offer'], words: 'Add an offer' },
  'edit-offer': { schema: s['edit-offer'], words: 'Edit an offer' },
  'delete-offer': { schema: s['delete-offer'], words: 'Take out an offer' },
  'keep-stock': { schema: s['keep-stock'], words: 'Say how a part is kept' },
  'move-stock': { schema: s['move-stock'], words: 'Move parts on the shelf', signed: true },
  'add-length': { schema: s['add-length'], words: 'Put a length on the rack', signed: true },
  'edit-length': { schema: s['edit-length'], words: 'Change a length', signed: true },
  'scrap-length': { schema: s['scrap-length'], words: 'Throw a length away', signed: true },
  'reserve-lengths': { schema: s['reserve-lengths'], words: 'Reserve lengths' },
  'cut-piece': { schema: s['cut-piece'], words: 'Cut a piece', signed: true },
  'spoil-cut': { schema: s['spoil-cut'], words: 'A piece is spoiled', signed: true },
  'take-back-cut': { schema: s['take-back-cut'], words: 'Take a cut back', signed: true },
  'trim-cut': { schema: s['trim-cut'], words: 'Trim a piece', signed: true },
  'use-made': { schema: s['use-made'], words: 'Use a made hose', signed: true },
  'write-order': { schema: s['write-order'], words: 'Write an order' },
  'edit-order': { schema: s['edit-order'], words: 'Edit an order' },
  'cancel-order': { schema: s['cancel-order'], words: 'Cancel an order' },
  'send-order': { schema: s['send-order'], words: 'Send an order', inner: true },
  'acknowledge-order': { schema: s['acknowledge-order'], words: 'Take in an acknowledgement' },
  'order-unanswered': { schema: s['order-unanswered'], words: 'An order is not confirmed', inner: true },
  'receive-order': { schema: s['receive-order'], words: 'Receive a delivery' },
  'claim-order': { schema: s['claim-order'], words: 'Take what is over of an order' },
  'give-up-line': { schema: s['give-up-line'], words: 'Give up what is still to come' },
};

/** What a page or a program may ask for. */
export const ShopCommandSchema = Type.Unsafe<ShopCommand>(
  OneKindOf(
    'do',
    Object.values(shopCommands).flatMap((entry) => (entry.inner ? [] : [entry.schema])),
    'ShopCommand',
  ),
);
